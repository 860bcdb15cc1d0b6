import { spawnSync } from "node:child_process";
import { expect, test } from "./test";

/** A small share of `npm run bench:faults` with a fixed seed: what needs the built application. */
test("spoiled bodies, locks, a full disk and kills: every one ends as it should", () => {
  test.setTimeout(900_000);
  const counts = { documents: 0, long: 0, requests: 80, locks: 2, disks: 1, kills: 4, seed: 20261129 };
  const args = Object.entries(counts).flatMap(([name, count]) => [`--${name}`, String(count)]);
  const { stdout, stderr, status } = spawnSync(process.execPath, ["scripts/run.mjs", "cli/bench-faults.ts", ...args], {
    encoding: "utf8",
  });
  expect(stdout.trimEnd().split("\n").at(-1), stdout + stderr).toMatch(/^\d+ tried, 0 failed$/);
  expect(status).toBe(0);
});

test("25 kills amid bursts of events: each that was confirmed is there exactly once", () => {
  test.setTimeout(900_000);
  const args = ["scripts/run.mjs", "cli/bench-kill.ts", "--kills", "25", "--seed", "20261130"];
  const { stdout, stderr, status } = spawnSync(process.execPath, args, { encoding: "utf8" });
  expect(stdout, stdout + stderr).toMatch(/^kills amid bursts of events: 26 tried, 0 failed/m);
  expect(status).toBe(0);
});
