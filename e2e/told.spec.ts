import { demoServer } from "./demo-server";
import { expect, planFits, test } from "./test";

/** A recipe that is told and not listed, to its gates on the timeline; then its runs and its versions. */

test.describe.configure({ mode: "serial" });
const own = demoServer();

const TOLD =
  "I put 400 g of plain flour in a bowl with a teaspoon of salt and rub in 220 g of cold butter. Then 100 ml of iced water goes in. Leave it in the fridge for 45 minutes or 60 minutes in summer. " +
  "For the inside I simmer 500 g of diced beef in 400 ml of beef stock with 2 bay leaves for 60 minutes and let it cool. " +
  "Roll it out, cut rounds, put a spoonful in each, fold over and press with a fork. Brush with beaten egg and bake at 190 °C, 25 minutes.";

test("a told recipe becomes pies; what is looked at before work goes on is asked, and what an answer means is said", async ({
  page,
}) => {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Wharf pies");
  await page.getByLabel("Pieces it makes").fill("20");
  await page.getByLabel("All of it").fill(TOLD);
  const how = page.getByRole("region", { name: "How it is made" });
  await expect(how.getByRole("combobox", { name: "Filling is" })).toHaveText("cooked meat or fish in sauce");
  await expect(how).toContainText("two times for the first rest: 45 and 60 min");
  await page.getByRole("button", { name: "Keep this item" }).click();
  await expect(page.getByLabel("Name of the item")).toHaveValue("Wharf pies");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();

  await page.goto(`${own.url}/g/first-try`);
  await page.getByRole("button", { name: "Remove Slipway pies" }).click();
  await page.getByRole("region", { name: "Lunch" }).getByLabel("Add an item").click();
  await page.getByRole("option", { name: "Wharf pies" }).click();
  await page.getByLabel("Pieces of Wharf pies asked for").fill("16");
  const cooks = page.getByRole("region", { name: "Who cooks" });
  await cooks.getByRole("button", { name: /other hours this time/ }).click();
  await cooks.getByRole("button", { name: "More hours" }).click();
  await planFits(page);
  await page.getByRole("link", { name: "Timeline" }).click();
  const timeline = page.getByRole("region", { name: "Timeline" });
  const open = (what: RegExp) => timeline.getByRole("button", { name: what }).first().click();
  const gate = page.getByRole("group", { name: "Before you go on" });

  await open(/Wharf pies: Cool/);
  await expect(gate).toContainText("What was counted in is out again");
  await gate.getByLabel("bay leaves 1").check();
  await expect(gate).toContainText("1 thing is still in it.");
  await gate.getByLabel("bay leaves 2").check();
  await expect(gate).toContainText("Go on.");
  await gate.getByRole("button", { name: "yes" }).click();
  await expect(gate).toContainText("3 g of starch, stirred into cold water, boiled up in it; cold again, look again.");
  await gate.getByRole("button", { name: "See what 10 min later moves" }).click();
  await expect(page.getByRole("group", { name: "If it runs late" })).toContainText(/10 min late|min late/);
  await gate.getByRole("button", { name: "no", exact: true }).click();

  // What was seen is still there when the step is opened again.
  await open(/Wharf pies: Fill/);
  await gate.getByLabel("Measured, °C").fill("46");
  await expect(gate).toContainText(/Too warm: about 30 min on a tray, 10 mm deep, then \d+ min in the fridge/);
  await gate.getByLabel("Go on all the same, because").fill("lids are not sealed");
  await gate.getByRole("button", { name: "Go on", exact: true }).click();
  await expect(gate).toContainText("Went on all the same: lids are not sealed");
  await open(/Wharf pies: Bake/);
  await gate.getByLabel("Core, °C").fill("70");
  await expect(gate).toContainText("Not yet at 74 °C: 2 min more, and measure again.");
  await expect(gate.getByLabel("Go on all the same, because")).toHaveCount(0);
  await open(/Wharf pies: Cool/);
  await expect(gate.getByLabel("bay leaves 2")).toBeChecked();
});

