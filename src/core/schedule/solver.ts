import { seeded, type Chance } from "../shared/random";
import type { Budget } from "./budget";
import { whyNone, whyNotFound } from "./explain";
import { LearningSearch, luby } from "./learning/learning-search";
import { compile, type Model } from "./model";
import { freeAround, freeSome } from "./neighbourhood";
import type { Problem } from "./problem";
import { costOf, Search, type Guess, type Schedule } from "./search";
import type { Solution } from "./solution";
import { shopBound, shopOf, type Shop } from "./jobshop/shop";
import { pieceOf } from "./learning/piece";
import { Shares } from "./learning/shares";
import { Orders } from "./timing/order";
import { retime, sameOrder } from "./timing/retime";
import { ShopTabu } from "./jobshop/tabu";
import { clusterWishes, isAimed, lateTasks, wishFor } from "./wishes";

/**
 * A solution; `proof` where it says infeasible and no schedule exists for certain: because some task has no room even
 * alone ("windows"), or because the whole search came to its end ("search").
 */
export type Answer = Solution & { readonly proof?: "windows" | "search" };

const EQUAL = 1e-6;
/** Costs that differ by less than this are not told apart when something cheaper is looked for. */
const CHEAPER = 1e-4;

/** Up to this many tasks the search that learns is built; beyond, its variables would take too much room. */
const LEARNING_MOST = 400;
/** Up to this many tasks it is set on the whole problem only, beyond on neighbourhoods as well. */
const WHOLE_MOST = 60;
/** Up to this many tasks it is set on the whole problem now and then, for the bound and the proof; beyond, neighbourhoods are cut out for it. */
const PROVING_MOST = 200;

/** Repairs of one partial schedule without progress before something else has its turn. */
const REPAIRS = 120;
/** The same for the first one of a small problem, which the search that learns does in no time. */
const FIRST_REPAIRS = 30;
/** Dead ends within one cluster after which a first dive leaves it to the repairs. */
const PATIENCE = 12;
/** Further passes over what a first dive left out, and the places tried and dead ends allowed in them. */
const MORE_PASSES = 2;
const CLOSER = 30;
/** As long as a dive made the schedule better in the last so many steps, dives have most of the turns; then the search that learns. */
const DIVES_PAY = 120;
/** Tasks in each share for the bound at first; twice as many when those are settled, and so on. */
const FIRST_SHARE = 40;
/** Looks at shares in one step. */
const LOOKS = 8;
/** Up to this many tasks the search on everything has its full measure of dead ends; beyond, each costs more and it has fewer. */
const WHOLE_EASY = 80;
/** Steps between two turns of the search that learns on everything. */
const WHOLE_EVERY = 50;
/** Dead ends that the search that learns may have on a neighbourhood, and the sizes of these. */
const NEAR = { conflicts: 60, least: 10, more: 50 } as const;
/** Minutes by which a task of a neighbourhood that is cut out may move either way. */
const REACH = [30, 90, 240, 1000] as const;
/** Schedules that cost up to this factor of the best get their best times before they are judged. */
const WORTH_TIMING = 1.03;
/** On a large day only what is so near to a change gets new times, min: what is further off has the best already. */
const NEAR_CHANGE = 90;
/** Shifts after which the search for the best times ends. */
const MOST_SHIFTS = 500;
/** Moves of the job-shop's search in one step of improvement. */
const SHOP_MOVES = 1000;
/** A first dive that leaves out no more than this share says that the day has room. */
const ROOMY_LEFT = 0.2;
/** Dead ends that the search that learns may have in its first turn at a first schedule. */
const FIRST_CONFLICTS = 400;

interface Repairing {
  readonly budget: Budget;
  readonly state: { steps: number };
  readonly spent: () => boolean;
  readonly aims: boolean;
  readonly home?: (task: number) => number;
}

/**
 * One problem and all that was found and learned about it so far; a search that ran into a limit goes on from there.
 * Two searches work together: dives that place task after task and repair what they leave undone, quick in large and
 * roomy problems; and one that learns from dead ends, which finds its way where little fits, and proves.
 */
export class Solver {
  best: Schedule | undefined;
  private readonly model: Model;
  private readonly chance: Chance;
  private readonly search: Search;
  private readonly late: Uint8Array;
  private readonly floor: number;
  private made: LearningSearch | undefined;
  private rounds = 0;
  /** The fullest partial schedule of the last dive and its repairs. */
  private fullest: Schedule | undefined;
  private placed = 0;
  /** The partial schedule with the fewest tasks left out so far. */
  private nearest: Schedule | undefined;
  private nearestLeft = Infinity;
  /** The job-shop that the problem is, where it is one, and the search for it. */
  private readonly shop: Shop | undefined;
  private tabu: ShopTabu | undefined;
  private orders: Orders | undefined;
  private shares: Shares | undefined;
  private shareMost = FIRST_SHARE / 2;
  private sharesBound = 0;

