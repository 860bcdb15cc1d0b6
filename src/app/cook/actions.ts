"use server";
import { momentOf } from "@/core/run/clock";
import { EventSchema } from "@/core/run/events";
import { z } from "zod";
import { fail, ok, type Result } from "@/core/shared/issue";
import { id as Id } from "@/core/shared/fields";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { planRepository } from "@/db/plans";
import { runRepository } from "@/db/runs";
import { zoneHere } from "@/ui/kit/zone";
import { newId } from "../new-id";
import { outcome } from "../outcome";

const SAME_COST = 1e-6;

/** `cost`: of the plan that the cook sees, so that no other is begun. */
const BeginSchema = z.object({ gathering: Id, practice: z.boolean(), cost: z.number() });

/**
 * Begins to cook the plan that a gathering keeps. Practised, its clock begins at the plan's first step. Issues: those of what came;
 * `unknown` where there is no plan; `failed`.
 */
export async function beginRun(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(BeginSchema, input);
  if (!parsed.ok) return parsed;
  const { gathering, practice, cost } = parsed.value;
  return outcome(() => {
    const db = database();
    const kept = planRepository(db).latest(gathering);
    if (!kept || Math.abs(kept.plan.solution.cost - cost) > SAME_COST)
      return fail({ code: "unknown", path: ["gathering"], got: gathering, wanted: "one whose plan, as it is shown, was kept" });
    const now = new Date();
    const id = newId(gathering);
    const first = Math.min(...kept.plan.solution.tasks.map(({ start }) => start));
    const shiftMs = practice ? Date.parse(momentOf(kept.plan, first, zoneHere())) - now.getTime() : 0;
    runRepository(db).begin({ id, gatheringId: gathering, planId: kept.id, startedAt: now.toISOString(), shiftMs });
    return ok({ id });
  });
}

const TellSchema = z.object({ run: Id, events: z.array(EventSchema).min(1).max(500) });

/** Keeps what happened. Issues: those of an event; `unknown` run; `failed`. What is answered as kept is kept. */
export async function tellRun(input: unknown): Promise<Result<{ kept: number }>> {
  const parsed = parseWith(TellSchema, input);
  if (!parsed.ok) return parsed;
  const { run, events } = parsed.value;
  return outcome(() => {
    const repository = runRepository(database());
    if (!repository.find(run)) return fail({ code: "unknown", path: ["run"], got: run, wanted: "the id of a run" });
    repository.tell(run, events, new Date().toISOString());
    return ok({ kept: events.length });
  });
}
