import { expect, test, type Page } from "./test";
import { OwnServer } from "../tests/own-server";

/** The day itself, practised. */

let own: OwnServer;
test.describe.configure({ mode: "serial" });
test.beforeAll(async () => {
  own = new OwnServer().seed();
  await own.start();
});
test.afterAll(() => own.remove());

const fits = (page: Page) => expect(page.getByTestId("plan-state")).toHaveText(/^The plan fits/, { timeout: 60_000 });
const nowOf = (page: Page, cook: string) => page.getByRole("region", { name: cook, exact: true }).getByRole("article").first();

let address = "";

test("a plan is practised: what hands do now, done with one press, and the rest of the day in a sentence", async ({ page }) => {
  await page.goto(`${own.url}/g/first-try`);
  await fits(page);
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.getByRole("link", { name: "Cook" }).click();
  await page.getByRole("button", { name: "Practise it" }).click();
  await expect(page).toHaveURL(/\/cook\/first-try-/, { timeout: 30_000 });
  address = page.url();
  await expect(page.getByText("Practice")).toBeVisible();
  const first = nowOf(page, "Teo");
  const title = await first.getAttribute("aria-label");
  await expect(page.getByTestId("rest")).toHaveText(/stays \d\d:\d\d/, { timeout: 30_000 });
  await first.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("article", { name: title!, exact: true })).toBeHidden();
  await page.reload();
  await expect(page.getByRole("button", { name: "Undo the last press" })).toBeVisible();
  await expect(page.getByRole("article", { name: title!, exact: true })).toBeHidden();
  await page.getByRole("button", { name: "Undo the last press" }).click();
  await expect(page.getByRole("article", { name: title!, exact: true })).toBeVisible();
});

test("a second device sees what the first one says within moments, and both go on without a line", async ({
  page,
  context,
  browser,
}) => {
  await page.goto(address);
  const other = await browser.newPage();
  await other.goto(address);
  const first = nowOf(page, "Teo");
  await expect(first).toBeVisible();
  const title = (await first.getAttribute("aria-label"))!;
  await expect(other.getByRole("article", { name: title, exact: true })).toBeVisible();
  await context.setOffline(true);
  await first.getByRole("button", { name: "Done" }).click();
  await expect(page.getByText(/not sent yet/)).toBeVisible();
  await expect(page.getByRole("article", { name: title, exact: true })).toBeHidden();
  await expect(other.getByRole("article", { name: title, exact: true })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/not sent yet/)).toBeHidden();
  await expect(other.getByRole("article", { name: title, exact: true })).toBeHidden();
  await other.close();
});

test("who leaves has nothing to do, and what runs late says what it comes to", async ({ page }) => {
  await page.goto(address);
  const hands = page.getByRole("region", { name: "Teo", exact: true });
  const sentence = page.getByTestId("rest");
  await expect(sentence).toHaveText(/stays/, { timeout: 30_000 });
  const before = await sentence.textContent();
  // Whoever is early begins what comes next.
  await hands
    .getByRole("button", { name: /begin now$/ })
    .first()
    .click();
  await nowOf(page, "Teo")
    .getByRole("button", { name: /10 min more/ })
    .click();
  await expect(sentence).not.toHaveText(before!, { timeout: 30_000 });
  await hands.getByRole("button", { name: "Teo leaves" }).click();
  await expect(hands).toContainText("Not there.");
  await hands.getByRole("button", { name: "Teo is back" }).click();
  await expect(hands).not.toContainText("Not there.");
});
