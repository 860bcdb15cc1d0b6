import type { BesideAmount } from "@/core/gathering/beside";
import { besideItem } from "@/core/plan/expand/beside-tasks";
import type { Plan } from "@/core/plan/schema";
import { piecesText } from "@/core/plan/task-text";
import { counted } from "@/core/shared/words";

/** Whom a dip, a drink or a side is for: "55 pieces", "17 guests". */
export const besideFor = ({ of, count }: Pick<BesideAmount, "of" | "count">): string =>
  of.per === "piece" ? piecesText(count) : counted(count, "guest");

/** When its first work begins, min; undefined where a plan has none of it. */
export function besideStart({ solution, tasks }: Pick<Plan, "solution" | "tasks">, id: string): number | undefined {
  const own = solution.tasks.filter((task) => tasks[task.id]?.item === besideItem(id));
  return own.length === 0 ? undefined : Math.min(...own.map(({ start }) => start));
}
