import { format } from "date-fns";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { NewGathering } from "@/ui/home/NewGathering";
import { kitchenLine } from "@/ui/kitchen/kitchen-text";
import { createGathering } from "../gathering-actions";
import { createKitchen } from "../kitchens/actions";
import { withDatabase } from "../with-database";

export default function Page() {
  const today = format(new Date(), "yyyy-MM-dd");
  return withDatabase((db) => {
    return (
      <NewGathering
        items={itemRepository(db)
          .all()
          .map(({ id, name, line }) => ({ id, name, line }))}
        kitchens={kitchenRepository(db)
          .list()
          .readable.map(({ document }) => ({ id: document.id, name: document.name, line: kitchenLine(document) }))}
        today={today}
        isFirst={gatheringRepository(db).isEmpty()}
        create={createGathering}
        createKitchen={createKitchen}
      />
    );
  });
}
