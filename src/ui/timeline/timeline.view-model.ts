import { stepIn, taskShares, type Plan, type Target } from "@/core/plan/schema";
import { planTaskText, sizeText, stepWith } from "@/core/plan/task-text";

/** One bar on a lane. */
export interface Block {
  readonly task: string;
  readonly item: string;
  readonly start: number;
  readonly end: number;
  /** Hands at work throughout, hands for a moment, or time that passes by itself. */
  readonly kind: "hands" | "tend" | "passive" | "wait";
  readonly text: string;
  readonly row: number;
  /** Units of the lane it takes: shelves, tiers, trays. */
  readonly amount: number;
  /** How full a chamber is with it: "3/3". */
  readonly fill?: string;
  /** What the chamber is set to for it, °C; `saysSetting` where that is worth saying. */
  readonly settingC?: number;
  readonly saysSetting?: boolean;
  /** For a rest: the minutes at which it may end at the earliest and at the latest. */
  readonly window?: readonly [number, number];
}

/** A chamber that heats up, or cools down, to a setting in °C. */
export interface Change {
  readonly start: number;
  readonly end: number;
  readonly rises: boolean;
  readonly toC: number;
}

/** The group of lanes for what waits by itself. */
export const RESTING = "Resting and waiting";

export interface Lane {
  readonly id: string;
  readonly name: string;
  readonly detail: string;
  readonly group: "Hands" | "Heat" | "Machines and cold" | "Resting and waiting";
  readonly rows: number;
  /** Units the lane has; blocks stand as high as what they take. */
  readonly units?: number;
  readonly blocks: readonly Block[];
  /** Stretches in which the lane is not there: before, between and after a cook's hours. */
  readonly closed: readonly (readonly [number, number])[];
  /** Changes of setting between loads: heating up and cooling down. */
  readonly changes: readonly Change[];
}

export interface TimelineModel {
  readonly lanes: readonly Lane[];
  readonly targets: readonly Target[];
  readonly busy: readonly (readonly [number, number])[];
  readonly from: number;
  readonly to: number;
}

const CHAMBER: Readonly<Record<string, { name: string; unit: string }>> = {
  oven: { name: "Oven", unit: "shelf" },
  steamer: { name: "Steamer", unit: "tier" },
  fryer: { name: "Fryer", unit: "basket" },
};

const POOLS: Readonly<Record<string, { name: string; unit: string; group: Lane["group"] }>> = {
  mixer: { name: "Mixer", unit: "bowl", group: "Machines and cold" },
  "lidded-pan": { name: "Lidded pan", unit: "pan", group: "Heat" },
  hob: { name: "Hobs", unit: "ring", group: "Heat" },
  "fridge-shelf": { name: "Fridge", unit: "shelf", group: "Machines and cold" },
  "freezer-tray": { name: "Freezer", unit: "tray", group: "Machines and cold" },
  tray: { name: "Trays", unit: "tray", group: "Machines and cold" },
  board: { name: "Boards", unit: "board", group: "Machines and cold" },
};

/** A pool by its id; "tray-2" holds the trays of another size. */
const poolOf = (id: string) => POOLS[id] ?? POOLS[id.replace(/-\d+$/, "")];

/** "1 shelf", "3 shelves". */
const counted = (n: number, unit: string): string => `${n} ${n === 1 ? unit : unit === "shelf" ? "shelves" : `${unit}s`}`;

