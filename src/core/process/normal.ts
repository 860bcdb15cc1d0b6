import { crossing } from "./crossing";

/** Complementary error function by its series and its continued fraction, to machine precision. */
function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x);
  if (x < 2.5) {
    let [term, total] = [x, x];
    for (let n = 1; n < 200; n++) {
      term *= -(x * x) / n;
      const next = term / (2 * n + 1);
      total += next;
      if (Math.abs(next) < 1e-17 * Math.abs(total)) break;
    }
    return 1 - (2 / Math.sqrt(Math.PI)) * total;
  }
  let fraction = 0;
  for (let n = 120; n > 0; n--) fraction = n / 2 / (x + fraction);
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / (x + fraction);
}

/** Standard normal distribution. */
export const normalCdf = (x: number): number => 0.5 * erfc(-x / Math.SQRT2);

/** Its inverse, by halves: to 1e-12 and better. @param p above 0 and below 1 */
export const normalQuantile = (p: number): number => crossing((x) => normalCdf(x) - p, -40, 40);
