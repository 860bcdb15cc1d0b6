import { z } from "zod";
import { SYSTEM_IDS } from "../../quantities/unit-table";
import { FAMILY_IDS, METHOD_IDS } from "./doughs";
import { SHAPES } from "./shapes";

const MOST_TEXT = 20000;
const words = z.string().max(MOST_TEXT);
/** Lines as one text, or one by one. */
const lines = z.union([words, z.array(words).max(400)], { error: "lines of the recipe, as one text or one by one" });
/** Lists with a name of their own, or one without. */
const named = z.union([
  words,
  z.array(z.union([words, z.array(words).max(400), z.object({ name: z.string().max(120).optional(), lines })])).max(200),
]);
const shapeIds = SHAPES.map(({ id }) => id) as [string, ...string[]];

/** A recipe in the cook's words, `unisynth-recipe/1`: all of it as one text, or by its parts. */
export const RecipeInputSchema = z
  .object({
    format: z.literal("unisynth-recipe/1", { error: "the format unisynth-recipe/1" }).optional(),
    name: z.string({ error: "a name" }).trim().min(1, { error: "a name" }).max(120),
    /** Pieces: a number, or as it is written ("about 20 pieces"). */
    makes: z.union([z.number().min(1).max(2000), z.string().max(120)], { error: "how many pieces it makes" }).optional(),
    text: words.optional(),
    dough: lines.optional(),
    fillings: named.optional(),
    /** Dips, sauces and drinks that are served with it. */
    beside: named.optional(),
    /** The steps as they are written, or the way it is finished by its id. */
    method: lines.optional(),
    finish: lines.optional(),
    family: z.enum(FAMILY_IDS, { error: `one of ${FAMILY_IDS.join(", ")}` }).optional(),
    shape: z.enum(shapeIds, { error: `one of ${shapeIds.join(", ")}` }).optional(),
    measures: z.enum(SYSTEM_IDS, { error: `one of ${SYSTEM_IDS.join(", ")}` }).optional(),
  })
  .refine((recipe) => recipe.text !== undefined || recipe.dough !== undefined || recipe.fillings !== undefined, {
    path: ["text"],
    error: "the recipe: its text, or its dough and fillings",
  });
export type RecipeInput = z.output<typeof RecipeInputSchema>;

/** The id of a way of finishing where `method` is nothing but one. */
export const methodId = (method: RecipeInput["method"]) => METHOD_IDS.find((id) => id === method);

export const linesOf = (text: string | readonly string[] | undefined): string[] =>
  (text === undefined ? [] : typeof text === "string" ? [text] : [...text]).flatMap((one) =>
    one
      .split(/\r\n|\r|\n/)
      .map((line) => line.trim())
      .filter((line) => line !== ""),
  );

/** Fillings by name, each with its lines. Strings that stand side by side are the lines of one filling. */
export function fillingsOf(fillings: RecipeInput["fillings"]): { name: string | undefined; lines: string[] }[] {
  if (fillings === undefined) return [];
  if (typeof fillings === "string") return [{ name: undefined, lines: linesOf(fillings) }];
  const plain = fillings.filter((one): one is string => typeof one === "string");
  const others = fillings.filter((one) => typeof one !== "string");
  return [
    ...(plain.length > 0 ? [{ name: undefined, lines: linesOf(plain) }] : []),
    ...others.map((one) =>
      Array.isArray(one) ? { name: undefined, lines: linesOf(one) } : { name: one.name, lines: linesOf(one.lines) },
    ),
  ].filter((one) => one.lines.length > 0);
}

/** How many pieces a text promises, at the middle of a range; undefined where it names none. */
export function piecesIn(makes: string | number | undefined): number | undefined {
  if (typeof makes === "number") return Math.round(makes);
  const match = /(\d{1,4})(?:\s*(?:-|–|to|bis|à)\s*(\d{1,4}))?/.exec(makes ?? "");
  if (!match) return undefined;
  const count = match[2] ? Math.round((Number(match[1]) + Number(match[2])) / 2) : Number(match[1]);
  const dozens = /dozen|dutzend|douzaine|docena|dozzina/iu.test(makes as string);
  return Math.min(2000, Math.max(1, dozens ? count * 12 : count));
}
