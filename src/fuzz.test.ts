import fc from "fast-check";
import { verify } from "@/core/schedule/verify";
import { anyRequest } from "@tests/any-request";
import { makePlan } from "@/core/plan/pipeline";
import { parseRequest } from "@/core/plan/request-check";
import { writeFileSync } from "node:fs";
function steadyClock(): () => number { let at = 0; return () => (at += 0.05); }
test("x", () => {
  const n = Number(process.env.RUNS ?? 2000);
  const why = new Map<string, number>(); const errs = new Map<string, [number, unknown, string]>(); const slow: [number, number][] = []; let passed = 0, feasible = 0, k = 0;
  for (const input of fc.sample(anyRequest, { numRuns: n, seed: Number(process.env.SEED ?? 1) })) {
    k++;
    const at = performance.now();
    try {
      const parsed = parseRequest(input);
      if (!parsed.ok) { const key = JSON.stringify([parsed.issues[0].code, parsed.issues[0].path.map((q) => typeof q === "number" ? "#" : q).join("."), parsed.issues[0].wanted]); why.set(key, (why.get(key) ?? 0) + 1); continue; }
      passed++;
      const plan = makePlan({ ...parsed.value, solve: { seconds: 0.05, seed: 1 } }, { now: steadyClock() });
      if (plan.solution.status !== "infeasible") { feasible++; const v = verify(plan.problem, plan.solution); if (v.length) throw new Error("verify " + v[0].rule); }
    } catch (e) { const m = String((e as Error).message).replace(/\d+(\.\d+)?/g, "N").slice(0, 260); const stack = String((e as Error).stack).split("\n").filter((l) => l.includes("src/core")).slice(0, 6).join("\n"); const o = errs.get(m); errs.set(m, [(o?.[0] ?? 0) + 1, o?.[1] ?? input, o?.[2] ?? stack]); }
    const took = performance.now() - at; if (took > 300) slow.push([k, Math.round(took)]);
  }
  let i = 0; for (const [, [, input]] of errs) writeFileSync(`/tmp/fuzz-${i++}.json`, JSON.stringify(input));
  writeFileSync("/tmp/fuzz.txt", [`passed ${passed} feasible ${feasible} of ${n}`, "refused: ", ...[...why].sort((a, b) => b[1] - a[1]).slice(0, 15).map(String), "errors:", ...[...errs].map(([m, [c,, s]]) => `${c} ${m}\n${s}`), "slow " + slow.slice(0, 30).map(String).join(" ; ")].join("\n"));
});
