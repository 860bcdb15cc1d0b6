import { ownDay } from "@tests/cooked-day";
import { stepIn } from "../plan/schema";
import { verify } from "../schedule/verify";
import { risesToCome } from "./no-rise";
import { replay } from "./replay";
import { restOfDay } from "./rest-of-day";

test("baking powder in place of dead yeast: no rise is left of the day, and no rule is broken", () => {
  const { plan, said, own } = ownDay(
    {
      name: "Buns",
      makes: 12,
      dough: ["400 g flour", "240 g water", "6 g active dry yeast", "40 g sugar"],
      fillings: ["300 g ham"],
      method: ["Let rise 1 hour. Fill. Let rise 30 min. Bake 20 min at 180 C."],
    },
    12,
  );
  const wake = own.find(({ id }) => stepIn(plan, id)?.id === "wake-yeast")!;
  const began = [said(wake.start, { kind: "started", task: wake.id })];
  const now = wake.start + 12;
  const rises = risesToCome(plan, replay(plan, began), wake.id);
  expect(rises.map((id) => stepIn(plan, id)!.kind).sort()).toEqual(["bulk-rest", "final-proof"]);
  const events = [
    ...began,
    said(now, { kind: "answered", task: wake.id, gate: "froth", seen: { kind: "instead" } }),
    ...rises.map((task) => said(now, { kind: "skipped", task, reason: "baking powder in place of dead yeast" })),
  ];
  const state = replay(plan, events);
  expect(risesToCome(plan, state, wake.id)).toEqual([]);
  const rest = restOfDay(plan, state, now);
  expect(rest.solution.status).not.toBe("infeasible");
  expect(verify(rest.problem, rest.solution)).toEqual([]);
  const at = (id: string) => rest.solution.tasks.find((one) => one.id === id)!;
  for (const rise of rises) expect(at(rise).end - at(rise).start).toBe(0);
});
