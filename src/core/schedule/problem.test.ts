import { issueText } from "../shared/issue-text";
import { MAX_TASKS, parseProblem } from "./problem";

const base = {
  format: "unisynth-problem/1",
  horizon: 100,
  resources: [
    { id: "hands", kind: "pool", capacity: 2 },
    { id: "oven", kind: "chamber", slots: 2, start: 20, heat: 10, cool: 5 },
  ],
  tasks: [{ id: "a", duration: 10, uses: [{ resource: "hands" }] }],
};
const withTask = (task: object) => ({ ...base, tasks: [...base.tasks, { id: "b", duration: 10, ...task }] });
const sentence = (input: unknown): string => {
  const parsed = parseProblem(input);
  return parsed.ok ? "fine" : issueText(parsed.issues[0]);
};

test("what may be left out is filled in", () => {
  const parsed = parseProblem(base);
  expect(parsed.ok && parsed.value.tasks[0]).toMatchObject({
    after: [],
    earlyCost: 0,
    uses: [{ amount: 1, sealed: 0, rank: 0 }],
  });
  expect(parsed.ok && parsed.value.costs).toEqual({ makespan: 0, span: 0 });
});

test.each<[string, unknown, string]>([
  ["no object", 7, "the input is 7; expected an object"],
  ["another format", { ...base, format: "x" }, 'format is "x", which is not known; expected one of "unisynth-problem/1"'],
  ["a horizon that is no number", { ...base, horizon: NaN }, "horizon is not a number"],
  ["null for left out", withTask({ earliest: null }), "tasks[1].earliest is null"],
  ["half minutes", withTask({ earliest: 2.5 }), "tasks[1].earliest is 2.5; expected a whole number"],
  [
    "an unknown resource",
    withTask({ uses: [{ resource: "attic" }] }),
    'tasks[1].uses[0].resource is "attic", which is not known; expected the id of a resource',
  ],
  [
    "an amount above the capacity",
    withTask({ uses: [{ resource: "hands", amount: 3 }] }),
    "tasks[1].uses[0].amount is 3; expected at most the 2 that hands has",
  ],
  ["pools and chambers mixed", withTask({ uses: [{ resource: ["hands", "oven"], setting: 180 }] }), "all pools or all chambers"],
  [
    "a chamber without a setting",
    withTask({ uses: [{ resource: "oven" }] }),
    "tasks[1].uses[0].setting is missing; expected a setting in °C for a chamber",
  ],
  [
    "a part that leaves its task",
    withTask({ uses: [{ resource: "hands", from: 8, minutes: 5 }] }),
    "a part inside the task's 10 minutes",
  ],
  ["from without minutes", withTask({ uses: [{ resource: "hands", from: 1 }] }), "from and minutes together, or neither"],
  [
    "sealed beyond its length",
    withTask({ uses: [{ resource: "oven", setting: 180, sealed: 11 }] }),
    "tasks[1].uses[0].sealed is 11; expected at most 10 minutes",
  ],
  ["a window that ends before it begins", withTask({ duration: [9, 3] }), "[min, max] with min at most max"],
  [
    "a duration by a choice that is not there",
    withTask({ duration: { of: 2, minutes: [1] }, uses: [{ resource: ["hands"] }] }),
    "tasks[1].duration.of is 2",
  ],
  ["a max below the min", withTask({ after: [{ task: "a", min: 5, max: 4 }] }), "at least min (5)"],
  ["an unknown predecessor", withTask({ after: [{ task: "z" }] }), 'tasks[1].after[0].task is "z"'],
  [
    "a ring",
    {
      ...base,
      tasks: [
        { id: "a", duration: 1, after: [{ task: "b" }] },
        { id: "b", duration: 1, after: [{ task: "a", min: -99 }] },
      ],
    },
    "no ring of afters",
  ],
  [
    "the same id twice",
    { ...base, tasks: [base.tasks[0], base.tasks[0]] },
    'tasks[1].id is "a", which does not fit with the rest; expected an id that no other has',
  ],
  [
    "windows that overlap",
    {
      ...base,
      resources: [
        {
          id: "hands",
          kind: "pool",
          capacity: 1,
          calendar: [
            [0, 9, 1],
            [8, 20, 1],
          ],
        },
      ],
    },
    "windows that do not overlap",
  ],
])("%s is refused with its field", (_name, input, expected) => expect(sentence(input)).toContain(expected));

test("a hundred thousand tasks are refused at once", () => {
  const tasks = Array.from({ length: 100000 }, (_, i) => ({ id: `t${i}`, duration: 1 }));
  expect(sentence({ ...base, tasks })).toBe(`tasks is "100000 tasks"; expected at most ${MAX_TASKS} tasks`);
});
