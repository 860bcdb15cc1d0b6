import type { Draft } from "../plan/plan-state";

type Entry = NonNullable<Draft["waves"]>[number]["items"][number];

/** What a line of a wave and one of the freezer have in common. */
export type LineEntry = Pick<
  Entry,
  "choices" | "split" | "pieces" | "share" | "rounding" | "surplus" | "keepWarm" | "firstPiece"
>;
