"use server";
import { PantrySchema } from "@/core/batching/shopping-list";
import { GatheringSchema } from "@/core/gathering/schema";
import { fail, ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { pantryRepository } from "@/db/pantry";
import { outcome } from "../../outcome";
import { Revision } from "../../revision";
import { keepPlan } from "./keep-plan";
import { pieces, PieceSchema } from "./pieces";

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

/** Takes a plan piece by piece, and keeps it once it is whole. Issues: those of a piece; of the plan; `failed`. */
export async function savePlanPiece(input: unknown): Promise<Result<{ id: number } | undefined>> {
  const piece = parseWith(PieceSchema, input);
  if (!piece.ok) return piece;
  const whole = pieces().add(piece.value);
  if (!whole.ok) return whole;
  if (whole.value === undefined) return ok(undefined);
  try {
    return keepPlan(JSON.parse(whole.value));
  } catch {
    return fail({ code: "unreadable", path: ["text"], got: whole.value.slice(0, 40), wanted: "a plan as JSON" });
  }
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
