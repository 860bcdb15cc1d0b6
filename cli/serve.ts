// The server: our door in front of the built application. Options: --port N, --host ADDRESS (this machine only unless asked otherwise).
import next from "next";
import { networkInterfaces } from "node:os";
import { parseArgs } from "node:util";
import { backUp, isDue } from "@/db/backups";
import { closeDatabase, database, databaseFile } from "@/db/database";
import { deviceStore } from "@/db/devices";
import { markOpen, prepareDatabase } from "@/db/prepare";
import { troubleOf } from "@/db/trouble";
import { Devices } from "@/host/devices";
import { hostNames } from "@/host/door";
import { hostServer } from "@/host/server";
import { oneLine } from "@/core/shared/one-line";
import { refuse } from "./common";

const HOUR_MS = 3600_000;
/** Requests under way get so long to end when the server is stopped, ms. */
const LAST_MS = 2000;

const { values } = parseArgs({ options: { port: { type: "string" }, host: { type: "string" } } });
const port = Number(values.port ?? 3000);
if (!Number.isInteger(port) || port < 1 || port > 65535)
  refuse(`--port is ${values.port}; expected a whole number from 1 to 65535`);
const host = values.host ?? "127.0.0.1";

const tell = (line: string): void => void process.stderr.write(`${oneLine(line)}\n`);
const file = databaseFile();
const addresses = Object.values(networkInterfaces()).flatMap((list) => (list ?? []).map((one) => one.address));
const plain = (address: string): string => address.replace(/^::ffff:/, "");
const names = hostNames(host, addresses);
process.env.UNISYNTH_HOSTS = names.join(",");
process.env.NEXT_TELEMETRY_DISABLED = "1";
// A fault in one answer is told and is no reason to leave all others without any.
process.on("uncaughtException", (error) => tell(`a fault of the program: ${error.message}`));
process.on("unhandledRejection", (error) => tell(`a fault of the program: ${String((error as Error)?.message ?? error)}`));

try {
  await prepareDatabase(file, new Date());
} catch (error) {
  tell(troubleOf(error, file)?.message ?? String(error));
}
const closed = markOpen(file);

const application = next({ dev: false, dir: process.cwd(), hostname: host, port, quiet: true });
await application.prepare();
const server = hostServer({
  names,
  isHere: (address) => /^127\.|^::1$/.test(plain(address)) || addresses.includes(plain(address)),
  devices: new Devices(deviceStore(database), Date.now),
  handle: application.getRequestHandler(),
  tell,
});
server.on("error", (error: NodeJS.ErrnoException) => {
  closed();
  refuse(`port ${port} on ${host} cannot be listened on (${error.code}); expected one that is free`);
});
server.listen(port, host);

const daily = setInterval(() => {
  const now = new Date();
  if (!isDue(file, now)) return;
  try {
    backUp(database().$client, file, "daily", now).catch((error: Error) =>
      tell(`the copy of the day was not made: ${error.message}`),
    );
  } catch (error) {
    tell((error as Error).message);
  }
}, HOUR_MS);

for (const signal of ["SIGINT", "SIGTERM"] as const)
  process.once(signal, () => {
    clearInterval(daily);
    const end = () => {
      closeDatabase();
      closed();
      process.exit(0);
    };
    server.close(end);
    server.closeIdleConnections();
    setTimeout(end, LAST_MS);
  });
