import { readFileSync } from "node:fs";
import { parseRequest } from "@/core/plan/request-check";
import { quantitiesOf } from "@/core/plan/quantities";
test("x", () => {
  const r = parseRequest(JSON.parse(readFileSync(process.env.F!, "utf8")));
  if (!r.ok) throw 1;
  const q = quantitiesOf(r.value);
  console.log(JSON.stringify({ g: r.value.gathering, steps: r.value.items.map((i) => i.steps), kit: r.value.kitchen.equipment }, null, 0));
  console.log(q.expansion.problem.tasks.map((t) => `${t.id} ${JSON.stringify(t.duration)} ${JSON.stringify(t.uses)}`).join("\n"));
  console.log(q.demands.map((d) => `${d.for} ${d.item.id} ${d.range} ${d.path} ${d.steps.map((s) => s.id + s.lot)}`).join("\n"));
});
