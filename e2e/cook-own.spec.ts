import { cooking, runOf } from "./cooking";
import { demoServer } from "./demo-server";
import { minutesOfClock } from "../src/core/shared/clock";
import { expect, planFits, test, type Page } from "./test";

/** A day with items of one's own: doses by what is weighed, dead yeast, and what is ready too early or too late. */

test.describe.configure({ mode: "serial" });
const own = demoServer();
const { nowOf, practise, withPressed, toldIn } = cooking(own);

interface Told {
  readonly name: string;
  readonly makes: number;
  readonly dough: string;
  readonly filling: string;
  readonly done: string;
}

/** Keeps an item, and stands on its desk. */
async function keep(page: Page, { name, makes, dough, filling, done }: Told) {
  await page.goto(`${own.url}/items/new`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill(name);
  await page.getByLabel("Pieces it makes").fill(String(makes));
  await page.getByRole("textbox", { name: "Dough", exact: true }).fill(dough);
  await page.getByRole("textbox", { name: "Filling", exact: true }).fill(filling);
  await page.getByLabel("What is done").fill(done);
  await page.getByRole("button", { name: "Keep this item" }).click();
  await expect(page.getByLabel("Name of the item")).toHaveValue(name);
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
}

/** Serves nothing but so many pieces of it at the small lunch. */
async function serve(page: Page, instead: string, name: string, pieces: number) {
  await page.goto(`${own.url}/g/first-try`);
  await page.getByRole("button", { name: `Remove ${instead}` }).click();
  await page.getByRole("region", { name: "Lunch" }).getByLabel("Add an item").click();
  await page.getByRole("option", { name }).click();
  await page.getByLabel(`Pieces of ${name} asked for`).fill(String(pieces));
  const cooks = page.getByRole("region", { name: "Who cooks" });
  const other = cooks.getByRole("button", { name: /other hours this time/ });
  if (await other.isVisible()) {
    await other.click();
    await cooks.getByRole("button", { name: "More hours" }).click();
  }
  await planFits(page);
}

test("meat takes its soda by what there is of it, in grams and level spoons, on the sheet, the list and at the stove", async ({
  page,
}) => {
  await keep(page, {
    name: "Jetty pies",
    makes: 12,
    dough: "500 g flour\n250 g butter, cold\n120 g water",
    filling: "750 g raw beef, cut small\n10 g salt\n2 spring onions",
    done: "Roll out, fill, fold over. Bake at 190 C for 35 min.",
  });
  await page
    .getByRole("region", { name: "Where cooks differ" })
    .getByRole("button", { name: "a quarter of an hour, then rinsed" })
    .click();
  await expect(page.getByRole("region", { name: "Steps", exact: true })).toContainText(
    "Baking soda: 2.3 g (½ tsp level), for 750 g of meat.",
  );
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await serve(page, "Slipway pies", "Jetty pies", 12);
  await page.getByRole("link", { name: "Quantities" }).click();
  const sheet = page.getByRole("article", { name: /^Jetty pies, Filling/ });
  const dose = "2.3 g (½ tsp level), for 750 g of meat";
  await expect(sheet).toContainText(`Baking soda: ${dose}`);
  await expect(sheet).toContainText("Raw, in a bowl of its own: cold until it goes in");
  await page.getByRole("button", { name: "Shopping list" }).click();
  await expect(page.getByRole("region", { name: "Shopping list" }).getByText("Baking soda", { exact: true })).toBeVisible();
  const tasks = await practise(page, "first-try");
  const soda = tasks.findIndex((task) => /tenderise-meat/.test(task));
  await withPressed(
    page,
    runOf(page),
    tasks.slice(0, soda).map((task) => ({ kind: "done", task })),
  );
  await page
    .getByRole("button", { name: /^Tenderise the meat for 12 Jetty pies: begin now$/ })
    .first()
    .click();
  await expect(nowOf(page, "Teo")).toContainText(`Baking soda: ${dose}`);
  await nowOf(page, "Teo").getByRole("button", { name: "It is in: begin" }).click();
  await expect(page.getByRole("region", { name: "Runs by itself" })).toContainText(`Baking soda: ${dose}.`);
  // The hands are wanted before it is too far, although the plan had them rinse later.
  await expect(page.getByTestId("rest")).toContainText(/Rinse the meat for 12 Jetty pies begins \d\d:\d\d instead of \d\d:\d\d/);
  // Rinsed on time, whatever else the hands have to do.
  await expect(page.getByRole("region", { name: "Food that will not wait" })).toContainText(/rinse from \d\d:\d\d on/);
});

test("yeast without froth: thrown away, or baking powder by the flour at hand and no rise left of the day", async ({ page }) => {
  await keep(page, {
    name: "Jetty buns",
    makes: 12,
    dough: "400 g flour\n240 g water\n6 g active dry yeast\n40 g sugar",
    filling: "300 g ham",
    done: "Wake the yeast in the water. Let rise 1 hour. Fill. Let rise 30 min. Bake at 180 C for 20 min.",
  });
  await serve(page, "Jetty pies", "Jetty buns", 12);
  const tasks = await practise(page, "first-try");
  const wake = tasks.findIndex((task) => /wake-yeast/.test(task));
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, wake).map((task) => ({ kind: "done", task })),
    { kind: "started", task: tasks[wake], afterMin: 1 },
    { kind: "paced", rate: 1, wall: new Date().toISOString(), afterMin: 13 },
  ]);
  const gate = page.getByRole("group", { name: "Before you go on" });
  await gate.getByRole("group", { name: "Froth" }).getByRole("button", { name: "no" }).click();
  await expect(gate).toContainText(/throw it away before flour goes in.*No other in the house\? 1[67](\.\d)? g of baking powder/);
  // No flour goes in meanwhile, wherever it is said.
  await expect(nowOf(page, "Teo").getByRole("button", { name: "Done" })).toBeDisabled();
  await page.getByRole("button", { name: "The day", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Mix dough for 12 Jetty buns: tick as done/ })).toBeDisabled();
  await page.getByRole("button", { name: "Now", exact: true }).click();
  await gate.getByRole("button", { name: "Baking powder instead: no rise" }).click();
  await expect(gate).toContainText("With baking powder: nothing rises, go on.");
  await expect
    .poll(async () => (await toldIn(page, runOf(page))).filter(({ kind }) => kind === "skipped").length)
    .toBeGreaterThanOrEqual(2);
  await expect(page.getByTestId("rest")).not.toHaveText(/being worked out/);
  await page.getByRole("button", { name: "The day", exact: true }).click();
  const rises = page
    .getByRole("list", { name: "The day" })
    .getByRole("listitem")
    .filter({ hasText: /(Let rise dough for|Proof) 12 Jetty buns/ });
  await expect(rises).toHaveCount(2);
  for (const rise of await rises.all()) await expect(rise).toHaveText(/planned \d\d:\d\d/);
});

