import { demoInput, demoItem, demoKitchen, DEMO_GATHERINGS, expectRequest } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { requestWith, type ChangeKind } from "./change";
import { changeText } from "./change-text";
import { changesFor, pairsOf } from "./changes";
import { byGain, gainOf, type Gain } from "./gain";
import { makePlan } from "../pipeline";
import { quantitiesOf } from "../quantities";
import { requestIssues } from "../request-check";

const plan = (request: ReturnType<typeof expectRequest>) =>
  makePlan({ ...request, solve: { iterations: 300, seed: 1 } }, { now: () => 0 });

test.each(DEMO_GATHERINGS)("%s: every change has its own name and words, and gives a day that can be asked for", (id) => {
  const request = expectRequest(demoInput(id));
  const changes = changesFor(request);
  expect(new Set(changes.map((change) => change.id)).size).toBe(changes.length);
  expect(new Set(changes.map((change) => changeText(change.kind))).size).toBe(changes.length);
  for (const change of changes) {
    const next = requestWith(request, change);
    expect([change.id, requestIssues(next)]).toEqual([change.id, []]);
    expect(next).not.toEqual(request);
    // Asked of itself again, the day is the same: nothing is borrowed twice.
    expect(requestWith(next, { edit: (gathering) => gathering }).kitchen).toEqual(next.kitchen);
    expect(() => quantitiesOf(next)).not.toThrow();
  }
});

test("there is something of every sort for the big day", () => {
  const codes = new Set(changesFor(expectRequest(demoInput("launch-night"))).map((change) => change.kind.code));
  for (const code of ["one-more", "helper", "earlier", "without", "fewer", "two-waves", "otherwise", "later"])
    expect(codes).toContain(code);
});

test("serving later lets the hands begin later by about as much", () => {
  const request = expectRequest(demoInput("first-try"));
  const later = changesFor(request).find((change) => change.id === "later-20")!;
  const gain = gainOf(later, plan(requestWith(request, later)), plan(request));
  expect(gain.possible).toBe(true);
  expect(gain.laterStart).toBeGreaterThanOrEqual(20);
  expect(gain.laterStart).toBeLessThanOrEqual(35);
});

/** Launch night with nothing on its table but so many turnovers, which are fried. */
const turnovers = (pieces: number) => {
  const input = demoInput("launch-night");
  return expectRequest({
    ...input,
    gathering: {
      ...input.gathering,
      freezer: [],
      waves: [{ ...input.gathering.waves![0], items: [{ recipe: "oarlock-turnover", pieces }] }],
      rules: [],
      doneAhead: [],
    },
    items: input.items.filter((item) => item.id === "oarlock-turnover"),
  });
};

test("more fried at once than may wait: as few as the limit allows, or in two goes, is a way out", () => {
  const request = turnovers(120);
  const { limits } = quantitiesOf(request);
  expect(limits.map((limit) => limit.code)).toEqual(["too-many-loads"]);
  const fewer = changesFor(request).find((change) => change.kind.code === "fewer")!;
  expect(quantitiesOf(requestWith(request, fewer)).limits).toEqual([]);
  const warm = requestWith(
    request,
    changesFor(request).find((change) => change.kind.code === "keep-warm")!,
  );
  expect(quantitiesOf(warm).limits).toEqual([]);
  const fryer = changesFor(request).find((change) => change.id === "more-fryer")!;
  expect(quantitiesOf(requestWith(request, fryer)).limits).toEqual([]);
});

