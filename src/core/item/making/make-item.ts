import { freshId } from "../../shared/fresh-id";
import { failWith, ok, type Result } from "../../shared/issue";
import { capitalised } from "../../shared/words";
import { FREEZE_MONTHS, FRIDGE_HOURS } from "../../tables/keeping";
import { itemIssues } from "../check";
import type { z } from "zod";
import { ItemSchema, type Component, type Item } from "../schema";
import { faultsOf } from "./faults";
import { HANDLING_PCT } from "./filling-lines";
import { generateSteps } from "./generate";
import { fillAtMostC, isBaked } from "./making";
import { capacityOf, footprintMm } from "./piece-geometry";
import type { RecipeInput } from "./recipe-input";
import { writtenOf } from "./recipe-parts";
import { baseShare, lossWithBase } from "./filling-read";
import { LACE, RIM } from "./put";
import { stepsTogether } from "./together";
import { line } from "./schools/line";
import { SECOND_COAT } from "./steps/piece-steps";
import { understand, type MakeOptions, type Understood } from "./understand";

/** An item that was made from a recipe in the cook's words, and how it came about. */
export interface Made extends Understood {
  readonly item: Item;
}

/** What an adult eats of one of several kinds, and of the only one, g; and how much less others eat. */
const ADULT_G = { among: 100, alone: 210 } as const;
const TEEN = 1.2;
const CHILD = 0.6;

/**
 * Makes an item of a recipe in the cook's words: its formula, the kind of dough, the way of finishing, the shape and the steps that
 * follow from them. What the recipe does not say is taken from what is usual and listed; it blocks nothing, and the item is provisional.
 * Issues: `missing` dough (nothing of it can be weighed), and those of an item.
 */
export function makeItem(recipe: RecipeInput, options: MakeOptions): Result<Made> {
  const understood = understand(recipe, options);
  if (!understood.ok) return understood;
  const item = itemOf(recipe.name, understood.value, options);
  const issues = itemIssues({ items: [item] });
  return issues.length > 0 ? failWith(issues) : ok({ ...understood.value, item });
}

/** Starch that a pan's water takes for a lacy crust, g. */
const LACE_G = 5;

/** What pieces are finished with, each at its step. */
function finishOf(
  { making, finish }: Understood,
  steps: readonly { readonly id: string }[],
): z.input<typeof ItemSchema>["finish"] {
  const has = (id: string) => steps.some((step) => step.id === id);
  const step = ["wash", "drain", "cool", "settle", "serve"].find(has)!;
  const own = step === "wash" ? making.lines.finish : finish;
  return [
    ...(own.length > 0 ? [{ step, what: step === "wash" ? "Wash" : "To finish", components: [...own] }] : []),
    ...(has(SECOND_COAT) ? [{ step: SECOND_COAT, what: "Second coat", components: [...own] }] : []),
    ...(making.rim && has("seal") ? [{ step: "seal", what: RIM, components: [making.rim] }] : []),
    ...(making.lace ? [{ step: "heat", what: LACE, per: "load" as const, components: [line("cornstarch", LACE_G)] }] : []),
  ];
}

/** The item itself, with the steps, the room it takes and how it keeps, as they follow from what was understood. */
function itemOf(name: string, understood: Understood, { taken, choices = {} }: MakeOptions): Item {
  const { family, method, shape, filling, hazard, making, figures, saysPieces, unweighed, others } = understood;
  const { dough, pieces, piece, lines } = making;
  const isDish = shape.value.foot.of === "dish";
  const { steps, changes } = stepsTogether([making, ...others.map((other) => other.making)].map(generateSteps));
  const share = baseShare(making.base?.lines ?? [], others.length + 1);
  const weightG = piece.doughG + piece.fillingG;
  const foot = footprintMm(shape.value, dough, making.bought === "pieces" ? weightG / 2 : piece.doughG, weightG, pieces);
  const guessed = [
    ...(figures.heatFrom === "method" && isBaked(method.value) ? (["oven"] as const) : []),
    ...(figures.minutesFrom === "method" ? (["minutes"] as const) : []),
    ...(!saysPieces ? (["fillingG"] as const) : []),
    ...(family.sure && method.sure && filling.sure ? [] : (["family"] as const)),
  ];
  const lossOf = (own: readonly Component[], ownPct: number) =>
    lossWithBase(making.base?.lines ?? [], others.length + 1, own, ownPct);
  const partOf = (grams: number) =>
    Math.max(isDish ? 0.05 : 0.5, Math.round((grams / Math.max(1, weightG)) * (isDish ? 20 : 2)) / (isDish ? 20 : 2));
  const head = (grams: number) => ({
    adult: Math.min(50, partOf(grams)),
    teen: Math.min(50, partOf(grams * TEEN)),
    child: Math.min(50, partOf(grams * CHILD)),
  });
  const frying = steps.some((step) => step.equipment.some(({ id }) => id === "fryer"));
  const input: z.input<typeof ItemSchema> = {
    id: freshId(name, taken),
    name,
    line: `${capitalised(making.method.name)}.`,
    family: dough.id,
    ...(unweighed.length > 0 && { gaps: unweighed }),
    ...(guessed.length > 0 && { guessed }),
    written: writtenOf(understood.paper),
    measures: understood.system,
    making: {
      family: dough.id,
      method: method.value,
      shape: shape.value.id,
      filling: filling.value,
      ...(Object.keys(choices).length > 0 && { choices: { ...choices } }),
    },
    ...(understood.beside.length > 0 && { beside: [...understood.beside] }),
    piecesPerGuest: head(ADULT_G.among),
    piecesPerGuestAlone: head(ADULT_G.alone),
    base: { pieces },
    dough: {
      parts: [{ id: "dough", name: "Dough", components: [...lines.dough] }],
      netLossPct: making.bought ? 0 : dough.lossPct,
      ...(dough.doughC !== undefined && { targetC: dough.doughC }),
    },
    filling: {
      components: [...share, ...lines.filling],
      cookingLossPct: lossOf(lines.filling, understood.cookingLossPct),
      handlingLossPct: HANDLING_PCT,
      mustBeCold: true,
      useAtMaxC: fillAtMostC(making),
      ...(others.length > 0 && understood.fillingName !== undefined && { name: understood.fillingName }),
      ...(changes[0].length > 0 && { stepChanges: [...changes[0]] }),
      ...(others.length > 0 && {
        variants: others.map((other, k) => ({
          id: other.id,
          name: other.name,
          components: [...share, ...other.making.lines.filling],
          cookingLossPct: lossOf(other.making.lines.filling, other.lossPct),
          handlingLossPct: HANDLING_PCT,
          stepChanges: [...changes[k + 1]],
        })),
      }),
    },
    finish: finishOf(understood, steps),
    piece: {
      ...piece,
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
        rawHours:
          FRIDGE_HOURS[
            [making, ...others.map((other) => other.making)].some((one) => one.isRaw)
              ? "shaped-raw-meat"
              : "shaped-cooked-filling"
          ],
        cookedHours: FRIDGE_HOURS["cooked-pieces"],
      },
      freezer: {
        as: dough.freeze,
        rawMonths: FREEZE_MONTHS["shaped-raw-vegetable"],
        cookedMonths: FREEZE_MONTHS[method.value === "steam" ? "steamed" : method.value === "fry" ? "fried" : "baked"],
      },
    },
    faults: faultsOf(making, steps),
    steps: [...steps],
  };
  const parsed = ItemSchema.safeParse(input);
  if (!parsed.success) throw new Error(`a made item breaks its schema: ${parsed.error.message}`);
  return parsed.data;
}
