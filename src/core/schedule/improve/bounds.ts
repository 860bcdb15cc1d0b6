import { shopBound, type Shop } from "../jobshop/shop";
import { Parts } from "../lcg/decomposition-bound";
import { EQUAL, type Known } from "./known";

/** Tasks in each share at first; twice as many when those are settled, and so on. */
const FIRST_SHARE = 40;
/** Looks at shares in one turn. */
const LOOKS = 8;

/** The cost that no schedule goes below, from all that is known of a problem. */
export class Bounds {
  private readonly floor: number;
  private shares: Parts | undefined;
  private most = FIRST_SHARE / 2;
  private fromShares = 0;

  constructor(
    private readonly known: Known,
    shop: Shop | undefined,
  ) {
    const { search, model } = known;
    // Where a task fits nowhere the windows say nothing about the cost.
    this.floor = search.stuck >= 0 ? 0 : Math.max(0, search.costBound(), shop ? model.makespan * shopBound(shop) : 0);
  }

  get value(): number {
    return Math.max(this.floor, this.fromShares, this.known.learnt?.bound ?? 0);
  }

  /** Whether the best schedule is proven to be one of the cheapest. */
  get met(): boolean {
    return this.known.best !== undefined && this.known.best.cost - this.value <= EQUAL;
  }

  /** A few looks at the shares of the day; false where nothing is left to be gained by that. */
  raise(spent: () => boolean): boolean {
    const { model, search, orders, chance, late, best } = this.known;
    if (!this.shares || this.shares.done) {
      if (2 * this.most >= model.n) return false;
      this.most *= 2;
      this.shares = new Parts(model, orders.low, orders.high, best!, this.most, search.leastEnds, chance, late);
    }
    for (let look = 0; look < LOOKS && !spent(); look++) this.shares.step(spent);
    this.fromShares = Math.max(this.fromShares, this.shares.bound);
    return true;
  }
}
