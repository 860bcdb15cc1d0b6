import { parseProblem } from "@/core/schedule/problem";
import { compile } from "@/core/schedule/model";
import { Search } from "@/core/schedule/search";
import { LearningSearch } from "@/core/schedule/learning/learning-search";
import { seeded } from "@/core/shared/random";
import { readFileSync } from "node:fs";
for(const n of process.argv[2].split(",")){
const p=parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`,"utf8"))); if(!p.ok) throw 1;
const m=compile(p.value); const s=new Search(m,seeded(1)); s.clear();
for(let k=0;k<5;k++){const t=performance.now(); const l=new LearningSearch(m,s.windows.lo,s.windows.hi,seeded(1)) as any; console.log(n,m.n,m.horizon,(performance.now()-t).toFixed(1),"ms vars",l.built.engine.vars);}
}
