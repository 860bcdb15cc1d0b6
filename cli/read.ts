// Reads recipe lines, one a line: ingredients, grams, allergens, diets, hazards and gaps, as `unisynth-reading/1`.
import { readFileSync } from "node:fs";
import { OURS } from "@/core/ingredients/own";
import { readingDocument } from "@/core/ingredients/reading";
import { SYSTEM_IDS, type System } from "@/core/quantities/unit-table";
import { print, refuse } from "./common";

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

const name = files[0] === "-" ? "standard input" : files[0];
let bytes: Buffer;
try {
  bytes = readFileSync(files[0] === "-" ? 0 : files[0]);
} catch {
  refuse(`${name} cannot be read; expected a text file of recipe lines`);
}
if (bytes.length > MOST_BYTES) refuse(`${name} has ${bytes.length} bytes; expected at most ${MOST_BYTES}`);
let text: string;
try {
  text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
} catch {
  refuse(`${name} is not text; expected recipe lines in UTF-8`);
}
print(`${JSON.stringify(readingDocument(text, system, OURS), null, 2)}\n`);
