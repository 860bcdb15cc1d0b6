import Database from "better-sqlite3";
import { demoServer } from "./demo-server";
import { expect, planFits, test, type Page } from "./test";

/** What is typed is never lost: not to another tab, not to a lost connection, not to a reload, not to a damaged row. */

const own = demoServer();

const state = (page: Page) =>
  page
    .getByRole("status")
    .filter({ hasText: /saved|saving/i })
    .first();
const saved = (page: Page) => expect(state(page)).toHaveText("Saved");
const name = (page: Page) => page.getByRole("textbox", { name: "Name", exact: true });
const guests = (page: Page) => page.getByLabel("Count of group 1");
/** Savings go out as posts; while the line is cut each of them fails. */
const cut = (page: Page) =>
  page.route("**/*", (route) => (route.request().method() === "POST" ? route.abort() : route.fallback()));

test("two tabs on one gathering: different fields both stand, the same field is chosen, and no letter is lost", async ({
  context,
}) => {
  const [a, b] = [await context.newPage(), await context.newPage()];
  for (const page of [a, b]) {
    await page.goto(`${own.url}/g/first-try`);
    await saved(page);
  }
  // One that is only looked at follows the other.
  await name(a).fill("Lunch at the quay");
  await saved(a);
  await expect(name(b)).toHaveValue("Lunch at the quay");

  // Different fields: nothing needs to be asked.
  await cut(b);
  await name(b).fill("Lunch by the water");
  await expect(state(b)).toContainText("Not saved");
  await guests(a).fill("5");
  await saved(a);
  await b.unroute("**/*");
  await expect(guests(b)).toHaveValue("5");
  await saved(b);
  await expect(name(a)).toHaveValue("Lunch by the water");

  // The same field: both are shown, and the cook keeps either.
  await cut(b);
  await name(b).fill("Lunch of B");
  await expect(state(b)).toContainText("Not saved");
  await name(a).fill("Lunch of A");
  await saved(a);
  const dialog = b.getByRole("dialog", { name: "It was changed elsewhere too" });
  await expect(dialog).toContainText("Lunch of A");
  await expect(dialog).toContainText("Lunch of B");
  await b.unroute("**/*");
  await dialog.getByRole("radio", { name: "Here: Lunch of B" }).check();
  await dialog.getByRole("button", { name: "Keep these" }).click();
  await saved(b);
  await expect(name(b)).toHaveValue("Lunch of B");
  await expect(name(a)).toHaveValue("Lunch of B");

  await name(a).fill("First try");
  await guests(a).fill("6");
  await saved(a);
});

test("two tabs on one item tell each other, and undo takes back what was chosen", async ({ context }) => {
  const [a, b] = [await context.newPage(), await context.newPage()];
  for (const page of [a, b]) {
    await page.goto(`${own.url}/items/slipway-pie`);
    await saved(page);
  }
  const title = (page: Page) => page.getByLabel("Name of the item");
  await title(a).fill("Quay pies");
  await saved(a);
  await expect(title(b)).toHaveValue("Quay pies");
  await cut(b);
  await title(b).fill("Pies of B");
  await expect(state(b)).toContainText("Not saved");
  await title(a).fill("Pies of A");
  await saved(a);
  await b.unroute("**/*");
  await b.getByRole("dialog").getByRole("button", { name: "Keep these" }).click();
  await expect(title(b)).toHaveValue("Pies of A");
  await b.getByRole("button", { name: "Undo" }).click();
  await expect(title(b)).toHaveValue("Pies of B");
  await title(b).fill("Slipway pies");
  await saved(b);
});

test("a lost connection is told with its reason; what was typed survives a reload and goes out when the line is back", async ({
  page,
}) => {
  await page.goto(`${own.url}/g/first-try`);
  await saved(page);
  await cut(page);
  await name(page).fill("A name worth keeping");
  await expect(state(page)).toContainText(
    /Not saved, kept on this device. Saving the gathering did not work: the server does not answer/,
  );
  await expect(page.getByRole("button", { name: "Try again" }).first()).toBeVisible();
  page.once("dialog", (dialog) => dialog.accept());
  await page.reload();
  await expect(name(page)).toHaveValue("A name worth keeping");
  await page.unroute("**/*");
  await saved(page);
  await page.reload();
  await expect(name(page)).toHaveValue("A name worth keeping");
  // And what was changed before the reload can be taken back after it.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(name(page)).toHaveValue("First try");
  await saved(page);
});

