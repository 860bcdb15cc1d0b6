import { demoItem, expectRequest, supperInput } from "@tests/demo";
import { verify } from "../schedule/verify";
import { makePlan } from "./pipeline";

const pie = demoItem("slipway-pie");
const stepOf = (kind: string, part: string) =>
  pie.steps.find((step) => step.kind === kind && step.part === part && step.path.includes("fresh"))!;

function planned(lengths?: object[], pieces = 16) {
  const input = supperInput("launch-night", pie, pieces, "18:30", { solve: { seed: 1, iterations: 0 } });
  const plan = makePlan(expectRequest({ ...input, gathering: { ...input.gathering, ...(lengths && { lengths }) } }), {
    now: () => 0,
  });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(verify(plan.problem, plan.solution)).toEqual([]);
  return (step: string) => {
    const task = plan.solution.tasks.find(({ id }) => plan.tasks[id]?.step === step)!;
    return { minutes: task.end - task.start, source: plan.tasks[task.id].source };
  };
}

test("a length that is typed for a gathering is planned with, and told as the cook's; others stay", () => {
  const bake = stepOf("bake", "piece").id;
  const before = planned();
  const { minutes } = before(bake);
  expect(before(bake).source).toBe("recipe");
  const after = planned([{ recipe: pie.id, step: bake, minutes: 31, instead: minutes }]);
  expect(after(bake)).toEqual({ minutes: 31, source: "typed" });
  const fill = stepOf("fill", "piece").id;
  expect(after(fill).source).toBe("recipe");
});

test("a rest that is typed lasts at least so long, whatever the room", () => {
  const rest = stepOf("chill", "piece");
  const own = planned([{ recipe: pie.id, step: rest.id, minutes: 44, instead: 30 }])(rest.id);
  expect(own.minutes).toBeGreaterThanOrEqual(44);
  expect(own.source).toBe("typed");
});

test("trays that cannot be chilled all at once are baked as they get ready", () => {
  const chill = stepOf("chill", "piece");
  expect(planned([{ recipe: pie.id, step: chill.id, minutes: 30, instead: 15 }], 24)(chill.id).minutes).toBeGreaterThanOrEqual(
    30,
  );
});
