import { itemRepository } from "@/db/items";
import { NewItem } from "@/ui/items/NewItem";
import { OwnCatalogue } from "../../own-catalogue";
import { withDatabase } from "../../with-database";
import { createItem } from "../actions";

export default function Page() {
  return withDatabase((db) => {
    const items = itemRepository(db).all({ archived: true });
    return (
      <OwnCatalogue db={db}>
        <NewItem items={items} create={createItem} />
      </OwnCatalogue>
    );
  });
}
