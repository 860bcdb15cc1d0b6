import { demoServer } from "./demo-server";
import { expect, planFits, test } from "./test";

/** Steps of the cook's own: added, moved, split; what they take, and what they do to the day. */

test.describe.configure({ mode: "serial" });
const own = demoServer();

test("a night in the fridge is added on the desk, and the evening before fills up on the timeline", async ({ page }) => {
  await page.goto(`${own.url}/items/slipway-pie`);
  const steps = page.getByRole("region", { name: "Steps", exact: true });
  const seal = steps.getByRole("listitem").filter({ hasText: "Seal" }).first();
  await seal.getByRole("button", { name: "Change" }).click();
  await steps.getByRole("button", { name: "a night in the fridge" }).click();
  const night = steps.locator('[data-step="night"]');
  await expect(night).toContainText("Cover it; into the fridge overnight.");
  await expect(night.getByLabel("Usual, min")).toHaveValue("600");
  await night.getByLabel("Called").fill("A night in the cold");
  await expect(night).toContainText(/^\d+A night in the cold/);
  // Nobody is there the evening before: what that does to the next day is said at once.
  await expect(page.getByRole("status").filter({ hasText: "it does not fit any more" })).toBeVisible();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();

  await page.goto(`${own.url}/g/first-try`);
  await expect(page.getByTestId("plan-state")).toHaveText("No plan for this");
  const cooks = page.getByRole("region", { name: "Who cooks" });
  await cooks.getByRole("button", { name: /other hours this time/ }).click();
  await cooks.getByRole("button", { name: "More hours" }).click();
  await planFits(page);
  await expect(page.getByTestId("first-start")).toHaveText(/^[A-Z][a-z]{2} (18|19|20):\d\d/);
  await page.getByRole("link", { name: "Timeline" }).click();
  const timeline = page.getByRole("region", { name: "Timeline" });
  await expect(timeline.getByRole("button", { name: /Slipway pies: A night in the cold/ }).first()).toBeVisible();
  await timeline
    .getByRole("button", { name: /Slipway pies: Seal/ })
    .first()
    .click();
  await expect(page.getByRole("complementary", { name: "Step" })).toContainText(
    /(18|19|20):\d\d – .*begins 1[4-9] h \d\d before lunch/,
  );
});

test("a bake in two, a step moved, and both taken back", async ({ page }) => {
  await page.goto(`${own.url}/items/oarlock-turnover`);
  const steps = page.getByRole("region", { name: "Steps", exact: true });
  const order = () => steps.locator("[data-step]").evaluateAll((all) => all.map((one) => one.getAttribute("data-step")));
  const before = await order();
  const fry = steps
    .locator("[data-step]")
    .filter({ hasText: /^\d+Fry/ })
    .first();
  const id = (await fry.getAttribute("data-step"))!;
  await fry.getByRole("button", { name: "Change" }).click();
  await steps.getByRole("button", { name: "In two" }).click();
  await expect.poll(order).toEqual(before.flatMap((one) => (one === id ? [`${id}-first`, id] : [one])));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(order).toEqual(before);
  await steps.getByRole("button", { name: "Earlier" }).click();
  await expect.poll(order).not.toEqual(before);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(order).toEqual(before);
});

test("an item with steps of its own is fried instead of baked: what is its own stays where it has a place; then the steps of the rule, and Undo brings all back", async ({
  page,
}) => {
  await page.goto(`${own.url}/items/hawser-coil`);
  const steps = page.getByRole("region", { name: "Steps", exact: true });
  const before = await steps.locator("[data-step]").count();
  const how = page.getByRole("region", { name: "How it is made" });
  await expect(how.getByRole("combobox", { name: "Kind of dough" })).toHaveText("stretched sheet");
  await expect(how.getByRole("combobox", { name: "Finished" })).toHaveText("baked on a tray");
  await expect(page.getByRole("region", { name: "How it is formed" }).getByRole("img").first()).toBeVisible();
  await how.getByRole("combobox", { name: "Finished" }).click();
  await page.getByRole("option", { name: "deep-fried" }).click();
  await expect(steps).toContainText("Fry at 177 °C, turning once");
  await expect(steps.locator("[data-step]").filter({ hasText: /^\d+Bake/ })).toHaveCount(0);
  await expect(page.getByText(/What you changed about steps that are not there any more/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(steps.locator("[data-step]")).toHaveCount(before);
  const rule = page.getByRole("region", { name: "By rule" });
  await expect(rule).toContainText(/They differ from the rule in \d+ places/);
  await rule.getByRole("button", { name: "Take the steps of the rule" }).click();
  await expect(steps).toContainText("Bake at 220 °C");
  await expect(rule).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(rule).toBeVisible();
  await expect(steps.locator("[data-step]")).toHaveCount(before);
});

test("raw chicken that is typed into a filling has its core measured, and no colder one is taken; what a step takes can be said", async ({
  page,
}) => {
  await page.goto(`${own.url}/items/compass-tartlet`);
  const formula = page.getByRole("region", { name: "Formula" });
  const steps = page.getByRole("region", { name: "Steps", exact: true });
  const bake = steps
    .locator("[data-step]")
    .filter({ hasText: /^\d+Bake/ })
    .last();
  await formula.getByRole("button", { name: "Another filling beside it" }).click();
  await formula.getByLabel("What it is called").fill("Chicken");
  await formula.getByRole("textbox", { name: "Another filling beside it" }).fill("400 g chicken thigh, raw\n6 g salt");
  await formula.getByRole("button", { name: "Add 2 ingredients" }).click();
  await expect(formula.getByRole("group", { name: "Chicken", exact: true }).getByLabel(/^Grams of chicken/)).toHaveValue("400");
  await expect(page.getByTestId("claims")).toContainText(/not vegetarian|contains/);

  await formula.getByLabel("Ingredient 1 of Filling 1").fill("chicken thigh, raw");
  await bake.getByRole("button", { name: "Change" }).click();
  await bake.getByText("How one sees it").click();
  const core = bake.getByLabel("Core, °C");
  await expect(core).toHaveValue("74");
  await core.fill("60");
  await core.press("Enter");
  await expect(bake.getByRole("alert")).toContainText("74 to 100 °C for what is in it");
  await expect(bake.getByText("probe", { exact: true })).toBeVisible();
  await bake.getByRole("combobox", { name: "And besides" }).click();
  await page.getByRole("option", { name: "rack", exact: true }).click();
  await expect(bake.getByText("rack", { exact: true })).toBeVisible();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
});
