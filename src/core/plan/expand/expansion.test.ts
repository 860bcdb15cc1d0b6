import { demoInput, demoItem, demoKitchen, expectRequest, TODAY } from "@tests/demo";
import { planDays } from "../../gathering/calendar";
import { demandsOf } from "../../gathering/demands";
import { expand } from "./expand";
import { makePlan } from "../pipeline";
import { quantitiesOf } from "../quantities";
import { linkWorks } from "./precedences";
import { pantryKey, shoppingList } from "../../batching/shopping-list";
import { PLAIN, strategies } from "../../batching/strategy";
import { wholeFactor } from "./uses";
import { chambersAt } from "../../kitchen/equipment";
import { workloadOf } from "../../batching/work";

const one = (recipe: string, over: Record<string, unknown> = {}, choices: Record<string, string> = {}) =>
  expectRequest({
    format: "unisynth-request/1",
    today: TODAY,
    items: [demoItem(recipe)],
    kitchen: {
      ...demoKitchen("boathouse"),
      breaks: [],
      cooks: demoKitchen("boathouse")
        .cooks.slice(0, 2)
        .map((cook) => ({ ...cook, notFor: [], hours: [{ day: 0, from: "06:00", to: "23:00" }] })),
    },
    gathering: {
      id: "g",
      name: "G",
      date: { on: "2026-12-05" },
      waves: [{ id: "w", name: "W", time: "18:00", items: [{ recipe, pieces: 36, choices }] }],
      ...over,
    },
    solve: { seed: 1, iterations: 0 },
  });
const demands = (request: ReturnType<typeof one>) => demandsOf(request, planDays(request)).demands;
const works = (request: ReturnType<typeof one>, strategy = PLAIN) =>
  workloadOf(demands(request), request.kitchen, strategy).works;
const sizes = (request: ReturnType<typeof one>, step: string, strategy = PLAIN) =>
  works(request, strategy)
    .filter((w) => w.step.id === step)
    .map((w) => w.range[1] - w.range[0]);

describe("mixes, lots and loads", () => {
  test("36 turkey buns are two mixes in whole trays, three trays, one oven load", () => {
    const request = one("bow-seat-bun");
    expect(sizes(request, "b-knead")).toEqual([24, 12]);
    expect(sizes(request, "b-seal")).toEqual([12, 12, 12]);
    expect(sizes(request, "b-bake")).toEqual([36]);
    expect(sizes(request, "b-weigh")).toEqual([36]);
  });
  test("36 steamed buns are two fillings of the steamer, settled in it", () => {
    expect(sizes(one("mooring-bun"), "c-steam")).toEqual([18, 18]);
    expect(sizes(one("mooring-bun"), "c-settle")).toEqual([18, 18]);
  });
  test("fried in full loads, as few as can be", () =>
    expect(sizes(one("oarlock-turnover"), "e-fry")).toEqual([6, 6, 6, 6, 6, 6]));
  test("small loads that cool at once cool load by load, not tray by tray", () => {
    const fried = one("keel-moon", {}, { "i-heat": "fry" });
    expect(sizes(fried, "i-cool")).toEqual(sizes(fried, "i-fry"));
  });
  test("finer parts shape what goes on one tray together; serving in lots sets each out by itself", () => {
    const request = one("slipway-pie");
    expect(sizes(request, "a-fill")).toEqual([36]);
    const trays = sizes(request, "a-seal");
    expect(sizes(request, "a-fill", { ...PLAIN, fineParts: true })).toEqual(trays);
    expect(sizes(request, "a-serve", { ...PLAIN, serveInLots: true })).toEqual(trays);
  });
  test("more tins than there are is two weighings", () => expect(sizes(one("compass-tartlet"), "h-weigh")).toEqual([18, 18]));
  test("the plain way comes first, no way twice", () => {
    const ways = strategies(["mooring-bun", "oarlock-turnover"]);
    expect(ways[0]).toMatchObject({ fineParts: false, serveInLots: false, loadsByMix: false });
    expect(
      new Set(
        ways.map((way) =>
          JSON.stringify([
            way.carrier("mooring-bun"),
            way.carrier("oarlock-turnover"),
            way.fineParts,
            way.serveInLots,
            way.loadsByMix,
            way.trayByTray,
          ]),
        ),
      ).size,
    ).toBe(ways.length);
  });
});

describe("links", () => {
  test("the same pieces only, with the step's own gaps", () => {
    const linked = linkWorks(works(one("bow-seat-bun")));
    const proofs = linked.links.filter((l) => l.after.step.id === "b-proof");
    expect(proofs).toHaveLength(3);
    for (const { before, after, max } of proofs) {
      expect(before.range).toEqual(after.range);
      expect(max).toBeLessThanOrEqual(5);
    }
  });
  test("a load of three trays keeps them all until the last is taken off", () => {
    const linked = linkWorks(works(one("bow-seat-bun")));
    const wait = linked.waits.find((w) => w.before.step.id === "b-bake")!;
    expect(wait.carriers).toBe(3);
    expect(wait.until).toHaveLength(3);
  });
});