/** Lanes and blocks of a plan: cooks first, then what heats, what is cold, and what rests. */
export function timelineModel(plan: Plan): TimelineModel {
  const placed = new Map(plan.solution.tasks.map((task) => [task.id, task]));
  const from = Math.min(...plan.solution.tasks.map((t) => t.start));
  const { targets, cooks } = plan.day;
  const to = Math.max(...plan.solution.tasks.map((t) => t.end), ...targets.map((t) => t.minute));
  const perLane = new Map<string, Omit<Block, "row">[]>();
  const put = (lane: string, block: Omit<Block, "row">) => {
    const blocks = perLane.get(lane);
    if (blocks) blocks.push(block);
    else perLane.set(lane, [block]);
  };

  for (const task of plan.problem.tasks) {
    const entry = placed.get(task.id);
    const info = plan.tasks[task.id];
    if (!entry || !info) continue;
    const step = stepIn(plan, task.id);
    const handsOn = step?.attention === "hands-on";
    const pieces = taskShares(info).reduce((sum, share) => sum + share.pieces, 0);
    const text = step ? stepWith(step, String(pieces)) : planTaskText(plan, task.id);
    const base = { task: task.id, item: info.item, text };
    task.uses.forEach((use, u) => {
      const taken = entry.taken[u];
      const cook = cooks.some((c) => c.id === taken);
      if (use.from !== undefined && use.minutes !== undefined) {
        if (!cook) return;
        const minutes = Array.isArray(use.minutes) ? use.minutes[(use.resource as string[]).indexOf(taken)] : use.minutes;
        const start = (use.from >= 0 ? entry.start : entry.end) + use.from;
        put(taken, { ...base, start, end: start + minutes, kind: "tend", amount: 1 });
      } else if (use.setting !== undefined) {
        const chamber = plan.problem.resources.find((r) => r.id === taken);
        const fill = `${use.amount}/${chamber?.kind === "chamber" ? chamber.slots : 1}`;
        put(taken, {
          ...base,
          fill,
          settingC: use.setting,
          saysSetting: use.resource !== "steamer",
          start: entry.start,
          end: entry.end,
          kind: handsOn ? "hands" : "passive",
          amount: use.amount,
        });
      } else
        put(taken, {
          ...base,
          start: entry.start,
          end: entry.end,
          kind: cook || handsOn ? "hands" : step ? "passive" : "wait",
          amount: use.amount,
        });
    });
    const isWork = info.what.code === "wash" || (info.what.code === "beside" && info.what.job !== "wait");
    if (step?.rest || (!info.step && !isWork)) {
      const range = Array.isArray(task.duration) ? task.duration : undefined;
      put(`rest:${info.item}`, {
        ...base,
        start: entry.start,
        end: entry.end,
        kind: info.step ? "passive" : "wait",
        amount: 1,
        window: info.step && range ? [entry.start + (info.rise?.readyMin ?? range[0]), entry.start + range[1]] : undefined,
      });
    }
  }

  const lanes: Lane[] = [];
  for (const resource of plan.problem.resources) {
    const blocks = perLane.get(resource.id) ?? [];
    const cook = cooks.find((c) => c.id === resource.id);
    if (cook && resource.kind === "pool") {
      const hours = [...(resource.calendar ?? [])].sort((a, b) => a[0] - b[0]);
      if (hours.length === 0) continue;
      lanes.push({
        ...stacked(blocks),
        id: cook.id,
        name: cook.name,
        detail: cook.skill === "intermediate" ? "" : cook.skill,
        group: "Hands",
        closed: gaps(hours, from, to),
        changes: [],
      });
    } else if (resource.kind === "chamber" && blocks.length > 0) {
      const [family, n] = resource.id.split("-");
      const { name, unit } = CHAMBER[family] ?? { name: resource.id, unit: "" };
      lanes.push({
        ...filled(blocks, resource.slots),
        id: resource.id,
        name: n ? `${name} ${n}` : name,
        detail: counted(resource.slots, unit),
        group: "Heat",
        closed: [],
        changes: changesOf(plan, resource.id),
      });
    } else if (poolOf(resource.id) && resource.kind === "pool" && blocks.length > 0) {
      const { name, unit, group } = poolOf(resource.id)!;
      const mm = plan.day.sizes?.[resource.id];
      const factor = unitFactor(resource.id, resource.capacity, plan);
      lanes.push({
        ...filled(blocks, resource.capacity),
        id: resource.id,
        name,
        detail: [counted(resource.capacity / factor, unit), mm !== undefined && sizeText(mm)].filter(Boolean).join(", "),
        group,
        closed: [],
        changes: [],
      });
    }
  }
  for (const item of plan.day.items) {
    const blocks = perLane.get(`rest:${item.id}`);
    if (blocks)
      lanes.push({
        ...stacked(blocks),
        id: `rest:${item.id}`,
        name: item.name,
        detail: "",
        group: RESTING,
        closed: [],
        changes: [],
      });
  }
  const order: Lane["group"][] = ["Hands", "Heat", "Machines and cold", RESTING];
  lanes.sort((a, b) => order.indexOf(a.group) - order.indexOf(b.group));

  const ofCooks = new Set(cooks.map((c) => c.id));
  const busy = lanes.filter((l) => ofCooks.has(l.id)).flatMap((l) => l.blocks.map((b) => [b.start - 10, b.end + 10] as const));
  return { lanes, targets, from, to, busy: [...busy, ...targets.map((t) => [t.minute - 5, t.minute + 20] as const)] };
}

