import { spawn } from "node:child_process";
import { LARGE_PROBLEMS } from "./large";
import { hasTrace, isStopped, Tally } from "./tally";

const SECONDS = 1;
/** A command has so much more than its time, share and ms, and the start of the program itself. */
const OVER = { share: 0.2, ms: 300 } as const;

/** The time that a command takes with nothing to do, ms: the programs are bundled first. */
async function took(args: readonly string[], input: string): Promise<{ ms: number; err: string; code: number | null }> {
  const began = performance.now();
  return new Promise((resolve) => {
    const child = spawn(process.execPath, ["scripts/run.mjs", ...args], { stdio: ["pipe", "ignore", "pipe"] });
    let err = "";
    child.stderr.on("data", (part) => (err += part));
    child.stdin.on("error", () => undefined);
    child.stdin.end(input);
    child.on("close", (code) => resolve({ ms: performance.now() - began, err, code }));
  });
}

/** Problems that are right and larger than any kitchen's: an answer within the time that was given. */
export async function longInputs(count: number): Promise<Tally> {
  const tally = new Tally("inputs without end");
  const cases = Object.entries(LARGE_PROBLEMS);
  const starts: number[] = [];
  for (let i = 0; i < 3; i++) starts.push((await took(["cli/solve.ts"], "{}")).ms);
  const start = Math.min(...starts);
  for (let i = 0; i < count && !isStopped(); i++) {
    const [name, problem] = cases[i % cases.length];
    const { ms, err, code } = await took(["cli/solve.ts", "--seconds", String(SECONDS)], JSON.stringify(problem()));
    const most = start + 1000 * SECONDS * (1 + OVER.share) + OVER.ms;
    tally.count(
      hasTrace(err)
        ? `${name}: a trace`
        : code !== 0 && code !== 2
          ? `${name}: exit ${code}`
          : ms > most
            ? `${name}: ${(ms / 1000).toFixed(2)} s for ${SECONDS} s asked`
            : undefined,
    );
  }
  return tally;
}
