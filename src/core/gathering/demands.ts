import { apportion } from "../quantities/apportion";
import { Range } from "../shared/range";
import { keptWarm } from "../item/keep-warm";
import type { Item } from "../item/schema";
import type { Step } from "../item/step";
import type { Path } from "../item/step";
import type { PlanDays } from "./calendar";
import { OURS, type Catalogue } from "../ingredients/own";
import type { ItemClaims } from "../item/claims";
import { leavingTimes } from "./attendance";
import { countWaves, type HeadcountAnswer } from "./headcount";
import { servedIn, variantsOf, type MadeAs, type ServedIn } from "./served";
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
  readonly keepWarm?: boolean | undefined;
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

  const ahead = [...gathering.doneAhead, ...fromStock(gathering, served, items)];
  const surplus: { recipe: string; entry: Want }[] = [];
  for (const wave of gathering.waves)
    for (const entry of wave.items) {
      const { pieces, wanted } = headcount.counts.find((count) => count.wave === wave.id && count.recipe === entry.recipe)!;
      const kept = entry.surplus === "freezer" ? Math.max(0, pieces - wanted) : 0;
      for (const part of partsOf(pieces - kept, entry))
        want(entry.recipe, { for: wave.id, ...part, by: days.minute(0, wave.time), freezer: false, keepWarm: entry.keepWarm });
      const [first] = partsOf(kept, { ...entry, split: undefined });
      if (first)
        surplus.push({ recipe: entry.recipe, entry: { ...first, for: "freezer", by: bagged(request, days), freezer: true } });
    }
  for (const entry of gathering.freezer)
    for (const part of partsOf(Math.max(0, entry.pieces - (entry.onHand ?? 0)), entry))
      want(entry.recipe, { for: "freezer", ...part, by: days.minute(entry.by.day, entry.by.time), freezer: true });
  for (const { recipe, entry } of surplus) want(recipe, entry);

  const demands: Demand[] = [];
  for (const [recipe, list] of wants) {
    const item = items.get(recipe)!;
    const done = ahead.filter((entry) => entry.recipe === recipe);
    let at = 0;
    for (const entry of list) {
      const end = at + entry.pieces;
      // What is done ahead covers the first pieces; where it ends inside a demand, the demand is cut there.
      const cuts = done.map((a) => a.pieces ?? Infinity).filter((pieces) => pieces > at && pieces < end);
      for (const cut of [...cuts, end].sort((a, b) => a - b)) {
        if (cut <= at) continue;
        demands.push(demandFor(item, entry, [at, cut], done, served));
        at = cut;
      }
    }
  }
  return { demands, headcount };
}

/** When what is left over is in its bags, min: with what is frozen anyway, else when the last cook leaves. */
function bagged({ gathering, kitchen }: Occasion, days: PlanDays): number {
  const others = gathering.freezer.map(({ by }) => days.minute(by.day, by.time));
  return Math.max(...(others.length > 0 ? others : leavingTimes(kitchen, days)), 0);
}

/** Frozen pieces beyond those that are to stay in the freezer: they are served, first of all, where they can be made from frozen. */
function fromStock(
  { freezer }: Occasion["gathering"],
  served: ServedIn,
  items: ReadonlyMap<string, Item>,
): Occasion["gathering"]["doneAhead"] {
  return freezer.flatMap(({ recipe, pieces, onHand = 0, choices }) => {
    if (onHand <= pieces) return [];
    const { steps } = served(items.get(recipe)!, choices, "base").resolved;
    const last = steps.findLast((step) => step.path.includes("freezer") && (step.kind === "bag" || step.kind === "freeze"));
    const canBe = steps.some((step) => step.path.includes("from-freezer"));
    return last && canBe ? [{ recipe, pieces: onHand - pieces, through: last.id }] : [];
  });
}

/** Pieces of each filling and way. A split is in proportion where the total was counted from the guests. */
function partsOf(pieces: number, { choices, split }: MadeAs) {
  const variants = variantsOf({ choices, split });
  if (!split || split.length === 0) return pieces > 0 ? variants.map((variant) => ({ ...variant, pieces })) : [];
  const shares = split.map((part, i) => ({ id: String(i), weight: part.pieces, min: 0 }));
  const divided = apportion({ total: pieces, shares });
  if (!divided.ok) throw new Error("parts of at least one piece can always be divided in proportion");
  return variants.map((variant, i) => ({ ...variant, pieces: divided.value.counts[i] })).filter((variant) => variant.pieces > 0);
}

function demandFor(item: Item, entry: Want, range: Range, ahead: Occasion["gathering"]["doneAhead"], served: ServedIn): Demand {
  const made = served(item, entry.choices, entry.filling);
  const { own, claims } = made;
  const resolved = entry.keepWarm ? { ...made.resolved, steps: keptWarm(made.resolved.steps) } : made.resolved;
  const through = ahead.filter((a) => range[0] < (a.pieces ?? Infinity)).map((a) => a.through);
  const frozen = through.some((id) => ["freeze", "bag"].includes(resolved.steps.find((step) => step.id === id)?.kind ?? ""));
  const path: Path = entry.freezer ? "freezer" : frozen ? "from-freezer" : "fresh";
  const done = new Set(through.flatMap((id) => [...throughStep(resolved.steps, id)]));
  const steps = resolved.steps.filter((step) => step.path.includes(path) && !done.has(step.id) && !(entry.freezer && frozen));
  return { for: entry.for, item, resolved, own, claims, range, path, by: entry.by, done, steps };
}
