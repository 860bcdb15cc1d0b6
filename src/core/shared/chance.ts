import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** A seeded source of chance, handed to whatever needs it. */
export interface Chance {
  /** Uniform number from 0 (included) to 1 (excluded). */
  unit(): number;
  /** Uniform whole number from 0 (included) to n (excluded), n ≥ 1. */
  below(n: number): number;
}

/** A generator whose sequence depends on the seed alone. */
export function seeded(seed: number): Chance {
  const generator = xoroshiro128plus(seed | 0);
  const unit = () => (generator.next() >>> 0) / 2 ** 32;
  return { unit, below: (n) => Math.floor(unit() * n) };
}
