import { catalogueOf } from "@/core/ingredients/own";
import { itemRepository } from "@/db/items";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { ItemsList } from "@/ui/items/ItemsList";
import { itemCards } from "@/ui/items/items.view-model";
import { keepOwn } from "../own-actions";
import { withDatabase } from "../with-database";
import { archiveItem, createItem } from "./actions";

/** All items, those put away last. */
export default function Page() {
  return withDatabase((db) => {
    const repository = itemRepository(db);
    const { readable, unreadable } = repository.list({ archived: true });
    const own = ownIngredientRepository(db).list().readable;
    const catalogue = catalogueOf(own);
    const inUse = new Set(repository.idsInUse());
    const cards = (used: boolean) =>
      itemCards(
        readable.map(({ document }) => document).filter((item) => inUse.has(item.id) === used),
        catalogue,
      );
    return (
      <ItemsList
        cards={cards(true)}
        away={cards(false)}
        unreadable={unreadable}
        archive={archiveItem}
        taken={[...readable.map(({ document }) => document.id), ...unreadable.map((row) => row.id)]}
        create={createItem}
        known={own.map((one) => one.id)}
        keep={keepOwn}
      />
    );
  });
}
