import { demoServer } from "./demo-server";
import { expect, planFits, test } from "./test";

const own = demoServer();

const ALL = `Dough
400 g plain flour
220 ml boiling water

Filling
400 g minced pork
200 g cabbage, finely chopped
2 tbsp soy sauce

Method
Pour the boiling water over the flour, stir, knead when it is cool enough, rest 30 min.
Mix the raw filling well.
Roll thin rounds, fill, fold and seal.
Heat oil in a pan, fry until the bottom is golden, add water, cover with a lid and steam 8 minutes.`;

test("a recipe pasted whole becomes dumplings with their own steps, and a timetable; another way of finishing changes them", async ({
  page,
}) => {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Quay dumplings");
  await page.getByLabel("Pieces it makes").fill("40");
  await page.getByLabel("All of it").fill(ALL);
  await expect(page.getByRole("list", { name: "Dough as understood" }).getByRole("listitem")).toHaveCount(2);
  await expect(page.getByRole("list", { name: "Filling as understood" }).getByRole("listitem")).toHaveCount(3);
  const how = page.getByRole("region", { name: "How it is made" });
  await expect(how.getByRole("combobox", { name: "Kind of dough" })).toHaveText("hot-water dough");
  await expect(how.getByRole("combobox", { name: "Finished" })).toHaveText("fried and steamed in a lidded pan");
  await expect(how.getByRole("combobox", { name: "Filling is" })).toHaveText("raw meat");
  const steps = page.getByRole("region", { name: "Steps that follow" });
  await expect(steps).toContainText("core 71 °C");
  await expect(steps).toContainText("Taste none of it raw");
  await expect(steps).not.toContainText("Vent");

  // Steamed instead: the pan goes, the steamer comes; and back again.
  await how.getByRole("combobox", { name: "Finished" }).click();
  await page.getByRole("option", { name: "steamed", exact: true }).click();
  await expect(steps).toContainText("Steam over full steam");
  await how.getByRole("combobox", { name: "Finished" }).click();
  await page.getByRole("option", { name: "fried and steamed in a lidded pan" }).click();
  await expect(steps).toContainText("the lid as a shield");
  await page.getByRole("button", { name: "Keep this item" }).click();
  await expect(page.getByLabel("Name of the item")).toHaveValue("Quay dumplings");

  // The same on its desk, where undo takes it back.
  const desk = page.getByRole("region", { name: "Steps", exact: true });
  await how.getByRole("combobox", { name: "Finished" }).click();
  await page.getByRole("option", { name: "steamed", exact: true }).click();
  await expect(desk).toContainText("Steam over full steam");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(desk).toContainText("the lid as a shield");

  // How it is formed, drawn from its own weights: a smaller piece is a smaller disc.
  const formed = page.getByRole("region", { name: "How it is formed" });
  await expect(formed.getByRole("listitem")).toHaveCount(5);
  await expect(formed).toContainText(/A disc \d+ mm across, 2 mm in the middle, 1 mm at the rim/);
  await formed.getByRole("button", { name: "Large, to print" }).click();
  await expect(page.getByRole("dialog", { name: /^Quay dumplings: / }).getByRole("img")).toHaveCount(5);
  await page.getByRole("button", { name: "Close", exact: true }).click();

  // Where cooks differ, with what it does before it is taken.
  const ways = page.getByRole("region", { name: "Where cooks differ" });
  await ways.getByRole("button", { name: "salted, squeezed, added last" }).hover();
  await expect(ways).toContainText(/would be: the filling stays firm and the dough dry\. \d+ min more of hands/);
  await ways.getByRole("button", { name: "salted, squeezed, added last" }).click();
  await expect(desk).toContainText("Squeeze them until nothing runs; they go in last.");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(desk).not.toContainText("Squeeze them until nothing runs");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();

  await page.goto(`${own.url}/g/first-try`);
  await page.getByRole("button", { name: "Remove Slipway pies" }).click();
  await page.getByRole("region", { name: "Lunch" }).getByLabel("Add an item").click();
  await page.getByRole("option", { name: "Quay dumplings" }).click();
  await page.getByLabel("Pieces of Quay dumplings asked for").fill("8");
  await planFits(page);
  await page.getByRole("link", { name: "Timeline" }).click();
  await page
    .getByRole("button", { name: /Quay dumplings: Pan-fry 8/ })
    .first()
    .click();
  const step = page.getByRole("complementary", { name: "Step" });
  await expect(step).toContainText("Water on hot fat spits");
  await expect(step).toContainText("71 °C in the thickest piece");
  await step.getByText("If it goes wrong:").click();
  await expect(step).toContainText("Pieces stick to the pan: a cool pan, little oil, moved too early. Now: let them crisp");
  await page
    .getByRole("button", { name: /Quay dumplings: Seal/ })
    .first()
    .click();
  await expect(step.getByRole("list", { name: "How it is formed" }).getByRole("img")).toHaveCount(3);
});

test("what is chosen before the item has a name holds, and stays when it gets one", async ({ page }) => {
  await page.goto(`${own.url}/items/new`);
  await page.getByLabel("All of it").fill(ALL);
  const how = page.getByRole("region", { name: "How it is made" });
  const choose = async (what: string, option: string) => {
    await how.getByRole("combobox", { name: what }).click();
    await page.getByRole("option", { name: option, exact: true }).click();
    await expect(how.getByRole("combobox", { name: what })).toHaveText(option);
  };
  await choose("Kind of dough", "cold-water dough");
  await choose("Finished", "steamed");
  const steps = page.getByRole("region", { name: "Steps that follow" });
  await expect(steps).toContainText("Steam over full steam");
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Lock dumplings");
  await expect(how.getByRole("combobox", { name: "Kind of dough" })).toHaveText("cold-water dough");
  await expect(how.getByRole("combobox", { name: "Finished" })).toHaveText("steamed");
});
