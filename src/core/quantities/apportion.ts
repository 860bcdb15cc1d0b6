/**
 * Splits a whole number into parts as even as can be, larger parts first.
 * @param total ≥ 0, whole
 * @param parts ≥ 1, whole
 */
export function evenParts(total: number, parts: number): number[] {
  const base = Math.floor(total / parts);
  const extra = total - base * parts;
  return Array.from({ length: parts }, (_, i) => base + (i < extra ? 1 : 0));
}

/**
 * Fills the last carrier where that costs little (methods: count.roundUp).
 * @returns `pieces` raised to full carriers when the extra is at most `maxExtraPct` % of them; `carriers` either way
 */
export function roundUpToCarrier(pieces: number, perCarrier: number, maxExtraPct: number) {
  const carriers = Math.ceil(pieces / perCarrier);
  const full = carriers * perCarrier;
  const rounded = full - pieces <= (pieces * maxExtraPct) / 100 + 1e-9 ? full : pieces;
  return { pieces: rounded, carriers, extra: rounded - pieces, lastFill: rounded - Math.max(0, carriers - 1) * perCarrier };
}