  constructor(
    private readonly problem: Problem,
    seed: number,
  ) {
    this.model = compile(problem);
    this.chance = seeded(seed);
    this.search = new Search(this.model, this.chance);
    this.late = lateTasks(this.model);
    this.shop = this.search.stuck >= 0 ? undefined : shopOf(this.model);
    this.floor =
      this.search.stuck >= 0
        ? 0
        : Math.max(0, this.search.costBound(), this.shop ? this.model.makespan * shopBound(this.shop) : 0);
  }

  /** The search that learns, made when it is first needed. */
  private get learning(): LearningSearch | undefined {
    if (!this.made && this.model.n <= LEARNING_MOST) {
      this.search.clear();
      this.made = new LearningSearch(this.model, this.search.windows.lo, this.search.windows.hi, this.chance);
    }
    return this.made;
  }

  /** Cost that no schedule goes below. */
  get bound(): number {
    return Math.max(this.floor, this.sharesBound, this.made?.bound ?? 0);
  }

  /** Why there is no schedule, or none was found. */
  refusal(): Answer {
    const { search, problem, model } = this;
    const none = { format: "unisynth-solution/1" as const, status: "infeasible" as const, cost: 0, bound: 0, tasks: [] };
    if (search.stuck >= 0) return { ...none, why: whyNone(problem, model, search.stuck), proof: "windows" };
    const proven = this.made?.exhausted === true;
    const leftOut = proven || !this.nearest ? [] : problem.tasks.flatMap((_, i) => (this.nearest!.starts[i] < 0 ? [i] : []));
    return { ...none, why: whyNotFound(problem, model, search, proven, leftOut), ...(proven && { proof: "search" as const }) };
  }

  /** The best schedule so far. */
  solution(): Answer {
    const { problem, model, best } = this;
    if (!best) return this.refusal();
    const cost = costOf(model, best.starts, best.ends);
    const bound = Math.min(this.bound, cost);
    return {
      format: "unisynth-solution/1",
      status: cost - bound <= EQUAL ? "optimal" : "feasible",
      cost,
      bound,
      tasks: problem.tasks.map((task, i) => ({
        id: task.id,
        start: best.starts[i],
        end: best.ends[i],
        taken: task.uses.map((use, u) => (typeof use.resource === "string" ? use.resource : use.resource[best.choices[i][u]])),
      })),
      why: [],
    };
  }

  /** Looks for a first schedule. "none": it is proven that there is none. */
  findFirst(budget: Budget): "found" | "none" | "stopped" {
    if (this.best) return "found";
    if (this.search.stuck >= 0) return "none";
    const { model } = this;
    const state = { steps: 0 };
    const spent = () =>
      budget.spent(() => ({ phase: "first", iterations: state.steps, placed: this.placed, tasks: model.n })) || budget.late();
    while (state.steps < budget.dives && !spent()) {
      const round = this.rounds++;
      this.best = this.diveAndRepair(budget, round, state, spent);
      if (this.best) return "found";
      if (spent()) break;
      const outcome = this.learning?.run({
        conflicts: FIRST_CONFLICTS * luby(round + 1),
        spent,
        late: (task) => this.late[task] === 1,
        // What the dives could place is a good guess of where things go.
        like: this.fullest,
      });
      state.steps++;
      if (outcome?.kind === "none") return "none";
      if (outcome?.kind !== "found") continue;
      this.best = outcome.schedule;
      return "found";
    }
    return "stopped";
  }

  /** A first schedule in the order and with the choices of another one, which need not keep the rules; false where no times do. */
  keepOrder(guess: Guess): boolean {
    const { model, search } = this;
    if (search.stuck >= 0) return false;
    const found = sameOrder(model, this.ordersOf(), guess, MOST_SHIFTS);
    // What the guess had broken already may have given a wrong order: the rules have the last word.
    if (found && search.loosen(found, new Uint8Array(model.n))) this.best = found;
    return this.best !== undefined;
  }

