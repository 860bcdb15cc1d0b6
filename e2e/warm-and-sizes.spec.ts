import { demoServer } from "./demo-server";
import { expect, planFits, test, type Page } from "./test";

/** Warm holding, and equipment of several sizes, each on the demo as it comes. */

const own = demoServer();

const line = (page: Page, item: string) => page.getByTestId(`line-${item}`).first();

test("what is fried is kept warm in the oven, and each step says how long it may wait for the table", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night`);
  // The oven is free for it.
  const supper = page.getByRole("region", { name: "Supper" });
  for (const baked of ["Bow-seat buns", "Hawser coils"]) await supper.getByRole("button", { name: `Remove ${baked}` }).click();
  await planFits(page);
  const fried = line(page, "oarlock-turnover");
  await fried.getByRole("button", { name: "Oarlock turnovers: share, batches, parts" }).click();
  await fried.getByRole("switch", { name: /keep Oarlock turnovers warm after frying: up to 50 min/ }).click();
  await planFits(page);
  await page.getByRole("link", { name: "Timeline" }).click();
  await page
    .getByRole("button", { name: /Oarlock turnovers: Keep warm/ })
    .first()
    .click();
  const step = page.getByRole("complementary", { name: "Step" });
  await expect(step).toContainText(/stays at 60 °C or more while it waits; local rules and trained advice come first/);
  await expect(step).toContainText(/To the table.*within/);
});

test("a kitchen with two sizes of tray: what each holds is said, and both are lanes of the day", async ({ page }) => {
  await page.goto(`${own.url}/kitchens/quiet-flat`);
  const trays = page.getByRole("region", { name: "Trays", exact: true });
  await trays.getByLabel("Trays: How many").fill("1");
  await trays.getByRole("button", { name: "Trays: another size" }).click();
  await trays.getByLabel("Trays, size 2: A tray, mm, length").fill("3");
  await expect(page.getByText(/Trays, size 2: A tray, mm.* is 3; expected/)).toBeVisible();
  await trays.getByLabel("Trays, size 2: A tray, mm, length").fill("300");
  await trays.getByLabel("Trays, size 2: A tray, mm, width").fill("200");
  await trays.getByLabel("Trays, size 2: How many").fill("2");
  await page.getByLabel("Shown with").click();
  await page.getByRole("option", { name: "Reed pockets" }).click();
  await expect(trays).toContainText("Reed pockets: 30 or 15 on one");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.goto(`${own.url}/g/quiet-evenings`);
  await planFits(page);
  await page.getByRole("link", { name: "Timeline" }).click();
  await expect(page.getByRole("group", { name: "Trays", exact: true })).toHaveCount(2);
  await expect(page.getByText("2 trays, 300 × 200 mm")).toBeVisible();
});
