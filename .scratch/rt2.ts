import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import * as O from "@/core/schedule/timing/order";
import { Closure } from "@/core/schedule/timing/closure";
import { readFileSync } from "node:fs";
const [names, secs="3", seeds="1"] = process.argv.slice(2);
let bests=0,bms=0,phases=0;
const ob=Closure.prototype.best; (Closure.prototype as any).best=function(...a:any[]){bests++; const t=performance.now(); const r=(ob as any).apply(this,a); bms+=performance.now()-t; return r;};
const ol=(Closure.prototype as any).levels; (Closure.prototype as any).levels=function(...a:any[]){phases++; return ol.apply(this,a);};
for(const n of names.split(",")) for(const seed of seeds.split(",").map(Number)){
  const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
  const s=new Solver(p.value,seed) as any; const b=new Budget({now:()=>performance.now(),seconds:+secs});
  s.findFirst(b); bests=bms=phases=0; let k=0,ms=0; const o=s.retimed.bind(s); s.retimed=(x:any)=>{const t=performance.now(); const r=o(x); ms+=performance.now()-t; k++; return r;};
  s.improve(b,()=>{});
  const t=performance.now(); const ord=s.orders.of(s.best); for(let i=0;i<9;i++) s.orders.of(s.best); const om=(performance.now()-t)/10;
  console.log(n,"retimes",k,"ms/retime",(ms/k).toFixed(2),"steps",(bests/k).toFixed(1),"phases/step",(phases/bests).toFixed(1),"ms/step",(bms/bests).toFixed(3),"order ms",om.toFixed(2),"arcs",ord.from.length,"own",ord.own);
}
