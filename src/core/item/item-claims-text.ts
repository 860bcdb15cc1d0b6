import type { Catalogue } from "../ingredients/own";
import { claimsLine } from "./claims-text";
import { claimsOf } from "./claims";
import { fillingsIn } from "./item-claims";
import { resolveItem } from "./resolve";
import type { Choices, Item } from "./schema";

/** What is in an item and who may eat it, in a line: of several fillings each, where they differ. */
export const claimsLines = (item: Item, choices: Choices, catalogue: Catalogue): string =>
  [...new Set(fillingsIn(item).map((filling) => claimsLine(claimsOf(resolveItem(item, choices, filling), catalogue))))].join(
    " / ",
  );
