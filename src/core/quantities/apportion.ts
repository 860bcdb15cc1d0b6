import { fail, ok, type Result } from "../shared/issue";
import { down, EPSILON, sum } from "../shared/rounding";
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

export interface Apportioned {
  readonly id: string;
  readonly weight: number;
  readonly min: number;
  readonly max?: number;
}

/**
 * Divides a total over kinds by weight, each within its bounds, in whole pieces that add up to the total.
 * Issues: `inconsistent` or `infeasible`, on `shares`. Source: largest remainder with bounds.
 */
export function apportion({
  total,
  shares,
}: {
  total: number;
  shares: readonly Apportioned[];
}): Result<{ counts: Record<string, number> }> {
  const most = shares.map((share) => share.max ?? Infinity);
  const crossed = shares.findIndex((share, i) => most[i] < share.min);
  if (crossed >= 0)
    return fail({
      code: "inconsistent",
      path: ["shares", crossed, "max"],
      got: most[crossed],
      wanted: `at least its min (${shares[crossed].min})`,
    });
  const impossible = () =>
    fail({ code: "infeasible", path: ["shares"], got: total, wanted: "bounds within which the total can be divided" });
  if (sum(shares.map((share) => share.min)) > total || sum(most) < total) return impossible();
  if (shares.every((share) => share.weight === 0)) {
    if (sum(shares.map((share) => share.min)) !== total)
      return fail({ code: "inconsistent", path: ["shares"], got: total, wanted: "a weight above 0" });
    return ok({
      counts: countsOf(
        shares,
        shares.map((share) => share.min),
      ),
    });
  }
  const exact = exactShares(total, shares, most);
  return exact ? ok({ counts: countsOf(shares, wholeShares(total, shares, most, exact)) }) : impossible();
}

const countsOf = (shares: readonly Apportioned[], counts: readonly number[]): Record<string, number> => {
  const out: Record<string, number> = {};
  shares.forEach(({ id }, i) => (out[id] = (out[id] ?? 0) + counts[i]));
  return out;
};

/** Shares clamp(λ × weight, min, max) that add up to the total; their sum is piecewise linear in λ and is solved exactly. */
function exactShares(total: number, shares: readonly Apportioned[], most: readonly number[]): number[] | undefined {
  const at = (lambda: number) =>
    shares.map(({ weight, min }, i) => (weight === 0 ? min : Math.min(most[i], Math.max(min, lambda * weight))));
  const bends = [0, ...shares.flatMap(({ weight, min }, i) => (weight > 0 ? [min / weight, most[i] / weight] : []))]
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
  let before = 0;
  for (const bend of [...bends, Infinity]) {
    const reached = bend === Infinity ? Infinity : sum(at(bend));
    if (reached < total - EPSILON) {
      before = bend;
      continue;
    }
    const base = sum(at(before));
    const middle = bend === Infinity ? before + 1 : (before + bend) / 2;
    const slope = sum(
      shares.map(({ weight, min }, i) => (weight > 0 && middle * weight > min && middle * weight < most[i] ? weight : 0)),
    );
    if (slope === 0) return Math.abs(base - total) <= 1e-6 ? at(before) : bend === Infinity ? undefined : at(bend);
    return at(before + (total - base) / slope);
  }
  return undefined;
}

function wholeShares(total: number, shares: readonly Apportioned[], most: readonly number[], exact: readonly number[]): number[] {
  const counts = exact.map(down);
  let rest = total - sum(counts);
  const fraction = (i: number) => Math.round((exact[i] - Math.floor(exact[i] + EPSILON)) * 1e9);
  const order = shares.map((_, i) => i).sort((a, b) => fraction(b) - fraction(a) || shares[b].weight - shares[a].weight || a - b);
  for (const i of order) {
    if (rest <= 0) break;
    if (counts[i] >= most[i]) continue;
    counts[i]++;
    rest--;
  }
  return counts;
}
