import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { readFileSync, writeFileSync } from "node:fs";
const [names, secs="8", seeds="1,2", out] = process.argv.slice(2);
const T=+secs; const marks=[T/8,T/4,T/2,T]; const rows:any[]=[];
for(const n of names.split(",")) for(const seed of seeds.split(",").map(Number)){
  const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
  const t0=performance.now(); const el=()=>(performance.now()-t0)/1000;
  const s=new Solver(p.value,seed); const b=new Budget({now:()=>performance.now(),seconds:T});
  const pts:[number,number][]=[]; const note=()=>pts.push([el(),s.solution().cost]);
  if(s.findFirst(b)==="found"){note(); s.improve(b,note);}
  rows.push({n,seed,at:marks.map(m=>pts.filter(x=>x[0]<=m).at(-1)?.[1]??1e9),bound:s.bound,first:pts[0]?.[0]});
}
writeFileSync(out,JSON.stringify(rows));
