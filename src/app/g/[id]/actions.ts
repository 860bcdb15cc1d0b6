"use server";
import { KeptPlanSchema } from "@/core/plan/kept-plan";
import { GatheringSchema } from "@/core/gathering/schema";
import { PantrySchema } from "@/core/batching/shopping-list";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { pantryRepository } from "@/db/pantry";
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

/** Keeps a plan that was shown to the cook, with all it was made from. */
export async function savePlan(input: unknown): Promise<{ ok: boolean }> {
  const parsed = parseWith(KeptPlanSchema, input);
  if (!parsed.ok || parsed.value.plan.solution.status === "infeasible") return { ok: false };
  const { request, plan } = parsed.value;
  if (!gatheringRepository(database()).find(request.gathering.id)) return { ok: false };
  planRepository(database()).save(request.gathering.id, request, plan, new Date().toISOString());
  return { ok: true };
}

/** Keeps what the cook has of one ingredient and how it is sold. */
export async function savePantry(input: unknown): Promise<{ ok: boolean }> {
  const parsed = parseWith(PantrySchema, input);
  if (!parsed.ok) return { ok: false };
  pantryRepository(database()).save(parsed.value);
  return { ok: true };
}
