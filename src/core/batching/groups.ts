import { throughStep } from "../item/resolve";
import { fillingFor, mixedDoughG } from "../item/yields";
import { evenParts } from "../quantities/apportion";
import { down, sum } from "../shared/rounding";
import { largestPot, splitBatches } from "./split";
import { chamberOf, loadCapacity, usesEquipment, type Capacities } from "../kitchen/capacity";
import { type Demand } from "../gathering/demands";
import { sizeOf, type Range } from "../shared/range";
import type { Item } from "../item/schema";
import type { Step } from "../item/step";
import type { Obstacles } from "./obstacle";
import { cut, lotsOf, mixSizes } from "./partition";
import type { Kitchen } from "../kitchen/schema";

/** Pieces whose dough is mixed, or whose filling is cooked, together. */
export interface Group {
  readonly item: Item;
  readonly part: "dough" | "filling";
  /** What all fillings of the item share, made once before they go their own ways. */
  readonly base?: true;
  readonly demands: readonly Demand[];
  readonly range: Range;
  /** Parts that are weighed and mixed, or cooked, apart. Where others are made with it, one may be empty. */
  readonly mixes: readonly Range[];
  /** Ids of the steps that are done mix by mix; the others once for all. */
  readonly byMix: ReadonlySet<string>;
  readonly steps: readonly Step[];
  readonly ahead: boolean;
  /** Other items' groups that are made in one with this one, mix by mix, for which it has the works. */
  readonly guests: readonly Group[];
  /** The same for all that are made together, the one that has the works included. */
  readonly together?: string;
}

/**
 * Steps that belong to the dough (or filling): those of that part, and all that lead up to them. A step of the other part is
 * the other's, and one that leads up to both is the dough's.
 */
function phase(steps: readonly Step[], part: "dough" | "filling"): Step[] {
  const leadingTo = (to: Step["part"]) =>
    new Set(steps.filter((step) => step.part === to).flatMap((step) => [...throughStep(steps, step.id)]));
  const inside = leadingTo(part);
  const dough = part === "dough" ? new Set<string>() : leadingTo("dough");
  return steps.filter((step) => step.part === part || (step.part === "piece" && inside.has(step.id) && !dough.has(step.id)));
}

/** What is made together: a dough, the base that fillings share, a filling. */
export const MADE = ["dough", "base", "filling"] as const;
export type Made = (typeof MADE)[number];

const signature = (steps: readonly Step[], components: unknown): string =>
  JSON.stringify([steps.map((step) => ({ ...step, path: 0, do: 0, cue: 0, caution: 0 })), components]);

/**
 * Doughs, or fillings, of one item: demands that follow one another and are treated alike are made together. The base of several
 * fillings is one for all of them.
 */
export function groupsOf(
  own: readonly Demand[],
  what: Made,
  kitchen: Kitchen,
  capacities: Capacities,
  obstacles: Obstacles,
  smallLots: boolean,
): Group[] {
  const part = what === "dough" ? "dough" : "filling";
  const groups: { key: string; demands: Demand[]; steps: Step[]; ahead: boolean }[] = [];
  for (const demand of own) {
    const { resolved } = demand;
    const isBase = what === "base";
    if (isBase && !resolved.fillingComponents.some((line) => line.base)) continue;
    const components =
      part === "dough" ? resolved.dough : resolved.fillingComponents.filter((line) => (line.base === true) === isBase);
    const steps = phase(demand.steps, part).filter((step) => part === "dough" || (step.base === true) === isBase);
    const ahead = steps.length === 0;
    const key = `${ahead} ${what === "filling" ? demand.resolved.filling : ""} ${signature(steps, isBase ? [] : components)}`;
    const last = groups.at(-1);
    if (last && last.key === key && last.demands.at(-1)!.range[1] === demand.range[0]) last.demands.push(demand);
    else groups.push({ key, demands: [demand], steps, ahead });
  }
  return groups.map(({ demands, steps, ahead }) => {
    const range: Range = [demands[0].range[0], demands.at(-1)!.range[1]];
    const { item } = demands[0];
    return {
      item,
      part,
      ...(what === "base" && { base: true as const }),
      demands,
      range,
      steps,
      ahead,
      guests: [],
      ...(part === "dough"
        ? {
            mixes: mixesOf(range, demands[0], steps, kitchen, capacities, obstacles),
            byMix: onwards(steps, (step) => usesEquipment(step, "mixer")),
          }
        : fillingMixes(range, demands[0], steps, kitchen, capacities, smallLots && what !== "base")),
    };
  });
}

