import { spawnSync } from "node:child_process";

/** What is tested is what the sources say now. */
export default function build(): void {
  const { status } = spawnSync(process.execPath, ["scripts/build.mjs"], { stdio: ["ignore", 2, 2] });
  if (status !== 0) throw new Error("the application could not be built; what the build said is above");
}
