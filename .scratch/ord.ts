import { parseProblem } from "@/core/schedule/problem";
import { Solver } from "@/core/schedule/solver";
import { Budget } from "@/core/schedule/budget";
import { readFileSync } from "node:fs";
const n=process.argv[2];
const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
const s=new Solver(p.value,1) as any; s.findFirst(new Budget({now:()=>performance.now(),seconds:5})); s.retimed(s.best);
for(let k=0;k<15;k++){const t=performance.now(); for(let i=0;i<100;i++) s.orders.of(s.best); console.log((performance.now()-t)/100);}
