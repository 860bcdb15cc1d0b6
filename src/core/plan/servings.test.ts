import { demoItem, expectRequest, supperInput } from "@tests/demo";
import { ItemSchema } from "../item/schema";
import { makePlan } from "./pipeline";

/** A dumpling with a broth that is drunk with it: the pieces may wait long, the broth may not. */
function withBroth(part: "filling" | "piece", brothHoldMin: number) {
  const item = demoItem("reed-pocket");
  const step = { part, path: ["fresh"], lot: "batch", attention: "none", hands: 0 } as const;
  return ItemSchema.parse({
    ...item,
    steps: [
      ...item.steps.map((one) =>
        one.kind === "serve" ? { ...one, after: one.after.map((link) => ({ ...link, maxGapMin: undefined })) } : one,
      ),
      { ...step, id: "broth", kind: "cook-filling", time: { fixedMin: 25, secPerPiece: 0 }, equipment: [{ id: "hob" }] },
      {
        ...step,
        part: "piece",
        id: "pour",
        kind: "serve",
        attention: "hands-on",
        hands: 1,
        time: { fixedMin: 2, secPerPiece: 0 },
        after: [{ step: "broth" }],
        hold: { best: "hot", maxMin: brothHoldMin },
      },
    ],
  });
}

const planned = (part: "filling" | "piece", brothHoldMin: number) => {
  const solve = { seed: 1, iterations: 300 };
  const request = expectRequest(supperInput("quiet-evenings", withBroth(part, brothHoldMin), 12, "21:00", { solve }));
  return makePlan(request, { now: () => 0 });
};

test.each(["filling", "piece"] as const)("each of two servings is judged by its own wait: the drink is a %s", (part) => {
  const plan = planned(part, 10);
  expect(plan.solution.status).not.toBe("infeasible");
  const [serve] = plan.serves;
  const end = (step: string) =>
    Math.max(...plan.solution.tasks.filter(({ id }) => plan.tasks[id]?.step === step).map((task) => task.end));
  expect(end("broth")).toBeGreaterThanOrEqual(serve.at - 10);
  expect(end("broth")).toBeLessThanOrEqual(serve.at);
  expect(serve.ready).toBeGreaterThanOrEqual(end("broth"));
});
