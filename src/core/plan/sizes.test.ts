import fc from "fast-check";
import { demoItem, equipped, expectRequest, supperInput } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { acrossRooms } from "../batching/partition";
import { makePlan } from "./pipeline";
import { planTaskText } from "./task-text";
import { quantitiesOf } from "./quantities";

const rooms = fc.array(fc.record({ count: fc.integer({ min: 0, max: 4 }), pieces: fc.integer({ min: 0, max: 20 }) }), {
  minLength: 1,
  maxLength: 4,
});

test("pieces across rooms of several sizes: all of them, none too full, in as few rounds as can be", () => {
  fc.assert(
    fc.property(rooms, fc.integer({ min: 0, max: 200 }), (sizes, pieces) => {
      const perRound = sizes.reduce((sum, room) => sum + room.count * room.pieces, 0);
      const parts = acrossRooms([5, 5 + pieces], sizes);
      if (perRound === 0) return expect(parts).toEqual([]);
      let at = 5;
      for (const { range, room } of parts) {
        expect(range[0]).toBe(at);
        expect(range[1]).toBeGreaterThan(range[0]);
        expect(range[1] - range[0]).toBeLessThanOrEqual(sizes[room].pieces);
        at = range[1];
      }
      expect(at).toBe(5 + pieces);
      const rounds = Math.ceil(pieces / perRound);
      sizes.forEach(({ count }, i) => expect(parts.filter(({ room }) => room === i).length).toBeLessThanOrEqual(rounds * count));
    }),
  );
});

const day = (gathering: string, recipe: string, pieces: number, equipment: object, time = "21:00") =>
  expectRequest(
    supperInput(gathering, demoItem(recipe), pieces, time, {
      kitchen: equipped(gathering, equipment),
      solve: { seed: 1, iterations: 200 },
    }),
  );

test("two pans of different sizes: each is loaded with what it holds, and both are at work", () => {
  const request = day("quiet-evenings", "reed-pocket", 20, {
    "lidded-pan": { count: 1, mm: 280, others: [{ count: 1, mm: 200 }] },
    hob: { count: 4 },
  });
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  const loads = plan.loads.filter(({ step }) => step === "d-pan");
  expect(new Set(loads.map(({ chamber }) => chamber))).toEqual(new Set(["lidded-pan", "lidded-pan-2"]));
  const small = plan.problem.tasks.find(({ uses }) => uses.some(({ resource }) => resource === "lidded-pan-2"))!;
  expect(planTaskText(plan, small.id)).toContain("pan 200 mm across");
});

test("trays of different sizes, and a small oven beside the large one: lots and loads fit where they go", () => {
  const request = day(
    "first-try",
    "slipway-pie",
    18,
    {
      tray: { count: 1, mm: [400, 300], others: [{ count: 2, mm: [300, 200] }] },
      oven: {
        count: 1,
        shelfPositions: 2,
        startC: 20,
        heatCPerMin: 10,
        coolCPerMin: 2,
        maxC: 250,
        fan: true,
        others: [{ count: 1, shelfPositions: 1, startC: 20, heatCPerMin: 5, coolCPerMin: 2, maxC: 230, fan: true }],
      },
    },
    "13:00",
  );
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  expect(plan.lots.some(({ pool }) => pool === "tray-2")).toBe(true);
  expect(plan.lots.some(({ pool }) => pool === undefined)).toBe(true);
  expect(plan.day.sizes).toEqual({ tray: [400, 300], "tray-2": [300, 200] });
});

test("a heat that only one of two ovens reaches is asked of that one", () => {
  const oven = { shelfPositions: 2, startC: 20, heatCPerMin: 10, coolCPerMin: 2, fan: true };
  const request = day(
    "first-try",
    "slipway-pie",
    12,
    { oven: { count: 1, ...oven, maxC: 150, others: [{ count: 1, ...oven, maxC: 250 }] } },
    "13:00",
  );
  const { problem } = quantitiesOf(request).expansion;
  const heated = problem.tasks.flatMap((task) => (task.uses ?? []).filter(({ setting }) => setting !== undefined));
  expect(heated.length).toBeGreaterThan(0);
  expect(new Set(heated.map(({ resource }) => resource))).toEqual(new Set(["oven-2"]));
});
