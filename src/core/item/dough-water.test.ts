import { doughWater } from "./dough-water";
import type { Component } from "./schema";

const line = (name: string, grams: number, flour = false): Component => ({ id: name, name, grams, ...(flour && { flour }) });
const LEAN = [line("strong wheat flour", 500, true), line("water", 300), line("instant dry yeast", 5), line("salt", 10)];
const asPart = (components: Component[]) => [{ id: "dough", name: "Dough", components }];
const BY_HAND = { mixing: "hand", minutes: 10 } as const;

test("the colder the room, the warmer the water, up to what yeast bears", () => {
  const at = (roomC: number) => doughWater(asPart(LEAN), 26, roomC, BY_HAND)!;
  expect(at(21).liquid).toBe("water");
  expect(at(16).useC).toBeGreaterThan(at(24).useC);
  expect(at(21).doughC).toBeCloseTo(26, 6);
  expect(at(2).useC).toBe(40);
  expect(at(2).doughC).toBeLessThan(26);
});

test("cold milk, butter and egg want a warmer liquid; a mixer a colder one, with ice where it is hot", () => {
  const rich = [...LEAN.slice(0, 1), line("milk", 300), line("instant dry yeast", 5), line("butter", 100), line("whole egg", 50)];
  expect(doughWater(asPart(rich), 26, 21, BY_HAND)!.liquid).toBe("milk");
  expect(doughWater(asPart(rich), 26, 21, BY_HAND)!.useC).toBeGreaterThan(doughWater(asPart(LEAN), 26, 21, BY_HAND)!.useC);
  const mixer = { mixing: "mixerMedium", minutes: 10 } as const;
  expect(doughWater(asPart(LEAN), 24, 30, mixer)!.iceG).toBeGreaterThan(0);
});

test("a dough without any liquid says nothing", () => {
  expect(doughWater(asPart([line("strong wheat flour", 500, true)]), 26, 21, BY_HAND)).toBeUndefined();
});

test("a cooked paste goes in as cold as the room, and its own water is none that is poured", () => {
  const paste = { id: "paste", name: "Paste", components: [line("wheat flour", 40, true), line("water", 400)] };
  const found = doughWater([paste, ...asPart(LEAN)], 26, 21, BY_HAND)!;
  expect(found.grams).toBe(300);
  expect(found.useC).toBeGreaterThan(doughWater(asPart(LEAN), 26, 21, BY_HAND)!.useC);
});