describe("the problem that comes out", () => {
  test("no cook is listed for what they are never given, tends included", () => {
    const request = expectRequest(demoInput("launch-night"));
    const { problem } = expand(request, planDays(request), demandsOf(request, planDays(request)).demands, PLAIN, []);
    const fries = problem.tasks.filter((t) => t.id.includes("/e-fry/") || t.id.includes("/f-fry/"));
    expect(fries.length).toBeGreaterThan(10);
    for (const task of fries) expect(JSON.stringify(task.uses)).not.toMatch(/pella|aud/);
  });
  test("a slow cook's minutes stand beside a quick one's, by choice", () => {
    const request = expectRequest(demoInput("launch-night"));
    const { problem } = expand(request, planDays(request), demandsOf(request, planDays(request)).demands, PLAIN, []);
    const fold = problem.tasks.find((t) => t.id.startsWith("oarlock-turnover/e-seal/"))!;
    expect(fold.duration).toMatchObject({ of: 0 });
  });
  test("sweet after savoury costs a change of oil, as a task that takes the fryer", () => {
    const base = one("buoy-round");
    const items = [
      { recipe: "buoy-round", pieces: 10, choices: { "f-order": "after" } },
      { recipe: "oarlock-turnover", pieces: 12 },
    ];
    const both = expectRequest({
      ...base,
      items: [demoItem("buoy-round"), demoItem("oarlock-turnover")],
      gathering: { ...base.gathering, waves: [{ id: "w", name: "W", time: "18:00", items }] },
    });
    const { problem, info } = expand(both, planDays(both), demandsOf(both, planDays(both)).demands, PLAIN, []);
    const change = problem.tasks.find((t) => t.id === "fryer/oil-change")!;
    expect(change.duration).toBe(25);
    expect(info.get(change.id)!.what.code).toBe("oil-change");
  });
  test("quarters of a shelf are counted in quarters", () =>
    expect([wholeFactor([0.25, 1]), wholeFactor([0.5, 2]), wholeFactor([1, 3])]).toEqual([4, 2, 1]));
  test("only an oven without a fan is set higher", () => {
    expect([
      chambersAt("oven", 190, demoKitchen("boathouse")).setting,
      chambersAt("oven", 190, demoKitchen("first-kitchen")).setting,
      chambersAt("fryer", 180, demoKitchen("first-kitchen")).setting,
    ]).toEqual([190, 210, 180]);
  });
});

describe("shopping for a gathering", () => {
  const request = expectRequest(demoInput("first-try"));
  const { batches } = quantitiesOf(request);
  const list = (pantry: Parameters<typeof shoppingList>[2]) => shoppingList(batches, request.items, pantry, () => undefined);
  const line = (key: string, pantry: Parameters<typeof shoppingList>[2] = []) =>
    list(pantry)
      .groups.flatMap((g) => g.lines)
      .find((l) => l.ingredient === key)!;

  test("butter of crust and filling is one line; water comes from the tap", () => {
    const grams = batches
      .flatMap((b) => b.ingredients)
      .filter((l) => l.name.startsWith("butter"))
      .map((l) => l.grams);
    expect(grams.length).toBeGreaterThan(1);
    expect(line("butter").needG).toBeCloseTo(
      grams.reduce((a, b) => a + b, 0),
      6,
    );
    expect(line("water")).toBeUndefined();
  });
  test("what is at hand is taken off, packs are whole, and cost follows", () => {
    const priced = line("butter", [{ ingredient: "butter", haveG: 50, packs: [{ sizeG: 250, price: 289 }] }]);
    expect(priced.buyG).toBeCloseTo(priced.needG - 50, 6);
    expect(priced.packs!.boughtG).toBeGreaterThanOrEqual(priced.buyG);
    expect(list([{ ingredient: "butter", haveG: 50, packs: [{ sizeG: 250, price: 289 }] }]).cost).toBe(priced.packs!.cost);
  });
  test("what the catalogue does not know is found under its plain name", () => {
    expect(pantryKey({ name: "celeriac, peeled, 8 mm dice" })).toBe("celeriac");
    expect(pantryKey({ name: "Moon dust, sieved" })).toBe("moon dust");
    expect(line("celeriac").needG).toBeGreaterThan(0);
  });
});

test("frozen pieces are reheated on the day and nothing else is done to them", () => {
  const request = one("slipway-pie", {
    doneAhead: [{ recipe: "slipway-pie", through: "a-bag", when: { day: -3 }, held: "freezer" }],
  });
  const plan = makePlan(request, { now: () => 0 });
  const steps = new Set(Object.values(plan.tasks).map((t) => t.step));
  expect(steps).toEqual(new Set(["a-reheat", ...(steps.has(null) ? [null] : [])]));
  expect(plan.batches.every((b) => b.part === "finish" || b.ahead)).toBe(true);
});
