import { demoInput, expectRequest } from "@tests/demo";
import { makePlan } from "@/core/plan/pipeline";
import type { PlanRequest } from "@/core/plan/request";
import type { Plan } from "@/core/plan/schema";
import { minutesOfClock } from "@/core/shared/clock";
import { searchWays, type WaysState } from "./ways-search";

/** A planner that says yes to days that are served late enough, or that a predicate lets through. */
function planner(yes: (request: PlanRequest) => boolean) {
  const possible = makePlan({ ...expectRequest(demoInput("first-try")), solve: { iterations: 20, seed: 1 } }, { now: () => 0 });
  const refused: Plan = {
    ...possible,
    solution: { ...possible.solution, status: "infeasible", tasks: [] },
    refusal: [{ code: "none-found" }],
  };
  const asked: PlanRequest[] = [];
  const run = (request: PlanRequest) => {
    asked.push(request);
    return { done: Promise.resolve(yes(request) ? possible : refused), cancel: () => undefined };
  };
  return { asked, run };
}

const servedAt = (request: PlanRequest) => Math.min(...request.gathering.waves.map((wave) => minutesOfClock(wave.time)!));

async function search(yes: (request: PlanRequest) => boolean) {
  const request = expectRequest(demoInput("first-try"));
  const { asked, run } = planner(yes);
  let state: WaysState | undefined;
  searchWays({ request, base: undefined, kitchens: [], run, tell: (now) => (state = now) });
  for (let turns = 0; turns < 2000 && (turns < 5 || state!.left > 0); turns++) await Promise.resolve();
  return { request, asked, state: state! };
}

test("a refused day: the earliest time at which it could be served is found to within twenty minutes, and stands alone", async () => {
  const asked = servedAt(expectRequest(demoInput("first-try")));
  const { state } = await search((request) => servedAt(request) >= asked + 85);
  const later = state.tried.filter(({ change, gain }) => change.group === "later" && gain.possible);
  expect(later).toHaveLength(1);
  const [{ change }] = later;
  expect(change.kind).toMatchObject({ code: "later", minutes: 90 });
});

test("where twenty minutes are enough, no later time is asked for", async () => {
  const asked = servedAt(expectRequest(demoInput("first-try")));
  const { state, asked: requests } = await search((request) => servedAt(request) > asked);
  expect(state.left).toBe(0);
  expect(Math.max(...requests.map(servedAt))).toBeLessThanOrEqual(asked + 60);
});

test("two changes at once are tried only where none does by itself", async () => {
  const none = await search(() => false);
  expect(none.state.tried.some(({ change }) => change.kind.code === "both")).toBe(true);
  const some = await search((request) => (request.gathering.attendance ?? []).length > 0);
  expect(some.state.tried.some(({ change }) => change.kind.code === "both")).toBe(false);
});
