import { addMinutes, format, parseISO } from "date-fns";
import { gatheringDate } from "@/core/gathering/calendar";
import { minutesOfClock } from "@/core/shared/clock";
import type { Issue } from "@/core/shared/issue";
import { parseRequest } from "@/core/plan/request-check";
import { quantitiesOf, type Quantities } from "@/core/plan/quantities";
import type { OwnIngredient } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import type { PlanRequest } from "@/core/plan/request";
import { GatheringSchema, type GatheringInput } from "@/core/gathering/schema";
import type { Kitchen } from "@/core/kitchen/schema";

/** Most seconds a plan is looked for and improved in the browser. */
export const PLAN_SECONDS = 20;

/** A gathering as it stands in the form: numbers may be empty or absurd while they are typed. */
export type Draft = GatheringInput;

export interface Source {
  /** All items, those put away included: a gathering may still name them. */
  readonly items: readonly Item[];
  /** Ids of the items that can be added. */
  readonly inUse: readonly string[];
  /** Those that can be chosen, and the one that the gathering is held in. */
  readonly kitchens: readonly Kitchen[];
  /** The kitchen as it was when the plan at hand was made, where it has changed since: the plan keeps to it. */
  readonly planned?: Kitchen;
  /** What the cook knows better about ingredients. */
  readonly own?: readonly OwnIngredient[];
  /** yyyy-mm-dd */
  readonly today: string;
  /** IANA name of the zone that dates and times are in. */
  readonly zone: string;
  /** Time of day, hh:mm; at first that at which the page was asked for. */
  readonly now: string;
}

/** What is known of a day some minutes later. */
export function afterMinutes(source: Source, minutes: number): Source {
  if (minutes <= 0) return source;
  const then = addMinutes(parseISO(`${source.today}T${source.now}`), minutes);
  return { ...source, today: format(then, "yyyy-MM-dd"), now: format(then, "HH:mm") };
}

/** The ids of the items that a draft names. */
const named = (draft: Draft): Set<string> =>
  new Set([
    ...(draft.waves ?? []).flatMap((wave) => wave.items.map((i) => i.recipe)),
    ...(draft.freezer ?? []).map((i) => i.recipe),
  ]);

/** The kitchen that a draft is held in. */
export function kitchenOf(draft: Pick<Draft, "kitchen">, { kitchens, planned }: Pick<Source, "kitchens" | "planned">): Kitchen {
  const chosen = kitchens.find(({ id }) => id === draft.kitchen) ?? kitchens[0];
  return planned?.id === chosen.id ? planned : chosen;
}

/** The plan request for a draft: only the items it names, the kitchen, today. */
export function requestOf(draft: Draft, source: Source) {
  const { items, own, today, zone, now } = source;
  const wanted = named(draft);
  const doneAhead = (draft.doneAhead ?? []).filter((a) => wanted.has(a.recipe));
  const ahead = draft.ahead?.filter((a) => wanted.has(a.recipe));
  const used = items.filter((item) => wanted.has(item.id));
  // A rule stays when an item goes, for the steps of the others; it comes back to its own when the item does.
  const steps = new Set(used.flatMap((item) => item.steps.map((step) => step.id)));
  const rules = draft.rules?.map((rule) => ({ ...rule, steps: rule.steps?.filter((id) => steps.has(id)) }));
  return {
    format: "unisynth-request/1" as const,
    today,
    now,
    zone,
    items: used.length > 0 ? used : items.slice(0, 1),
    kitchen: kitchenOf(draft, source),
    ...(own && own.length > 0 && { own: [...own] }),
    gathering: { ...draft, doneAhead, ...(ahead && { ahead }), ...(rules && { rules }) },
    solve: { seconds: PLAN_SECONDS, seed: 1 },
  };
}

export type Checked =
  | { readonly ok: true; readonly request: PlanRequest; readonly quantities: Quantities }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** Whether a draft can be stored: a plan may still wait for a field of it. */
export const gatheringIsRight = (draft: Draft): boolean => GatheringSchema.safeParse(draft).success;

/** Checks a draft and computes everything that needs no timetable. */
export function checkDraft(draft: Draft, source: Source): Checked {
  const parsed = parseRequest(requestOf(draft, source));
  if (!parsed.ok) return { ok: false, issues: parsed.issues };
  const past = pastWaves(parsed.value, source);
  if (past.length > 0) return { ok: false, issues: past };
  return { ok: true, request: parsed.value, quantities: quantitiesOf(parsed.value) };
}

/** Waves of today whose time is over. */
function pastWaves({ gathering, today }: PlanRequest, { now }: Source): Issue[] {
  if (gatheringDate(gathering.date, today) !== today) return [];
  return gathering.waves.flatMap((wave, w): Issue[] =>
    wave.items.length > 0 && minutesOfClock(wave.time)! <= minutesOfClock(now)!
      ? [{ code: "out_of_range", path: ["gathering", "waves", w, "time"], got: wave.time, wanted: `a time after now (${now})` }]
      : [],
  );
}

/** What a plan depends on, as a text to compare: the same text, the same plan. */
export const planKey = (request: Pick<PlanRequest, "today" | "gathering" | "kitchen" | "items">): string =>
  JSON.stringify([gatheringDate(request.gathering.date, request.today), request.gathering, request.kitchen, request.items]);
