import type { Budget } from "../budget";
import type { Shop } from "../jobshop/shop";
import { ShopTabu } from "../jobshop/tabu";
import { ClauseSearch } from "../lcg/clause-search";
import { pieceOf } from "../lcg/subproblem";
import { freeSome } from "./neighbourhood";
import { costOf, type Schedule } from "../construct/schedule";
import { wishFor } from "../construct/wishes";
import type { Bounds } from "./bounds";
import { EQUAL, PROVING_MOST, type Known } from "./known";
import { Sideways } from "./plateau-tie-break";

/** Costs that differ by less than this are not told apart when something cheaper is looked for. */
const CHEAPER = 1e-4;
/** Costs that differ by no more than sums are rounded are one cost: many steps sideways must not lead uphill. */
const SAME = 1e-9;
/** Up to this many tasks the search that learns is set on the whole problem only, beyond on neighbourhoods as well. */
const WHOLE_MOST = 28;
/** As long as a pass made the schedule better in the last so many steps, passes have most of the turns; then the search that learns. */
const PASSES_PAY = 120;
/** Up to this many tasks the search on everything has its full measure of dead ends; beyond, each costs more and it has fewer. */
const WHOLE_EASY = 80;
/** Steps between two turns of the search that learns on everything. */
const WHOLE_EVERY = 50;
/**
 * Beyond `WHOLE_MOST` a schedule that became cheaper by more than this share since the last such turn was due has no need of
 * one yet, but for one in so many: neighbourhoods gain more in the time.
 */
const GAINS = 0.005;
const ONE_IN = 8;
/** Dead ends that the search that learns may have on a neighbourhood, and the sizes of these. */
const NEAR = { conflicts: 60, least: 10, more: 50 } as const;
/** Minutes by which a task of a neighbourhood that is cut out may move either way. */
const REACH = [30, 90, 240, 1000] as const;
/** Schedules that cost up to this factor of the best get their best times before they are judged. */
const WORTH_TIMING = 1.03;
/** Up to this many tasks the search that learns tries to prove a job-shop. */
const SHOP_PROVEN = 60;
/** Moves of the job-shop's search in one step. */
const SHOP_MOVES = 1000;

/** What a step of improvement does: a pass on a neighbourhood, the search that learns there or on everything, a turn for the bound. */
type Kind = "pass" | "near" | "whole" | "bound";

/**
 * Every so often a step is for the proof (`forProof`): on everything where that is small enough, on shares of a large day, in
 * turns in between. On neighbourhoods passes gain more a second, for as long as they pay; then the search that learns.
 */
function kindOf(tasks: number, step: number, forProof: boolean, passesPay: boolean): Kind {
  if (forProof) {
    if (tasks > PROVING_MOST) return "bound";
    return tasks > WHOLE_MOST && Math.floor(step / WHOLE_EVERY) % 2 === 0 ? "bound" : "whole";
  }
  if (tasks <= WHOLE_MOST) return "pass";
  if (passesPay) return tasks <= PROVING_MOST && step % 4 === 3 ? "near" : "pass";
  return step % 4 === 0 ? "pass" : "near";
}

/** Makes the best schedule better, step by step. */
export class Improvement {
  private tabu: ShopTabu | undefined;
  private readonly sideways: Sideways;
  /** What the best schedule cost when the last step for the proof was due. */
  private costThen = Infinity;

  /** @param shop the job-shop that the problem is, where it is one */
  constructor(
    private readonly known: Known,
    private readonly bounds: Bounds,
    private readonly shop: Shop | undefined,
  ) {
    this.sideways = new Sideways(known.model);
  }

