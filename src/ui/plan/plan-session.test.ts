import { demoInput, expectRequest, TODAY } from "@tests/demo";
import type { KeptPlan } from "@/core/plan/kept-plan";
import { makePlan } from "@/core/plan/pipeline";
import type { PlanRequest } from "@/core/plan/request";
import type { Plan } from "@/core/plan/schema";
import { fail, ok, type Result } from "@/core/shared/issue";
import { handTimers } from "@tests/session-kit";
import { FRAME_MS, PlanSession, type Planner } from "./plan-session";
import type { Draft } from "./plan-state";

const demo = expectRequest(demoInput("first-try"));
const source = {
  items: demo.items,
  inUse: demo.items.map((item) => item.id),
  kitchens: [demo.kitchen],
  today: TODAY,
  now: "06:00",
  zone: "UTC",
};
const draft = demo.gathering as Draft;
const withGuests = (count: number): Draft => ({ ...draft, guests: [{ count, age: "adult" }] });

/** A planner whose searches a test answers by hand. */
function byHand() {
  const searches: {
    request: PlanRequest;
    from: Plan | undefined;
    better: (plan: Plan) => void;
    end: (plan: Plan) => void;
    break: (got: string) => void;
    cancelled: boolean;
  }[] = [];
  const planner: Planner = {
    run(request, told, from) {
      let answer!: (result: Result<Plan>) => void;
      const done = new Promise<Result<Plan>>((resolve) => (answer = resolve));
      const search = {
        request,
        from,
        better: told.better,
        end: (plan: Plan) => answer(ok(plan)),
        break: (got: string) => answer(fail({ code: "failed", path: ["worker"], got })),
        cancelled: false,
      };
      searches.push(search);
      return { done, cancel: () => void (search.cancelled = true) };
    },
    prepare: () => undefined,
  };
  return { planner, searches };
}

function open(stored?: KeptPlan, keep?: (kept: KeptPlan) => Promise<Result<unknown>>) {
  const timers = handTimers();
  const kept: KeptPlan[] = [];
  const { planner, searches } = byHand();
  const session = new PlanSession({
    source,
    draft,
    stored,
    planner,
    keep: keep ?? ((one) => Promise.resolve(ok(kept.push(one)))),
    timers,
    whenReleased: (change) => change(),
  });
  return { session, timers, searches, kept };
}

const planOf = (request: PlanRequest) => makePlan(request, { now: () => 0 });
const PLAN = planOf(demo);

test("a page that opens looks for a plan, shows it, makes it better and keeps the last as ended", async () => {
  const { session, timers, searches, kept } = open();
  session.open();
  await timers.pass(0);
  expect(session.state.work).toEqual({ kind: "searching" });
  searches[0].better(PLAN);
  expect(session.state).toMatchObject({ work: { kind: "improving" }, stale: false });
  await timers.pass(1000);
  expect(kept.map((one) => one.search)).toEqual(["cut-off"]);
  searches[0].end(PLAN);
  await timers.pass(0);
  expect(session.state.work).toEqual({ kind: "idle" });
  expect(kept.at(-1)).toMatchObject({ search: "ended", plan: PLAN });
});

test("a kept plan that was searched to its end is shown without another search; one that was cut off goes on from there", async () => {
  const first = open();
  const request = first.session.state.checked.ok ? first.session.state.checked.request : demo;
  const stored = { request, plan: planOf(request), search: "ended" as const } as KeptPlan;
  const ended = open(stored);
  ended.session.open();
  await ended.timers.pass(1000);
  expect(ended.searches).toHaveLength(0);
  const cut = open({ ...stored, search: "cut-off" });
  expect(cut.session.state.goesOn).toBe(true);
  cut.session.open();
  expect(cut.searches[0].from).toBe(stored.plan);
  cut.searches[0].end(stored.plan);
  await cut.timers.pass(0);
  expect(cut.session.state.goesOn).toBe(false);
});

test("a plan that is still on its way to the server is the one that is shown when the page opens again", async () => {
  const first = open();
  const request = first.session.state.checked.ok ? first.session.state.checked.request : demo;
  const { session, timers, searches } = open();
  session.open({ request, plan: planOf(request), search: "ended" } as KeptPlan);
  await timers.pass(1000);
  expect(session.state).toMatchObject({ stale: false, work: { kind: "idle" } });
  expect(searches).toHaveLength(0);
});

