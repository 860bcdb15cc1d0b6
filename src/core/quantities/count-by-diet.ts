import { apportion } from "./apportion";
import { fail, ok, type Result } from "../shared/issue";
import { sum, up } from "../shared/rounding";

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
