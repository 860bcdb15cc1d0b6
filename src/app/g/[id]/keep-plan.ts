import { keptPlanIssues } from "@/core/plan/check-kept";
import { KEPT_PLAN_DOCUMENT } from "@/core/plan/kept-plan";
import { fail, failWith, ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { planRepository } from "@/db/plans";
import { outcome } from "../../outcome";

/** Keeps a plan that was shown to the cook, with all it was made from, once it is proven to be one. */
export async function keepPlan(input: unknown): Promise<Result<{ id: number }>> {
  const parsed = parseWith(KEPT_PLAN_DOCUMENT.schema, input);
  if (!parsed.ok) return parsed;
  const issues = keptPlanIssues(parsed.value);
  if (issues.length > 0) return failWith(issues);
  const { id } = parsed.value.request.gathering;
  return outcome(() => {
    const db = database();
    if (!gatheringRepository(db).isThere(id))
      return fail({ code: "unknown", path: ["request", "gathering", "id"], got: id, wanted: "a gathering that is still there" });
    return ok({ id: planRepository(db).save(id, parsed.value, new Date().toISOString()) });
  });
}