  /**
   * A first schedule near another one, which need not keep the rules: what of it still holds is kept, the rest is placed
   * as near as can be. False where so many repairs in a row come to nothing; the usual search may still find one.
   */
  mend(guess: Guess, budget: Budget, repairs = REPAIRS): boolean {
    const { model, search } = this;
    if (search.stuck >= 0) return false;
    const state = { steps: 0 };
    const spent = () =>
      budget.spent(() => ({ phase: "first", iterations: state.steps, placed: this.placed, tasks: model.n })) || budget.late();
    const home = (task: number) => guess.ends[task];
    search.keepWhatFits(guess);
    const found = search.dive({ deadEnds: 60, tries: 12, below: Infinity, whim: 0, patience: 0, aims: false, wish: home });
    this.best = found ?? this.repair(search.partial!, search.left, repairs, { budget, state, spent, aims: false, home });
    return this.best !== undefined;
  }

  /** One construction dive, then repairs of what it leaves undone until they come to nothing. */
  private diveAndRepair(
    budget: Budget,
    dive: number,
    state: { steps: number },
    spent: () => boolean,
    aims = dive === 0 || this.model.n > LEARNING_MOST,
  ): Schedule | undefined {
    const { model, search, chance } = this;
    state.steps++;
    search.clear();
    search.occupancy.preferScarce(() => (dive === 0 ? 0 : chance.unit()));
    const wishes = clusterWishes(model, this.late, chance, dive === 0 ? 0 : 0.3);
    const found = search.dive({
      deadEnds: 40 + 20 * luby(dive + 1) + model.n,
      tries: 6 + 2 * (dive % 5),
      below: Infinity,
      whim: 0,
      patience: aims ? PATIENCE : 0,
      mostOut: model.n <= LEARNING_MOST ? ROOMY_LEFT * model.n : undefined,
      aims,
      wish: (task) => (aims && isAimed(model, task) ? model.due[task] : wishes[model.cluster[task]]),
    });
    if (found) return found;
    // A day without room is taken from the other end, with repairs.
    if (aims && model.n <= LEARNING_MOST && search.left > ROOMY_LEFT * model.n)
      return this.diveAndRepair(budget, dive, state, spent, false);
    let left = search.left;
    let current = search.partial!;
    const kept = new Uint8Array(model.n);
    for (let pass = 0; aims && pass < MORE_PASSES && left > 0; pass++) {
      // What a quick pass left out has a closer look at the room that is left, before anything is moved for it.
      search.loosen(current, kept);
      const found = search.dive({
        deadEnds: model.n,
        tries: CLOSER,
        below: Infinity,
        whim: 0,
        patience: CLOSER,
        aims: true,
        wish: (task) => (isAimed(model, task) ? model.due[task] : wishes[model.cluster[task]]),
      });
      if (found) return found;
      if (search.left >= left) break;
      left = search.left;
      current = search.partial!;
    }
    return this.repair(current, left, dive === 0 ? FIRST_REPAIRS : REPAIRS, { budget, state, spent, aims });
  }

  /**
   * Frees what stands around the tasks without a place and places all of them anew, until every task has one or so many
   * attempts in a row came to nothing. `home`: where a task is tried first, for a schedule that should stay as it was.
   */
  private repair(
    first: Schedule,
    firstLeft: number,
    patience: number,
    { budget, state, spent, aims, home }: Repairing,
  ): Schedule | undefined {
    const { model, search, chance } = this;
    const freed = new Uint8Array(model.n);
    let current = first;
    let left = firstLeft;
    this.placed = Math.max(this.placed, model.n - left);
    for (let idle = 0; idle < patience && state.steps < budget.dives; idle++) {
      if (spent()) return undefined;
      state.steps++;
      freed.fill(0);
      freeAround(model, current, freed, search.trouble, chance);
      if (!search.loosen(current, freed)) throw new Error("a partial schedule does not fit into its own problem");
      search.occupancy.preferScarce(() => chance.unit());
      const again = clusterWishes(model, this.late, chance, 0.3);
      const contrary = chance.below(3) === 0 ? 0.4 * chance.unit() : 0;
      const mended = search.dive({
        deadEnds: 20 + chance.below(40),
        tries: 4 + chance.below(8),
        below: Infinity,
        whim: chance.below(2) === 0 ? 0 : 5 * chance.unit(),
        patience: 0,
        aims,
        wish: (task) =>
          chance.unit() < contrary
            ? chance.below(2) === 0
              ? "late"
              : "early"
            : home
              ? home(task)
              : aims && isAimed(model, task)
                ? model.due[task]
                : again[model.cluster[task]],
      });
      if (mended) return mended;
      if (search.left > left || !search.partial) continue;
      if (search.left < left) idle = 0;
      left = search.left;
      current = search.partial;
      this.placed = Math.max(this.placed, model.n - left);
    }
    this.fullest = current;
    if (left < this.nearestLeft) {
      this.nearestLeft = left;
      this.nearest = current;
    }
    for (let i = 0; i < model.n; i++) search.trouble[i] = 1 + (search.trouble[i] - 1) * 0.6;
    return undefined;
  }

