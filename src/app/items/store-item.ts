import { itemIssues } from "@/core/item/check";
import { ItemSchema, type Item } from "@/core/item/schema";
import { fail, failWith, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { itemRepository } from "@/db/items";

export interface Saved {
  readonly id: string;
  readonly revision: number;
}

export const unknownItem = (id: unknown) => fail({ code: "unknown", path: ["id"], got: id, wanted: "the id of an item" });

/** Checks an item and writes its next revision; `from` is the one that the changes began from, 0 for a new item. */
export function storeItem(input: unknown, from: number): Result<Saved> {
  const parsed = parseWith(ItemSchema, input);
  if (!parsed.ok) return parsed;
  const issues = itemIssues({ items: [parsed.value] });
  if (issues.length > 0) return failWith(issues);
  return itemRepository(database()).save(parsed.value, { savedAt: new Date().toISOString(), from });
}

/** Changes an item as it stands and writes its next revision. Issues: `unknown` item; those of the change and of what it would make. */
export function changeItem(id: string, change: (item: Item) => Result<Item>): Result<Saved> {
  const found = itemRepository(database()).find(id);
  if (!found) return unknownItem(id);
  if (!found.ok) return found;
  const changed = change(found.value.document);
  return changed.ok ? storeItem(changed.value, found.value.revision) : changed;
}
