import { STEP_KINDS } from "../item/step";
import { obstacleText, refusalTexts, noteText } from "./reason-text";
import type { Plan, TaskInfo } from "./schema";
import { inCelsius, planTaskText, taskText, VERB } from "./task-text";
import { changeText } from "./ways/change-text";

const nameOf = (id: string) => ({ bun: "Plum buns", pie: "Leek pies" })[id] ?? id;
const fahrenheit = (celsius: number) => `${(celsius * 9) / 5 + 32} °F`;
const task = (what: TaskInfo["what"], over: Partial<TaskInfo> = {}): TaskInfo => ({
  item: "bun",
  step: "s",
  pieces: 36,
  range: [0, 36],
  for: ["supper"],
  source: "recipe",
  what,
  ...over,
});

test("every kind of step has its verb", () => expect(Object.keys(VERB).sort()).toEqual([...STEP_KINDS].sort()));

test.each<[TaskInfo, string]>([
  [
    task({ code: "step", kind: "bake", part: "piece", carrier: "tray", carriers: 3, settingC: 190 }),
    "Bake 36 Plum buns, 3 trays, 374 °F",
  ],
  [
    task({ code: "step", kind: "mix", part: "dough" }, { also: [{ item: "pie", step: "m", pieces: 12, range: [0, 12] }] }),
    "Mix dough for 36 Plum buns and 12 Leek pies",
  ],
  [task({ code: "step", kind: "mix", part: "filling", title: "Rinse the meat" }), "Rinse the meat for 36 Plum buns"],
  [
    task({ code: "step", kind: "cool", part: "piece", title: "Drain", carrier: "tray", carriers: 2 }),
    "Drain, 36 Plum buns, 2 trays",
  ],
  [
    task({ code: "wait", carrier: "tray", carriers: 1, onShelf: true }),
    "1 tray of Plum buns waits in the fridge for the freezer",
  ],
  [task({ code: "wait", carrier: "steamer-tier", carriers: 2, onShelf: false }), "2 tiers of Plum buns wait"],
  [task({ code: "wait", carriers: 1, onShelf: false }), "Plum buns wait"],
  [task({ code: "oil-change" }), "Change the oil: drain, wipe, fill with fresh oil"],
])("a task in words, case %#", (info, text) => expect(taskText(info, nameOf, fahrenheit)).toBe(text));

const DAY: Plan["day"] = {
  gathering: { id: "g", name: "Lunch", guests: 8 },
  kitchen: { id: "k", name: "Kitchen" },
  date: "2026-11-28",
  cooks: [{ id: "ada", name: "Ada", skill: "beginner" }],
  items: [
    { id: "bun", name: "Plum buns" },
    { id: "pie", name: "Leek pies" },
  ],
  targets: [{ id: "supper", name: "Supper", minute: 1110 }],
  rules: [],
};

describe("what makes a day impossible", () => {
  const at = { item: "bun", kind: "bake" as const };
  test.each([
    [{ code: "not-there" as const, ...at, equipment: "oven" }, "Plum buns: bake needs an oven, and this kitchen has none"],
    [{ code: "not-there" as const, ...at, equipment: "tray" }, "Plum buns: bake needs a tray, and this kitchen has none"],
    [
      { code: "too-hot" as const, ...at, equipment: "oven", settingC: 250, mostC: 200 },
      "Plum buns: bake needs 482 °F, and the oven reaches 392 °F",
    ],
    [
      { code: "too-few" as const, ...at, equipment: "rack", needed: 3, there: 1 },
      "Plum buns: bake needs 3 of rack at once, and this kitchen has 1",
    ],
    [{ code: "no-load" as const, ...at }, "Plum buns: this kitchen has nothing that takes a load to bake"],
    [
      { code: "mixer-too-small" as const, item: "bun", pieceG: 60.4, mixerG: 50 },
      "Plum buns: one piece needs 60 g of dough and the mixer takes 50 g",
    ],
  ])("case %#", (obstacle, text) => expect(obstacleText(obstacle, nameOf, fahrenheit)).toBe(text));

  test("reasons name tasks and cooks, and tell the time by the clock on the wall", () => {
    const plan = {
      day: DAY,
      tasks: { "bun/bake/0-36": task({ code: "step", kind: "bake", part: "piece" }) },
      clockChanges: [{ at: 600, shiftMin: -60 }],
      origin: `${DAY.date}T00:00`,
      refusal: [
        { code: "no-place" as const, task: "bun/bake/0-36", earliest: 540, latest: 720, taken: ["ada"] },
        { code: "no-load" as const, item: "pie", kind: "fry" as const },
      ],
    };
    expect(refusalTexts(plan)).toEqual([
      "Bake 36 Plum buns found no place between 09:00 and 11:00; most often Ada was taken.",
      "Leek pies: this kitchen has nothing that takes a load to fry",
    ]);
    expect(planTaskText(plan, "unknown")).toBe("unknown");
  });

  test("notes", () => {
    expect(
      noteText(
        { day: DAY },
        { level: "caution", code: "unserved-diet", about: ["supper"], guests: 1, who: [{ diet: [], avoid: ["egg"] }] },
      ),
    ).toBe("Supper: 1 guest has nothing to eat (no egg).");
    expect(noteText({ day: DAY }, { level: "caution", code: "oil-not-vegan", about: ["pie", "bun"] })).toMatch(
      /^Leek pies are fried in oil that Plum buns were in before/,
    );
  });
});

test.each([
  [{ code: "one-more" as const, equipment: "hob", count: 5 }, "one more hob ring"],
  [{ code: "one-more" as const, equipment: "wok", count: 2 }, "one more wok"],
  [{ code: "helper" as const, from: "17:00", to: "18:00" }, "a pair of hands more from 5 pm to 6 pm"],
  [{ code: "together" as const, part: "dough" as const, items: ["A", "B"], apart: true }, "the dough of A and B made apart"],
  [{ code: "ahead" as const, item: "Leek pies", part: "filling" as const }, "the filling of Leek pies done the day before"],
  [{ code: "later" as const, minutes: 80, time: "18:00" }, "serving 1 h 20 later, at 6 pm"],
  [
    { code: "later" as const, minutes: 15, time: "17:00", stays: { cook: "Ada", to: "18:00" } },
    "serving 15 min later, at 5 pm, and Ada stays until 6 pm",
  ],
  [{ code: "another-day" as const, date: "2026-03-01" }, "the same on 2026-03-01"],
  [
    { code: "keep-warm" as const, item: "Leek pies", minutes: 50, celsius: 100 },
    "Leek pies kept warm for up to 50 min, on a rack in the oven at 100 °C",
  ],
  [{ code: "from-stock" as const, item: "Leek pies", pieces: 1 }, "1 piece of Leek pies from the freezer"],
  [{ code: "other-filling" as const, item: "Leek pies", filling: "Curd" }, "Leek pies with curd"],
  [
    { code: "bigger-pan" as const, mm: 320, item: "Leek pies", pieces: 9, from: 6 },
    "a lidded pan 320 mm across: 9 Leek pies at once instead of 6",
  ],
])("a change in words, case %#", (kind, text) =>
  expect(changeText(kind, { clock: (time) => `${Number(time.slice(0, 2)) - 12} pm`, heat: inCelsius, day: (date) => date })).toBe(
    text,
  ),
);