test("a piece that came out heavy is planned into the last load, for as long as it takes", async ({ page }) => {
  const tasks = await practise(page, "first-try");
  const divide = tasks.findIndex((task) => /\/divide\//.test(task));
  await withPressed(
    page,
    runOf(page),
    tasks.slice(0, divide).map((task) => ({ kind: "done", task })),
  );
  await page
    .getByRole("button", { name: /^Divide .*begin now$/ })
    .first()
    .click();
  const card = nowOf(page, "Teo");
  await card.getByText(/^Weigh the pieces:/).click();
  await card.getByLabel("Weight of piece 1, g").fill("95");
  await card.getByRole("button", { name: "Add" }).click();
  const heavy = card.getByRole("group", { name: "Heavy pieces" });
  await expect(heavy).toContainText(/95 g: last into “Bake .*”, \d+ min longer there than the others, which come out first/);
  await heavy.getByRole("button", { name: "Plan it so" }).click();
  await expect(heavy).toContainText("Planned so.");
  await expect
    .poll(async () => (await toldIn(page, runOf(page))).find(({ kind }) => kind === "odd"))
    .toMatchObject({ grams: [95] });
});

test("what is blanched has a clock of its own from when it boils again", async ({ page }) => {
  await keep(page, {
    name: "Pier parcels",
    makes: 12,
    dough: "400 g flour\n200 g butter, cold\n100 g water",
    filling: "300 g ham\n200 g chinese cabbage",
    done: "Blanch the cabbage for 4 minutes. Roll out, fill, fold over. Bake at 190 C for 25 min.",
  });
  await serve(page, "Jetty buns", "Pier parcels", 12);
  const tasks = await practise(page, "first-try");
  const blanch = tasks.findIndex((task) => /\/blanch-filling\//.test(task));
  await withPressed(
    page,
    runOf(page),
    tasks.slice(0, blanch - 1).map((task) => ({ kind: "done", task })),
  );
  await page.getByRole("button", { name: /^Lower into boiling water .*begin now$/ }).click();
  await nowOf(page, "Teo").getByRole("button", { name: "Done" }).click();
  // Due at once, or, a minute later, what may be begun next.
  await nowOf(page, "Teo")
    .getByRole("button", { name: "It boils: begin" })
    .or(page.getByRole("button", { name: /^Blanch the filling .*begin now$/ }))
    .first()
    .click();
  const clock = page.getByRole("region", { name: "Runs by itself" }).getByRole("listitem", { name: /^Blanch the filling/ });
  // The clock may have gone on by a minute since it was pressed.
  await expect(clock).toContainText(/Look at \d\d:\d\d · ready about \d\d:\d\d \(in [34] min\)/);
  await expect(page.getByTestId("rest")).not.toContainText("longer than it may");
});

test("a rise that is ready early is laid cold, by what each way comes to", async ({ page }) => {
  const tasks = await practise(page, "launch-night");
  const rise = tasks.find((task) => /-(bulk|proof|rise)[^/]*\//.test(task));
  expect(rise).toBeDefined();
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, tasks.indexOf(rise!)).map((task) => ({ kind: "done", task })),
    { kind: "started", task: rise },
    { kind: "paced", rate: 1, wall: new Date().toISOString(), afterMin: 40 },
  ]);
  const early = page.getByRole("region", { name: /^Early: / });
  await expect(early).toContainText("Ready already?");
  await early.getByRole("button", { name: "What can be done?" }).click();
  const way = early.getByRole("listitem").filter({ hasText: "into the fridge until its time" });
  await expect(way).toContainText(/begins \d\d:\d\d/);
  await way.getByRole("button", { name: "Do this" }).click();
  await expect(page.getByRole("region", { name: "Runs by itself" })).toContainText("in the fridge");
});

