import { database } from "@/db/database";
import { itemRepository } from "@/db/items";
import { NewItem } from "@/ui/items/NewItem";
import { OwnCatalogue } from "../../own-catalogue";
import { createItem } from "../actions";

export default function Page() {
  const items = itemRepository(database()).all({ archived: true });
  return (
    <OwnCatalogue>
      <NewItem items={items} create={createItem} />
    </OwnCatalogue>
  );
}
