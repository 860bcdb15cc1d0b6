import { demoServer } from "./demo-server";
import { expect, test, type Page } from "./test";

/** The day itself, practised. */

test.describe.configure({ mode: "serial" });
const own = demoServer();

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

test("a core that is short stays in the heat; measured again it goes on, and a reason is asked for without", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night/timeline`);
  await fits(page);
  const bake = page
    .getByRole("group", { name: "Oven", exact: true })
    .getByRole("button", { name: /Bow-seat buns: Bake/ })
    .first();
  await expect(bake).toBeVisible();
  const stop = page.getByRole("button", { name: "Good enough" });
  if (await stop.isVisible()) await stop.click();
  const task = (await bake.getAttribute("data-block"))!;
  await page.getByRole("link", { name: "Cook" }).click();
  await page.getByRole("button", { name: "Practise it" }).click();
  await expect(page).toHaveURL(/\/cook\/launch-night-/, { timeout: 30_000 });
  const run = new URL(page.url()).pathname.split("/").at(-1)!;
  await page.getByRole("button", { name: "Done" }).first().click();
  await expect(page.getByRole("button", { name: "Undo the last press" })).toBeVisible();
  // What an earlier page told and could not send is taken up: half an hour ago the buns went in.
  const told = async (): Promise<{ at: string }[]> =>
    (
      (await (await page.request.get(`${own.url}/cook/${run}/events?after=0`)).json()) as {
        received: { event: { at: string } }[];
      }
    ).received.map(({ event }) => event);
  await expect.poll(async () => (await told()).length).toBe(1);
  const at = new Date(Date.parse((await told())[0].at) - 30 * 60_000).toISOString();
  await page.evaluate(
    ([key, event]) => localStorage.setItem(key, event),
    [`unisynth-run ${run}`, JSON.stringify([{ id: "in", device: "earlier", at, kind: "started", task }])],
  );
  await page.reload();
  const clock = page.getByRole("listitem", { name: /^Bake .* Bow-seat buns/ });
  const core = clock.getByRole("group", { name: "Core" });
  await expect(core).toContainText("74 °C wanted");
  await expect(clock.getByRole("button", { name: "It is right" })).toBeHidden();
  await core.getByLabel("Core, °C").fill("68");
  await core.getByRole("button", { name: "Measured" }).click();
  await expect(core).toContainText("it stays in the heat");
  await core.getByLabel("Core, °C").fill("76");
  await core.getByRole("button", { name: "Measured" }).click();
  await expect(core).toContainText("reached");
  await clock.getByRole("button", { name: "It is right" }).click();
  await expect(clock).toBeHidden();
});
