/** So many requests at once, and so many more each second, for one address. */
export interface Pace {
  readonly burst: number;
  readonly perSecond: number;
}

/** Addresses that are remembered: the oldest are forgotten first. */
const MOST_ADDRESSES = 1000;

/** Counts requests by address: a bucket of tokens each, filled by time. */
export class Rate {
  private readonly left = new Map<string, { tokens: number; at: number }>();

  constructor(
    private readonly pace: Pace,
    private readonly now: () => number,
  ) {}

  /** Takes one request from an address's bucket. @returns 0 where there was one, else the seconds to wait */
  wait(address: string): number {
    const { burst, perSecond } = this.pace;
    const at = this.now();
    const before = this.left.get(address) ?? { tokens: burst, at };
    const tokens = Math.min(burst, before.tokens + ((at - before.at) / 1000) * perSecond);
    this.left.delete(address);
    this.left.set(address, { tokens: Math.max(0, tokens - 1), at });
    if (this.left.size > MOST_ADDRESSES) this.left.delete(this.left.keys().next().value!);
    return tokens >= 1 ? 0 : Math.ceil((1 - tokens) / perSecond);
  }
}
