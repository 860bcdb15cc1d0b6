import fc from "fast-check";
import { demoInput, expectRequest } from "@tests/demo";
import { makePlan } from "../pipeline";
import { refusalTexts } from "../reason-text";
import type { PlanRequest } from "../request";
import { tooLate } from "./from-now";

/** The first demo day on its own date, at a time of it. */
function today(now: string | undefined, edit: (input: ReturnType<typeof demoInput>) => void = () => undefined): PlanRequest {
  const input = demoInput("first-try");
  Object.assign(input.gathering, { date: { on: "2026-11-29" } });
  edit(input);
  return expectRequest({ ...input, today: "2026-11-29", ...(now !== undefined && { now }), solve: { iterations: 2, seed: 1 } });
}
const plan = (request: PlanRequest) => makePlan(request, { now: () => 0 });
const firstStart = ({ solution }: ReturnType<typeof plan>) => Math.min(...solution.tasks.map((task) => task.start));

test("nothing begins before now", () => {
  const free = firstStart(plan(today(undefined)));
  const clock = (minute: number) => `${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`;
  // As early as it would begin anyway, nothing changes.
  expect(plan(today(clock(free - 30))).solution.cost).toBe(plan(today(undefined)).solution.cost);
  for (const minute of [free - 10, free, free + 10]) {
    const made = plan(today(clock(minute)));
    if (made.solution.status !== "infeasible") expect(firstStart(made)).toBeGreaterThanOrEqual(minute);
  }
});

test("a day that cannot be done any more says what takes so long, and when it could be ready at the earliest", () => {
  const late = plan(today("12:00"));
  expect(late.solution.status).toBe("infeasible");
  const [sentence] = refusalTexts(late);
  expect(sentence).toMatch(
    /^Slipway pies: from now, 12:00, it takes \d h \d+ at the least \(the longest of it: .+\), and there are 1 h\. It cannot be ready before 14:\d\d, 1 h \d+ later/,
  );
  // Of what takes so long nothing is shortened to fit.
  expect(sentence).not.toMatch(/minute|undefined|NaN/);
});

test("the day before, and on a day whose plan begins before midnight, now is a limit as well", () => {
  const before = demoInput("quiet-evenings");
  Object.assign(before.gathering, { date: { on: "2026-11-25" } });
  const at = (day: string, now: string) => plan(expectRequest({ ...before, today: day, now, solve: { iterations: 1, seed: 1 } }));
  expect(at("2026-11-24", "23:59").solution.status).not.toBe("infeasible");
  const evening = at("2026-11-25", "18:00");
  if (evening.solution.status !== "infeasible") expect(firstStart(evening)).toBeGreaterThanOrEqual(18 * 60);
});

test("a chain is too late exactly when its least times do not fit, in whatever order its tasks stand", () => {
  const chain = fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 60 }), gap: fc.nat(30) }), {
    minLength: 1,
    maxLength: 12,
  });
  fc.assert(
    fc.property(
      chain,
      fc.integer({ min: 1, max: 500 }),
      fc.integer({ min: 1, max: 1200 }),
      fc.boolean(),
      (links, now, latest, backwards) => {
        const tasks = links.map(({ minutes, gap }, i) => ({
          id: `t${i}`,
          duration: minutes,
          ...(i > 0 && { after: [{ task: `t${i - 1}`, min: gap }] }),
          ...(i === links.length - 1 && { latest }),
        }));
        const needs = links.reduce((sum, { minutes, gap }, i) => sum + minutes + (i > 0 ? gap : 0), 0);
        const found = tooLate({ tasks: backwards ? tasks.reverse() : tasks }, now, () => ({ item: "x", kind: "roll" }));
        expect(found.map((one) => one.code === "too-late" && one.earliest)).toEqual(now + needs > latest ? [now + needs] : []);
      },
    ),
  );
});
