import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { readFileSync } from "node:fs";
const [names, secs="10", seeds="1"] = process.argv.slice(2);
for(const n of names.split(",")) for(const seed of seeds.split(",").map(Number)){
  const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
  const s=new Solver(p.value,seed) as any; const b=new Budget({now:()=>performance.now(),seconds:+secs});
  s.findFirst(b);
  const st:any={};
  const wrap=(m:string,key=(a:any[])=>m)=>{const o=s[m].bind(s); s[m]=(...a:any[])=>{const k=key(a); const t=performance.now(); const before=s.best.cost; const r=o(...a); const e=st[k]??={n:0,ms:0,found:0,better:0}; e.n++; e.ms+=performance.now()-t; if(r){e.found++; if(r.cost<before-1e-6) e.better++;} return r;};};
  wrap("diveAnew"); wrap("learnNear"); wrap("learnPiece"); wrap("learnWhole"); wrap("timed");
  s.improve(b,()=>{});
  console.log(n,seed,s.best.cost,s.bound); for(const [k,e] of Object.entries<any>(st)) console.log("  ",k.padEnd(10),"n",e.n,"ms",e.ms.toFixed(0),"per",(e.ms/e.n).toFixed(2),"found",e.found,"better",e.better);
}
