import type { Hazard } from "../../ingredients/kinds";
import { ingredientOf } from "../../ingredients/lookup";
import { OURS, type Catalogue } from "../../ingredients/own";
import type { Reading } from "../../ingredients/read-line";
import type { System } from "../../quantities/unit-table";
import { freshId } from "../../shared/fresh-id";
import { failWith, ok, type Result } from "../../shared/issue";
import { listed } from "../../shared/words";
import { doughShares, FAMILIES } from "../families";
import { boughtFamily, isBoughtDough } from "../paper/bought";
import { readMethod } from "../paper/method-text";
import { wordsOf } from "../paper/named-in";
import { says } from "../paper/says";
import type { Paper } from "../paper/sections";
import { fromLines } from "../recipe";
import type { Component, Item } from "../schema";
import { DOUGHS, type FamilyId, type MethodId } from "./doughs";
import { besideOf } from "./beside-read";
import { baseComponents, baseMinutes, dividedFillings, readFilling, type FillingRead } from "./filling-read";
import type { FillingId } from "./fillings";
import { isBaked, type Making } from "./making";
import { measuredDough } from "./measured-dough";
import { METHODS } from "./methods";
import { pieceWeights } from "./piece-weights";
import { byWord, proposeFamily, proposeMethod, proposeShape, shapesFor, type Proposed } from "./propose";
import { methodId, piecesIn, type RecipeInput } from "./recipe-input";
import { boughtPieces, madeIn, paperOf } from "./recipe-parts";
import { withChoices, type SchoolChoices } from "./schools";
import { shapeOf, type Shape } from "./shapes";
import { heatFigures, type HeatFigures } from "./steps/heat-steps";

/** Something that a recipe does not say, with what is usual and what was taken meanwhile. */
export interface MissingFigure {
  readonly about:
    "family" | "method" | "shape" | "filling" | "pieces" | "heat" | "minutes" | "line" | "filling-over" | "beside" | "two-values";
  readonly text: string;
  readonly usual?: string;
  readonly taken?: string;
}

/** Another filling of the same pieces. */
export interface OtherFilling {
  readonly id: string;
  readonly name: string;
  readonly lossPct: number;
  readonly making: Making;
}

/** What a recipe in the cook's words comes to: what kind of thing it is, from which its steps follow, and what it does not say. */
export interface Understood {
  readonly family: Proposed<FamilyId>;
  readonly method: Proposed<MethodId>;
  readonly shape: Proposed<Shape>;
  readonly filling: Proposed<FillingId>;
  readonly hazard: Hazard | null;
  readonly gaps: readonly MissingFigure[];
  /** As it is usual, and with what the cook chose. */
  readonly plain: Making;
  readonly making: Making;
  readonly paper: Paper;
  readonly system: System;
  /** Lines that cannot be weighed, as an item keeps them. */
  readonly unweighed: NonNullable<Item["gaps"]>;
  /** What is served beside it. */
  readonly beside: NonNullable<Item["beside"]>;
  /** What pieces are finished with, in the oven or not. */
  readonly finish: readonly Component[];
  /** Lost of the filling over heat, %. */
  readonly cookingLossPct: number;
  /** What its first filling is called. */
  readonly fillingName: string | undefined;
  /** Its other fillings, each as the same pieces are made with it. */
  readonly others: readonly OtherFilling[];
  readonly figures: HeatFigures;
  /** Whether the recipe says how many it makes. */
  readonly saysPieces: boolean;
}

export interface MakeOptions {
  /** Ids that other items have. */
  readonly taken: readonly string[];
  readonly catalogue?: Catalogue;
  /** Whose cups and spoons, where the recipe does not say. */
  readonly system?: System;
  /** How much cooler this cook's fan oven is set, °C. */
  readonly fanLessC?: number;
  /** By the cook's word. */
  readonly method?: MethodId;
  readonly filling?: FillingId;
  readonly choices?: SchoolChoices;
}

const wordsIn = ({ name }: Reading): string[] => wordsOf(name);

/** A bought piece, g. */
const BOUGHT_PIECE_G = 22;
const BOUGHT_PIECES = 12;

/** Bought pieces need no weight to be cooked: one is taken as usual. */
const boughtLine = ({ name, text }: Reading, pieces: number): Component => ({
  id: freshId(name, []),
  name: name.slice(0, 120),
  grams: BOUGHT_PIECE_G * pieces,
  text: text.slice(0, 300),
});

