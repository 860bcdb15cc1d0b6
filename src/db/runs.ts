import { and, asc, desc, eq, gt, max } from "drizzle-orm";
import type { KeptPlan } from "@/core/plan/kept-plan";
import { EventSchema, type RunEvent } from "@/core/run/events";
import { parseKnown } from "@/core/shared/parse";
import type { Db } from "./database";
import { parsedJson } from "./documents";
import { keptPlanIn } from "./plans";
import { planReferences, plans, runEvents, runs } from "./schema";

export interface StoredRun {
  readonly id: string;
  readonly gatheringId: string;
  readonly startedAt: string;
  /** How far the clock of the plan is ahead of the one on the wall, ms: 0 but where a plan is practised. */
  readonly shiftMs: number;
}

/** An event with its place in the order in which it came in. */
export interface Received {
  readonly sequence: number;
  readonly event: RunEvent;
}

export const runRepository = (db: Db) => ({
  /** Begins to cook a kept plan, which stays as long as the run does. */
  begin(run: StoredRun & { readonly planId: number }): void {
    db.transaction((tx) => {
      tx.insert(runs).values(run).run();
      tx.insert(planReferences).values({ planId: run.planId, kind: "run", reference: run.id }).onConflictDoNothing().run();
    });
  },
  /** Runs of a gathering, the newest first. */
  of: (gatheringId: string): StoredRun[] =>
    db.select().from(runs).where(eq(runs.gatheringId, gatheringId)).orderBy(desc(runs.startedAt)).all(),
  find: (id: string): StoredRun | undefined => db.select().from(runs).where(eq(runs.id, id)).all().at(0),
  /** The plan that a run cooks, with all it was made from; undefined where it cannot be read. */
  planOf(id: string): KeptPlan | undefined {
    const row = db
      .select({ plan: plans })
      .from(runs)
      .innerJoin(plans, eq(plans.id, runs.planId))
      .where(eq(runs.id, id))
      .all()
      .at(0)?.plan;
    return row && keptPlanIn(row);
  },
  /** Keeps what happened, each event once; all of them or none. */
  tell(runId: string, events: readonly RunEvent[], receivedAt: string): void {
    db.transaction(
      (tx) => {
        const last = tx
          .select({ last: max(runEvents.sequence) })
          .from(runEvents)
          .where(eq(runEvents.runId, runId))
          .all()[0].last;
        let sequence = last ?? 0;
        for (const event of events) {
          const { id, at, device, kind } = event;
          const task = "task" in event ? event.task : undefined;
          const { changes } = tx
            .insert(runEvents)
            .values({
              runId,
              sequence: sequence + 1,
              eventId: id,
              at,
              receivedAt,
              device,
              kind,
              task,
              data: JSON.stringify(event),
            })
            .onConflictDoNothing({ target: [runEvents.runId, runEvents.eventId] })
            .run();
          sequence += changes;
        }
      },
      { behavior: "immediate" },
    );
  },
  /** What came in after a place in the order. An event that cannot be read is left out: it stands in nobody's way. */
  after: (runId: string, sequence: number): Received[] =>
    db
      .select({ sequence: runEvents.sequence, data: runEvents.data })
      .from(runEvents)
      .where(and(eq(runEvents.runId, runId), gt(runEvents.sequence, sequence)))
      .orderBy(asc(runEvents.sequence))
      .all()
      .flatMap((row) => {
        const event = parseKnown(EventSchema, parsedJson(row.data));
        return event.ok ? [{ sequence: row.sequence, event: event.value }] : [];
      }),
});
