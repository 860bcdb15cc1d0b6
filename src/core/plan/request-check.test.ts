import { demoInput } from "@tests/demo";
import { issueText } from "../shared/issue-text";
import { parseRequest } from "./request-check";

type Input = ReturnType<typeof demoInput>;
/** The sentence for the first fault after an edit of the demo request. */
function sentence(edit: (input: Input) => void, id = "launch-night"): string {
  const input = structuredClone(demoInput(id));
  edit(input);
  const parsed = parseRequest(input);
  return parsed.ok ? "fine" : issueText(parsed.issues[0]);
}

test("the demo itself is fine", () => expect(sentence(() => {})).toBe("fine"));

test.each<[string, (input: Input) => void, string]>([
  [
    "a negative headcount",
    (r) => (r.gathering.guests![0].count = -3),
    "gathering.guests[0].count is -3; expected a whole number from 0 to 500",
  ],
  [
    "an absurd headcount",
    (r) => (r.gathering.guests![0].count = 5000),
    "gathering.guests[0].count is 5000; expected a whole number from 0 to 500",
  ],
  [
    "half a guest",
    (r) => (r.gathering.guests![0].count = 1.5),
    "gathering.guests[0].count is 1.5; expected a whole number from 0 to 500",
  ],
  [
    "a time that is none",
    (r) => (r.gathering.waves![0].time = "25:10"),
    'gathering.waves[0].time is "25:10" and cannot be read; expected a time of day, hh:mm',
  ],
  [
    "a wave before anybody is there",
    (r) => (r.gathering.waves![0].time = "09:00"),
    'gathering.waves[0].time is "09:00"; expected a time after the first cook\'s hours begin',
  ],
  [
    "a day that is over",
    (r) => (r.gathering.date = { on: "2026-11-20" }),
    'gathering.date.on is "2026-11-20"; expected a day that is not before today (2026-11-25)',
  ],
  [
    "an unknown item",
    (r) => (r.gathering.waves![0].items[0].recipe = "scone"),
    'gathering.waves[0].items[0].recipe is "scone", which is not known; expected the id of an item of the request',
  ],
  [
    "an unknown option",
    (r) => (r.gathering.waves![0].items[0].choices = { "b-wash": "thrice" }),
    'gathering.waves[0].items[0].choices.b-wash is "thrice", which is not known; expected one of twice, once, milk',
  ],
  [
    "the same item twice",
    (r) => r.gathering.waves![0].items.push({ recipe: "bow-seat-bun" }),
    'gathering.waves[0].items[4].recipe is "bow-seat-bun", which does not fit with the rest; expected each item once in a wave',
  ],
  ["an item without steps", (r) => (r.items[0].steps = []), "items[0].steps is []; expected at least one step"],
  [
    "a step after one that is not there",
    (r) => (r.items[0].steps[1].after[0].step = "x"),
    'is "x", which is not known; expected the id of a step of this item',
  ],
  [
    "no cook on any day",
    (r) => r.kitchen!.cooks.forEach((c) => (c.hours = [])),
    "kitchen.cooks[0].hours is missing; expected hours of at least one cook",
  ],
  [
    "hours that end before they begin",
    (r) => (r.kitchen!.cooks[0].hours[0].to = "09:00"),
    'kitchen.cooks[0].hours[0].to is "09:00", which does not fit with the rest; expected a time after 10:00',
  ],
  [
    "no shelf in the oven",
    (r) => (r.kitchen!.equipment.oven.shelfPositions = 0),
    "kitchen.equipment.oven.shelfPositions is 0; expected a number of at least 1",
  ],
  [
    "a tray larger than the oven",
    (r) => Object.assign(r.kitchen!.equipment.oven, { shelfMm: [380, 300] }),
    "kitchen.equipment.tray.mm is [400,300], which does not fit with the rest; expected a tray that fits the oven's shelf of 380 × 300 mm",
  ],
  [
    "an unknown step done ahead",
    (r) => (r.gathering.doneAhead![0].through = "zz"),
    'gathering.doneAhead[0].through is "zz", which is not known; expected a step of Compass tartlets',
  ],
])("%s", (_name, edit, expected) => expect(sentence(edit)).toContain(expected));

test("a split must add up", () => {
  expect(sentence((r) => (r.gathering.freezer![0].split![0].pieces = 30), "quiet-evenings")).toBe(
    "gathering.freezer[0].split is 42, which does not fit with the rest; expected parts that add up to 36 pieces",
  );
});
