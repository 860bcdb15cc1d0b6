import { capacitiesOf, chamberOf, isCarrier, loadCapacity, usesEquipment, type Capacities, type Carrier } from "./capacity";
import { sizeOf, type Demand, type Range } from "./demands";
import type { Item, Step } from "./item";
import { cutAt, lotsOf, mixSizes, cut } from "./partition";
import type { Kitchen } from "./request";
import type { Strategy } from "./strategy";

/** One piece of work: a step done to a range of pieces. Becomes one task of the problem. */
export interface Work {
  readonly id: string;
  readonly item: Item;
  readonly step: Step;
  readonly range: Range;
  /** Demands whose pieces it carries. */
  readonly demands: readonly Demand[];
  readonly carrier?: Carrier;
  /** Carriers in use: trays of a load, tiers of a load, else 1. */
  readonly carriers: number;
  readonly chamber?: "oven" | "steamer" | "fryer" | "lidded-pan";
  /** True for steps that dough or filling share between demands. */
  readonly shared: boolean;
}

/** Pieces whose dough is mixed, or whose filling is cooked, together. */
export interface Group {
  readonly item: Item;
  readonly part: "dough" | "filling";
  readonly demands: readonly Demand[];
  readonly range: Range;
  /** Parts that are weighed and mixed apart; one for a filling. */
  readonly mixes: readonly Range[];
  readonly steps: readonly Step[];
  readonly ahead: boolean;
}

/** Everything there is to do, before any time is given to it. */
export interface Workload {
  readonly works: readonly Work[];
  readonly groups: readonly Group[];
  /** Sentences that name what makes the whole impossible. */
  readonly blockers: readonly string[];
}

/** Steps that belong to the dough (or filling): those of that part, and all that lead up to them. */
function phase(steps: readonly Step[], part: "dough" | "filling"): Step[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const inside = new Set<string>();
  const walk = (id: string) => {
    const step = byId.get(id);
    if (!step || inside.has(id)) return;
    inside.add(id);
    step.after.forEach((link) => walk(link.step));
  };
  steps.filter((step) => step.part === part).forEach((step) => walk(step.id));
  return steps.filter((step) => inside.has(step.id));
}

const signature = (steps: readonly Step[], components: unknown): string =>
  JSON.stringify([steps.map((step) => ({ ...step, path: 0, do: 0, cue: 0, caution: 0 })), components]);

/** Divides what a gathering wants into works: shared doughs and fillings, mixes, lots and loads. */
export function workloadOf(demands: readonly Demand[], kitchen: Kitchen, strategy: Strategy): Workload {
  const works: Work[] = [];
  const groups: Group[] = [];
  const blockers = new Set<string>();
  for (const item of new Set(demands.map((demand) => demand.item))) {
    const own = demands.filter((demand) => demand.item === item);
    const capacities = capacitiesOf(item, kitchen);
    const doughs = groupsOf(own, "dough", kitchen, capacities, blockers);
    const fillings = groupsOf(own, "filling", kitchen, capacities, blockers);
    groups.push(...doughs, ...fillings);
    const counter = new Map<string, number>();
    const add = (step: Step, range: Range, rest: Pick<Work, "carrier" | "carriers" | "shared">) => {
      const n = (counter.get(step.id) ?? 0) + 1;
      counter.set(step.id, n);
      const carried = own.filter((d) => d.range[0] < range[1] && range[0] < d.range[1]);
      works.push({ id: `${item.id}/${step.id}/${n}`, item, step, range, demands: carried, chamber: chamberOf(step), ...rest });
    };
    for (const group of [...doughs, ...fillings]) {
      const mixed = afterMixer(group.steps);
      for (const step of group.steps)
        for (const range of mixed.has(step.id) ? group.mixes : withinTins(step, group.range, kitchen))
          add(step, range, {
            shared: true,
            carriers: 1,
            carrier: step.equipment.some((e) => e.id === "tray") ? "tray" : undefined,
          });
    }
    for (const demand of own) {
      const shared = new Set(
        [...doughs, ...fillings].filter((g) => g.demands.includes(demand)).flatMap((g) => g.steps.map((s) => s.id)),
      );
      const mixes = doughs.find((g) => g.demands.includes(demand))?.mixes ?? [demand.range];
      const steps = demand.steps.filter((step) => !shared.has(step.id));
      const layout = new Layout(demand, steps, cutAt(demand.range, mixes), capacities, kitchen, strategy);
      for (const step of steps) for (const part of layout.partsOf(step)) add(step, part.range, { ...part, shared: false });
      layout.blockers.forEach((text) => blockers.add(text));
    }
  }
  return { works, groups, blockers: [...blockers] };
}

