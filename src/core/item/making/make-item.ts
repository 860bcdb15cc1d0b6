import type { Hazard } from "../../ingredients/kinds";
import { worstHazard } from "../../ingredients/kinds";
import { ingredientOf } from "../../ingredients/lookup";
import { OURS, type Catalogue } from "../../ingredients/own";
import { readLine, type Reading } from "../../ingredients/read-line";
import type { System } from "../../quantities/unit-table";
import { freshId } from "../../shared/fresh-id";
import { failWith, ok, type Result } from "../../shared/issue";
import { sum } from "../../shared/rounding";
import { FREEZE_MONTHS, FRIDGE_HOURS } from "../../tables/keeping";
import { itemIssues } from "../check";
import { componentClaims } from "../claims";
import { doughShares, FAMILIES } from "../families";
import { boughtFamily } from "../paper/bought";
import { says } from "../paper/says";
import { readMethod } from "../paper/method-text";
import { readPaper, sentencesOf, type Paper } from "../paper/sections";
import { fromLines } from "../recipe";
import { ItemSchema, type Component, type Item } from "../schema";
import { fillingFor, usableDoughG } from "../yields";
import { DOUGHS, METHOD_IDS, type FamilyId, type MethodId } from "./doughs";
import { FILLINGS, type Filling, type FillingId } from "./fillings";
import { generateSteps } from "./generate";
import { METHODS } from "./methods";
import { isBaked, type Making } from "./making";
import { capacityOf, footprintMm } from "./piece-geometry";
import { proposeFamily, proposeFilling, proposeMethod, proposeShape, shapesFor, type Proposed } from "./propose";
import { fillingsOf, linesOf, methodId, piecesIn, type RecipeInput } from "./recipe-input";
import { shapeOf, type Shape } from "./shapes";
import { heatFigures } from "./steps/heat-steps";

/** Something that a recipe does not say, with what is usual and what was taken meanwhile. */
export interface MissingFigure {
  readonly about: "family" | "method" | "shape" | "filling" | "pieces" | "heat" | "minutes" | "line" | "filling-over" | "beside";
  readonly text: string;
  readonly usual?: string;
  readonly taken?: string;
}

/** An item that was made from a recipe in the cook's words, and how it came about. */
export interface Made {
  readonly item: Item;
  readonly family: Proposed<FamilyId>;
  readonly method: Proposed<MethodId>;
  readonly shape: Proposed<Shape>;
  readonly filling: Proposed<FillingId>;
  readonly hazard: Hazard | null;
  readonly gaps: readonly MissingFigure[];
  readonly making: Making;
  readonly paper: Paper;
}

export interface MakeOptions {
  readonly taken: readonly string[];
  readonly catalogue?: Catalogue;
  /** Whose cups and spoons, where the recipe does not say. */
  readonly system?: System;
  /** How much cooler this cook's fan oven is set, °C. */
  readonly fanLessC?: number;
  /** By the cook's word. */
  readonly method?: MethodId;
  readonly filling?: FillingId;
}

/** Words by which a line is called in a sentence. */
const wordsIn = ({ name }: Reading): string[] => name.split(/[^\p{L}]+/u).filter((word) => word.length > 3);

/** A bought piece, g. */
const BOUGHT_PIECE_G = 22;
/** Lost of a filling on its way into the pieces, %. */
const HANDLING_PCT = 2;
/** What an adult eats of one of several kinds, and of the only one, g; and how much less others eat. */
const ADULT_G = { among: 100, alone: 210 } as const;
const TEEN = 1.2;
const CHILD = 0.6;

