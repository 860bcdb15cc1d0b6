import { METHOD_TAGS } from "../allergen-words";
import { fields, filled, list, num, oneOf, whole } from "../field";

/** What these methods accept, in the order in which their fields are checked. */
export const SHOPPING = {
  "shopping.consolidate": fields({
    needs: list(fields({ ingredient: filled, grams: num(0, 10000000, { unit: "g" }), item: filled })),
    pantry: list(fields({ ingredient: filled, grams: num(0, 10000000, { unit: "g" }) })).default([]),
    tolerancePct: num(0, 20, { unit: "%" }).default(0),
  }),
  "shopping.packs": fields({
    needG: num(0, 1000000, { unit: "g" }),
    packs: list(
      fields({ sizeG: num(0.001, 100000, { unit: "g" }), price: whole(0, 10000000, { unit: "smallest coin" }) }),
      1,
      50,
    ),
  }),
  "cost.perPiece": fields({
    pieces: whole(1, 100000, { unit: "pieces" }),
    lines: list(
      fields({
        usedG: num(0, 1000000, { unit: "g" }),
        boughtG: num(0, 1000000, { unit: "g" }).optional(),
        cost: num(0, 10000000, { unit: "smallest coin for the pack(s) of packG" }),
        packG: num(0, 1000000, { above: true, unit: "g" }),
      }),
      1,
    ),
    energyKWh: num(0, 200, { unit: "kWh" }).default(0),
    energyPrice: num(0, 10000, { unit: "smallest coin per kWh" }).default(0),
  }),
  "allergens.propagate": fields({
    regime: oneOf(["eu", "us"]).default("eu"),
    ingredients: list(
      fields({
        id: filled,
        contains: list(oneOf(METHOD_TAGS)).default([]),
        mayContain: list(oneOf(METHOD_TAGS)).default([]),
        uses: list(filled).default([]),
      }),
    ),
    items: list(
      fields({
        id: filled,
        ingredients: list(filled),
        medium: list(oneOf(METHOD_TAGS)).default([]),
      }),
      1,
    ),
  }),
  "allergens.order": fields({
    medium: list(filled).default([]),
    loads: list(fields({ id: filled, tags: list(filled), avoid: list(filled).default([]) }), 1),
  }),
} as const;
