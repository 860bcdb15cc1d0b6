import { itemRepository } from "@/db/items";
import { starters } from "@/db/starters";
import { NewItem } from "@/ui/items/NewItem";
import { OwnCatalogue } from "../../own-catalogue";
import { withDatabase } from "../../with-database";
import { createItem } from "../actions";

export default function Page() {
  return withDatabase((db) => {
    const own = itemRepository(db).all({ archived: true });
    const items = own.length > 0 ? own : starters();
    return (
      <OwnCatalogue db={db}>
        <NewItem items={items} create={createItem} />
      </OwnCatalogue>
    );
  });
}
