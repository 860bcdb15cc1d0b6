import type { Chance } from "../../shared/chance";
import type { Model } from "../model";
import { costOf, type Schedule } from "../construct/schedule";
import { shortPause } from "./chamber";
import { build, type Built } from "./build";
import { type Moment } from "./moment";

export interface ClauseSearchOptions {
  /** Only schedules that cost at most this are wanted; without it any. */
  readonly target?: number;
  /** Dead ends after which the search gives up for now. */
  readonly conflicts: number;
  /** Asked now and then; true ends the search. */
  readonly spent: () => boolean;
  /** Tasks that stay as they are in `like`; without it none does. */
  readonly keep?: (task: number) => boolean;
  /** A schedule to stay close to where nothing speaks against it; tasks that it does not place (−1) go by `late`. */
  readonly like?: Schedule;
  /** Whether a task is tried as late as can be, or as early. Read where no schedule is at hand to follow. */
  readonly late: (task: number) => boolean;
}

export type Outcome =
  { readonly kind: "found"; readonly schedule: Schedule } | { readonly kind: "none" } | { readonly kind: "stopped" };

const RESTART = 120;

/**
 * Search that learns from dead ends. It answers "none" only where no schedule within the limit exists (or, with
 * `keep`, none with those tasks as they are), so it proves optima and contradictions as well as it finds schedules.
 * Source: lazy clause generation with restarts, activity-led branching and phase saving.
 */
export class ClauseSearch {
  private readonly built: Built;
  /** Value that each variable had last, followed when it is decided again. */
  private readonly phase: Int32Array;
  private readonly hasPhase: Uint8Array;
  /** Task whose start or end a variable is, −1 for choices, orders and sums. */
  private readonly owner: Int32Array;
  // Starts, ends and choices of all tasks as rows, for the many times that the next one is picked.
  private readonly startVar: Int32Array;
  private readonly startPlus: Int32Array;
  private readonly endVar: Int32Array;
  private readonly endPlus: Int32Array;
  private readonly choiceStart: Int32Array;
  private readonly choiceVars: Int32Array;
  private readonly goesLate: Uint8Array;

  constructor(
    private readonly model: Model,
    low: Int32Array,
    high: Int32Array,
    private readonly chance: Chance,
  ) {
    this.built = build(model, low, high);
    const { vars } = this.built.engine;
    this.phase = new Int32Array(vars);
    this.hasPhase = new Uint8Array(vars);
    this.owner = new Int32Array(vars).fill(-1);
    for (let i = 0; i < model.n; i++) this.owner[this.built.start[i].x] = this.owner[this.built.end[i].x] = i;
    const { start, end, taken } = this.built;
    this.startVar = Int32Array.from(start, (moment) => moment.x);
    this.startPlus = Int32Array.from(start, (moment) => moment.plus);
    this.endVar = Int32Array.from(end, (moment) => moment.x);
    this.endPlus = Int32Array.from(end, (moment) => moment.plus);
    this.goesLate = new Uint8Array(model.n);
    this.choiceStart = new Int32Array(model.n + 1);
    taken.forEach((uses, i) => (this.choiceStart[i + 1] = this.choiceStart[i] + uses.flat().length));
    this.choiceVars = Int32Array.from(taken.flat(2));
  }

  /** True when it is proven that there is no schedule at all. */
  get exhausted(): boolean {
    return this.built.engine.broken;
  }

  /** Cost that no schedule goes below, as far as it is proven. */
  get bound(): number {
    return this.built.objective.proven(this.built.engine);
  }

  run(options: ClauseSearchOptions): Outcome {
    const { engine, objective } = this.built;
    engine.backTo(0);
    if (!this.tidy()) return { kind: "none" };
    if (options.like) this.follow(options.like);
    for (let i = 0; i < this.model.n; i++) this.goesLate[i] = options.late(i) ? 1 : 0;
    const target = options.target === undefined ? [] : objective.atMost(options.target);
    const kept = options.keep && options.like ? this.assumptions(options.like, options.keep) : [];
    const stopAt = engine.conflicts + options.conflicts;
    for (let round = 1; ; round++) {
      const outcome = this.round(options, target, kept, Math.min(stopAt, engine.conflicts + RESTART * luby(round)));
      engine.backTo(0);
      if (outcome) return outcome;
      if (engine.conflicts >= stopAt || options.spent()) return { kind: "stopped" };
      if (!this.tidy()) return { kind: "none" };
    }
  }

