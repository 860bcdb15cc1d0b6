import { notFound } from "next/navigation";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { UnreadablePage } from "@/ui/kit/UnreadablePage";
import { KitchenView } from "@/ui/kitchen/KitchenView";
import { nextGathering } from "../../next-gathering";
import { withDatabase } from "../../with-database";
import { saveKitchen } from "../actions";

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return withDatabase((db) => {
    const found = kitchenRepository(db).find(id);
    if (!found) notFound();
    if (!found.ok) return <UnreadablePage id={id} kind="kitchen" issue={found.issues[0]} />;
    return (
      <KitchenView
        key={id}
        stored={found.value}
        items={itemRepository(db).all()}
        next={nextGathering(db, { kitchen: id })}
        save={saveKitchen}
      />
    );
  });
}
