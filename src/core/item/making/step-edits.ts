import type { Item } from "../schema";
import { removeStep, withVariantChanges } from "../step-edit";
import { inOrder } from "../step-order";
import type { Step } from "../step";
import { SECOND_COAT } from "./steps/piece-steps";

/** An item made otherwise, and the cook's own changes to steps that have no place in it any more. */
export interface Remade {
  readonly item: Item;
  readonly unused: readonly StepEdit[];
}

/** What the cook changed about the steps that were made by rule. */
export type StepEdit =
  | { readonly kind: "removed"; readonly step: string }
  /** `was`: what is done in it; figures for the oven are none for the fryer. */
  | { readonly kind: "changed"; readonly step: string; readonly was: Step["kind"]; readonly fields: Partial<Step> }
  | { readonly kind: "added"; readonly step: Step };

/** Steps whose words name what goes in: they follow the lines. */
const NAMES_LINES: ReadonlySet<string> = new Set([
  ...["weigh-dough", "mix-dough", "rest-dough", "prep-filling", "cook-filling", "soak-filling", "wash", SECOND_COAT],
]);
const withoutNumbers = (text: string): string => text.replace(/\d+(?:[.,]\d+)?/g, "#");

/** Whether a field is as it would be made now, but for the weights and names that it speaks of. */
function isFollowed(key: keyof Step, own: Step, made: Step): boolean {
  // Where other fields come from is no edit.
  if (key === "sources") return true;
  if (key === "do") return NAMES_LINES.has(made.id) || withoutNumbers(own.do) === withoutNumbers(made.do);
  // A step from before it had a name of its own is no edit.
  if (key === "title" && own.title === undefined) return true;
  // A core that the rule asks for is never left out by an older step that knew of none.
  return key === "coreC" && (own.coreC ?? -Infinity) < (made.coreC ?? -Infinity);
}

/** How the steps of an item differ from those that were made for it. */
export function stepEdits(made: readonly Step[], now: readonly Step[]): StepEdit[] {
  const edits: StepEdit[] = [];
  const added = new Set(now.filter(({ id }) => !made.some((one) => one.id === id)).map(({ id }) => id));
  for (const step of made) {
    const own = now.find(({ id }) => id === step.id);
    if (!own) {
      edits.push({ kind: "removed", step: step.id });
      continue;
    }
    const keys = [...new Set([...Object.keys(own), ...Object.keys(step)])] as (keyof Step)[];
    const fields = Object.fromEntries(
      keys
        .map((key) => [key, own[key]] as const)
        .filter(
          ([key, value]) =>
            !isFollowed(key, own, step) &&
            JSON.stringify(value) !== JSON.stringify(step[key]) &&
            !(key === "after" && followsFrom(own, step, now, made)),
        ),
    ) as Partial<Step>;
    if (Object.keys(fields).length > 0) edits.push({ kind: "changed", step: step.id, was: step.kind, fields });
  }
  for (const step of now) if (added.has(step.id)) edits.push({ kind: "added", step });
  return edits;
}

/**
 * Whether what a step comes after differs only by what was added before it or taken out: seen through those, it comes after
 * the same.
 */
function followsFrom(own: Step, made: Step, now: readonly Step[], all: readonly Step[]): boolean {
  const through = (step: Step, others: readonly Step[], known: readonly Step[]): string[] =>
    step.after.flatMap((link) => {
      if (known.some(({ id }) => id === link.step)) return [link.step];
      const passed = others.find(({ id }) => id === link.step);
      return passed ? through(passed, others, known) : [];
    });
  const [is, was] = [through(own, now, all), through(made, all, now)].map((ids) => new Set(ids));
  const isDirect = own.after.every((link) => all.some(({ id }) => id === link.step));
  const wasDirect = made.after.every((link) => now.some(({ id }) => id === link.step));
  // How soon it follows on an added step is the cook's own.
  const isTimed = own.after.some(
    (link) => !all.some(({ id }) => id === link.step) && (link.maxGapMin !== undefined || link.minGapMin !== undefined),
  );
  return !isTimed && !(isDirect && wasDirect) && is.size === was.size && [...is].every((id) => was.has(id));
}

