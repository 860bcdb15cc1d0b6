"use server";
import { revalidatePath } from "next/cache";
import { OwnIngredientSchema } from "@/core/ingredients/own";
import { id as Id } from "@/core/shared/fields";
import { ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { outcome } from "./outcome";

/** Keeps what the cook knows better about an ingredient; all items and gatherings follow. Issues: those of its schema; `failed`. */
export async function keepOwn(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(OwnIngredientSchema, input);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    ownIngredientRepository(database()).save(parsed.value);
    revalidatePath("/", "layout");
    return ok({ id: parsed.value.id });
  });
}

/** Goes back to what the catalogue says of an ingredient. */
export async function forgetOwn(input: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(Id, input);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    ownIngredientRepository(database()).remove(parsed.value);
    revalidatePath("/", "layout");
    return ok({ id: parsed.value });
  });
}
