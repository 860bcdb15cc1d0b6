import Database from "better-sqlite3";
import { expect, test, type Page } from "./test";
import { renameSync } from "node:fs";
import { request } from "node:http";
import { OwnServer } from "../tests/own-server";

/** The server goes away, the disk is locked or full, another page asks: what was typed arrives, and what is wrong is said. */

let own: OwnServer;
test.beforeAll(() => void (own = new OwnServer().seed()));
test.beforeEach(() => own.start());
test.afterEach(() => own.kill());
test.afterAll(() => own.remove());

const state = (page: Page) =>
  page
    .getByRole("status")
    .filter({ hasText: /saved|saving/i })
    .first();
const saved = (page: Page) => expect(state(page)).toHaveText("Saved");
const waits = (page: Page) => page.getByRole("status", { name: "What waits for the server" });
/** One change of the cook's; a plan that was worked out meanwhile may wait beside it. */
const ONE_WAITS = /^1 change (waits|and 1 plan wait) for the server/;
const name = (page: Page) => page.getByRole("textbox", { name: "Name", exact: true });
const guests = (page: Page) => page.getByLabel("Count of group 1");
const stored = () => {
  const db = new Database(own.file, { readonly: true });
  try {
    const row = db.prepare("select name, guests, data from gatherings where id = 'first-try'").get();
    return row as { name: string; guests: number; data: string };
  } finally {
    db.close();
  }
};

test("the server away for ten seconds in the middle of typing, then back: everything is there", async ({ page }) => {
  await page.goto(`${own.url}/g/first-try`);
  await saved(page);
  await name(page).press("End");
  await name(page).pressSequentially(" at ");
  await own.kill();
  await name(page).pressSequentially("the quay");
  await guests(page).fill("9");
  await expect(waits(page)).toContainText(/^\d+ changes? (waits?|and 1 plan wait) for the server/);
  await page.waitForTimeout(5000);
  await name(page).press("End");
  await name(page).pressSequentially(", by boat");
  await page.waitForTimeout(5000);
  await expect(state(page)).toContainText("Not saved");
  await own.start();
  await saved(page);
  await expect(waits(page)).toHaveCount(0);
  expect(stored().name).toBe("First try at the quay, by boat");
  expect((JSON.parse(stored().data) as { guests: { count: number }[] }).guests[0].count).toBe(9);
});

test("the tab is closed while the server is away: leaving warns, and the next page sends what was left", async ({ context }) => {
  const page = await context.newPage();
  await page.goto(`${own.url}/g/first-try`);
  await saved(page);
  await own.kill();
  await name(page).fill("Kept over closing");
  await expect(waits(page)).toHaveText(ONE_WAITS);
  const warned = page.waitForEvent("dialog");
  await page.close({ runBeforeUnload: true });
  await (await warned).accept();
  await expect.poll(() => page.isClosed()).toBe(true);
  await own.start();
  const next = await context.newPage();
  await next.goto(own.url);
  await expect.poll(() => stored().name).toBe("Kept over closing");
  await next.reload();
  await expect(next.getByText("Kept over closing")).toBeVisible();
});

test("a tab that was closed meets what was saved since: its page asks, field by field", async ({ context }) => {
  const page = await context.newPage();
  await page.goto(`${own.url}/g/first-try`);
  await saved(page);
  await own.kill();
  await name(page).fill("Of the closed tab");
  await expect(waits(page)).toHaveText(ONE_WAITS);
  await page.close();
  const db = new Database(own.file);
  db.prepare("update gatherings set name = 'Saved since', revision = revision + 1 where id = 'first-try'").run();
  db.close();
  await own.start();
  const next = await context.newPage();
  await next.goto(`${own.url}/g/first-try`);
  const dialog = next.getByRole("dialog", { name: "It was changed elsewhere too" });
  await dialog.getByRole("radio", { name: "Here: Of the closed tab" }).check();
  await dialog.getByRole("button", { name: "Keep these" }).click();
  await saved(next);
  expect(stored().name).toBe("Of the closed tab");
});

test("typed and reloaded at once: what was typed is there", async ({ page }) => {
  await page.goto(`${own.url}/g/first-try`);
  await saved(page);
  await name(page).fill("Typed and gone");
  page.on("dialog", (dialog) => dialog.accept());
  await page.reload();
  await expect(name(page)).toHaveValue("Typed and gone");
  await saved(page);
  expect(stored().name).toBe("Typed and gone");
});

