// Everything that must hold, from a fresh clone: packages, browser, lint, directions of imports, format, types, unit tests, build, browser tests.
import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { ensureChromium } from "./chromium.mjs";
import { buildIfNeeded } from "./build.mjs";
import { root, setup } from "./setup.mjs";

setup();
ensureChromium();
const results = join(root, "test-results");
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const unitFile = join(results, "unit.json");
const browserFile = join(results, "browser.json");

/** What no tool takes on a slow machine: one that takes longer hangs, and is ended and told. */
const MOST_MINUTES = 120;

/** Runs one of the project's tools and shows what it says; true when it is content. */
function run(name, command, args, env = {}) {
  console.log(`\n— ${name}`);
  const { status, error } = spawnSync(join(root, "node_modules/.bin", command), args, {
    cwd: root,
    stdio: ["ignore", 1, 2],
    timeout: MOST_MINUTES * 60_000,
    killSignal: "SIGKILL",
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ...env },
  });
  if (error?.code === "ETIMEDOUT") console.log(`${name} took more than ${MOST_MINUTES} minutes and was ended`);
  return status === 0;
}

const steps = [];
steps.push(run("lint", "eslint", ["."]));
steps.push(run("directions", "depcruise", ["--config", ".dependency-cruiser.mjs", "src"]));
steps.push(run("format", "prettier", ["--check", "--log-level", "warn", "."]));
buildIfNeeded();
steps.push(run("types", "tsc", ["--noEmit"]));
steps.push(run("unit tests", "jest", ["--json", `--outputFile=${unitFile}`]));
steps.push(run("browser tests", "playwright", ["test", "--reporter=list,json"], { PLAYWRIGHT_JSON_OUTPUT_NAME: browserFile }));

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, "utf8"));
  } catch {
    return undefined;
  }
};
const unit = read(unitFile);
const browser = read(browserFile);
const passed = (unit?.numPassedTests ?? 0) + (browser?.stats?.expected ?? 0);
// A tool that is not content counts as a failure even where it counts no tests of its own.
const failed = Math.max((unit?.numFailedTests ?? 0) + (browser?.stats?.unexpected ?? 0), steps.filter((good) => !good).length);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
