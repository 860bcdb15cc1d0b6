import type { Work } from "../../batching/work";
import { equipmentWord, poolSize } from "../../kitchen/equipment";
import type { Kitchen } from "../../kitchen/schema";
import { sizeOf } from "../../shared/range";
import type { TaskInfo } from "../schema";
import { COST } from "./costs";
import type { PoolUse } from "./task-builder";
import type { TaskInput } from "./task-input";

/** What is washed before something else goes in. */
const WASHED = ["mixer", "pot", "lidded-pan", "worktop", "board"] as const;
/** It may stand dirty so long, min. */
const LONGEST = 720;

interface Washing {
  readonly tasks: readonly TaskInput[];
  readonly poolUses: readonly PoolUse[];
  readonly info: ReadonlyMap<string, TaskInfo>;
}

/**
 * Washing up between uses: where a kitchen says how long a pan, a pot, the mixer's bowl, the table or a board takes and several things go through it,
 * it stays taken after the last of each until somebody has washed it. Alike loads follow one another unwashed.
 * @param lastHandsAt minute until which somebody is there: what is dirty after that is washed by whoever stays
 */
export function washing(works: readonly Work[], kitchen: Kitchen, lastHandsAt: number): Washing {
  const tasks: TaskInput[] = [];
  const poolUses: PoolUse[] = [];
  const info = new Map<string, TaskInfo>();
  const cooks = kitchen.cooks.filter((cook) => cook.hours.length > 0).map((cook) => cook.id);
  const pools = WASHED.flatMap((id) => {
    const using = works.filter((work) => takes(work, id));
    return [...new Set(using.map((work) => poolOf(work, id)))].map((pool) => ({
      id,
      pool,
      using: using.filter((work) => poolOf(work, id) === pool),
    }));
  });
  for (const { id, pool, using } of pools) {
    const wash = Math.ceil((kitchen.equipment[id] as { washMin?: number } | undefined)?.washMin ?? 0);
    if (wash <= 0 || !poolSize(pool, kitchen)) continue;
    const kinds = new Map<string, Work[]>();
    for (const work of using) {
      const kind = `${work.item.id} ${work.step.part} ${work.demands.map((demand) => demand.resolved.filling).join()}`;
      kinds.set(kind, [...(kinds.get(kind) ?? []), work]);
    }
    if (kinds.size < 2) continue;
    for (const own of kinds.values()) {
      // The same stuff may go on in it: it is dirty for others after the last.
      const after = own.filter((work) => !own.some((next) => next.step.after.some((link) => link.step === work.step.id)));
      const last = after.at(-1)!;
      const by = Math.max(...last.demands.map((demand) => demand.by));
      const use = { resource: pool, fraction: 1 };
      poolUses.push({ use, pool });
      const task: TaskInput = {
        id: `${last.id}/wash-${pool}`,
        label: `Wash the ${equipmentWord(id)}`,
        duration: [wash, LONGEST],
        uses: [
          use,
          ...(cooks.length > 0 && lastHandsAt >= by + wash
            ? [{ resource: cooks.length === 1 ? cooks[0] : cooks, from: -wash, minutes: wash }]
            : []),
        ],
        after: [{ task: last.id, min: 0, max: 0 }],
        stretchCost: COST.wait,
      };
      tasks.push(task);
      info.set(task.id, {
        item: last.item.id,
        step: null,
        pieces: sizeOf(last.range),
        range: last.range,
        for: [...new Set(last.demands.map((demand) => demand.for))],
        what: { code: "wash", equipment: id },
        source: "plan",
      });
    }
  }
  return { tasks, poolUses, info };
}

/** The pool from which a work takes it: pans may be of several sizes. */
const poolOf = (work: Work, id: string): string =>
  [...Object.keys(work.sizes ?? {}), ...(work.into ?? [])].find((one) => one.startsWith(id)) ?? id;

const takes = ({ step, carrier }: Work, id: string): boolean =>
  id === "board" ? carrier === "board" : step.equipment.some((entry) => entry.id === id);
