import units from "../tables/units.json";

export type System = keyof typeof units.systems;
export const SYSTEM_IDS = Object.keys(units.systems) as [System, ...System[]];
export type Dimension = "mass" | "length" | "volume";

const { mass, length, volume, systems, aliases } = units;

/** Canonical id of a unit word ("cups" → "cup"), any case; undefined where it is no unit. */
export function unitOf(word: string): string | undefined {
  return CANONICAL.get(word.toLowerCase());
}
/**
 * A unit in another language or of another kind of spoon at the start of a text: "EL", "cuillère à soupe de", "water
 * glass". @returns its canonical id and how long it is; undefined where there is none.
 */
export function otherUnitAt(text: string): { unit: string; length: number } | undefined {
  const found = OTHER.exec(text);
  return found ? { unit: OTHER_ID.get(found[1].toLowerCase())!, length: found[0].length } : undefined;
}
const OTHER_ID = new Map(Object.entries(units.otherWords).flatMap(([id, words]) => words.map((word) => [word, id] as const)));
const OTHER = new RegExp(
  `^(${[...OTHER_ID.keys()]
    .sort((a, b) => b.length - a.length)
    .map((word) => word.replace(/\./g, "\\."))
    .join("|")})\\.?(?=[ ,)]|$)`,
  "iu",
);

/** Sizes that a word for a spoon or a glass is taken to mean, ml; shown as an assumption. */
export const ASSUMED_ML: Readonly<Record<string, number>> = units.otherSpoons;

const CANONICAL = new Map(Object.entries(aliases).flatMap(([id, words]) => words.map((word) => [word, id] as const)));

/**
 * Dimension of a unit and its size in g, mm or ml; undefined for what is counted (cloves, sachets) or unknown.
 * @param unit   canonical id
 * @param system whose cups and spoons are meant
 * Source: international pound and inch, imperial gallon; cups by country; a pinch is 1/16 tsp, a dash 1/8 tsp, a drop 0.05 ml;
 * dessert and coffee spoons and glasses are usual sizes.
 */
export function measureOf(unit: string, system: System): { dimension: Dimension; factor: number } | undefined {
  const spoons = systems[system];
  const table: [Dimension, Record<string, number>][] = [
    ["mass", mass],
    ["length", length],
    ["volume", { ...volume, ...spoons, pinch: spoons.tsp / 16, dash: spoons.tsp / 8, drop: 0.05, ...units.otherSpoons }],
  ];
  for (const [dimension, factors] of table) if (Object.hasOwn(factors, unit)) return { dimension, factor: factors[unit] };
  return undefined;
}

/** ml of cup, tbsp and tsp in a system. */
export const spoonsOf = (system: System) => systems[system];
