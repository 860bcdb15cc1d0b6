import type { Catalogue } from "../../ingredients/own";
import { readLine, type Reading } from "../../ingredients/read-line";
import type { System } from "../../quantities/unit-table";
import { isFrozen } from "../paper/bought";
import { brushedWith } from "../paper/brushed";
import { expandLine, isCount, withoutMore } from "../paper/inline";
import { asNamed, knownIn, readPaper, sentencesOf, withTold, type Paper } from "../paper/sections";
import { fillingsOf, linesOf, methodId, type RecipeInput } from "./recipe-input";

/** A recipe by its parts, as it stands in the document or is read from its text. */
export function paperOf(recipe: RecipeInput, system: System, catalogue: Catalogue): Paper {
  const read = recipe.text === undefined ? undefined : readPaper(recipe.text, system, catalogue);
  const isKnown = knownIn(system, catalogue);
  const readOne = (line: string) => readLine(line, system, catalogue.index);
  const readAll = (lines: readonly string[]) =>
    lines
      .flatMap((line) => expandLine(line, () => false, isKnown))
      .flatMap((line) => asNamed(readOne(withoutMore(line)), readOne));
  const listsOf = (lists: RecipeInput["fillings"]) =>
    fillingsOf(lists).map(({ name, lines }) => ({ name, lines: readAll(lines).filter(({ heading }) => !heading) }));
  const own = listsOf(recipe.fillings);
  const steps = methodId(recipe.method) ? [] : linesOf(recipe.method).flatMap(sentencesOf);
  const method = [...steps, ...(read?.method ?? [])];
  const brushed = brushedWith(method);
  const finish = [...readAll(linesOf(recipe.finish)), ...(read?.finish ?? [])];
  const listed: Paper = {
    dough: [...readAll(linesOf(recipe.dough)).filter(({ heading }) => !heading), ...(read?.dough ?? [])],
    fillings: [...own, ...(read?.fillings ?? [])],
    finish: finish.length > 0 ? finish : readAll(brushed.lines),
    ...(finish.length === 0 && brushed.isAfter && { finishedAfter: true as const }),
    beside: [...listsOf(recipe.beside), ...(read?.beside ?? [])],
    method,
  };
  return withTold(listed, readOne);
}

/** Pieces that are bought frozen and only cooked: "24 frozen dumplings". */
export const boughtPieces = (dough: readonly Reading[], paper: Paper): boolean =>
  paper.fillings.length === 0 && dough.length > 0 && !dough.some(({ found }) => found?.main.flour) && dough.some(isFrozen);

/** "Cut 16 rounds". */
const CUT =
  /\b(?:make|form|shape|cut|roll|stamp)\s+(?:out\s+)?([4-9]|[1-9]\d{1,2})\s+(?:small |large |thin )?(?:rounds|circles|dis[ck]s|buns|rolls|pies|turnovers|parcels|dumplings|pockets|squares|tartlets)\b/iu;

/** A sentence that says how many it makes: "Makes 24", "divide into 12". */
export function madeIn(method: readonly string[], text: string | undefined): string | undefined {
  const all = [...(text ?? "").split(/\n/), ...method];
  const makes = all.find(
    (line) =>
      (/^\s*(?:makes|yields?|ergibt)\b.*\d/iu.test(line) || isCount(line)) &&
      !/serves|people|persons|guests|personen|personnes/iu.test(line),
  );
  const divides = all.find((line) =>
    /(?:divide|cut|portion|shape|teilen|divise|dividir)\b[^.]*\b(?:into|in|en)\s+(\d{1,3})\b/iu.test(line),
  );
  const formed = all.flatMap(
    (line) => /(\d{1,3})\s+(?:stücke?|pieces|pièces|piezas|pezzi|balls|kugeln|boules)\b/iu.exec(line)?.[1] ?? [],
  )[0];
  const cut = all.flatMap((line) => CUT.exec(line)?.[1] ?? [])[0];
  return makes ?? formed ?? cut ?? /(?:into|in|en)\s+(\d{1,3})\b/iu.exec(divides ?? "")?.[1];
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
