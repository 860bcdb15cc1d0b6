// The one command from a fresh clone to the application with the demo at http://localhost:3000.
// Options: --reset restores the demo data; --port N; --host ADDRESS (this machine only unless asked otherwise).
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
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

/** What the build depends on, as one hash: sources, configuration, lock file. */
function sourceHash() {
  const hash = createHash("sha256");
  const walk = (path) => {
    if (statSync(path).isDirectory())
      return readdirSync(path)
        .sort()
        .forEach((name) => walk(join(path, name)));
    if (!/\.test\.tsx?$/.test(path)) hash.update(path).update(readFileSync(path));
  };
  ["src", "next.config.ts", "tsconfig.json", "package-lock.json"].forEach((name) => walk(join(root, name)));
  return hash.digest("hex");
}

/** Builds the application unless this very source was built before. */
export function buildIfNeeded() {
  const stamp = join(root, ".next", "unisynth-build");
  const hash = sourceHash();
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === hash) return;
  console.error("Building the application (about a minute) …");
  const built = spawnSync("npx", ["next", "build"], {
    cwd: root,
    stdio: ["ignore", 2, 2],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
  });
  if (built.status !== 0) stop("The application could not be built; what the build said is above.");
  mkdirSync(join(root, ".next"), { recursive: true });
  writeFileSync(stamp, hash);
}

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
