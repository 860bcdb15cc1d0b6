import fc from "fast-check";
import { demoItem, demoKitchen, expectRequest, TODAY } from "@tests/demo";
import { verify } from "../schedule/verify";
import { weighingsOf } from "../batching/batches";
import { planDays } from "../gathering/calendar";
import { demandsOf } from "../gathering/demands";
import { makePlan } from "./pipeline";
import { quantitiesOf } from "./quantities";
import { KEPT_PLAN_DOCUMENT } from "./kept-plan";
import { planTaskText } from "./task-text";
import { PLAIN } from "../batching/strategy";
import { piecesIn, workloadOf } from "../batching/work";

interface Wanted {
  readonly pieces: readonly [number, number];
  readonly doughG?: readonly [number, number];
  readonly maxDoughG?: number;
  readonly mixTogether?: boolean;
  readonly recipe?: string;
}

/** Tarts and turnovers of one dough, with fillings of their own. */
function two({ pieces, doughG = [35, 65], maxDoughG = 3000, mixTogether = true, recipe = "slipway-pie" }: Wanted) {
  const pie = demoItem(recipe);
  const plain = { ...pie, dough: { ...pie.dough, netLossPct: 0 }, schools: [] };
  const kitchen = demoKitchen("boathouse");
  const item = (id: string, name: string, g: number) => ({ ...plain, id, name, piece: { ...plain.piece, doughG: g } });
  const other = item("turnover", "Turnovers", doughG[1]);
  const [tarts, turnovers] = [
    { recipe: "tart", pieces: pieces[0] },
    { recipe: "turnover", pieces: pieces[1] },
  ];
  return expectRequest({
    format: "unisynth-request/1",
    today: TODAY,
    items: [
      item("tart", "Tarts", doughG[0]),
      {
        ...other,
        // Another name for each step, and another filling: the dough is still the same.
        steps: other.steps.map((step) => ({
          ...step,
          id: `t-${step.id}`,
          after: step.after.map((link) => ({ ...link, step: `t-${link.step}` })),
          do: "in other words",
        })),
        faults: [],
        dough: { ...other.dough },
        finish: other.finish.map((f) => ({ ...f, step: `t-${f.step}` })),
        filling: { ...other.filling, components: other.filling.components.slice(1), variants: [] },
      },
    ],
    kitchen: {
      ...kitchen,
      breaks: [],
      equipment: { ...kitchen.equipment, mixer: { ...kitchen.equipment.mixer!, maxDoughG } },
      cooks: kitchen.cooks.slice(0, 2).map((cook) => ({ ...cook, notFor: [], hours: [{ day: 0, from: "06:00", to: "23:00" }] })),
    },
    gathering: {
      id: "g",
      name: "G",
      date: { on: "2026-12-05" },
      mixTogether,
      waves: [{ id: "w", name: "W", time: "18:00", items: [tarts, turnovers] }],
    },
    solve: { seed: 1, iterations: 0 },
  });
}

const doughSteps = (request: ReturnType<typeof two>) =>
  workloadOf(demandsOf(request, planDays(request)).demands, request.kitchen, PLAIN, request.gathering.mixTogether).works.filter(
    (work) => work.step.part === "dough",
  );

describe("two products from one dough", () => {
  test("1,200 g are mixed once: 420 g for the tarts and 780 g for the turnovers", () => {
    const request = two({ pieces: [12, 12] });
    const mixes = doughSteps(request).filter((work) => work.step.kind === "mix");
    expect(mixes).toHaveLength(1);
    expect(piecesIn(mixes[0])).toBe(24);
    const doughs = quantitiesOf(request).batches.filter((batch) => batch.part === "dough");
    expect(doughs.map((batch) => Math.round(batch.totalG))).toEqual([420, 780]);
    expect(new Set(doughs.map((batch) => batch.together)).size).toBe(1);
    expect(doughs[0].together).toBeDefined();
  });

  test("the timetable has one mixing and one rest, and both items wait for them", () => {
    const request = two({ pieces: [12, 12] });
    const plan = makePlan(request, { now: () => 0 });
    expect(plan.solution.status).not.toBe("infeasible");
    expect(verify(plan.problem, plan.solution)).toEqual([]);
    const ids = Object.keys(plan.tasks);
    const dough = ids.filter((id) =>
      request.items.some((i) => i.steps.some((s) => s.part === "dough" && id.includes(`/${s.id}/`))),
    );
    expect(dough.every((id) => plan.tasks[id].item === "tart" && plan.tasks[id].also![0].item === "turnover")).toBe(true);
    const placed = new Map(plan.solution.tasks.map((task) => [task.id, task]));
    const doughEnd = Math.max(...dough.map((id) => placed.get(id)!.end));
    const first = (item: string) =>
      Math.min(
        ...ids
          .filter((id) => plan.tasks[id].item === item && plan.tasks[id].step && !dough.includes(id))
          .filter((id) => plan.problem.tasks.find((t) => t.id === id)!.after.some((link) => dough.includes(link.task)))
          .map((id) => placed.get(id)!.start),
      );
    for (const item of ["tart", "turnover"]) {
      expect(first(item)).toBeGreaterThanOrEqual(doughEnd);
      expect(first(item)).toBeLessThan(Infinity);
    }
    expect(planTaskText(plan, dough[0])).toMatch(/dough for 12 Tarts and 12 Turnovers/);
  });

  test("at the scale it is one batch that is divided", () => {
    const [dough] = weighingsOf(quantitiesOf(two({ pieces: [12, 12] })).batches).filter((batch) => batch.part === "dough");
    expect(dough.shares).toEqual([
      { item: "tart", pieces: 12, totalG: 420 },
      { item: "turnover", pieces: 12, totalG: 780 },
    ]);
    expect(dough.totalG).toBe(1200);
    expect(dough.ingredients.reduce((sum, line) => sum + line.grams, 0)).toBeCloseTo(1200, 0);
  });

  test("a plan that is kept comes back with what was made together", () => {
    const request = two({ pieces: [12, 12] });
    const plan = makePlan(request, { now: () => 0 });
    const back = KEPT_PLAN_DOCUMENT.schema.parse(JSON.parse(JSON.stringify({ request, plan })));
    expect(back.plan.tasks).toEqual(JSON.parse(JSON.stringify(plan.tasks)));
    expect(back.plan.batches).toEqual(JSON.parse(JSON.stringify(plan.batches)));
  });

  test("apart unless it is asked for", () => {
    const request = two({ pieces: [12, 12], mixTogether: false });
    expect(doughSteps(request).filter((work) => work.step.kind === "mix")).toHaveLength(2);
    expect(quantitiesOf(request).batches.every((batch) => batch.together === undefined)).toBe(true);
  });

  test("a mixer that takes less: every mix holds a share of each, none too much, and no piece is lost", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 300, max: 1500 }),
        (a, b, most) => {
          const request = two({ pieces: [a, b], maxDoughG: most, recipe: "buoy-round" });
          const { batches } = quantitiesOf(request);
          const doughs = batches.filter((batch) => batch.part === "dough");
          const mixed = new Map<string, number>();
          for (const batch of doughs) mixed.set(batch.together!, (mixed.get(batch.together!) ?? 0) + batch.totalG);
          for (const g of mixed.values()) expect(g).toBeLessThanOrEqual(most + 1);
          for (const [item, n] of [
            ["tart", a],
            ["turnover", b],
          ] as const)
            expect(doughs.filter((batch) => batch.item === item).reduce((sum, batch) => sum + batch.pieces, 0)).toBe(n);
        },
      ),
      { numRuns: 60 },
    );
  });
});
