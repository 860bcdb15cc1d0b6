import { seeded, type Chance } from "../../shared/chance";
import { ClauseSearch } from "../lcg/clause-search";
import type { Model } from "../model";
import { Search } from "../construct/search";
import { type Schedule } from "../construct/schedule";
import { Orders } from "../timing/partial-order-schedule";
import { retime } from "../timing/retime";
import { lateTasks } from "../construct/wishes";

/** Costs that differ by no more than this are the same. */
export const EQUAL = 1e-6;
/** Up to this many tasks the search that learns is built; beyond, its variables would take too much room. */
export const LEARNING_MOST = 400;
/** Up to this many tasks it is set on the whole problem now and then, for the bound and the proof; beyond, neighbourhoods are cut out for it. */
export const PROVING_MOST = 200;
/** Shifts after which the search for the best times ends. */
export const MOST_SHIFTS = 500;
/** On a large day only what is so near to a change gets new times, min: what is further off has the best already. */
const NEAR_CHANGE = 90;

/** One problem and what all ways of working on it share: the searches, each made when it is first needed, and the best schedule. */
export class Known {
  best: Schedule | undefined;
  readonly chance: Chance;
  readonly search: Search;
  private readonly lates: Uint8Array;
  private learns: ClauseSearch | undefined;
  private order: Orders | undefined;

  constructor(
    readonly model: Model,
    seed: number,
  ) {
    this.chance = seeded(seed);
    this.search = new Search(model, this.chance);
    this.lates = lateTasks(model);
  }

  /** Whether a task is tried as late as can be where nothing else is known of it. */
  readonly late = (task: number): boolean => this.lates[task] === 1;

  /** The search that learns, where it has been made. */
  get learnt(): ClauseSearch | undefined {
    return this.learns;
  }

  /** The search that learns; undefined where the problem is too large for it. */
  get learning(): ClauseSearch | undefined {
    if (!this.learns && this.model.n <= LEARNING_MOST) {
      this.search.clear();
      this.learns = new ClauseSearch(this.model, this.search.windows.lo, this.search.windows.hi, this.chance);
    }
    return this.learns;
  }

  get orders(): Orders {
    if (!this.order) {
      this.search.clear();
      this.order = new Orders(this.model, this.search.windows.lo.slice(), this.search.windows.hi.slice());
    }
    return this.order;
  }

  /** The same order and choices at their cheapest times; where a schedule is given, only near what differs from it. */
  timed(schedule: Schedule, from?: Schedule): Schedule {
    return retime(this.model, this.orders, schedule, MOST_SHIFTS, from && this.farFrom(schedule, from));
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
}
