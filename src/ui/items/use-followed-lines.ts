import { useCallback, useRef } from "react";
import type { Catalogue } from "@/core/ingredients/own";
import { followLines, onlyLinesDiffer } from "@/core/item/making/follow-lines";
import type { Remade } from "@/core/item/making/step-edits";
import type { Item } from "@/core/item/schema";

interface Followed extends Remade {
  /** Its lines were changed, and its steps follow. */
  readonly isFollowed: boolean;
}

/**
 * Takes a changed item and gives it back with steps that follow from what is in it now. While lines are changed one after the
 * other, what the cook made of the steps is read from the item as it was before the first of them.
 */
export function useFollowedLines(item: Item, catalogue: Catalogue): (next: Item) => Followed {
  const row = useRef<{ readonly from: Item; readonly steps: string } | undefined>(undefined);
  return useCallback(
    (next: Item) => {
      if (!onlyLinesDiffer(item, next)) {
        row.current = undefined;
        return { item: next, unused: [], isFollowed: false };
      }
      // Steps that are not those given back last were changed by something else.
      const isRow = row.current?.steps === JSON.stringify(item.steps);
      const from = isRow ? row.current!.from : item;
      const followed = followLines(from, item, next, catalogue);
      row.current = { from, steps: JSON.stringify(followed.item.steps) };
      return { ...followed, isFollowed: true };
    },
    [item, catalogue],
  );
}
