import type { Change, ChangeKind } from "./change";
import type { Plan } from "../schema";

/** What a change brings. All in minutes. */
export interface Gain {
  readonly id: string;
  readonly kind: ChangeKind;
  /** Whether a timetable was found with the change. */
  readonly possible: boolean;
  /** No timetable, but none of what rules one out beforehand either: together with another change it might do. */
  readonly near: boolean;
  /** By how much later the first hands-on work begins, < 0: earlier; undefined without a plan to compare with. */
  readonly laterStart?: number;
  /** By how much less a piece waits for the table, on average, < 0: more. */
  readonly fresher?: number;
}

const startOf = (plan: Plan): number => Math.min(...plan.solution.tasks.map((task) => task.start));

/** How long a piece waits for the table, on average, min; what goes into the freezer waits for nobody. */
export function waitOf({ serves }: Plan): number {
  const eaten = serves.filter((serve) => serve.for !== "freezer");
  const pieces = eaten.reduce((sum, serve) => sum + serve.pieces, 0);
  return pieces === 0 ? 0 : eaten.reduce((sum, { at, ready, pieces: n }) => sum + n * (at - ready), 0) / pieces;
}

/** Reasons that only a search for a timetable gives. */
const SEARCHED: ReadonlySet<Plan["refusal"][number]["code"]> = new Set([
  "ruled-out",
  "none-found",
  "nearest",
  "too-long",
  "no-room",
  "infeasible-subset",
]);

/** What a change brings against the plan that there is; where there is none, whether it makes one possible. */
export function gainOf({ id, kind }: Pick<Change, "id" | "kind">, plan: Plan, base: Plan | undefined): Gain {
  const possible = plan.solution.status !== "infeasible" && plan.solution.tasks.length > 0;
  const compared = possible && base && base.solution.tasks.length > 0 && plan.origin === base.origin;
  return {
    id,
    kind,
    possible,
    near: !possible && plan.refusal.some(({ code }) => SEARCHED.has(code)),
    ...(compared && {
      laterStart: startOf(plan) - startOf(base),
      fresher: Math.round(waitOf(base) - waitOf(plan)),
    }),
  };
}

/** Ways out that change least for the guests first, where nothing else tells them apart. */
const MILDEST: readonly ChangeKind["code"][] = [
  "together",
  "keep-warm",
  "one-more",
  "bigger-pan",
  "helper",
  "earlier",
  "ahead",
  "otherwise",
  "from-stock",
  "other-filling",
  "later",
  "elsewhere",
  "two-waves",
  "fewer",
  "without",
  "another-day",
  "both",
];

/** The most helpful first: what makes the day possible; then the minutes that it brings; then what changes least for the guests. */
export const byGain = (a: Gain, b: Gain): number =>
  Number(b.possible) - Number(a.possible) ||
  minutesOf(b) - minutesOf(a) ||
  MILDEST.indexOf(a.kind.code) - MILDEST.indexOf(b.kind.code);

const minutesOf = ({ laterStart = 0, fresher = 0 }: Gain): number => laterStart + fresher;
