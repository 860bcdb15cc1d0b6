import { demoGathering, demoInput, expectRequest } from "@tests/demo";
import { bowlsOf } from "@/core/batching/bowls";
import { weighingsOf, weightKey } from "@/core/batching/batches";
import { quantitiesOf } from "@/core/plan/quantities";
import { daySheets } from "./quantities.view-model";

const quantities = (guests: number) =>
  quantitiesOf(
    expectRequest(
      demoInput("launch-night", { gathering: { ...demoGathering("launch-night"), guests: [{ count: guests, age: "adult" }] } }),
    ),
  );
const linesOf = (guests: number) =>
  daySheets(quantities(guests), undefined).flatMap(({ groups }) => groups.flatMap(({ lines }) => lines));

test("what is ticked off at the scale is what a step on the day asks for", () => {
  const q = quantities(30);
  const asked = weighingsOf(q.batches).flatMap((batch) => batch.ingredients.map((line) => weightKey(batch, line)));
  const ticked = new Set(linesOf(30).map(({ key }) => key));
  expect(asked.length).toBeGreaterThan(0);
  expect(asked.filter((key) => !ticked.has(key))).toEqual([]);
});

test("other grams are another weight: what was weighed out for thirty guests is not ticked for thirty-six", () => {
  const grams = new Map(linesOf(30).map(({ key, grams }) => [key, grams]));
  const more = linesOf(36);
  for (const line of more) expect(grams.get(line.key) ?? line.grams).toBe(line.grams);
  expect(more.filter(({ key }) => !grams.has(key)).length).toBeGreaterThan(0);
});

test("what goes in at one moment shares a bowl, what is for the pan before it is hot", () => {
  const names = daySheets(quantities(30), undefined).flatMap(({ groups }) => groups.map(({ name }) => name));
  expect(names).toContain("First bowl: ready before the heat is on");
  expect(names).toContain("Second bowl: when it is off the heat");
});

test("raw meat stands in a bowl of its own, and what is stirred in raw in another", () => {
  const filling = [
    { name: "minced pork", grams: 500, cook: false },
    { name: "ginger", grams: 10, cook: false },
    { name: "soy sauce", grams: 20, cook: false },
  ].map((line, k) => ({ ...line, id: `c${k}` }));
  const bowls = bowlsOf(filling, { filling: { components: filling } } as never);
  expect(bowls.map(({ name, lines }) => [name, lines.map((line) => line.name)])).toEqual([
    ["Raw, in a bowl of its own: cold until it goes in", ["minced pork"]],
    ["Another bowl: all the rest", ["ginger", "soy sauce"]],
  ]);
});
