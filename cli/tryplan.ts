import { readFileSync, writeFileSync } from "node:fs";
import { parseRequest, makePlan } from "../src/core/plan/make-plan";
import { issueText } from "../src/core/shared/issue-text";
import { verify } from "../src/core/schedule/verify";
const D = "/work/shared/demo/";
const read = (f: string) => JSON.parse(readFileSync(D + f, "utf8"));
const gs = read("gatherings.json").gatherings, ks = read("kitchens.json").kitchens, rs = read("recipes.json").recipes;
for (const g of gs) {
  if (process.argv[2] && !g.id.startsWith(process.argv[2])) continue;
  const input = { format: "unisynth-request/1", today: "2026-11-24", items: rs, kitchen: ks.find((k: any) => k.id === g.kitchen), gathering: g, solve: { seconds: Number(process.argv[3] ?? 5), seed: Number(process.argv[4] ?? 1) } };
  writeFileSync(`/tmp/${g.id}.request.json`, JSON.stringify(input));
  const r = parseRequest(input);
  if (!r.ok) { console.log(r.issues.map(issueText)); continue; }
  const t0 = performance.now(); let first = 0; let cost0 = 0; let prog: any;
  const plan = makePlan(r.value, { now: () => performance.now(), better: (p) => { if (!first) { first = performance.now() - t0; cost0 = p.solution.cost; } }, progress: (s) => { prog = s; } });
  writeFileSync(`/tmp/${g.id}.plan.json`, JSON.stringify(plan, null, 1));
  console.log(g.id, plan.problem.tasks.length, "tasks", plan.solution.status, "cost", cost0, plan.solution.cost, plan.solution.bound, "first ms", first.toFixed(0), plan.solution.why, JSON.stringify(prog));
  console.log(verify(plan.problem, plan.solution).slice(0, 5).map((v) => v.text), plan.serves, plan.notes);
}
