import { asc, eq } from "drizzle-orm";
import type { DeviceStore } from "@/host/devices";
import type { Db } from "./database";
import { deviceCode, devices } from "./schema";

/** Where devices that were let in are kept, and the code that is good now. */
export const deviceStore = (db: () => Db): DeviceStore => ({
  devices: () => db().select().from(devices).orderBy(asc(devices.pairedAt)).all(),
  add: (device) => void db().insert(devices).values(device).run(),
  remove: (id) => void db().delete(devices).where(eq(devices.id, id)).run(),
  code: () => db().select().from(deviceCode).all().at(0),
  setCode(code) {
    if (!code) return void db().delete(deviceCode).run();
    const row = { id: 1, ...code };
    db().insert(deviceCode).values(row).onConflictDoUpdate({ target: deviceCode.id, set: row }).run();
  },
});
