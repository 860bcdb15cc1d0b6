import { demoInput, expectRequest, supperInput } from "@tests/demo";
import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { StepSchema } from "../item/step";
import { restWindow } from "./expand/timing";
import { outOfCold } from "./out-of-cold";
import { makePlan } from "./pipeline";
import { noteText } from "./reason-text";
import type { PlanRequest } from "./request";

const KITCHEN = expectRequest(demoInput("launch-night")).kitchen;
const inRoom = (c: number) => ({ ...KITCHEN, roomC: [{ from: "00:00", to: "24:00", c }] });
const rise = (min: number, max: number, atC: number) =>
  StepSchema.parse({
    ...{ id: "proof", kind: "final-proof", part: "piece", path: ["fresh"], lot: "tray", attention: "none" },
    rest: { min, target: min, max, atC, where: "room", yeasted: true },
  });

describe("the window of a rise", () => {
  const at19 = (slow: boolean) => restWindow(rise(70, 110, 27), inRoom(19), [0, 600], [], { spreadMin: 0, slow });

  it("of 70 min at 27 °C is 122 (91 to 152) at 19 °C: looked at early, planned late where it is served warm", () => {
    expect(at19(false)).toMatchObject({ firstLook: 91, ready: 122, min: 122 });
    const slow = at19(true);
    expect(slow).toMatchObject({ firstLook: 91, ready: 122 });
    expect([152, 153]).toContain(slow.min);
  });

  it("ends before the first piece of the lot has gone too far", () => {
    const lot = (pieces: number) =>
      restWindow(rise(35, 70, 21), inRoom(21), [0, 600], [], { spreadMin: 1.5 * (pieces - 1), slow: false });
    expect(lot(12)).toMatchObject({ min: 35, max: 53 });
    // 36 pieces take 54 min: there is no time that is right for all of them.
    expect(lot(36)).toMatchObject({ min: 35, max: 35 });
  });
});

/** A day of buns that are served warm. */
function buns(over: object = {}, hours: Partial<PlanRequest["gathering"]> = {}) {
  const made = makeItem(
    RecipeInputSchema.parse({
      name: "Buns",
      makes: 12,
      dough: ["500 g flour", "300 g water", "7 g instant yeast", "9 g salt"],
      fillings: ["300 g leek, cooked"],
      method: [
        "Knead 10 minutes. Let rise 60 minutes until doubled.",
        "Shape buns, fill.",
        "Proof 35 minutes, 70 at most.",
        "Bake 20 minutes at 190 °C. Serve hot.",
      ],
    }),
    { taken: [] },
  );
  if (!made.ok) throw new Error("not made");
  const input = supperInput("launch-night", { ...made.value.item, ...over }, 24, "18:30", { solve: { seed: 1, iterations: 0 } });
  const plan = makePlan(expectRequest({ ...input, gathering: { ...input.gathering, ...hours } }), { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  const rises = plan.solution.tasks.flatMap(({ id, start, end }) => {
    const { rise } = plan.tasks[id];
    return rise ? [{ ...rise, minutes: end - start }] : [];
  });
  return { plan, rises, item: made.value.item };
}

test("what is served warm has time in hand for a slow rise, and a plan without says so", () => {
  const { rises, plan, item } = buns();
  expect(rises.length).toBeGreaterThan(1);
  for (const { minutes, readyMin, firstLookMin } of rises) {
    expect(firstLookMin).toBeLessThan(readyMin);
    expect(minutes).toBeGreaterThanOrEqual(Math.floor(1.25 * (readyMin - 1)));
  }
  expect(plan.notes.filter(({ code }) => code === "no-time-to-rise")).toEqual([]);
  // Typed for this gathering it lasts so long, whatever else would be right.
  const proof = item.steps.find(({ kind }) => kind === "final-proof")!;
  const typed = buns({}, { lengths: [{ recipe: item.id, step: proof.id, minutes: 50, instead: proof.rest!.target }] });
  expect(typed.rises.length).toBeLessThan(rises.length);
});

test("a lot whose first piece waits too long for its last is told", () => {
  const { item } = buns();
  const slowly = item.steps.map((step) => {
    if (step.kind === "final-proof") return { ...step, rest: { ...step.rest!, max: step.rest!.min + 10 } };
    return step.part === "piece" && step.time.secPerPiece > 0 && step.attention === "hands-on"
      ? { ...step, time: { ...step.time, secPerPiece: 180 } }
      : step;
  });
  const { plan } = buns({ steps: slowly });
  const note = plan.notes.find(({ code }) => code === "first-too-far");
  if (note?.code !== "first-too-far") throw new Error("not noted");
  expect(note.ageMin).toBeGreaterThan(note.limitMin);
  expect(noteText(plan, note)).toMatch(/^Buns: the first piece of a lot has risen for .* are right in this room\./);
});

test("the demo's supper has time in hand for its rises, and raw fillings are at the heat in time", () => {
  const request = expectRequest({ ...demoInput("launch-night"), solve: { seed: 1, iterations: 0 } });
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.notes).toEqual([]);
  const out = plan.solution.tasks.flatMap(({ id }) => outOfCold(plan, id, request.kitchen) ?? []);
  expect(out.length).toBeGreaterThan(0);
  for (const { usedMin, limitMin } of out) expect(usedMin).toBeLessThanOrEqual(limitMin);
});
