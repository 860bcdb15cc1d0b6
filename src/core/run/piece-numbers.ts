import { stepIn, type Plan } from "../plan/schema";
import { piecesIn } from "./afterwards";

/**
 * The pieces of a lot by number, the first that is shaped being 1; undefined where a task is for all of an item, or its pieces were not
 * shaped one after another.
 */
export function pieceNumbers(plan: Plan, task: string): { readonly from: number; readonly to: number } | undefined {
  const { item, range } = plan.tasks[task];
  const all = piecesIn(plan, item);
  const isLot = ([first, end]: readonly [number, number]) => end - first < all;
  if (stepIn(plan, task)?.part !== "piece" || !isLot(range)) return undefined;
  // When each piece is first in hands with only some of the others.
  const first = new Map<number, number>();
  for (const { id, start } of plan.solution.tasks) {
    const info = plan.tasks[id];
    if (info?.item !== item || stepIn(plan, id)?.part !== "piece" || !isLot(info.range)) continue;
    for (let piece = info.range[0]; piece < info.range[1]; piece++)
      first.set(piece, Math.min(start, first.get(piece) ?? Infinity));
  }
  const order = [...first].sort((a, b) => a[1] - b[1] || a[0] - b[0]).map(([piece]) => piece);
  const numbers = order.flatMap((piece, k) => (piece >= range[0] && piece < range[1] ? [k + 1] : []));
  const [from, to] = [Math.min(...numbers), Math.max(...numbers)];
  return to - from + 1 === range[1] - range[0] ? { from, to } : undefined;
}
