import AxeBuilder from "@axe-core/playwright";
import { demoServer } from "./demo-server";
import { expect, test } from "./test";

/** One question at a time, answered as it is typed; the address of an answer holds its figures. */

const own = demoServer();

test("a question is found from any page, and what is typed stands in the address of its answer", async ({ page, context }) => {
  await page.goto(`${own.url}/`);
  await page.getByRole("link", { name: "Bench" }).click();
  await page.getByRole("link", { name: "How large is the disc?" }).click();
  const answer = page.getByRole("region", { name: "The answer" });
  await expect(answer.getByRole("status")).toHaveText("103.1 mm across, 2.5 mm thick, 24 g");
  await page.getByLabel("Weighs, g", { exact: true }).fill("48");
  await expect(answer.getByRole("status")).toHaveText(/^145\.8 mm across/);
  await expect(page).toHaveURL(/\/bench\/disc\?massG=48$/);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole("region", { name: "The answer" }).getByRole("status")).toHaveText(/^145\.8 mm across/);
  await expect(other.getByLabel("Weighs, g", { exact: true })).toHaveValue("48");
  await page.getByLabel("Thick, mm").fill("0");
  await expect(answer.getByRole("alert")).toContainText("Thick is 0; expected");
});

test("a rise has its window drawn and its figures as a table, in the cook's own scale", async ({ page }) => {
  await page.goto(`${own.url}/bench/rise?roomC=24&laterC=24`);
  const answer = page.getByRole("region", { name: "The answer" });
  await expect(answer.getByRole("img", { name: /^Rise so far/ })).toBeVisible();
  await answer.getByText("The figures as a table").click();
  await expect(answer.getByRole("table")).toContainText("% of the rise");
  const ready = await answer.getByRole("status").textContent();
  await page.getByLabel("Room now, °C").fill("18");
  await expect(answer.getByRole("status")).not.toHaveText(ready!);
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0].html])).toEqual([]);
  await page.getByRole("button", { name: /^Units/ }).click();
  await page.getByRole("button", { name: "°F", exact: true }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByLabel("Room now, °F")).toHaveValue("64.4");
});

test("on a phone the questions come first, and a drawn tray follows what is typed", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${own.url}/bench`);
  await page.getByRole("link", { name: "How many lie on it?" }).click();
  await expect(page.getByRole("img", { name: "12 pieces on 300 by 400 mm" })).toBeVisible();
  await page.getByLabel("Across, or long, mm").fill("40");
  await expect(page.getByRole("img", { name: /^[2-9]\d pieces on 300 by 400 mm/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
