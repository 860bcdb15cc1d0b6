import { and, desc, eq, isNull } from "drizzle-orm";
import { KEPT_PLAN_DOCUMENT, type KeptPlan } from "@/core/plan/kept-plan";
import { readDocument } from "@/core/shared/documents";
import { wallMinute } from "@/core/shared/clock";
import type { Db } from "./database";
import { parsedJson } from "./documents";
import { planReferences, plans } from "./schema";

/** A plan that was accepted, with all it was made from. */
export interface StoredPlan extends KeptPlan {
  readonly id: number;
  readonly savedAt: string;
}

/** What the list of gatherings says of a plan, from columns alone. Wall-clock minutes from `origin`. */
export interface PlanGlance {
  readonly origin: string;
  readonly firstStart: number;
  readonly lastEnd: number;
  readonly cost: number;
  readonly status: "optimal" | "feasible";
}

/** Older accepted plans that are kept for each gathering, beside those that something refers to. */
const KEPT = 5;

/** The plan of a row with all it was made from; undefined where it cannot be read. */
export function keptPlanIn(row: typeof plans.$inferSelect): KeptPlan | undefined {
  const kept = readDocument(KEPT_PLAN_DOCUMENT, row.schemaVersion, {
    request: parsedJson(row.request),
    plan: parsedJson(row.plan),
    search: row.cutOff ? "cut-off" : "ended",
  });
  return kept.ok ? kept.value : undefined;
}

export const planRepository = (db: Db) => ({
  latest(gatheringId: string): StoredPlan | undefined {
    const row = db.select().from(plans).where(eq(plans.gatheringId, gatheringId)).orderBy(desc(plans.id)).limit(1).all().at(0);
    // One that cannot be read is as good as none: a new one is looked for.
    const kept = row && keptPlanIn(row);
    return kept && { ...kept, id: row.id, savedAt: row.savedAt };
  },
  /** The newest plan of a gathering in short. */
  glance(gatheringId: string): PlanGlance | undefined {
    const { origin, firstStart, lastEnd, cost, status } = plans;
    return db
      .select({ origin, firstStart, lastEnd, cost, status })
      .from(plans)
      .where(eq(plans.gatheringId, gatheringId))
      .orderBy(desc(plans.id))
      .limit(1)
      .all()
      .at(0);
  },
  /** Keeps a plan with a timetable. @returns its id */
  save(gatheringId: string, { request, plan, search }: KeptPlan, savedAt: string): number {
    const { status, tasks, cost } = plan.solution;
    if (status === "infeasible") throw new Error("only a plan with a timetable is kept");
    return db.transaction((tx) => {
      const [{ id }] = tx
        .insert(plans)
        .values({
          gatheringId,
          schemaVersion: KEPT_PLAN_DOCUMENT.version,
          status,
          cutOff: search === "cut-off",
          cost,
          origin: plan.origin,
          firstStart: wallMinute(
            tasks.reduce((first, task) => Math.min(first, task.start), Infinity),
            plan.clockChanges,
          ),
          lastEnd: wallMinute(
            tasks.reduce((last, task) => Math.max(last, task.end), 0),
            plan.clockChanges,
          ),
          request: JSON.stringify(request),
          plan: JSON.stringify(plan),
          savedAt,
        })
        .returning({ id: plans.id })
        .all();
      const old = tx
        .select({ id: plans.id })
        .from(plans)
        .leftJoin(planReferences, eq(planReferences.planId, plans.id))
        .where(and(eq(plans.gatheringId, gatheringId), isNull(planReferences.planId)))
        .orderBy(desc(plans.id))
        .all()
        .slice(KEPT);
      for (const plan of old) tx.delete(plans).where(eq(plans.id, plan.id)).run();
      return id;
    });
  },
  /** Says that something refers to a plan: it is kept from then on. */
  refer(planId: number, kind: string, reference: string): void {
    db.insert(planReferences).values({ planId, kind, reference }).onConflictDoNothing().run();
  },
});