test("pressed before the page's program is there: the press waits, it is not lost", async ({ page }) => {
  await page.route(/_next\/static\/.*js/, async (route) => {
    await new Promise((arrived) => setTimeout(arrived, 1500));
    await route.fallback();
  });
  await page.goto(`${own.url}/g/first-try`, { waitUntil: "commit" });
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.getByRole("region", { name: "Freezer" }).getByLabel("Add an item").click();
  await expect(page.getByRole("option").first()).toBeVisible();
});

test("a locked disk: pages are read meanwhile, the reason is said, and the save goes through by itself", async ({ page }) => {
  await page.goto(`${own.url}/g/first-try`);
  await saved(page);
  const other = new Database(own.file);
  other.exec("begin immediate");
  await name(page).fill("While it was locked");
  await expect(state(page)).toContainText("is held by another program");
  expect((await fetch(`${own.url}/items`)).status).toBe(200);
  other.exec("rollback");
  other.close();
  await saved(page);
  expect(stored().name).toBe("While it was locked");
});

test("a full disk: nothing is pretended, and it goes through where there is room again", async ({ page }) => {
  await own.kill();
  await own.start({ UNISYNTH_MOST_PAGES: "1" });
  await page.goto(`${own.url}/items/slipway-pie`);
  await saved(page);
  const water = page.getByLabel("Grams of water, iced");
  // Each version of an item is kept: soon there is no room for another.
  for (let grams = 151; grams < 171; grams++) {
    await water.fill(String(grams));
    await expect(state(page)).toHaveText(/^(Saved$|Not saved)/);
    if ((await state(page).textContent())?.startsWith("Not")) break;
  }
  await expect(state(page)).toContainText("There is no room left");
  await expect(waits(page)).toContainText(/\d+ changes? waits? for the server/);
  await own.kill();
  await own.start();
  await saved(page);
});

test("the data file goes away: said, nothing is begun anew, and it is read again where it comes back", async ({ page }) => {
  await page.goto(own.url);
  await expect(page.getByRole("heading", { name: "Gatherings" })).toBeVisible();
  renameSync(own.file, `${own.file}.away`);
  await page.reload();
  await expect(page.getByRole("alert").filter({ hasText: "is not there" })).toContainText("npm run restore");
  renameSync(`${own.file}.away`, own.file);
  await page.getByRole("button", { name: "Look again" }).click();
  await expect(page.getByRole("heading", { name: "Gatherings" })).toBeVisible();
});

/** A request under a name and an origin of its own. */
const ask = (headers: Record<string, string>, method = "GET", path = "/") =>
  new Promise<{ status: number; text: string }>((resolve, reject) => {
    const sent = request({ port: own.port, host: "127.0.0.1", path, method, headers }, (response) => {
      let text = "";
      response.on("data", (part) => (text += part));
      response.on("end", () => resolve({ status: response.statusCode!, text }));
    });
    sent.on("error", reject);
    sent.end();
  });

test("a foreign host reads nothing and writes nothing; no page of ours asks another", async ({ page }) => {
  const foreign = await ask({ host: "kitchen.example" });
  expect(foreign.status).toBe(421);
  expect(foreign.text).not.toContain("First try");
  for (const headers of [
    { host: "kitchen.example", origin: "http://kitchen.example", "content-length": "0" },
    { host: `127.0.0.1:${own.port}`, origin: "http://kitchen.example", "content-length": "0" },
  ])
    expect([403, 421]).toContain((await ask(headers, "POST", "/g/first-try")).status);
  const asked: string[] = [];
  page.on("request", (one) => asked.push(one.url()));
  for (const path of [
    "/",
    "/g/first-try",
    "/g/first-try/quantities",
    "/g/first-try/timeline",
    "/items",
    "/items/slipway-pie",
    "/items/new",
    "/devices",
  ]) {
    await page.goto(own.url + path);
    await page.waitForLoadState("networkidle");
  }
  expect(asked.filter((url) => !url.startsWith(own.url) && !url.startsWith("blob:") && !url.startsWith("data:"))).toEqual([]);
});

test("damaged addresses, unknown methods and pages that are not there carry every header", async () => {
  const other = await fetch(`${own.url}/nowhere`);
  expect(other.status).toBe(404);
  for (const answer of [other, await fetch(`${own.url}/g/%zz`), await fetch(own.url, { method: "OPTIONS" })]) {
    expect(answer.headers.get("x-content-type-options")).toBe("nosniff");
    expect(answer.headers.get("content-security-policy")).toContain("frame-ancestors 'none'");
  }
});
