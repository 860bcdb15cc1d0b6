import { overlaps, sizeOf, type Demand, type Range } from "./demands";
import type { Component, Item } from "./item";
import { mixedDoughPerPiece, type Group } from "./work";

export interface Ingredient {
  readonly id: string;
  /** Part of the dough, "filling", or what the finish is for. */
  readonly in: string;
  readonly name: string;
  readonly grams: number;
  /** Share of this that is kept back at first and added by feel, %. */
  readonly holdBackPct?: number;
}

/** What is weighed together: one mixing of dough, one pot of filling, one finish. */
export interface Batch {
  readonly id: string;
  readonly item: string;
  readonly part: "dough" | "filling" | "finish";
  readonly pieces: number;
  readonly range: Range;
  readonly ingredients: readonly Ingredient[];
  /** g, the sum of the ingredients. */
  readonly totalG: number;
  /** All its steps are done before the plan begins. */
  readonly ahead?: true;
}

const round = (g: number): number => Math.round(g * 10) / 10;

function batch(id: string, item: Item, part: Batch["part"], range: Range, lines: readonly Ingredient[], ahead: boolean): Batch {
  return {
    id,
    item: item.id,
    part,
    pieces: sizeOf(range),
    range,
    ingredients: lines,
    totalG: round(lines.reduce((sum, line) => sum + line.grams, 0)),
    ...(ahead && { ahead: true as const }),
  };
}

/** Ingredients in proportion to their grams, together `total` g. */
function portion(components: readonly (Component & { in: string })[], total: number): Ingredient[] {
  const sum = components.reduce((s, c) => s + c.grams, 0);
  return components.map((c) => ({ id: c.id, in: c.in, name: c.name, grams: round((c.grams * total) / sum) }));
}

/**
 * Grams of every batch of the plan. Dough: pieces × their dough, and the losses on top. Filling: the base scaled so
 * that after cooking and handling pieces × their filling are left. Finish: in proportion to the pieces whose path has
 * its step.
 */
export function batchesOf(groups: readonly Group[], demands: readonly Demand[]): Batch[] {
  const batches: Batch[] = [];
  const number = new Map<string, number>();
  const next = (item: Item, part: string) => {
    const key = `${item.id}/${part}`;
    number.set(key, (number.get(key) ?? 0) + 1);
    return `${key}/${number.get(key)}`;
  };
  for (const group of groups) {
    const { item, part, ahead } = group;
    const { resolved } = group.demands[0];
    for (const range of group.mixes) {
      const pieces = sizeOf(range);
      if (part === "dough" && item.piece.doughG > 0) {
        const lines = portion(resolved.dough, pieces * mixedDoughPerPiece(item)).map((line) =>
          line.id === resolved.holdBack?.component ? { ...line, holdBackPct: resolved.holdBack.pct } : line,
        );
        batches.push(batch(next(item, part), item, part, range, lines, ahead));
      }
      if (part === "filling" && item.piece.fillingG > 0 && resolved.fillingComponents.length > 0) {
        const components = resolved.fillingComponents.map((c) => ({ ...c, in: "filling" }));
        const raw = components.reduce((sum, c) => sum + c.grams, 0);
        const cooked = components.reduce((sum, c) => sum + c.grams * (c.cook ? 1 - resolved.cookingLossPct / 100 : 1), 0);
        const usable = cooked * (1 - resolved.handlingLossPct / 100);
        const total = usable > 0 ? (raw * pieces * item.piece.fillingG) / usable : 0;
        batches.push(batch(next(item, part), item, part, range, portion(components, total), ahead));
      }
    }
  }
  for (const demand of demands) {
    // What is done ahead was finished ahead too; its weights are listed for the shopping.
    const onPath = demand.resolved.steps.filter((step) => step.path.includes(demand.path));
    for (const entry of demand.resolved.finish) {
      const step = onPath.find((s) => s.id === entry.step);
      if (!step) continue;
      const factor = sizeOf(demand.range) / demand.item.base.pieces;
      const lines = entry.components.map((c) => ({ id: c.id, in: entry.what, name: c.name, grams: round(c.grams * factor) }));
      batches.push(batch(next(demand.item, "finish"), demand.item, "finish", demand.range, lines, demand.done.has(step.id)));
    }
  }
  return batches;
}

/** Batches that weigh for any of these pieces. */
export const batchesFor = (batches: readonly Batch[], item: string, range: Range): Batch[] =>
  batches.filter((b) => b.item === item && overlaps(b.range, range));
