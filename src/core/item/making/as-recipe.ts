import type { Catalogue } from "../../ingredients/own";
import { failWith, ok, type Result } from "../../shared/issue";
import { doughComponents } from "../desk";
import type { Component, Item, ItemMaking } from "../schema";
import { asWritten } from "./instead";
import { isPut } from "./put";
import { RecipeInputSchema, type RecipeInput } from "./recipe-input";
import { shapeOf } from "./shapes";

/** A line as it would be written for what it weighs now; what the cook said that it is stands for its name. */
const lineOf = ({ name, grams, ingredient }: Component, catalogue: Catalogue): string => {
  const known = ingredient === undefined ? undefined : catalogue.ingredients.get(ingredient)?.name;
  return `${grams} g ${known ?? name}`;
};

/**
 * An item as the recipe that it would be made from now.
 * @param making what is known of it by rule; what is not is read from its lines and its words
 */
export function recipeOf(item: Item, making: Partial<ItemMaking>, catalogue: Catalogue): Result<RecipeInput> {
  const write = (lines: readonly Component[]) => lines.map((line) => lineOf(line, catalogue));
  const own = asWritten(item, making.instead);
  const parsed = RecipeInputSchema.safeParse({
    name: item.name,
    makes: Math.min(2000, item.base.pieces),
    dough: write(doughComponents(own)),
    fillings: fillingsAsWritten(item, making, write),
    finish: write(
      [...own.finish, ...(making.finish ?? [])].filter((entry) => !isPut(entry)).flatMap((entry) => entry.components),
    ),
    method: making.says ?? item.written?.method ?? "",
    family: making.family,
    ...(making.shape !== undefined && shapeOf(making.shape) && { shape: making.shape }),
    measures: item.measures,
  });
  return parsed.success
    ? ok(parsed.data)
    : failWith(
        parsed.error.issues.slice(0, 1).map(({ path, message }) => ({
          code: "inconsistent" as const,
          path: path.map(String),
          got: undefined,
          wanted: message,
        })),
      );
}

/** What the base of several fillings is called where they are written down. */
const BASE_NAME = "Base for the fillings";

/** The fillings of an item as they would be written: the base that they share first, whole. */
function fillingsAsWritten(
  { filling }: Item,
  { called }: Partial<ItemMaking>,
  write: (lines: readonly Component[]) => string[],
): { name?: string; lines: string[] }[] {
  // Fillings of steps of the cook's own say themselves what is otherwise.
  const variants = called ? [] : (filling.variants ?? []);
  const base = filling.components.filter((line) => line.base);
  if (variants.length === 0) return [{ lines: write(filling.components) }];
  const own = (lines: readonly Component[]) => write(lines.filter((line) => !line.base));
  return [
    ...(base.length > 0
      ? [{ name: BASE_NAME, lines: write(base.map((line) => ({ ...line, grams: line.grams * (variants.length + 1) }))) }]
      : []),
    { name: filling.name ?? "Filling 1", lines: own(filling.components) },
    ...variants.map(({ name, components }) => ({ name, lines: own(components) })),
  ];
}
