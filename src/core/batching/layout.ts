import type { Obstacle } from "./obstacle";
import { chamberOf, isCarrier, loadCapacity, usesEquipment, type Capacities, type Carrier } from "../kitchen/capacity";
import { type Demand } from "../gathering/demands";
import { sizeOf, type Range } from "../shared/range";
import type { Step } from "../item/step";
import { lotsOf } from "./partition";
import type { Kitchen } from "../kitchen/schema";
import type { Strategy } from "./strategy";

interface Part {
  readonly range: Range;
  readonly carrier?: Carrier;
  readonly carriers: number;
}

/** How one demand's pieces are divided at each of its own steps. */
export class Layout {
  readonly obstacles: Obstacle[] = [];
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
      this.obstacles.push({ code: "no-load", item: this.demand.item.id, kind: heated.kind });
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
    if (this.strategy.smallLots && later && unit > 1) return this.evenLoads(Math.min(capacity, unit));
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
