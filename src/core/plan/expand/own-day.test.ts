import { demoInput, expectRequest } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { throughStep } from "../../item/resolve";
import { MINUTES_A_DAY } from "../../shared/clock";
import { makePlan } from "../pipeline";
import { parseRequest } from "../request-check";

const input = demoInput("first-try");
const [{ items }] = input.gathering.waves!;
const item = input.items.find(({ id }) => id === items[0].recipe)!;
const through = item.steps.find((step) => "ahead" in step && step.part === "filling")!.id;
const cook = (input.kitchen as { cooks: { id: string; hours: { day: number; from: string; to: string }[] }[] }).cooks[0];

const withDay = (attendance: boolean) => ({
  ...input,
  gathering: {
    ...input.gathering,
    doneAhead: [],
    ahead: [{ recipe: item.id, through, day: -1 }],
    ...(attendance && {
      attendance: [
        { cook: cook.id, hours: [{ day: -1, from: "18:00", to: "21:00" }, ...cook.hours.filter(({ day }) => day === 0)] },
      ],
    }),
  },
});

test("work with a day of its own is done on it, and the rest on the day itself", () => {
  const request = expectRequest(withDay(true));
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  const early = throughStep(request.items.find(({ id }) => id === item.id)!.steps, through);
  const days = { early: new Set<number>(), late: new Set<number>() };
  for (const { id, start } of plan.solution.tasks) {
    const { step, item: of } = plan.tasks[id];
    if (step && of === item.id) days[early.has(step) ? "early" : "late"].add(Math.floor(start / MINUTES_A_DAY));
  }
  expect([...days.early]).toEqual([0]);
  expect([...days.late]).toEqual([1]);
});

test("a day on which nobody cooks is said at its field", () => {
  const read = parseRequest(withDay(false));
  expect(read.ok ? [] : read.issues.map(({ path }) => path.join("."))).toContain("gathering.ahead.0.day");
});
