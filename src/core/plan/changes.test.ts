import { demoInput, DEMO_GATHERINGS, expectRequest } from "@tests/demo";
import { requestWith, type ChangeKind } from "./change";
import { changeText } from "./change-text";
import { changesFor } from "./changes";
import { byGain, gainOf, type Gain } from "./gain";
import { makePlan } from "./pipeline";
import { quantitiesOf } from "./quantities";
import { requestIssues } from "./request-check";

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
  const later = changesFor(request).find((change) => change.id === "later")!;
  const gain = gainOf(later, plan(requestWith(request, later)), plan(request));
  expect(gain.possible).toBe(true);
  expect(gain.laterStart).toBeGreaterThanOrEqual(20);
  expect(gain.laterStart).toBeLessThanOrEqual(35);
});

test("more fried at once than may wait: as few as the limit allows, or in two goes, is a way out", () => {
  const input = demoInput("launch-night");
  const waves = structuredClone(input.gathering.waves!);
  const request = expectRequest({
    ...input,
    gathering: {
      ...input.gathering,
      freezer: [],
      waves: [{ ...waves[0], items: [{ recipe: "oarlock-turnover", pieces: 120 }] }],
      rules: [],
      doneAhead: [],
    },
    items: input.items.filter((item) => item.id === "oarlock-turnover"),
  });
  const { limits } = quantitiesOf(request);
  expect(limits.map((limit) => limit.code)).toEqual(["too-many-loads"]);
  const fewer = changesFor(request).find((change) => change.kind.code === "fewer")!;
  expect(quantitiesOf(requestWith(request, fewer)).limits).toEqual([]);
  const fryer = changesFor(request).find((change) => change.id === "more-fryer")!;
  expect(quantitiesOf(requestWith(request, fryer)).limits).toEqual([]);
});

test("what makes it possible comes first, then the minutes it brings, then what the guests notice least", () => {
  const gain = (id: string, possible: boolean, code: ChangeKind["code"], laterStart?: number): Gain => ({
    id,
    kind: { code } as ChangeKind,
    possible,
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
