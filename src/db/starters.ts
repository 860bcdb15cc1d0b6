import { ItemSchema, type Item } from "@/core/item/schema";
import demoItems from "./demo/items.json";

/** Ways of making that a first recipe may follow, until the cook has items of their own: those of the demo. */
export const starters = (): Item[] => demoItems.map((item) => ItemSchema.parse(item));
