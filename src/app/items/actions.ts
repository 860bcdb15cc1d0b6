"use server";
import { revalidatePath } from "next/cache";
import { z } from "zod";
import { noteUsed } from "@/core/item/by-feel";
import { copyOf } from "@/core/item/recipe";
import { ItemSchema } from "@/core/item/schema";
import { itemIssues } from "@/core/item/check";
import { fail, ok, type Issues, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { itemRepository } from "@/db/items";

/** Saves an item as it stands on the desk; the answer is its id, or every issue to show. */
export async function saveItem(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(ItemSchema, input);
  if (!parsed.ok) return parsed;
  const issues = itemIssues({ items: [parsed.value] });
  if (issues.length > 0) return fail(...(issues as unknown as Issues));
  itemRepository(database()).save(parsed.value);
  revalidatePath("/items");
  return ok({ id: parsed.value.id });
}

/** Adds an item under an id that no other has. */
export async function createItem(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(ItemSchema, input);
  if (!parsed.ok) return parsed;
  if (itemRepository(database()).find(parsed.value.id))
    return fail({ code: "inconsistent", path: ["name"], got: parsed.value.name, wanted: "a name that no other item has" });
  return saveItem(parsed.value);
}

const NoteSchema = z.object({
  item: z.string().min(1),
  component: z.string().min(1),
  usedG: z.number().gt(0).max(100000),
  plannedG: z.number().gt(0).max(100000),
});

/** Notes how much of a liquid went in by feel; the next plan starts from it. */
export async function noteLiquid(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(NoteSchema, input);
  if (!parsed.ok) return parsed;
  const { item: id, component, usedG, plannedG } = parsed.value;
  const item = itemRepository(database()).find(id);
  if (!item) return fail({ code: "unknown", path: ["item"], got: id, wanted: "the id of an item" });
  const noted = noteUsed(item, component, usedG, plannedG);
  return noted.ok ? saveItem(noted.value) : noted;
}

/** A copy under a name of its own; `emptied` leaves the filling out, to try another in the same dough. */
export async function duplicateItem(id: unknown, emptied: unknown): Promise<Result<{ id: string }>> {
  const repository = itemRepository(database());
  const item = typeof id === "string" ? repository.find(id) : undefined;
  if (!item) return fail({ code: "unknown", path: ["id"], got: id, wanted: "the id of an item" });
  const taken = repository.all({ archived: true }).map((other) => other.id);
  return createItem(copyOf(item, taken, emptied === true));
}

/** Puts an item away, or brings it back. */
export async function archiveItem(id: unknown, away: unknown): Promise<Result<{ id: string }>> {
  const repository = itemRepository(database());
  if (typeof id !== "string" || !repository.find(id))
    return fail({ code: "unknown", path: ["id"], got: id, wanted: "the id of an item" });
  repository.archive(id, away === true ? new Date().toISOString() : null);
  revalidatePath("/items");
  return ok({ id });
}
