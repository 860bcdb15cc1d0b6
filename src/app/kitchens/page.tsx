import { kitchenRepository } from "@/db/kitchens";
import { KitchensList } from "@/ui/kitchen/KitchensList";
import { kitchenLine } from "@/ui/kitchen/kitchen-text";
import { withDatabase } from "../with-database";
import { archiveKitchen, createKitchen } from "./actions";

/** All kitchens, those put away last. */
export default function Page() {
  return withDatabase((db) => {
    const repository = kitchenRepository(db);
    const { readable, unreadable } = repository.list({ archived: true });
    const cards = readable.map(({ document }) => ({
      id: document.id,
      name: document.name,
      line: kitchenLine(document),
      uses: repository.uses(document.id),
      isAway: repository.isArchived(document.id),
    }));
    return <KitchensList cards={cards} unreadable={unreadable} create={createKitchen} archive={archiveKitchen} />;
  });
}
