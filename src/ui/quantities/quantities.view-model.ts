import { baseShares, weighingsOf, weightKey, type Batch, type Ingredient, type Weighing } from "@/core/batching/batches";
import { bowlsOf } from "@/core/batching/bowls";
import { dosesOf } from "@/core/batching/dose-needs";
import { doseText } from "@/core/item/doses";
import type { Quantities } from "@/core/plan/quantities";
import { fillingName } from "@/core/item/filling-name";
import type { Item } from "@/core/item/schema";
import type { Plan } from "@/core/plan/schema";
import { doughPortions, fillingPortion } from "@/core/quantities/portion-text";
import { OURS, type Catalogue } from "@/core/ingredients/own";
import { wholeUnits } from "@/core/ingredients/whole-units";
import { overlaps } from "@/core/shared/range";
import { taskShares } from "@/core/plan/schema";
import { stickyCorrection } from "@/core/item/by-feel";
import { doughComponents } from "@/core/item/desk";
import { mainFlour } from "@/core/item/resolve";
import { heldBack } from "@/core/item/formula";
import { milderPart } from "@/core/item/dish";
import type { Guests } from "@/core/gathering/schema";

type Eaters = readonly Pick<Guests, "age" | "count">[];

/** One line at the scale. */
export interface WeighLine {
  /** Under what it is ticked off. */
  readonly key: string;
  readonly name: string;
  readonly ingredient?: string;
  readonly grams: number;
  /** For what is held back in part: with the rest, or by feel at the end. */
  readonly when?: "now" | "by feel";
  /** For what goes in by feel: the component in each item that it is for, and all of it that was planned, g. */
  readonly note?: { readonly of: readonly { readonly item: string; readonly component: string }[]; readonly plannedG: number };
  /** For the flour of a dough that may still stick when all its liquid is in: how much more of it, g. */
  readonly sticky?: {
    readonly of: readonly { readonly item: string; readonly component: string }[];
    readonly plannedG: number;
    readonly addG: number;
  };
  /** The same in eggs or sachets, where that is how it is bought. */
  readonly units?: string;
}

export interface BatchSheet {
  readonly batch: Weighing;
  readonly item: Item;
  /** An item by its name, or all the items that are mixed in one. */
  readonly heading: string;
  readonly title: string;
  /** First minute at which something of it is done; undefined when it is done ahead or not planned yet. */
  readonly start?: number;
  readonly groups: readonly { readonly name: string; readonly lines: readonly WeighLine[] }[];
  /** For a dough that is divided on the scale: the pieces, all of their dough (g), and filling to dough by weight. */
  readonly weighIn?: { readonly pieces: number; readonly doughG: number; readonly ratio: number };
  /** How it is portioned, a sentence each. */
  readonly portions: readonly string[];
}

const PART_WORD: Readonly<Record<Batch["part"], string>> = { dough: "Dough", filling: "Filling", finish: "Finish" };

type AtTheScale = Batch & Pick<Weighing, "base">;

/** First minute of the plan at which something of a batch is done; undefined when it is done ahead or not planned. */
export function batchStart(q: Quantities, plan: Plan | undefined, batch: AtTheScale): number | undefined {
  if (batch.ahead || !plan) return undefined;
  const item = q.demands.find((d) => d.item.id === batch.item)!.item;
  const placed = new Map(plan.solution.tasks.map((task) => [task.id, task.start]));
  const starts = Object.entries(plan.tasks).flatMap(([id, info]) => {
    const mine = taskShares(info).some(
      (share) =>
        share.item === item.id && share.step !== null && overlaps(share.range, batch.range) && uses(q, batch, item, share.step),
    );
    return mine && placed.has(id) ? [placed.get(id)!] : [];
  });
  return starts.length > 0 ? Math.min(...starts) : undefined;
}

/** Steps that use what a batch weighs: those of its part, for a finish the one it is put on in. */
function uses(q: Quantities, batch: AtTheScale, item: Item, step: string): boolean {
  if (batch.part !== "finish") return item.steps.some((s) => s.id === step && s.part === batch.part && s.base === batch.base);
  const [demand] = q.demands.filter((d) => d.item.id === item.id && overlaps(d.range, batch.range));
  return demand.resolved.finish.some((entry) => entry.step === step && entry.what === batch.ingredients[0]?.in);
}

