// Set-up from a fresh clone: checks Node, installs packages when they are missing or out of date. Safe to run at any time.
import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";

export const root = resolve(dirname(fileURLToPath(import.meta.url)), "..");

/** Ends with one clear sentence. */
export function stop(sentence) {
  console.error(sentence);
  process.exit(1);
}

export function checkNode() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 9) || major > 22)
    stop(`Unisynth needs Node 20.9 to 22; this is Node ${process.versions.node}. Please install Node 20 and try again.`);
}

/** Installs packages by the lock file unless that was done for this very lock file. */
export function installPackages() {
  const stamp = join(root, "node_modules", ".unisynth-lock");
  const lock = createHash("sha256")
    .update(readFileSync(join(root, "package-lock.json")))
    .digest("hex");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === lock) return;
  console.error("Installing packages (a few minutes the first time) …");
  try {
    execFileSync("npm", ["ci", "--no-audit", "--no-fund"], { cwd: root, stdio: ["ignore", 2, 2] });
  } catch {
    stop("The packages could not be installed; what npm said is above.");
  }
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lock);
}

export function setup() {
  checkNode();
  installPackages();
}

if (process.argv[1] === fileURLToPath(import.meta.url)) setup();
