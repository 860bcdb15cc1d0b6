import type { Batch, Ingredient } from "@/core/plan/batches";
import type { Quantities } from "@/core/plan/make-plan";
import type { Item } from "@/core/plan/item";
import type { Plan } from "@/core/plan/plan";
import { overlaps } from "@/core/plan/demands";

export interface BatchSheet {
  readonly batch: Batch;
  readonly title: string;
  /** First minute at which something of it is done; undefined when it is done ahead or not planned yet. */
  readonly start?: number;
  readonly groups: readonly { readonly name: string; readonly lines: readonly Ingredient[] }[];
}

export interface ItemSheet {
  readonly item: Item;
  readonly pieces: number;
  readonly sheets: readonly BatchSheet[];
}

const PART_WORD: Readonly<Record<Batch["part"], string>> = { dough: "Dough", filling: "Filling", finish: "Finish" };

/** Weigh-out sheets by item; items and batches in the order in which the plan comes to them. */
export function itemSheets(q: Quantities, plan: Plan | undefined): ItemSheet[] {
  const items = [...new Set(q.demands.map((demand) => demand.item))];
  const placed = new Map(plan?.solution.tasks.map((task) => [task.id, task.start]) ?? []);
  /** Steps that use what a batch weighs: those of its part, for a finish the one it is put on in. */
  const uses = (batch: Batch, item: Item, step: string): boolean => {
    if (batch.part !== "finish") return item.steps.some((s) => s.id === step && s.part === batch.part);
    const [demand] = q.demands.filter((d) => d.item.id === item.id && overlaps(d.range, batch.range));
    return demand.resolved.finish.some((entry) => entry.step === step && entry.what === batch.ingredients[0]?.in);
  };
  const startOf = (batch: Batch, item: Item): number | undefined => {
    const starts = Object.entries(plan?.tasks ?? {}).flatMap(([id, info]) => {
      const mine =
        info.item === item.id && info.step !== null && overlaps(info.range, batch.range) && uses(batch, item, info.step);
      return mine && placed.has(id) ? [placed.get(id)!] : [];
    });
    return starts.length > 0 ? Math.min(...starts) : undefined;
  };
  return items
    .map((item): ItemSheet => {
      const own = q.batches.filter((batch) => batch.item === item.id);
      const sheets = own.map((batch): BatchSheet => {
        const count = own.filter((other) => other.part === batch.part).length;
        const n = own.filter((other) => other.part === batch.part).indexOf(batch) + 1;
        const where = [...new Set(batch.ingredients.map((line) => line.in))];
        return {
          batch,
          title:
            batch.part === "finish"
              ? `${PART_WORD.finish}: ${where[0]}`
              : `${PART_WORD[batch.part]}${count > 1 ? ` ${n} of ${count}` : ""}`,
          start: batch.ahead ? undefined : startOf(batch, item),
          groups: where.map((name) => ({
            name: batch.part === "dough" ? (item.dough.parts.find((p) => p.id === name)?.name ?? name) : "",
            lines: batch.ingredients.filter((line) => line.in === name),
          })),
        };
      });
      return { item, pieces: q.pieces.filter((p) => p.item === item.id).reduce((sum, p) => sum + p.pieces, 0), sheets };
    })
    .sort((a, b) => firstOf(a) - firstOf(b));
}

const firstOf = (sheet: ItemSheet): number => Math.min(Infinity, ...sheet.sheets.map((s) => s.start ?? Infinity));
