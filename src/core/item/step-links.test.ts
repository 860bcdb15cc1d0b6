import { demoItem } from "@tests/demo";
import { itemIssues } from "./check";
import type { Item } from "./schema";
import { latestAfter, looksText, setKeeps, setLatestAfter, setLooks, setLot } from "./step-links";
import type { Result } from "../shared/issue";

const pie = demoItem("slipway-pie");
const stepOf = (result: Result<Item>, id: string) => {
  if (!result.ok) throw new Error(result.issues[0].wanted);
  expect(itemIssues({ items: [result.value] })).toEqual([]);
  return result.value.steps.find((step) => step.id === id)!;
};

test("looks are typed as minute and length, and read back so", () => {
  const bake = stepOf(setLooks(pie, "a-bake", "0 2, 12 1, -2 2"), "a-bake");
  expect(looksText(bake)).toBe("0 2, 12 1, -2 2");
  expect(stepOf(setLooks(pie, "a-bake", ""), "a-bake").tend).toEqual([]);
  for (const wrong of ["soon", "0", "23 5", "-40 1", "0 0", "-1 2"]) expect(setLooks(pie, "a-bake", wrong).ok).toBe(false);
});

test("how soon a step follows, how long what it leaves keeps, and what it is done to", () => {
  const bake = stepOf(setLatestAfter(pie, "a-bake", 12), "a-bake");
  expect(latestAfter(bake)).toBe(12);
  expect(latestAfter(stepOf(setLatestAfter(pie, "a-bake", undefined), "a-bake"))).toBeUndefined();
  expect(setLatestAfter(pie, "a-bake", -1).ok).toBe(false);
  expect(stepOf(setKeeps(pie, "a-chill-formed", 10, 24), "a-chill-formed").ahead).toEqual({ hours: 10, where: "fridge" });
  expect(stepOf(setKeeps(pie, "a-chill-formed", undefined, 24), "a-chill-formed").ahead).toBeUndefined();
  expect(setKeeps(pie, "a-chill-formed", 30, 24)).toMatchObject({ ok: false, issues: [{ code: "out_of_range" }] });
  expect(stepOf(setLot(pie, "a-fill", "tray"), "a-fill").lot).toBe("tray");
  expect(setLot(pie, "a-bake", "batch").ok).toBe(false);
});
