import type { Budget } from "../budget";
import type { Wish } from "../construct/anchor-walk";
import { luby } from "../lcg/clause-search";
import { freeAround } from "./neighbourhood";
import type { Guess, Schedule } from "../construct/schedule";
import { sameOrder } from "../timing/retime";
import { clusterWishes, isAimed } from "../construct/wishes";
import { LEARNING_MOST, MOST_SHIFTS, type Known } from "./known";

/** Repairs of one partial schedule without progress before something else has its turn. */
const REPAIRS = 120;
/** The same for the first one of a small problem, which the search that learns does in no time. */
const FIRST_REPAIRS = 30;
/** Dead ends within one cluster after which a first pass leaves it to the repairs. */
const PATIENCE = 12;
/** Further passes over what a first pass left out, and the places tried and dead ends allowed in them. */
const MORE_PASSES = 2;
const CLOSER = 30;
/** A first pass that leaves out no more than this share says that the day has room. */
const ROOMY_LEFT = 0.2;
/** Repairs of a first pass that leaves out more than this share have never come to anything. */
const HOPELESS_LEFT = 0.4;
/** Dead ends that the search that learns may have in its first turn. */
const FIRST_CONFLICTS = 800;

interface Repairing {
  readonly budget: Budget;
  readonly state: { steps: number };
  readonly spent: () => boolean;
  readonly aims: boolean;
  readonly home?: (task: number) => number;
}

/**
 * Looks for a first schedule. Two searches work together: passes that place task after task and repair what they leave
 * undone, quick in large and roomy problems; and the one that learns, which finds its way where little fits.
 */
export class FirstSchedule {
  private rounds = 0;
  /** The fullest partial schedule of the last pass and its repairs. */
  private fullest: Schedule | undefined;
  private placed = 0;
  /** The partial schedule with the fewest tasks left out so far. */
  nearest: Schedule | undefined;
  private nearestLeft = Infinity;

  constructor(private readonly known: Known) {}

  /** "none": it is proven that there is no schedule. */
  find(budget: Budget): "found" | "none" | "stopped" {
    const { known } = this;
    if (known.best) return "found";
    if (known.search.stuck >= 0) return "none";
    const state = { steps: 0 };
    const spent = this.spentOf(budget, state);
    while (state.steps < budget.passes && !spent()) {
      const round = this.rounds++;
      known.best = this.diveAndRepair(budget, round, state, spent);
      if (known.best) return "found";
      if (spent()) break;
      const outcome = known.learning?.run({
        conflicts: FIRST_CONFLICTS * luby(round + 1),
        spent,
        late: known.late,
        // What the passes could place is a good guess of where things go.
        like: this.fullest,
      });
      state.steps++;
      if (outcome?.kind === "none") return "none";
      if (outcome?.kind !== "found") continue;
      known.best = outcome.schedule;
      return "found";
    }
    return "stopped";
  }

  /** A first schedule in the order and with the choices of another one, which need not keep the rules; false where no times do. */
  keepOrder(guess: Guess, inOrder = guess): boolean {
    const { known } = this;
    const { model, search } = known;
    if (search.stuck >= 0) return false;
    const found = sameOrder(model, known.orders, guess, MOST_SHIFTS, inOrder);
    // What the guess had broken already may have given a wrong order: the rules have the last word.
    if (found && search.loosen(found, new Uint8Array(model.n))) known.best = found;
    return known.best !== undefined;
  }

  /**
   * A first schedule near another one, which need not keep the rules: what of it still holds is kept, the rest is placed
   * as near as can be. False where so many repairs in a row come to nothing; the usual search may still find one.
   */
  mend(guess: Guess, budget: Budget, repairs = REPAIRS): boolean {
    const { known } = this;
    const { search } = known;
    if (search.stuck >= 0) return false;
    const state = { steps: 0 };
    const spent = this.spentOf(budget, state);
    const home = (task: number) => guess.ends[task];
    search.keepWhatFits(guess);
    const found = search.construct({
      deadEnds: 60,
      tries: 12,
      below: Infinity,
      whim: 0,
      patience: 0,
      aims: false,
      wish: home,
      spent,
    });
    known.best = found ?? this.repair(search.partial!, search.left, repairs, { budget, state, spent, aims: false, home });
    return known.best !== undefined;
  }

  /** Whether the budget is spent or a first schedule would come too late; tells the progress when it is asked. */
  private spentOf(budget: Budget, state: { readonly steps: number }): () => boolean {
    const tasks = this.known.model.n;
    return () =>
      budget.spent(() => ({ phase: "first", iterations: state.steps, placed: this.placed, tasks })) || budget.late(state.steps);
  }

