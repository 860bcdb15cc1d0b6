import { format } from "date-fns";
import type { Db } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { ownIngredientRepository } from "@/db/own-ingredients";
import type { NextGathering } from "@/ui/plan/DayEffect";
import { zoneHere } from "@/ui/kit/zone";

/** The gathering that a kitchen or an item is needed for next, so that a change of it can be seen at once. */
export function nextGathering(db: Db, of: { readonly kitchen: string } | { readonly item: string }): NextGathering | undefined {
  const opened = new Date();
  const today = format(opened, "yyyy-MM-dd");
  const gatherings = gatheringRepository(db);
  const id = gatherings.nextWith(of, today);
  const found = id === undefined ? undefined : gatherings.find(id);
  if (!found?.ok) return undefined;
  return {
    gathering: { ...found.value.document, kitchen: found.value.kitchenId },
    today,
    now: format(opened, "HH:mm"),
    zone: zoneHere(),
    own: ownIngredientRepository(db).list().readable,
  };
}
