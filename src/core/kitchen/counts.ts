import { plainKitchen } from "./plain";
import { KitchenSchema, type Kitchen } from "./schema";

/** Equipment of which more can be borrowed, or less be there: by its key, and the parts of an oven and a steamer. */
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
  return (equipment[key] as { count?: number } | undefined)?.count ?? 0;
}

/** What is borrowed by a kitchen that has none of it is as in most homes. */
const AS_IN_MOST = KitchenSchema.parse({
  ...plainKitchen("most", "Most"),
  equipment: { ...plainKitchen("most", "Most").equipment, mixer: { count: 1 }, steamer: { count: 1 }, fryer: { count: 1 } },
}).equipment as Readonly<Record<string, object | undefined>>;

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
    else set(key, "count", count);
  }
  return { ...kitchen, equipment: equipment as Kitchen["equipment"] };
}
