import { OURS } from "@/core/ingredients/own";
import { rangesOf, usualOf, valuesOf, type Answer, type Typed } from "../calculator";
import { CALCULATORS, calculatorOf } from ".";

const answer = (id: string, typed: Typed = {}) => {
  const one = calculatorOf(id)!;
  const values = valuesOf(one.fields, { ...usualOf(one.fields), ...typed });
  return values.ok ? one.answer(values.value, OURS) : values;
};
const told = (id: string, typed?: Typed): Answer => {
  const found = answer(id, typed);
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.value;
};
const said = (id: string, name: string, typed?: Typed) => told(id, typed).says?.find(([key]) => key === name)?.[1];
const refused = (id: string, typed: Typed) => {
  const found = answer(id, typed);
  return found.ok ? undefined : found.issues[0];
};

test.each(CALCULATORS.map(({ id, question }) => [id, question]))("%s: %s", (id) => {
  const { headline, says = [], chart, drawing } = told(id);
  expect([headline, ...says.flat()].join(" ")).not.toMatch(/NaN|undefined|Infinity/);
  for (const { points } of chart?.series ?? []) expect(points.flat().every(Number.isFinite)).toBe(true);
  if (drawing) expect(drawing.spots.length).toBeGreaterThan(0);
});

test("known answers", () => {
  expect(told("disc", { massG: "24", thicknessMm: "2.5", density: "1.15" }).headline).toMatch(/^103\.1 mm/);
  expect(told("disc", { massG: "", thicknessMm: "2.5", diameterMm: "103" }).headline).toMatch(/24 g$/);
  expect(told("log").headline).toMatch(/36\.2 mm: 24 pieces/);
  expect(told("yeast", { grams: "6.6", from: "instant", to: "fresh" }).headline).toBe("20 g of fresh yeast");
  expect(told("measure", { line: "2 tbsp butter", system: "us" }).headline).toMatch(/^28 g of butter/);
  expect(told("dish", { fromMl: "1000", toMl: "1500" }).headline).toMatch(/^Filling × 1\.5,/);
});

test("a warmer room makes it rise sooner, and the day's curve counts", () => {
  const minutes = (typed: Typed) => Number(told("rise", typed).chart!.bands![0].from);
  expect(minutes({ roomC: "26", laterC: "26" })).toBeLessThan(minutes({}));
  expect(minutes({ laterC: "28" })).toBeLessThan(minutes({}));
  expect(minutes({ yeastPct: "3" })).toBeLessThan(minutes({}));
});

test("less oil takes fewer at once, and more loads", () => {
  const loads = (typed: Typed) => Number(/: (\d+) load/.exec(told("oil", typed).headline)![1]);
  expect(loads({ oilMl: "1500" })).toBeGreaterThan(loads({}));
  expect(told("oil", { oilMl: "6000" }).caution).toMatch(/boils over/);
});

test("hands new to it are slower and learn more; two pairs do not halve it", () => {
  const minutes = (typed: Typed) => {
    const [, h, min] = /About (?:(\d+) h ?)?(?:(\d+) min)? for/.exec(told("hands", typed).headline)!;
    return 60 * Number(h ?? 0) + Number(min ?? 0);
  };
  expect(minutes({ skill: "beginner" })).toBeGreaterThan(minutes({}));
  expect(minutes({ cooks: "2" })).toBeLessThan(minutes({}));
  expect(minutes({ cooks: "2" })).toBeGreaterThanOrEqual(Math.floor(minutes({}) / 2));
  expect(said("hands", "The first takes", { skill: "beginner" })).toBe("139 s");
  expect(refused("hands", { cooks: "0" })).toBeDefined();
});

test("a core that is short is said to be, and no time makes up for it", () => {
  expect(told("core", { readings: "0 20\n60 65", content: "poultry" }).headline).toBe("65 °C: short of the usual 74 °C");
  expect(said("core", "Usual there is 2 min and more", { readings: "0 60\n4 76\n9 76" })).toBe("reached");
});

test("a deep pot is told to be too slow", () => {
  expect(told("cool", { depthMm: "120", faces: "1" }).caution).toMatch(/^(?:Too slow|Not as cold)/);
  expect(told("cool", { depthMm: "15" }).caution).toMatch(/^Within the usual guidance/);
});

test("what cannot be is one fault with its field", () => {
  expect(refused("disc", { massG: "heavy" })).toMatchObject({ code: "wrong_type", path: ["massG"] });
  expect(refused("disc", { thicknessMm: "0" })).toMatchObject({ code: "out_of_range", path: ["thicknessMm"] });
  expect(refused("oil", { powerW: "9000" })).toMatchObject({ path: ["powerW"] });
  expect(refused("core", { readings: "10 at 70" })).toMatchObject({ code: "unreadable", path: ["readings"] });
  expect(refused("rise", { start: "late" })).toMatchObject({ path: ["start"] });
  expect(refused("measure", { line: "some love" })).toMatchObject({ path: ["line"] });
});

test("what is not asked is not read, and every method tells for which figures it holds", () => {
  expect(told("tray", { carrier: "round", widthMm: "280", lengthMm: "nonsense" }).headline).toMatch(/pieces$/);
  const one = calculatorOf("oil")!;
  expect(rangesOf(one, told("oil"))).toContain("Oil wanted at: 140 to 200 °C");
  for (const calculator of CALCULATORS)
    if (told(calculator.id).by.length > 0 && calculator.fields.some(({ kind }) => kind === "number"))
      expect(rangesOf(calculator, told(calculator.id)).length).toBeGreaterThan(0);
});
