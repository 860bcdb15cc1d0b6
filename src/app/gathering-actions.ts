"use server";
import { revalidatePath } from "next/cache";
import { AgainSchema, FirstSchema, firstGathering, gatheringAgain } from "@/core/gathering/make";
import { id as Id } from "@/core/shared/fields";
import { fail, ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { runRepository } from "@/db/runs";
import { newId } from "./new-id";
import { outcome } from "./outcome";

const unknownGathering = (id: unknown) => fail({ code: "unknown", path: ["id"], got: id, wanted: "the id of a gathering" });

/** Makes a gathering. Issues: those of what was typed; an item or a kitchen that is not there; `failed`. */
export async function createGathering(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(FirstSchema, input);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    const db = database();
    const known = new Set(itemRepository(db).idsInUse());
    const wrong = parsed.value.items.find((id) => !known.has(id));
    if (wrong !== undefined) return fail({ code: "unknown", path: ["items"], got: wrong, wanted: "an item that is there" });
    if (!kitchenRepository(db).find(parsed.value.kitchen))
      return fail({ code: "unknown", path: ["kitchen"], got: parsed.value.kitchen, wanted: "a kitchen that is there" });
    const gathering = firstGathering(newId(parsed.value.name), parsed.value);
    return gatheringRepository(db).save(gathering, { savedAt: new Date().toISOString(), from: 0 });
  });
}

const OfWhichSchema = AgainSchema.extend({ id: Id });

/** The same gathering on another day. Issues: those of its name and day; a gathering that is not there; `failed`. */
export async function repeatGathering(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(OfWhichSchema, input);
  if (!parsed.ok) return parsed;
  const { id, name, date } = parsed.value;
  return outcome(() => {
    const repository = gatheringRepository(database());
    const found = repository.find(id);
    if (!found) return unknownGathering(id);
    if (!found.ok) return found;
    const again = gatheringAgain(found.value.document, newId(name), name, date);
    return repository.save(again, { savedAt: new Date().toISOString(), from: 0, kitchenId: found.value.kitchenId });
  });
}

/** Puts a gathering away, or brings it back. */
export async function putGatheringAway(id: unknown, away: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(Id, id);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    const repository = gatheringRepository(database());
    if (!repository.isThere(parsed.value)) return unknownGathering(id);
    repository.archive(parsed.value, away === true ? new Date().toISOString() : null);
    revalidatePath("/");
    return ok({ id: parsed.value });
  });
}

/** Takes a gathering out for good, with its plans. */
export async function deleteGathering(id: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(Id, id);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    const repository = gatheringRepository(database());
    if (!repository.isThere(parsed.value)) return unknownGathering(id);
    if (runRepository(database()).of(parsed.value).length > 0)
      return fail({
        code: "inconsistent",
        path: ["gathering"],
        got: parsed.value,
        wanted: "one that was not cooked: what happened stays. Put it away instead",
      });
    repository.remove(parsed.value);
    revalidatePath("/");
    return ok({ id: parsed.value });
  });
}
