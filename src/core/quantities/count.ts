import { fail, ok, type Result } from "../shared/issue";
import { down, EPSILON, sum, up } from "../shared/rounding";

export type Appetite = "child" | "small" | "normal" | "large";
export type Role = "snack" | "starter" | "buffet" | "mainWithSides" | "main";

/** Share of a normal portion by appetite, and grams of a normal portion by role. Our own defaults; the log of leftovers corrects them. */
const APPETITE: Readonly<Record<Appetite, number>> = { child: 0.5, small: 0.75, normal: 1, large: 1.4 };
const PORTION_G: Readonly<Record<Role, number>> = { snack: 120, starter: 110, buffet: 220, mainWithSides: 240, main: 360 };

/** Guests to whole pieces of one size: what is served, and what must be made with stock and freezer taken into account. */
export function piecesForGuests(input: {
  guests: readonly { appetite: Appetite; n: number }[];
  role: Role;
  pieceG: number;
  kinds: number;
  sparePct: number;
  freezerPieces: number;
  fromStock: number;
}): { portions: number; exact: number; serve: number; make: number } {
  const portions = sum(input.guests.map(({ appetite, n }) => n * APPETITE[appetite]));
  // Of a buffet with several kinds people take a little more.
  const variety = input.role === "buffet" ? Math.min(1.2, 1 + 0.05 * (input.kinds - 1)) : 1;
  const exact = ((portions * PORTION_G[input.role]) / input.pieceG) * variety;
  const serve = up(exact * (1 + input.sparePct / 100));
  return { portions, exact, serve, make: Math.max(0, serve - input.fromStock) + input.freezerPieces };
}

export interface Share {
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
  shares: readonly Share[];
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

const countsOf = (shares: readonly Share[], counts: readonly number[]): Record<string, number> => {
  const out: Record<string, number> = {};
  shares.forEach(({ id }, i) => (out[id] = (out[id] ?? 0) + counts[i]));
  return out;
};

/** Shares clamp(λ × weight, min, max) that add up to the total; their sum is piecewise linear in λ and is solved exactly. */
function exactShares(total: number, shares: readonly Share[], most: readonly number[]): number[] | undefined {
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

function wholeShares(total: number, shares: readonly Share[], most: readonly number[], exact: readonly number[]): number[] {
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

export interface Kind {
  readonly id: string;
  readonly weight: number;
  readonly suits: readonly string[];
}

/** Enough pieces for every diet of what it may eat. Issues: `infeasible` on a group's diet. */
export function piecesByDiet(input: {
  groups: readonly { diet: string; pieces: number }[];
  kinds: readonly Kind[];
  guardPct: number;
}): Result<{
  counts: Record<string, number>;
  byGroup: Record<string, Record<string, number>>;
  total: number;
}> {
  const counts: Record<string, number> = Object.fromEntries(input.kinds.map((kind) => [kind.id, 0]));
  const byGroup: Record<string, Record<string, number>> = {};
  for (const [i, { diet, pieces }] of input.groups.entries()) {
    const suiting = diet === "any" ? input.kinds : input.kinds.filter((kind) => kind.suits.includes(diet));
    // Others like the vegan pieces too: a guarded diet gets a little more than it asks for.
    const total = up(diet === "any" ? pieces : pieces * (1 + input.guardPct / 100));
    if (total > 0 && !suiting.some((kind) => kind.weight > 0))
      return fail({ code: "infeasible", path: ["groups", i, "diet"], got: diet, wanted: "a kind that suits it" });
    const shared =
      total > 0 ? apportion({ total, shares: suiting.map(({ id, weight }) => ({ id, weight, min: 0 })) }) : undefined;
    if (shared && !shared.ok) return shared;
    const own = shared ? shared.value.counts : Object.fromEntries(suiting.map((kind) => [kind.id, 0]));
    const group = (byGroup[diet] ??= {});
    for (const [id, n] of Object.entries(own)) {
      group[id] = (group[id] ?? 0) + n;
      counts[id] += n;
    }
  }
  return ok({ counts, byGroup, total: sum(Object.values(counts)) });
}

/** How many pieces what there is allows, and which line limits; nulls where nothing is counted. */
export function piecesFromStock(input: { basePieces: number; lines: readonly { id: string; needG: number; haveG?: number }[] }): {
  factor: number | null;
  limiting: string | null;
  pieces: number | null;
} {
  let factor = Infinity;
  let limiting: string | null = null;
  for (const { id, needG, haveG } of input.lines) {
    if (!(needG > 0) || haveG === undefined) continue;
    if (limiting === null || haveG / needG < factor - EPSILON) {
      factor = haveG / needG;
      limiting = id;
    }
  }
  return limiting === null
    ? { factor: null, limiting: null, pieces: null }
    : { factor, limiting, pieces: down(input.basePieces * factor) };
}
