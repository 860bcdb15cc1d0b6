import { format } from "date-fns";
import { notFound } from "next/navigation";
import type { Db } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { UnreadablePage } from "@/ui/kit/UnreadablePage";
import type { NextGathering } from "@/ui/kitchen/KitchenEffect";
import { KitchenView } from "@/ui/kitchen/KitchenView";
import { withDatabase } from "../../with-database";
import { saveKitchen } from "../actions";

/** What the kitchen is needed for next, so that a change of it can be seen at once. */
function nextIn(db: Db, kitchen: string): NextGathering | undefined {
  const opened = new Date();
  const today = format(opened, "yyyy-MM-dd");
  const gatherings = gatheringRepository(db);
  const id = gatherings.nextIn(kitchen, today);
  const found = id === undefined ? undefined : gatherings.find(id);
  if (!found?.ok) return undefined;
  return {
    gathering: found.value.document,
    today,
    now: format(opened, "HH:mm"),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    own: ownIngredientRepository(db).list().readable,
  };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return withDatabase((db) => {
    const found = kitchenRepository(db).find(id);
    if (!found) notFound();
    if (!found.ok) return <UnreadablePage id={id} kind="kitchen" issue={found.issues[0]} />;
    return (
      <KitchenView key={id} stored={found.value} items={itemRepository(db).all()} next={nextIn(db, id)} save={saveKitchen} />
    );
  });
}
