"use server";
import { momentOf } from "@/core/run/clock";
import { EventSchema } from "@/core/run/events";
import { takenIntoItem, takenIntoKitchen, takeoverKey, TakeoverSchema, type Takeover } from "@/core/run/take-over";
import { z } from "zod";
import { fail, ok, type Result } from "@/core/shared/issue";
import { id as Id } from "@/core/shared/fields";
import { parseWith } from "@/core/shared/parse";
import { database, type Db } from "@/db/database";
import { kitchenRepository } from "@/db/kitchens";
import { planRepository } from "@/db/plans";
import { runRepository } from "@/db/runs";
import { zoneHere } from "@/ui/kit/zone";
import { newId } from "../new-id";
import { changeItem } from "../items/store-item";
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

const TakeOverSchema = z.object({ run: Id, takeover: TakeoverSchema });

/**
 * Keeps a figure of a day in its item or kitchen, as the next version, once a day. Issues: those of what came and of what it would make;
 * `unknown` run, item or kitchen; `failed`.
 */
export async function takeOver(input: unknown): Promise<Result<{ revision: number }>> {
  const parsed = parseWith(TakeOverSchema, input);
  if (!parsed.ok) return parsed;
  const { run: id, takeover } = parsed.value;
  return outcome(() => {
    const db = database();
    const runs = runRepository(db);
    const run = runs.find(id);
    const kept = run && runs.planOf(id);
    if (!kept || run.shiftMs !== 0)
      return fail({ code: "unknown", path: ["run"], got: id, wanted: "the id of a day that was cooked, not practised" });
    const what = takeoverKey(takeover);
    const now = new Date().toISOString();
    return db.transaction(() => {
      const before = runs.after(id, 0).find(({ event }) => event.kind === "took-over" && event.what === what)?.event;
      if (before?.kind === "took-over") return ok({ revision: before.revision });
      const saved =
        takeover.code === "room"
          ? intoKitchen(db, kept.plan.day.kitchen.id, takeover)
          : changeItem(takeover.item, (item) => takenIntoItem(item, takeover));
      if (!saved.ok) return saved;
      const { revision } = saved.value;
      runs.tell(id, [{ kind: "took-over", what, revision, id: `took-over ${what}`, device: "server", at: now }], now);
      return ok({ revision });
    });
  });
}

function intoKitchen(db: Db, id: string, takeover: Extract<Takeover, { code: "room" }>): Result<{ revision: number }> {
  const kitchens = kitchenRepository(db);
  const found = kitchens.find(id);
  if (!found) return fail({ code: "unknown", path: ["kitchen"], got: id, wanted: "the id of a kitchen" });
  return found.ok ? kitchens.save(takenIntoKitchen(found.value.document, takeover), { from: found.value.revision }) : found;
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