  /** One construction pass, then repairs of what it leaves undone until they come to nothing. */
  private diveAndRepair(
    budget: Budget,
    pass: number,
    state: { steps: number },
    spent: () => boolean,
    aims = pass === 0 || this.known.model.n > LEARNING_MOST,
  ): Schedule | undefined {
    const { model, search, chance, late } = this.known;
    state.steps++;
    search.clear();
    search.occupancy.preferScarce(() => (pass === 0 ? 0 : chance.unit()));
    const wish = this.wish(aims, clusterWishes(model, late, chance, pass === 0 ? 0 : 0.3));
    const found = search.construct({
      deadEnds: 40 + 20 * luby(pass + 1) + model.n,
      tries: 6 + 2 * (pass % 5),
      below: Infinity,
      whim: 0,
      patience: aims ? PATIENCE : 0,
      mostOut: model.n <= LEARNING_MOST ? ROOMY_LEFT * model.n : undefined,
      aims,
      wish,
      spent: () => budget.overdue(),
    });
    if (found) return found;
    if (spent()) return undefined;
    // A day without room is taken from the other end, with repairs.
    if (aims && model.n <= LEARNING_MOST && search.left > ROOMY_LEFT * model.n)
      return this.diveAndRepair(budget, pass, state, spent, false);
    let left = search.left;
    let current = search.partial!;
    const kept = new Uint8Array(model.n);
    for (let pass = 0; aims && pass < MORE_PASSES && left > 0; pass++) {
      // What a quick pass left out has a closer look at the room that is left, before anything is moved for it.
      search.loosen(current, kept);
      const found = search.construct({
        deadEnds: model.n,
        tries: CLOSER,
        below: Infinity,
        whim: 0,
        patience: CLOSER,
        aims: true,
        wish,
        spent,
      });
      if (found) return found;
      if (search.left >= left) break;
      left = search.left;
      current = search.partial!;
    }
    // Where so much is left out the search that learns is sooner there; it takes what stands as its first guess.
    if (pass === 0 && model.n <= LEARNING_MOST && left > HOPELESS_LEFT * model.n) return this.keepPartial(current, left);
    return this.repair(current, left, pass === 0 ? FIRST_REPAIRS : REPAIRS, { budget, state, spent, aims });
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
    const { model, search, chance, late } = this.known;
    const freed = new Uint8Array(model.n);
    let current = first;
    let left = firstLeft;
    this.placed = Math.max(this.placed, model.n - left);
    for (let idle = 0; idle < patience && state.steps < budget.passes; idle++) {
      if (spent()) return undefined;
      state.steps++;
      freed.fill(0);
      freeAround(model, current, freed, search.trouble, chance);
      if (!search.loosen(current, freed)) continue;
      search.occupancy.preferScarce(() => chance.unit());
      const usual = home ?? this.wish(aims, clusterWishes(model, late, chance, 0.3));
      const contrary = chance.below(3) === 0 ? 0.4 * chance.unit() : 0;
      const mended = search.construct({
        deadEnds: 20 + chance.below(40),
        tries: 4 + chance.below(8),
        below: Infinity,
        whim: chance.below(2) === 0 ? 0 : 5 * chance.unit(),
        patience: 0,
        aims,
        spent,
        wish: (task) => (chance.unit() < contrary ? (chance.below(2) === 0 ? "late" : "early") : usual(task)),
      });
      if (mended) return mended;
      if (search.left > left || !search.partial) continue;
      if (search.left < left) idle = 0;
      left = search.left;
      current = search.partial;
      this.placed = Math.max(this.placed, model.n - left);
    }
    this.keepPartial(current, left);
    for (let i = 0; i < model.n; i++) search.trouble[i] = 1 + (search.trouble[i] - 1) * 0.6;
    return undefined;
  }

  /** Where a task is tried first: at its due time where passes aim at those, else at the end that its cluster prefers. */
  private wish(aims: boolean, wishes: readonly Wish[]): (task: number) => Wish {
    const { model } = this.known;
    return (task) => (aims && isAimed(model, task) ? model.due[task] : wishes[model.cluster[task]]);
  }

  private keepPartial(partial: Schedule, left: number): undefined {
    this.fullest = partial;
    this.placed = Math.max(this.placed, this.known.model.n - left);
    if (left >= this.nearestLeft) return undefined;
    this.nearestLeft = left;
    this.nearest = partial;
  }
}
