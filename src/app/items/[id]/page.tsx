import { notFound } from "next/navigation";
import { database } from "@/db/database";
import { itemRepository } from "@/db/items";
import { ItemDesk } from "@/ui/items/ItemDesk";
import { archiveItem, duplicateItem, saveItem } from "../actions";

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const repository = itemRepository(database());
  const item = repository.find(id);
  if (!item) notFound();
  const place = repository.all({ archived: true }).findIndex((other) => other.id === id);
  return (
    <ItemDesk
      key={id}
      item={item}
      place={place}
      away={repository.isArchived(id)}
      save={saveItem}
      duplicate={duplicateItem}
      archive={archiveItem}
    />
  );
}
