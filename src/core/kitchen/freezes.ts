import { freezeLimit } from "../process/freeze";
import type { Kitchen } from "./schema";

/** What the freezer takes in a day without warming what lies in it, g; undefined where its size is not known. */
export function freezesInADay({ equipment }: Pick<Kitchen, "equipment">): number | undefined {
  const litres = equipment["freezer-tray"]?.litres;
  if (litres === undefined) return undefined;
  const limit = freezeLimit({ loadG: 0, litres, alreadyG: 0 });
  return limit.ok ? limit.value.limitG : undefined;
}
