import { notFound } from "next/navigation";
import { itemRepository } from "@/db/items";
import { ItemDesk } from "@/ui/items/ItemDesk";
import { UnreadablePage } from "@/ui/kit/UnreadablePage";
import { OwnCatalogue } from "../../own-catalogue";
import { withDatabase } from "../../with-database";
import { archiveItem, duplicateItem, saveItem } from "../actions";

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
          away={repository.isArchived(id)}
          save={saveItem}
          duplicate={duplicateItem}
          archive={archiveItem}
        />
      </OwnCatalogue>
    );
  });
}
