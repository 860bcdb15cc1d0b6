import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { readFileSync } from "node:fs";
const [names, secs="8", seeds="1"] = process.argv.slice(2);
for(const n of names.split(",")) { const st:any={};
 for(const seed of seeds.split(",").map(Number)){
  const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
  const s=new Solver(p.value,seed) as any; const b=new Budget({now:()=>performance.now(),seconds:+secs});
  s.findFirst(b);
  const L=s.learning; const o=L.run.bind(L);
  L.run=(op:any)=>{ if(!op.keep) return o(op); let f=0; for(let i=0;i<s.model.n;i++) if(!op.keep(i)) f++; const t=performance.now(); const r=o(op); const k=(globalThis as any).KIND+" "+String(Math.floor(f/10)*10).padStart(2); const e=st[k]??={n:0,ms:0,found:0,none:0,gain:0}; e.n++; e.ms+=performance.now()-t; if(r.kind=="found"){e.found++; e.gain+=s.best.cost-r.schedule.cost;} if(r.kind=="none") e.none++; return r;};
  s.improve(b,()=>{});
  console.log(n,seed,s.best.cost);
 }
 for(const k of Object.keys(st).sort()){const e=st[k]; console.log("  ",k,"n",e.n,"ms/run",(e.ms/e.n).toFixed(1),"found",e.found,"none",e.none,"gain/s",(1000*e.gain/e.ms).toFixed(2));}
}
