import { fail, ok, type Result } from "../shared/issue";

interface Load {
  readonly id: string;
  readonly tags: readonly string[];
  readonly avoid: readonly string[];
}

/** More loads than this are too many orders to try. */
const MOST_LOADS = 8;

/**
 * The order of loads in one oil or steam that brings each the least of what is not its own, first of all nothing it
 * must avoid. Issues: `out_of_range` loads, `inconsistent` loads[i].avoid (its own tag).
 */
export function orderLoads(input: { medium: readonly string[]; loads: readonly Load[] }): Result<{
  order: string[];
  crossContact: Record<string, string[]>;
  pairs: number;
  ok: boolean;
}> {
  const { loads } = input;
  if (loads.length > MOST_LOADS)
    return fail({ code: "out_of_range", path: ["loads"], got: loads.length, wanted: `at most ${MOST_LOADS} loads` });
  const own = loads.findIndex((load) => load.avoid.some((tag) => load.tags.includes(tag)));
  if (own >= 0)
    return fail({
      code: "inconsistent",
      path: ["loads", own, "avoid"],
      got: loads[own].avoid,
      wanted: "tags that are not the load's own",
    });
  let best: { order: number[]; hits: number; pairs: number } | undefined;
  const walk = (order: number[], dirty: ReadonlySet<string>, hits: number, pairs: number): void => {
    if (best && (hits > best.hits || (hits === best.hits && pairs > best.pairs))) return;
    if (order.length === loads.length) {
      // Orders come in lexicographic order, so the first of equals stays.
      if (!best || hits < best.hits || pairs < best.pairs) best = { order, hits, pairs };
      return;
    }
    for (let i = 0; i < loads.length; i++) {
      if (order.includes(i)) continue;
      const contact = contactOf(loads[i], dirty);
      const more = contact.filter((tag) => loads[i].avoid.includes(tag)).length;
      walk([...order, i], new Set([...dirty, ...loads[i].tags]), hits + more, pairs + contact.length);
    }
  };
  walk([], new Set(input.medium), 0, 0);
  const crossContact: Record<string, string[]> = {};
  const dirty = new Set(input.medium);
  for (const i of best!.order) {
    crossContact[loads[i].id] = contactOf(loads[i], dirty);
    loads[i].tags.forEach((tag) => dirty.add(tag));
  }
  return ok({ order: best!.order.map((i) => loads[i].id), crossContact, pairs: best!.pairs, ok: best!.hits === 0 });
}

const contactOf = (load: Load, dirty: ReadonlySet<string>): string[] =>
  [...dirty].filter((tag) => !load.tags.includes(tag)).sort();
