import { networkInterfaces } from "node:os";
import { deviceStore } from "@/db/devices";
import { Devices } from "@/host/devices";
import { DevicesView } from "@/ui/devices/DevicesView";
import { withDatabase } from "../with-database";
import { makeCode, revokeDevice } from "./actions";

/** Addresses at which other devices at home reach this one; none where the server listens to itself only. */
function addresses(): string[] {
  const names = process.env.UNISYNTH_HOSTS?.split(",") ?? [];
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((one) => !one.internal && one.family === "IPv4" && names.includes(one.address))
    .map((one) => one.address);
}

export default function Page() {
  return withDatabase((db) => (
    <DevicesView
      devices={new Devices(
        deviceStore(() => db),
        Date.now,
      ).list()}
      addresses={addresses()}
      makeCode={makeCode}
      revoke={revokeDevice}
    />
  ));
}
