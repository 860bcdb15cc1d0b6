import type { Item } from "../item/schema";
import type { Kitchen } from "../kitchen/schema";
import type { Gathering } from "./schema";

/** A gathering with all that is needed to say what it wants: the items it names, the kitchen it is held in, and today. */
export interface Occasion {
  /** yyyy-mm-dd */
  readonly today: string;
  readonly items: readonly Item[];
  readonly kitchen: Kitchen;
  readonly gathering: Gathering;
}
