"use server";
import { z } from "zod";
import type { Plan } from "@/core/plan/plan";
import { GatheringSchema, RequestSchema } from "@/core/plan/request";
import { SolutionSchema } from "@/core/schedule/solution";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { planRepository } from "@/db/plans";

/** Saves a gathering as it stands in the form; nothing is written when it breaks its schema. */
export async function saveGathering(input: unknown): Promise<{ ok: boolean }> {
  const parsed = parseWith(GatheringSchema, input);
  if (!parsed.ok) return { ok: false };
  const repository = gatheringRepository(database());
  const stored = repository.find(parsed.value.id);
  if (!stored) return { ok: false };
  repository.save(parsed.value, stored.kitchenId, new Date().toISOString());
  return { ok: true };
}

/** A plan as the browser sends it back. What the core computed is checked as far as it is read again. */
const GoodPlanSchema = z.object({
  request: RequestSchema,
  plan: z.object({ format: z.literal("unisynth-plan/1"), solution: SolutionSchema }).loose(),
});

/** Keeps a plan that was shown to the cook, with all it was made from. */
export async function savePlan(input: unknown): Promise<{ ok: boolean }> {
  const parsed = parseWith(GoodPlanSchema, input);
  if (!parsed.ok || parsed.value.plan.solution.status === "infeasible") return { ok: false };
  const { request, plan } = parsed.value;
  if (!gatheringRepository(database()).find(request.gathering.id)) return { ok: false };
  planRepository(database()).save(request.gathering.id, request, plan as unknown as Plan, new Date().toISOString());
  return { ok: true };
}
