import { notFound } from "next/navigation";
import type { Db } from "@/db/database";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { ItemDesk, type ItemDay } from "@/ui/items/ItemDesk";
import { UnreadablePage } from "@/ui/kit/UnreadablePage";
import { OwnCatalogue } from "../../own-catalogue";
import { nextGathering } from "../../next-gathering";
import { withDatabase } from "../../with-database";
import { archiveItem, duplicateItem, saveItem, versionsOf } from "../actions";

/** The next day with the item, and what that is planned with. */
function dayWith(db: Db, item: string): ItemDay | undefined {
  const next = nextGathering(db, { item });
  const kitchen = next?.gathering.kitchen !== undefined ? kitchenRepository(db).find(next.gathering.kitchen) : undefined;
  if (!next || !kitchen?.ok) return undefined;
  const { waves, freezer } = next.gathering;
  const named = new Set([...waves.flatMap(({ items }) => items), ...freezer].map(({ recipe }) => recipe));
  const repository = itemRepository(db);
  const items = [...named].flatMap((id) => {
    const found = repository.find(id);
    return found?.ok ? [found.value.document] : [];
  });
  return { next, items, kitchen: kitchen.value.document };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return withDatabase((db) => {
    const repository = itemRepository(db);
    const found = repository.find(id);
    if (!found) notFound();
    if (!found.ok) return <UnreadablePage id={id} kind="item" issue={found.issues[0]} />;
    return (
      <OwnCatalogue db={db}>
        <ItemDesk
          key={id}
          stored={found.value}
          place={repository.placeOf(id)}
          day={dayWith(db, id)}
          away={repository.isArchived(id)}
          save={saveItem}
          duplicate={duplicateItem}
          archive={archiveItem}
          versions={versionsOf}
        />
      </OwnCatalogue>
    );
  });
}