/** Parts for which there are tins enough: a step takes one a piece. */
function withinTins(step: Step, range: Range, kitchen: Kitchen): Range[] {
  const tins = kitchen.equipment.tins?.count ?? 0;
  return tins > 0 && usesEquipment(step, "tins") ? lotsOf(range, tins) : [range];
}

/** Steps at and after the mixer: from there on each mix goes its own way. */
function afterMixer(steps: readonly Step[]): Set<string> {
  const after = new Set(steps.filter((step) => usesEquipment(step, "mixer")).map((step) => step.id));
  for (let grown = -1; grown !== after.size;) {
    grown = after.size;
    for (const step of steps) if (step.after.some((link) => after.has(link.step))) after.add(step.id);
  }
  return after;
}

function groupsOf(
  own: readonly Demand[],
  part: "dough" | "filling",
  kitchen: Kitchen,
  capacities: Capacities,
  blockers: Set<string>,
): Group[] {
  const groups: { key: string; demands: Demand[]; steps: Step[]; ahead: boolean }[] = [];
  for (const demand of own) {
    const { resolved } = demand;
    const components = part === "dough" ? resolved.dough : resolved.fillingComponents;
    const steps = phase(demand.steps, part);
    const ahead = steps.length === 0;
    const key = `${ahead} ${part === "filling" ? demand.resolved.filling : ""} ${signature(steps, components)}`;
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
      demands,
      range,
      steps,
      ahead,
      mixes: part === "dough" ? mixesOf(range, demands[0], steps, kitchen, capacities, blockers) : [range],
    };
  });
}

/** Dough to mix for one piece, g: its weight and what is lost on the way. */
export const mixedDoughPerPiece = (item: Item): number => item.piece.doughG / (1 - item.dough.netLossPct / 100);

function mixesOf(
  range: Range,
  demand: Demand,
  steps: readonly Step[],
  kitchen: Kitchen,
  capacities: Capacities,
  blockers: Set<string>,
): Range[] {
  const { mixer } = kitchen.equipment;
  const { item } = demand;
  if (!mixer || mixer.count === 0 || !mixer.maxDoughG || !steps.some((step) => usesEquipment(step, "mixer"))) return [range];
  const perPiece = mixedDoughPerPiece(item);
  const most = Math.floor(mixer.maxDoughG / perPiece + 1e-9);
  if (most < 1) {
    blockers.add(`${item.name}: one piece needs ${Math.round(perPiece)} g of dough and the mixer takes ${mixer.maxDoughG} g`);
    return [range];
  }
  const load = demand.resolved.steps.find((step) => step.path.includes(demand.path) && chamberOf(step) && step.kind !== "reheat");
  const unit = (load && chamberOf(load) !== "oven" ? loadCapacity(load, capacities) : undefined) ?? capacities.tray;
  return cut(range, mixSizes(sizeOf(range), most, Math.max(1, unit), Math.ceil((mixer.minDoughG ?? 0) / perPiece)));
}

interface Part {
  readonly range: Range;
  readonly carrier?: Carrier;
  readonly carriers: number;
}

