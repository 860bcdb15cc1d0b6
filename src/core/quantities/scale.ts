/** Powers by which some amounts grow with the number of pieces; the rest grow straight. Our own kitchen figures. */
const EXPONENTS: Readonly<Record<string, number>> = {
  spiceStrong: 0.9,
  garlic: 0.9,
  alcohol: 0.9,
  panFat: 0.67,
  simmerLiquid: 0.8,
};

/** An amount for `factor` times as many pieces; upwards some ingredients grow more slowly. `linear` is the straight answer. */
export function scaleIngredient({ amount, kind, factor }: { amount: number; kind: string; factor: number }): {
  amount: number;
  linear: number;
} {
  const exponent = factor > 1 ? (EXPONENTS[kind] ?? 1) : 1;
  return { amount: amount * factor ** exponent, linear: amount * factor };
}
