import { itemIssues } from "../check";
import { FAMILY_IDS, METHOD_IDS } from "./doughs";
import { FILLING_IDS } from "./fillings";
import { makeItem } from "./make-item";
import { RecipeInputSchema } from "./recipe-input";
import { remake } from "./remake";

const made = (options: object) => {
  const result = makeItem(
    RecipeInputSchema.parse({
      name: "Pies",
      makes: 12,
      dough: ["400 g flour", "200 g butter", "120 g water"],
      fillings: ["400 g minced beef"],
      ...options,
    }),
    { taken: [], ...options },
  );
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value.item;
};
const at = (item: ReturnType<typeof made>, step: string) =>
  item.faults.filter(({ steps }) => steps.includes(step)).map(({ id }) => id);

test("what may go wrong stands at the step at which it is seen, and follows the way of finishing", () => {
  const baked = made({ family: "SH", method: "tray", filling: "meat-in-sauce" });
  expect(at(baked, "heat")).toEqual(expect.arrayContaining(["soggy", "pale-base", "tough"]));
  expect(at(baked, "seal")).toEqual(expect.arrayContaining(["not-closing", "hollow"]));
  const fried = remake(baked, { method: "fry" })!.item;
  expect(at(fried, "heat")).toEqual(expect.arrayContaining(["spits", "oily"]));
  expect(at(fried, "heat")).not.toContain("soggy");
  expect(itemIssues({ items: [fried] })).toEqual([]);
});

test("every fault names steps that are there, says what helps now and the next time, and each is somebody's", () => {
  const seen = new Set<string>();
  FAMILY_IDS.forEach((family, f) =>
    METHOD_IDS.forEach((method, m) => {
      const item = made({ family, method, filling: FILLING_IDS[(f + m) % FILLING_IDS.length] });
      expect(itemIssues({ items: [item] })).toEqual([]);
      for (const fault of item.faults) {
        seen.add(fault.id);
        expect(fault.steps.length).toBeGreaterThan(0);
        expect(fault.remedy).toMatch(/^Now: .+\. Next time: .+\.$/);
      }
    }),
  );
  expect(seen.size).toBeGreaterThanOrEqual(36);
});