test("what is typed is checked after it is drawn, searched for when typing pauses, and an older search says nothing any more", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  session.type(withGuests(9));
  session.type(withGuests(12));
  await timers.pass(FRAME_MS);
  expect(session.state.stale).toBe(true);
  expect(searches[0].cancelled).toBe(true);
  await timers.pass(350);
  expect(searches).toHaveLength(2);
  expect(searches[1].request.gathering.guests[0].count).toBe(12);
  searches[0].better(PLAN);
  searches[0].end(PLAN);
  await timers.pass(0);
  expect(session.state.good).toBeUndefined();
});

test("back to a day whose search was given up a moment ago: it is begun again, not waited for without an end", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  session.type(withGuests(9));
  await timers.pass(FRAME_MS);
  expect(session.state.work).toEqual({ kind: "idle" });
  session.type(draft);
  await timers.pass(FRAME_MS + 350);
  expect(searches.map((search) => search.cancelled)).toEqual([true, false]);
  expect(searches[1].request.gathering.guests).toEqual(demo.gathering.guests);
  expect(session.state.work).toEqual({ kind: "searching" });
});

test("a refusal stays to be read while it is looked whether the day that was changed can be done", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  const refused = { ...PLAN, solution: { ...PLAN.solution, status: "infeasible" as const } };
  searches[0].end(refused);
  await timers.pass(0);
  session.type(withGuests(3));
  await timers.pass(FRAME_MS + 350);
  expect(session.state.work).toEqual({ kind: "searching", refused });
  searches[1].end(PLAN);
  await timers.pass(0);
  expect(session.state.work).toEqual({ kind: "idle" });
});

test("a field that is wrong leaves the last plan and its quantities as they were", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  searches[0].end(PLAN);
  await timers.pass(0);
  const { latest, good } = session.state;
  session.type(withGuests(-5));
  await timers.pass(1000);
  expect(session.state).toMatchObject({ checked: { ok: false }, stale: true });
  expect(session.state.latest).toBe(latest);
  expect(session.state.good).toBe(good);
  expect(searches).toHaveLength(1);
});

test("a worker that breaks down is said, and trying again asks anew", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  searches[0].break("out of memory");
  await timers.pass(0);
  expect(session.state.work).toEqual({ kind: "failed", issue: { code: "failed", path: ["worker"], got: "out of memory" } });
  session.goOn();
  expect(session.state.work).toEqual({ kind: "searching" });
  expect(searches).toHaveLength(2);
});

test("a plan that could not be kept is said with its reason, and can be kept again", async () => {
  const answers: Result<unknown>[] = [fail({ code: "failed", path: [], got: "disk full" }), ok(1)];
  const { session, timers, searches } = open(undefined, () => Promise.resolve(answers.shift()!));
  session.open();
  await timers.pass(0);
  searches[0].end(PLAN);
  await timers.pass(0);
  expect(session.state.notKept).toMatchObject({ code: "failed", got: "disk full" });
  session.keepAgain();
  await timers.pass(0);
  expect(session.state.notKept).toBeUndefined();
});

test("a refusal keeps the plan that there was; good enough takes the newest; leaving keeps it as cut off", async () => {
  const { session, timers, searches, kept } = open();
  session.open();
  await timers.pass(0);
  searches[0].better(PLAN);
  session.stop();
  await timers.pass(0);
  expect(kept.at(-1)!.search).toBe("ended");
  session.goOn();
  searches[1].better(PLAN);
  session.close();
  await timers.pass(0);
  expect(kept.at(-1)!.search).toBe("cut-off");
  session.open();
  session.goOn();
  searches.at(-1)!.end({ ...PLAN, solution: { ...PLAN.solution, status: "infeasible" }, refusal: [{ code: "none-found" }] });
  await timers.pass(0);
  expect(session.state.work.kind).toBe("refused");
  expect(session.state.good!.plan).toBe(PLAN);
});

test("where none was found in the time, looking on takes longer and another way each time", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  for (let again = 0; again < 3; again++) {
    searches.at(-1)!.end({ ...PLAN, solution: { ...PLAN.solution, status: "infeasible" }, refusal: [{ code: "none-found" }] });
    await timers.pass(0);
    expect(session.state.work.kind).toBe("refused");
    session.goOn();
  }
  const asked = searches.map(({ request }) => request.solve);
  expect(asked.map(({ seconds }) => seconds! / asked[0].seconds!)).toEqual([1, 3, 9, 27]);
  expect(new Set(asked.map(({ seed }) => seed)).size).toBe(4);
});

test("now is when something is asked, not when the page was opened", async () => {
  const { session, timers, searches } = open();
  session.open();
  await timers.pass(0);
  expect(searches[0].request.now).toBe("06:00");
  await timers.pass(90 * 60_000);
  session.type(withGuests(9));
  await timers.pass(1000);
  expect(searches.at(-1)!.request.now).toBe("07:30");
});
