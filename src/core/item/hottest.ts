import { fillingsIn } from "./item-claims";
import { resolveItem } from "./resolve";
import type { Item } from "./schema";
import type { Step } from "./step";

/** The steps of all fillings, each with the highest core that one of them asks for. */
export function hottest(item: Item): Step[] {
  const all = fillingsIn(item).flatMap((filling) => resolveItem(item, {}, filling).steps);
  return item.steps.map((step) => {
    const cores = all.flatMap(({ id, coreC }) => (id === step.id && coreC !== undefined ? [coreC] : []));
    return cores.length > 0 ? { ...step, coreC: Math.max(...cores) } : step;
  });
}
