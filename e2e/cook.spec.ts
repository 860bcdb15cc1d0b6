import AxeBuilder from "@axe-core/playwright";
import { cooking, goodEnough, hold, runOf } from "./cooking";
import { demoServer } from "./demo-server";
import { expect, planFits, test, type Page } from "./test";

/** The day itself, practised. */

test.describe.configure({ mode: "serial" });
const own = demoServer();

const { nowOf, toldIn, practise } = cooking(own);

let address = "";

test("a plan is practised: what hands do now, done with one press, and the rest of the day in a sentence", async ({ page }) => {
  await page.goto(`${own.url}/g/first-try`);
  await planFits(page);
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.getByRole("link", { name: "Cook" }).click();
  await page.getByRole("button", { name: "Practise it" }).click();
  await expect(page).toHaveURL(/\/cook\/first-try-/);
  address = page.url();
  await expect(page.getByText("Practice")).toBeVisible();
  const first = nowOf(page, "Teo");
  const title = await first.getAttribute("aria-label");
  await expect(page.getByTestId("rest")).toHaveText(/stays \d\d:\d\d/);
  await first.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("article", { name: title!, exact: true })).toBeHidden();
  await page.reload();
  await expect(page.getByRole("button", { name: "Undo the last press" })).toBeVisible();
  await expect(page.getByRole("article", { name: title!, exact: true })).toBeHidden();
  await page.getByRole("button", { name: "Undo the last press" }).click();
  await expect(page.getByRole("article", { name: title!, exact: true })).toBeVisible();
  // What is pressed lies on the device first: whoever looks from another one waits until it is sent.
  await expect.poll(async () => (await toldIn(page, runOf(page))).map(({ kind }) => kind)).toContain("undone");
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
  await expect(sentence).toHaveText(/stays/);
  const before = await sentence.textContent();
  // Whoever is early begins what comes next.
  await hands
    .getByRole("button", { name: /begin now$/ })
    .first()
    .click();
  await nowOf(page, "Teo")
    .getByRole("button", { name: /10 min more/ })
    .click();
  await expect(sentence).not.toHaveText(before!);
  await hands.getByRole("button", { name: "Teo leaves" }).click();
  await expect(hands).toContainText("Not there.");
  await hands.getByRole("button", { name: "Teo is back" }).click();
  await expect(hands).not.toContainText("Not there.");
});