/** Weigh-out sheets in the order of the day; what was done ahead comes last. */
export function daySheets(q: Quantities, plan: Plan | undefined, guests: Eaters = [], catalogue: Catalogue = OURS): BatchSheet[] {
  const weighings = weighingsOf(q.batches);
  const itemOf = (id: string) => q.demands.find((d) => d.item.id === id)!.item;
  const sheets = weighings.map((batch): BatchSheet => {
    const item = itemOf(batch.item);
    const alike = weighings.filter(
      (other) => other.item === batch.item && other.part === batch.part && wordFor(q, other, item) === wordFor(q, batch, item),
    );
    const made = q.batches.filter((one) => (one.together ?? one.id) === batch.id);
    const held = made.flatMap((one) =>
      one.ingredients.filter((line) => line.holdBackPct).map((line) => ({ item: one.item, component: line.id })),
    );
    const where = [...new Set(batch.ingredients.map((line) => line.in))];
    return {
      batch,
      item,
      heading: batch.shares.map((share) => itemOf(share.item).name).join(" and "),
      title:
        batch.part === "finish"
          ? `${PART_WORD.finish}: ${where[0]}`
          : `${wordFor(q, batch, item)}${alike.length > 1 ? ` ${alike.indexOf(batch) + 1} of ${alike.length}` : ""}`,
      start: batchStart(q, plan, batch),
      groups: where
        .map((name) => ({
          name: batch.part === "dough" ? (item.dough.parts.find((p) => p.id === name)?.name ?? name) : "",
          lines: batch.ingredients
            .filter((line) => line.in === name)
            .flatMap((line) =>
              nowAndByFeel(batch, line, held, catalogue).map((weighed) => withSticky(weighed, line, batch, made, itemOf)),
            ),
        }))
        .flatMap((group) => (batch.part === "filling" ? bowlsOf(group.lines, item, catalogue) : [group])),
      weighIn:
        batch.part === "dough" &&
        batch.shares.length === 1 &&
        item.piece.portionBy !== "eye" &&
        item.steps.some((step) => step.kind === "divide")
          ? { pieces: batch.pieces, doughG: batch.pieces * item.piece.doughG, ratio: item.piece.fillingG / item.piece.doughG }
          : undefined,
      portions: [
        ...(batch.base ? [dividedText(baseShares(batch, q.demands), item)] : divided(batch, itemOf)),
        ...made.flatMap((one) => {
          const lines = portionsOf(q, one, itemOf(one.item), plan);
          return made.length > 1 ? lines.map((line) => `${itemOf(one.item).name}: ${line}`) : lines;
        }),
        ...(batch.part === "dough" ? stickyLines(batch, item) : []),
        ...dosesOf(batch, q.demands, catalogue).map((one) => `${one.dose.what}: ${doseText(one)}`),
        ...milder(batch, item, guests),
        ...notWeighed(batch, itemOf),
      ],
    };
  });
  const rank = (sheet: BatchSheet) => (sheet.batch.ahead ? Infinity : (sheet.start ?? 1e9));
  return sheets.sort((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)));
}

/** What is weighed on a sheet: of several fillings the one it is, by its name where that has one. */
function wordFor(q: Quantities, batch: AtTheScale, item: Item): string {
  if (batch.base) return "Base of the fillings";
  if (batch.part !== "filling") return PART_WORD[batch.part];
  const made = q.demands.find((demand) => demand.item.id === batch.item && overlaps(demand.range, batch.range));
  return fillingName(item, made?.resolved.filling) ?? PART_WORD.filling;
}

/** The sheets in the places that they had before; what was not there comes last. */
export function inPlace(sheets: readonly BatchSheet[], before: readonly BatchSheet[]): BatchSheet[] {
  const places = new Map(before.map((sheet, place) => [sheet.batch.id, place]));
  const place = (sheet: BatchSheet) => places.get(sheet.batch.id) ?? before.length;
  return [...sheets].sort((a, b) => place(a) - place(b));
}

/** What is held back is a measure of its own: most goes in now, the rest by feel. */
function nowAndByFeel(
  batch: AtTheScale,
  line: Ingredient,
  of: readonly { item: string; component: string }[],
  catalogue: Catalogue,
): WeighLine[] {
  const key = weightKey(batch, line);
  const named = { name: line.name, ...(line.ingredient !== undefined && { ingredient: line.ingredient }) };
  if (!line.holdBackPct) return [{ key, ...named, grams: line.grams, units: wholeUnits(line, line.grams, catalogue) }];
  const { firstG, restG } = heldBack(line.grams, line.holdBackPct);
  return [
    { key, ...named, grams: firstG, when: "now" },
    {
      key: `${key} held`,
      ...named,
      grams: restG,
      when: "by feel",
      units: `in ${GOES} goes of ${Math.round(restG / GOES)} g`,
      note: { of, plannedG: line.grams },
    },
  ];
}

/** The heaviest flour of a dough whose liquid goes in by feel can be corrected, and the correction kept. */
function withSticky(
  line: WeighLine,
  { in: into, id }: Ingredient,
  batch: Weighing,
  made: readonly Batch[],
  itemOf: (id: string) => Item,
): WeighLine {
  if (batch.part !== "dough" || line.when || !batch.ingredients.some((one) => one.holdBackPct)) return line;
  const of = made.flatMap((one) => {
    const flour = mainFlour(doughComponents(itemOf(one.item)));
    const mine = flour && one.ingredients.find((part) => part.id === flour.id && part.id === id && part.in === into);
    return mine ? [{ item: one.item, component: mine.id }] : [];
  });
  return of.length === 0 ? line : { ...line, sticky: { of, plannedG: line.grams, addG: stickyCorrection(line.grams).addG } };
}