test("pieces that are done long before their wave are kept hot with one press, and wait so", async ({ page }) => {
  const tasks = await practise(page, "launch-night");
  const steam = tasks.find((task) => /-steam\//.test(task))!;
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, tasks.indexOf(steam)).map((task) => ({ kind: "done", task })),
    { kind: "started", task: steam, afterMin: 1 },
    { kind: "measured", task: steam, what: "core", value: 95, afterMin: 20 },
    { kind: "done", task: steam, afterMin: 21 },
    { kind: "paced", rate: 1, wall: new Date().toISOString(), afterMin: 25 },
  ]);
  const ways = page.getByRole("region", { name: "Ways out" });
  await expect(ways).toContainText(/Steam .* waits longer than it should/);
  await ways.getByRole("button", { name: "What can be done?" }).click();
  const way = ways.getByRole("listitem").filter({ hasText: /^Steam .* kept hot until the rest is ready/ });
  await expect(way).toContainText("local rules come first");
  await way.getByRole("button", { name: "Do this" }).click();
  await expect(ways).not.toContainText(/Steam .* waits longer than it should/);
  await expect
    .poll(async () => (await toldIn(page, runOf(page))).find(({ kind }) => kind === "held"))
    .toMatchObject({ task: steam, place: "warm" });
});

