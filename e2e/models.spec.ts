import { demoServer } from "./demo-server";
import { expect, planFits, test, type Page } from "./test";

/** What the room, the fryer and the oven do to a day. */

test.describe.configure({ mode: "serial" });
const own = demoServer();

const saved = (page: Page) => expect(page.getByText("Saved", { exact: true })).toBeVisible();

/** A plan that was kept keeps to the kitchen as it was, until it is told otherwise. */
async function asItIsNow(page: Page): Promise<void> {
  await planFits(page);
  const over = page.getByRole("button", { name: "Plan with it as it is now" });
  if (await over.isVisible()) await over.click();
  await planFits(page);
}

/** Opens the first block of a step and says between which lengths it may last, min. */
async function windowOf(page: Page, block: RegExp): Promise<number> {
  await page.getByRole("region", { name: "Timeline" }).getByRole("button", { name: block }).first().click();
  const text = await page
    .getByRole("complementary", { name: "Step" })
    .getByText("May end")
    .locator("xpath=following-sibling::dd[1]")
    .textContent();
  const [from, to] = [...text!.matchAll(/(\d+):(\d\d)/g)].map(([, h, m]) => Number(h) * 60 + Number(m));
  return to - from;
}

test("the room's curve, moved in the kitchen, moves the proof on the timeline and nothing in the fridge", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night/timeline`);
  await planFits(page);
  await expect(page.getByRole("group", { name: /^Room: 20 °C, then 23 °C/ })).toBeVisible();
  const before = await windowOf(page, /Bow-seat buns: Proof/);
  await page.goto(`${own.url}/kitchens/boathouse`);
  const curve = page.getByRole("group", { name: "Room temperature through the day" });
  for (const slider of await curve.getByRole("slider", { name: /^Room from/ }).all()) {
    await slider.focus();
    for (let k = 0; k < 10; k++) await page.keyboard.press("ArrowUp");
  }
  await saved(page);
  await page.goto(`${own.url}/g/launch-night/timeline`);
  await asItIsNow(page);
  await expect(page.getByRole("group", { name: /^Room: 25 °C, then 28 °C/ })).toBeVisible();
  expect(await windowOf(page, /Bow-seat buns: Proof/)).toBeLessThan(before);
});

test("two bakes whose settings lie close share the oven at one; a length that is typed is planned with, and taken back", async ({
  page,
}) => {
  await page.goto(`${own.url}/items/hawser-coil`);
  const bake = page.locator('[data-step="g-bake"]');
  await bake.getByRole("button", { name: "Change" }).click();
  await bake.getByLabel("Heat, °C").fill("205");
  await saved(page);
  await page.goto(`${own.url}/g/launch-night`);
  const oven = page.getByRole("region", { name: "One oven" });
  await expect(oven).toContainText(/At 197 °C they may be in it together: .*Bow-seat buns/);
  await oven.getByRole("switch", { name: "Bake at one setting" }).click();
  await saved(page);
  await planFits(page);
  await page.getByRole("link", { name: "Timeline" }).click();
  const timeline = page.getByRole("region", { name: "Timeline" });
  for (const item of ["Bow-seat buns", "Hawser coils"]) {
    await timeline
      .getByRole("button", { name: new RegExp(`${item}: Bake`) })
      .first()
      .click();
    await expect(page.getByRole("complementary", { name: "Step" })).toContainText("With others in one oven: 197 °C");
  }
  await timeline
    .getByRole("button", { name: /Bow-seat buns: Bake/ })
    .first()
    .click();
  const step = page.getByRole("complementary", { name: "Step" });
  await step.getByLabel("Takes here, min").fill("33");
  await step.getByRole("button", { name: "Plan with it" }).click();
  await expect(step).toContainText("(33 min)");
  await expect(step).toContainText("you, for this gathering");
  await step.getByRole("button", { name: "Back to that" }).click();
  await expect(step).not.toContainText("(33 min)");
});

test("a fryer with less oil takes more loads, which the gathering says at once", async ({ page }) => {
  const loadsHere = async (): Promise<number> => {
    const line = page.getByTestId("line-oarlock-turnover").first();
    await expect(line).toContainText(/\d+ fryer loads/);
    return Number(/(\d+) fryer loads/.exec((await line.textContent())!)![1]);
  };
  await page.goto(`${own.url}/g/launch-night`);
  const before = await loadsHere();
  await page.goto(`${own.url}/kitchens/boathouse`);
  const oil = page.getByRole("region", { name: "Fryer", exact: true }).getByLabel("Fryer: Oil, ml");
  await oil.fill(String(Math.round(Number(await oil.inputValue()) / 2)));
  await saved(page);
  await page.goto(`${own.url}/g/launch-night`);
  const over = page.getByRole("button", { name: "Plan with it as it is now" });
  await expect(over.or(page.getByTestId("plan-state"))).not.toHaveCount(0);
  if (await over.isVisible()) await over.click();
  await expect.poll(loadsHere).toBeGreaterThan(before);
});
