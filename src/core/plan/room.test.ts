import { demoInput, expectRequest } from "@tests/demo";
import { followsRoom } from "../item/rest-in-room";
import { quantitiesOf } from "./quantities";

const roomOf = (c: number) => [{ from: "00:00", to: "24:00", c }];

/** The problem of a demo day in a room of so many degrees, with the steps that its tasks are. */
function inRoom(day: string, c: number, over: object = {}) {
  const input = demoInput(day);
  const { expansion } = quantitiesOf(expectRequest({ ...input, kitchen: { ...input.kitchen, roomC: roomOf(c), ...over } }));
  const steps = expansion.steps.all;
  const stepOf = (task: string) => {
    const as = expansion.info.get(task)?.as;
    return as === undefined ? undefined : steps[as];
  };
  return { tasks: expansion.problem.tasks, stepOf };
}

test.each(["launch-night", "quiet-evenings", "first-try"])("%s: from 20 to 26 °C only what follows the room changes", (day) => {
  const [cool, warm] = [inRoom(day, 20), inRoom(day, 26)];
  expect(warm.tasks.map(({ id }) => id)).toEqual(cool.tasks.map(({ id }) => id));
  const changed = cool.tasks.filter(({ duration }, k) => JSON.stringify(duration) !== JSON.stringify(warm.tasks[k].duration));
  for (const { id } of changed) {
    const { rest } = cool.stepOf(id)!;
    expect(rest && followsRoom(rest)).toBe(true);
  }
  const follows = cool.tasks.filter(({ id }) => {
    const rest = cool.stepOf(id)?.rest;
    return rest !== undefined && followsRoom(rest);
  });
  expect(changed.length).toBeGreaterThanOrEqual(0.5 * follows.length);
  // Days of nothing but short dough have nothing that follows.
  expect(follows.length > 0).toBe(day === "launch-night");
});

test("where other figures are usual, cores are asked for by those, and nothing else of a step changes", () => {
  const [us, uk] = [inRoom("launch-night", 21), inRoom("launch-night", 21, { guide: "uk" })];
  const cores = us.tasks.flatMap(({ id }) => {
    const [here, there] = [us.stepOf(id), uk.stepOf(id)];
    if (here?.coreC === undefined) return [];
    expect({ ...there, coreC: 0 }).toEqual({ ...here, coreC: 0 });
    return [[here.coreC, there!.coreC!]];
  });
  expect(cores.length).toBeGreaterThan(0);
  for (const [here, there] of cores) expect(there).toBe(Math.max(here, 75));
});
