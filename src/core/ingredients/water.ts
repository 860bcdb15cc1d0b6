import ingredients from "../tables/ingredients.json";

const WATER_PCT: Readonly<Record<string, number>> = ingredients.waterPct;

/** Share of water in an ingredient, %: 0 where the table has none. Kitchen figures. */
export const waterShare = (id: string): number => (Object.hasOwn(WATER_PCT, id) ? WATER_PCT[id] : 0);
