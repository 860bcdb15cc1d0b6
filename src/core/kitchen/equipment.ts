import type { Kitchen } from "./schema";

/** A piece of equipment by its key, as it is called. */
export const equipmentWord = (key: string): string => key.replace(/-/g, " ");

/** Units of a piece of equipment that is a pool; undefined for chambers and for what the kitchen does not have. */
export function poolSize(id: string, kitchen: Kitchen): number | undefined {
  const e = kitchen.equipment;
  switch (id) {
    case "worktop":
      return e.worktop?.places;
    case "pot":
      return e.pot?.litres.length;
    case "steamer-tier":
      return e.steamer ? e.steamer.count * e.steamer.tiers : undefined;
    case "fridge-shelf":
      return e["fridge-shelf"] ? e["fridge-shelf"].count * e["fridge-shelf"].fitsTraysEach : undefined;
    default: {
      const entry = (e as Record<string, unknown>)[id] as { count?: number } | undefined;
      return entry?.count;
    }
  }
}

/** Ids of the chambers of a kind: `oven`, `oven-2`, …; none where the kitchen has none. */
export const chamberIds = (id: "oven" | "steamer" | "fryer", kitchen: Kitchen): string[] =>
  Array.from({ length: kitchen.equipment[id]?.count ?? 0 }, (_, i) => (i === 0 ? id : `${id}-${i + 1}`));

/** Setting in °C in this kitchen: an oven without a fan is set 20 °C higher. */
export const settingHere = (id: string, settingC: number, kitchen: Kitchen): number =>
  id === "oven" && kitchen.equipment.oven?.fan === false ? settingC + 20 : settingC;
