import { z } from "zod";
import { componentClaims } from "../item/claims";
import { OURS, type Catalogue } from "../ingredients/own";
import { ingredientOf } from "../ingredients/lookup";
import { gramsOfUnit } from "../ingredients/grams";
import type { AllergenTag } from "../ingredients/allergen";
import type { Item } from "../item/schema";
import { id } from "../shared/fields";
import { sum } from "../shared/rounding";

export const BESIDE_KINDS = ["dip", "drink", "side"] as const;
export type BesideKind = (typeof BESIDE_KINDS)[number];

const minutes = (error: string) => z.number({ error }).min(0, { error }).max(2880, { error });

/** What stands beside the pieces: a dip, a drink, a side; a small job of its own. */
export const BesideSchema = z.object({
  id,
  name: z.string().trim().min(1, { error: "a name" }).max(80),
  kind: z.enum(BESIDE_KINDS),
  /** The wave it is eaten at. */
  wave: id,
  /** It belongs to this item: only its pieces count. */
  recipe: id.optional(),
  /** What its own recipe makes, in its unit. */
  lot: z.number().gt(0).max(100000).optional(),
  /** So much for each piece of the wave, or for each guest. */
  per: z.enum(["piece", "head"]),
  amount: z.number({ error: "an amount from 1 to 5000" }).min(1).max(5000),
  unit: z.enum(["ml", "g"]).default("ml"),
  /** What is in it, in parts by that unit. */
  parts: z
    .array(
      z.object({
        /** Empty while nobody has said. */
        name: z.string().trim().max(120),
        ratio: z.number({ error: "a number above 0" }).gt(0, { error: "a number above 0" }).max(1000),
      }),
    )
    .max(20)
    .default([]),
  /** min of hands, on the hob, and until it has cooled. */
  handsMin: minutes("minutes of hands from 0 to 2880").default(10),
  hobMin: minutes("minutes on the hob from 0 to 2880").default(0),
  coolMin: minutes("minutes to cool from 0 to 2880").default(0),
  /** How long it keeps once it is made, h. */
  keepsH: z.number({ error: "hours from 0 to 200" }).min(0).max(200).optional(),
});
export type Beside = z.output<typeof BesideSchema>;

/**
 * What each kind begins with; each figure is the cook's to change. Our own kitchen defaults: a dip keeps three days cold, a drink
 * two.
 */
export const BESIDE_DEFAULTS: Readonly<Record<BesideKind, Omit<Beside, "id" | "name" | "wave">>> = {
  dip: { kind: "dip", per: "piece", amount: 12, unit: "ml", parts: [], handsMin: 10, hobMin: 0, coolMin: 0, keepsH: 72 },
  drink: { kind: "drink", per: "head", amount: 250, unit: "ml", parts: [], handsMin: 10, hobMin: 30, coolMin: 90, keepsH: 48 },
  side: { kind: "side", per: "head", amount: 150, unit: "g", parts: [], handsMin: 20, hobMin: 0, coolMin: 0 },
};

/** One part of what stands beside, with all that is needed of it. */
export interface BesidePart {
  readonly name: string;
  /** In the unit of the whole. */
  readonly amount: number;
  /** g, for the list; undefined where nobody knows what that much of it weighs. */
  readonly grams: number | undefined;
}

/** What an item serves beside it as an entry of a gathering: so much for each of its pieces. */
export function offeredBeside(item: Item, one: NonNullable<Item["beside"]>[number], wave: string): Beside {
  const lot = round(sum(one.components.map(({ grams }) => grams)));
  return {
    ...BESIDE_DEFAULTS[one.kind],
    id: `${item.id}-${one.id}`.slice(0, 80),
    name: one.name,
    wave,
    recipe: item.id,
    per: "piece",
    amount: Math.max(1, round(lot / item.base.pieces)),
    unit: "g",
    lot,
    parts: one.components.slice(0, 20).map(({ name, grams }) => ({ name, ratio: Math.max(0.1, grams) })),
    hobMin: one.hobMin,
    coolMin: one.coolMin,
  };
}

export interface BesideAmount {
  readonly of: Beside;
  /** Pieces or guests that it is for. */
  readonly count: number;
  /** In its unit. */
  readonly total: number;
  /** How many times its own recipe that is; undefined where it has none. */
  readonly lots: number | undefined;
  readonly parts: readonly BesidePart[];
  /** What is known to be in it, and the parts of which nothing is known. */
  readonly contains: readonly AllergenTag[];
  readonly unknown: readonly string[];
}

const round = (value: number): number => Math.round(value * 10) / 10;

/**
 * How much of each there is to make: amount × pieces of its wave, or × guests, divided by its parts.
 * @param piecesOf pieces served in a wave, of one item where it belongs to that
 */
export function besideAmounts(
  beside: readonly Beside[],
  piecesOf: (wave: string, recipe: string | undefined) => number,
  guests: number,
  catalogue: Catalogue = OURS,
): BesideAmount[] {
  return beside.map((of): BesideAmount => {
    const count = of.per === "piece" ? piecesOf(of.wave, of.recipe) : guests;
    const total = round(count * of.amount);
    const ratios = sum(of.parts.map(({ ratio }) => ratio));
    const parts = of.parts.map(({ name, ratio }): BesidePart => {
      const amount = round((total * ratio) / ratios);
      if (of.unit === "g") return { name, amount, grams: amount };
      const one = gramsOfUnit("ml", "medium", "metric", ingredientOf({ name }, catalogue));
      return { name, amount, grams: one && round(amount * one.grams) };
    });
    const claims = of.parts
      .filter(({ name }) => name !== "")
      .map(({ name }) => ({ name, claims: componentClaims({ name }, catalogue) }));
    return {
      of,
      count,
      total,
      lots: of.lot === undefined ? undefined : round(total / of.lot),
      parts,
      contains: [...new Set(claims.flatMap(({ claims: c }) => c.contains))],
      unknown: claims.filter(({ claims: c }) => !c.known).map(({ name }) => name),
    };
  });
}