/** What a recipe gives two values for: both are kept. Of times the longer is planned with, since everything after it waits. */
function twoValues(read: Making["says"]): MissingFigure[] {
  const stages = [
    [read.firstRest, "the first rest"],
    [read.formedRest, "the rest of formed pieces"],
    [read.fillingCook, "cooking the filling"],
    [read.fillingSet, "the rest of the filling"],
    [read.knead, "kneading"],
    [read.heat, "the heat"],
  ] as const;
  return stages.flatMap(([said, what]): MissingFigure[] => [
    ...(said?.length?.twice
      ? [
          {
            about: "two-values" as const,
            text: `two times for ${what}: ${said.length.least} and ${said.length.most} min`,
            taken: `${said.length.most} min`,
          },
        ]
      : []),
    ...(said?.otherC !== undefined
      ? [
          {
            about: "two-values" as const,
            text: `two settings for ${what}: ${said.celsius} and ${said.otherC} °C`,
            taken: `${said.celsius} °C`,
          },
        ]
      : []),
  ]);
}

/** Raw meat that the recipe lets stand with soda and rinses; poultry is not rinsed. */
const soaksInSoda = ({ own, isRaw }: FillingRead, hazard: Hazard | null, text: string): boolean =>
  isRaw &&
  hazard !== "poultry" &&
  own.some((line) => ingredientOf(line)?.id === "baking-soda") &&
  /\brins|\btender|\bvelvet|abspül|rincer|enjuag|sciacqu/iu.test(text);

/** The same pieces with another filling. */
const withFilling = (making: Making, { kind, isRaw, hazard, own }: FillingRead): Making => ({
  ...making,
  filling: kind,
  isRaw,
  hazard,
  lines: { ...making.lines, filling: own },
});

/** A bought wrapper, g. */
const WRAPPER_G = 9;

/** Wrappers that are only counted weigh what is usual. */
function withWrappers(read: ReturnType<typeof fromLines>, dough: readonly Reading[]): ReturnType<typeof fromLines> {
  const line = dough.find(isBoughtDough);
  const count = line && piecesIn(line.text);
  if (read.components.length > 0 || !line || count === undefined || boughtFamily([line]) !== "CW") return read;
  const name = line.name.slice(0, 120);
  return {
    components: [{ id: freshId(name, []), name, grams: WRAPPER_G * count, text: line.text.slice(0, 300) }],
    gaps: read.gaps.filter(({ text }) => text !== line.text.trim()),
  };
}

/** Whether a recipe's minutes and degrees hold for a way of finishing: those of an oven are none for oil. */
const heatIsFor = (method: MethodId, own: MethodId): boolean => method === own || (isBaked(method) && isBaked(own));

/**
 * Reads what a recipe is: its dough, filling and finish by weight, the kind of dough, the way of finishing and the shape. What it does
 * not say is taken from what is usual and listed. Issues: `missing` dough (nothing of it can be weighed).
 */
