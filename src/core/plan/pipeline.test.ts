import { noteText, refusalTexts } from "./reason-text";
import fc from "fast-check";
import { demoInput, demoItem, demoKitchen, DEMO_GATHERINGS, expectRequest, TODAY } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { makePlan } from "./pipeline";
import { parseRequest } from "./request-check";
import { quantitiesOf } from "./quantities";
import { isProvenNo, type Plan } from "./schema";

/** Without a clock the plan depends on the request alone. */
const options = { now: () => 0 };
const planOf = (input: unknown): Plan => makePlan(expectRequest(input), options);

describe("the demo gatherings", () => {
  const plans = new Map(DEMO_GATHERINGS.map((id) => [id, planOf(demoInput(id))]));

  test.each(DEMO_GATHERINGS)("%s has a plan that keeps every rule", (id) => {
    const plan = plans.get(id)!;
    expect(plan.solution.status).not.toBe("infeasible");
    expect(brokenRules(expectRequest(demoInput(id)), plan)).toEqual([]);
  });

  test.each(DEMO_GATHERINGS)(
    "%s: going on from a plan begins no worse than it was, and one of other tasks is left aside",
    (id) => {
      const old = plans.get(id)!;
      const request = expectRequest(demoInput(id));
      const told: Plan[] = [];
      const plan = makePlan(request, { ...options, from: old, better: (better) => told.push(better) });
      expect(told[0].solution.cost).toBeLessThanOrEqual(old.solution.cost);
      expect(plan.solution.cost).toBeLessThanOrEqual(told[0].solution.cost);
      expect(brokenRules(request, plan)).toEqual([]);
      const other = plans.get(DEMO_GATHERINGS.find((name) => name !== id)!)!;
      expect(makePlan(request, { ...options, from: other }).solution).toEqual(old.solution);
    },
  );

  test("a slow machine is no reason to say that there is no plan: it looks as long as it has tried little", () => {
    const request = expectRequest(demoInput("launch-night", { solve: { seconds: 20, seed: 1 } }));
    // A second goes by whenever somebody looks at the clock: some twenty times as slow as a good machine.
    const slowClock = () => {
      let looked = 0;
      return () => 1000 * looked++;
    };
    const cutOff = makePlan(request, { now: slowClock() });
    expect(cutOff.solution.status).toBe("infeasible");
    expect(isProvenNo(cutOff)).toBe(false);
    const found = makePlan(request, { now: slowClock(), patience: 150 });
    expect(found.solution.status).not.toBe("infeasible");
    expect(brokenRules(request, found)).toEqual([]);
  });

  test("a serving time that is moved keeps the order of the plan at hand", () => {
    const old = plans.get("first-try")!;
    const input = demoInput("first-try");
    const [lunch] = input.gathering.waves!;
    const request = expectRequest({ ...input, gathering: { ...input.gathering, waves: [{ ...lunch, time: "13:15" }] } });
    const plan = makePlan(request, { ...options, from: old });
    expect(brokenRules(request, plan)).toEqual([]);
    const starts = ({ solution }: Plan) =>
      [...solution.tasks].sort((a, b) => a.start - b.start || (a.id < b.id ? -1 : 1)).map((t) => t.id);
    expect(starts(plan)).toEqual(starts(old));
  });

  test("the supper makes the pieces that fill carriers, with what some do not eat given back", () => {
    const supper = plans.get("launch-night")!.pieces.map((p) => [p.for, p.item, p.pieces]);
    expect(supper).toEqual([
      ["supper", "bow-seat-bun", 36],
      ["supper", "hawser-coil", 18],
      ["supper", "mooring-bun", 36],
      ["supper", "oarlock-turnover", 42],
      ["freezer", "oarlock-turnover", 30],
      ["sweet", "buoy-round", 40],
      ["sweet", "compass-tartlet", 20],
      ["freezer", "slipway-pie", 24],
    ]);
  });

  test("plant rounds go into the oil before anything that would spoil it, so nothing is noted", () => {
    expect(plans.get("launch-night")!.notes).toEqual([]);
  });

  test("two goes of turkey dough stay below the mixer's 1.6 kg", () => {
    const doughs = plans.get("launch-night")!.batches.filter((b) => b.item === "bow-seat-bun" && b.part === "dough");
    expect(doughs.map((b) => b.pieces)).toEqual([24, 12]);
    for (const { totalG } of doughs) expect(totalG).toBeLessThanOrEqual(1600);
  });

  test("the oven without a fan is set 20 °C higher", () => {
    const bake = plans.get("first-try")!.problem.tasks.find((t) => t.id.includes("a-bake"))!;
    expect(bake.uses.find((u) => u.setting !== undefined)?.setting).toBe(210);
  });

  test("what was done the day before has no tasks, but its weights are listed", () => {
    const plan = plans.get("launch-night")!;
    expect(Object.values(plan.tasks).some((t) => t.step === "h-bake")).toBe(false);
    expect(plan.batches.find((b) => b.item === "compass-tartlet" && b.part === "filling")?.ahead).toBe(true);
  });

  test("the same request gives the same plan", () => {
    expect(JSON.stringify(planOf(demoInput("first-try")))).toBe(JSON.stringify(plans.get("first-try")));
  });
});

