import AxeBuilder from "@axe-core/playwright";
import { expect, planFits, test, type Page } from "./test";
import { OwnServer } from "../tests/own-server";

/** From an empty application to a day of one's own: gathering, kitchen, recipes, another day, and away again. */

let own: OwnServer;
// Each goes on from the one before.
test.describe.configure({ mode: "serial" });
test.beforeAll(async () => {
  own = new OwnServer();
  await own.start();
});
test.afterAll(() => own.remove());

const inDays = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
const saved = (page: Page) =>
  expect(
    page
      .getByRole("status")
      .filter({ hasText: /saved|saving/i })
      .first(),
  ).toHaveText("Saved");
const planState = (page: Page) => page.getByTestId("plan-state");
/** The plan is looked for to its end and has arrived. */
async function kept(page: Page): Promise<void> {
  await expect(planState(page)).toHaveText("The plan fits");
  await expect(page.getByRole("status", { name: "What waits for the server" })).toBeHidden();
  await page.waitForTimeout(1500);
}
const card = (page: Page, name: string) => page.getByRole("article", { name, exact: true });

async function recipe(page: Page, name: string, filling: string): Promise<void> {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill(name);
  await page.getByLabel("Pieces it makes").fill("12");
  await page
    .getByRole("textbox", { name: "Dough", exact: true })
    .fill("300 g wheat flour\n150 g butter, cold\n5 g salt\n100 g water, cold");
  await page.getByRole("textbox", { name: "Filling", exact: true }).fill(filling);
  await page
    .getByLabel("What is done")
    .fill(
      "Chill the dough 30 minutes.\nCook the filling 15 minutes, cool.\nRoll out, fill, fold over.\nBake at 190 °C for 25 minutes.",
    );
  await page.getByRole("button", { name: "Keep this item" }).click();
  await expect(page.getByLabel("Name of the item")).toHaveValue(name);
}

test("the first start asks three questions, and what is missing is said at its field", async ({ page }) => {
  await page.goto(own.url);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Your first gathering");
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByText("Name is missing; expected a name")).toBeVisible();
  await expect(page.getByText("Day is missing; expected a day")).toBeVisible();
  await page.getByLabel("Name").fill("Quay lunch");
  await page.getByLabel("Day").fill(inDays(7));
  await page.getByLabel("Served at").fill("18:30");
  await page.getByLabel("Adults").fill("ten");
  await page.getByLabel("Children").fill("2");
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByText(/Adults .*expected a whole number of adults from 0 to 500/)).toBeVisible();
  await page.getByLabel("Adults").fill("10");
  await expect(page.getByText(/^12 guests, .* in 7 days at 18:30$/)).toBeVisible();
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Quay lunch");
  await expect(page.getByText("No recipe is here yet")).toBeVisible();
});

