import { freshId } from "../shared/fresh-id";
import { fail, ok, type Result } from "../shared/issue";
import { FRIDGE_HOURS } from "../tables/keeping";
import { isYeast } from "../ingredients/lookup";
import { doughComponents } from "./desk";
import type { Item } from "./schema";
import { StepSchema, type Step } from "./step";
import { workMinutes } from "./step-minutes";
import { inOrder, without, withAfter } from "./step-order";

/** What a cook can put between two steps. */
export const ADDABLE = ["rest", "chill", "night", "work", "second-bake"] as const;
export type Addable = (typeof ADDABLE)[number];

/** Waits, min: ready, as usual, too far. */
const REST = { min: 10, target: 20, max: 60 } as const;
const CHILL = { min: 20, target: 30 } as const;
const NIGHT = { min: 480, target: 600 } as const;
/** Yeast goes on in the cold, and is too far after so long, min. */
const YEAST_NIGHT_MAX = 960;
const FRIDGE_C = 4;
const ROOM_C = 21;
const WORK_MIN = 5;
const SECOND_BAKE = { minutes: 10, lowerC: 20, leastC: 100 } as const;
/** Shares of a fridge shelf: a packet of dough, a bowl, a carrier of pieces. */
const SHELF: Readonly<Record<Step["part"], number>> = { dough: 0.25, filling: 0.5, piece: 1 };
/** Where nobody says how long something keeps in the fridge, h: one night. */
const UNKNOWN_HOURS = 12;

/** Hours that what a step leaves behind keeps in the fridge: by the item's own word, else the shortest of its kind, else a night. */
function keepsHours(item: Item, step: Step): number {
  const said = item.steps.find(({ part, ahead }) => part === step.part && ahead?.where === "fridge")?.ahead?.hours;
  if (step.part === "piece") return item.storage?.fridge?.rawHours || FRIDGE_HOURS["shaped-raw-fish"];
  return said ?? UNKNOWN_HOURS;
}

/** On what pieces lie after a step. */
const carriersOf = (step: Step): Step["equipment"] =>
  step.equipment.filter(({ id }) => ["tray", "board", "steamer-tier"].includes(id)).map(({ id, or }) => ({ id, or }));

const ID: Readonly<Record<Addable, string>> = {
  rest: "extra-rest",
  chill: "extra-chill",
  night: "night",
  work: "extra-work",
  "second-bake": "second-bake",
};
const WORK_KIND: Readonly<Record<Step["part"], Step["kind"]>> = { dough: "knead", filling: "mix", piece: "preshape" };

function addedStep(item: Item, place: Step, what: Addable, id: string): Step {
  const base = { id, part: place.part, path: place.path, lot: place.lot, sources: { minutes: "cook" as const } };
  const isRising = place.part !== "filling" && doughComponents(item).some((line) => isYeast(line));
  const waiting = { ...base, attention: "none", hands: 0, tend: [{ fromMin: 0, minutes: 1 }] };
  switch (what) {
    case "rest":
      return StepSchema.parse({
        ...waiting,
        kind: "bench-rest",
        do: "Cover it and let it rest.",
        equipment: place.part === "piece" ? carriersOf(place) : [],
        rest: { ...REST, atC: ROOM_C, where: "room", ...(isRising && { yeasted: true }) },
      });
    case "chill":
    case "night": {
      const hours = keepsHours(item, place);
      const longest = isRising ? Math.min(hours * 60, YEAST_NIGHT_MAX) : hours * 60;
      const wanted = what === "night" ? NIGHT : CHILL;
      const min = Math.min(wanted.min, longest);
      return StepSchema.parse({
        ...waiting,
        kind: "chill",
        do: what === "night" ? "Cover it; into the fridge overnight." : "Cover it; into the fridge until it is cold through.",
        equipment: [{ id: "fridge-shelf", amount: SHELF[place.part] }, ...(place.part === "piece" ? carriersOf(place) : [])],
        rest: { min, target: Math.min(wanted.target, longest), max: longest, atC: FRIDGE_C, where: "fridge" },
        ahead: { hours, where: "fridge" },
      });
    }
    case "work":
      return StepSchema.parse({
        ...base,
        kind: WORK_KIND[place.part],
        do: "",
        attention: "hands-on",
        hands: 1,
        time: { fixedMin: WORK_MIN, secPerPiece: 0 },
        equipment: [{ id: "worktop" }, ...(place.part === "piece" ? carriersOf(place) : [])],
      });
    case "second-bake":
      return StepSchema.parse({
        ...base,
        kind: "bake",
        do: "Back into the oven at the second setting.",
        attention: "glance",
        hands: 0,
        tend: [
          { fromMin: 0, minutes: 1 },
          { fromMin: -1, minutes: 1 },
        ],
        time: { fixedMin: SECOND_BAKE.minutes, secPerPiece: 0 },
        equipment: place.equipment.map((one) =>
          one.id === "oven" && one.settingC !== undefined
            ? { ...one, settingC: Math.max(SECOND_BAKE.leastC, one.settingC - SECOND_BAKE.lowerC) }
            : one,
        ),
      });
  }
}

