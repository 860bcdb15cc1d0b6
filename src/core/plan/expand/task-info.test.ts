import { demoInput, demoItem, demoKitchen, expectRequest } from "@tests/demo";
import { makePlan } from "../pipeline";
import { StepTable } from "./task-info";

test("steps of one content are one, and those that differ have keys of their own", () => {
  const table = new StepTable();
  const pie = demoItem("slipway-pie");
  const [step] = pie.steps;
  const key = table.keyOf(pie, step);
  expect(table.keyOf(pie, { ...step })).toBe(key);
  expect(table.keyOf(pie, { ...step, do: "otherwise" })).toBe(`${key}#2`);
  expect(table.keyOf(pie, { ...step, do: "and again" })).toBe(`${key}#3`);
  expect(table.all[key]).toEqual(step);
});

const planOf = (over: Record<string, unknown>) => makePlan(expectRequest(demoInput("first-try", over)), { now: () => 0 });

test("the same pieces at the same step have the same name in every plan", () => {
  const names = (over: Record<string, unknown>) => Object.keys(planOf(over).tasks).sort();
  const kitchen = demoKitchen("first-kitchen");
  const early = {
    ...kitchen,
    cooks: [{ ...kitchen.cooks[0], hours: [{ day: -1, from: "08:00", to: "20:00" }, ...kitchen.cooks[0].hours] }],
  };
  expect(names({ kitchen: early })).toEqual(names({}));
  expect(names({})).toContain("slipway-pie/a-bake/0-16");
});

describe("where the length of a step comes from", () => {
  const sources = (over: Record<string, unknown>) => {
    const plan = planOf(over);
    return Object.fromEntries(Object.values(plan.tasks).map((info) => [info.step ?? info.what.code, info.source]));
  };
  test("the recipe, unless something says otherwise", () =>
    expect(new Set(Object.values(sources({})))).toEqual(new Set(["recipe", "plan"])));
  test("what it took here", () => {
    const pie = demoItem("slipway-pie");
    const steps = pie.steps.map((step) => (step.id === "a-roll" ? { ...step, tookMin: 50 } : step));
    expect(sources({ items: [{ ...pie, steps }] })["a-roll"]).toBe("took-here");
  });
});

test("a plan is read without its request: whose, what, where, by whom", () => {
  const plan = makePlan(expectRequest(demoInput("quiet-evenings")), { now: () => 0 });
  const read = JSON.parse(JSON.stringify(plan)) as typeof plan;
  for (const info of Object.values(read.tasks)) {
    expect(read.day.items.some((item) => item.id === info.item)).toBe(true);
    if (info.step !== null) expect(read.steps[info.as!].id).toBe(info.step);
  }
  const rooms = Object.values(read.tasks).filter((info) => info.source === "room");
  expect(rooms.every((info) => read.steps[info.as!].rest?.yeasted)).toBe(true);
  const cooks = read.day.cooks.map((cook) => cook.id);
  expect(read.problem.resources.map((resource) => resource.id)).toEqual(expect.arrayContaining(cooks));
});
