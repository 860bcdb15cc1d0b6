// Takes one current picture of each main view into docs/screenshots, from the demo data, in a database of its own.
import { spawn } from "node:child_process";
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { chromium } from "playwright-core";
import { ensureChromium, LAUNCH } from "./chromium.mjs";
import { root, setup } from "./setup.mjs";

const PORT = 3198;
const base = `http://127.0.0.1:${PORT}`;
const folder = join(root, "docs", "screenshots");

/** Name, page, width, and what is done before the picture is taken. */
const SHOTS = [
  ["gathering", "/g/launch-night", 1280, planned],
  ["quantities", "/g/launch-night/quantities", 1280, planned],
  ["timeline", "/g/launch-night/timeline", 1280, planned],
  [
    "timeline-step",
    "/g/launch-night/timeline",
    1280,
    async (page) => {
      await planned(page);
      await page.getByRole("group", { name: "Oven", exact: true }).getByRole("button").first().click();
    },
  ],
  ["timeline-evenings", "/g/quiet-evenings/timeline", 1280, planned],
  [
    "shopping",
    "/g/launch-night/quantities",
    1280,
    async (page) => {
      await planned(page);
      await page.getByRole("button", { name: "Shopping list" }).click();
    },
  ],
  [
    "labels",
    "/g/launch-night/quantities",
    1280,
    async (page) => {
      await planned(page);
      await page.getByRole("button", { name: "Labels" }).click();
    },
  ],
  ["items", "/items", 1280],
  ["item-desk", "/items/slipway-pie", 1280],
  [
    "item-formed",
    "/items/keel-moon",
    1280,
    async (page) => {
      await page.getByRole("region", { name: "How it is formed" }).evaluate((card) => card.scrollIntoView({ block: "center" }));
    },
  ],
  [
    "recipe-from-paper",
    "/items/new",
    1280,
    async (page) => {
      await page.getByRole("textbox", { name: "Name", exact: true }).fill("Corner hand pies");
      await page.getByLabel("Pieces it makes").fill("12");
      await page
        .getByLabel("All of it")
        .fill(
          "Dough\n2½ cups all-purpose flour\n1 cup cold butter\n1/2 tsp salt\n6-8 tbsp ice water\nFilling\n3 medium onions, sliced\n1½ cups grated cheddar\na handful of nettles\nMethod\nChill the dough for an hour.\nCook the onions for 15 minutes and let them cool.\nRoll out, fill, fold over and crimp. Bake at 375 °F.",
        );
    },
  ],
  ["cook", "/g/launch-night/cook", 1280, cooked],
  ["cook-phone", "/g/launch-night/cook", 390, alone, 844],
  ["cook-landscape", "/g/launch-night/cook", 844, alone, 390],
  [
    "no-plan",
    "/g/launch-night",
    1280,
    async (page) => {
      await page.getByLabel("Guests in all").fill("60");
      await page.getByLabel("Guests in all").press("Enter");
      await page.getByRole("alert").filter({ hasText: "This does not fit" }).waitFor();
    },
  ],
  ["gatherings", "/", 1280],
  [
    "new-gathering",
    "/new",
    1280,
    async (page) => {
      await page.getByLabel("Name").fill("Harvest supper");
      await page.getByLabel("Day").fill(new Date(Date.now() + 12 * 86_400_000).toISOString().slice(0, 10));
      await page.getByLabel("Adults").fill("22");
      await page.getByLabel("Slipway pies").check();
    },
  ],
  ["kitchen", "/kitchens/boathouse", 1280],
  [
    "bench",
    "/bench/rise",
    1280,
    async (page) => {
      await page.getByRole("img", { name: /^Rise so far/ }).waitFor();
    },
  ],
];

/** Practises the day until several things run by themselves. */
async function cooked(page) {
  await planned(page);
  await page.getByRole("button", { name: "Practise it" }).click();
  await page.getByTestId("rest").filter({ hasText: "stays" }).waitFor({ timeout: 60_000 });
  // The clock is quick only while there is somebody to press.
  await page.getByRole("button", { name: "Let the cooks go by the screen" }).click();
  await page.getByRole("button", { name: "As fast as it goes" }).click();
  await page.getByRole("region", { name: "Runs by itself" }).getByRole("listitem").first().waitFor({ timeout: 120_000 });
  await page.getByRole("button", { name: "As it is" }).click();
  await page.getByRole("button", { name: "I press myself" }).click();
  await page.waitForTimeout(1500);
  // What was pressed lies at the foot of the page.
  await page.evaluate(() => scrollTo(0, 0));
}

/** The same on the screen of one cook who has something to do. */
async function alone(page) {
  await cooked(page);
  for (const name of ["Maren", "Ilko", "Pella", "Aud"]) {
    await page.getByRole("combobox", { name: "Whose screen" }).click();
    await page.getByRole("option", { name }).click();
    if (await page.getByRole("article").first().isVisible()) return;
  }
}

async function planned(page) {
  await page
    .getByTestId("plan-state")
    .filter({ hasText: /^The plan fits$/ })
    .waitFor({ timeout: 60_000 });
}

setup();
ensureChromium();
mkdirSync(folder, { recursive: true });
const db = join(root, "test-results", "screenshots.db");
const server = spawn(process.execPath, [join(root, "scripts", "demo.mjs"), "--reset", "--port", String(PORT)], {
  cwd: root,
  stdio: ["ignore", "ignore", 2],
  env: { ...process.env, UNISYNTH_DB: db },
});
try {
  for (let up = false; !up;) {
    if (server.exitCode !== null) process.exit(1);
    await new Promise((wake) => setTimeout(wake, 300));
    up = await fetch(base).then(
      () => true,
      () => false,
    );
  }
  const browser = await chromium.launch(LAUNCH);
  const wanted = process.argv.slice(2);
  for (const [name, path, width, ready, height = 800] of SHOTS) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const page = await browser.newPage({ viewport: { width, height } });
    await page.goto(base + path);
    // Faded until it takes keys: a picture of the page as it is used.
    await page.locator("main[inert]").waitFor({ state: "detached" });
    if (ready) await ready(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
} finally {
  server.kill("SIGTERM");
}
