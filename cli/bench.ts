// The solver on instances the project ships: cost against the best known or the bound, and time as ratios.
import { readFileSync } from "node:fs";
import { seeded } from "@/core/shared/random";
import { Budget } from "@/core/schedule/budget";
import { parseProblem, type ProblemInput } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { numberFlags } from "./common";

const { values } = numberFlags(process.argv.slice(2), { seconds: { min: 0.1, max: 600, whole: false } });
const SECONDS = values.seconds ?? 4;

/** A day of `n` tasks for a few cooks: chains of hands-on work, rests and oven loads, due towards its end. */
function kitchen(n: number, seed: number): ProblemInput {
  const chance = seeded(seed);
  const horizon = 200 + n * 8;
  const tasks: ProblemInput["tasks"] = [];
  for (let i = 0; i < n; i++) {
    const last = i % 4 === 3;
    const minutes = 4 + chance.below(16);
    const after = i % 4 > 0 ? [{ task: `t${i - 1}`, max: 60 + chance.below(60) }] : [];
    const kinds = [
      { duration: minutes, uses: [{ resource: ["ada", "ben", "cyd"] }, { resource: "bowls" }] },
      { duration: [minutes * 2, minutes * 5] as [number, number], stretchCost: 0.1, uses: [{ resource: "trays" }] },
      {
        duration: minutes + 8,
        uses: [
          { resource: "oven", setting: 180 + 20 * chance.below(3) },
          { resource: ["ada", "ben"], from: 0, minutes: [1, 2] },
        ],
      },
      { duration: { of: 0, minutes: [minutes, minutes + 3] }, uses: [{ resource: ["ada", "ben"] }] },
    ];
    tasks.push({
      id: `t${i}`,
      after,
      ...kinds[i % 4],
      ...(last && { due: horizon - chance.below(horizon >> 1), earlyCost: 0.5, lateCost: 5 }),
    });
  }
  return {
    format: "unisynth-problem/1",
    horizon: horizon + 240,
    resources: [
      ...["ada", "ben", "cyd"].map((id) => ({ id, kind: "pool" as const, capacity: 1 })),
      { id: "bowls", kind: "pool", capacity: 4 },
      { id: "trays", kind: "pool", capacity: 6 },
      { id: "oven", kind: "chamber", slots: 2, start: 20, heat: 10, cool: 5 },
    ],
    tasks,
    costs: { span: 0.2 },
  };
}

/** Fisher and Thompson's 6 × 6 job-shop as pools: machine and minutes of each operation, a line a job. Optimum 55. */
const SIX = [
  "2 1 0 3 1 6 3 7 5 3 4 6",
  "1 8 2 5 4 10 5 10 0 10 3 4",
  "2 5 3 4 5 8 0 9 1 1 4 7",
  "1 5 0 5 2 5 3 3 4 8 5 9",
  "2 9 1 3 4 5 5 4 0 3 3 1",
  "1 3 3 3 5 9 0 10 4 4 2 1",
];

function jobShop(rows: readonly string[]): ProblemInput {
  const jobs = rows.map((row) => row.split(" ").map(Number));
  const machines = jobs[0].length / 2;
  return {
    format: "unisynth-problem/1",
    horizon: jobs.flat().reduce((a, b) => a + b, 0),
    resources: Array.from({ length: machines }, (_, m) => ({ id: `m${m}`, kind: "pool", capacity: 1 })),
    tasks: jobs.flatMap((job, j) =>
      Array.from({ length: machines }, (_, k) => ({
        id: `j${j}-${k}`,
        duration: job[2 * k + 1],
        uses: [{ resource: `m${job[2 * k]}` }],
        after: k > 0 ? [{ task: `j${j}-${k - 1}` }] : [],
      })),
    ),
    costs: { makespan: 1 },
  };
}

const example = (name: string): ProblemInput => JSON.parse(readFileSync(`tests/examples/${name}.problem.json`, "utf8"));
const INSTANCES: readonly [name: string, problem: ProblemInput, best?: number][] = [
  ["first-loaf", example("first-loaf"), 62.5],
  ["two-heats", example("two-heats"), 180],
  ["mixed-crew", example("mixed-crew"), 111.5],
  ["supper-for-thirty", example("supper-for-thirty"), 405.5],
  ["job-shop 6x6", jobShop(SIX), 55],
  ...[12, 40, 120, 400].map((n): [string, ProblemInput] => [`kitchen ${n}`, kitchen(n, n)]),
];

const cell = (text: string | number, width: number) => String(text).padStart(width);
console.log(
  `${"instance".padEnd(20)}${["tasks", "status", "cost/best", "cost/bound", "first/cost", "first s/limit", "5 % at", "1 % at"].map((h) => cell(h, 14)).join("")}`,
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
    console.log(`${name.padEnd(20)}${cell(parsed.value.tasks.length, 14)}${cell("none found", 14)}`);
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
    shareOf(within(0.01)),
  ];
  console.log(`${name.padEnd(20)}${row.map((text) => cell(text, 14)).join("")}`);
}
console.log(`Times are shares of the limit of ${SECONDS} s; "best" is the proven optimum or the best known.`);