  /** At the root: draws what follows there and forgets what is of little use. False: there is no schedule. */
  private tidy(): boolean {
    const { engine } = this.built;
    if (engine.broken || !engine.propagate()) {
      engine.broken = true;
      return false;
    }
    engine.settle();
    if (engine.learnedCount() <= 4000 + 40 * this.model.n) return true;
    engine.forget();
    if (!engine.broken && engine.propagate()) return true;
    engine.broken = true;
    return false;
  }

  /** Searches until a schedule, a proof or the number of conflicts; undefined for the last. */
  private round(
    options: ClauseSearchOptions,
    target: readonly number[],
    kept: readonly number[],
    stopAt: number,
  ): Outcome | undefined {
    const { engine } = this.built;
    const supposed = [target, kept].filter((literals) => literals.length > 0);
    // What had a part in dead ends gets any schedule soonest; a cheaper one is as often found from the ends of the day.
    const byActivity = options.target === undefined ? this.chance.below(10) > 0 : this.chance.below(2) === 0;
    let good = true;
    for (let steps = 0; ; steps++) {
      if (!good || !engine.propagate()) {
        good = true;
        const level = engine.conflictLevel();
        if (level === 0) engine.broken = true;
        // What is kept is supposed all at once, so a contradiction there teaches nothing for later.
        if (level === 0 || (kept.length > 0 && level === supposed.length)) return { kind: "none" };
        this.remember();
        if (!engine.learn()) return { kind: "none" };
        if (engine.conflicts >= stopAt) return undefined;
        if ((engine.conflicts & 31) === 0 && options.spent()) return undefined;
        continue;
      }
      if ((steps & 255) === 255 && options.spent()) return undefined;
      if (engine.level < supposed.length) {
        if (!engine.suppose(supposed[engine.level])) return { kind: "none" };
        continue;
      }
      const x = this.pick(byActivity);
      if (x >= 0) {
        this.branch(x);
        continue;
      }
      if (this.leavesNoRecovery()) {
        good = false;
        continue;
      }
      return { kind: "found", schedule: this.read() };
    }
  }

  /** Every task that is kept stays at its times and with its choices. */
  private assumptions(like: Schedule, keep: (task: number) => boolean): number[] {
    const { start, end, taken } = this.built;
    const out: number[] = [];
    const fix = (x: number, value: number) => out.push(2 * x, value, 2 * x + 1, -value);
    for (let i = 0; i < this.model.n; i++) {
      if (!keep(i)) continue;
      fix(start[i].x, like.starts[i] - start[i].plus);
      if (end[i].x !== start[i].x) fix(end[i].x, like.ends[i] - end[i].plus);
      taken[i].forEach((choice, u) => choice.length > 0 && out.push(2 * choice[like.choices[i][u]], 1));
    }
    return out;
  }

  private follow(like: Schedule): void {
    const { start, end, taken } = this.built;
    const set = (x: number, value: number) => {
      this.phase[x] = value;
      this.hasPhase[x] = 1;
    };
    this.hasPhase.fill(0);
    for (let i = 0; i < this.model.n; i++) {
      if (like.starts[i] < 0) continue;
      set(start[i].x, like.starts[i] - start[i].plus);
      set(end[i].x, like.ends[i] - end[i].plus);
      taken[i].forEach((choice, u) => choice.forEach((x, c) => set(x, like.choices[i][u] === c ? 1 : 0)));
    }
  }

  /** Values at a dead end, to be followed again: most of what was decided was not what failed. */
  private remember(): void {
    const { engine } = this.built;
    for (let x = 0; x < this.phase.length; x++)
      if (engine.isFixed(x)) {
        this.phase[x] = engine.lo(x);
        this.hasPhase[x] = 1;
      }
  }

  private pick(byActivity: boolean): number {
    const { engine } = this.built;
    return byActivity && engine.conflicts > 0 ? engine.mostActive() : this.pickByTime();
  }

