// Builds the application where its sources are others than those that were built last.
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join, relative } from "node:path";
import { fileURLToPath } from "node:url";
import { root, setup, stop } from "./setup.mjs";

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
  ["src", "public/cook-worker.js", "next.config.ts", "tsconfig.json", "package-lock.json"].forEach((name) =>
    walk(join(root, name)),
  );
  return hash.digest("hex");
}

/** Writes down what the day's screen may need of this build without a network. */
function listFiles() {
  const files = readdirSync(join(root, ".next/static"), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !entry.name.endsWith(".map"))
    .map((entry) => `/_next/static/${relative(join(root, ".next/static"), join(entry.parentPath, entry.name))}`);
  writeFileSync(join(root, "public/cook-files.json"), JSON.stringify({ files }));
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
  listFiles();
  mkdirSync(join(root, ".next"), { recursive: true });
  writeFileSync(stamp, hash);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  setup();
  buildIfNeeded();
}
