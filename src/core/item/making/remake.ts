import { OURS, type Catalogue } from "../../ingredients/own";
import { failWith, ok, type Result } from "../../shared/issue";
import { findRing } from "../check";
import { doughComponents } from "../desk";
import type { Component, Item } from "../schema";
import { removeStep } from "../step-edit";
import { inOrder } from "../step-order";
import type { Step } from "../step";
import { calledAs } from "./called";
import { METHOD_IDS } from "./doughs";
import { FILLING_IDS } from "./fillings";
import { makeItem, type Made } from "./make-item";
import { isPut } from "./put";
import { RecipeInputSchema, type RecipeInput } from "./recipe-input";
import { withOwnCapacity } from "./settle";
import { shapeOf } from "./shapes";
import { SECOND_COAT } from "./steps/piece-steps";

export type Making = NonNullable<Item["making"]>;

type Instead = NonNullable<Making["instead"]>;
const WASH = "wash";

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

/** A line as it would be written for what it weighs now; what the cook said that it is stands for its name. */
const lineOf = ({ name, grams, ingredient }: Component, catalogue: Catalogue): string => {
  const known = ingredient === undefined ? undefined : catalogue.ingredients.get(ingredient)?.name;
  return `${grams} g ${known ?? name}`;
};

/**
 * An item as the recipe that it would be made from now.
 * @param making what is known of it by rule; what is not is read from its lines and its words
 */
export function recipeOf(item: Item, making: Partial<Making>, catalogue: Catalogue): Result<RecipeInput> {
  const write = (lines: readonly Component[]) => lines.map((line) => lineOf(line, catalogue));
  const own = asWritten(item, making.instead);
  const parsed = RecipeInputSchema.safeParse({
    name: item.name,
    makes: Math.min(2000, item.base.pieces),
    dough: write(doughComponents(own)),
    fillings: fillingsAsWritten(item, making, write),
    finish: write(
      [...own.finish, ...(making.finish ?? [])].filter((entry) => !isPut(entry)).flatMap((entry) => entry.components),
    ),
    method: making.says ?? item.written?.method ?? "",
    family: making.family,
    ...(making.shape !== undefined && shapeOf(making.shape) && { shape: making.shape }),
    measures: item.measures,
  });
  return parsed.success
    ? ok(parsed.data)
    : failWith(
        parsed.error.issues.slice(0, 1).map(({ path, message }) => ({
          code: "inconsistent" as const,
          path: path.map(String),
          got: undefined,
          wanted: message,
        })),
      );
}

/** What the base of several fillings is called where they are written down. */
const BASE_NAME = "Base for the fillings";

/** The fillings of an item as they would be written: the base that they share first, whole. */
function fillingsAsWritten(
  { filling }: Item,
  { called }: Partial<Making>,
  write: (lines: readonly Component[]) => string[],
): { name?: string; lines: string[] }[] {
  // Fillings of steps of the cook's own say themselves what is otherwise.
  const variants = called ? [] : (filling.variants ?? []);
  const base = filling.components.filter((line) => line.base);
  if (variants.length === 0) return [{ lines: write(filling.components) }];
  const own = (lines: readonly Component[]) => write(lines.filter((line) => !line.base));
  return [
    ...(base.length > 0
      ? [{ name: BASE_NAME, lines: write(base.map((line) => ({ ...line, grams: line.grams * (variants.length + 1) }))) }]
      : []),
    { name: filling.name ?? "Filling 1", lines: own(filling.components) },
    ...variants.map(({ name, components }) => ({ name, lines: own(components) })),
  ];
}

/** What an item is as it stands, by rule; undefined where it was not made so, or nothing of it can be weighed. */
export function asMade(item: Item, making: Making | undefined = item.making, catalogue: Catalogue = OURS): Made | undefined {
  if (!making) return undefined;
  const recipe = recipeOf(item, making, catalogue);
  if (!recipe.ok) return undefined;
  const made = makeItem(recipe.value, {
    taken: [],
    catalogue,
    method: METHOD_IDS.find((id) => id === making.method),
    filling: FILLING_IDS.find((id) => id === making.filling),
    ...(making.choices && { choices: making.choices }),
  });
  return made.ok ? { ...made.value, item: calledAs(made.value.item, making.called) } : undefined;
}

