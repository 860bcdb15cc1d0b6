import { OURS, type Catalogue } from "../../ingredients/own";
import { findRing } from "../check";
import type { Item, ItemMaking } from "../schema";
import { recipeOf } from "./as-recipe";
import { calledAs } from "./called";
import { METHOD_IDS } from "./doughs";
import { FILLING_IDS } from "./fillings";
import { finishAfter, insteadOf } from "./instead";
import { makeItem, type Made } from "./make-item";
import { withOwnCapacity } from "./settle";
import { stepEdits, withEdits, withoutAfter, withoutGone, type Remade } from "./step-edits";

/** What an item is as it stands, by rule; undefined where it was not made so, or nothing of it can be weighed. */
export function asMade(item: Item, making: ItemMaking | undefined = item.making, catalogue: Catalogue = OURS): Made | undefined {
  if (!making) return undefined;
  const recipe = recipeOf(item, making, catalogue);
  if (!recipe.ok) return undefined;
  const made = makeItem(recipe.value, {
    taken: [],
    catalogue,
    method: METHOD_IDS.find((id) => id === making.method),
    filling: FILLING_IDS.find((id) => id === making.filling),
    ...(making.choices && { choices: making.choices }),
  });
  return made.ok ? { ...made.value, item: calledAs(made.value.item, making.called) } : undefined;
}

/**
 * An item made otherwise: of another dough, finished another way, in another shape. Formula, names and what the cook changed stay; steps,
 * capacity, the piece's measures and what it waits for follow. Changing it back undoes it.
 */
export function remake(item: Item, otherwise: Partial<ItemMaking>, catalogue: Catalogue = OURS): Remade | undefined {
  const before = asMade(item, item.making, catalogue);
  return before && remakeFrom(before, item, otherwise, catalogue);
}

/**
 * The same for an item whose own steps were made for something else: other lines.
 * @param before what the steps of `item` were made from, by rule
 */
export function remakeFrom(
  before: Made,
  item: Item,
  otherwise: Partial<ItemMaking>,
  catalogue: Catalogue = OURS,
): Remade | undefined {
  const { making } = item;
  if (!making) return undefined;
  const instead = insteadOf(item, making, { ...making, ...otherwise });
  const after = asMade(item, { ...making, ...otherwise }, catalogue);
  if (!after) return undefined;
  const { steps, capacity, piece, storage, fryOil, filling, faults } = after.item;
  const has = ({ step }: Item["finish"][number]) => steps.some(({ id }) => id === step);
  const all = finishAfter(item, making, after.item, instead);
  const kept = all.filter((entry) => !has(entry));
  const made: Item = {
    ...item,
    making: {
      ...after.item.making!,
      ...(making.says !== undefined && { says: making.says }),
      ...(making.ownCapacity && { ownCapacity: making.ownCapacity }),
      ...(making.called && { called: making.called }),
      ...(kept.length > 0 && { finish: kept }),
      ...(instead && { instead }),
    },
    ...(instead?.dough && !making.instead?.dough && { dough: after.item.dough }),
    ...(!instead?.dough && making.instead?.dough && { dough: making.instead.dough }),
    family: after.item.family,
    steps,
    faults: followed(before.item.faults, faults, item.faults),
    capacity: followed(
      withOwnCapacity(before.item.capacity, making.ownCapacity),
      withOwnCapacity(capacity, making.ownCapacity),
      item.capacity,
    ),
    storage: followed(before.item.storage, storage, item.storage),
    fryOil: followed(before.item.fryOil, fryOil, item.fryOil),
    piece: {
      ...item.piece,
      shape: followed(before.item.piece.shape, piece.shape, item.piece.shape),
      thicknessMm: followed(before.item.piece.thicknessMm, piece.thicknessMm, item.piece.thicknessMm),
      footprintMm: followed(before.item.piece.footprintMm, piece.footprintMm, item.piece.footprintMm),
    },
    finish: all.filter(has),
    filling: {
      ...item.filling,
      useAtMaxC: followed(before.item.filling.useAtMaxC, filling.useAtMaxC, item.filling.useAtMaxC),
      ...(!making.called && {
        stepChanges: filling.stepChanges,
        variants: item.filling.variants?.map((variant, k) => ({
          ...variant,
          stepChanges: filling.variants?.[k]?.stepChanges ?? variant.stepChanges,
        })),
      }),
    },
  };
  const edits = stepEdits(before.item.steps, item.steps);
  const remade = withEdits(made, edits, item.steps);
  if (!findRing(remade.item.steps)) return { ...remade, item: withoutGone(remade.item, item.steps) };
  // Steps that changed places would wait for each other here: they stay where they are made.
  const moved = edits.filter((edit) => edit.kind === "changed" && edit.fields.after !== undefined);
  const inPlace = withEdits(made, edits.map(withoutAfter), item.steps);
  return { item: withoutGone(inPlace.item, item.steps), unused: [...inPlace.unused, ...moved] };
}

/** What follows where it changes with the making; else what the item has. */
const followed = <T>(before: T, after: T, own: T): T => (JSON.stringify(before) === JSON.stringify(after) ? own : after);
