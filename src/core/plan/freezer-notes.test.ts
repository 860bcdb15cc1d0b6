import { demoInput, expectRequest } from "@tests/demo";
import { freezesInADay } from "../kitchen/freezes";
import { makePlan } from "./pipeline";
import { noteText } from "./reason-text";

function day(litres: number | undefined, guide?: "uk") {
  const input = demoInput("launch-night");
  const { equipment } = input.kitchen as { equipment: Record<string, object> };
  const kitchen = {
    ...input.kitchen,
    ...(guide && { guide }),
    equipment: { ...equipment, "freezer-tray": { ...equipment["freezer-tray"], litres } },
  };
  const request = expectRequest({ ...input, kitchen, solve: { seed: 1, iterations: 0 } });
  return { request, plan: makePlan(request, { now: () => 0 }) };
}

test("more than the freezer freezes in a day is told with both weights; where its size is not known nothing is claimed", () => {
  const { plan, request } = day(20);
  expect(freezesInADay(request.kitchen)).toBe(800);
  const note = plan.notes.find(({ code }) => code === "freezer-full");
  if (note?.code !== "freezer-full") throw new Error("not noted");
  const frozen = plan.pieces.filter((one) => one.for === "freezer");
  const grams = frozen.reduce((total, { item, pieces }) => {
    const { doughG, fillingG } = request.items.find(({ id }) => id === item)!.piece;
    return total + pieces * (doughG + fillingG);
  }, 0);
  expect(note.loadG).toBeCloseTo(grams);
  expect(noteText(plan, note)).toMatch(/go into the freezer in one day, and it freezes about 800 g in a day\./);
  for (const litres of [undefined, 400]) expect(day(litres).plan.notes).toEqual([]);
});

test("where other figures are usual, cooling is said by those", () => {
  const cautions = (guide?: "uk") =>
    Object.values(day(undefined, guide).plan.steps).flatMap(({ kind, caution }) =>
      kind === "cool-filling" ? [caution ?? ""] : [],
    );
  expect(cautions().length).toBeGreaterThan(0);
  expect(cautions().some((text) => text.includes("90 min"))).toBe(false);
  expect(cautions("uk").every((text) => text.startsWith("Into the fridge within 90 min"))).toBe(true);
});
