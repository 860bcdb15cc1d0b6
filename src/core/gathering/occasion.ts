import type { Item } from "../item/schema";
import type { Kitchen } from "../kitchen/schema";
import type { Gathering } from "./schema";

/** A gathering with all that is needed to say what it wants: the items it names, the kitchen it is held in, and today. */
export interface Occasion {
  /** yyyy-mm-dd */
  readonly today: string;
  /** IANA name of the zone that its times are in; without it every day has 24 hours. */
  readonly zone?: string;
  readonly items: readonly Item[];
  readonly kitchen: Kitchen;
  readonly gathering: Gathering;
}
