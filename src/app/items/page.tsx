import { database } from "@/db/database";
import { itemRepository } from "@/db/items";
import { ItemsList } from "@/ui/items/ItemsList";
import { itemCards } from "@/ui/items/items.view-model";
import { archiveItem } from "./actions";

/** All items, those put away last. */
export default function Page() {
  const repository = itemRepository(database());
  const { readable, unreadable } = repository.list({ archived: true });
  const inUse = repository.all();
  const away = readable.map(({ document }) => document).filter((item) => !inUse.some((other) => other.id === item.id));
  return <ItemsList cards={itemCards(inUse)} away={itemCards(away)} unreadable={unreadable} archive={archiveItem} />;
}