export function understand(recipe: RecipeInput, options: MakeOptions): Result<Understood> {
  const { catalogue = OURS } = options;
  const system = recipe.measures ?? options.system ?? "metric";
  const paper = paperOf(recipe, system, catalogue);
  const gaps: MissingFigure[] = [];
  const none = { components: [], gaps: [] };
  const divided = dividedFillings(paper.fillings);
  const isBoughtWhole = boughtPieces(paper.dough, paper);
  const boughtCount = isBoughtWhole ? (piecesIn(paper.dough[0].text) ?? BOUGHT_PIECES) : undefined;
  const doughRead =
    boughtCount === undefined
      ? withWrappers(fromLines(paper.dough, "dough", none, catalogue), paper.dough)
      : { components: [boughtLine(paper.dough[0], boughtCount)], gaps: [] };
  if (isBoughtWhole)
    gaps.push({ about: "line", text: `what is in the bought pieces: read it off the packet (${paper.dough[0].text})` });
  const finishRead = fromLines(paper.finish, "dough", none, catalogue);
  if (doughRead.components.length === 0)
    return failWith([
      {
        code: "missing",
        path: [recipe.text !== undefined ? "text" : "dough"],
        got: undefined,
        wanted: "the ingredients of the dough, at least one with an amount",
      },
    ]);

  const makes = typeof recipe.makes === "string" ? [recipe.makes] : [];
  const whole = [recipe.name, ...makes, ...paper.method].join("\n");
  const withDough = [whole, ...paper.dough.map(({ text }) => text)].join("\n");
  const read = readMethod(
    paper.method,
    { dough: paper.dough.flatMap(wordsIn), filling: paper.fillings.flatMap(({ lines }) => lines.flatMap(wordsIn)) },
    options.fanLessC,
  );
  const bought = doughRead.components.some((c) => c.flour) ? undefined : boughtFamily(paper.dough);
  const shares = doughShares(doughRead.components, catalogue);
  const chosen = <T>(value: T | undefined, other: () => Proposed<T>): Proposed<T> =>
    value === undefined ? other() : byWord(value);

  const family = chosen<FamilyId>(recipe.family, () =>
    isBoughtWhole ? { value: "CW", because: "bought", sure: true } : proposeFamily(shares, read, withDough, bought),
  );
  const dough = measuredDough(DOUGHS[family.value], shares);
  const ownMethod = proposeMethod(read, whole, family.value);
  const method = chosen<MethodId>(options.method ?? methodId(recipe.method), () => ownMethod);
  const fitting = shapesFor(family.value, method.value);
  const wished = recipe.shape === undefined ? undefined : shapeOf(recipe.shape);
  const shape = chosen<Shape>(wished && (fitting.length === 0 || fitting.includes(wished)) ? wished : undefined, () =>
    proposeShape(family.value, method.value, whole),
  );
  const base = baseComponents(divided.base, catalogue, doughRead.gaps);
  const around = { read, whole, catalogue, base: divided.base };
  const besides = (one: number) => divided.fillings.flatMap(({ lines }, k) => (k === one ? [] : lines));
  const first = readFilling(divided.fillings[0] ?? { name: undefined, lines: [] }, {
    ...around,
    others: besides(0),
    chosen: options.filling,
    gapsBefore: base.gaps,
  });
  const others = divided.fillings
    .slice(1)
    .reduce<FillingRead[]>(
      (all, one, k) => [
        ...all,
        readFilling(one, { ...around, others: besides(k + 1), chosen: undefined, gapsBefore: (all.at(-1) ?? first).gaps }),
      ],
      [],
    );
  const fillings = [first, ...others];
  const gapLines = fillings.at(-1)!.gaps;
  const { kind, proposed: filling, isRaw } = first;
  // Nobody knows what is in bought pieces: they are heated as what asks for the most.
  const hazard = isBoughtWhole ? ("leftovers" as const) : first.hazard;
  const unknown = [...new Set(fillings.flatMap((one) => one.unknown))];
  if (unknown.length > 0)
    gaps.push({
      about: "filling",
      text: `what ${listed(unknown.map(({ name }) => name))} is: until it is said, the pieces are heated as what asks for the most`,
    });

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
  for (const gap of [...gapLines, ...finishRead.gaps]) gaps.push({ about: "line", text: gap.text });

  const wrappers = bought === "CW" && !isBoughtWhole ? piecesIn(paper.dough.find(isBoughtDough)?.text) : undefined;
  const said = boughtCount ?? piecesIn(recipe.makes) ?? piecesIn(madeIn(paper.method, recipe.text)) ?? wrappers;
  // Several fillings are divided among the pieces.
  const inAll = [...base.components, ...fillings.flatMap((one) => one.own.map((line) => ({ ...line, lossPct: one.lossPct })))];
  const { pieces, piece, overG } = pieceWeights(
    doughRead.components,
    { lines: others.length === 0 ? first.own : inAll, lossPct: first.lossPct },
    dough,
    shape.value,
    said,
  );
  if (said === undefined)
    gaps.push({
      about: "pieces",
      text: "how many pieces it makes",
      taken: `${pieces}`,
      usual: `${dough.pieceG[0]} to ${dough.pieceG[2]} g of dough each`,
    });
  if (overG > 0)
    gaps.push({
      about: "filling-over",
      text: `there is more filling than the pieces hold: ${overG} g are over`,
      taken: `${Math.round(piece.fillingG)} g a piece`,
    });
  if (paper.beside.length > 0)
    gaps.push({
      about: "beside",
      text: `served beside it, and offered where a gathering has it: ${paper.beside.map(({ name, lines }) => `${name ?? "beside"} (${lines.map(({ text }) => text).join("; ")})`).join("; ")}`,
    });

  const plain: Making = {
    dough,
    method: METHODS[method.value],
    shape: shape.value,
    filling: kind,
    hazard,
    isRaw,
    lines: {
      dough: doughRead.components,
      filling: first.own,
      finish: isBaked(method.value) && !paper.finishedAfter ? finishRead.components : [],
    },
    ...(base.components.length > 0 && { base: { lines: base.components, minutes: baseMinutes(read, divided.base) } }),
    pieces,
    piece,
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
    ...(soaksInSoda(first, hazard, whole) && { alkali: true as const }),
    coldStart: says(whole, ["cold pan", "cold start", "from frozen", "frozen"]) !== undefined,
    ...(read.fillingCook?.celsius !== undefined && { roastC: read.fillingCook.celsius }),
    says: heatIsFor(method.value, ownMethod.value) ? read : { ...read, heat: undefined, heatFirst: undefined, blind: undefined },
  };
  const making = withChoices(plain, options.choices ?? {});
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

  gaps.push(...twoValues(making.says));

  return ok({
    family,
    method,
    shape,
    filling,
    hazard,
    gaps,
    plain,
    making,
    paper,
    system,
    unweighed: [...gapLines, ...finishRead.gaps.map((gap) => ({ ...gap, in: "finish" as const }))],
    beside: besideOf(paper, catalogue),
    finish: finishRead.components,
    cookingLossPct: first.lossPct,
    fillingName: first.name,
    others: others.map((other, k) => ({
      id: `filling-${k + 2}`,
      name: other.name ?? `Filling ${k + 2}`,
      lossPct: other.lossPct,
      making: withChoices(withFilling(plain, other), options.choices ?? {}),
    })),
    figures,
    saysPieces: said !== undefined,
  });
}
