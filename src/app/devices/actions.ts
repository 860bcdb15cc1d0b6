"use server";
import { revalidatePath } from "next/cache";
import { id as Id } from "@/core/shared/fields";
import { ok, type Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { database } from "@/db/database";
import { deviceStore } from "@/db/devices";
import { Devices } from "@/host/devices";
import { outcome } from "../outcome";

const devices = () => new Devices(deviceStore(database), Date.now);

/** A code that lets one device in, for a short while; the one before is void. Issues: `failed`. */
export async function makeCode(): Promise<Result<{ code: string; until: number }>> {
  return outcome(() => ok(devices().open()));
}

/** Shuts a device out. Issues: that of its id; `failed`. */
export async function revokeDevice(id: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseWith(Id, id);
  if (!parsed.ok) return parsed;
  return outcome(() => {
    devices().revoke(parsed.value);
    revalidatePath("/devices");
    return ok({ id: parsed.value });
  });
}
