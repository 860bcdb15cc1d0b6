import { desc, eq } from "drizzle-orm";
import { KeptPlanSchema } from "@/core/plan/kept-plan";
import type { Plan } from "@/core/plan/plan";
import type { PlanRequest } from "@/core/plan/request";
import type { Db } from "./database";
import { plans } from "./schema";

/** A plan that was accepted, with all it was made from. */
export interface StoredPlan {
  readonly request: PlanRequest;
  readonly plan: Plan;
  readonly savedAt: string;
}

/** Older accepted plans that are kept for each gathering. */
const KEPT = 5;

export const planRepository = (db: Db) => ({
  latest(gatheringId: string): StoredPlan | undefined {
    const row = db.select().from(plans).where(eq(plans.gatheringId, gatheringId)).orderBy(desc(plans.id)).limit(1).all()[0];
    if (!row) return undefined;
    const stored = KeptPlanSchema.safeParse({ request: JSON.parse(row.request), plan: JSON.parse(row.plan) });
    // One that an older version wrote and this one cannot read is as good as none: a new one is looked for.
    return stored.success ? { request: stored.data.request, plan: stored.data.plan, savedAt: row.savedAt } : undefined;
  },
  save(gatheringId: string, request: PlanRequest, plan: Plan, savedAt: string): void {
    if (plan.solution.status === "infeasible") throw new Error("only a plan with a timetable is kept");
    const status = plan.solution.status;
    db.transaction((tx) => {
      tx.insert(plans)
        .values({ gatheringId, status, request: JSON.stringify(request), plan: JSON.stringify(plan), savedAt })
        .run();
      const old = tx
        .select({ id: plans.id })
        .from(plans)
        .where(eq(plans.gatheringId, gatheringId))
        .orderBy(desc(plans.id))
        .all()
        .slice(KEPT);
      for (const { id } of old) tx.delete(plans).where(eq(plans.id, id)).run();
    });
  },
});
