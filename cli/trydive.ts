// how many dives / ms to the first schedule
import { readFileSync } from "node:fs";
import { parseProblem } from "../src/core/schedule/problem";
import { solve } from "../src/core/schedule/solve";
import { parseRequest, quantitiesOf } from "../src/core/plan/make-plan";
import { strategies } from "../src/core/plan/strategy";
import { expand } from "../src/core/plan/expand";
const r = parseRequest(JSON.parse(readFileSync(process.argv[2], "utf8")));
if (!r.ok) throw new Error();
const q = quantitiesOf(r.value);
const either = [...new Set(q.expansion.workload.works.filter((w) => w.step.equipment.some((e) => e.or)).map((w) => w.item.id))];
const ways = strategies(either);
const seconds = Number(process.argv[3]);
const only = process.argv[4] ? [Number(process.argv[4])] : ways.map((_, i) => i);
for (const w of only) {
  const e = expand(r.value, q.days, q.demands, ways[w]);
  const p = parseProblem(e.problem);
  if (!p.ok) throw new Error(JSON.stringify(p.issues));
  const out: string[] = [];
  for (let seed = 1; seed <= 5; seed++) {
    const t0 = performance.now(); let pr: any; let got = false;
    const s = solve(p.value, { now: () => performance.now(), seconds, seed, iterations: 0, progress: (x) => { pr = x; }, better: () => { got = true; } });
    out.push((got ? "OK " : "-- ") + (performance.now() - t0).toFixed(0) + "ms " + pr?.iterations + " dives placed " + pr?.placed);
    if (seed === 5) console.log(s.why.join("\n  "));
  }
  console.log("way", w, p.value.tasks.length, "tasks", e.blockers, out.join(" | "));
}