/** Steps that are of a sort, and all that follow them. */
function onwards(steps: readonly Step[], isOne: (step: Step) => boolean): Set<string> {
  const found = new Set(steps.filter(isOne).map((step) => step.id));
  for (let grown = -1; grown !== found.size;) {
    grown = found.size;
    for (const step of steps) if (step.after.some((link) => found.has(link.step))) found.add(step.id);
  }
  return found;
}

/** What goes into the pot for one piece, before it loses anything, g. */
export function rawFillingG({ item, resolved }: Demand): number {
  const { fillingComponents: components } = resolved;
  if (components.length === 0 || item.piece.fillingG <= 0) return 0;
  const { factor } = fillingFor({ ...resolved, components }, item.piece.fillingG);
  return sum(components.map(({ grams }) => grams * factor));
}

/** Most of a filling that is cooked at once, g: what the largest pot takes. Infinity where no pot is named or there. */
export const mostInPotG = (steps: readonly Step[], kitchen: Kitchen): number =>
  (steps.some((step) => usesEquipment(step, "pot")) ? largestPot(kitchen) : undefined) ?? Infinity;

/** Steps at which a filling meets heat. */
const COOKS = ["hob", "pot", "oven", "lidded-pan", "fryer", "steamer", "dry-pan"];

/** Pots of a filling that is cooked; portions of one that is only mixed, where its pieces have to keep the pace of small loads. */
function fillingMixes(
  range: Range,
  demand: Demand,
  steps: readonly Step[],
  kitchen: Kitchen,
  capacities: Capacities,
  smallLots: boolean,
): Pick<Group, "mixes" | "byMix"> {
  const pieces = sizeOf(range);
  const isCooked = steps.some((step) => COOKS.some((id) => usesEquipment(step, id)));
  const load = demand.resolved.steps.find((step) => step.path.includes(demand.path) && step.lot === "load" && chamberOf(step));
  const perLoad = load && chamberOf(load) !== "oven" ? loadCapacity(load, capacities) : undefined;
  if (smallLots && !isCooked && perLoad) return { mixes: lotsOf(range, perLoad), byMix: new Set(steps.map((step) => step.id)) };
  const each = rawFillingG(demand);
  const most = mostInPotG(steps, kitchen);
  const pots = each > 0 && Number.isFinite(most) ? Math.min(pieces, Math.ceil((pieces * each) / most - 1e-9)) : 1;
  return {
    mixes: pots > 1 ? cut(range, evenParts(pieces, pots)) : [range],
    byMix: onwards(steps, (step) => usesEquipment(step, "pot")),
  };
}

function mixesOf(
  range: Range,
  demand: Demand,
  steps: readonly Step[],
  kitchen: Kitchen,
  capacities: Capacities,
  obstacles: Obstacles,
): Range[] {
  const { mixer } = kitchen.equipment;
  const { item } = demand;
  if (!mixer || mixer.count === 0 || !mixer.maxDoughG || !steps.some((step) => usesEquipment(step, "mixer"))) return [range];
  const perPiece = mixedDoughG(item, 1);
  const split = splitBatches({
    pieces: sizeOf(range),
    doughPerPieceG: item.piece.doughG,
    capacityG: mixer.maxDoughG,
    bowlLossG: 0,
    handlingLossPct: item.dough.netLossPct,
    minG: mixer.minDoughG ?? 0,
  });
  if (!split.ok) {
    obstacles.add({ code: "mixer-too-small", item: item.id, pieceG: perPiece, mixerG: mixer.maxDoughG });
    return [range];
  }
  const load = demand.resolved.steps.find((step) => step.path.includes(demand.path) && chamberOf(step) && step.kind !== "reheat");
  const unit = (load && chamberOf(load) !== "oven" ? loadCapacity(load, capacities) : undefined) ?? capacities.tray;
  return cut(
    range,
    mixSizes(
      split.value.piecesPerBatch,
      down(mixer.maxDoughG / perPiece),
      Math.max(1, unit),
      Math.ceil((mixer.minDoughG ?? 0) / perPiece),
    ),
  );
}