test("two recipes, a kitchen with two cooks, and a plan on the timeline", async ({ page }) => {
  await recipe(page, "Onion pies", "400 g onion, sliced\n200 g cheddar, grated\n20 g butter");
  await recipe(page, "Apple pies", "500 g apple, sliced\n60 g sugar\n20 g butter");
  await page.goto(own.url);
  await page.getByRole("link", { name: "Quay lunch" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Quay lunch");
  await saved(page);
  for (const name of ["Onion pies", "Apple pies"]) {
    await page.getByRole("region", { name: "Serving" }).getByLabel("Add an item").click();
    await page.getByRole("option", { name }).click();
  }
  await kept(page);
  await page.getByRole("link", { name: "change this kitchen" }).click();
  await page.getByLabel("Name of the kitchen").fill("Kitchen by the quay");
  await page.getByRole("button", { name: "Another cook" }).click();
  await page.getByLabel("Name of cook 2").fill("Noa");
  await page.getByLabel("Hours 1 of cook 2: from").fill("15:00");
  await page.getByLabel("Hours 1 of cook 2: to").fill("18:30");
  // What it does to the next gathering, at once.
  await expect(page.getByRole("status").filter({ hasText: "For Quay lunch" })).toContainText(
    /(of hands|as much work for the hands).*begin \d\d:\d\d/,
  );
  await expect(page.getByRole("group", { name: "Cook 2" })).toContainText("3 h 30 at work here");
  const trays = page.getByRole("region", { name: "Trays", exact: true });
  const onOne = await trays.textContent();
  await trays.getByLabel("Trays: A tray, mm, length").fill("350");
  await expect(trays).not.toHaveText(onOne!);
  await saved(page);
  await page.goto(own.url);
  await page.getByRole("link", { name: "Quay lunch" }).click();
  await expect(page.getByText("has changed since this was planned")).toBeVisible();
  await expect(page.getByText(/its name, who cooks, trays\. The plan keeps to the kitchen as it was/)).toBeVisible();
  await page.getByRole("button", { name: "Plan with it as it is now" }).click();
  await expect(page.getByText("Me, Noa · 1 oven of 2 shelves")).toBeVisible();
  await planFits(page);
  await page.getByRole("link", { name: "Timeline" }).click();
  const timeline = page.getByRole("region", { name: "Timeline" });
  await kept(page);
  for (const lane of ["Me", "Noa", "Oven"]) await expect(timeline.getByRole("group", { name: lane, exact: true })).toBeVisible();
});

test("a kitchen is copied, changed by itself, and put away", async ({ page }) => {
  await page.goto(`${own.url}/kitchens`);
  await page.getByRole("button", { name: "Copy Kitchen by the quay" }).click();
  await expect(page.getByLabel("Name of the kitchen")).toHaveValue("Kitchen by the quay (copy)");
  await page.getByLabel("Room 1, °C").fill("99");
  await expect(page.getByText("Room 1, °C is 99; expected a number of at most 45")).toBeVisible();
  await page.getByLabel("Room 1, °C").fill("26");
  await expect(page.getByText("26 to 26 °C: dough rises by it")).toBeVisible();
  const curve = page.getByRole("group", { name: "Room temperature through the day" });
  await curve.getByRole("slider", { name: "Room from 00:00 to 24:00" }).press("ArrowUp");
  await expect(page.getByLabel("Room 1, °C")).toHaveValue("26.5");
  await page.getByRole("button", { name: "A winter day" }).click();
  const seven = curve.getByRole("slider", { name: "Time at which the room changes from 17 to 20 °C" });
  const box = (await seven.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByLabel("Room 2: from")).not.toHaveValue("07:00");
  await page.getByLabel("Own pace of cook 1, times the recipe's minutes").fill("1,5");
  await expect(page.getByText("1 h 30 for what the recipe says takes 1 h").first()).toBeVisible();
  await saved(page);
  await page.goto(`${own.url}/kitchens`);
  await page.getByRole("button", { name: "Put away Kitchen by the quay (copy)" }).click();
  await page.getByRole("button", { name: "Bring back Kitchen by the quay (copy)" }).click();
  await expect(page.getByRole("button", { name: "Put away Kitchen by the quay (copy)" })).toBeVisible();
});

test("without the oven the day says no, and why; the second way out is taken over and undone; with it again it fits", async ({
  page,
}) => {
  await page.goto(`${own.url}/kitchens`);
  await page.getByRole("link", { name: "Kitchen by the quay", exact: true }).click();
  await page.getByRole("button", { name: "Take away: Oven" }).click();
  await saved(page);
  await page.goto(own.url);
  await page.getByRole("link", { name: "Quay lunch" }).click();
  await page.getByRole("button", { name: "Plan with it as it is now" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "does not fit" })).toContainText(
    "bake needs an oven, and this kitchen has none",
  );
  const ways = page.getByRole("region", { name: "Ways out" });
  await ways.getByRole("button", { name: "Try one change at a time" }).click();
  await expect(ways.getByText(/still to try/)).toBeHidden();
  await expect(ways.getByRole("listitem").first()).toContainText("1. an oven, borrowed: then it can be done");
  const second = ways.getByRole("listitem").nth(1);
  await expect(second).toContainText("instead: then it can be done");
  await second.getByRole("button", { name: /^Do it/ }).click();
  await expect(ways).toContainText("Taken over: in");
  await planFits(page);
  await ways.getByRole("button", { name: "Undo this" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "does not fit" })).toBeVisible();
  await page.getByRole("link", { name: "change this kitchen" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("region", { name: "Oven", exact: true })).toBeVisible();
  await saved(page);
});

test("again on another day, put away, brought back, deleted for good", async ({ page }) => {
  await page.goto(own.url);
  await page.getByRole("button", { name: "Quay lunch again on another day" }).click();
  const dialog = page.getByRole("dialog", { name: "Quay lunch, again" });
  await dialog.getByLabel("Name").fill("Quay lunch for thirty");
  await dialog.getByLabel("Day").fill(inDays(37));
  await dialog.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Quay lunch for thirty");
  await page.getByLabel("Guests in all").fill("30");
  await page.getByLabel("Guests in all").press("Enter");
  await saved(page);
  await page.goto(own.url);
  await expect(card(page, "Quay lunch for thirty")).toContainText("30 guests");
  await expect(card(page, "Quay lunch")).toContainText("12 guests");

  await page.getByRole("button", { name: "Put Quay lunch for thirty away" }).click();
  await expect(page.getByText("Quay lunch for thirty is put away")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(card(page, "Quay lunch for thirty")).toBeVisible();
  await page.getByRole("button", { name: "Put Quay lunch for thirty away" }).click();
  await page.getByRole("link", { name: "What is put away (1)" }).click();
  const remove = page.getByRole("button", { name: "Delete Quay lunch for thirty for good" });
  await remove.click();
  await expect(remove).toContainText("press again");
  await remove.click();
  await expect(card(page, "Quay lunch for thirty")).toHaveCount(0);
});

for (const width of [1280, 390])
  test(`nothing serious stands in the way of whoever hears or presses keys, ${width} wide`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(`${own.url}/kitchens`);
    const kitchen = await page.getByRole("link", { name: "Kitchen by the quay" }).first().getAttribute("href");
    for (const path of ["/", "/new", "/kitchens", kitchen!, "/devices"]) {
      await page.goto(own.url + path);
      await page.waitForLoadState("networkidle");
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
      expect(serious.map(({ id, nodes }) => `${path}: ${id}: ${nodes[0].html.slice(0, 200)}`)).toEqual([]);
      // Nothing is cut off sideways.
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    }
  });