  /**
   * Improves until the bound is met or the budget is spent. Steps of two kinds take turns: a neighbourhood is freed and
   * placed anew by dives, quick and rough; and the search that learns looks for something cheaper, on the whole of a
   * small problem (which ends in a proof), on a neighbourhood of a large one.
   */
  improve(budget: Budget, better: () => void): void {
    const { model, chance } = this;
    if (!this.best) return;
    const whole = model.n <= WHOLE_MOST;
    // On a large day dives gain more a second, for as long as they gain.
    const learnsEvery = model.n <= PROVING_MOST ? 4 : Infinity;
    const freed = new Uint8Array(model.n);
    let current = this.shop ? this.best : this.timed(this.best);
    if (current !== this.best) {
      this.best = current;
      better();
    }
    let size = Math.min(model.n, 8);
    let leeway = 0;
    let divesGained = 0;
    let iteration = 0;
    const spent = () =>
      budget.spent(() => ({ phase: "improve", iterations: iteration, cost: this.best!.cost, placed: model.n, tasks: model.n }));
    for (; iteration < budget.iterations && this.best.cost > this.bound + EQUAL && !spent(); iteration++) {
      if (this.shop) {
        // A job-shop has a search of its own; the one that learns has a turn now and then, for the proof.
        const found = iteration % 8 === 7 && whole ? this.learnWhole(iteration, spent) : this.shopBetter(this.shop);
        if (!found || found.cost >= this.best.cost - EQUAL) continue;
        this.best = found;
        better();
        continue;
      }
      const turn = Math.floor(iteration / WHOLE_EVERY);
      const proves = iteration % WHOLE_EVERY === WHOLE_EVERY - 1;
      if (proves && !whole && (model.n > PROVING_MOST || turn % 2 === 0) && this.raiseBound(spent)) continue;
      const learns =
        (proves && model.n <= PROVING_MOST) ||
        (!whole && (iteration - divesGained < DIVES_PAY ? iteration % learnsEvery === learnsEvery - 1 : iteration % 4 !== 0));
      let found = learns
        ? proves && model.n <= PROVING_MOST
          ? this.learnWhole(turn, spent)
          : this.learnNear(freed, spent)
        : this.diveAnew(current, freed, size, leeway);
      if (found && (found.cost < this.best.cost * WORTH_TIMING || found.cost < current.cost))
        found = this.timed(found, model.n > PROVING_MOST ? current : undefined);
      if (found && found.cost < current.cost + leeway) {
        current = found;
        if (found.cost < this.best.cost - EQUAL) {
          if (!learns) divesGained = iteration;
          this.best = found;
          better();
        }
      }
      // Wandering a little above the best, now further and now nearer, leaves hollows that no single neighbourhood leaves.
      if (iteration % 200 === 199) leeway = this.best.cost * 0.08 * chance.unit() * chance.unit();
      if (iteration % 500 === 499) current = this.best;
      if (iteration % 16 === 15) size = 3 + chance.below(Math.min(model.n, 40));
    }
  }

  /** The same order and choices at their cheapest times; where a schedule is given, only near what differs from it. */
  private timed(schedule: Schedule, from?: Schedule): Schedule {
    return retime(this.model, this.ordersOf(), schedule, MOST_SHIFTS, from && this.farFrom(schedule, from));
  }

  /** 1 for each task that is further than `NEAR_CHANGE` from all minutes in which two schedules differ. */
  private farFrom(schedule: Schedule, from: Schedule): Uint8Array {
    const { n, horizon } = this.model;
    const near = new Uint8Array(horizon + 1);
    const mark = (a: number, b: number) =>
      near.fill(1, Math.max(0, Math.min(a, b) - NEAR_CHANGE), Math.max(a, b) + NEAR_CHANGE + 1);
    for (let i = 0; i < n; i++) {
      if (schedule.starts[i] !== from.starts[i]) mark(schedule.starts[i], from.starts[i]);
      if (schedule.ends[i] !== from.ends[i]) mark(schedule.ends[i], from.ends[i]);
    }
    const far = new Uint8Array(n);
    for (let i = 0; i < n; i++) far[i] = near[schedule.starts[i]] || near[schedule.ends[i]] ? 0 : 1;
    return far;
  }

  private ordersOf(): Orders {
    if (!this.orders) {
      this.search.clear();
      this.orders = new Orders(this.model, this.search.windows.lo.slice(), this.search.windows.hi.slice());
    }
    return this.orders;
  }

