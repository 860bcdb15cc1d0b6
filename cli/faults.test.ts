import { spawn, spawnSync } from "node:child_process";
import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { seeded } from "@/core/shared/chance";
import { demoInput } from "@tests/demo";
import { spoiledDocuments } from "@tests/faults/documents";
import { longInputs } from "@tests/faults/long-inputs";

const folder = mkdtempSync(join(tmpdir(), "unisynth-faults-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: string | Buffer): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const run = (name: string, args: string[], input?: string, env = {}) =>
  spawnSync("node", ["scripts/run.mjs", `cli/${name}.ts`, ...args], { input, encoding: "utf8", env: { ...process.env, ...env } });
const shell = (line: string) => spawnSync("bash", ["-c", line], { encoding: "utf8" });

const request = () => ({ ...demoInput("first-try"), solve: { iterations: 2, seed: 1 } });
const problem = {
  format: "unisynth-problem/1",
  horizon: 60,
  resources: [{ id: "hands", kind: "pool", capacity: 1 }],
  tasks: [{ id: "a", duration: 10, uses: [{ resource: "hands" }] }],
  costs: { makespan: 1 },
};
const solution = (end: number) => ({
  format: "unisynth-solution/1",
  status: "feasible",
  cost: end,
  bound: 0,
  tasks: [{ id: "a", start: 0, end, taken: ["hands"] }],
});

test("a byte order mark is passed over", () => {
  expect(run("plan", [file("bom.json", `\uFEFF${JSON.stringify(request())}`)]).status).toBe(0);
  expect(run("solve", ["--iterations", "1"], `\uFEFF${JSON.stringify(problem)}`).status).toBe(0);
});

test.each(["plan", "solve", "vectors", "read"])("%s: what is nested without end, or no text, is one line", (command) => {
  for (const [name, content] of [
    ["deep", "[".repeat(100_000) + "]".repeat(100_000)],
    ["deep-keys", '{"a":'.repeat(100_000) + "1" + "}".repeat(100_000)],
    ["bytes", Buffer.from([0xff, 0xfe, 0x00, 0x80])],
  ] as const) {
    const { status, stderr } = run(command, [file(`${command}-${name}`, content)]);
    if (command === "read" && status === 0) continue;
    expect([name, status, stderr.trimEnd().split("\n").length]).toEqual([name, 2, 1]);
  }
});

test("names that every object has are no options", () => {
  for (const flag of ["--constructor", "--__proto__", "--toString"])
    expect(run("solve", [flag, "1"], "{}")).toMatchObject({ status: 2, stdout: "" });
});

test.each([371_000, 1e9, Number.MAX_SAFE_INTEGER])("verify judges an end of %s at once", (end) => {
  const { status, stdout, stderr } = run("verify", [
    file("problem.json", JSON.stringify(problem)),
    file("solution.json", JSON.stringify(solution(end))),
  ]);
  expect([status, stderr]).toEqual([1, ""]);
  expect(stdout).toMatch(/^time: a lasts \d+ min, not 10$/m);
});

test("ids with line breaks and signs that turn a line round stay in their line", () => {
  const id = "a\n\u0000\u202eb";
  const named = { ...problem, tasks: [{ ...problem.tasks[0], id }] };
  const { stdout } = run("verify", [
    file("named.json", JSON.stringify(named)),
    file("named-solution.json", JSON.stringify({ ...solution(12), tasks: [{ ...solution(12).tasks[0], id }] })),
  ]);
  expect(stdout).toContain("a\\u000a\\u0000\\u202eb lasts 12 min");
});

test("a reader that stops reading, and a disk that is full, are no faults of the program", () => {
  const path = file("request.json", JSON.stringify(request()));
  const cut = shell(`node scripts/run.mjs cli/plan.ts ${path} | head -c 10; echo " \${PIPESTATUS[0]}"`);
  expect(cut.stdout).toMatch(/ 0$/m);
  expect(cut.stderr).toBe("");
  const full = shell(`node scripts/run.mjs cli/plan.ts ${path} > /dev/full`);
  expect(full.status).toBe(70);
  expect(full.stderr.trimEnd()).toBe("the answer could not be written (ENOSPC); expected room for it");
});

test("a command that is refused, or killed, leaves nothing behind", async () => {
  const left = () => readdirSync("node_modules/.cache/unisynth").filter((name) => name.startsWith("cli-solve"));
  run("solve", [], "{}");
  const running = spawn("node", ["scripts/run.mjs", "cli/solve.ts", "--seconds", "30"], { stdio: ["pipe", "ignore", "ignore"] });
  await new Promise((wake) => setTimeout(wake, 1500));
  running.kill("SIGKILL");
  await new Promise((end) => running.once("close", end));
  run("solve", [], "{}");
  expect(left().filter((name) => name.includes(`-${running.pid}.`))).toEqual([]);
});

test("restore: what there is, what is brought back, and what is no backup", () => {
  const data = join(folder, "data");
  mkdirSync(data);
  const env = { UNISYNTH_DB: join(data, "unisynth.db") };
  expect(run("restore", [], undefined, env).stdout).toContain("There are no backups");
  expect(run("seed", [], undefined, env).status).toBe(0);
  expect(run("seed", ["--reset"], undefined, env).status).toBe(0);
  const listed = run("restore", [], undefined, env).stdout;
  const backup = listed.split("  ").at(-1)!.trim();
  expect(listed).toMatch(/before-reset|daily/);
  expect(run("restore", [backup], undefined, env)).toMatchObject({ status: 0, stderr: "" });
  copyFileSync("package.json", join(folder, "no.db"));
  const refused = run("restore", [join(folder, "no.db")], undefined, env);
  expect(refused).toMatchObject({ status: 2, stdout: "" });
  expect(refused.stderr.trimEnd()).toMatch(/^FILE is .*expected a whole backup of Unisynth/);
});

test("sixty spoiled documents through the commands: an answer, or one line", async () => {
  const tally = await spoiledDocuments(60, seeded(20261129));
  expect([tally.tried, tally.failed]).toEqual([60, []]);
});

test("problems without end: an answer that says so, or that it is too much", async () => {
  const tally = await longInputs(4);
  // How long they take is measured by `npm run bench:faults`: here it counts that they end as they should.
  expect(tally.failed.filter((line) => !/ s for \d+ s asked$/.test(line))).toEqual([]);
});