  /** The open task whose turn it is: the earliest of those that go early, else the latest of those that go late. */
  private pickByTime(): number {
    const { startVar, startPlus, endVar, endPlus, goesLate } = this;
    const { lb } = this.built.engine;
    const { n, horizon } = this.model;
    let best = -1;
    let bestKey = Infinity;
    for (let i = 0; i < n; i++) {
      const s = 2 * startVar[i];
      const e = 2 * endVar[i];
      const startOpen = lb[s] + lb[s + 1] < 0;
      if (!startOpen && lb[e] + lb[e + 1] === 0) {
        const choice = this.openChoice(i);
        if (choice >= 0) return choice;
        continue;
      }
      const key = goesLate[i] ? horizon + lb[e + 1] - endPlus[i] - lb[s + 1] - lb[s] : lb[s] + startPlus[i] - 0.001 * lb[s + 1];
      if (key >= bestKey) continue;
      bestKey = key;
      // What goes late is fixed at its end first.
      if (goesLate[i]) best = lb[e] + lb[e + 1] === 0 ? startVar[i] : endVar[i];
      else best = startOpen ? startVar[i] : endVar[i];
    }
    return best >= 0 ? best : this.built.engine.mostActive();
  }

  /** A use of a task that has not taken anything for certain yet, as a variable; −1: all have. */
  private openChoice(i: number): number {
    const { lb } = this.built.engine;
    const { choiceStart, choiceVars } = this;
    for (let k = choiceStart[i]; k < choiceStart[i + 1]; k++)
      if (lb[2 * choiceVars[k]] + lb[2 * choiceVars[k] + 1] < 0) return choiceVars[k];
    return -1;
  }

  private branch(x: number): void {
    const { engine } = this.built;
    const lo = engine.lo(x);
    const hi = engine.hi(x);
    const task = this.owner[x];
    const wanted = this.hasPhase[x] ? this.phase[x] : task >= 0 && this.goesLate[task] ? hi : lo;
    if (wanted <= lo) engine.decide(2 * x + 1, -lo);
    else engine.decide(2 * x, Math.min(hi, wanted));
  }

  /** Whether the whole schedule at hand leaves a chamber no time to recover; the conflict is then set. */
  private leavesNoRecovery(): boolean {
    const { engine, loads } = this.built;
    for (let r = 0; r < loads.length; r++) {
      const recovery = this.model.chambers[r]?.recovery ?? 0;
      if (recovery === 0) continue;
      const inside = loads[r].filter((load) => load.taken < 0 || engine.lo(load.taken) === 1);
      const at = (moment: Moment) => engine.lo(moment.x) + moment.plus;
      const pause = shortPause(
        inside.map((load) => [at(load.start), at(load.end)] as const),
        recovery,
      );
      if (!pause) continue;
      const minute = at(inside[pause.after].start);
      const noEarlier = ({ x, plus }: Moment, value: number) => [2 * x, value - plus];
      const noLater = ({ x, plus }: Moment, value: number) => [2 * x + 1, plus - value];
      // One begins at that minute, another ended less than the recovery before, and nothing is in across it.
      const { start } = inside[pause.after];
      const why = [
        ...noEarlier(start, minute),
        ...noLater(start, minute),
        ...noEarlier(inside[pause.before].end, minute - recovery + 1),
      ];
      for (const load of inside) {
        if (load !== inside[pause.after])
          why.push(...(at(load.end) <= minute ? noLater(load.end, minute) : noEarlier(load.start, minute)));
        if (load.taken >= 0) why.push(2 * load.taken, 1);
      }
      // Loads that may come in later are part of it: they could be in across it.
      for (const load of loads[r]) if (load.taken >= 0 && engine.lo(load.taken) === 0) why.push(2 * load.taken + 1, 0);
      engine.fail(why);
      return true;
    }
    return false;
  }

  private read(): Schedule {
    const { engine, start, end, taken } = this.built;
    const at = (moment: Moment) => engine.lo(moment.x) + moment.plus;
    const starts = Int32Array.from(start, at);
    const ends = Int32Array.from(end, at);
    const choices = taken.map((uses) =>
      Int32Array.from(uses, (choice) =>
        Math.max(
          0,
          choice.findIndex((x) => engine.lo(x) === 1),
        ),
      ),
    );
    return { starts, ends, choices, cost: costOf(this.model, starts, ends) };
  }
}

/** 1 1 2 1 1 2 4 …: restarts that are mostly short and sometimes long. */
export function luby(i: number): number {
  let k = 1;
  while ((1 << k) - 1 < i) k++;
  return (1 << k) - 1 === i ? 1 << (k - 1) : luby(i - (1 << (k - 1)) + 1);
}
