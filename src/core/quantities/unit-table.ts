import units from "../tables/units.json";

export type System = keyof typeof units.systems;
export type Dimension = "mass" | "length" | "volume";

const { mass, length, volume, systems, aliases } = units;

/** Canonical id of a unit word ("cups" → "cup"), any case; undefined where it is no unit. */
export function unitOf(word: string): string | undefined {
  return CANONICAL.get(word.toLowerCase());
}
const CANONICAL = new Map(Object.entries(aliases).flatMap(([id, words]) => words.map((word) => [word, id] as const)));

/**
 * Dimension of a unit and its size in g, mm or ml; undefined for what is counted (cloves, sachets) or unknown.
 * @param unit   canonical id
 * @param system whose cups and spoons are meant
 * Source: international pound and inch, imperial gallon; cups by country; a pinch is 1/16 tsp, a dash 1/8 tsp, a drop 0.05 ml.
 */
export function measureOf(unit: string, system: System): { dimension: Dimension; factor: number } | undefined {
  const spoons = systems[system];
  const table: [Dimension, Record<string, number>][] = [
    ["mass", mass],
    ["length", length],
    ["volume", { ...volume, ...spoons, pinch: spoons.tsp / 16, dash: spoons.tsp / 8, drop: 0.05 }],
  ];
  for (const [dimension, factors] of table) if (Object.hasOwn(factors, unit)) return { dimension, factor: factors[unit] };
  return undefined;
}

/** ml of cup, tbsp and tsp in a system. */
export const spoonsOf = (system: System) => systems[system];