/** Amounts of some pools are multiplied to whole numbers; this takes that back for display. */
function unitFactor(id: string, capacity: number, { day }: Plan): number {
  return id === "fridge-shelf" ? Math.max(1, capacity / (day.fridgePlaces ?? capacity)) : 1;
}

/** Blocks that overlap stand in rows below each other. */
function stacked(blocks: readonly Omit<Block, "row">[]): { rows: number; blocks: Block[] } {
  const ends: number[] = [];
  const placed = [...blocks]
    .sort((a, b) => a.start - b.start || b.end - a.end)
    .map((block): Block => {
      const free = ends.findIndex((end) => end <= block.start);
      const row = free >= 0 ? free : ends.length;
      ends[row] = Math.max(block.end, block.start + 1);
      return { ...block, row };
    });
  return { rows: Math.max(1, ends.length), blocks: placed };
}

/** Blocks as high as what they take of a lane, from the bottom up: the lane fills. `row` is the first unit taken. */
function filled(blocks: readonly Omit<Block, "row">[], units: number): { rows: number; units: number; blocks: Block[] } {
  const placed: Block[] = [];
  for (const block of [...blocks].sort((a, b) => a.start - b.start || b.amount - a.amount)) {
    const beside = placed.filter((other) => other.start < block.end && block.start < other.end);
    const taken = (unit: number) => beside.some((other) => other.row <= unit && unit < other.row + other.amount);
    let row = 0;
    while (row + block.amount < units && Array.from({ length: block.amount }, (_, k) => row + k).some(taken)) row++;
    placed.push({ ...block, row });
  }
  return { rows: 1, units, blocks: placed };
}

function gaps(hours: readonly (readonly [number, number, number])[], from: number, to: number): (readonly [number, number])[] {
  const closed: (readonly [number, number])[] = [];
  let at = from;
  for (const [start, end] of hours) {
    if (start > at) closed.push([at, Math.min(start, to)]);
    at = Math.max(at, end);
  }
  if (at < to) closed.push([at, to]);
  return closed.filter(([a, b]) => a < b);
}

/** When a chamber is switched on and when it changes its setting, read from its loads. */
function changesOf(plan: Plan, chamberId: string): Lane["changes"] {
  const chamber = plan.problem.resources.find((r) => r.id === chamberId);
  if (chamber?.kind !== "chamber") return [];
  const placed = new Map(plan.solution.tasks.map((task) => [task.id, task]));
  const loads = plan.problem.tasks
    .flatMap((task) =>
      task.uses.flatMap((use, u) =>
        placed.get(task.id)?.taken[u] === chamberId ? [{ ...placed.get(task.id)!, setting: use.setting! }] : [],
      ),
    )
    .sort((a, b) => a.start - b.start);
  const changes: Change[] = [];
  let setting = chamber.start;
  let end = 0;
  for (const load of loads) {
    if (load.setting !== setting) {
      const rise = load.setting - setting;
      const minutes = Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool));
      changes.push({
        start: Math.max(end, load.start - minutes),
        end: load.start,
        rises: rise > 0,
        toC: load.setting,
      });
      setting = load.setting;
    }
    end = Math.max(end, load.end);
  }
  return changes;
}
