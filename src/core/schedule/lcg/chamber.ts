import { changeover, warmAt, type Chamber, type ModelUse } from "../model";
import type { Moment } from "./moment";
import { Cumulative } from "./cumulative";
import type { Engine } from "./engine";

/** One load that goes, or may go, into a chamber. */
export interface Load {
  readonly task: number;
  readonly start: Moment;
  readonly end: Moment;
  readonly use: ModelUse;
  /** Variable that is 1 where the load takes this chamber; −1: it always does. */
  readonly taken: number;
}

type AddArc = (from: Moment, to: Moment, weight: number, when?: number) => void;

/**
 * Slots, settings, seals, ranks and warm-up of a chamber, pair by pair. Recovery is kept for pairs that no third load can
 * bridge; for others it is looked at on whole schedules (`shortPause`).
 */
export function addChamber(engine: Engine, chamber: Chamber, loads: readonly Load[], arc: AddArc, horizon: number): void {
  const zero = { x: engine.newVar(0, 0), plus: 0 };
  for (const load of loads) {
    const warm = warmAt(chamber, load.use.setting);
    if (warm > 0) arc(zero, load.start, warm, load.taken >= 0 ? 2 * load.taken : -1);
    if (load.use.amount > chamber.slots) engine.addClause(load.taken >= 0 ? [2 * load.taken + 1, 0] : []);
  }
  const canShare = (a: Load, b: Load) => a.use.setting === b.use.setting && a.use.amount + b.use.amount <= chamber.slots;
  const lo = ({ x, plus }: Moment) => engine.lo(x) + plus;
  const hi = ({ x, plus }: Moment) => engine.hi(x) + plus;
  // With whom each load may ever be in together.
  const beside = loads.map((a) =>
    loads.filter((b) => b.task !== a.task && canShare(a, b) && lo(a.start) < hi(b.end) && lo(b.start) < hi(a.end)),
  );
  for (let a = 0; a < loads.length; a++)
    for (let b = a + 1; b < loads.length; b++) {
      // A pause between two may be bridged only by loads that are in with the one and with the other.
      const bridged = beside[a].some((c) => c !== loads[b]) && beside[b].some((c) => c !== loads[a]);
      addPair(engine, { ...chamber, recovery: bridged ? 0 : chamber.recovery }, loads[a], loads[b], arc);
    }
  const total = loads.reduce((sum, load) => sum + load.use.amount, 0);
  if (total <= chamber.slots) return;
  const demands = loads.map(({ start, end, use, taken, task: _ }) => ({
    start: start.x,
    startOffset: start.plus,
    end: end.x,
    endOffset: end.plus,
    amount: use.amount,
    least: start.x === end.x ? end.plus - start.plus : 1,
    taken,
  }));
  const missing = new Int32Array(horizon + 1);
  missing[horizon] = chamber.slots;
  new Cumulative(demands, chamber.slots, missing).addTo(engine);
}

function addPair(engine: Engine, chamber: Chamber, a: Load, b: Load, arc: AddArc): void {
  // Two uses of one task in one chamber lie at the same minutes; slots and settings are all there is to say.
  const unless = [a, b].flatMap((load) => (load.taken >= 0 ? [2 * load.taken + 1, 0] : []));
  if (a.task === b.task) {
    if (a.use.setting !== b.use.setting || a.use.amount + b.use.amount > chamber.slots) engine.addClause(unless);
    return;
  }
  // What the windows keep apart by themselves need not be said.
  const follows = (later: Moment, earlier: Moment, minutes: number) =>
    engine.lo(later.x) + later.plus >= engine.hi(earlier.x) + earlier.plus + minutes;
  /** A 0/1 variable as a switch. */
  const flag = () => 2 * engine.newVar(0, 1);
  const oneOf = (...switches: number[]) => engine.addClause([...unless, ...switches.flatMap((s) => [s, 1])]);
  const apart = a.use.setting !== b.use.setting || a.use.amount + b.use.amount > chamber.slots;
  if (apart) {
    const change = (from: ModelUse, to: ModelUse) => Math.max(chamber.recovery, changeover(chamber, from.setting, to.setting));
    const [ab, ba] = [change(a.use, b.use), change(b.use, a.use)];
    if (!follows(b.start, a.end, ab) && !follows(a.start, b.end, ba)) {
      const [first, second] = [flag(), flag()];
      oneOf(first, second);
      engine.addClause([first ^ 1, 0, second ^ 1, 0]);
      arc(a.end, b.start, ab, first);
      arc(b.end, a.start, ba, second);
    }
  } else {
    if (chamber.recovery > 0 && !follows(b.start, a.end, chamber.recovery) && !follows(a.start, b.end, chamber.recovery)) {
      const [first, second, together] = [flag(), flag(), flag()];
      oneOf(first, second, together);
      arc(a.end, b.start, chamber.recovery, first);
      arc(b.end, a.start, chamber.recovery, second);
      arc(a.start, b.end, 1, together);
      arc(b.start, a.end, 1, together);
    }
    for (const [sealed, other] of [
      [a, b],
      [b, a],
    ]) {
      const { sealed: minutes } = sealed.use;
      if (minutes < 2) continue;
      for (const moment of [other.start, other.end]) {
        if (follows(sealed.start, moment, 0) || follows(moment, sealed.start, minutes)) continue;
        const [before, after] = [flag(), flag()];
        oneOf(before, after);
        arc(moment, sealed.start, 0, before);
        arc(sealed.start, moment, minutes, after);
      }
    }
  }
  if (chamber.ranked && a.use.rank !== b.use.rank) {
    const [low, high] = a.use.rank < b.use.rank ? [a, b] : [b, a];
    if (follows(high.start, low.start, 0)) return;
    const ordered = unless.length > 0 ? flag() : -1;
    if (ordered >= 0) oneOf(ordered);
    arc(low.start, high.start, 0, ordered);
  }
}

/**
 * Looks for a load that comes too soon after the group before it.
 * @param at  [start, end) of each load that is in this chamber, min, any order
 * @returns positions of the load that is last in the group before, and of the one that comes too soon; undefined where
 * every pause is long enough
 */
export function shortPause(
  at: readonly (readonly [number, number])[],
  recovery: number,
): { readonly before: number; readonly after: number } | undefined {
  let before = -1;
  for (const after of at.map((_, k) => k).sort((a, b) => at[a][0] - at[b][0])) {
    const pause = before < 0 ? recovery : at[after][0] - at[before][1];
    if (pause >= 0 && pause < recovery) return { before, after };
    if (before < 0 || at[after][1] > at[before][1]) before = after;
  }
  return undefined;
}
