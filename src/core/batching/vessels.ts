import type { Demand } from "../gathering/demands";
import type { Kitchen } from "../kitchen/schema";
import type { ExtraNeed } from "./shopping-list";

/** Weight of 240 ml of oil, g. */
const OIL_CUP_G = 218;

/**
 * What fills vessels rather than pieces: the oil of the fryer, by its volume and by how often it is filled. Fresh oil
 * for what must not meet what was fried before is a fill of its own.
 */
export function vesselNeeds(demands: readonly Demand[], kitchen: Kitchen): ExtraNeed[] {
  const { fryer } = kitchen.equipment;
  const frying = demands.filter((demand) => demand.steps.some((step) => step.equipment.some((e) => e.id === "fryer")));
  if (!fryer || frying.length === 0) return [];
  const byOil = new Map<string, Demand[]>();
  for (const demand of frying) {
    const oil = demand.item.fryOil?.oil ?? "frying oil";
    byOil.set(oil, [...(byOil.get(oil) ?? []), demand]);
  }
  return [...byOil].map(([name, own]) => {
    const changed = own.some((d) => d.resolved.fryerRefill) && own.some((d) => !d.resolved.fryerRefill);
    const fills = changed ? 2 : 1;
    return {
      name,
      grams: (fills * fryer.count * fryer.oilMl * OIL_CUP_G) / 240,
      items: [...new Set(own.map((demand) => demand.item.name))],
      why: "fryer-fill" as const,
      fills,
    };
  });
}
