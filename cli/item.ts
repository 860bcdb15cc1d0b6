// Reads a recipe in the cook's words, `unisynth-recipe/1`, and prints the item that it makes, `unisynth-item/1`, as `plan` takes it.
import { OURS } from "@/core/ingredients/own";
import { itemDocument } from "@/core/item/making/item-document";
import { makeItem } from "@/core/item/making/make-item";
import { RecipeInputSchema } from "@/core/item/making/recipe-input";
import { parseWith } from "@/core/shared/parse";
import { print, readJson, refuse, valueOrRefuse } from "./common";

const files = process.argv.slice(2);
const unknown = files.find((file) => file.startsWith("--"));
if (unknown) refuse(`${unknown} is not an option; expected none`);
if (files.length !== 1) refuse(`${files.length} files are named; expected one recipe, or - for standard input`);

const recipe = valueOrRefuse(parseWith(RecipeInputSchema, readJson(files[0])));
const made = valueOrRefuse(makeItem(recipe, { taken: [] }));
print(`${JSON.stringify(itemDocument(made, OURS), null, 2)}\n`);
