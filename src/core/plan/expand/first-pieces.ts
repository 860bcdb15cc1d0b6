import type { Demand } from "../../gathering/demands";
import type { Gathering } from "../../gathering/schema";
import type { Obstacle } from "../../batching/obstacle";
import type { Work } from "../../batching/work";
import { isHeat } from "../../item/step";
import { isCarrier } from "../../kitchen/capacity";
import { overlaps, sizeOf, type Range } from "../../shared/range";
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
    const minutes = leastMinutes(model);
    const onePiece: Range = [from, from + 1];
    // A tray that waits goes with its load, and loads are in an order of their own.
    const before = model.after!.filter(({ task }) => {
      const work = byWork.get(task);
      return work && !loads.includes(work) && overlaps(work.range, onePiece);
    });
    for (const { task, max } of before) {
      const mayWaitMin = waitsFor(byId.get(task)!, max);
      if (mayWaitMin < minutes)
        cannotWait({ item, kind: byWork.get(task)!.step.kind, mayWaitMin: Math.round(mayWaitMin), mustWaitMin: minutes });
    }
    tasks.push({
      id,
      label: `First piece: ${model.label}`,
      duration: model.duration,
      uses: usesOfOne(model, poolUses),
      after: before.map((link) => goesFirst(byId.get(link.task)!, link, minutes)),
    });
    for (const load of loads) byId.get(load.id)!.after!.push({ task: id, min: 0 });
    const about = infoOf.get(first.id)!;
    if (about.what.code !== "step") continue;
    const { kind, title, part, settingC, panMm } = about.what;
    info.set(id, {
      ...about,
      pieces: 1,
      range: onePiece,
      what: {
        code: "step",
        kind,
        ...(title !== undefined && { title }),
        part,
        first: true,
        ...(settingC !== undefined && { settingC }),
        ...(panMm !== undefined && { panMm }),
      },
    });
  }
  return { tasks, poolUses, info };
}

type LinkInput = NonNullable<TaskInput["after"]>[number];

/** How long the pieces of a task may wait for their heat, min: a rest that it ends may go on. */
function waitsFor(before: TaskInput, max: number | undefined): number {
  const { duration } = before;
  return max === 0 && Array.isArray(duration) ? duration[1] - duration[0] : (max ?? Infinity);
}

/** From a task to the one piece of it that goes first: while it is in its heat, the rest of the lot goes on resting. */
function goesFirst(before: TaskInput, { task, min, max }: LinkInput, minutes: number): LinkInput {
  const { duration } = before;
  if (max !== 0 || !Array.isArray(duration)) return { task, min: Math.max(0, min ?? 0) };
  const [least, most] = duration;
  before.duration = [Math.min(most, least + minutes), most];
  return { task, min: -minutes };
}

/** What one piece takes of what its load takes; amounts of pools that are not whole yet go to `poolUses`. */
const usesOfOne = ({ uses = [] }: TaskInput, poolUses: PoolUse[]): EquipmentUse[] =>
  uses.flatMap((use: EquipmentUse): EquipmentUse[] => {
    const own = { ...use };
    if (use.fraction === undefined || typeof use.resource !== "string") return [own];
    if (isOnIt(use.resource)) return [];
    poolUses.push({ use: own, pool: use.resource });
    return [own];
  });

/** What pieces lie on, and a tier of a stack: one piece finds a place. */
const isOnIt = (pool: string): boolean => isCarrier(pool.replace(/-\d+$/, "")) || pool.startsWith("steamer-tier");
