import { jobShop } from "@tests/job-shops";
import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { SHOPS } from "./shops2";
for (const [n,[opt,t]] of Object.entries(SHOPS)) {
  const rows=t.split("\n");
  for (const r of rows){const a=r.split(" ").map(Number); const ms=a.filter((_,i)=>i%2==0); if(new Set(ms).size!==ms.length||ms.length!==rows[0].split(" ").length/2) console.log(n,"BAD",r);}
  const out=[];
  for (const seed of [1,2,3]) {
    const p=parseProblem(jobShop(rows)); if(!p.ok) throw 1;
    const s=new Solver(p.value,seed); const t0=performance.now();
    const b=new Budget({now:()=>performance.now(),seconds:10});
    s.findFirst(b); let at=0; s.improve(b,()=>{at=performance.now()-t0});
    const r=s.solution(); out.push(`${r.cost} ${r.status} b${r.bound} @${(at/1000).toFixed(1)} end ${((performance.now()-t0)/1000).toFixed(1)}`);
  }
  console.log(n,opt,out.join(" | "));
}
