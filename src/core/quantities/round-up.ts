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
