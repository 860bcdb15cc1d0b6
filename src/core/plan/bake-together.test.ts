import { expectRequest, supperInput } from "@tests/demo";
import { bakedTogether, sharedBakes } from "../batching/shared-bakes";
import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { verify } from "../schedule/verify";
import { makePlan } from "./pipeline";
import { quantitiesOf } from "./quantities";

const itemAt = (name: string, celsius: number) => {
  const made = makeItem(
    RecipeInputSchema.parse({
      name,
      makes: 12,
      dough: ["300 g flour", "160 g butter", "90 g water"],
      fillings: ["400 g apples"],
      method: ["Cook the apples 10 min.", "Fold over.", `Bake 20 min at ${celsius} C fan.`],
    }),
    { taken: [] },
  );
  if (!made.ok) throw new Error("not made");
  return made.value.item;
};

function requestOf(first: number, second: number, bakeTogether: boolean) {
  const [a, b] = [itemAt("Pale pies", first), itemAt("Brown pies", second)];
  const input = supperInput("launch-night", a, 12, "18:30", { solve: { seed: 1, iterations: 0 } });
  const [wave] = input.gathering.waves;
  return expectRequest({
    ...input,
    items: [a, b],
    gathering: {
      ...input.gathering,
      waves: [{ ...wave, items: [...wave.items, { recipe: b.id, pieces: 12 }] }],
      ...(bakeTogether && { bakeTogether }),
    },
  });
}
const settingsOf = (request: ReturnType<typeof requestOf>) =>
  sharedBakes(quantitiesOf(request).demands).map((one) => one.settingC);

test("170 and 185 °C, each ten either way, share a bake at 177; 165 and 190 do not", () => {
  expect(settingsOf(requestOf(170, 185, false))).toEqual([177]);
  expect(settingsOf(requestOf(165, 190, false))).toEqual([]);
  expect(settingsOf(requestOf(180, 180, false))).toEqual([]);
});

test("what shares a bake is in the oven at once, longer where it is cooler for it and shorter where it is hotter", () => {
  const request = requestOf(170, 185, true);
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(verify(plan.problem, plan.solution)).toEqual([]);
  const bakes = plan.problem.tasks.filter(({ id }) => plan.tasks[id]?.step === "heat");
  expect(bakes.flatMap(({ uses = [] }) => uses.flatMap(({ setting }) => setting ?? []))).toEqual([177, 177]);
  const minutes = (name: string) => {
    const task = plan.solution.tasks.find(({ id }) => id.startsWith(`${name}/heat/`))!;
    return task.end - task.start;
  };
  expect([minutes("pale-pies"), minutes("brown-pies")]).toEqual([19, 22]);
  const told = bakedTogether(quantitiesOf(request).demands).flatMap(
    ({ steps }) => steps.find(({ id }) => id === "heat")?.do ?? [],
  );
  expect(told.every((text) => text.startsWith("With others in one oven: 177 °C"))).toBe(true);
  const apart = makePlan(requestOf(170, 185, false), { now: () => 0 });
  expect(apart.problem.tasks.flatMap(({ uses = [] }) => uses.flatMap(({ setting }) => setting ?? [])).sort()).toEqual([170, 185]);
});
