import type { Issue } from "../shared/issue";
import { verify } from "../schedule/verify";
import type { KeptPlan } from "./kept-plan";
import { quantitiesOf } from "./quantities";
import { requestIssues } from "./request-check";

/**
 * Whether a plan that came from outside is one: its request holds together, it makes the pieces that the request asks
 * for, each task says what it is, and its timetable keeps every rule.
 * @returns the first faults; none where it may be kept
 */
export function keptPlanIssues({ request, plan }: KeptPlan): Issue[] {
  const wrong = requestIssues(request);
  if (wrong.length > 0) return wrong.map((issue) => ({ ...issue, path: ["request", ...issue.path] }));
  if (plan.solution.status === "infeasible")
    return [{ code: "inconsistent", path: ["plan", "solution", "status"], got: "infeasible", wanted: "a plan with a timetable" }];
  const pieces = (list: KeptPlan["plan"]["pieces"]) =>
    list.map((count) => [count.for, count.item, count.variant, ...count.range].join(" ")).sort();
  const asked = pieces([...quantitiesOf(request).pieces]);
  const made = pieces(plan.pieces);
  if (asked.join("; ") !== made.join("; "))
    return [{ code: "inconsistent", path: ["plan", "pieces"], got: made.length, wanted: "the pieces that its request asks for" }];
  const nameless = plan.problem.tasks.find(
    ({ id }) => !plan.tasks[id] || (plan.tasks[id].step !== null && !plan.steps[plan.tasks[id].as ?? ""]),
  );
  if (nameless)
    return [{ code: "inconsistent", path: ["plan", "tasks", nameless.id], got: null, wanted: "a step that the plan has" }];
  return verify(plan.problem, plan.solution)
    .slice(0, 1)
    .map(({ text }): Issue => ({
      code: "inconsistent",
      path: ["plan", "solution"],
      got: text,
      wanted: "a timetable that keeps every rule",
    }));
}
