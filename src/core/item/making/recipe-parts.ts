import type { Catalogue } from "../../ingredients/own";
import { readLine, type Reading } from "../../ingredients/read-line";
import type { System } from "../../quantities/unit-table";
import { says } from "../paper/says";
import { expandLine } from "../paper/inline";
import { readPaper, sentencesOf, type Paper } from "../paper/sections";
import { fillingsOf, linesOf, methodId, type RecipeInput } from "./recipe-input";

/** A recipe by its parts, as it stands in the document or is read from its text. */
export function paperOf(recipe: RecipeInput, system: System, catalogue: Catalogue): Paper {
  const read = recipe.text === undefined ? undefined : readPaper(recipe.text, system, catalogue);
  const isKnown = (words: string) => {
    const { found } = readLine(words, system, catalogue.index);
    return found !== undefined && found.strange.length === 0;
  };
  const readAll = (lines: readonly string[]) =>
    lines.flatMap((line) => expandLine(line, () => false, isKnown)).map((line) => readLine(line, system, catalogue.index));
  const own = fillingsOf(recipe.fillings).map(({ name, lines }) => ({
    name,
    lines: readAll(lines).filter(({ heading }) => !heading),
  }));
  const steps = methodId(recipe.method) ? [] : linesOf(recipe.method).flatMap(sentencesOf);
  return {
    dough: [...readAll(linesOf(recipe.dough)).filter(({ heading }) => !heading), ...(read?.dough ?? [])],
    fillings: [...own, ...(read?.fillings ?? [])],
    finish: [...readAll(linesOf(recipe.finish)), ...(read?.finish ?? [])],
    beside: read?.beside ?? [],
    method: [...steps, ...(read?.method ?? [])],
  };
}

/** Pieces that are bought frozen and only cooked: "24 frozen dumplings". */
export const boughtPieces = (dough: readonly Reading[], paper: Paper): boolean =>
  paper.fillings.length === 0 &&
  dough.length > 0 &&
  !dough.some(({ found }) => found?.main.flour) &&
  dough.some(
    ({ text }) =>
      says(text, ["frozen", "gefroren", "tiefgekühlt", "surgelés", "congelados", "surgelati", "mrożone", "dondurulmuş"]) !==
      undefined,
  );

/** A sentence that says how many it makes: "Makes 24", "divide into 12". */
export function madeIn(method: readonly string[], text: string | undefined): string | undefined {
  const all = [...(text ?? "").split(/\n/), ...method];
  const makes = all.find(
    (line) => /^\s*(?:makes|yields?|ergibt|für|pour|para|per|serves)\b.*\d/iu.test(line) && !/serves/iu.test(line),
  );
  const divides = all.find((line) =>
    /(?:divide|cut|portion|shape|teilen|divise|dividir)\b[^.]*\b(?:into|in|en)\s+(\d{1,3})\b/iu.test(line),
  );
  return makes ?? /(?:into|in|en)\s+(\d{1,3})\b/iu.exec(divides ?? "")?.[1];
}

/** The recipe as it was written, by its parts. */
export function writtenOf({ dough, fillings, finish, method }: Paper) {
  const lines = (all: readonly Reading[]) =>
    all
      .map(({ text }) => text.trim())
      .join("\n")
      .slice(0, 20000);
  return {
    dough: lines(dough),
    filling: lines([...fillings.flatMap((filling) => filling.lines), ...finish]),
    oven: "",
    method: method.join("\n").slice(0, 20000),
  };
}