  /**
   * Improves until the bound is met or the budget is spent. Steps of two kinds take turns: a neighbourhood is freed and
   * placed anew by passes, quick and rough; and the search that learns looks for something cheaper, on the whole of a
   * small problem (which ends in a proof), on a neighbourhood of a large one.
   */
  run(budget: Budget, better: () => void): void {
    const { known, bounds, shop } = this;
    const { model, chance } = known;
    if (!known.best) return;
    const freed = new Uint8Array(model.n);
    let current = shop ? known.best : known.timed(known.best);
    if (current !== known.best) {
      known.best = current;
      better();
    }
    let size = Math.min(model.n, 8);
    let leeway = 0;
    let passesGained = 0;
    let iteration = 0;
    const spent = () =>
      budget.spent(() => ({ phase: "improve", iterations: iteration, cost: known.best!.cost, placed: model.n, tasks: model.n }));
    for (; iteration < budget.iterations && !bounds.met && !spent(); iteration++) {
      if (shop) {
        // A job-shop has a search of its own; the one that learns has a turn now and then, for the proof.
        const found = iteration % 8 === 7 && model.n <= SHOP_PROVEN ? this.learnWhole(iteration, spent) : this.shopBetter(shop);
        if (!found || found.cost >= known.best.cost - EQUAL) continue;
        known.best = found;
        better();
        continue;
      }
      const turn = Math.floor(iteration / WHOLE_EVERY);
      const kind = kindOf(model.n, iteration, this.turnForProof(iteration), iteration - passesGained < PASSES_PAY);
      if (kind === "bound" && bounds.raise(spent)) continue;
      let found =
        kind === "pass"
          ? this.diveAnew(current, freed, size, leeway, spent)
          : kind === "near" || model.n > PROVING_MOST
            ? this.learnNear(freed, spent)
            : this.learnWhole(turn, spent);
      if (found && (found.cost < known.best.cost * WORTH_TIMING || found.cost < current.cost))
        found = known.timed(found, model.n > PROVING_MOST ? current : undefined);
      if (found && Math.abs(found.cost - known.best.cost) <= SAME && this.sideways.roomier(found, known.best))
        known.best = current = found;
      else if (found && found.cost < current.cost + leeway) {
        current = found;
        if (found.cost < known.best.cost - EQUAL) {
          if (kind === "pass") passesGained = iteration;
          known.best = found;
          better();
        }
      }
      // Wandering a little above the best, now further and now nearer, leaves hollows that no single neighbourhood leaves.
      if (iteration % 200 === 199) leeway = known.best.cost * 0.08 * chance.unit() * chance.unit();
      if (iteration % 500 === 499) current = known.best;
      if (iteration % 16 === 15) size = 3 + chance.below(Math.min(model.n, 40));
    }
  }

  /**
   * Whether a step is one for the proof: every so often, but seldom while a larger day becomes cheaper anyway. To be asked
   * once a step, in order: it remembers what the schedule cost when the last one was due.
   */
  private turnForProof(step: number): boolean {
    if (step % WHOLE_EVERY !== WHOLE_EVERY - 1) return false;
    const { model, best } = this.known;
    const gains = this.costThen - best!.cost > GAINS * best!.cost;
    this.costThen = best!.cost;
    return model.n <= WHOLE_MOST || !gains || Math.floor(step / WHOLE_EVERY) % ONE_IN === 0;
  }

  /** A stretch of the job-shop's own search; undefined where it comes to nothing better. */
  private shopBetter(shop: Shop): Schedule | undefined {
    const { model, best, chance } = this.known;
    this.tabu ??= new ShopTabu(shop, best!.starts, chance);
    const { tabu } = this;
    tabu.run(SHOP_MOVES, this.bounds.value / model.makespan);
    if (tabu.bestEnd > model.horizon || tabu.bestEnd * model.makespan >= best!.cost - EQUAL) return undefined;
    const starts = tabu.bestStarts.slice();
    const ends = starts.map((start, i) => start + shop.length[i]);
    return { starts, ends, choices: model.uses.map((uses) => new Int32Array(uses.length)), cost: costOf(model, starts, ends) };
  }

