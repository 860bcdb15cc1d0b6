import { demoInput, expectRequest } from "@tests/demo";
import { replan } from "@/core/schedule/replan";
import { makePlan } from "@/core/plan/make-plan";
import { slipOf } from "@/core/plan/slip";
const plan = makePlan(expectRequest(demoInput("first-try", { solve: { seed: 1, iterations: 200 } })), { now: () => 0 });
const bakes = plan.solution.tasks.filter((task) => task.id.includes("bake"));
console.log(bakes.map(b=>[b.id,b.start,b.end]), plan.problem.horizon, JSON.stringify(plan.problem.resources[0]));
for (const m of [5,15,30,60]) { const r=replan(plan.problem, plan.solution, slipOf(plan, bakes.at(-1)!.id, m), { now: () => performance.now(), seconds:1.5 }); console.log(m,r.solution.status,r.solution.why,r.late,r.moves.length,r.broken); }
console.log(plan.solution.tasks.filter(t=>t.end>bakes.at(-1)!.start).map(t=>[t.id,t.start,t.end]), plan.problem.tasks.filter(t=>t.earliest||t.latest).map(t=>[t.id,t.earliest,t.latest]));
