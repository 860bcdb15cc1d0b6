import { z } from "zod";
import type { DocumentKind, Upcaster } from "../shared/documents";
import { ProblemSchema, type Problem } from "../schedule/problem";
import { SolutionSchema, type Solution } from "../schedule/solution";
import { assemble } from "./assemble";
import { expand } from "./expand/expand";
import { quantitiesOf, strategiesFor } from "./quantities";
import { RequestSchema } from "./request";
import { PlanSchema, type TaskInfo } from "./schema";

const KeptPlanSchema = z.object({
  request: RequestSchema,
  plan: PlanSchema,
  /** "cut-off": a better one was still looked for when it was kept. */
  search: z.enum(["ended", "cut-off"]).default("ended"),
});

const OldPlanSchema = z.object({
  problem: ProblemSchema,
  solution: SolutionSchema,
  tasks: z.record(
    z.string(),
    z.object({ item: z.string(), step: z.string().nullable(), range: z.tuple([z.int(), z.int()]), text: z.string() }),
  ),
});
type OldTasks = z.output<typeof OldPlanSchema>["tasks"];

const WAIT = "/wait";

/** Names of tasks today by those of version 1, which were positions; undefined where the tasks are not the same. */
function todaysNames(old: OldTasks, today: ReadonlyMap<string, TaskInfo>): Map<string, string> | undefined {
  const keyOf = (task: { item: string; step: string | null; range: readonly number[] }) =>
    `${task.item} ${task.step} ${task.range.join()}`;
  const byKey = new Map([...today].filter(([, info]) => info.step !== null).map(([id, info]) => [keyOf(info), id]));
  const names = new Map<string, string>();
  for (const [id, task] of Object.entries(old)) {
    const before = id.endsWith(WAIT) ? old[id.slice(0, -WAIT.length)] : undefined;
    const name = before ? byKey.get(keyOf(before)) : byKey.get(keyOf(task));
    if (name !== undefined) names.set(id, before ? name + WAIT : name);
    else if (today.has(id)) names.set(id, id);
    else return undefined;
  }
  return names.size === today.size && [...names.values()].every((name) => today.has(name)) ? names : undefined;
}

const renamedProblem = (problem: Problem, name: (id: string) => string): Problem => ({
  ...problem,
  tasks: problem.tasks.map((task) => ({
    ...task,
    id: name(task.id),
    after: task.after.map((link) => ({ ...link, task: name(link.task) })),
  })),
});
const renamedSolution = (solution: Solution, name: (id: string) => string): Solution => ({
  ...solution,
  tasks: solution.tasks.map((task) => ({ ...task, id: name(task.id) })),
});

/** Version 1 needed its request to be read, and named tasks by their position: the same timetable is put together anew. */
const standsByItself: Upcaster = (kept) => {
  const request = RequestSchema.safeParse(kept.request);
  const old = OldPlanSchema.safeParse(kept.plan);
  if (!request.success || !old.success) return kept;
  const q = quantitiesOf(request.data);
  for (const strategy of strategiesFor(q)) {
    const expansion = expand(request.data, q.days, q.demands, strategy, q.beside);
    const names = todaysNames(old.data.tasks, expansion.info);
    if (!names) continue;
    const name = (id: string) => names.get(id) ?? id;
    const { problem, solution } = old.data;
    return {
      ...kept,
      plan: assemble(request.data, q, expansion, renamedSolution(solution, name), renamedProblem(problem, name)),
    };
  }
  return kept;
};

/** A plan that is kept, with the request it was made from. */
export const KEPT_PLAN_DOCUMENT: DocumentKind<typeof KeptPlanSchema> = {
  schema: KeptPlanSchema,
  version: 2,
  upcasters: { 1: standsByItself },
};
export type KeptPlan = z.output<typeof KeptPlanSchema>;
