import { DAIRY } from "./dairy";
import { FISH } from "./fish";
import { FRUIT_AND_NUTS } from "./fruit-nuts";
import { GRAINS } from "./grains";
import { MEAT } from "./meat";
import { SAUCES } from "./sauces";
import { SPICES } from "./spices";
import { SWEET_AND_FAT } from "./sweet-fat";
import { VEGETABLES } from "./vegetables";

/** All ingredients, as rows of text; `ingredients/catalogue.ts` reads them. */
export const ROWS: readonly string[] = [
  GRAINS,
  SWEET_AND_FAT,
  DAIRY,
  MEAT,
  FISH,
  VEGETABLES,
  SPICES,
  FRUIT_AND_NUTS,
  SAUCES,
].flatMap((table) => table.trim().split("\n"));
