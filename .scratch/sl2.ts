import { demoInput, expectRequest } from "@tests/demo";
import { replan } from "@/core/schedule/replan";
import { makePlan } from "@/core/plan/make-plan";
import { slipOf, readSlip } from "@/core/plan/slip";
const plan = makePlan(expectRequest(demoInput("launch-night", { solve: { seed: 1, seconds: 8 } })), { now: () => performance.now() });
console.log(plan.solution.cost);
const kn = plan.solution.tasks.filter(t=>plan.tasks[t.id].step).sort((a,b)=>a.start-b.start);
for (const k of [8,30,80,140]) for (const secs of [1.5,4]) { const t0=performance.now(); let first=0; const r=replan(plan.problem, plan.solution, slipOf(plan, kn[k].id, 15), { now: () => performance.now(), seconds:secs, better:()=>{first||=performance.now()-t0;} }); const s=readSlip(plan,kn[k].id,r); console.log(kn[k].id,secs,r.solution.status,"first",first.toFixed(0),"late",JSON.stringify(s.late),"moves",s.moves.length, s.moves.filter(m=>Math.abs(m.to-m.from)>1).length); }
