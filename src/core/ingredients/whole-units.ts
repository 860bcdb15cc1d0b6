import { wholeEggs } from "./eggs";
import { convertYeast, type Yeast } from "./yeast";
import { ingredientOf, type Named } from "./lookup";
import { OURS, type Catalogue } from "./own";

/** Dry yeast is sold in sachets of this weight, g. */
const SACHET_G = 7;

const YEASTS: readonly { readonly ingredient: string; readonly kind: Yeast; readonly text: string }[] = [
  { ingredient: "yeast-instant", kind: "instant", text: "instant" },
  { ingredient: "yeast-active-dry", kind: "active-dry", text: "active dry" },
  { ingredient: "yeast-fresh", kind: "fresh", text: "fresh" },
];
const tenth = (grams: number): number => (grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams));

/** What a weight is in whole eggs, with what is short or left and its use, or in sachets of yeast; undefined for anything else. */
export function wholeUnits(line: Named, grams: number, catalogue: Catalogue = OURS): string | undefined {
  const id = ingredientOf(line, catalogue)?.id;
  if (id === "egg" && grams >= 15) {
    const whole = wholeEggs({ neededG: grams, washG: 0, region: "eu", size: "M", shortPct: 5 });
    if (!whole.ok) return undefined;
    const { eggs, shortG, leftG } = whole.value;
    const rest =
      shortG >= 1
        ? `, ${Math.round(shortG)} g short: water or milk`
        : leftG >= 1
          ? `, ${Math.round(leftG)} g over: keep it for a wash`
          : "";
    return `${eggs} ${eggs === 1 ? "egg" : "eggs"} (M), beaten${rest}`;
  }
  const yeast = YEASTS.find(({ ingredient }) => ingredient === id);
  if (!yeast) return undefined;
  const sachets = Math.round((2 * grams) / SACHET_G) / 2;
  const packed = yeast.kind !== "fresh" && sachets > 0 && Math.abs(sachets * SACHET_G - grams) <= 0.1 * grams;
  const others = YEASTS.filter((other) => other !== yeast).map(
    ({ kind, text }) => `or ${tenth(convertYeast({ grams, from: yeast.kind, to: kind }).grams)} g ${text}`,
  );
  return [...(packed ? [`${sachets} sachet${sachets > 1 ? "s" : ""} of ${SACHET_G} g`] : []), ...others].join(", ");
}
