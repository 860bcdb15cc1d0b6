import AxeBuilder from "@axe-core/playwright";
import { cooking, hold, runOf } from "./cooking";
import { demoServer } from "./demo-server";
import { expect, test } from "./test";

/** What a day asks for beside its steps: gates, first pieces, food that will not wait, an order by hand, and what is kept of it. */

test.describe.configure({ mode: "serial" });
const own = demoServer();
const { nowOf, practise, toCook, toldIn, withPressed } = cooking(own);

test("a filling that is too warm stays out of the dough; cold it goes on, and what is drawn of the shape stands beside it", async ({
  page,
}) => {
  const tasks = await practise(page, "first-try");
  const fill = tasks.findIndex((task) => /-fill\//.test(task));
  await withPressed(
    page,
    runOf(page),
    tasks.slice(0, fill).map((task) => ({ kind: "done", task })),
  );
  await page
    .getByRole("button", { name: /^Fill .*begin now$/ })
    .first()
    .click();
  const card = nowOf(page, "Teo");
  await expect(card.getByRole("heading", { name: /^Fill/ })).toBeVisible();
  await expect(card.getByRole("list", { name: "How it is formed" }).getByRole("img")).toBeVisible();
  const done = card.getByRole("button", { name: "Done" });
  await card.getByLabel("Measured, °C").fill("46");
  await expect(card).toContainText(/Too warm: about \d+ min on a tray/);
  await expect(done).toBeDisabled();
  await card.getByLabel("Measured, °C").fill("12");
  await expect(card).toContainText("Go on.");
  await expect(done).toBeEnabled();
  // A key for an elbow, where nobody types.
  await card.getByRole("heading", { name: /^Fill/ }).click();
  await page.keyboard.press("d");
  await expect(card.getByRole("heading", { name: /^Fill/ })).toBeHidden();
  // What follows is done lot by lot, each with its pieces by number.
  await page
    .getByRole("button", { name: /^Seal .*begin now$/ })
    .first()
    .click();
  await expect(nowOf(page, "Teo")).toContainText("1 to 8, in the order in which they were made");
});

test("what is not weighed out is said before a mixer begins, once, and then it is the cook's to say", async ({ page }) => {
  await practise(page, "first-try");
  const cook = page.getByRole("region", { name: "Teo", exact: true });
  await nowOf(page, "Teo")
    .getByRole("button", { name: /something else$/ })
    .click();
  await page.getByRole("button", { name: "Leave this step out" }).click();
  await cook.getByRole("button", { name: /^Mix .*begin now$/ }).click();
  const card = nowOf(page, "Teo");
  await expect(card.getByRole("heading", { name: /^Mix/ })).toBeVisible();
  await card.getByRole("button", { name: /^(Begin|It is in: begin)$/ }).click();
  await expect(card).toContainText(/Not so fast: (\d+) of \1 not weighed out yet/);
  await card.getByRole("button", { name: "Go on all the same" }).click();
  await expect.poll(async () => (await toldIn(page, runOf(page))).some(({ kind }) => kind === "started")).toBe(true);
});

test("an order is moved by hand: what it comes to is said first, what cannot be says why, and the list keeps it", async ({
  page,
}) => {
  await practise(page, "first-try");
  await expect(page.getByTestId("rest")).toHaveText(/stays \d\d:\d\d/);
  await page.getByRole("button", { name: "The day", exact: true }).click();
  const rows = page.getByRole("list", { name: "The day" }).getByRole("listitem");
  await expect(rows.first()).toContainText("Weigh out dough");
  const move = async (row: number, keys: readonly string[]) => {
    await rows
      .nth(row)
      .getByRole("button", { name: /: move$/ })
      .focus();
    for (const key of ["Space", ...keys, "Space"]) {
      await page.keyboard.press(key);
      await page.waitForTimeout(300);
    }
  };
  // Mixing before its dough is weighed out cannot be.
  const mix = (await rows.allTextContents()).findIndex((text) => /Mix dough/.test(text));
  await move(mix, Array<string>(mix).fill("ArrowUp"));
  await expect(page.getByText(/It cannot be: it needs what the other leaves/)).toBeVisible();
  await page.getByRole("button", { name: "All right" }).click();
  await move(0, ["ArrowDown"]);
  await expect(page.getByRole("button", { name: "In this order" })).toBeVisible();
  await page.getByRole("button", { name: "In this order" }).click();
  await expect(rows.first()).toContainText("Weigh out filling");
  await page.reload();
  await page.getByRole("button", { name: "The day", exact: true }).click();
  await expect(rows.first()).toContainText("Weigh out filling");
});

test("a dark screen is as legible as the light one, and stays dark", async ({ page }) => {
  await practise(page, "launch-night");
  await page.getByRole("button", { name: "Dark screen" }).click();
  await expect(page.getByRole("button", { name: "Light screen" })).toBeVisible();
  await page.reload();
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await expect.poll(ground).toBe("rgb(16, 24, 26)");
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`)).toEqual([]);
  // Elsewhere it is light, and so is the paper.
  await page.goto(`${own.url}/g/launch-night`);
  await expect.poll(ground).toBe("rgb(238, 240, 236)");
});

test("one piece goes first and tells how long the rest takes, and how many there are", async ({ page }) => {
  const tasks = await practise(page, "launch-night");
  const fries = tasks.filter((task) => /-fry\//.test(task));
  const first = tasks.indexOf(fries[0]);
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, first).map((task) => ({ kind: "done", task })),
    { kind: "piloted", task: fries[0] },
  ]);
  const pilot = page.getByRole("region", { name: /^First piece of Fry/ });
  await expect(pilot).toContainText(/One piece is in for \d+ min; \d+ min are planned/);
  const planned = Number(/(\d+) min are planned/.exec((await pilot.textContent())!)![1]);
  await pilot.getByLabel("It took, min").fill(String(planned + 1));
  const loads = Number(/Lock it for (\d+) load/.exec((await pilot.textContent())!)![1]);
  await expect(pilot).toContainText(`${loads} min more in all`);
  await pilot.getByRole("button", { name: "done" }).click();
  await pilot.getByLabel("It weighs, g").fill("500");
  await expect(pilot).toContainText(/So heavy, there are \d+ of \d+ pieces/);
  await pilot.getByRole("button", { name: /^Lock it for/ }).click();
  await expect(pilot).toBeHidden();
  await expect
    .poll(async () => (await toldIn(page, runOf(page))).find(({ kind }) => kind === "retimed"))
    .toMatchObject({ minutes: planned + 1, note: "First piece: inside done" });
});

test("a lid over raised dough stays shut; who opens it says why, and it stays open", async ({ page }) => {
  const tasks = await practise(page, "launch-night");
  const steam = tasks.find((task) => /-steam\//.test(task))!;
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, tasks.indexOf(steam)).map((task) => ({ kind: "done", task })),
    { kind: "started", task: steam },
  ]);
  const clock = page.getByRole("region", { name: "Runs by itself" }).getByRole("listitem", { name: /^Steam / });
  const lid = clock.getByRole("group", { name: "Lid" });
  await expect(lid).toContainText(/Shut until \d\d:\d\d/);
  await expect(clock.getByRole("button", { name: "It is right" })).toBeHidden();
  await lid.getByRole("button", { name: "Open it all the same" }).click();
  await expect(lid.getByRole("button", { name: "Open it", exact: true })).toBeDisabled();
  await lid.getByLabel("Opened because").fill("it boils over");
  await lid.getByRole("button", { name: "Open it", exact: true }).click();
  await expect(clock.getByRole("button", { name: "It is right" })).toBeVisible();
  await expect
    .poll(async () => (await toldIn(page, runOf(page))).find(({ kind }) => kind === "opened"))
    .toMatchObject({ task: steam, reason: "it boils over" });
  await page.reload();
  await expect(clock.getByRole("button", { name: "It is right" })).toBeVisible();
  await expect(lid).toBeHidden();
});

test("of a lot on the table half goes into the fridge, where it stands still, and comes out again", async ({ page }) => {
  const tasks = await toCook(page, "launch-night");
  await page.getByRole("button", { name: "Cook this plan" }).click();
  await expect(page).toHaveURL(/\/cook\/launch-night-/);
  const bake = tasks.findIndex((task) => task.startsWith("bow-seat-bun/b-bake/"));
  const at = (k: number) => new Date(Date.now() - 50 * 60_000 + k).toISOString();
  await expect(page.getByTestId("rest")).not.toHaveText(/being worked out/);
  await hold(
    page,
    runOf(page),
    ...tasks.slice(0, bake).map((task, k) => ({ id: `made ${k}`, device: "earlier", kind: "done", task, at: at(k) })),
  );
  await page.reload();
  const food = page.getByRole("region", { name: "Food that will not wait" });
  const lots = food.getByRole("listitem").filter({ hasText: /for: Bake .*Bow-seat buns/ });
  await expect(lots).toHaveText([/^Lot for: Bake .*(49|50|51) min out of the cold/]);
  await lots.getByRole("button", { name: "Half into the fridge" }).click();
  await expect(lots).toHaveCount(2);
  await expect(lots.filter({ hasText: "standing still in the fridge" })).toHaveText(/^50 % of the lot for: Bake/);
  await lots.getByRole("button", { name: "Out again" }).click();
  await expect(lots).toHaveText([/^Lot for: Bake /]);
});

test("a lot that lay out for too long is not heated without a word, however early it is begun", async ({ page }) => {
  const tasks = await practise(page, "launch-night");
  const bake = tasks.findIndex((task) => task.startsWith("bow-seat-bun/b-bake/"));
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, bake).map((task) => ({ kind: "done", task })),
    { kind: "paced", rate: 1, wall: new Date().toISOString(), afterMin: 300 },
  ]);
  await expect(page.getByTestId("clock")).toBeVisible();
  // Loaded by one pair of hands, turned by another: both may begin it.
  const early = page.getByRole("button", { name: /^Bake .*Bow-seat buns.*begin now$/ }).first();
  const card = page.getByRole("article", { name: /^Bake .*Bow-seat buns/ });
  await early.click();
  await card.getByRole("button", { name: "It is in: begin" }).click();
  await expect(card).toContainText(/its lot was out of the cold for 5 h.*throw it away; local rules come first/);
  expect((await toldIn(page, runOf(page))).some(({ kind }) => kind === "started")).toBe(false);
});

test("a bake that took longer is kept in its item as a version, once, and stands there", async ({ page }) => {
  const tasks = await toCook(page, "first-try");
  await page.getByRole("button", { name: "Cook this plan" }).click();
  await expect(page).toHaveURL(/\/cook\/first-try-/);
  const run = runOf(page);
  const bake = tasks.find((task) => /-bake\//.test(task))!;
  const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
  await expect(page.getByTestId("rest")).not.toHaveText(/being worked out/);
  await hold(
    page,
    run,
    { id: "in", device: "earlier", at: ago(90), kind: "started", task: bake },
    { id: "hot", device: "earlier", at: ago(31), kind: "measured", task: bake, what: "core", value: 90 },
    { id: "out", device: "earlier", at: ago(30), kind: "done", task: bake },
  );
  await page.reload();
  await page.getByRole("button", { name: "What it came to" }).click();
  const keep = page.getByRole("region", { name: "To keep" });
  await expect(keep).toContainText(/Bake 16 Slipway pies.*: \d+ % longer than planned/);
  await keep.getByRole("button", { name: "Plan with it from now on" }).click();
  await expect(keep).toContainText(/Kept as version \d+/);
  await expect.poll(async () => (await toldIn(page, run)).filter(({ kind }) => kind === "took-over").length).toBe(1);
  // What was seen to be wrong: its causes, those first that the record speaks for.
  const pies = page.getByRole("region", { name: "Slipway pies" });
  await pies.getByText("Was anything wrong with them?").click();
  const sign = (await pies.getByRole("button").first().textContent())!;
  await pies.getByRole("button", { name: sign }).click();
  await expect(pies.getByRole("group", { name: sign }).getByRole("listitem").first()).toBeVisible();
  await pies.getByLabel("Pieces made").fill("15");
  await pies.getByLabel("Pieces made").press("Enter");
  await expect.poll(async () => (await toldIn(page, run)).some(({ kind }) => kind === "amount")).toBe(true);
  await page.reload();
  await page.getByRole("button", { name: "What it came to" }).click();
  await expect(page.getByRole("region", { name: "Slipway pies" }).getByLabel("Pieces made")).toHaveValue("15");
  await expect(page.getByRole("region", { name: "To keep" })).toContainText(/Kept as version \d+/);
  expect(await (await page.request.get(`${own.url}/items/slipway-pie`, { maxRetries: 2 })).text()).toMatch(/tookMin/);
});
