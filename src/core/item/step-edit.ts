import { type Item } from "./schema";
import { LONGEST_TITLE, StepSchema, type Step } from "./step";
import { fail, ok, type Result } from "../shared/issue";
import { without } from "./step-order";

/** What can be changed of a step on the desk; undefined stands for "as it was". */
export interface StepEdit {
  readonly do?: string;
  /** What it is called; emptied it is called by its kind again. */
  readonly title?: string;
  readonly fixedMin?: number;
  readonly secPerPiece?: number;
  readonly restMin?: number;
  readonly restTarget?: number;
  readonly restMax?: number;
  readonly ovenC?: number;
  readonly attention?: Step["attention"];
  readonly hands?: number;
  /** What it is like too early, right and too late, and what can hurt. */
  readonly early?: string;
  readonly right?: string;
  readonly late?: string;
  readonly caution?: string;
  /** How long it may wait afterwards, and keep its best, min. */
  readonly holdMin?: number;
  /** What it took here, min; null forgets it. */
  readonly tookMin?: number | null;
}

/** A step's equipment whose heat the cook sets: the oven's or the oil's. */
export const heatedBy = (step: Step) =>
  step.equipment.find((e) => (e.id === "oven" || e.id === "fryer") && e.settingC !== undefined);

/** Changes a step of an item. Issues: `unknown` step, `inconsistent` rest (not shortest ≤ usual ≤ longest), `out_of_range`. */
export function editStep(item: Item, id: string, edit: StepEdit): Result<Item> {
  const step = item.steps.find((s) => s.id === id);
  if (!step) return fail({ code: "unknown", path: ["step"], got: id, wanted: "a step of this item" });
  const rest = step.rest && {
    ...step.rest,
    min: edit.restMin ?? step.rest.min,
    target: edit.restTarget ?? step.rest.target,
    max: edit.restMax ?? step.rest.max,
  };
  if (rest && !(rest.min <= rest.target && rest.target <= rest.max))
    return fail({
      code: "inconsistent",
      path: ["rest"],
      got: `${rest.min}, ${rest.target}, ${rest.max}`,
      wanted: "a shortest, a usual and a longest time that go up",
    });
  const oven = heatedBy(step);
  const took = edit.tookMin === undefined ? step.tookMin : (edit.tookMin ?? undefined);
  const next = StepSchema.safeParse({
    ...step,
    do: edit.do ?? step.do,
    title: edit.title?.trim() === "" ? undefined : (edit.title ?? step.title),
    time: { fixedMin: edit.fixedMin ?? step.time.fixedMin, secPerPiece: edit.secPerPiece ?? step.time.secPerPiece },
    ...(rest && { rest }),
    ...(edit.fixedMin !== undefined && step.tend && { tend: tendWithin(step, edit.fixedMin) }),
    tookMin: took,
    attention: edit.attention ?? step.attention,
    hands: edit.attention === "hands-on" ? Math.max(1, step.hands) : edit.attention ? 0 : (edit.hands ?? step.hands),
    ...cueAfter(step, edit),
    caution: edit.caution ?? step.caution,
    ...(step.hold && edit.holdMin !== undefined && { hold: { ...step.hold, maxMin: edit.holdMin } }),
    equipment: step.equipment.map((e) => (e === oven && edit.ovenC !== undefined ? { ...e, settingC: edit.ovenC } : e)),
  });
  if (!next.success) {
    const [issue] = next.error.issues;
    return fail({
      code: "out_of_range",
      path: issue.path as string[],
      wanted: WANTED[String(issue.path[0])] ?? "a time from 0 to 20000 min and a heat up to 320 °C",
    });
  }
  return ok({ ...item, steps: item.steps.map((s) => (s === step ? next.data : s)) });
}

const WANTED: Readonly<Record<string, string>> = {
  hands: "0 to 6 pairs of hands",
  title: `a name of at most ${LONGEST_TITLE} letters`,
};

/** A cue with what was typed of it; what is emptied is not said any more. */
function cueAfter({ cue }: Step, { early, right, late }: StepEdit): Pick<Step, "cue"> {
  if (early === undefined && right === undefined && late === undefined) return {};
  const next = {
    ...cue,
    ...(early !== undefined && { early }),
    ...(right !== undefined && { see: right }),
    ...(late !== undefined && { late }),
  };
  return { cue: Object.fromEntries(Object.entries(next).filter(([, text]) => text !== "")) };
}