test("runs say what a batch makes; a version tells what changed, and is taken back", async ({ page }) => {
  await page.goto(`${own.url}/items/oarlock-turnover`);
  const card = page.getByRole("region", { name: "Runs and versions" });
  await expect(card).toContainText("0 runs");
  for (const count of ["19", "21"]) {
    await card.getByLabel("Came out").fill(count);
    await card.getByRole("button", { name: "Made it once" }).click();
  }
  await expect(card).toContainText("2 runs: 20 ± 1 pieces");
  const steps = page.getByRole("region", { name: "Steps", exact: true });
  const seal = steps.getByRole("listitem").filter({ hasText: "Seal" }).first();
  await seal.getByRole("button", { name: "Change" }).click();
  await steps.getByText("How one sees it, what can hurt, whose hands").click();
  await steps.getByLabel("Too late", { exact: true }).fill("The rim cracks when it is pressed.");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await card.getByRole("button", { name: "What it was like before" }).click();
  await expect(card.getByRole("listitem").first()).toContainText("made: 19 pieces; made: 21 pieces");
  await card.getByRole("button", { name: "Back to this" }).click();
  await expect(steps.getByLabel("Too late", { exact: true })).not.toHaveValue("The rim cracks when it is pressed.");
  // Runs happened, whatever the recipe is now.
  await expect(card).toContainText("2 runs: 20 ± 1 pieces");
});

test("one base for two fillings is weighed and cooked once; what belongs to the item is offered beside it", async ({ page }) => {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Two ways");
  await page.getByLabel("Pieces it makes").fill("20");
  await page.getByLabel("All of it").fill(`Dough: 500 g flour, 300 ml water, 7 g yeast, 20 g sugar
Base for the fillings: 400 g onions, 300 g cabbage
Mushroom filling: 300 g mushrooms
Pork filling: 300 g minced pork
Chutney: 200 g apples, 60 g onions, 40 g sugar
Cook the base 12 min, divide it. Cook the mushrooms 10 min. Mix the pork in raw. Simmer the chutney 25 min. Knead 8 min, rise 1 hour. Fill, shape balls, bake at 190 °C for 20 min.`);
  await page.getByRole("button", { name: "Keep this item" }).click();
  await expect(page.getByLabel("Name of the item")).toHaveValue("Two ways");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();

  await page.goto(`${own.url}/g/first-try`);
  await page.getByRole("button", { name: "Remove Wharf pies" }).click();
  await page.getByRole("region", { name: "Lunch" }).getByLabel("Add an item").click();
  await page.getByRole("option", { name: "Two ways" }).click();
  await page.getByLabel("Pieces of Two ways asked for").fill("10");
  await page.getByRole("button", { name: "Two ways: share, batches, parts" }).click();
  await page.getByRole("button", { name: "Make part of it otherwise" }).click();
  await page.getByLabel("Part 1 of Two ways, pieces").fill("6");
  await page.getByLabel("Part 2 of Two ways, pieces").fill("4");
  await expect(page.getByLabel("Part 2 of Two ways, filling")).toHaveText(/Pork filling/);
  const beside = page.getByRole("region", { name: "Beside the pieces" });
  await expect(beside).toContainText("Chutney belongs to Two ways at Lunch: 15 g a piece.");
  await beside.getByRole("button", { name: "Make it too" }).click();
  await expect(beside.getByTestId("beside-total")).toHaveText("150 g for 10 pieces, 0.5 × its recipe");
  await planFits(page);

  await page.getByRole("link", { name: "Quantities" }).click();
  const sheet = page.getByRole("article", { name: "Two ways, Base of the fillings" });
  await expect(sheet).toContainText(
    /Cooked and cold, divide it by weight: \d+ % \(\d+ g of it raw\) for Mushroom filling, \d+ % \(\d+ g of it raw\) for Pork filling/,
  );
  await page.getByRole("link", { name: "Timeline" }).click();
  await page
    .getByRole("button", { name: /Two ways: Cook 10/ })
    .first()
    .click();
  const step = page.getByRole("complementary", { name: "Step" });
  await expect(step).toContainText("Cook base of the fillings for 10 Two ways");
  await expect(step).toContainText("Only this goes into the pot before it is divided.");
  await expect(step).not.toContainText("minced pork");
});
