// Finds Debian's Chromium, and installs it from Debian's packages where it is missing and may be installed.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { stop } from "./setup.mjs";

export const CHROMIUM = "/usr/bin/chromium";
const HOW = "apt-get update && apt-get install -y --no-install-recommends chromium";

export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  console.error("Installing Chromium from Debian's packages for the browser tests …");
  const root = process.getuid?.() === 0;
  const installed =
    root &&
    spawnSync("bash", ["-c", HOW], { stdio: ["ignore", 2, 2], env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } })
      .status === 0;
  if (!installed || !existsSync(CHROMIUM)) stop(`The browser tests need ${CHROMIUM}; install it as root with: ${HOW}`);
}
