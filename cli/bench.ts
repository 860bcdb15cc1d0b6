// The solver on instances the project ships: cost against the best known or the bound, and time as ratios.
import { readFileSync } from "node:fs";
import { Budget } from "@/core/schedule/budget";
import { parseProblem, type ProblemInput } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { hardDay } from "@tests/hard-days";
import { CLASSICS, jobShop, SIX, TEN } from "@tests/job-shops";
import { kitchen } from "@tests/kitchens";
import { numberFlags } from "./common";

const { values } = numberFlags(process.argv.slice(2), { seconds: { min: 0.1, max: 600, whole: false } });
const SECONDS = values.seconds ?? 4;

const example = (name: string): ProblemInput => JSON.parse(readFileSync(`tests/examples/${name}.problem.json`, "utf8"));
const INSTANCES: readonly [name: string, problem: ProblemInput, best?: number][] = [
  ["first-loaf", example("first-loaf"), 62.5],
  ["two-heats", example("two-heats"), 180],
  ["mixed-crew", example("mixed-crew"), 111.5],
  ["supper-for-thirty", example("supper-for-thirty"), 405.5],
  ["job-shop 6x6", jobShop(SIX), 55],
  ["job-shop 10x10", jobShop(TEN), 930],
  ...CLASSICS.map(({ name, best, rows }): [string, ProblemInput, number] => [`job-shop ${name}`, jobShop(rows), best]),
  ...[20, 100, 400, 1500].map((n): [string, ProblemInput] => [`kitchen ${n}`, kitchen(n, n)]),
  ...[10, 20, 40, 80, 120].map((n): [string, ProblemInput] => [`hard day ${n}`, hardDay(n, n, n > 20 ? 3 : 1)]),
];

const cell = (text: string | number, width: number) => String(text).padStart(width);
console.log(
  `${"instance".padEnd(20)}${["tasks", "status", "cost/best", "cost/bound", "first/cost", "first s/limit", "5 % at", "2 % at", "1 % at"].map((h) => cell(h, 13)).join("")}`,
);
for (const [name, input, best] of INSTANCES) {
  const parsed = parseProblem(input);
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues[0]));
  const began = performance.now();
  const elapsed = () => (performance.now() - began) / 1000;
  const solver = new Solver(parsed.value, 1);
  const budget = new Budget({ now: () => performance.now(), seconds: SECONDS });
  const steps: { cost: number; at: number }[] = [];
  const note = () => steps.push({ cost: solver.solution().cost, at: elapsed() });
  if (solver.findFirst(budget) === "found") {
    note();
    solver.improve(budget, note);
  }
  const { status, cost, bound } = solver.solution();
  if (steps.length === 0) {
    console.log(`${name.padEnd(20)}${cell(parsed.value.tasks.length, 13)}${cell("none found", 13)}`);
    continue;
  }
  const goal = best ?? cost;
  const within = (share: number) => steps.find((s) => s.cost <= goal * (1 + share) + 1e-6);
  const shareOf = (step: { at: number } | undefined) => (step ? (step.at / SECONDS).toFixed(3) : "–");
  const row = [
    parsed.value.tasks.length,
    status,
    best === undefined ? "–" : (cost / best).toFixed(3),
    bound > 0 ? (cost / bound).toFixed(3) : "–",
    (steps[0].cost / Math.max(1e-9, cost)).toFixed(2),
    shareOf(steps[0]),
    shareOf(within(0.05)),
    shareOf(within(0.02)),
    shareOf(within(0.01)),
  ];
  console.log(`${name.padEnd(20)}${row.map((text) => cell(text, 13)).join("")}`);
}
console.log(
  `Times are shares of the limit of ${SECONDS} s; "best" is the proven optimum or the best known, else what this run came to; "first/cost" is the first schedule against the last.`,
);
