// The one command from a fresh clone to the application with the demo at http://localhost:3000.
// Options: --reset restores the demo data; --port N; --host ADDRESS (this machine only unless asked otherwise).
import { spawn, spawnSync } from "node:child_process";
import { createServer } from "node:net";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { buildIfNeeded } from "./build.mjs";
import { root, setup, stop } from "./setup.mjs";

function options() {
  try {
    const { values } = parseArgs({ options: { reset: { type: "boolean" }, port: { type: "string" }, host: { type: "string" } } });
    const port = Number(values.port ?? process.env.PORT ?? 3000);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      stop(`--port is ${values.port ?? process.env.PORT}; expected a whole number from 1 to 65535.`);
    return { reset: values.reset === true, port, host: values.host ?? "127.0.0.1" };
  } catch (error) {
    stop(`${error.message.split(".")[0]}; expected --reset, --port N or --host ADDRESS.`);
  }
}

const portIsFree = (port, host) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** Creates the database, migrates it, fills in the demo where it is empty. */
export function seed(reset, env = process.env) {
  const done = spawnSync(process.execPath, [join(root, "scripts", "run.mjs"), "cli/seed.ts", ...(reset ? ["--reset"] : [])], {
    cwd: root,
    stdio: ["ignore", 2, 2],
    env,
  });
  if (done.status !== 0) process.exit(1);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { reset, port, host } = options();
  setup();
  if (!(await portIsFree(port, host))) stop(`Port ${port} on ${host} is taken; stop what runs there or start with --port N.`);
  seed(reset);
  buildIfNeeded();
  const server = spawn(
    process.execPath,
    [join(root, "scripts", "run.mjs"), "cli/serve.ts", "--host", host, "--port", String(port)],
    { cwd: root, stdio: ["ignore", "ignore", "inherit"], env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" } },
  );
  const everywhere = ["0.0.0.0", "::"].includes(host);
  const shown = everywhere || host === "127.0.0.1" ? "localhost" : host;
  const reached = everywhere ? "127.0.0.1" : host;
  for (let tries = 0; tries < 100 && server.exitCode === null; tries++) {
    const up = await fetch(`http://${reached}:${port}/`).then(
      () => true,
      () => false,
    );
    if (up) break;
    await new Promise((wake) => setTimeout(wake, 150));
  }
  if (server.exitCode === null) console.log(`Unisynth runs at http://${shown}:${port} (stop it with Ctrl+C).`);
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
  server.on("exit", (code) => process.exit(code ?? 0));
}
