import { issueText } from "@/core/shared/issue-text";
import type { Checked } from "../plan/plan-state";

/** The sentence for a field, by its path in the request; undefined while the field is right. */
export function issueAt(checked: Checked, path: readonly (string | number)[], name: string): string | undefined {
  if (checked.ok) return undefined;
  const issue = checked.issues.find((i) => path.every((key, n) => i.path[n] === key));
  return issue && issueText(issue, name);
}
