import { demoInput, expectRequest } from "@tests/demo";
import { replan } from "../schedule/replan/replan";
import { makePlan } from "./pipeline";
import { readSlip, slipOf } from "./slip";

const plan = makePlan(expectRequest(demoInput("first-try", { solve: { seed: 1, iterations: 200 } })), { now: () => 0 });
const bake = plan.solution.tasks.find((task) => plan.tasks[task.id].step === "a-bake")!;
const first = [...plan.solution.tasks].sort((a, b) => a.start - b.start)[0];
const slip = (task: string, minutes: number) =>
  readSlip(
    plan,
    task,
    replan(plan.problem, plan.solution, slipOf(plan, task, minutes), { now: () => 0, seed: 1, iterations: 100 }),
  );

test("what was before the moment is done, what goes on is under way, the late step ends later", () => {
  const soFar = slipOf(plan, bake.id, 10);
  expect(soFar.now).toBe(bake.end);
  expect(soFar.running[0]).toEqual({ id: bake.id, start: bake.start, end: bake.end + 10 });
  for (const { id, end } of soFar.done) expect(plan.solution.tasks.find((task) => task.id === id)!.end).toBe(end);
  expect(soFar.done.every((task) => task.end <= bake.end)).toBe(true);
});

test("no minutes late: nothing moves and lunch stands", () => {
  expect(slip(first.id, 0)).toEqual({ late: [], moves: [], beyond: [], waits: [], unattended: [] });
});

test("an hour late from the start: lunch is an hour late, and the cook needed after their hours, nobody else", () => {
  const { late, beyond } = slip(first.id, 60);
  expect(late).toEqual([{ target: "lunch", minutes: 60 }]);
  expect(beyond).toEqual([{ cook: "teo", minutes: 30 }]);
});

test("25 minutes late out of the oven: lunch is late, and it is said by how much", () => {
  const { late } = slip(bake.id, 25);
  expect(late).toHaveLength(1);
  expect(late[0].target).toBe("lunch");
  expect(late[0].minutes).toBeGreaterThan(10);
});

test("steps that move are named with when they were and when they will be", () => {
  const { moves } = slip(first.id, 12);
  for (const { task, from, to } of moves) {
    expect(plan.tasks[task].step).not.toBeNull();
    expect(plan.solution.tasks.find((entry) => entry.id === task)!.start).toBe(from);
    expect(to).not.toBe(from);
    expect(to).toBeGreaterThanOrEqual(first.end);
  }
  expect(moves.length).toBeGreaterThan(0);
});