/** One or two items in the boathouse with long hours, for some guests and perhaps the freezer. */
const anyGathering = fc
  .record({
    items: fc.uniqueArray(
      fc.constantFrom("slipway-pie", "bow-seat-bun", "mooring-bun", "oarlock-turnover", "buoy-round", "hawser-coil"),
      { minLength: 1, maxLength: 2 },
    ),
    adults: fc.integer({ min: 1, max: 14 }),
    vegans: fc.integer({ min: 0, max: 3 }),
    frozen: fc.integer({ min: 0, max: 20 }),
    beginner: fc.boolean(),
    trays: fc.integer({ min: 4, max: 6 }),
    room: fc.constantFrom(18, 22, 26),
  })
  .map(({ items, adults, vegans, frozen, beginner, trays, room }) => {
    const kitchen = structuredClone(demoKitchen("boathouse"));
    const days = [{ day: 0, from: "06:00", to: "23:00" }];
    return {
      format: "unisynth-request/1",
      today: TODAY,
      items: items.map((id) => demoItem(id)),
      kitchen: {
        ...kitchen,
        breaks: [],
        roomC: [{ from: "06:00", to: "23:00", c: room }],
        cooks: [
          { ...kitchen.cooks[0], hours: days },
          { ...kitchen.cooks[1], notFor: [], hours: days, skill: beginner ? "beginner" : "experienced" },
        ],
        equipment: { ...kitchen.equipment, tray: { count: trays, mm: [400, 300] } },
      },
      gathering: {
        id: "any",
        name: "Any",
        date: { on: "2026-12-05" },
        guests: [
          { count: adults, age: "adult" },
          { count: vegans, age: "teen", diet: ["vegetarian", "vegan"] },
        ],
        waves: [{ id: "w", name: "Supper", time: "18:00", items: items.map((recipe) => ({ recipe })) }],
        freezer: frozen > 0 ? [{ recipe: items[0], pieces: frozen, by: { day: 0, time: "22:30" } }] : [],
      },
      solve: { seed: 1, iterations: 20 },
    };
  });

test("any gathering that is planned keeps every rule; one that is not says why", () => {
  fc.assert(
    fc.property(anyGathering, (input) => {
      const request = expectRequest(input);
      const plan = makePlan(request, options);
      expect(brokenRules(request, plan)).toEqual([]);
      if (plan.solution.status === "infeasible") expect(plan.refusal.length).toBeGreaterThan(0);
    }),
    { numRuns: 25 },
  );
});

describe("more than fits", () => {
  test("sixty guests need a third steamer load that would keep the first waiting too long", () => {
    const input = demoInput("launch-night");
    input.gathering.guests = input.gathering.guests!.map((g) => ({ ...g, count: Math.round((g.count * 60) / 36) }));
    const plan = planOf(input);
    expect(plan.solution.status).toBe("infeasible");
    expect(refusalTexts(plan)[0]).toMatch(/^Mooring buns: \d+ pieces need \d steamer loads of 18/);
    expect(plan.solution.tasks).toEqual([]);
    expect(plan.serves).toEqual([]);
    expect(plan.pieces.length).toBeGreaterThan(0);
  });

  test("no fryer in the kitchen is named", () => {
    const input = demoInput("launch-night");
    const kitchen = structuredClone(demoKitchen("boathouse"));
    const plan = planOf({ ...input, kitchen: { ...kitchen, equipment: { ...kitchen.equipment, fryer: undefined } } });
    expect(refusalTexts(plan).join(" ")).toContain("fry needs a fryer, and this kitchen has none");
  });

  test("a step that no cook may do is named", () => {
    const input = demoInput("first-try");
    const kitchen = demoKitchen("first-kitchen");
    const plan = planOf({ ...input, kitchen: { ...kitchen, cooks: [{ ...kitchen.cooks[0], notFor: ["roll"] }] } });
    expect(refusalTexts(plan)).toContain("Slipway pies: nobody who is there may roll");
  });
});

test("a guest for whom nothing suits is noted with the wave", () => {
  const input = demoInput("first-try");
  input.gathering.guests = [...input.gathering.guests!, { count: 2, age: "adult", diet: ["vegetarian", "vegan"] }];
  const plan = planOf(input);
  expect(plan.notes).toMatchObject([{ code: "unserved-diet", about: ["lunch", "slipway-pie"] }]);
  expect(noteText(plan, plan.notes[0])).toBe("Lunch: 2 guests have nothing to eat (vegetarian, vegan).");
});

test("quantities are there without any timetable", () => {
  const request = expectRequest(demoInput("first-try"));
  const { pieces, batches } = quantitiesOf(request);
  expect(pieces).toMatchObject([{ for: "lunch", pieces: 16, range: [0, 16] }]);
  const dough = batches.find((b) => b.part === "dough")!;
  // 16 pieces of 50 g, 11 % lost on the way.
  expect(dough.totalG).toBeCloseTo((16 * 50) / 0.89, 0);
});

test("nothing wanted is a plan with nothing to do", () => {
  const input = demoInput("first-try");
  const plan = planOf({ ...input, gathering: { ...input.gathering, waves: [] } });
  expect(plan.solution).toMatchObject({ status: "optimal", tasks: [] });
});

test("a request that is no request is refused by field", () => {
  const parsed = parseRequest({ ...demoInput("first-try"), today: "soon" });
  expect(parsed.ok ? [] : parsed.issues.map((i) => i.path)).toEqual([["today"]]);
});
