import type { Demand } from "../../gathering/demands";
import type { Gathering } from "../../gathering/schema";
import type { Obstacle } from "../../batching/obstacle";
import type { Work } from "../../batching/work";
import { isHeat } from "../../item/step";
import { isCarrier } from "../../kitchen/capacity";
import { overlaps, sizeOf } from "../../shared/range";
import type { TaskInfo } from "../schema";
import type { PoolUse } from "./task-builder";
import { leastMinutes, type TaskInput } from "./task-input";
import type { EquipmentUse } from "./uses";

interface FirstPieces {
  readonly tasks: readonly TaskInput[];
  readonly poolUses: readonly PoolUse[];
  readonly info: ReadonlyMap<string, TaskInfo>;
}

/** Of which demands one piece goes into the heat before all others, as the entries of the waves say. */
export const wantsFirst =
  ({ waves }: Pick<Gathering, "waves">) =>
  (demand: Demand): boolean =>
    waves.some(({ id, items }) => id === demand.for && items.some((one) => one.firstPiece && one.recipe === demand.item.id));

/**
 * One piece of the first load by itself, in its heat before every load of that step: as long in there as they, with the same hands.
 * It holds no tray or tier of its own. The loads are made to wait for it.
 * @param built tasks of the works, with their links
 * @param infoOf what each of them is
 * @param cannotWait told where pieces may not wait for so long before their heat
 */
export function firstPieces(
  works: readonly Work[],
  built: readonly TaskInput[],
  infoOf: ReadonlyMap<string, TaskInfo>,
  wanted: (demand: Demand) => boolean,
  cannotWait: (why: Omit<Extract<Obstacle, { code: "cannot-wait" }>, "code">) => void,
): FirstPieces {
  const byId = new Map(built.map((task) => [task.id, task]));
  const byWork = new Map(works.map((work) => [work.id, work]));
  const tasks: TaskInput[] = [];
  const poolUses: PoolUse[] = [];
  const info = new Map<string, TaskInfo>();
  const heats = works.filter(({ step, demands }) => isHeat(step) && step.part === "piece" && demands.some(wanted));
  for (const item of new Set(heats.map((work) => work.item.id))) {
    const own = heats.filter((work) => work.item.id === item).sort((a, b) => a.range[0] - b.range[0]);
    // Of several heats of an item the last makes it what it is.
    const last = own[0].demands[0].steps.findLast((step) => own.some((work) => work.step.id === step.id));
    const loads = own.filter(({ step }) => step.id === last?.id);
    const [first] = loads;
    // Where there is one load, nothing is left for its first piece to tell of.
    if (loads.length < 2 || sizeOf(first.range) < 2) continue;
    const model = byId.get(first.id)!;
    const [from] = first.range;
    const id = `${item}/${first.step.id}/${from}-${from + 1}`;
    const uses = (model.uses ?? []).flatMap((use: EquipmentUse): EquipmentUse[] => {
      const { resource, fraction } = use;
      if (fraction === undefined || typeof resource !== "string") return [{ ...use }];
      if (isOnIt(resource)) return [];
      const own = { ...use };
      poolUses.push({ use: own, pool: resource });
      return [own];
    });
    const minutes = leastMinutes(model);
    const after = model.after!.flatMap(({ task, min, max }) => {
      const before = byId.get(task)!;
      const work = byWork.get(task);
      // A tray that waits goes with its load, and loads are in the order of their own.
      if (!work || loads.includes(work) || !overlaps(work.range, [from, from + 1])) return [];
      const isTied = max === 0 && Array.isArray(before.duration);
      const [least, most] = isTied ? (before.duration as readonly [number, number]) : [0, max ?? Infinity];
      if (most - least < minutes)
        cannotWait({ item, kind: work.step.kind, mayWaitMin: Math.round(most - least), mustWaitMin: minutes });
      if (!isTied) return [{ task, min: Math.max(0, min ?? 0) }];
      // The rest of the lot goes on while its first piece is in: the piece comes out of it so much sooner.
      before.duration = [Math.min(most, least + minutes), most];
      return [{ task, min: -minutes }];
    });
    tasks.push({
      id,
      label: `First piece: ${model.label}`,
      duration: model.duration,
      uses,
      after,
    });
    for (const load of loads) byId.get(load.id)!.after!.push({ task: id, min: 0 });
    const about = infoOf.get(first.id)!;
    if (about.what.code !== "step") continue;
    const { kind, part, settingC, panMm } = about.what;
    info.set(id, {
      ...about,
      pieces: 1,
      range: [from, from + 1],
      what: {
        code: "step",
        kind,
        part,
        first: true,
        ...(settingC !== undefined && { settingC }),
        ...(panMm !== undefined && { panMm }),
      },
    });
  }
  return { tasks, poolUses, info };
}

/** What pieces lie on, and a tier of a stack: one piece finds a place. */
const isOnIt = (pool: string): boolean => isCarrier(pool.replace(/-\d+$/, "")) || pool.startsWith("steamer-tier");
