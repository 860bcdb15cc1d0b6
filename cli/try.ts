import { readFileSync } from "node:fs";
import { parseProblem } from "../src/core/schedule/problem";
import { solve } from "../src/core/schedule/solve";
import { verify } from "../src/core/schedule/verify";
for (const f of process.argv.slice(3)) {
  const p = parseProblem(JSON.parse(readFileSync(f, "utf8")));
  if (!p.ok) { console.log(f, p.issues); continue; }
  for (let seed = 1; seed <= 3; seed++) {
    const t0 = performance.now(); let firstAt = 0, firstCost = 0, lastAt = 0;
    const s = solve(p.value, { now: () => performance.now(), seconds: Number(process.argv[2]), seed, better: (x) => { lastAt = performance.now() - t0; if (!firstAt) { firstAt = lastAt; firstCost = x.cost; } } });
    console.log(f.split("/").pop(), seed, s.status, "cost", s.cost, "bound", s.bound, "first", firstCost, firstAt.toFixed(0), "last", lastAt.toFixed(0), "t", (performance.now() - t0).toFixed(0), s.why.join(" | "), verify(p.value, s).slice(0, 3).map((v) => v.text).join(";"));
  }
}