test("a first piece that is wanted is in the plan, before its loads, and locks them", async ({ page }) => {
  await page.goto(`${own.url}/g/launch-night`);
  await planFits(page);
  await page
    .getByRole("button", { name: /^Oarlock turnovers: .*share, batches, parts/ })
    .first()
    .click();
  await page.getByLabel(/one piece of Oarlock turnovers goes into the heat before its loads/).check();
  await expect(page.getByTestId("plan-state")).not.toHaveText("The plan fits");
  const tasks = await practise(page, "launch-night");
  const first = tasks.findIndex((task) => /^oarlock-turnover\/e-fry\/\d+-\d+$/.test(task));
  expect(tasks[first]).toMatch(/\/0-1$/);
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, first).map((task) => ({ kind: "done", task })),
    { kind: "started", task: tasks[first], afterMin: 1 },
    { kind: "paced", rate: 1, wall: new Date().toISOString(), afterMin: 4 },
  ]);
  const pilot = page.getByRole("region", { name: /^First piece: Fry 1 Oarlock turnovers/ });
  await expect(pilot).toContainText(/One piece is in for \d+ min; \d+ min are planned/);
  await pilot.getByLabel("It took, min").fill("9");
  await expect(pilot).toContainText(/\d+ loads of 9 instead of \d+ min: \d+ min more in all/);
  await pilot.getByRole("button", { name: /^Lock it for \d+ loads/ }).click();
  await expect
    .poll(async () => (await toldIn(page, runOf(page))).find(({ kind }) => kind === "retimed"))
    .toMatchObject({ task: tasks[first], minutes: 9 });
});

test("an oven that takes one tray at a time takes two when it is late: tried, pressed, and the last tray is out sooner", async ({
  page,
}) => {
  await keep(page, {
    name: "Quay pies",
    makes: 24,
    dough: "500 g flour\n250 g butter, cold\n120 g water",
    filling: "900 g apples\n80 g sugar",
    done: "Cook the apples 10 min. Roll out, fill, fold over. Bake at 190 C for 25 min.",
  });
  await page.getByRole("region", { name: "Where cooks differ" }).getByRole("button", { name: "one at a time" }).click();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  // With two trays the third load waits for one of them, whatever the oven takes.
  await page.goto(`${own.url}/kitchens/first-kitchen`);
  await page.getByRole("region", { name: "Trays", exact: true }).getByLabel("Trays: How many").fill("4");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await serve(page, "Pier parcels", "Quay pies", 36);
  const tasks = await practise(page, "first-try");
  const bakes = tasks.filter((task) => /\/heat\/\d+-\d+$/.test(task));
  expect(bakes.length).toBeGreaterThan(2);
  await withPressed(page, runOf(page), [
    ...tasks.slice(0, tasks.indexOf(bakes[0])).map((task) => ({ kind: "done", task })),
    { kind: "late", task: bakes[0], minutes: 90, afterMin: 1 },
    { kind: "paced", rate: 1, wall: new Date().toISOString(), afterMin: 2 },
  ]);
  /** When each tray goes in, as the day now stands. */
  const goesIn = async (): Promise<number[]> => {
    await page.getByRole("button", { name: "The day", exact: true }).click();
    const rows = page
      .getByRole("list", { name: "The day" })
      .getByRole("listitem")
      .filter({ hasText: /Bake \d+ Quay pies/ });
    await expect(rows).toHaveCount(bakes.length);
    const texts = await rows.allTextContents();
    await page.getByRole("button", { name: "Now", exact: true }).click();
    return texts.map((text) => minutesOfClock(/\d\d:\d\d/.exec(text)![0])!).sort((a, b) => a - b);
  };
  const ways = page.getByRole("region", { name: "Ways out" });
  await expect(ways).toContainText(/late/);
  const oneByOne = await goesIn();
  expect(oneByOne[1] - oneByOne[0]).toBeGreaterThanOrEqual(25);
  await ways.getByRole("button", { name: "What can be done?" }).click();
  const way = ways.getByRole("listitem").filter({ hasText: /^Two trays at once in the oven/ });
  await way.getByRole("button", { name: "Do this" }).click();
  await expect.poll(async () => (await toldIn(page, runOf(page))).find(({ kind }) => kind === "doubled")).toBeTruthy();
  await expect(page.getByTestId("rest")).not.toHaveText(/being worked out/);
  // Two go in together, and the last goes in sooner.
  await expect.poll(async () => (await goesIn()).at(-1)!).toBeLessThan(oneByOne.at(-1)!);
  const [first, second] = await goesIn();
  expect(second - first).toBeLessThan(20);
});