  /** By the search that learns a cheaper schedule, or one of the same cost with more room, on a neighbourhood of the best. */
  private learnNear(freed: Uint8Array, spent: () => boolean): Schedule | undefined {
    const { model, chance, late } = this.known;
    const best = this.known.best!;
    if (model.n > PROVING_MOST) return this.learnPiece(freed, spent);
    const { learning } = this.known;
    if (!learning) return undefined;
    freed.fill(0);
    freeSome(model, best, freed, NEAR.least + chance.below(NEAR.more), chance);
    const { sideways } = this;
    const wanted =
      chance.unit() < sideways.share(best)
        ? {
            target: best.cost,
            // What is freed has no place that it should stay at.
            like: { ...best, starts: best.starts.map((start, i) => (freed[i] ? -1 : start)) },
            late: () => sideways.late,
          }
        : { target: best.cost - CHEAPER, like: best, late };
    const outcome = learning.run({ ...wanted, conflicts: NEAR.conflicts, spent, keep: (task) => freed[task] === 0 });
    return outcome.kind === "found" ? outcome.schedule : undefined;
  }

  /** The same with the neighbourhood cut out as a problem of its own: what it costs does not grow with the whole. */
  private learnPiece(freed: Uint8Array, spent: () => boolean): Schedule | undefined {
    const { model, search, chance, orders, late } = this.known;
    const best = this.known.best!;
    freed.fill(0);
    freeSome(model, best, freed, NEAR.least + chance.below(NEAR.more), chance);
    const { low, high } = orders;
    const piece = pieceOf(model, best, freed, low, high, REACH[chance.below(REACH.length)]);
    if (!piece) return undefined;
    const { like, tasks, from } = piece;
    const outcome = new ClauseSearch(piece.model, piece.low, piece.high, chance).run({
      target: costOf(piece.model, like.starts, like.ends) - CHEAPER,
      conflicts: NEAR.conflicts,
      spent,
      like,
      late: (k) => k < tasks.length && late(tasks[k]),
    });
    if (outcome.kind !== "found") return undefined;
    const found = outcome.schedule;
    const starts = best.starts.slice();
    const ends = best.ends.slice();
    const choices = best.choices.slice();
    tasks.forEach((i, k) => {
      starts[i] = found.starts[k] + from;
      ends[i] = found.ends[k] + from;
      choices[i] = found.choices[k];
    });
    const whole = { starts, ends, choices, cost: costOf(model, starts, ends) };
    freed.fill(0);
    return search.loosen(whole, freed) ? whole : undefined;
  }

  /**
   * The search that learns on everything: now anything cheaper, now a bold step into the gap. Each raises the bound when
   * it fails.
   */
  private learnWhole(turn: number, spent: () => boolean): Schedule | undefined {
    const { learning, model, late } = this.known;
    const best = this.known.best!;
    if (!learning) return undefined;
    const gap = best.cost - this.bounds.value;
    const target = Math.min(best.cost - CHEAPER, best.cost - [0.3, 0.03, 0][turn % 3] * gap);
    const conflicts = (400 + 100 * turn) * Math.min(1, WHOLE_EASY / model.n);
    const outcome = learning.run({ target, conflicts, spent, like: best, late });
    return outcome.kind === "found" ? outcome.schedule : undefined;
  }

  /** A neighbourhood of the current schedule is freed and placed anew; undefined where that comes out no better. */
  private diveAnew(
    current: Schedule,
    freed: Uint8Array,
    size: number,
    leeway: number,
    spent: () => boolean,
  ): Schedule | undefined {
    const { model, search, chance } = this.known;
    const best = this.known.best!;
    freed.fill(0);
    freeSome(model, current, freed, size, chance);
    if (!search.loosen(current, freed)) return undefined;
    search.occupancy.preferScarce(() => 3 * chance.unit());
    const style = chance.below(4);
    return search.construct({
      deadEnds: 12 + size,
      tries: 8,
      below: chance.below(3) === 0 ? best.cost + leeway * chance.unit() + EQUAL : current.cost - EQUAL,
      whim: 2,
      patience: 0,
      aims: true,
      spent,
      wish: (task) => wishFor(model, current, task, style, chance),
    });
  }
}
