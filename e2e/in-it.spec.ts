import { demoServer } from "./demo-server";
import { expect, test, type Page } from "./test";

const own = demoServer();

const saved = (page: Page) => expect(page.getByText("Saved", { exact: true })).toBeVisible();
const claims = (page: Page) => page.getByTestId("claims");

test("a pork bun in cups with odd lines is kept with a gap, mended later, and follows each edit and each undo", async ({
  page,
}) => {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Quay buns");
  await page.getByLabel("Pieces it makes").fill("12");
  await page
    .getByRole("textbox", { name: "Dough", exact: true })
    .fill("3 cups bread flour\na glass of warm milk\n1 egg yolk\nsugar 2 tbsp\n2 tsp instant yeast\nsalt 1 tsp\nbutter ½ stick");
  await page
    .getByRole("textbox", { name: "Filling", exact: true })
    .fill("pork mince, 1 lb\n3 onions (about 300 g)\n1 tbsp Worcestershire sauce\na thumb of ginger\na handful of zorbel");
  const filling = page.getByRole("list", { name: "Filling as understood" });
  await expect(filling).toContainText("about 300 g of onions");
  await expect(filling).toContainText("20 g of ginger");
  await expect(filling).toContainText("kept as a gap: what it is");
  await page.getByRole("button", { name: "Keep this item" }).click();

  await expect(page).toHaveURL(/\/items\/quay-buns/);
  await expect(claims(page)).toContainText("Provisional");
  await expect(claims(page)).toContainText("with meat or fish · contains gluten (wheat), egg, fish, milk");
  await expect(claims(page)).toContainText("not known what is in zorbel");

  // What was typed stays as it was typed.
  await page.getByRole("button", { name: "Show it" }).click();
  await expect(page.getByRole("region", { name: "As it was written" })).toContainText("a handful of zorbel");

  // The gap is mended: the line is written anew.
  await page.getByLabel("Line of the filling").fill("80 g chopped mushrooms");
  await page.getByRole("button", { name: "Read it again" }).click();
  await expect(claims(page)).not.toContainText("not known");
  await expect(page.getByLabel("Grams of chopped mushrooms")).toHaveValue("80");
  const right = page.getByRole("button", { name: "It is right" });
  while ((await right.count()) > 0) await right.first().click();
  await expect(claims(page)).not.toContainText("Provisional");

  // Each edit changes what is said at once.
  await page.getByLabel("Ingredient 1 of Filling").fill("smoked tofu, diced");
  await expect(claims(page)).toContainText("contains gluten (wheat), egg, fish, soy, milk");
  await page.waitForTimeout(800);
  await page.getByRole("button", { name: "Remove Worcestershire sauce" }).click();
  await expect(claims(page)).toHaveText("vegetarian · contains gluten (wheat), egg, soy, milk");
  await page.waitForTimeout(800);
  await page.getByRole("button", { name: "Use something else instead of butter" }).click();
  await page.getByRole("menuitem", { name: /lard/ }).click();
  await expect(claims(page)).toContainText("with meat or fish");
  await expect(page.getByRole("list", { name: "Diets" })).toContainText("not vegetarian: lard");
  await saved(page);

  // After a reload all of it is taken back, step by step.
  await page.reload();
  await expect(claims(page)).toContainText("with meat or fish");
  const undo = page.getByRole("button", { name: "Undo" });
  await undo.click();
  await expect(claims(page)).toHaveText("vegetarian · contains gluten (wheat), egg, soy, milk");
  while (await undo.isEnabled()) await undo.click();
  await expect(claims(page)).toContainText("Provisional");
  await expect(claims(page)).toContainText("contains gluten (wheat), egg, fish, milk; not known what is in zorbel");
  await saved(page);
});

