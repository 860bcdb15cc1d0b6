// Reads recipe lines, one a line: ingredients, grams, allergens, diets, hazards and gaps, as `unisynth-reading/1`.
import { OURS } from "@/core/ingredients/own";
import { readingDocument } from "@/core/ingredients/reading";
import { SYSTEM_IDS, type System } from "@/core/quantities/unit-table";
import { print, readText, refuse } from "./common";

/** Longer than any recipe. */
const MOST_BYTES = 1_000_000;

const args = process.argv.slice(2);
let system: System = "metric";
const files: string[] = [];
for (let i = 0; i < args.length; i++) {
  if (args[i] !== "--measures") files.push(args[i]);
  else {
    const asked = args[++i];
    if (!SYSTEM_IDS.includes(asked as System)) refuse(`--measures is “${asked ?? ""}”; expected one of ${SYSTEM_IDS.join(", ")}`);
    system = asked as System;
  }
}
const unknown = files.find((file) => file.startsWith("--"));
if (unknown) refuse(`${unknown} is not an option; expected --measures`);
if (files.length !== 1) refuse(`${files.length} files are named; expected one file of recipe lines, or - for standard input`);

const text = readText(files[0], "a text file of recipe lines", MOST_BYTES);
print(`${JSON.stringify(readingDocument(text, system, OURS), null, 2)}\n`);
