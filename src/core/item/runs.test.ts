import { makeItem } from "./making/make-item";
import { RecipeInputSchema } from "./making/recipe-input";
import { remake } from "./making/remake";
import { isProvisional } from "./gaps";
import { runYield, withRun } from "./runs";
import { editStep } from "./step-edit";
import { whatChanged } from "./what-changed";

const made = makeItem(
  RecipeInputSchema.parse({
    name: "Pies",
    makes: 18,
    dough: ["300 g flour", "160 g butter", "90 g water"],
    fillings: ["500 g apples"],
    finish: ["1 egg"],
    method: ["Chill 1 hour. Fill. Bake in the oven until golden."],
  }),
  { taken: [] },
);
if (!made.ok) throw new Error(JSON.stringify(made.issues));
const { item } = made.value;

test("what a batch yields is provisional until it was made, then the middle of its runs", () => {
  expect(runYield(item)).toEqual({ runs: 0 });
  expect(isProvisional(item)).toBe(true);
  const once = withRun(item, { on: "2026-03-07", pieces: 19 });
  expect([runYield(once), isProvisional(once)]).toEqual([{ runs: 1, pieces: 19, plusMinus: 0 }, true]);
  const twice = withRun(once, { on: "2026-03-14", pieces: 21, note: "thinner" });
  expect(runYield(twice)).toEqual({ runs: 2, pieces: 20, plusMinus: 1 });
  // What was guessed has been tried by now; a line that is not understood stays open all the same.
  expect(isProvisional(twice)).toBe(false);
  expect(isProvisional({ ...twice, gaps: [{ id: "a", in: "filling", text: "some of it" }] })).toBe(true);
});

test("a version tells in what it differs from the one before", () => {
  expect(whatChanged(item, { ...item })).toEqual([]);
  const [butter] = item.dough.parts[0].components.filter(({ name }) => name === "butter");
  const richer = {
    ...item,
    name: "Rich pies",
    dough: {
      ...item.dough,
      parts: [
        {
          ...item.dough.parts[0],
          components: item.dough.parts[0].components.map((c) => (c === butter ? { ...c, grams: 180 } : c)),
        },
      ],
    },
  };
  expect(whatChanged(item, richer)).toEqual([
    { code: "name", from: "Pies", to: "Rich pies" },
    { code: "line", name: "butter", from: 160, to: 180 },
  ]);
  const longer = editStep(item, "rest-dough", { restTarget: 90 });
  expect(longer.ok && whatChanged(item, longer.value)).toEqual([{ code: "step", kind: "chill", from: 60, to: 90 }]);
  const unwashed = remake(item, { choices: { wash: "none" } })!.item;
  expect(whatChanged(item, unwashed)).toEqual(
    expect.arrayContaining([
      { code: "line", name: "egg", from: 51, to: 0 },
      { code: "choice", school: "wash", to: "none" },
      { code: "step-gone", kind: "glaze" },
    ]),
  );
  expect(whatChanged(item, withRun(item, { on: "2026-03-07", pieces: 19 }))).toEqual([{ code: "run", pieces: 19 }]);
});
