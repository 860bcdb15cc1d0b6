import { gatheringIssues } from "../gathering/check";
import { itemIssues } from "../item/check";
import { kitchenIssues } from "../kitchen/check";
import type { Issue } from "../shared/issue";
import type { PlanRequest } from "./request";

/** What the schema cannot see: references between items, kitchen and gathering, and what contradicts itself. */
export function requestIssues(request: PlanRequest): Issue[] {
  return [...itemIssues(request), ...kitchenIssues(request), ...gatheringIssues(request)];
}
