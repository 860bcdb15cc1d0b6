import { apportion } from "../quantities/apportion";
import { Range } from "../shared/range";
import type { Item } from "../item/schema";
import type { Step } from "../item/step";
import type { Path } from "../item/step";
import type { PlanDays } from "./calendar";
import { OURS, type Catalogue } from "../ingredients/own";
import type { ItemClaims } from "../item/claims";
import { countWaves, type HeadcountAnswer } from "./headcount";
import { servedIn, type ServedIn } from "./served";
import type { Occasion } from "./occasion";
import { throughStep, type ResolvedItem } from "../item/resolve";

/** One want: so many pieces of one item with one filling, for one wave or for the freezer. */
export interface Demand {
  /** A wave's id, or "freezer". */
  readonly for: string;
  readonly item: Item;
  readonly resolved: ResolvedItem;
  /** What is said of it by what it is made of, and with the oil it shares. */
  readonly own: ItemClaims;
  readonly claims: ItemClaims;
  readonly range: Range;
  readonly path: Path;
  /** Minute by which it is eaten, or bagged. */
  readonly by: number;
  /** Steps that are done before the plan begins. */
  readonly done: ReadonlySet<string>;
  /** Steps of this demand's path that the plan still has to place. */
  readonly steps: readonly Step[];
}

interface Want {
  readonly for: string;
  readonly choices: Readonly<Record<string, string>>;
  readonly filling: string;
  readonly pieces: number;
  readonly by: number;
  readonly freezer: boolean;
}

/** All demands of a gathering in order: waves as they stand, then the freezer; each item's pieces numbered through. */
export function demandsOf(
  request: Occasion,
  days: PlanDays,
  catalogue: Catalogue = OURS,
): { demands: Demand[]; headcount: HeadcountAnswer } {
  const items = new Map(request.items.map((item) => [item.id, item]));
  const { gathering, kitchen } = request;
  const headcount = countWaves(gathering, items, kitchen, catalogue);
  const served = servedIn(gathering, items, catalogue);
  const wants = new Map<string, Want[]>();
  const want = (recipe: string, entry: Want) => wants.set(recipe, [...(wants.get(recipe) ?? []), entry]);

  for (const wave of gathering.waves)
    for (const entry of wave.items) {
      const { pieces } = headcount.counts.find((count) => count.wave === wave.id && count.recipe === entry.recipe)!;
      for (const part of partsOf(pieces, entry.split))
        want(entry.recipe, { for: wave.id, choices: entry.choices, ...part, by: days.minute(0, wave.time), freezer: false });
    }
  for (const entry of gathering.freezer)
    for (const part of partsOf(entry.pieces, entry.split))
      want(entry.recipe, {
        for: "freezer",
        choices: entry.choices,
        ...part,
        by: days.minute(entry.by.day, entry.by.time),
        freezer: true,
      });

  const demands: Demand[] = [];
  for (const [recipe, list] of wants) {
    const item = items.get(recipe)!;
    const ahead = gathering.doneAhead.filter((entry) => entry.recipe === recipe);
    let at = 0;
    for (const entry of list) {
      const end = at + entry.pieces;
      // What is done ahead covers the first pieces; where it ends inside a demand, the demand is cut there.
      const cuts = ahead.map((a) => a.pieces ?? Infinity).filter((pieces) => pieces > at && pieces < end);
      for (const cut of [...cuts, end].sort((a, b) => a - b)) {
        if (cut <= at) continue;
        demands.push(demandFor(item, entry, [at, cut], ahead, served));
        at = cut;
      }
    }
  }
  return { demands, headcount };
}

/** Pieces of each filling. A split is in proportion where the total was counted from the guests. */
function partsOf(pieces: number, split: readonly { filling: string; pieces: number }[] | undefined) {
  if (!split || split.length === 0) return pieces > 0 ? [{ filling: "base", pieces }] : [];
  const shares = split.map((part, i) => ({ id: String(i), weight: part.pieces, min: 0 }));
  const divided = apportion({ total: pieces, shares });
  if (!divided.ok) throw new Error("parts of at least one piece can always be divided in proportion");
  return split.map((part, i) => ({ filling: part.filling, pieces: divided.value.counts[i] }));
}

function demandFor(item: Item, entry: Want, range: Range, ahead: Occasion["gathering"]["doneAhead"], served: ServedIn): Demand {
  const { resolved, own, claims } = served(item, entry.choices, entry.filling);
  const through = ahead.filter((a) => range[0] < (a.pieces ?? Infinity)).map((a) => a.through);
  const frozen = through.some((id) => ["freeze", "bag"].includes(resolved.steps.find((step) => step.id === id)?.kind ?? ""));
  const path: Path = entry.freezer ? "freezer" : frozen ? "from-freezer" : "fresh";
  const done = new Set(through.flatMap((id) => [...throughStep(resolved.steps, id)]));
  const steps = resolved.steps.filter((step) => step.path.includes(path) && !done.has(step.id) && !(entry.freezer && frozen));
  return { for: entry.for, item, resolved, own, claims, range, path, by: entry.by, done, steps };
}
