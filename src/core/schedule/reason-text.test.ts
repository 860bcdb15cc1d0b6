import type { ScheduleReason } from "./reason";
import { scheduleReasonText } from "./reason-text";

const names = {
  task: (id: string) => ({ bake: "Bake pies", proof: "Proof buns", roll: "Roll" })[id] ?? id,
  resource: (id: string) => `the ${id}`,
  moment: (minute: number) => `${Math.floor(minute / 60)} h`,
};
const said = (reason: ScheduleReason) => scheduleReasonText(reason, names);

test.each<[ScheduleReason, string]>([
  [
    { code: "too-long", task: "bake", minutes: 30, earliest: 600, latest: 620 },
    "Bake pies takes at least 30 min, but what comes before and after it leaves only the time between 10 h and 10 h.",
  ],
  [
    {
      code: "no-room",
      task: "bake",
      earliest: 60,
      latest: 180,
      short: [{ amount: 2, resources: ["oven", "oven-2"], minutes: 30 }],
    },
    "Bake pies must lie between 1 h and 3 h, and in that time 2 of the oven or the oven-2 are never free for 30 min.",
  ],
  [
    { code: "no-room", task: "bake", earliest: 60, latest: 180, short: [] },
    "Bake pies must lie between 1 h and 3 h, and in that time what it needs is never there all at once.",
  ],
  [{ code: "none-found" }, "No timetable was found; it is not proven that there is none."],
  [
    { code: "nearest", placed: 4, of: 9, leftOut: ["bake", "proof", "roll", "x", "y"] },
    "The nearest timetable has 4 of 9 tasks; without a place in it: Bake pies, Proof buns, Roll, x and 1 more.",
  ],
  [
    { code: "no-place", task: "roll", earliest: 60, latest: 120, taken: ["ada"] },
    "Roll found no place between 1 h and 2 h; most often the ada was taken.",
  ],
  [
    {
      code: "infeasible-subset",
      tasks: [
        { task: "bake", minutes: 30 },
        { task: "proof", minutes: 40 },
      ],
      earliest: 60,
      latest: 120,
      shares: { resource: "oven", units: 1 },
      others: [{ task: "roll", minutes: 5 }],
    },
    "Bake pies (30 min) and Proof buns (40 min) cannot both be done between 1 h and 2 h with 1 of the oven, as Roll (5 min) asks.",
  ],
])("case %#", (reason, sentence) => expect(said(reason)).toBe(sentence));
