import { pantryRepository } from "@/db/pantry";
import { QuantitiesView } from "@/ui/quantities/QuantitiesView";
import { noteLiquid } from "../../../items/actions";
import { withDatabase } from "../../../with-database";

export default function Page() {
  return withDatabase((db) => <QuantitiesView pantry={pantryRepository(db).list()} noteLiquid={noteLiquid} />);
}
