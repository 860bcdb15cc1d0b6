import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { verify } from "@/core/schedule/verify";
import { retime } from "@/core/schedule/timing/retime";
import { readFileSync } from "node:fs";
const [names, secs="2", seeds="1"] = process.argv.slice(2);
for(const n of names.split(",")) for(const seed of seeds.split(",").map(Number)){
  const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
  const s=new Solver(p.value,seed) as any; const b=new Budget({now:()=>performance.now(),seconds:+secs});
  if(s.findFirst(b)!=="found") {console.log(n,"none"); continue;}
  const go=(tag:string)=>{ s.search.clear(); const t0=performance.now(); const r=retime(s.model,s.best,s.search.windows.lo,s.search.windows.hi,2000); const ms=performance.now()-t0;
   const old=s.best; s.best=r; const v=verify(p.value,s.solution()); console.log(n.padEnd(12),tag,old.cost.toFixed(2),"->",r.cost.toFixed(2),ms.toFixed(1)+"ms viol",v.length,v[0]?.text??""); s.best=old; };
  go("first"); s.improve(b,()=>{}); go("after");
}
