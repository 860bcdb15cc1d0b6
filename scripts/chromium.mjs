// Finds Debian's Chromium, and installs it from Debian's packages where it is missing and may be installed.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { stop } from "./setup.mjs";

/** How every script and test starts the browser. */
export const LAUNCH = JSON.parse(readFileSync(new URL("chromium.json", import.meta.url), "utf8"));
const HOW = "apt-get update && apt-get install -y --no-install-recommends chromium";

export function ensureChromium() {
  if (existsSync(LAUNCH.executablePath)) return;
  console.error("Installing Chromium from Debian's packages for the browser tests …");
  const root = process.getuid?.() === 0;
  const installed =
    root &&
    spawnSync("bash", ["-c", HOW], { stdio: ["ignore", 2, 2], env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } })
      .status === 0;
  if (!installed || !existsSync(LAUNCH.executablePath))
    stop(`The browser tests need ${LAUNCH.executablePath}; install it as root with: ${HOW}`);
}