test("a planner that breaks down says so and can be asked again", async ({ page }) => {
  await page.addInitScript(() => {
    const Real = window.Worker;
    (window as unknown as { broken: boolean }).broken = true;
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super((window as unknown as { broken: boolean }).broken ? "/not-there.js" : url, options);
      }
    };
  });
  await page.goto(`${own.url}/g/first-try`);
  await guests(page).fill("9");
  const told = page.getByRole("alert").filter({ hasText: "The planner broke down" });
  await expect(told).toContainText("Nothing you typed is lost");
  await page.evaluate(() => ((window as unknown as { broken: boolean }).broken = false));
  // The worker that stood ready is broken too; the one after it is not.
  await expect(async () => {
    if (await told.isVisible()) await told.getByRole("button", { name: "Try again" }).click({ timeout: 2000 });
    await expect(page.getByTestId("plan-state")).toHaveText(/^The plan fits/, { timeout: 5000 });
  }).toPass({ timeout: 60_000 });
  await guests(page).fill("6");
  await saved(page);
});

test("a row that cannot be read is shown as such and breaks nothing else", async ({ page }) => {
  const db = new Database(own.file);
  const read = (table: string, id: string) =>
    (db.prepare(`select data from ${table} where id = ?`).get(id) as { data: string }).data;
  const write = (table: string, id: string, data: string) =>
    db.prepare(`update ${table} set data = ? where id = ?`).run(data, id);
  const [item, gathering] = [read("items", "compass-tartlet"), read("gatherings", "quiet-evenings")];
  try {
    write("items", "compass-tartlet", JSON.stringify({ ...JSON.parse(item), base: "many" }));
    write("gatherings", "quiet-evenings", JSON.stringify({ waves: 7 }));
    await page.goto(`${own.url}/`);
    await expect(page.getByText(/Two quiet evenings.*this gathering cannot be read|this gathering cannot be read/)).toBeVisible();
    await expect(page.getByRole("link", { name: /First try/ })).toBeVisible();
    await page.goto(`${own.url}/items`);
    await expect(page.getByText(/this item cannot be read/)).toBeVisible();
    await expect(page.getByText(/base is "many"/)).toBeVisible();
    await expect(page.locator('a[href="/items/slipway-pie"]')).toBeVisible();
    await page.goto(`${own.url}/items/compass-tartlet`);
    await expect(page.getByText(/this item cannot be read/)).toBeVisible();
    await page.goto(`${own.url}/g/first-try`);
    await saved(page);
  } finally {
    write("items", "compass-tartlet", item);
    write("gatherings", "quiet-evenings", gathering);
    db.close();
  }
});

test("a search that is cut off says so on the plan it left, and goes on when the page opens again", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night`);
  await planFits(page);
  // What is looked for from before must not be taken for what is asked now.
  const enough = page.getByRole("button", { name: "Good enough" });
  if (await enough.isVisible()) await enough.click({ timeout: 2000 }).catch(() => undefined);
  await expect(page.getByTestId("plan-state")).toHaveText("The plan fits");
  await page.getByLabel("Guests in all").fill("34");
  await page.getByLabel("Guests in all").press("Enter");
  await expect(page.getByTestId("plan-state")).toHaveText(/making it fresher/);
  // A first plan is kept a second after it is drawn, in pieces.
  await page.waitForResponse((answer) => {
    const [, piece, of] = /"piece":(\d+),"of":(\d+)/.exec(answer.request().postData() ?? "") ?? [];
    return of !== undefined && Number(piece) === Number(of) - 1;
  });
  await page.goto(`${own.url}/`);
  await page.goto(`${own.url}/g/launch-night`);
  await expect(page.getByText(/was cut off when the page was left; it goes on/)).toBeVisible();
  await expect(page.getByTestId("plan-state")).toHaveText(/making it fresher/);
  await page.getByRole("button", { name: "Good enough" }).click();
  await expect(page.getByTestId("plan-state")).toHaveText("The plan fits");
  await expect(page.getByText(/was cut off/)).toBeHidden();
  await page.reload();
  await expect(page.getByTestId("plan-state")).toHaveText("The plan fits");
});
