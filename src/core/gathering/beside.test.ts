import fc from "fast-check";
import { demoInput, demoItem, demoKitchen, expectRequest } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { makePlan } from "../plan/pipeline";
import { parseRequest } from "../plan/request-check";
import { planTaskText } from "../plan/task-text";
import { BESIDE_DEFAULTS, besideAmounts, BesideSchema } from "./beside";

const dip = BesideSchema.parse({
  ...BESIDE_DEFAULTS.dip,
  id: "dip",
  name: "Yogurt dip",
  wave: "w",
  parts: [
    { name: "yogurt", ratio: 3 },
    { name: "herb dust of nobody", ratio: 2 },
  ],
});
const drink = BesideSchema.parse({ ...BESIDE_DEFAULTS.drink, id: "drink", name: "Hot apple drink", wave: "w" });

test("a dip of 3 to 2, 12 ml for each of 55 pieces: 660 ml, 396 and 264; what is in it is said, and what is not known", () => {
  const [amount] = besideAmounts([dip], () => 55, 0);
  expect(amount.total).toBe(660);
  expect(amount.parts.map(({ amount: ml }) => ml)).toEqual([396, 264]);
  expect(amount.contains).toContain("milk");
  expect(amount.unknown).toEqual(["herb dust of nobody"]);
  expect(amount.parts[0].grams).toBeGreaterThan(380);
  expect(amount.parts[1].grams).toBeUndefined();
});

test("parts come to the whole", () =>
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 50 }), { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 1, max: 300 }),
      (ratios, pieces) => {
        const parts = ratios.map((ratio, i) => ({ name: `part ${i}`, ratio }));
        const [{ total, parts: made }] = besideAmounts([{ ...dip, parts }], () => pieces, 0);
        expect(made.reduce((sum, part) => sum + part.amount, 0)).toBeCloseTo(total, 0);
      },
    ),
  ));

const input = demoInput("first-try");
const asked = (beside: object[]) => ({
  ...input,
  items: [demoItem("slipway-pie")],
  kitchen: demoKitchen("first-kitchen"),
  gathering: {
    ...input.gathering,
    guests: [{ count: 17, age: "adult" }],
    waves: [{ id: "w", name: "Lunch", time: "13:00", items: [{ recipe: "slipway-pie", pieces: 8 }] }],
    beside,
    rules: [],
    doneAhead: [],
  },
});

test("4.25 l of a drink for 17 heads is on the burner two hours before it is served, in two pots where one is too small", () => {
  const request = expectRequest(asked([drink]));
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  const cooks = plan.solution.tasks.filter(({ id }) => id.startsWith("beside-drink/cook/"));
  // The kitchen has one pot of 4 l, filled to three quarters.
  expect(cooks).toHaveLength(2);
  const [{ at }] = plan.serves;
  expect(Math.max(...cooks.map(({ end }) => end))).toBeLessThanOrEqual(at - 90);
  expect(Math.max(...cooks.map(({ start }) => start))).toBe(at - 120);
  expect(planTaskText(plan, "beside-drink/prepare")).toBe("Prepare 4.25 l of Hot apple drink");
});

test("a wave that is not there, and a hob that the kitchen lacks, are said", () => {
  const read = parseRequest(asked([{ ...drink, wave: "gone" }]));
  expect(read.ok ? [] : read.issues.map(({ path }) => path.join("."))).toContain("gathering.beside.0.wave");
  const request = expectRequest(asked([drink]));
  const { hob, ...equipment } = request.kitchen.equipment;
  void hob;
  const plan = makePlan({ ...request, kitchen: { ...request.kitchen, equipment } }, { now: () => 0 });
  expect(plan.refusal).toContainEqual(expect.objectContaining({ code: "not-there", equipment: "hob", item: "beside-drink" }));
});
