import type { Obstacle } from "./obstacle";
import {
  chamberOf,
  isCarrier,
  loadCapacity,
  loadRooms,
  usesEquipment,
  type Capacities,
  type Carrier,
  type Room,
} from "../kitchen/capacity";
import { type Demand } from "../gathering/demands";
import { sizeOf, type Range } from "../shared/range";
import type { Step } from "../item/step";
import { acrossRooms, lotsOf } from "./partition";
import type { Kitchen } from "../kitchen/schema";
import type { Strategy } from "./strategy";

interface Part {
  readonly range: Range;
  readonly carrier?: Carrier;
  readonly carriers: number;
  /** Carriers of each pool where they are of several sizes. */
  readonly sizes?: Readonly<Record<string, number>>;
  /** Chambers or pans that it may go into where they are of several sizes. */
  readonly into?: readonly string[];
}

/** Pieces, and the room they lie in: of a carrier's size, or of a chamber's. */
interface Placed {
  readonly range: Range;
  readonly room: Room | undefined;
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
    return (hurried ?? this.lots(this.carriersFor(step, carrier), index)).map(({ range, room }) => ({
      range,
      carrier,
      carriers: 1,
      ...(carrier && !hurried && sizesIn([room])),
    }));
  }

  /** Lots that must follow their small loads sooner than the next load is done: they are the loads. */
  private hurriedLoads(step: Step, index: number): Placed[] | undefined {
    for (const link of step.after) {
      const load = this.steps
        .slice(0, index)
        .find((s) => s.id === link.step && s.lot === "load" && chamberOf(s) && chamberOf(s) !== "oven");
      if (load && link.maxGapMin !== undefined && link.maxGapMin < load.time.fixedMin) return this.evenLoads(this.roomsFor(load));
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
    const rooms = this.roomsFor(heated);
    if (rooms.every(({ pieces }) => pieces < 1)) {
      this.obstacles.push({ code: "no-load", item: this.demand.item.id, kind: heated.kind });
      return [{ range: this.demand.range, carriers: 1 }];
    }
    if (chamberOf(heated) === "oven") return this.ovenLoads(step, index, heated);
    const inHeat = chamberOf(step) !== undefined;
    const loads = this.evenLoads(rooms).map(({ range, room }) => ({
      range,
      room,
      ...(inHeat && rooms.length > 1 && { into: roomsAtLeast(rooms, room!, chamberOf(heated) === "fryer") }),
    }));
    if (chamberOf(heated) !== "steamer") {
      const carrier = this.carrierOf(step);
      return loads.map(({ room: _room, ...load }) => ({ ...load, carrier, carriers: 1 }));
    }
    return loads.map(({ room, ...load }, i) => {
      const tiers = Math.ceil(sizeOf(load.range) / (room?.tier ?? sizeOf(load.range)));
      const carrier = chamberOf(step) === "steamer" ? undefined : this.carrierOf(step, i);
      const boards = Math.ceil(sizeOf(load.range) / (this.capacities.board ?? sizeOf(load.range)));
      return { ...load, carrier, carriers: carrier === "board" ? boards : tiers };
    });
  }

  /** The heated step whose loads this step follows: the last before it, else the next after it, or itself. */
  private heatedStep(step: Step, index: number): Step | undefined {
    if (chamberOf(step)) return step;
    const heated = (list: readonly Step[]) => list.filter((s) => s.lot === "load" && chamberOf(s));
    return heated(this.steps.slice(0, index)).at(-1) ?? heated(this.steps.slice(index))[0];
  }

  /** Loads within the mixes where that costs no further load, else over all pieces of the demand. */
  private evenLoads(rooms: readonly Room[]): Placed[] {
    const within = this.segments.flatMap((segment) => placed(segment, rooms));
    const over = placed(this.demand.range, rooms);
    return within.length === over.length ? within : over;
  }

  private ovenLoads(step: Step, index: number, heated: Step): Part[] {
    const carrier = step.equipment.some((e) => isCarrier(e.id)) ? ("tray" as const) : undefined;
    const trays = this.lots(this.there(this.demand.path === "from-freezer" ? "freezerTray" : "tray"), index);
    const most = this.strategy.trayByTray ? 1 : (heated.equipment.find(({ id }) => id === "oven")?.most ?? Infinity);
    const ovens = this.there("oven").map((room) => ({ ...room, pieces: Math.min(most, room.pieces) }));
    const segments = this.strategy.loadsByMix ? this.segments : [this.demand.range];
    return segments.flatMap((segment) => {
      const inside = trays.filter(({ range: [from] }) => from >= segment[0] && from < segment[1]);
      return placed([0, inside.length], ovens).map(({ range: [a, b], room }) => ({
        range: [inside[a].range[0], inside[b - 1].range[1]] as const,
        carrier,
        carriers: b - a,
        ...(carrier && sizesIn(inside.slice(a, b).map((tray) => tray.room))),
        ...(ovens.length > 1 && { into: roomsAtLeast(ovens, room!, true) }),
      }));
    });
  }

  private lots(carriers: readonly Room[], index: number): Placed[] {
    const later = this.steps.slice(index).find((s) => s.lot === "load" && chamberOf(s));
    const earlier = this.steps
      .slice(0, index)
      .filter((s) => s.lot === "load" && chamberOf(s))
      .at(-1);
    const heated = later ?? earlier;
    const unit = heated && chamberOf(heated) !== "oven" ? (loadCapacity(heated, this.capacities) ?? 1) : 1;
    if (this.strategy.smallLots && later && chamberOf(later) !== "oven") {
      const loads = this.roomsFor(later);
      const [largest] = carriers;
      return this.evenLoads(loads.map((room) => ({ ...room, pieces: Math.min(room.pieces, largest.pieces) }))).map(
        ({ range }) => ({
          range,
          room: largest,
        }),
      );
    }
    return this.segments.flatMap((segment) => placed(segment, carriers, unit));
  }

  private carriersFor(step: Step, carrier: Carrier | undefined): readonly Room[] {
    const freezes =
      this.demand.path === "freezer" && (this.rawFrozen || usesEquipment(step, "freezer-tray") || step.kind === "bag");
    if (freezes || this.demand.path === "from-freezer") return this.there("freezerTray");
    return this.there(carrier === "board" && this.capacities.board !== undefined ? "board" : "tray");
  }

  /** Rooms of a kind of which there is one; with none of them as if there were one of the usual size. */
  private there(kind: keyof Capacities["rooms"]): readonly Room[] {
    const there = this.capacities.rooms[kind].filter(({ count }) => count > 0);
    if (there.length > 0) return there;
    const usual = kind === "oven" ? this.capacities.shelves : this.capacities[kind === "board" ? "tray" : (kind as "tray")];
    return [{ ids: [], count: 1, pieces: usual }];
  }

  /** Rooms for the loads of a heated step; with none of them as if there were one. */
  private roomsFor(heated: Step): readonly Room[] {
    const there = loadRooms(heated, this.capacities).filter(({ count }) => count > 0);
    if (there.length > 0) return there;
    return [{ ids: [], count: 1, pieces: loadCapacity(heated, this.capacities) ?? 0, tier: this.capacities.tier }];
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

/** Pieces in rooms; in rooms of one size as few and as even parts as can be, whole loads of `unit` together. */
const placed = (range: Range, rooms: readonly Room[], unit = 1): Placed[] =>
  rooms.length === 1
    ? lotsOf(range, Math.max(1, rooms[0].pieces), unit).map((part) => ({ range: part, room: rooms[0] }))
    : acrossRooms(range, rooms).map((part) => ({ range: part.range, room: rooms[part.room] }));

/** Resources of rooms that take what this one was to take: of its own size, or larger where that is no matter. */
const roomsAtLeast = (rooms: readonly Room[], { pieces, ids }: Room, larger: boolean): readonly string[] =>
  larger ? rooms.filter((room) => room.pieces >= pieces).flatMap((room) => room.ids) : ids;

/** How many carriers of each size; nothing to say where all are of the first. */
function sizesIn(rooms: readonly (Room | undefined)[]): Pick<Part, "sizes"> {
  const pools = rooms.flatMap((room) => room?.ids.slice(0, 1) ?? []);
  if (pools.every((pool) => !/-\d+$/.test(pool))) return {};
  return { sizes: Object.fromEntries([...new Set(pools)].map((pool) => [pool, pools.filter((one) => one === pool).length])) };
}