  /** A stretch of the job-shop's own search; undefined where it comes to nothing better. */
  private shopBetter(shop: Shop): Schedule | undefined {
    const { model } = this;
    this.tabu ??= new ShopTabu(shop, this.best!.starts, this.chance);
    const { tabu } = this;
    tabu.run(SHOP_MOVES, this.bound / model.makespan);
    if (tabu.bestEnd > model.horizon || tabu.bestEnd * model.makespan >= this.best!.cost - EQUAL) return undefined;
    const starts = tabu.bestStarts.slice();
    const ends = starts.map((start, i) => start + shop.length[i]);
    return { starts, ends, choices: model.uses.map((uses) => new Int32Array(uses.length)), cost: costOf(model, starts, ends) };
  }

  /** A cheaper schedule by the search that learns, on a neighbourhood of the best. */
  private learnNear(freed: Uint8Array, spent: () => boolean): Schedule | undefined {
    const { learning, model, chance } = this;
    const best = this.best!;
    if (model.n > PROVING_MOST) return this.learnPiece(freed, spent);
    if (!learning) return undefined;
    freed.fill(0);
    freeSome(model, best, freed, NEAR.least + chance.below(NEAR.more), chance);
    const outcome = learning.run({
      target: best.cost - CHEAPER,
      conflicts: NEAR.conflicts,
      spent,
      like: best,
      keep: (task) => freed[task] === 0,
      late: (task) => this.late[task] === 1,
    });
    return outcome.kind === "found" ? outcome.schedule : undefined;
  }

  /** The same with the neighbourhood cut out as a problem of its own: what it costs does not grow with the whole. */
  private learnPiece(freed: Uint8Array, spent: () => boolean): Schedule | undefined {
    const { model, search, chance } = this;
    const best = this.best!;
    freed.fill(0);
    freeSome(model, best, freed, NEAR.least + chance.below(NEAR.more), chance);
    const { low, high } = this.orders!;
    const piece = pieceOf(model, best, freed, low, high, REACH[chance.below(REACH.length)]);
    if (!piece) return undefined;
    const { like, tasks, from } = piece;
    const outcome = new LearningSearch(piece.model, piece.low, piece.high, chance).run({
      target: costOf(piece.model, like.starts, like.ends) - CHEAPER,
      conflicts: NEAR.conflicts,
      spent,
      like,
      late: (k) => k < tasks.length && this.late[tasks[k]] === 1,
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
    const { learning, model } = this;
    const best = this.best!;
    if (!learning) return undefined;
    const gap = best.cost - this.bound;
    const target = Math.min(best.cost - CHEAPER, best.cost - [0.3, 0.03, 0][turn % 3] * gap);
    const conflicts = (400 + 100 * turn) * Math.min(1, WHOLE_EASY / model.n);
    const outcome = learning.run({ target, conflicts, spent, like: best, late: (task) => this.late[task] === 1 });
    return outcome.kind === "found" ? outcome.schedule : undefined;
  }

  /** A few looks at the shares of the day, for the bound; false where nothing is left to be gained by that. */
  private raiseBound(spent: () => boolean): boolean {
    const { model, search } = this;
    if (!this.shares || this.shares.done) {
      if (2 * this.shareMost >= model.n) return false;
      this.shareMost *= 2;
      const { low, high } = this.ordersOf();
      const ends = model.span * search.leastSpan + model.makespan * (search.firstStart + search.leastSpan);
      this.shares = new Shares(model, low, high, this.best!, this.shareMost, ends, this.chance, (task) => this.late[task] === 1);
    }
    for (let look = 0; look < LOOKS && !spent(); look++) this.shares.step(spent);
    this.sharesBound = Math.max(this.sharesBound, this.shares.bound);
    return true;
  }

  /** A neighbourhood of the current schedule is freed and placed anew; undefined where that comes out no better. */
  private diveAnew(current: Schedule, freed: Uint8Array, size: number, leeway: number): Schedule | undefined {
    const { model, search, chance } = this;
    freed.fill(0);
    freeSome(model, current, freed, size, chance);
    if (!search.loosen(current, freed)) throw new Error("a schedule does not fit into its own problem");
    search.occupancy.preferScarce(() => 3 * chance.unit());
    const style = chance.below(4);
    return search.dive({
      deadEnds: 12 + size,
      tries: 8,
      below: chance.below(3) === 0 ? this.best!.cost + leeway * chance.unit() + EQUAL : current.cost - EQUAL,
      whim: 2,
      patience: 0,
      aims: true,
      wish: (task) => wishFor(model, current, task, style, chance),
    });
  }
}
