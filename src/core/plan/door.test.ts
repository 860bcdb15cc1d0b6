import { demoInput } from "@tests/demo";
import { issueText } from "../shared/issue-text";
import { parseRequest } from "./request-check";

/* eslint-disable @typescript-eslint/no-explicit-any */
type Input = any;

/** The sentence for the first fault after an edit of a demo request; "fine" where there is none. */
function sentence(edit: (input: Input) => void, id = "launch-night"): string {
  const input = structuredClone(demoInput(id)) as Input;
  edit(input);
  const parsed = parseRequest(input);
  return parsed.ok ? "fine" : issueText(parsed.issues[0]);
}
const item = (input: Input): Input => input.items[0];
const repeat = <T>(n: number, value: T): T[] => Array.from({ length: n }, () => value);

test.each<[string, (input: Input) => void, string]>([
  [
    "a misspelt list of guests",
    (r) => (r.gathering.gests = []),
    'gathering.gests is "gests", which is not known; expected the name of a field; did you mean “guests”?',
  ],
  ["a misspelt oven", (r) => (r.kitchen.equipment.ovne = { count: 1 }), "did you mean “oven”?"],
  ["a misspelt field of a step", (r) => (item(r).steps[0].tme = { fixedMin: 1 }), "did you mean “time”?"],
  ["a diet that is none", (r) => (r.gathering.guests[0].diet = ["vegann"]), "did you mean “vegan”?"],
  ["an allergy that is none", (r) => (r.gathering.guests[0].avoid = ["glutn"]), "did you mean “gluten”?"],
  ["storage of −3 months", (r) => (item(r).storage.freezer.rawMonths = -3), "items[0].storage.freezer.rawMonths is -3"],
  [
    "a shelf at 5,000,000 °C",
    (r) => (r.kitchen.equipment["fridge-shelf"].c = 5e6),
    "kitchen.equipment.fridge-shelf.c is 5000000",
  ],
  ["an oven that starts at −500 °C", (r) => (r.kitchen.equipment.oven.startC = -500), "kitchen.equipment.oven.startC is -500"],
  ["a tin of −5 mm", (r) => (r.kitchen.equipment.tins.mm = -5), "kitchen.equipment.tins.mm is -5"],
  ["an oven of unlimited number", (r) => (r.kitchen.equipment.oven.count = 400), "kitchen.equipment.oven.count is 400"],
  [
    "an option that leaves out what is not there",
    (r) => (item(r).schools[0].options[0].omit = ["nutmeg?"]),
    'omit[0] is "nutmeg?", which is not known',
  ],
  ["an option with a dough that is not there", (r) => (item(r).schools[0].options[0].doughVariant = "x"), 'doughVariant is "x"'],
  [
    "an option that swaps what is not there",
    (r) => (item(r).schools[0].options[0].fillingSwap = [{ from: "x", to: { id: "y", name: "y", grams: 1 } }]),
    'fillingSwap[0].from is "x"',
  ],
  [
    "a finish for a step that is not there",
    (r) => (item(r).finish = [{ step: "x", what: "wash", components: [] }]),
    'items[0].finish[0].step is "x"',
  ],
  ["a rule for a step that is not there", (r) => (r.gathering.rules[0].steps = ["x"]), 'gathering.rules[0].steps[0] is "x"'],
  [
    "what is held back of what is not there",
    (r) => (item(r).dough.holdBack = { component: "x", pct: 5 }),
    'items[0].dough.holdBack.component is "x"',
  ],
  ["two cooks of one id", (r) => (r.kitchen.cooks[1].id = r.kitchen.cooks[0].id), "expected an id that no other cook has"],
  ["a cook called oven", (r) => (r.kitchen.cooks[0].id = "oven"), "expected an id that no piece of equipment has"],
  [
    "two lines of one id",
    (r) => (item(r).filling.components[1].id = item(r).filling.components[0].id),
    "an id that no other line of the filling has",
  ],
  [
    "overlapping hours",
    (r) => r.kitchen.cooks[0].hours.push({ ...r.kitchen.cooks[0].hours[0] }),
    "expected times that do not overlap",
  ],
  [
    "a break that ends before it begins",
    (r) => (r.kitchen.breaks = [{ day: 0, from: "14:00", to: "13:00" }]),
    'kitchen.breaks[0].to is "13:00"',
  ],
  [
    "2,000 done ahead of fewer",
    (r) => {
      const [ahead] = r.gathering.doneAhead;
      r.gathering.waves.forEach((w: Input) =>
        w.items.forEach((e: Input) => {
          if (e.recipe === ahead.recipe) e.pieces = 16;
        }),
      );
      ahead.pieces = 2000;
    },
    "gathering.doneAhead[0].pieces is 2000; expected at most the 16 pieces that are made",
  ],
  [
    "300 freezer lines of 2,000",
    (r) => (r.gathering.freezer = repeat(300, { recipe: item(r).id, pieces: 2000, by: { day: 0, time: "20:00" } })),
    'gathering.freezer is "300 entries"; expected at most 100 entries',
  ],
  [
    "more pieces than anybody makes",
    (r) => (r.gathering.freezer = repeat(9, { recipe: item(r).id, pieces: 2000, by: { day: 0, time: "20:00" } })),
    "expected at most 4000 pieces in all",
  ],
  [
    "500 pieces of equipment in a step",
    (r) => (item(r).steps[0].equipment = repeat(500, { id: "bowl" })),
    'equipment is "500 entries"; expected at most 20 entries',
  ],
  [
    "a chain of 20,000 steps",
    (r) => (item(r).steps = repeat(20_000, item(r).steps[0])),
    'items[0].steps is "20000 entries"; expected at most 200 entries',
  ],
  [
    "200,000 hours",
    (r) => (r.kitchen.cooks[0].hours = repeat(200_000, r.kitchen.cooks[0].hours[0])),
    "expected at most 50000 entries",
  ],
  [
    "heat for no time",
    (r) =>
      Object.assign(
        r.items.find((i: Input) => i.steps.some((s: Input) => s.kind === "bake")).steps.find((s: Input) => s.kind === "bake"),
        { time: { fixedMin: 0, secPerPiece: 0 }, tend: [] },
      ),
    "expected a time above 0 for a step with heat",
  ],
  [
    "a tend outside its step",
    (r) => {
      const step = r.items.flatMap((i: Input) => i.steps).find((s: Input) => s.kind === "bake");
      step.tend = [{ fromMin: 900, minutes: 2 }];
    },
    "expected minutes inside the step, which lasts",
  ],
  [
    "an option that makes a step follow itself",
    (r) => {
      const [step] = item(r).steps;
      item(r).schools[0].options[0].changes = [{ step: step.id, set: { after: [{ step: step.id }] } }];
    },
    "expected steps that do not wait for themselves",
  ],
  ["a blank name", (r) => (r.gathering.name = "  "), 'gathering.name is "  "; expected a name'],
  ["a text that turns the line round", (r) => (r.gathering["a\u202eb\n"] = 1), "gathering.a\\u202eb\\u000a"],
])("%s", (_name, edit, expected) => {
  const said = sentence(edit);
  expect(said).toContain(expected);
  expect(said.split("\n")).toHaveLength(1);
});

test("of a thousand faults twenty are told", () => {
  const input = structuredClone(demoInput("launch-night")) as Input;
  input.gathering.guests = repeat(90, { count: -1, age: "old" });
  const parsed = parseRequest(input);
  expect(parsed.ok ? 0 : parsed.issues.length).toBe(20);
});

test("fields that only inform are known, and change nothing", () => {
  const plain = parseRequest(demoInput("launch-night"));
  const input = structuredClone(demoInput("launch-night")) as Input;
  item(input).process = "kneaded by hand";
  item(input).dough.flourG = 900;
  input.gathering.waves[0].share = "40 %";
  input.gathering.guests[0].note = "from next door";
  expect(parseRequest(input)).toEqual(plain);
});