/** Spoons in which what is held back goes in. */
const GOES = 4;

/** How a batch is portioned: pieces by weight, a log and where to cut it, spoons of filling, pieces on each carrier. */
function portionsOf(q: Quantities, batch: Batch, item: Item, plan: Plan | undefined): string[] {
  const { doughG, fillingG } = item.piece;
  if (batch.part === "dough") {
    const lots = (plan?.lots ?? []).filter((lot) => lot.item === item.id && overlaps(lot.range, batch.range));
    const counts = new Map<string, number>();
    for (const lot of lots) {
      const text = `${lot.pieces} on a ${lot.carrier === "steamer-tier" ? "steamer load" : lot.carrier}`;
      counts.set(text, (counts.get(text) ?? 0) + 1);
    }
    return [
      ...doughPortions(batch.pieces, doughG, {
        divided: item.steps.some((step) => step.kind === "divide"),
        byEye: item.piece.portionBy === "eye",
        merge: item.piece.scraps === "merge",
        sheetMm: item.piece.thicknessMm,
        cutMm: item.piece.cutDiameterMm,
      }),
      ...[...counts].map(([text, n]) => (n > 1 ? `${n} × ${text}` : text)),
    ];
  }
  if (batch.part === "filling" && fillingG > 0) return [fillingPortion(fillingG)];
  return [];
}

/** How a cooked base is divided, whatever it weighs by then. */
function dividedText(shares: readonly { readonly filling: string; readonly grams: number }[], item: Item): string {
  const total = shares.reduce((sum, { grams }) => sum + grams, 0);
  const parts = shares.map(({ filling, grams }) => {
    const name = fillingName(item, filling) ?? "the first filling";
    return `${Math.round((100 * grams) / total)} % (${Math.round(grams)} g of it raw) for ${name}`;
  });
  return `Cooked and cold, divide it by weight: ${parts.join(", ")}.`;
}

/** How a mix for several items is divided among them. */
function divided(batch: Weighing, itemOf: (id: string) => Item): string[] {
  if (batch.shares.length === 1) return [];
  const shares = batch.shares.map((share) => `${Math.round(share.totalG)} g for ${share.pieces} ${itemOf(share.item).name}`);
  return [`divide it by weight: ${shares.join(", ")}`];
}

const HOT = /chil(?:l?i|es)|cayenne|jalape|hot (?:sauce|pepper|paprika)|harissa|gochu/i;
/** Heat for children against the others', unless the item says; a kitchen figure of our own. */
const MILD = 0.4;

/** Where children eat a filling with chilli: how much to set aside before the heat goes in, and the heat of either part. */
function milder(batch: Batch, item: Item, guests: Eaters): string[] {
  const heat = batch.ingredients.filter((line) => HOT.test(line.name));
  if (batch.part !== "filling" || heat.length === 0) return [];
  const eaten = guests.map((g) => ({ child: g.age === "child", pieces: g.count * item.piecesPerGuest[g.age] }));
  const all = eaten.reduce((sum, g) => sum + g.pieces, 0);
  const theirs = eaten.filter((g) => g.child).reduce((sum, g) => sum + g.pieces, 0);
  if (theirs === 0 || theirs === all) return [];
  const pieces = Math.round((batch.pieces * theirs) / all);
  if (pieces === 0) return [];
  const mild = item.child?.heat ?? MILD;
  const mark = item.child?.mark ?? "close theirs another way";
  const fill = item.child?.fillingG === undefined ? "" : `, ${item.child.fillingG} g in each of theirs`;
  const { asideG } = milderPart(batch.totalG, 0, pieces / batch.pieces, mild);
  return heat.map((line) => {
    const { restHeatG, asideHeatG } = milderPart(batch.totalG, line.grams, pieces / batch.pieces, mild);
    return `milder for ${pieces} children’s pieces: set ${Math.round(asideG)} g aside first; ${line.name} ${restHeatG.toFixed(1)} g to the rest, ${asideHeatG.toFixed(1)} g to theirs${fill}; ${mark}`;
  });
}

/** Lines of the recipe that stand on no scale yet: the cook sees them where the rest is weighed. */
function notWeighed(batch: Weighing, itemOf: (id: string) => Item): string[] {
  const open = batch.shares.flatMap(({ item }) => itemOf(item).gaps ?? []).filter((gap) => gap.in === batch.part);
  return open.map((gap) => `not weighed yet: ${gap.text}`);
}

/** What to do with a dough that sticks when all its liquid is in; only where liquid goes in by feel. */
function stickyLines(batch: Batch, item: Item): string[] {
  const flours = new Set(item.dough.parts.flatMap((part) => part.components.filter((c) => c.flour).map((c) => c.name)));
  const flourG = batch.ingredients.filter((line) => flours.has(line.name)).reduce((sum, line) => sum + line.grams, 0);
  if (flourG === 0 || !batch.ingredients.some((line) => line.holdBackPct)) return [];
  return [`still sticky? ${Math.round(stickyCorrection(flourG).addG)} g more flour, no more than that`];
}