/** How one demand's pieces are divided at each of its own steps. */
class Layout {
  readonly blockers: string[] = [];
  private readonly rawFrozen: boolean;

  constructor(
    private readonly demand: Demand,
    private readonly steps: readonly Step[],
    private readonly segments: readonly Range[],
    private readonly capacities: Capacities,
    private readonly kitchen: Kitchen,
    private readonly strategy: Strategy,
  ) {
    const heated = demand.resolved.steps.some((step) => step.path.includes("freezer") && chamberOf(step));
    this.rawFrozen = demand.path === "freezer" && !heated;
  }

  partsOf(step: Step): Part[] {
    const index = this.steps.indexOf(step);
    if (step.lot === "batch") return this.batchParts(step, index);
    if (step.lot === "load") return this.loadParts(step, index);
    const carrier = this.carrierOf(step);
    const hurried = this.hurriedLoads(step, index);
    return (hurried ?? this.lots(this.trayCapacity(step, carrier), index)).map((range) => ({ range, carrier, carriers: 1 }));
  }

  /** Lots that must follow their small loads sooner than the next load is done: they are the loads. */
  private hurriedLoads(step: Step, index: number): Range[] | undefined {
    for (const link of step.after) {
      const load = this.steps
        .slice(0, index)
        .find((s) => s.id === link.step && s.lot === "load" && chamberOf(s) && chamberOf(s) !== "oven");
      if (load && link.maxGapMin !== undefined && link.maxGapMin < load.time.fixedMin)
        return this.evenLoads(loadCapacity(load, this.capacities) ?? 1);
    }
    return undefined;
  }

  private batchParts(step: Step, index: number): Part[] {
    const joined = this.steps.slice(0, index).some((before) => before.lot !== "batch");
    const carrier = step.equipment.map((e) => e.id).find(isCarrier);
    const own = step.kind === "serve" ? undefined : carrier;
    if (joined) {
      const inLots = step.kind === "serve" && this.strategy.serveInLots;
      const last = this.steps.slice(0, index).findLast((before) => before.lot !== "batch");
      const ranges = inLots && last ? this.partsOf(last).map((part) => part.range) : [this.demand.range];
      return ranges.map((range) => ({ range, carriers: 1, carrier: own }));
    }
    if (!this.strategy.fineParts) return this.segments.map((range) => ({ range, carriers: 1, carrier: own }));
    const first = this.steps.find((later) => later.lot !== "batch");
    return (first ? this.partsOf(first) : this.segments.map((range) => ({ range }))).map(({ range }) => ({
      range,
      carriers: 1,
      carrier: own,
    }));
  }

  private loadParts(step: Step, index: number): Part[] {
    const heated = this.heatedStep(step, index);
    if (!heated) return this.segments.map((range) => ({ range, carriers: 1 }));
    const capacity = loadCapacity(heated, this.capacities) ?? 0;
    if (capacity < 1) {
      this.blockers.push(`${this.demand.item.name}: this kitchen has nothing that takes a load for ${heated.kind}`);
      return [{ range: this.demand.range, carriers: 1 }];
    }
    if (chamberOf(heated) === "oven") return this.ovenLoads(step, index);
    const loads = this.evenLoads(capacity);
    if (chamberOf(heated) !== "steamer") {
      const carrier = this.carrierOf(step);
      return loads.map((range) => ({ range, carrier, carriers: 1 }));
    }
    return loads.map((range, i) => {
      const tiers = Math.ceil(sizeOf(range) / (this.capacities.tier ?? sizeOf(range)));
      const carrier = chamberOf(step) === "steamer" ? undefined : this.carrierOf(step, i);
      const boards = Math.ceil(sizeOf(range) / (this.capacities.board ?? sizeOf(range)));
      return { range, carrier, carriers: carrier === "board" ? boards : tiers };
    });
  }