test("a core that is short stays in the heat; measured again it goes on, and a reason is asked for without", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night/timeline`);
  await planFits(page);
  const bake = page
    .getByRole("group", { name: "Oven", exact: true })
    .getByRole("button", { name: /Bow-seat buns: Bake/ })
    .first();
  await expect(bake).toBeVisible();
  await goodEnough(page);
  const task = (await bake.getAttribute("data-block"))!;
  await page.getByRole("link", { name: "Cook" }).click();
  await page.getByRole("button", { name: "Practise it" }).click();
  await expect(page).toHaveURL(/\/cook\/launch-night-/);
  const run = runOf(page);
  await page.getByRole("button", { name: "Done" }).first().click();
  await expect(page.getByRole("button", { name: "Undo the last press" })).toBeVisible();
  // What an earlier page told and could not send is taken up: half an hour ago the buns went in.
  await expect.poll(async () => (await toldIn(page, run)).length).toBe(1);
  const at = new Date(Date.parse((await toldIn(page, run))[0].at) - 30 * 60_000).toISOString();
  await hold(page, run, { id: "in", device: "earlier", at, kind: "started", task });
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

test("the page reloads without a network in the middle of what runs, its clock is right, and after a minute both devices know all", async ({
  page,
  context,
  browser,
}) => {
  await practise(page, "first-try");
  const run = runOf(page);
  await expect(page.getByText("This page opens without a network too.")).toBeVisible();
  // What is on its way: begun on this device before the page was there.
  const task = await page.evaluate(async (run) => {
    const html = await (await fetch(`/cook/${run}`)).text();
    return /slipway-pie\/[a-z-]*chill\/0-16/.exec(html)?.[0] ?? "";
  }, run);
  expect(task).not.toBe("");
  await page.getByRole("button", { name: "Done" }).first().click();
  await expect.poll(async () => (await toldIn(page, run)).some(({ kind }) => kind === "done")).toBe(true);
  const at = new Date(Date.parse((await toldIn(page, run))[0].at) + 1000).toISOString();
  await hold(page, run, { id: "in", device: "earlier", at, kind: "started", task });
  await page.reload();
  const clock = page.getByRole("region", { name: "Runs by itself" }).getByRole("listitem").first();
  await expect(clock).toContainText("ready about");
  const ready = /ready about \d\d:\d\d/.exec((await clock.textContent())!)![0];
  await expect.poll(async () => (await toldIn(page, run)).some(({ id }) => id === "in")).toBe(true);
  const other = await browser.newPage();
  await other.goto(`${own.url}/cook/${run}`);
  await expect(other.getByRole("region", { name: "Runs by itself" })).toContainText(ready);

  await context.setOffline(true);
  const before = await page.getByTestId("clock").textContent();
  await page.reload();
  await expect(clock).toContainText(ready);
  await expect(page.getByText("No line to the server")).toBeVisible();
  await clock.getByRole("button", { name: /5 min more/ }).click();
  await expect(page.getByText(/1 entry not sent yet/)).toBeVisible();
  await other
    .getByRole("region", { name: "Runs by itself" })
    .getByRole("button", { name: /5 min more/ })
    .first()
    .click();
  await page.waitForTimeout(61_000);
  const minutes = (text: string | null) => Number(text!.slice(0, 2)) * 60 + Number(text!.slice(3));
  const gone = minutes(await page.getByTestId("clock").textContent()) - minutes(before);
  expect(gone).toBeGreaterThanOrEqual(1);
  expect(gone).toBeLessThanOrEqual(3);

  await context.setOffline(false);
  await expect(page.getByText(/not sent yet/)).toBeHidden();
  const all = await toldIn(page, run);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  expect(all.filter(({ kind }) => kind === "extended" || kind === "late")).toHaveLength(2);
  const readyOn = async (where: Page) =>
    /ready about \d\d:\d\d/.exec((await where.getByRole("region", { name: "Runs by itself" }).textContent())!)?.[0];
  await expect.poll(() => readyOn(page)).not.toBe(ready);
  await expect.poll(async () => (await readyOn(other)) === (await readyOn(page))).toBe(true);
  await other.close();
});

test("a big day with a late rise, a burnt tray, a cook who leaves and cold oil ends with everything served, frozen or lost", async ({
  page,
}) => {
  test.setTimeout(1_800_000);
  await practise(page, "launch-night");
  const run = runOf(page);
  for (const fault of ["A rise takes", "A tray burns", "A cook has to leave", "The oil is cold"])
    await page.getByLabel(new RegExp(fault)).check();
  await page.getByRole("button", { name: "As fast as it goes" }).click();
  await page.getByRole("button", { name: "Let the cooks go by the screen" }).click();
  await expect(page.getByText("Everything is done.")).toBeVisible({ timeout: 1_740_000 });
  await page.getByRole("button", { name: "What it came to" }).click();
  const outcome = page.getByRole("region", { name: "What it came to" });
  await expect(outcome).toContainText(/\d+ lost/);
  await expect(outcome).not.toContainText("not ready yet");
  await expect(outcome).not.toContainText("no core was measured");
  await expect.poll(async () => (await toldIn(page, run)).length).toBeGreaterThan(200);
  const all = await toldIn(page, run);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  expect(all.some(({ kind }) => kind === "changed")).toBe(true);
  // The same day from the outside: plan and events, as other programs read them.
  await page.getByRole("button", { name: "The day", exact: true }).click();
  await expect(page.getByRole("list", { name: "The day" }).getByRole("listitem").first()).toBeVisible();
});

for (const [width, height] of [
  [390, 844],
  [844, 390],
  [1280, 800],
] as const)
  test(`at ${width}x${height} the thing to do now is large, seen at once and done with one press`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await practise(page, "first-try");
    await page.getByRole("combobox", { name: "Whose screen" }).click();
    await page.getByRole("option", { name: "Teo" }).click();
    const card = nowOf(page, "Teo");
    const title = card.getByRole("heading").first();
    await expect(title).toBeInViewport();
    const size = await title.evaluate((element) => parseFloat(getComputedStyle(element).fontSize));
    expect(size).toBeGreaterThanOrEqual(40);
    const done = card.getByRole("button", { name: "Done" });
    await done.scrollIntoViewIfNeeded();
    const box = (await done.boundingBox())!;
    expect(box.height).toBeGreaterThanOrEqual(44);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
    const name = await card.getAttribute("aria-label");
    await done.click();
    await expect(page.getByRole("article", { name: name!, exact: true })).toBeHidden();
  });
