import { readFileSync } from "node:fs";
import { parseProblem } from "../src/core/schedule/problem";
import { compile } from "../src/core/schedule/model";
import { LearningSearch } from "../src/core/schedule/learning/learning-search";
import { seeded } from "../src/core/shared/random";
import { Search } from "../src/core/schedule/search";
const raw = JSON.parse(readFileSync(process.argv[2], "utf8"));
const p = parseProblem(raw.problem ?? raw);
if (!p.ok) throw p;
const model = compile(p.value);
const seed = Number(process.argv[3] ?? 1);
const chance = seeded(seed);
const search = new Search(model, chance);
console.log("stuck", search.stuck, "n", model.n);
if (search.stuck >= 0) process.exit();
const t0 = performance.now();
const ls = new LearningSearch(model, search.windows.lo, search.windows.hi, chance);
console.log("built", Math.round(performance.now() - t0), "bound", search.costBound());
let best: any;
const until = Number(process.argv[4] ?? 10) * 1000;
const lateAll = process.argv[5] === "late";
while (performance.now() - t0 < until) {
  const r = ls.run({ limit: best ? best.cost - 1e-6 : 1e15, conflicts: 1e9, spent: () => performance.now() - t0 > until, late: (i) => lateAll, like: best });
  console.log(r.kind, r.kind === "found" ? r.schedule.cost : "", Math.round(performance.now() - t0), "ms", ls.conflicts, "conflicts");
  if (r.kind !== "found") break;
  best = r.schedule;
}