/** The cook's changes on newly made steps; those that have no place are given back. */
export function withEdits(item: Item, edits: readonly StepEdit[], before: readonly Step[]): Remade {
  let next = item;
  const unused: StepEdit[] = [];
  for (const edit of edits) {
    const there = (id: string) => next.steps.some((step) => step.id === id);
    if (edit.kind === "removed") {
      if (there(edit.step)) next = removeStep(next, edit.step);
    } else if (edit.kind === "changed") {
      if (!next.steps.some(({ id, kind }) => id === edit.step && kind === edit.was)) unused.push(edit);
      else next = { ...next, steps: next.steps.map((step) => (step.id === edit.step ? edited(step, edit.fields) : step)) };
    } else {
      const after = edit.step.after.filter((link) => there(link.step));
      if (after.length < edit.step.after.length || there(edit.step.id)) {
        unused.push(edit);
        continue;
      }
      // What comes after the same, and did not pass it by before, comes after it.
      const passesBy = (id: string, link: string) =>
        before.find((step) => step.id === id)?.after.some((one) => one.step === link) === true;
      const isFollower = (step: Step) =>
        step.after.some((link) => after.some((one) => one.step === link.step) && !passesBy(step.id, link.step));
      const at = 1 + Math.max(...after.map((link) => next.steps.findIndex((step) => step.id === link.step)));
      const steps = next.steps.map((step) =>
        isFollower(step)
          ? {
              ...step,
              after: [...step.after.filter((link) => !after.some((one) => one.step === link.step)), { step: edit.step.id }],
            }
          : step,
      );
      next = { ...next, steps: [...steps.slice(0, at), { ...edit.step, after }, ...steps.slice(at)] };
    }
  }
  return { item: { ...next, steps: inOrder(linked(next.steps, item.steps)) }, unused };
}

/** A step with what the cook has of it; a figure of the cook's own is said to be. */
function edited(step: Step, fields: Partial<Step>): Step {
  const own = {
    ...((fields.time || fields.rest) && { minutes: "cook" as const }),
    ...(fields.equipment && { heat: "cook" as const }),
  };
  const next = withProbe({ ...step, ...fields, ...(step.sources && { sources: { ...step.sources, ...own } }) });
  // Looks that a shorter time no longer reaches fall away.
  const lasts = next.rest?.min ?? next.time.fixedMin;
  const reaches = ({ fromMin, minutes }: { readonly fromMin: number; readonly minutes: number }) =>
    fromMin < 0 ? -fromMin <= lasts : fromMin + minutes <= lasts;
  return next.tend && next.time.secPerPiece === 0 ? { ...next, tend: next.tend.filter(reaches) } : next;
}

/** What has a core to be measured takes what measures it. */
const withProbe = (step: Step): Step =>
  step.coreC === undefined || step.equipment.some(({ id }) => id === PROBE)
    ? step
    : { ...step, equipment: [...step.equipment, { id: PROBE }] };
const PROBE = "probe";

export function withoutAfter(edit: StepEdit): StepEdit {
  if (edit.kind !== "changed") return edit;
  const { after: _after, ...fields } = edit.fields;
  return { ...edit, fields };
}

/** What waits for a step that is not there waits for what it was made to wait for. */
function linked(steps: readonly Step[], made: readonly Step[]): Step[] {
  const there = new Set(steps.map(({ id }) => id));
  return steps.map((step) =>
    step.after.every((link) => there.has(link.step))
      ? step
      : { ...step, after: made.find(({ id }) => id === step.id)?.after.filter((link) => there.has(link.step)) ?? [] },
  );
}

/**
 * Without what hangs on steps that are not there any more, or in which something else is done now: hints, and changes by choices
 * of the item's own.
 */
export function withoutGone(item: Item, before: readonly Step[]): Item {
  const kinds = new Map(before.map(({ id, kind }) => [id, kind]));
  const there = new Set(item.steps.flatMap(({ id, kind }) => ((kinds.get(id) ?? kind) === kind ? [id] : [])));
  const has = ({ step }: { readonly step: string }) => there.has(step);
  const ids = new Set(item.steps.map(({ id }) => id));
  return {
    ...item,
    faults: item.faults.flatMap((fault) => {
      const steps = fault.steps.filter((id) => ids.has(id));
      return steps.length > 0 ? [{ ...fault, steps }] : [];
    }),
    schools: item.schools.map((school) => ({
      ...school,
      options: school.options.map((option) => ({
        ...option,
        changes: option.changes.filter(has),
        ...(option.finish && { finish: option.finish.filter(has) }),
      })),
    })),
    // Changes of fillings that were made by rule follow it already.
    ...(item.making?.called && item.filling.variants && { filling: withVariantChanges(item.filling, has) }),
    ...(item.storage?.fromFrozen?.step !== undefined &&
      !ids.has(item.storage.fromFrozen.step) && {
        storage: { ...item.storage, fromFrozen: { ...item.storage.fromFrozen, step: undefined } },
      }),
  };
}