test("what nobody knows is asked once and kept for good", async ({ page }) => {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Glimmer rounds");
  await page.getByLabel("Pieces it makes").fill("8");
  await page.getByRole("textbox", { name: "Dough", exact: true }).fill("300 g flour\n150 g water");
  await page.getByRole("textbox", { name: "Filling", exact: true }).fill("200 g glimmer paste");
  await page.getByLabel("What is done").fill("Bake at 375 °F for 20 minutes.");
  await page.getByRole("button", { name: "Keep this item" }).click();
  await expect(page).toHaveURL(/\/items\/glimmer-rounds/);
  await expect(claims(page)).toContainText("not known to be vegetarian: glimmer paste");
  await page.getByRole("button", { name: "Something else", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("combobox", { name: "vegan" }).click();
  await page.getByRole("option", { name: "yes, I know" }).click();
  await dialog.getByRole("combobox", { name: "vegetarian" }).click();
  await page.getByRole("option", { name: "yes, I know" }).click();
  await dialog.getByLabel("sesame").check();
  await dialog.getByLabel("I read the label: nothing else is in it").check();
  await dialog.getByRole("button", { name: "Keep it for good" }).click();
  await expect(claims(page)).toContainText("vegan · contains gluten (wheat), sesame");
  await page.reload();
  await expect(claims(page)).toContainText("vegan · contains gluten (wheat), sesame");
  // It holds for the next recipe as well.
  await page.goto(`${own.url}/items`);
  await expect(page.getByRole("link", { name: /Glimmer rounds/ })).toContainText("vegan · contains gluten (wheat), sesame");
});

test("a total is taken when the field is left, spares who has a need, and is taken back whole", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night`);
  const counts = page.getByLabel(/^Count of group/);
  await expect(counts.first()).toBeVisible();
  const before = await counts.evaluateAll((all) => all.map((input) => (input as HTMLInputElement).value));
  const total = page.getByLabel("Guests in all");
  const sum = await total.inputValue();
  await total.fill("1");
  // Nothing is spread while it is typed.
  expect(await counts.evaluateAll((all) => all.map((input) => (input as HTMLInputElement).value))).toEqual(before);
  await total.fill("15");
  await total.blur();
  const after = await counts.evaluateAll((all) => all.map((input) => (input as HTMLInputElement).value));
  expect(after[1]).toBe(before[1]);
  expect(after.map(Number).reduce((a, b) => a + b, 0)).toBe(15);
  await total.fill("3");
  await total.blur();
  await expect(page.getByText(/of the guests have a diet or an allergy and stay/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(total).toHaveValue(sum);
  expect(await counts.evaluateAll((all) => all.map((input) => (input as HTMLInputElement).value))).toEqual(before);
});

test("the list buys oil for the fryer, whole eggs and stock by its kind", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night/quantities`);
  await page.getByRole("button", { name: "Shopping list" }).click();
  await expect(page.getByTestId("buy-oil")).toContainText("the fill of the fryer");
  await expect(page.getByTestId("buy-stock-poultry celery-free")).toBeVisible();
  await expect(page.getByTestId("buy-stock-vegetable celery-free")).toBeVisible();
  await expect(page.getByTestId("buy-oil-sunflower")).toBeVisible();
  await expect(page.getByTestId("buy-oil-olive")).toBeVisible();
  await expect(page.getByTestId("buy-egg")).toContainText(/\d+ of 51 g/);
  await page.getByRole("button", { name: "Labels" }).click();
  const label = page.getByRole("article", { name: "Label: Compass tartlets" });
  await expect(label).toContainText("Contains gluten (wheat), egg, milk, tree nuts");
});

test("an item goes into a file and comes back the same", async ({ page }) => {
  await page.goto(`${own.url}/items/hawser-coil`);
  await expect(claims(page)).toContainText("vegetarian");
  const said = await claims(page).textContent();
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "As a file" }).click()]);
  expect(download.suggestedFilename()).toBe("hawser-coil.unisynth.json");
  await page.goto(`${own.url}/items`);
  await page.getByLabel("An item from a file").setInputFiles(await download.path());
  await expect(page).toHaveURL(/\/items\/hawser-coils/);
  await expect(claims(page)).toHaveText(said!);
  await page.goto(`${own.url}/items`);
  await page
    .getByLabel("An item from a file")
    .setInputFiles({ name: "odd.json", mimeType: "application/json", buffer: Buffer.from("{}") });
  await expect(page.getByText(/expected the format unisynth-item-file\/1/)).toBeVisible();
});