test("without an oven: one is borrowed, of the size that most have; another kitchen is another way", () => {
  const input = demoInput("first-try");
  const kitchen = structuredClone(input.kitchen) as { equipment: Record<string, unknown> };
  delete kitchen.equipment.oven;
  const request = expectRequest({ ...input, kitchen });
  const other = demoKitchen("boathouse");
  expect(quantitiesOf(request).limits.map(({ code }) => code)).toContain("not-there");
  const changes = changesFor(request, [request.kitchen, other]);
  const texts = changes.map(({ kind }) => changeText(kind));
  expect(texts).toContain("an oven, borrowed");
  expect(texts).toContain(`in ${other.name} instead`);
  for (const id of ["more-oven", `in-${other.id}`]) {
    const next = requestWith(
      request,
      changes.find((change) => change.id === id)!,
      [other],
    );
    expect(quantitiesOf(next).limits).toEqual([]);
  }
});

test("two changes at once are each of them, one after the other", () => {
  const request = expectRequest(demoInput("launch-night"));
  const changes = changesFor(request);
  const near = changes.filter(({ kind }) => kind.code === "fewer");
  const pairs = pairsOf(changes, near);
  expect(new Set(pairs.map(({ id }) => id)).size).toBe(pairs.length);
  for (const pair of pairs) {
    const next = requestWith(request, pair);
    expect([pair.id, requestIssues(next)]).toEqual([pair.id, []]);
  }
});

test("what makes it possible comes first, then the minutes it brings, then what the guests notice least", () => {
  const gain = (id: string, possible: boolean, code: ChangeKind["code"], laterStart?: number): Gain => ({
    id,
    kind: { code } as ChangeKind,
    possible,
    near: false,
    laterStart,
  });
  const sorted = [
    gain("a", false, "helper"),
    gain("b", true, "without", 2),
    gain("c", true, "later", 9),
    gain("d", true, "helper", 2),
  ].sort(byGain);
  expect(sorted.map(({ id }) => id)).toEqual(["c", "d", "b", "a"]);
});

test("more than can be fried fresh: kept warm in the oven they are all hot at once, and every rule is kept", () => {
  const request = turnovers(60);
  expect(plan(request).solution.status).toBe("infeasible");
  const change = changesFor(request).find(({ kind }) => kind.code === "keep-warm")!;
  const warm = requestWith(request, change);
  const made = plan(warm);
  expect(brokenRules(warm, made)).toEqual([]);
  const stays = Object.values(made.tasks).filter(({ what }) => what.code === "step" && what.kind === "hold-warm");
  expect(stays.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(60);
  expect(changesFor(warm).some(({ kind }) => kind.code === "keep-warm")).toBe(false);
});

test("a filling that sets overnight, asked in the morning: the quicker filling, what is in the freezer and another day are ways out", () => {
  const input = demoInput("quiet-evenings");
  const item = demoItem("reed-pocket");
  const slow = {
    ...item,
    filling: {
      ...item.filling,
      variants: [
        {
          ...item.filling.variants?.[0],
          id: "quick",
          name: "Quick curd",
          components: item.filling.components,
          stepChanges: [{ step: "d-cool-filling", set: { "rest.min": 10, "rest.target": 12, "rest.max": 60 } }],
        },
      ],
    },
    steps: item.steps.map((step) =>
      step.id === "d-cool-filling" ? { ...step, rest: { ...step.rest!, min: 480, target: 600, max: 900 } } : step,
    ),
  };
  const request = expectRequest({
    ...input,
    today: "2026-11-28",
    now: "08:00",
    items: [slow],
    gathering: {
      ...input.gathering,
      date: { on: "2026-11-28" },
      doneAhead: [],
      rules: [],
      waves: [{ id: "w", name: "Supper", time: "21:00", items: [{ recipe: item.id, pieces: 12 }] }],
      freezer: [{ recipe: item.id, pieces: 20, onHand: 20, by: { day: 0, time: "21:00" } }],
    },
  });
  const codes = changesFor(request).map(({ kind }) => kind);
  expect(codes).toContainEqual({ code: "other-filling", item: item.name, filling: "Quick curd" });
  expect(codes).toContainEqual({ code: "from-stock", item: item.name, pieces: 12 });
  expect(codes).toContainEqual({ code: "another-day", date: "2026-11-29" });
});
