import { plainKitchen } from "./plain";
import { KitchenSchema, type Kitchen } from "./schema";

/**
 * Equipment of which more can be borrowed, or less be there: by its key, and the parts of an oven and a steamer; of a pan also one that
 * is so wide, mm.
 */
export const EQUIPMENT_COUNTS = [
  "tray",
  "board",
  "rack",
  "tins",
  "mixer",
  "oven",
  "oven-shelf",
  "hob",
  "lidded-pan",
  "lidded-pan-mm",
  "steamer",
  "steamer-tier",
  "fryer",
  "fridge-shelf",
  "freezer-tray",
] as const;
export type Counted = (typeof EQUIPMENT_COUNTS)[number];

/** How many of it a kitchen has. */
export function countOf(key: Counted, { equipment }: Kitchen): number {
  if (key === "oven-shelf") return equipment.oven?.shelfPositions ?? 0;
  if (key === "steamer-tier") return equipment.steamer?.tiers ?? 0;
  if (key === "lidded-pan-mm") return equipment["lidded-pan"]?.mm ?? 0;
  return (equipment[key] as { count?: number } | undefined)?.count ?? 0;
}

/** What is borrowed by a kitchen that has none of it is as in most homes. */
const AS_IN_MOST = KitchenSchema.parse({
  ...plainKitchen("most", "Most"),
  equipment: { ...plainKitchen("most", "Most").equipment, mixer: { count: 1 }, steamer: { count: 1 }, fryer: { count: 1 } },
}).equipment as Readonly<Record<string, object | undefined>>;

/** No pan is smaller, mm. */
const LEAST_PAN_MM = 100;

/** More than these a kitchen cannot say; without an entry as many as anybody likes. */
const MOST: Readonly<Record<string, number>> = { oven: 12, steamer: 12, fryer: 12, "oven-shelf": 20, "steamer-tier": 10 };

/** A kitchen with other numbers of what it has; what it does not have is of the sizes that most have. */
export function withCounts(kitchen: Kitchen, counts: Readonly<Partial<Record<Counted, number>>>): Kitchen {
  const equipment: Record<string, unknown> = { ...kitchen.equipment };
  const set = (key: string, field: string, count: number) =>
    (equipment[key] = { ...AS_IN_MOST[key], ...(equipment[key] as object | undefined), [field]: count });
  for (const [key, wanted] of Object.entries(counts)) {
    const count = Math.min(wanted, MOST[key] ?? wanted);
    if (key === "oven-shelf") set("oven", "shelfPositions", Math.max(1, count));
    else if (key === "steamer-tier") set("steamer", "tiers", Math.max(1, count));
    else if (key === "lidded-pan-mm") set("lidded-pan", "mm", Math.max(LEAST_PAN_MM, count));
    else set(key, "count", count);
  }
  return { ...kitchen, equipment: equipment as Kitchen["equipment"] };
}
