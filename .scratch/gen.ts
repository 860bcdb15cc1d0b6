import { demoInput, demoItem, demoKitchen, expectRequest, TODAY, DEMO_GATHERINGS } from "@tests/demo";
import { quantitiesOf } from "@/core/plan/make-plan";
import { kitchen } from "@tests/kitchens";
import { seeded } from "@/core/shared/random";
import { writeFileSync, mkdirSync, readFileSync } from "node:fs";
mkdirSync("/tmp/inst",{recursive:true});
const save=(n:string,p:any)=>{writeFileSync(`/tmp/inst/${n}.json`,JSON.stringify(p)); console.log(n,p.tasks.length)};
for(const g of DEMO_GATHERINGS) save(g, quantitiesOf(expectRequest(demoInput(g))).expansion.problem);
save("supper30", JSON.parse(readFileSync("tests/examples/supper-for-thirty.problem.json","utf8")));
for(const n of [60,100,150,400,800,1500]) for(const s of [1,2]) save(`k${n}-${s}`, kitchen(n,s));
const ids=["slipway-pie","bow-seat-bun","mooring-bun","reed-pocket","oarlock-turnover","buoy-round","hawser-coil","compass-tartlet","keel-moon"];
for(let s=1;s<=24;s++){ const c=seeded(s); const k=1+(s%4); const pick=[...ids].sort(()=>c.unit()-0.5).slice(0,k);
 const kit=demoKitchen("boathouse");
 const req=expectRequest({format:"unisynth-request/1",today:TODAY,items:pick.map(demoItem),kitchen:{...kit,breaks:[],cooks:kit.cooks.slice(0,2+(s%3)).map((x,i)=>({...x,notFor:[],hours:[{day:0,from:"05:00",to:"23:00"}]}))},
 gathering:{id:"g",name:"G",date:{on:"2026-12-05"},waves:[{id:"w",name:"W",time:"19:00",items:pick.map(r=>({recipe:r,pieces:12+12*c.below(3)}))}]},solve:{seed:1,iterations:0}});
 save(`g${s}`, quantitiesOf(req).expansion.problem);
}