/** Looks after the start that a shorter time no longer reaches fall away. */
const tendWithin = (step: Step, fixedMin: number) =>
  step.tend!.filter((t) => t.fromMin < 0 || t.fromMin + t.minutes <= fixedMin || step.time.secPerPiece > 0);

/** Takes a step out; what came after it comes after what it came after. The last step of all stays. */
export function removeStep(item: Item, id: string): Item {
  const gone = item.steps.find((s) => s.id === id);
  if (!gone || item.steps.length === 1) return item;
  return {
    ...item,
    steps: without(item.steps, id),
    finish: item.finish.filter((entry) => entry.step !== id),
    faults: item.faults.map((fault) => ({ ...fault, steps: fault.steps.filter((s) => s !== id) })),
    schools: item.schools.map((school) => ({
      ...school,
      options: school.options.map((option) => ({
        ...option,
        changes: option.changes.filter((change) => change.step !== id),
        finish: option.finish?.filter((entry) => entry.step !== id),
      })),
    })),
    filling: withoutChangesOf(item.filling, id),
  };
}

/** A filling, and the others, without what they change about a step. */
function withoutChangesOf(filling: Item["filling"], id: string): Item["filling"] {
  const isOther = ({ step }: { readonly step: string }) => step !== id;
  const { stepChanges } = filling;
  return { ...withVariantChanges(filling, isOther), ...(stepChanges && { stepChanges: stepChanges.filter(isOther) }) };
}

/** A filling whose others keep some of what they change about steps. */
export const withVariantChanges = (
  filling: Item["filling"],
  isKept: (change: { readonly step: string }) => boolean,
): Item["filling"] => ({
  ...filling,
  ...(filling.variants && {
    variants: filling.variants.map((variant) => ({ ...variant, stepChanges: variant.stepChanges.filter(isKept) })),
  }),
});

const READY_MIN = { first: 12, open: 2, second: 3 } as const;

/**
 * A crust that is baked before it is filled: with weights, the weights off and pricked by hand, without weights; two
 * slots of the oven with the hands between. Issues: `inconsistent` (it is baked blind already, or has no oven bake).
 */
export function addBlindBake(item: Item): Result<Item> {
  const bake = item.steps.find((s) => s.kind === "bake");
  const fill = item.steps.find((s) => s.kind === "fill");
  if (!bake || !fill || item.steps.some((s) => s.kind === "blind-bake"))
    return fail({ code: "inconsistent", path: ["steps"], wanted: "a filled piece baked in an oven that is not baked blind yet" });
  const shaped = item.steps.slice(0, item.steps.indexOf(fill)).findLast((s) => s.part === "piece");
  const ids = ["blind", "weights-off", "blind-again"].map((name) => `${fill.id}-${name}`);
  const base = { part: "piece" as const, path: fill.path, hands: 0, time: { fixedMin: 0, secPerPiece: 0 } };
  const slot = (id: string, fixedMin: number, after: string | undefined, text: string): Step =>
    StepSchema.parse({
      ...base,
      id,
      kind: "blind-bake",
      do: text,
      attention: "none",
      lot: "load",
      time: { fixedMin, secPerPiece: 0 },
      equipment: bake.equipment,
      after: after ? [{ step: after }] : [],
    });
  const steps: Step[] = [
    slot(ids[0], READY_MIN.first, shaped?.id, "Bake the empty cases with paper and weights in them."),
    StepSchema.parse({
      ...base,
      id: ids[1],
      kind: "dock",
      do: "Weights and paper off, prick the bases, trim what has shrunk while it is warm.",
      attention: "hands-on",
      hands: 1,
      lot: "load",
      time: { fixedMin: READY_MIN.open, secPerPiece: 0 },
      equipment: bake.equipment.filter((e) => e.id !== "oven"),
      after: [{ step: ids[0], maxGapMin: 5 }],
      caution: "Hot tins and weights: mitts, and somewhere to put the weights down.",
    }),
    slot(ids[2], READY_MIN.second, ids[1], "Back in without weights until the base is dry."),
  ];
  return ok({
    ...item,
    steps: item.steps.flatMap((s) =>
      s === fill ? [...steps, { ...s, after: [...s.after.filter((link) => link.step !== shaped?.id), { step: ids[2] }] }] : [s],
    ),
  });
}
