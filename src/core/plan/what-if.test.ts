import { demoInput, expectRequest } from "@tests/demo";
import { makePlan } from "./pipeline";
import { quantitiesOf } from "./quantities";
import { changeText } from "./what-if-text";
import { byGain, changesFor, gainOf } from "./what-if";

describe("one change at a time", () => {
  const request = expectRequest(demoInput("first-try"));
  test("every change is a request that can be planned, under its own name", () => {
    for (const id of ["first-try", "launch-night", "quiet-evenings"]) {
      const changes = changesFor(expectRequest(demoInput(id)));
      expect(new Set(changes.map((c) => c.id)).size).toBe(changes.length);
      for (const change of changes) expect(() => quantitiesOf(change.request)).not.toThrow();
    }
    expect(changesFor(expectRequest(demoInput("launch-night"))).map((c) => changeText(c.kind))).toEqual(
      expect.arrayContaining(["one more tray", "serving 15 min later", expect.stringContaining("a second pair of hands")]),
    );
  });
  test("serving later lets the hands begin later by about as much", () => {
    const plan = (r: typeof request) => makePlan({ ...r, solve: { iterations: 300 } }, { now: () => 0 });
    const base = plan(request);
    const later = changesFor(request).find((c) => c.id === "later")!;
    const gain = gainOf(later, plan(later.request), base);
    expect(gain.possible).toBe(true);
    expect(gain.laterStart).toBeGreaterThanOrEqual(15);
    expect(gain.laterStart).toBeLessThanOrEqual(30);
  });
  test("what makes it possible comes first, then what makes it cheaper", () => {
    const gain = (id: string, possible: boolean, cheaper?: number) => ({
      id,
      kind: { code: "steamer-tier" } as const,
      possible,
      cheaper,
    });
    expect([gain("a", false), gain("b", true, 2), gain("c", true, 9)].sort(byGain).map((g) => g.id)).toEqual(["c", "b", "a"]);
  });
});
