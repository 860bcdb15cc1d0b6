"use server";
import { z } from "zod";
import { PantrySchema } from "@/core/batching/shopping-list";
import { GatheringSchema } from "@/core/gathering/schema";
import { keptPlanIssues } from "@/core/plan/check-kept";
import { KEPT_PLAN_DOCUMENT } from "@/core/plan/kept-plan";
import { fail, failWith, ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { pantryRepository } from "@/db/pantry";
import { planRepository } from "@/db/plans";
import { outcome } from "../../outcome";

const Revision = z.int().min(1);

/**
 * Saves a gathering as it stands in the form, on from the revision that the form began with. Issues: those of its schema;
 * `conflict` where it was saved elsewhere since, with what stands now; `failed`.
 */
export async function saveGathering(input: unknown, from: unknown): Promise<Result<{ revision: number }>> {
  const parsed = parseWith(GatheringSchema, input);
  if (!parsed.ok) return parsed;
  const revision = parseWith(Revision, from);
  if (!revision.ok) return revision;
  return outcome(() =>
    gatheringRepository(database()).save(parsed.value, { savedAt: new Date().toISOString(), from: revision.value }),
  );
}

/** Keeps a plan that was shown to the cook, with all it was made from, once it is proven to be one. */
export async function savePlan(input: unknown): Promise<Result<{ id: number }>> {
  const parsed = parseWith(KEPT_PLAN_DOCUMENT.schema, input);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    const issues = keptPlanIssues(parsed.value);
    if (issues.length > 0) return failWith(issues);
    const { id } = parsed.value.request.gathering;
    const db = database();
    if (!gatheringRepository(db).isThere(id))
      return fail({ code: "unknown", path: ["request", "gathering", "id"], got: id, wanted: "a gathering that is still there" });
    return ok({ id: planRepository(db).save(id, parsed.value, new Date().toISOString()) });
  });
}

/** Keeps what the cook has of one ingredient and how it is sold. */
export async function savePantry(input: unknown): Promise<Result<{ ingredient: string }>> {
  const parsed = parseWith(PantrySchema, input);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    pantryRepository(database()).save(parsed.value);
    return ok({ ingredient: parsed.value.ingredient });
  });
}
