import { freshId } from "../shared/fresh-id";
import { z } from "zod";
import { OwnIngredientSchema, type OwnIngredient } from "../ingredients/own";
import { readDocument } from "../shared/documents";
import { fail, failWith, ok, type Result } from "../shared/issue";
import { parseWith } from "../shared/parse";
import { itemIssues } from "./check";
import { ItemSchema, type Item } from "./schema";
import { ITEM_DOCUMENT } from "./versions";

const FORMAT = "unisynth-item-file/1";

const FileSchema = z.object({
  format: z.literal(FORMAT, { error: `the format ${FORMAT}` }),
  /** In which the item is written. */
  schemaVersion: z.int().min(1),
  item: z.record(z.string(), z.unknown()),
  /** What its cook knew better about ingredients. */
  own: z.array(OwnIngredientSchema).max(2000).default([]),
});

/** An item with its recipe as it was written, as one file. */
export const itemFile = (item: Item, own: readonly OwnIngredient[]): string =>
  `${JSON.stringify({ format: FORMAT, schemaVersion: ITEM_DOCUMENT.version, item, own }, null, 2)}\n`;

/**
 * Reads an item's file. An id that is taken gets a number; all else is as it was.
 * Issues: those of the file and of the item, by field.
 */
export function itemFromFile(text: string, taken: readonly string[]): Result<{ item: Item; own: readonly OwnIngredient[] }> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return fail({ code: "unreadable", path: ["file"], got: text.slice(0, 40), wanted: "an item that this application wrote" });
  }
  const file = parseWith(FileSchema, json);
  if (!file.ok) return file;
  const read = readDocument(ITEM_DOCUMENT, file.value.schemaVersion, file.value.item);
  if (!read.ok) return read;
  const issues = itemIssues({ items: [read.value] });
  if (issues.length > 0) return failWith(issues);
  const { id } = read.value;
  const item = ItemSchema.parse(taken.includes(id) ? { ...read.value, id: freshId(read.value.name, taken) } : read.value);
  return ok({ item, own: file.value.own });
}
