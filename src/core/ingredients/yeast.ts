export type Yeast = "fresh" | "active-dry" | "instant";

/** What replaces 1 g of fresh yeast, g. */
const EQUAL_TO_FRESH: Readonly<Record<Yeast, number>> = { fresh: 1, "active-dry": 0.4, instant: 0.33 };

/** The same rise from another kind of yeast. */
export const convertYeast = ({ grams, from, to }: { grams: number; from: Yeast; to: Yeast }): { grams: number } => ({
  grams: (grams / EQUAL_TO_FRESH[from]) * EQUAL_TO_FRESH[to],
});