/** Fields of a step that say where others come from, and are no edit where they differ. */
const FOLLOWS: ReadonlySet<string> = new Set(["sources"]);

/** Steps whose words name what goes in: they follow the lines. */
const NAMES_LINES: ReadonlySet<string> = new Set([
  ...["weigh-dough", "mix-dough", "rest-dough", "prep-filling", "cook-filling", "soak-filling", "wash", SECOND_COAT],
]);
const withoutNumbers = (text: string): string => text.replace(/\d+(?:[.,]\d+)?/g, "#");

/** Whether a field is as it would be made now, but for the weights and names that it speaks of. */
function isFollowed(key: keyof Step, own: Step, made: Step): boolean {
  if (FOLLOWS.has(key)) return true;
  if (key === "do") return NAMES_LINES.has(made.id) || withoutNumbers(own.do) === withoutNumbers(made.do);
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
function withEdits(item: Item, edits: readonly StepEdit[], before: readonly Step[]): Remade {
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
  const next = { ...step, ...fields, ...(step.sources && { sources: { ...step.sources, ...own } }) };
  // Looks that a shorter time no longer reaches fall away.
  const lasts = next.rest?.min ?? next.time.fixedMin;
  const reaches = ({ fromMin, minutes }: { readonly fromMin: number; readonly minutes: number }) =>
    fromMin < 0 ? -fromMin <= lasts : fromMin + minutes <= lasts;
  return next.tend && next.time.secPerPiece === 0 ? { ...next, tend: next.tend.filter(reaches) } : next;
}

function withoutAfter(edit: StepEdit): StepEdit {
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

/** Choices that put something of their own in the place of what the recipe has. */
const replacesDough = ({ choices }: Making): boolean => choices?.bought === "bought";
const replacesWash = ({ choices }: Making): boolean => choices?.[WASH] !== undefined && choices[WASH] !== "recipe";

/** What the recipe has in the place of what choices put there; undefined where they put nothing. */
function insteadOf(item: Item, making: Making, next: Making): Instead | undefined {
  const wash = item.finish.find(({ step }) => step === WASH)?.components ?? [];
  const instead = {
    ...(replacesDough(next) && { dough: making.instead?.dough ?? item.dough }),
    ...(replacesWash(next) && { wash: making.instead?.wash ?? wash }),
  };
  return Object.keys(instead).length > 0 ? instead : undefined;
}

/** What pieces are finished with when they are made otherwise: the cook's own, and what choices put there. */
function finishAfter(item: Item, making: Making, made: Item, instead: Instead | undefined): Item["finish"] {
  const own = [...item.finish, ...(making.finish ?? [])];
  const isSame = (one: Item["finish"][number], other: Item["finish"][number]) =>
    one.step === other.step && one.what === other.what;
  const put = made.finish.filter(isPut);
  const kept = own.filter((entry) => !isPut(entry) || put.some((one) => isSame(one, entry)));
  const all = [...kept, ...put.filter((entry) => !kept.some((one) => isSame(one, entry)))];
  const chosen = made.finish.find(({ step }) => step === WASH);
  const isNew =
    instead?.wash !== undefined && JSON.stringify(making.choices?.[WASH]) !== JSON.stringify(made.making?.choices?.[WASH]);
  if (isNew) return [...(chosen ? [chosen] : []), ...all.filter(({ step }) => step !== WASH)];
  return instead?.wash ? all : withWash(all, making.instead?.wash);
}

/** The finish with the recipe's own wash where a choice had put another in its place. */
function withWash(finish: Item["finish"], wash: Instead["wash"]): Item["finish"] {
  if (!wash) return finish;
  const others = finish.filter(({ step }) => step !== WASH);
  return wash.length > 0 ? [{ step: WASH, what: "Wash", components: wash }, ...others] : others;
}

/** An item with the recipe's own dough and wash where choices put others in their place. */
const asWritten = (item: Item, instead: Instead | undefined): Item => ({
  ...item,
  dough: instead?.dough ?? item.dough,
  finish: withWash(item.finish, instead?.wash),
});

/**
 * An item made otherwise: of another dough, finished another way, in another shape. Formula, names and what the cook changed stay; steps,
 * capacity, the piece's measures and what it waits for follow. Changing it back undoes it.
 */
export function remake(item: Item, otherwise: Partial<Making>, catalogue: Catalogue = OURS): Remade | undefined {
  const { making } = item;
  const before = asMade(item, making, catalogue);
  if (!making || !before) return undefined;
  const instead = insteadOf(item, making, { ...making, ...otherwise });
  const after = asMade(item, { ...making, ...otherwise }, catalogue);
  if (!after) return undefined;
  const { steps, capacity, piece, storage, fryOil, filling, faults } = after.item;
  const has = ({ step }: Item["finish"][number]) => steps.some(({ id }) => id === step);
  const all = finishAfter(item, making, after.item, instead);
  const kept = all.filter((entry) => !has(entry));
  const made: Item = {
    ...item,
    making: {
      ...after.item.making!,
      ...(making.says !== undefined && { says: making.says }),
      ...(making.ownCapacity && { ownCapacity: making.ownCapacity }),
      ...(making.called && { called: making.called }),
      ...(kept.length > 0 && { finish: kept }),
      ...(instead && { instead }),
    },
    ...(instead?.dough && !making.instead?.dough && { dough: after.item.dough }),
    ...(!instead?.dough && making.instead?.dough && { dough: making.instead.dough }),
    family: after.item.family,
    steps,
    faults: followed(before.item.faults, faults, item.faults),
    capacity: followed(
      withOwnCapacity(before.item.capacity, making.ownCapacity),
      withOwnCapacity(capacity, making.ownCapacity),
      item.capacity,
    ),
    storage: followed(before.item.storage, storage, item.storage),
    fryOil: followed(before.item.fryOil, fryOil, item.fryOil),
    piece: {
      ...item.piece,
      shape: followed(before.item.piece.shape, piece.shape, item.piece.shape),
      thicknessMm: followed(before.item.piece.thicknessMm, piece.thicknessMm, item.piece.thicknessMm),
      footprintMm: followed(before.item.piece.footprintMm, piece.footprintMm, item.piece.footprintMm),
    },
    finish: all.filter(has),
    filling: {
      ...item.filling,
      useAtMaxC: followed(before.item.filling.useAtMaxC, filling.useAtMaxC, item.filling.useAtMaxC),
      ...(!making.called && {
        stepChanges: filling.stepChanges,
        variants: item.filling.variants?.map((variant, k) => ({
          ...variant,
          stepChanges: filling.variants?.[k]?.stepChanges ?? variant.stepChanges,
        })),
      }),
    },
  };
  const edits = stepEdits(before.item.steps, item.steps);
  const remade = withEdits(made, edits, item.steps);
  if (!findRing(remade.item.steps)) return { ...remade, item: withoutGone(remade.item, item.steps) };
  // Steps that changed places would wait for each other here: they stay where they are made.
  const moved = edits.filter((edit) => edit.kind === "changed" && edit.fields.after !== undefined);
  const inPlace = withEdits(made, edits.map(withoutAfter), item.steps);
  return { item: withoutGone(inPlace.item, item.steps), unused: [...inPlace.unused, ...moved] };
}

/** What follows where it changes with the making; else what the item has. */
const followed = <T>(before: T, after: T, own: T): T => (JSON.stringify(before) === JSON.stringify(after) ? own : after);

/**
 * Without what hangs on steps that are not there any more, or in which something else is done now: hints, and changes by choices
 * of the item's own.
 */
function withoutGone(item: Item, before: readonly Step[]): Item {
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
    ...(item.making?.called &&
      item.filling.variants && {
        filling: {
          ...item.filling,
          variants: item.filling.variants.map((variant) => ({ ...variant, stepChanges: variant.stepChanges.filter(has) })),
        },
      }),
    ...(item.storage?.fromFrozen?.step !== undefined &&
      !ids.has(item.storage.fromFrozen.step) && {
        storage: { ...item.storage, fromFrozen: { ...item.storage.fromFrozen, step: undefined } },
      }),
  };
}
