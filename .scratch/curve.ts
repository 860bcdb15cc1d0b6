import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { verify } from "@/core/schedule/verify";
import { readFileSync } from "node:fs";
const [names, secs="10", seeds="1,2"] = process.argv.slice(2);
const T=+secs; const marks=[1,2,5,10,30,60,120].filter(x=>x<=T);
for(const n of names.split(",")) for(const seed of seeds.split(",").map(Number)){
  const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw new Error(JSON.stringify(p.issues[0]));
  const t0=performance.now(); const el=()=>(performance.now()-t0)/1000;
  const s=new Solver(p.value,seed); const b=new Budget({now:()=>performance.now(),seconds:T});
  const pts:[number,number][]=[]; const note=()=>pts.push([el(),s.solution().cost]);
  const f=s.findFirst(b); if(f==="found"){note(); s.improve(b,note);}
  const r=s.solution(); const at=(m:number)=>{const q=pts.filter(x=>x[0]<=m).at(-1); return q?q[1].toFixed(1):"-"};
  const v=r.tasks.length?verify(p.value,r).length:-1;
  console.log(n.padEnd(14),`s${seed}`,`first ${pts[0]?.[0].toFixed(2)}s ${pts[0]?.[1].toFixed(0)}`.padEnd(20),marks.map(m=>`${m}s ${at(m)}`).join("  "),`b ${r.bound.toFixed(1)} ${r.status} end ${el().toFixed(1)} viol ${v}`);
}