/** What can be added behind a step: nothing waits or is baked again after it is served or bagged. */
export function addableAfter(step: Step): Addable[] {
  if (["serve", "bag", "freeze", "reheat"].includes(step.kind)) return [];
  if (step.kind === "bake") return ["work", "second-bake"];
  // Hot pieces go on at once; what rests after the heat has its own step.
  if (["steam", "fry", "pan-fry", "blind-bake", "cool", "hold-warm"].includes(step.kind)) return ["work"];
  return ["rest", "chill", "night", "work"];
}

/**
 * Puts a step of the cook's own behind another. It takes what such a step takes: hands, a place in the fridge, the oven.
 * Issues: `unknown` step; `inconsistent` where such a step has no place there.
 */
export function addStep(item: Item, after: string, what: Addable): Result<{ item: Item; id: string }> {
  const place = item.steps.find(({ id }) => id === after);
  if (!place) return fail({ code: "unknown", path: ["step"], got: after, wanted: "a step of this item" });
  if (!addableAfter(place).includes(what))
    return fail({ code: "inconsistent", path: ["step"], got: what, wanted: `one of: ${addableAfter(place).join(", ")}` });
  const id = freshId(
    ID[what],
    item.steps.map((step) => step.id),
  );
  return ok({ item: { ...item, steps: withAfter(item.steps, after, addedStep(item, place, what, id)) }, id });
}

/** The step of the same part right before one, and right after it, where there is one. */
function neighbours({ steps }: Item, id: string): { before?: Step; after?: Step } {
  const step = steps.find((one) => one.id === id);
  const isLike = (other: Step | undefined) =>
    other !== undefined && other.part === step?.part && other.path.some((path) => step.path.includes(path));
  const before = steps.find((other) => step?.after[0]?.step === other.id);
  const after = steps.find((other) => other.after.some((link) => link.step === id));
  return { ...(isLike(before) && { before }), ...(isLike(after) && { after }) };
}

/** Whether a step can change places with the one before or after it. */
export const canMove = (item: Item, id: string, way: "earlier" | "later"): boolean =>
  neighbours(item, id)[way === "earlier" ? "before" : "after"] !== undefined;

/** A step changes places with its neighbour of the same part. Issues: `unknown` step; `inconsistent`: it has none on that side. */
export function moveStep(item: Item, id: string, way: "earlier" | "later"): Result<Item> {
  const step = item.steps.find((one) => one.id === id);
  if (!step) return fail({ code: "unknown", path: ["step"], got: id, wanted: "a step of this item" });
  const { before, after } = neighbours(item, id);
  if (way === "later") {
    if (!after) return fail({ code: "inconsistent", path: ["step"], got: id, wanted: "a step of the same part after it" });
    return ok({ ...item, steps: inOrder(withAfter(without(item.steps, id), after.id, step)) });
  }
  if (!before) return fail({ code: "inconsistent", path: ["step"], got: id, wanted: "a step of the same part before it" });
  // Earlier is the same as the other one later.
  return ok({ ...item, steps: inOrder(withAfter(without(item.steps, before.id), id, before)) });
}

/** Halves a figure, in tenths of a minute or whole seconds. */
const half = (figure: number, unit: number): number => Math.round((figure / 2) * unit) / unit;

/**
 * One step becomes two of half its time, such as a bake at two settings. What it ends with (core, hold, cue, keeping) and what
 * the item says of it elsewhere are the second's, which keeps its id.
 * Issues: `unknown` step; `inconsistent`: it takes no time that could be divided.
 * @returns the item, and the id of the first half
 */
export function splitStep(item: Item, id: string): Result<{ item: Item; id: string }> {
  const step = item.steps.find((one) => one.id === id);
  if (!step) return fail({ code: "unknown", path: ["step"], got: id, wanted: "a step of this item" });
  const { time, rest, tend } = step;
  if (!rest && workMinutes(step, item.base.pieces) < 2)
    return fail({ code: "inconsistent", path: ["time"], got: time.fixedMin, wanted: "a step of two minutes at least" });
  // Whole minutes that either half lasts at least.
  const shortest = Math.floor((rest?.min ?? time.fixedMin) / 2);
  const halved = {
    time: { fixedMin: half(time.fixedMin, 10), secPerPiece: half(time.secPerPiece, 1) },
    ...(rest && { rest: { ...rest, min: half(rest.min, 1), target: half(rest.target, 1), max: half(rest.max, 1) } }),
  };
  const { coreC: _core, hold: _hold, cue: _cue, ahead: _ahead, tookMin: _took, ...shared } = step;
  const first: Step = {
    ...shared,
    ...halved,
    id: freshId(
      `${id}-first`,
      item.steps.map((one) => one.id),
    ),
    // Looks from the start are the first half's as far as it goes, those before the end the second's.
    ...(tend && { tend: tend.filter((one) => one.fromMin >= 0 && one.fromMin + one.minutes <= shortest) }),
  };
  const second: Step = {
    ...step,
    ...halved,
    time: { fixedMin: time.fixedMin - halved.time.fixedMin, secPerPiece: time.secPerPiece - halved.time.secPerPiece },
    tookMin: undefined,
    after: [{ step: first.id }],
    ...(tend && { tend: tend.filter((one) => one.fromMin < 0 && -one.fromMin <= shortest) }),
  };
  return ok({ item: { ...item, steps: item.steps.flatMap((one) => (one === step ? [first, second] : [one])) }, id: first.id });
}
