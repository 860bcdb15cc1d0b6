import AxeBuilder from "@axe-core/playwright";
import { demoServer } from "./demo-server";
import { expect, planFits, test } from "./test";

const own = demoServer();

/** Nothing serious stands in the way of whoever hears pages or presses keys, on every view with the demo in it. */
const VIEWS = [
  "/g/launch-night",
  "/g/launch-night/quantities",
  "/g/launch-night/timeline",
  "/items",
  "/items/slipway-pie",
  "/items/new",
];

for (const width of [1280, 390])
  for (const path of VIEWS)
    test(`${path}, ${width} wide`, async ({ page }) => {
      await page.setViewportSize({ width, height: 800 });
      await page.goto(`${own.url}${path}`);
      if (path.startsWith("/g/")) await planFits(page);
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
      expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 200)}`)).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    });
