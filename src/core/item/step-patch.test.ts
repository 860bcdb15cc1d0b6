import { demoItem } from "@tests/demo";
import items from "@/db/demo/items.json";
import { itemIssues } from "./check";
import { ItemSchema, type Item } from "./schema";
import { patchStep, StepPatchesSchema } from "./step-patch";
import { ITEM_DOCUMENT } from "./versions";
import { readDocument } from "../shared/documents";
import { issueText } from "../shared/issue-text";
import { parseWith } from "../shared/parse";

const pie = demoItem("slipway-pie");
const withChange = (change: unknown) => ({
  ...structuredClone(pie),
  schools: [{ id: "s", options: [{ id: "o", name: "O", changes: [change] }] }],
});
const said = (result: ReturnType<typeof parseWith>) => (result.ok ? "" : issueText(result.issues[0]));
const first = pie.steps[0].id;

test("a change written by hand becomes patches: whole fields, then single figures", () => {
  const read = StepPatchesSchema.parse([
    { step: "a", set: { "time.fixedMin": 5, attention: "glance", "rest.max": 9 } },
    { step: "b", skip: true },
  ]);
  expect(read).toEqual([
    { kind: "set", step: "a", fields: { attention: "glance" } },
    { kind: "adjust", step: "a", within: { time: { fixedMin: 5 }, rest: { max: 9 } } },
    { kind: "skip", step: "b" },
  ]);
  expect(StepPatchesSchema.parse(read)).toEqual(read);
});

test("adjusting keeps the other figures, and a part that a step does not have stays away", () => {
  const step = { ...pie.steps[0], time: { fixedMin: 3, secPerPiece: 7 }, rest: undefined };
  const patched = patchStep(step, {
    kind: "adjust",
    step: step.id,
    within: { time: { fixedMin: 9 }, rest: { max: 5 } },
  });
  expect(patched).toMatchObject({ time: { fixedMin: 9, secPerPiece: 7 } });
  expect(patched!.rest).toBeUndefined();
});

describe("what is no field of a step is refused by its name, with the right place", () => {
  test.each([
    [
      { step: first, set: { "__proto__.get": "x" } },
      'schools[0].options[0].changes[0].set.__proto__.get is "__proto__.get", which is not known; expected the name of a field',
    ],
    [
      JSON.parse(`{ "step": "${first}", "set": { "__proto__": { "x": 1 } } }`),
      'schools[0].options[0].changes[0].set.__proto__ is "__proto__", which is not known; expected the name of a field',
    ],
    [
      { step: first, set: { "time.soon": 1 } },
      'schools[0].options[0].changes[0].set.time.soon is "time.soon", which is not known; expected the name of a field',
    ],
    [{ step: first, set: { do: 5 } }, "schools[0].options[0].changes[0].set.do is 5; expected a text"],
    [
      { step: first, set: { "time.fixedMin": "soon" } },
      'schools[0].options[0].changes[0].set.time.fixedMin is "soon"; expected a number',
    ],
    [
      { step: first, set: { "time.fixedMin": -5 } },
      "schools[0].options[0].changes[0].set.time.fixedMin is -5; expected a number of at least 0",
    ],
    [
      { kind: "adjust", step: first, within: { rest: { min: -1 } } },
      "schools[0].options[0].changes[0].within.rest.min is -1; expected a number of at least 0",
    ],
    [
      { kind: "set", step: first, fields: { id: "other" } },
      'schools[0].options[0].changes[0].fields.id is "id", which is not known; expected the name of a field',
    ],
  ])("case %#", (change, sentence) => expect(said(parseWith(ItemSchema, withChange(change)))).toBe(sentence));

  test("and nothing reaches what all objects share", () => {
    parseWith(ItemSchema, withChange({ step: first, set: { "__proto__.polluted": 1 } }));
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });
});

describe("patches are checked against the steps when an item is saved", () => {
  const issuesOf = (change: unknown) =>
    itemIssues({ items: [ItemSchema.parse(withChange(change)) as Item] }).map((i) => issueText(i));
  test.each([
    [{ step: "nowhere", skip: true }, "the id of a step of this item"],
    [{ step: first, set: { after: [{ step: "nowhere" }] } }, "the id of a step of this item"],
    [{ step: first, set: { after: [{ step: first }] } }, "steps that do not wait for themselves"],
    [{ step: pie.steps.find((s) => !s.rest)!.id, set: { "rest.max": 4 } }, "a step that has a rest"],
  ])("%j", (change, wanted) => expect(issuesOf(change).join()).toContain(wanted));
  test("the demo's own are in order", () =>
    expect(itemIssues({ items: items.map((item) => ItemSchema.parse(item)) })).toEqual([]));
});

describe("items of older versions", () => {
  test("changes under dotted names are patches after reading", () => {
    const old = items.find((item) => item.schools.some((school) => school.options.some((option) => "changes" in option)))!;
    const read = readDocument(ITEM_DOCUMENT, 1, old);
    expect(read.ok && read.value).toEqual(ItemSchema.parse(old));
    expect(read.ok && readDocument(ITEM_DOCUMENT, 2, JSON.parse(JSON.stringify(read.value)))).toEqual(read);
  });
  test.each([
    [5, "{}", "schemaVersion is 5, which is not known; expected a version from 1 to 4"],
    [1, "[]", "the input is []; expected an object"],
    [1, JSON.stringify({ ...pie, schools: "none" }), 'schools is "none"; expected a list'],
    [1, JSON.stringify({ ...pie, filling: 3 }), "filling is 3; expected an object"],
  ])("version %i, case %#", (version, text, sentence) =>
    expect(said(readDocument(ITEM_DOCUMENT, version, JSON.parse(text)))).toContain(sentence),
  );
});