  /** The heated step whose loads this step follows: the last before it, else the next after it, or itself. */
  private heatedStep(step: Step, index: number): Step | undefined {
    if (chamberOf(step)) return step;
    const heated = (list: readonly Step[]) => list.filter((s) => s.lot === "load" && chamberOf(s));
    return heated(this.steps.slice(0, index)).at(-1) ?? heated(this.steps.slice(index))[0];
  }

  /** Loads within the mixes where that costs no further load, else over all pieces of the demand. */
  private evenLoads(capacity: number): Range[] {
    const within = this.segments.flatMap((segment) => lotsOf(segment, capacity));
    return within.length === Math.ceil(sizeOf(this.demand.range) / capacity) ? within : lotsOf(this.demand.range, capacity);
  }

  private ovenLoads(step: Step, index: number): Part[] {
    const carrier = step.equipment.some((e) => isCarrier(e.id)) ? ("tray" as const) : undefined;
    const frozen = this.demand.path === "from-freezer";
    const trays = this.lots(frozen ? this.capacities.freezerTray : this.capacities.tray, index);
    const segments = this.strategy.loadsByMix ? this.segments : [this.demand.range];
    return segments.flatMap((segment) => {
      const inside = trays.filter((tray) => tray[0] >= segment[0] && tray[0] < segment[1]);
      const loads = lotsOf([0, inside.length], this.capacities.shelves);
      return loads.map(([a, b]) => ({ range: [inside[a][0], inside[b - 1][1]] as const, carrier, carriers: b - a }));
    });
  }

  private lots(capacity: number, index: number): Range[] {
    const later = this.steps.slice(index).find((s) => s.lot === "load" && chamberOf(s));
    const earlier = this.steps
      .slice(0, index)
      .filter((s) => s.lot === "load" && chamberOf(s))
      .at(-1);
    const heated = later ?? earlier;
    const unit = heated && chamberOf(heated) !== "oven" ? (loadCapacity(heated, this.capacities) ?? 1) : 1;
    return this.segments.flatMap((segment) => lotsOf(segment, Math.max(1, capacity), unit));
  }

  private trayCapacity(step: Step, carrier: Carrier | undefined): number {
    const freezes =
      this.demand.path === "freezer" && (this.rawFrozen || usesEquipment(step, "freezer-tray") || step.kind === "bag");
    if (freezes || this.demand.path === "from-freezer") return this.capacities.freezerTray;
    return carrier === "board" ? (this.capacities.board ?? this.capacities.tray) : this.capacities.tray;
  }

  /** The carrier a step's lots lie on. `load` is the number of the load, for steamer tiers that serve one after another. */
  private carrierOf(step: Step, load = 0): Carrier | undefined {
    const entry = step.equipment.find((e) => isCarrier(e.id));
    if (!entry) return undefined;
    const options = [entry.id, entry.or].filter((id): id is Carrier => id !== undefined && isCarrier(id));
    if (this.rawFrozen && options.includes("tray")) return "tray";
    const there = options.filter((id) => this.has(id));
    if (there.length <= 1) return there[0] ?? options[0];
    const wish = this.strategy.carrier(this.demand.item.id);
    if (wish === "first-on-tiers") {
      if (options.includes("steamer-tier")) return load === 0 ? "steamer-tier" : there.find((id) => id !== "steamer-tier")!;
      // Pieces that go into the oven on a tray in the end lie there from the start, unless they may wait long on a board.
      return there.includes("board") ? "board" : there[0];
    }
    return there.includes(wish) ? wish : (there.find((id) => id !== "steamer-tier") ?? there[0]);
  }

  private has(carrier: Carrier): boolean {
    const { tray, board, steamer } = this.kitchen.equipment;
    if (carrier === "steamer-tier") return (steamer?.count ?? 0) > 0 && this.capacities.tier !== undefined;
    if (carrier === "board") return (board?.count ?? 0) > 0 && this.capacities.board !== undefined && this.capacities.board > 0;
    return (tray?.count ?? 0) > 0;
  }
}
