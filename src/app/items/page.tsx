import { z } from "zod";
import { catalogueOf } from "@/core/ingredients/own";
import { itemRepository } from "@/db/items";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { ItemsList } from "@/ui/items/ItemsList";
import { itemCards } from "@/ui/items/items.view-model";
import { Pages } from "@/ui/kit/Pages";
import { keepOwn } from "../own-actions";
import { withDatabase } from "../with-database";
import { archiveItem, createItem } from "./actions";

/** Cards on one page: their documents are read for what they hold. */
const ON_A_PAGE = 24;
const Where = z.object({ page: z.coerce.number().int().min(1).max(100_000).catch(1) });

/** The items in use, a page at a time; the names of those put away. */
export default async function Page({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const { page } = Where.parse(await searchParams);
  return withDatabase((db) => {
    const repository = itemRepository(db);
    const { readable, unreadable, count } = repository.page((page - 1) * ON_A_PAGE, ON_A_PAGE);
    const own = ownIngredientRepository(db).list().readable;
    const names = repository.names();
    return (
      <ItemsList
        cards={itemCards(
          readable.map(({ document }) => document),
          catalogueOf(own),
        )}
        count={count}
        away={names.filter(({ isAway }) => isAway)}
        unreadable={unreadable}
        archive={archiveItem}
        taken={names.map(({ id }) => id)}
        create={createItem}
        known={own.map((one) => one.id)}
        keep={keepOwn}
      >
        <Pages
          page={page}
          onAPage={ON_A_PAGE}
          all={count}
          hrefOf={(n) => `/items?page=${n}`}
          words={{ back: "before", on: "more" }}
          asides={[]}
        />
      </ItemsList>
    );
  });
}