/** A recipe by its parts, as it stands in the document or is read from its text. */
function paperOf(recipe: RecipeInput, system: System, catalogue: Catalogue): Paper {
  const read = recipe.text === undefined ? undefined : readPaper(recipe.text, system, catalogue);
  const readAll = (lines: readonly string[]) => lines.map((line) => readLine(line, system, catalogue.index));
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
const boughtPieces = (dough: readonly Reading[], paper: Paper): boolean =>
  paper.fillings.length === 0 &&
  dough.length > 0 &&
  !dough.some(({ found }) => found?.main.flour) &&
  dough.some(
    ({ text }) =>
      says(text, ["frozen", "gefroren", "tiefgekühlt", "surgelés", "congelados", "surgelati", "mrożone", "dondurulmuş"]) !==
      undefined,
  );

const BLANK_STEP = { id: "serve", kind: "serve", part: "piece", path: ["fresh"], lot: "batch", attention: "none" } as const;

/** The part of an item that its formula is read from. */
const formulaOf = (dough: readonly Component[]): Item =>
  ItemSchema.parse({
    id: "formula",
    name: "formula",
    piecesPerGuest: { adult: 1, teen: 1, child: 1 },
    piecesPerGuestAlone: { adult: 1, teen: 1, child: 1 },
    base: { pieces: 1 },
    dough: { parts: [{ id: "dough", name: "Dough", components: dough }], netLossPct: 0 },
    filling: { components: [], cookingLossPct: 0, handlingLossPct: 0 },
    piece: { doughG: 0, fillingG: 0 },
    capacity: { perTray: 1 },
    steps: [BLANK_STEP],
  });

/**
 * Makes an item of a recipe in the cook's words: its formula, the kind of dough, the way of finishing, the shape and the steps that
 * follow from them. What the recipe does not say is taken from what is usual and listed; it blocks nothing, and the item is provisional.
 * Issues: `missing` dough (nothing of it can be weighed), and those of an item.
 */
export function makeItem(recipe: RecipeInput, options: MakeOptions): Result<Made> {
  const { catalogue = OURS, taken } = options;
  const system = recipe.measures ?? options.system ?? "metric";
  const paper = paperOf(recipe, system, catalogue);
  const gaps: MissingFigure[] = [];
  const none = { components: [], gaps: [] };
  const doughRead = fromLines(paper.dough, "dough", none, catalogue);
  const [first = { name: undefined, lines: [] as readonly Reading[] }, ...others] = paper.fillings;
  const isBoughtWhole = boughtPieces(paper.dough, paper);
  const boughtCount = isBoughtWhole ? (piecesIn(paper.dough[0].text) ?? 12) : undefined;
  if (isBoughtWhole) {
    // Bought pieces need no weight to be cooked: one is taken as usual.
    const [line] = paper.dough;
    const grams = BOUGHT_PIECE_G * boughtCount!;
    doughRead.components.splice(0, Infinity, {
      id: freshId(line.name, []),
      name: line.name.slice(0, 120),
      grams,
      text: line.text.slice(0, 300),
    });
    doughRead.gaps.length = 0;
    gaps.push({ about: "line", text: `what is in the bought pieces: read it off the packet (${line.text})` });
  }
  const fillingRead = fromLines(first.lines, "filling", { components: [], gaps: doughRead.gaps }, catalogue);
  const finishRead = fromLines(paper.finish, "dough", { components: [], gaps: [] }, catalogue);
  if (doughRead.components.length === 0)
    return failWith([
      {
        code: "missing",
        path: [recipe.text !== undefined ? "text" : "dough"],
        got: undefined,
        wanted: "the ingredients of the dough, at least one with an amount",
      },
    ]);

  const whole = [recipe.name, ...paper.method].join("\n");
  const withDough = [whole, ...paper.dough.map(({ text }) => text)].join("\n");
  const read = readMethod(
    paper.method,
    { dough: paper.dough.flatMap(wordsIn), filling: paper.fillings.flatMap(({ lines }) => lines.flatMap(wordsIn)) },
    options.fanLessC,
  );
  const bought = doughRead.components.some((c) => c.flour) ? undefined : boughtFamily(paper.dough);
  const shares = doughShares(formulaOf(doughRead.components), catalogue);
  const chosen = <T>(value: T | undefined, other: () => Proposed<T>): Proposed<T> =>
    value === undefined ? other() : { value, because: "the cook's word", sure: true };

  const family = chosen<FamilyId>(recipe.family, () =>
    isBoughtWhole ? { value: "CW", because: "bought", sure: true } : proposeFamily(shares, read, withDough, bought),
  );
  const dough = DOUGHS[family.value];
  const method = chosen<MethodId>(options.method ?? methodId(recipe.method), () => proposeMethod(read, whole, family.value));
  const fitting = shapesFor(family.value, method.value);
  const wished = recipe.shape === undefined ? undefined : shapeOf(recipe.shape);
  const shape = chosen<Shape>(wished && (fitting.length === 0 || fitting.includes(wished)) ? wished : undefined, () =>
    proposeShape(family.value, method.value, whole),
  );
  const hazardOf = (line: Reading): Hazard | null => componentClaims({ name: line.name }, catalogue).hazard;
  const filling = chosen<FillingId>(options.filling, () => proposeFilling(first.lines, read, whole, hazardOf));
  const kind = FILLINGS[filling.value];
  const isRaw = kind.tasteNot === true;
  // Nobody knows what is in bought pieces: they are heated as what asks for the most.
  const hazard = isBoughtWhole ? ("leftovers" as const) : hazardFor(first.lines, kind, hazardOf);

  if (!family.sure)
    gaps.push({ about: "family", text: "which kind of dough it is", taken: FAMILIES.find(({ id }) => id === dough.id)?.name });
  if (!method.sure)
    gaps.push({
      about: "method",
      text: "how it is finished",
      taken: METHODS[method.value].name,
      usual: dough.methods.map((id) => METHODS[id].name).join(", "),
    });
  if (!filling.sure && first.lines.length > 0)
    gaps.push({ about: "filling", text: "whether the filling is cooked before it is wrapped", taken: kind.name });
  for (const gap of [...fillingRead.gaps, ...finishRead.gaps]) gaps.push({ about: "line", text: gap.text });

  // Weights of one piece.
  const { lines: fillingLines, lossPct } = weighed(fillingRead.components, kind);
  const doughG = sum(doughRead.components.map((c) => c.grams));
  const said = boughtCount ?? piecesIn(recipe.makes) ?? piecesIn(madeIn(paper.method, recipe.text));
  const usable = usableDoughG({ dough: { parts: [], netLossPct: dough.lossPct } as unknown as Item["dough"] }, doughG);
  const isDish = shape.value.foot.of === "dish";
  const guessedPieces = isDish ? 1 : Math.max(1, Math.round(usable / dough.pieceG[1]));
  const pieces = said !== undefined && !(isDish && said > 12) ? said : guessedPieces;
  if (said === undefined)
    gaps.push({
      about: "pieces",
      text: "how many pieces it makes",
      taken: `${pieces}`,
      usual: `${dough.pieceG[0]} to ${dough.pieceG[2]} g of dough each`,
    });
  const tenth = (g: number) => Math.floor(g * 10) / 10;
  const losses = { cookingLossPct: lossPct, handlingLossPct: HANDLING_PCT };
  const { usableG } = fillingFor({ components: fillingLines, ...losses });
  const perPieceDough = tenth(usable / pieces);
  const wanted = usableG / pieces;
  const most = shape.value.ratio ? shape.value.ratio[2] * 1.15 * perPieceDough : Infinity;
  const perPieceFilling = tenth(Math.min(wanted, Math.max(most, 1)));
  if (wanted > most + 1)
    gaps.push({
      about: "filling-over",
      text: `there is more filling than the pieces hold: ${Math.round((wanted - most) * pieces)} g are over`,
      taken: `${Math.round(perPieceFilling)} g a piece`,
    });
  if (paper.beside.length > 0)
    gaps.push({
      about: "beside",
      text: `served beside it, and planned with the gathering: ${paper.beside.map(({ text }) => text).join("; ")}`,
    });

  const making: Making = {
    dough,
    method: METHODS[method.value],
    shape: shape.value,
    filling: kind,
    hazard,
    isRaw,
    lines: { dough: doughRead.components, filling: fillingLines, finish: isBaked(method.value) ? finishRead.components : [] },
    pieces,
    piece: { doughG: perPieceDough, fillingG: perPieceFilling },
    ...(isBoughtWhole ? { bought: "pieces" as const } : bought && !shares ? { bought: "dough" as const } : {}),
    blooms: doughRead.components.some((c) => ingredientOf(c, catalogue)?.id === "yeast-active-dry"),
    paste:
      says(whole, [
        "cook the flour",
        "flour paste",
        "water roux",
        "cooked paste",
        "cook to a paste",
        "thickens to a paste",
        "cooked flour",
      ]) !== undefined && family.value === "EY",
    coldStart: says(whole, ["cold pan", "cold start", "from frozen", "frozen"]) !== undefined,
    ...(read.fillingCook?.celsius !== undefined && { roastC: read.fillingCook.celsius }),
    says: heatIsFor(method.value, proposeMethod(read, whole, family.value).value)
      ? read
      : { ...read, heat: undefined, blind: undefined },
  };
  const figures = heatFigures(making);
  if (figures.heatFrom === "method" && (isBaked(method.value) || method.value === "fry"))
    gaps.push({
      about: "heat",
      text: "how hot",
      usual: `${figures.usualC[0]} to ${figures.usualC[1]} °C`,
      taken: `${figures.settingC} °C`,
    });
  if (figures.minutesFrom === "method")
    gaps.push({
      about: "minutes",
      text: "how long over the heat",
      usual: `${figures.usualMin[0]} to ${figures.usualMin[1]} min`,
      taken: `${figures.minutes} min`,
    });

  const steps = generateSteps(making);
  const weightG = perPieceDough + perPieceFilling;
  const foot = footprintMm(shape.value, dough, isBoughtWhole ? weightG / 2 : perPieceDough, weightG, pieces);
  const guessed: NonNullable<Item["guessed"]> = [
    ...(figures.heatFrom === "method" && isBaked(method.value) ? (["oven"] as const) : []),
    ...(figures.minutesFrom === "method" ? (["minutes"] as const) : []),
    ...(said === undefined ? (["fillingG"] as const) : []),
    ...(family.sure && method.sure && filling.sure ? [] : (["family"] as const)),
  ];
  const share = (grams: number) =>
    Math.max(isDish ? 0.05 : 0.5, Math.round((grams / Math.max(1, weightG)) * (isDish ? 20 : 2)) / (isDish ? 20 : 2));
  const head = (grams: number) => ({
    adult: Math.min(50, share(grams)),
    teen: Math.min(50, share(grams * TEEN)),
    child: Math.min(50, share(grams * CHILD)),
  });
  const finishStep = ["wash", "drain", "cool", "settle", "serve"].find((id) => steps.some((step) => step.id === id))!;
  const frying = steps.some((step) => step.equipment.some(({ id }) => id === "fryer"));
  const input: Record<keyof Item, unknown> | Record<string, unknown> = {
    id: freshId(recipe.name, taken),
    name: recipe.name,
    line: `${capitalised(METHODS[method.value].name)}.`,
    family: dough.id,
    gaps: [...fillingRead.gaps, ...finishRead.gaps.map((gap) => ({ ...gap, in: "finish" as const }))],
    guessed,
    written: writtenOf(paper),
    measures: system,
    making: { family: dough.id, method: method.value, shape: shape.value.id, filling: filling.value },
    piecesPerGuest: head(ADULT_G.among),
    piecesPerGuestAlone: head(ADULT_G.alone),
    base: { pieces },
    dough: {
      parts: [{ id: "dough", name: "Dough", components: doughRead.components }],
      netLossPct: making.bought ? 0 : dough.lossPct,
      ...(dough.doughC !== undefined && { targetC: dough.doughC }),
    },
    filling: {
      ...losses,
      components: fillingLines,
      mustBeCold: true,
      useAtMaxC: Math.min(dough.fillMaxC, kind.atMostC ?? Infinity),
      variants: others.map((other, k) => variantOf(other, k, read, whole, hazardOf, catalogue)),
    },
    finish:
      finishRead.components.length > 0
        ? [{ step: finishStep, what: finishStep === "wash" ? "Wash" : "To finish", components: finishRead.components }]
        : [],
    piece: {
      doughG: perPieceDough,
      fillingG: perPieceFilling,
      shape: shape.value.name,
      thicknessMm: dough.thicknessMm[0],
      footprintMm: [...foot],
    },
    capacity: capacityOf(shape.value, dough, foot, weightG),
    ...(frying && {
      fryOil: {
        order:
          hazard === "fish" || hazard === "poultry" || hazard === "mincedMeat" || hazard === "leftovers"
            ? 5
            : filling.value === "fruit"
              ? 1
              : 3,
      },
    }),
    storage: {
      fridge: {
        rawHours: FRIDGE_HOURS[isRaw ? "shaped-raw-meat" : "shaped-cooked-filling"],
        cookedHours: FRIDGE_HOURS["cooked-pieces"],
      },
      freezer: {
        as: dough.freeze,
        rawMonths: FREEZE_MONTHS["shaped-raw-vegetable"],
        cookedMonths: FREEZE_MONTHS[method.value === "steam" ? "steamed" : method.value === "fry" ? "fried" : "baked"],
      },
    },
    steps,
  };
  const parsed = ItemSchema.safeParse(input);
  if (!parsed.success) throw new Error(`a made item breaks its schema: ${parsed.error.message}`);
  const cleaned: Item = {
    ...parsed.data,
    gaps: parsed.data.gaps && parsed.data.gaps.length > 0 ? parsed.data.gaps : undefined,
    guessed: guessed.length > 0 ? guessed : undefined,
    filling: { ...parsed.data.filling, variants: others.length > 0 ? parsed.data.filling.variants : undefined },
  };
  const issues = itemIssues({ items: [cleaned] });
  if (issues.length > 0) return failWith(issues);
  return ok({ item: cleaned, family, method, shape, filling, hazard, gaps, making, paper });
}

/** The lines of a filling, and what all that is cooked of it loses together, %: by what its lines lose, where that is known. */
function weighed(components: readonly Component[], kind: Filling): { lines: Component[]; lossPct: number } {
  const isCooked = kind.cookMin !== undefined;
  const lines = components.map(({ lossPct: _own, ...line }) => ({ ...line, cook: isCooked }));
  if (!isCooked) return { lines, lossPct: 0 };
  const grams = sum(components.map((c) => c.grams));
  const known = components.some((c) => c.lossPct !== undefined);
  const lost = sum(components.map((c) => (c.grams * (c.lossPct ?? kind.lossPct)) / 100));
  const lossPct = known && grams > 0 ? (100 * lost) / grams : kind.lossPct;
  return { lines, lossPct: Math.round(10 * Math.min(95, Math.max(0, lossPct))) / 10 };
}

const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What decides the core: raw things by themselves, cooked and cooled ones as leftovers; plants by the cue. */
function hazardFor(lines: readonly Reading[], kind: Filling, hazardOf: (line: Reading) => Hazard | null): Hazard | null {
  const worst = worstHazard(lines.map(hazardOf));
  // Cooked and cooled cream, milk and rice are left over as meat is.
  const spoils = lines.some(({ found }) => found?.main.kinds.some((one) => one === "dairy" || one === "cooked-starch"));
  if (kind.cookMin && spoils) return "leftovers";
  if (worst === null || worst === "vegetable") return worst;
  if (kind.tasteNot) return worst === "meat" ? "mincedMeat" : worst;
  return "leftovers";
}

/** Whether a recipe's minutes and degrees hold for a way of finishing: those of an oven are none for oil. */
const heatIsFor = (method: MethodId, own: MethodId): boolean => method === own || (isBaked(method) && isBaked(own));

/** The recipe as it was written, by its parts. */
function writtenOf({ dough, fillings, finish, method }: Paper) {
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

/** A sentence that says how many it makes: "Makes 24", "divide into 12". */
function madeIn(method: readonly string[], text: string | undefined): string | undefined {
  const all = [...(text ?? "").split(/\n/), ...method];
  const makes = all.find(
    (line) => /^\s*(?:makes|yields?|ergibt|für|pour|para|per|serves)\b.*\d/iu.test(line) && !/serves/iu.test(line),
  );
  const divides = all.find((line) =>
    /(?:divide|cut|portion|shape|teilen|divise|dividir)\b[^.]*\b(?:into|in|en)\s+(\d{1,3})\b/iu.test(line),
  );
  return makes ?? /(?:into|in|en)\s+(\d{1,3})\b/iu.exec(divides ?? "")?.[1];
}

/** Another filling of the same pieces: what is done otherwise with it. */
function variantOf(
  { name, lines }: Paper["fillings"][number],
  k: number,
  read: ReturnType<typeof readMethod>,
  whole: string,
  hazardOf: (line: Reading) => Hazard | null,
  catalogue: Catalogue,
) {
  const kind = FILLINGS[proposeFilling(lines, read, whole, hazardOf).value];
  const { components } = fromLines(lines, "filling", { components: [], gaps: [] }, catalogue);
  const made = weighed(components, kind);
  return {
    id: `filling-${k + 2}`,
    name: name ?? `Filling ${k + 2}`,
    components: made.lines,
    cookingLossPct: made.lossPct,
    handlingLossPct: HANDLING_PCT,
  };
}

/** Ids of the ways in which a dough may be finished, the usual first. */
export const methodsOf = (family: FamilyId): readonly MethodId[] => [
  ...DOUGHS[family].methods,
  ...METHOD_IDS.filter((id) => !DOUGHS[family].methods.includes(id)),
];
