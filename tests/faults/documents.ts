import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { build } from "esbuild";
import type { Chance } from "@/core/shared/chance";
import { demoInput } from "../demo";
import { spoiled } from "./mutate";
import { hasTrace, inTurn, Tally } from "./tally";

const COMMANDS = ["solve", "verify", "plan", "read", "vectors"] as const;
type Command = (typeof COMMANDS)[number];
/** A command that takes longer hangs, ms: each is asked for a fraction of a second. */
const MOST_MS = 20_000;
const AT_ONCE = 2;

const json = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const examples = (end: string) =>
  readdirSync("tests/examples")
    .filter((name) => name.endsWith(end))
    .sort()
    .map((name) => json(join("tests/examples", name)));

const LINES = `2½ cups all-purpose flour\n1 cup cold butter\n1/2 tsp salt\n6-8 tbsp ice water\n3 onions (about 300 g)\n1 can (14 oz) beans\na thumb of ginger\n1 egg yolk\n½ cup breadcrumbs, toasted`;

/** Right documents of every command, to be spoiled. */
function rights(): Readonly<Record<Command, readonly unknown[]>> {
  const requests = ["first-try", "quiet-evenings", "launch-night"].map((id) => ({
    ...(demoInput(id) as object),
    solve: { seconds: 0.1, seed: 1 },
  }));
  return {
    solve: examples(".problem.json"),
    verify: examples(".solution.json"),
    plan: requests,
    read: [LINES],
    vectors: readdirSync("tests/vectors")
      .sort()
      .map((name) => json(join("tests/vectors", name))),
  };
}

interface Ended {
  readonly code: number | null;
  readonly err: string;
  readonly hung: boolean;
}

function run(program: string, args: readonly string[]): Promise<Ended> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [program, ...args], { stdio: ["ignore", "ignore", "pipe"] });
    let err = "";
    let hung = false;
    const over = setTimeout(() => {
      hung = true;
      child.kill("SIGKILL");
    }, MOST_MS);
    child.stderr.on("data", (part) => (err += part));
    child.on("close", (code) => {
      clearTimeout(over);
      resolve({ code, err, hung });
    });
  });
}

const CONTROL = /[\u0000-\u0009\u000b-\u001f\u007f\u202a-\u202e]/;

/** What is wrong with how a command ended: an answer, or one clean line and exit 2, is what is promised. */
function wrongWith(command: Command, { code, err, hung }: Ended): string | undefined {
  if (hung) return "hangs";
  if (hasTrace(err)) return "a stack trace";
  const codes = command === "verify" || command === "vectors" ? [0, 1, 2] : [0, 2];
  if (code === null || !codes.includes(code)) return `exit ${code}: ${err.slice(0, 200)}`;
  if (code !== 2) return undefined;
  if (err.trimEnd().split("\n").length !== 1 || err.trim() === "") return `not one line: ${err.slice(0, 200)}`;
  return CONTROL.test(err) ? "control characters" : undefined;
}

/** Spoiled documents through every command, each in a process of its own. What failed is kept in `keep`, where that is named. */
export async function spoiledDocuments(count: number, chance: Chance, keep?: string): Promise<Tally> {
  const tally = new Tally("spoiled documents through the commands");
  const folder = mkdtempSync(join(tmpdir(), "unisynth-faults-"));
  // With their packages inside: each of the many processes reads one file.
  const built = join("node_modules", ".cache", "unisynth", `faults-${process.pid}`);
  try {
    await build({
      entryPoints: COMMANDS.map((command) => `cli/${command}.ts`),
      outdir: built,
      outExtension: { ".js": ".mjs" },
      bundle: true,
      platform: "node",
      format: "esm",
      target: "node20",
      logLevel: "error",
      tsconfig: "tsconfig.json",
    });
    const right = rights();
    const problem = join(folder, "problem.json");
    writeFileSync(problem, JSON.stringify(right.solve[0]));
    const trials = Array.from({ length: count }, (_, i) => {
      const command = COMMANDS[i % COMMANDS.length];
      const of = right[command];
      return { command, text: spoiled(of[chance.below(of.length)], chance) };
    });
    await inTurn(count, AT_ONCE, async (i) => {
      const { command, text } = trials[i];
      const file = join(folder, `${i}.json`);
      writeFileSync(file, text);
      const args = command === "solve" ? ["--seconds", "0.1", file] : command === "verify" ? [problem, file] : [file];
      const wrong = wrongWith(command, await run(join(built, `${command}.mjs`), args));
      tally.count(wrong && `${command} ${i}: ${wrong}`);
      if (wrong && keep) writeFileSync(join(keep, `${command}-${i}.json`), text);
      rmSync(file);
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
    rmSync(built, { recursive: true, force: true });
  }
  return tally;
}
