import { failWith, ok, type Result } from "../shared/issue";
import { parseWith } from "../shared/parse";
import { RequestSchema } from "./request";
import { gatheringIssues } from "../gathering/check";
import { equipmentNamed, itemIssues } from "../item/check";
import { attendanceIssues, kitchenFor } from "../gathering/who-cooks";
import { kitchenIssues } from "../kitchen/check";
import type { Issue } from "../shared/issue";
import type { PlanRequest } from "./request";

/** What the schema cannot see: references between items, kitchen and gathering, and what contradicts itself. */
export function requestIssues(request: PlanRequest): Issue[] {
  const { items, kitchen } = request;
  const named = new Set(items.flatMap(equipmentNamed));
  return [...itemIssues(request), ...kitchenIssues({ kitchen, named }), ...gatheringIssues(request)];
}

/** Reads a request, with the cooks who are there on the day, and checks what its fields say about each other. */
export function parseRequest(input: unknown): Result<PlanRequest> {
  const parsed = parseWith(RequestSchema, input);
  if (!parsed.ok) return parsed;
  const usual = parsed.value.usual ?? parsed.value.kitchen;
  const request = { ...parsed.value, usual, kitchen: kitchenFor(parsed.value.gathering, usual) };
  const issues: Issue[] = [...attendanceIssues(request.gathering, usual), ...requestIssues(request)];
  return issues.length > 0 ? failWith(issues) : ok(request);
}
