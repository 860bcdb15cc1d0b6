import { mostUnits, NO_PART, type Model } from "../model";

interface Group {
  readonly resources: ReadonlySet<number>;
  /** Unit minutes that must be taken of these resources together, at the least. */
  work: number;
}

/**
 * Minutes that lie at the least between the first start and the last end of all tasks: as long as the longest chain of
 * lengths and lags, and long enough for the work of each group of resources (those that some use lists, with all uses
 * that can turn to nobody else) with all its units at it all the time.
 */
export function leastSpan(model: Model): number {
  const units = Array.from({ length: model.resourceCount }, (_, r) => mostUnits(model, r));
  const minutesOf = ({ resources, work }: Group) => Math.ceil(work / [...resources].reduce((sum, r) => sum + units[r], 0));
  return Math.max(longestChain(model), ...workOf(model).map(minutesOf));
}

function workOf(model: Model): Group[] {
  const groups = new Map<string, Group>();
  model.uses.forEach((uses, i) => {
    for (const use of uses) {
      const minutes = use.from === NO_PART ? model.least[i] : Math.min(...use.minutes);
      if (minutes === 0) continue;
      const key = use.resources.slice().sort().join();
      const group = groups.get(key) ?? { resources: new Set(use.resources), work: 0 };
      group.work += minutes * use.amount;
      groups.set(key, group);
    }
  });
  const all = [...groups.values()];
  return all.map(({ resources }) => ({
    resources,
    work: all.reduce((sum, other) => sum + ([...other.resources].every((r) => resources.has(r)) ? other.work : 0), 0),
  }));
}

/** The longest sum of lengths and least lags along `after` (an order without rings). */
function longestChain(model: Model): number {
  const { n, backStart, backFrom, backWeight, least } = model;
  const ends = new Int32Array(n).fill(-1);
  const endOf = (task: number): number => {
    // Without calls within calls: chains may be as long as there are tasks.
    const stack = [task];
    while (stack.length > 0) {
      const i = stack[stack.length - 1];
      let start = 0;
      let waits = false;
      for (let a = backStart[2 * i]; a < backStart[2 * i + 1]; a++) {
        const node = backFrom[a];
        // Only from the end of a task that comes before: maximum lags point the other way.
        if ((node & 1) === 0 || node >> 1 === i || backWeight[a] < 0) continue;
        if (ends[node >> 1] < 0) {
          stack.push(node >> 1);
          waits = true;
        } else start = Math.max(start, ends[node >> 1] + backWeight[a]);
      }
      if (waits) continue;
      ends[i] = start + least[i];
      stack.pop();
    }
    return ends[task];
  };
  let longest = 0;
  for (let i = 0; i < n; i++) longest = Math.max(longest, ends[i] < 0 ? endOf(i) : ends[i]);
  return longest;
}
