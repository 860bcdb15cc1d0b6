import { sum } from "../shared/rounding";
import type { Kitchen } from "./schema";
import { SIZED_POOLS, sizesOf, type ChamberKind } from "./sizes";

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
      return e.steamer ? sum(sizesOf("steamer", kitchen).map(({ count, is }) => count * is.tiers)) : undefined;
    case "fridge-shelf":
      return e["fridge-shelf"] ? e["fridge-shelf"].count * e["fridge-shelf"].fitsTraysEach : undefined;
    default: {
      const sized = SIZED_POOLS.flatMap((kind) => sizesOf(kind, kitchen)).find(({ ids }) => ids.includes(id));
      return sized?.count ?? ((e as Record<string, unknown>)[id] as { count?: number } | undefined)?.count;
    }
  }
}
/** Ids of the chambers of a kind: `oven`, `oven-2`, …; none where the kitchen has none. */
export const chamberIds = (id: ChamberKind, kitchen: Kitchen): string[] => sizesOf(id, kitchen).flatMap(({ ids }) => ids);

/** An oven without a fan is set so much higher, °C. */
const NO_FAN_C = 20;

/** Chambers of a kind, and how they are set. */
export interface ChambersAt {
  /** Those that reach the setting. */
  readonly ids: readonly string[];
  /** As it is set here, °C. */
  readonly setting: number;
  /** Hottest that any of them gets, °C; undefined where there are none. */
  readonly mostC: number | undefined;
}

/**
 * Chambers that are asked for a heat of `settingC`, an oven's as with a fan.
 * @param into those that may be taken; all of them by default
 */
export function chambersAt(kind: ChamberKind, settingC: number, kitchen: Kitchen, into?: readonly string[]): ChambersAt {
  const sizes = sizesOf(kind, kitchen)
    .map(({ ids, is }) => ({
      ids: ids.filter((id) => !into || into.includes(id)),
      setting: kind === "oven" && "fan" in is && !is.fan ? settingC + NO_FAN_C : settingC,
      mostC: "maxC" in is ? is.maxC : Infinity,
    }))
    .filter(({ ids }) => ids.length > 0);
  const fit = sizes.filter(({ setting, mostC }) => setting <= mostC);
  const [first] = [...fit, ...sizes];
  return {
    // One setting a load: chambers without a fan are not asked beside those that have one.
    ids: fit.filter(({ setting }) => setting === first.setting).flatMap(({ ids }) => ids),
    setting: first?.setting ?? settingC,
    mostC: sizes.length > 0 ? Math.max(...sizes.map(({ mostC }) => mostC)) : undefined,
  };
}

export const isChamber = (id: string): id is ChamberKind => id === "oven" || id === "steamer" || id === "fryer";
