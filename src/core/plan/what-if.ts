import { clockText, minutesOfClock } from "../shared/clock";
import { alikeGroups } from "../batching/joint";
import { quantitiesOf } from "./quantities";
import type { Plan } from "./schema";
import type { PlanRequest } from "./request";
import { resolveItem } from "../item/resolve";

/** What a change is, in codes. Worded in `what-if-text.ts`. */
export type ChangeKind =
  | { readonly code: "one-more"; readonly equipment: string }
  | { readonly code: "steamer-tier" }
  | { readonly code: "oven-shelf" }
  /** Clock times. */
  | { readonly code: "helper"; readonly from: string; readonly to: string }
  | { readonly code: "together"; readonly part: "dough" | "filling"; readonly items: readonly string[]; readonly apart: boolean }
  | { readonly code: "filling-ahead"; readonly item: string }
  | { readonly code: "without"; readonly item: string }
  | { readonly code: "later"; readonly minutes: number };

/** One change to a day, to see what it would bring. */
export interface Change {
  readonly id: string;
  readonly kind: ChangeKind;
  readonly request: PlanRequest;
}

const LATER_MIN = 15;
/** A helper comes for this hour before the first wave, min. */
const HELP = { from: 90, to: 30 } as const;

type Equipment = PlanRequest["kitchen"]["equipment"];

/** Equipment of which one more could be borrowed. */
const MORE: readonly (keyof Equipment & string)[] = ["tray", "board", "lidded-pan", "hob", "fridge-shelf"];

/** Changes that could help this day: a piece of equipment, hands, work done before, less to make, or more time. */
export function changesFor(request: PlanRequest): Change[] {
  const { kitchen, gathering } = request;
  const { equipment } = kitchen;
  const changes: Change[] = [];
  const used = new Set(
    request.items.flatMap((item) => item.steps.flatMap((step) => step.equipment.flatMap((e) => [e.id, e.or ?? e.id]))),
  );
  const withEquipment = (id: string, kind: ChangeKind, next: object) =>
    changes.push({ id, kind, request: { ...request, kitchen: { ...kitchen, equipment: { ...equipment, ...next } } } });
  for (const key of MORE) {
    const own = equipment[key] as { count: number } | undefined;
    if (own && used.has(key))
      withEquipment(`more-${key}`, { code: "one-more", equipment: key }, { [key]: { ...own, count: own.count + 1 } });
  }
  if (equipment.steamer && used.has("steamer"))
    withEquipment("tier", { code: "steamer-tier" }, { steamer: { ...equipment.steamer, tiers: equipment.steamer.tiers + 1 } });
  if (equipment.oven && used.has("oven"))
    withEquipment(
      "shelf",
      { code: "oven-shelf" },
      {
        oven: { ...equipment.oven, shelfPositions: equipment.oven.shelfPositions + 1 },
      },
    );
  const waves = gathering.waves.filter((wave) => wave.items.length > 0);
  const first = waves.length > 0 ? Math.min(...waves.map((wave) => minutesOfClock(wave.time)!)) : undefined;
  if (first !== undefined && first > HELP.from) {
    const helper = {
      id: "a-helper",
      name: "a helper",
      skill: "intermediate" as const,
      hours: [{ day: 0, from: clockText(first - HELP.from), to: clockText(first - HELP.to) }],
      notFor: [],
    };
    changes.push({
      id: "hands",
      kind: { code: "helper", from: helper.hours[0].from, to: helper.hours[0].to },
      request: { ...request, kitchen: { ...kitchen, cooks: [...kitchen.cooks, helper] } },
    });
  }
  const common = alikeGroups(quantitiesOf(request).expansion.workload.groups);
  if (common.length > 0) {
    const [{ part }] = common[0];
    const names = [...new Set(common.flatMap((set) => set.map((group) => group.item.name)))];
    changes.push({
      id: "together",
      kind: { code: "together", part, items: names, apart: gathering.mixTogether === true },
      request: { ...request, gathering: { ...gathering, mixTogether: !gathering.mixTogether } },
    });
  }
  const recipes = new Set(waves.flatMap((wave) => wave.items.map((entry) => entry.recipe)));
  for (const recipe of recipes) {
    const item = request.items.find((i) => i.id === recipe)!;
    const through = resolveItem(item, {}, "base").steps.findLast(
      (step) => step.part === "filling" && step.path.includes("fresh"),
    );
    if (through && !gathering.doneAhead.some((ahead) => ahead.recipe === recipe))
      changes.push({
        id: `ahead-${recipe}`,
        kind: { code: "filling-ahead", item: item.name },
        request: {
          ...request,
          gathering: { ...gathering, doneAhead: [...gathering.doneAhead, { recipe, through: through.id }] },
        },
      });
    if (recipes.size > 1)
      changes.push({
        id: `without-${recipe}`,
        kind: { code: "without", item: item.name },
        request: {
          ...request,
          gathering: {
            ...gathering,
            waves: gathering.waves.map((wave) => ({ ...wave, items: wave.items.filter((entry) => entry.recipe !== recipe) })),
            rules: [],
          },
        },
      });
  }
  if (waves.length > 0 && waves.every((wave) => minutesOfClock(wave.time)! + LATER_MIN < 24 * 60))
    changes.push({
      id: "later",
      kind: { code: "later", minutes: LATER_MIN },
      request: {
        ...request,
        gathering: {
          ...gathering,
          waves: gathering.waves.map((wave) => ({ ...wave, time: clockText(minutesOfClock(wave.time)! + LATER_MIN) })),
        },
      },
    });
  return changes;
}

export interface Gain {
  readonly id: string;
  readonly kind: ChangeKind;
  /** Whether a timetable was found with the change. */
  readonly possible: boolean;
  /** Minutes that the first hands-on work may begin later, < 0: earlier; undefined without a plan to compare with. */
  readonly laterStart?: number;
  /** What the plan costs less: fresher, shorter. */
  readonly cheaper?: number;
}

const startOf = (plan: Plan): number => Math.min(...plan.solution.tasks.map((task) => task.start));

/** What a change brings against the plan that there is; where there is none, whether it makes one possible. */
export function gainOf(change: Change, plan: Plan, base: Plan | undefined): Gain {
  const possible = plan.solution.status !== "infeasible" && plan.solution.tasks.length > 0;
  const compared = possible && base && base.solution.tasks.length > 0 && plan.origin === base.origin;
  return {
    id: change.id,
    kind: change.kind,
    possible,
    ...(compared && { laterStart: startOf(plan) - startOf(base), cheaper: base.solution.cost - plan.solution.cost }),
  };
}

/** The most helpful first: what makes the day possible, then what makes it cheaper, then what lets it begin later. */
export const byGain = (a: Gain, b: Gain): number =>
  Number(b.possible) - Number(a.possible) || (b.cheaper ?? 0) - (a.cheaper ?? 0) || (b.laterStart ?? 0) - (a.laterStart ?? 0);
