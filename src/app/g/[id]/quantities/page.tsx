import { database } from "@/db/database";
import { pantryRepository } from "@/db/pantry";
import { QuantitiesView } from "@/ui/quantities/QuantitiesView";
import { noteLiquid } from "../../../items/actions";
import { savePantry } from "../actions";

export default function Page() {
  return <QuantitiesView pantry={pantryRepository(database()).list()} savePantry={savePantry} noteLiquid={noteLiquid} />;
}
