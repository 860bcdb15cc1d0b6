"use server";
import { revalidatePath } from "next/cache";
import { z } from "zod";
import { noteUsed } from "@/core/item/by-feel";
import { copyOf } from "@/core/item/recipe";
import { ItemSchema, type Item } from "@/core/item/schema";
import { ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { itemRepository } from "@/db/items";
import type { ItemVersion } from "@/ui/items/VersionsCard";
import { newId } from "../new-id";
import { outcome } from "../outcome";
import { Revision } from "../revision";
import { changeItem, storeItem, unknownItem, type Saved } from "./store-item";

/** The list of items is read again where one of them was saved. */
const listed = (saved: Result<Saved>): Result<Saved> => {
  if (saved.ok) revalidatePath("/items");
  return saved;
};

/** Adds an item under an id that no server makes a second time. */
const add = (item: Item): Result<Saved> => listed(storeItem({ ...item, id: newId(item.name) }, 0));

/**
 * Saves an item as it stands on the desk, on from the revision that the desk began with. Issues: those of its schema and
 * of what it refers to; `conflict` where it was saved elsewhere since, with what stands now; `failed`.
 */
export async function saveItem(input: unknown, from: unknown): Promise<Result<Saved>> {
  const revision = parseWith(Revision, from);
  return revision.ok ? outcome(() => listed(storeItem(input, revision.value))) : revision;
}

/** Adds an item, under an id of its own. Issues: those of its schema; `failed`. */
export async function createItem(input: unknown): Promise<Result<Saved>> {
  const parsed = parseWith(ItemSchema, input);
  return parsed.ok ? outcome(() => add(parsed.value)) : parsed;
}

const NoteSchema = z.object({
  item: z.string().min(1),
  component: z.string().min(1),
  usedG: z.number().gt(0).max(100000),
  plannedG: z.number().gt(0).max(100000),
});

/** Notes how much of a liquid went in by feel; the next plan starts from it. */
export async function noteLiquid(input: unknown): Promise<Result<Saved>> {
  const parsed = parseWith(NoteSchema, input);
  if (!parsed.ok) return parsed;
  const { item: id, component, usedG, plannedG } = parsed.value;
  return outcome(() => listed(changeItem(id, (one) => noteUsed(one, component, usedG, plannedG))));
}

/** A copy under a name of its own; `emptied` leaves the filling out, to try another in the same dough. */
export async function duplicateItem(id: unknown, emptied: unknown): Promise<Result<Saved>> {
  return outcome(() => {
    const repository = itemRepository(database());
    const found = typeof id === "string" ? repository.find(id) : undefined;
    if (!found) return unknownItem(id);
    if (!found.ok) return found;
    const { readable, unreadable } = repository.list({ archived: true });
    const taken = [...readable.map(({ document }) => document.id), ...unreadable.map((row) => row.id)];
    return add(copyOf(found.value.document, taken, emptied === true));
  });
}

/** So many versions are looked at, and those saved within so long of each other count as one, min: each pause in typing saves. */
const VERSIONS = { most: 60, oneWithinMin: 10 } as const;

/** What an item was like, the newest first: of versions that were saved shortly after each other the last one. */
export async function versionsOf(id: unknown): Promise<Result<readonly ItemVersion[]>> {
  return outcome(() => {
    const repository = itemRepository(database());
    if (typeof id !== "string" || !repository.find(id)) return unknownItem(id);
    const kept: ItemVersion[] = [];
    const all = repository.versions(id);
    for (const [k, { revision, savedAt, item }] of all.entries()) {
      const newer = kept.at(-1);
      const apartMin = newer ? (Date.parse(newer.savedAt) - Date.parse(savedAt)) / 60_000 : Infinity;
      // What it was like at the very first is never one with what came after it.
      if (!item.ok || (apartMin < VERSIONS.oneWithinMin && k < all.length - 1)) continue;
      kept.push({ revision, savedAt, item: item.value.document });
      if (kept.length === VERSIONS.most) break;
    }
    return ok(kept);
  });
}

/** Puts an item away, or brings it back. */
export async function archiveItem(id: unknown, away: unknown): Promise<Result<{ id: string }>> {
  return outcome(() => {
    const repository = itemRepository(database());
    if (typeof id !== "string" || !repository.find(id)) return unknownItem(id);
    repository.archive(id, away === true ? new Date().toISOString() : null);
    revalidatePath("/items");
    return ok({ id });
  });
}
