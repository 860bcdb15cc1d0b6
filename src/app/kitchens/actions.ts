"use server";
import { revalidatePath } from "next/cache";
import { z } from "zod";
import { equipmentNamed } from "@/core/item/check";
import { ownKitchenIssues } from "@/core/kitchen/check";
import { kitchenAgain, plainKitchen } from "@/core/kitchen/plain";
import { KitchenSchema } from "@/core/kitchen/schema";
import { id as Id } from "@/core/shared/fields";
import { fail, failWith, ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { newId } from "../new-id";
import { outcome } from "../outcome";
import { Revision } from "../revision";

const unknownKitchen = (id: unknown) => fail({ code: "unknown", path: ["id"], got: id, wanted: "the id of a kitchen" });

/**
 * Saves a kitchen as it stands, on from the revision that its page began with. Issues: those of its schema and of what does not
 * fit together; `conflict`; `failed`.
 */
export async function saveKitchen(input: unknown, from: unknown): Promise<Result<{ revision: number }>> {
  const parsed = parseWith(KitchenSchema, input);
  if (!parsed.ok) return parsed;
  const revision = parseWith(Revision, from);
  if (!revision.ok) return revision;
  return outcome(() => {
    const db = database();
    const named = new Set(itemRepository(db).all({ archived: true }).flatMap(equipmentNamed));
    const issues = ownKitchenIssues(parsed.value, named);
    if (issues.length > 0) return failWith(issues);
    return kitchenRepository(db).save(parsed.value, { from: revision.value });
  });
}

const NewSchema = z.object({ name: z.string().trim().min(1, { error: "a name" }).max(120), like: Id.optional() });

/** Makes a kitchen: what most homes have, or a copy of another. */
export async function createKitchen(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(NewSchema, input);
  if (!parsed.ok) return parsed;
  const { name, like } = parsed.value;
  return outcome(() => {
    const repository = kitchenRepository(database());
    const found = like === undefined ? undefined : repository.find(like);
    if (like !== undefined && !found) return unknownKitchen(like);
    if (found && !found.ok) return found;
    const id = newId(name);
    revalidatePath("/kitchens");
    return repository.save(found ? kitchenAgain(found.value.document, id, name) : plainKitchen(id, name), { from: 0 });
  });
}

/** Puts a kitchen away, or brings it back. Gatherings that are held in it keep it. */
export async function archiveKitchen(id: unknown, away: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(Id, id);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    const repository = kitchenRepository(database());
    if (!repository.find(parsed.value)) return unknownKitchen(id);
    repository.archive(parsed.value, away === true ? new Date().toISOString() : null);
    revalidatePath("/kitchens");
    return ok({ id: parsed.value });
  });
}
