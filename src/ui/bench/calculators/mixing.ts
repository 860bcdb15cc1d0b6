import { convertYeast } from "@/core/ingredients/yeast";
import { isWeighed, readLines } from "@/core/item/recipe";
import { kneadingRise, waterFor } from "@/core/process/mixing";
import { SYSTEM_IDS, type System } from "@/core/quantities/unit-table";
import { fail, ok } from "@/core/shared/issue";
import { run, type Calculator } from "../calculator";
import { degrees, grams } from "./words";

const YEASTS = [
  ["fresh", "fresh"],
  ["active-dry", "active dry"],
  ["instant", "instant"],
] as const;

/** Yeast is killed by hotter liquid, °C. */
const YEAST_MOST_C = 40;

const water: Calculator = {
  id: "water",
  when: "Mixing",
  typedIn: { grams: "flourG", tempC: "flourC" },
  question: "How warm must the water be?",
  fields: [
    { kind: "number", key: "desiredC", label: "Dough wanted at", unit: "°C", usual: 26 },
    { kind: "number", key: "flourG", label: "Flour", unit: "g", usual: 500 },
    { kind: "number", key: "flourC", label: "Flour is at", unit: "°C", usual: 21 },
    { kind: "number", key: "waterG", label: "Water", unit: "g", usual: 300 },
    { kind: "number", key: "tapC", label: "Tap water is at", unit: "°C", usual: 15 },
    {
      kind: "choice",
      key: "mixing",
      label: "Kneaded",
      usual: "hand",
      options: [
        ["hand", "by hand"],
        ["mixerSlow", "in a mixer, slow"],
        ["mixerMedium", "in a mixer, medium"],
        ["foodProcessor", "in a food processor"],
        ["none", "not at all"],
      ],
    },
    { kind: "number", key: "minutes", label: "For", unit: "min", usual: 10 },
    {
      kind: "choice",
      key: "yeast",
      label: "Yeast in it",
      usual: "yes",
      options: [
        ["yes", "yes"],
        ["no", "no"],
      ],
    },
  ],
  answer: ({ number, text }) => {
    const rise = run("temperature.friction", kneadingRise, { mixing: text("mixing"), minutes: number("minutes") });
    if (!rise.ok) return rise;
    const { riseC } = rise.value;
    const found = run("temperature.water", waterFor, {
      desiredC: number("desiredC"),
      riseC,
      waterG: number("waterG"),
      tapC: number("tapC"),
      parts: [{ kind: "flour", grams: number("flourG"), tempC: number("flourC") }],
      ...(text("yeast") === "yes" && { yeastMaxC: YEAST_MOST_C }),
    });
    if (!found.ok) return found;
    const { useC, liquidG, iceG, doughC, note } = found.value;
    return ok({
      headline:
        iceG > 0
          ? `${grams(liquidG)} of water at ${degrees(useC)} and ${grams(iceG)} of ice`
          : `${grams(liquidG)} of water at ${degrees(useC)}`,
      says: [
        ["Kneading warms it by", degrees(riseC)],
        ["The dough comes to", degrees(doughC)],
      ],
      ...(note === "capped" && {
        caution: `Hotter water harms the yeast: no more than ${degrees(YEAST_MOST_C)}. Warm the flour or the room instead.`,
      }),
      ...(note === "muchIce" && { caution: "More than half of it is ice: chill the flour as well." }),
      by: ["temperature.water", "temperature.friction"],
      use: { text: "Where a dough is weighed on a timeline it stands as well", href: "/" },
    });
  },
};

const yeast: Calculator = {
  id: "yeast",
  when: "Mixing",
  question: "Which yeast for which?",
  fields: [
    { kind: "number", key: "grams", label: "The recipe has", unit: "g", usual: 7 },
    { kind: "choice", key: "from", label: "Of", usual: "instant", options: YEASTS },
    { kind: "choice", key: "to", label: "There is", usual: "fresh", options: YEASTS },
  ],
  answer: ({ number, text }) => {
    const found = run("yeast.convert", convertYeast, { grams: number("grams"), from: text("from"), to: text("to") });
    if (!found.ok) return found;
    const name = YEASTS.find(([id]) => id === text("to"))![1];
    return ok({
      headline: `${grams(found.value.grams)} of ${name} yeast`,
      ...(text("to") === "active-dry" && {
        says: [["Wake it first", "10 min in water at 37 °C; no froth after 12 min: not with this one"]],
      }),
      by: ["yeast.convert"],
      use: { text: "Change the yeast of an item", href: "/items" },
    });
  },
};

const measure: Calculator = {
  id: "measure",
  when: "Mixing",
  question: "How much does that weigh?",
  fields: [
    { kind: "text", key: "line", label: "As the recipe has it", usual: "1½ cups grated cheddar" },
    {
      kind: "choice",
      key: "system",
      label: "Cups and spoons",
      usual: "metric",
      options: [
        ["metric", "metric, 250 ml"],
        ["us", "US, 240 ml"],
        ["au", "Australian, 20 ml spoons"],
        ["imperial", "imperial, 284 ml"],
      ],
    },
  ],
  answer: ({ text }, catalogue) => {
    const system = SYSTEM_IDS.find((id) => id === text("system")) as System;
    const [reading] = readLines(text("line"), system, catalogue);
    if (!reading || !isWeighed(reading))
      return fail({
        code: "unreadable",
        path: ["line"],
        got: text("line"),
        wanted: "an amount and an ingredient, such as 2 tbsp butter",
      });
    return ok({
      headline: `${grams(reading.grams)} of ${reading.name}`,
      ...(reading.found && { says: [["Understood as", reading.found.main.name]] }),
      ...(reading.found === undefined && { caution: "Nobody knows this ingredient here: the weight is what was written." }),
      by: ["units.toGrams"],
      use: { text: "A whole recipe", href: "/items/new" },
    });
  },
};

export const MIXING: readonly Calculator[] = [water, yeast, measure];
