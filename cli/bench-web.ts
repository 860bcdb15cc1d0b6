// What each main view costs the browser: bytes of script, first byte, largest paint, long tasks; beside a bare page of the same
// framework and a page with the component library. Medians of interleaved loads in one run, and ratios to the bare page.
import { chromium, type Browser } from "@playwright/test";
import { spawn, spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { join } from "node:path";
import launch from "../scripts/chromium.json";
import { OwnServer } from "@tests/own-server";
import { numberFlags, print } from "./common";

const { values } = numberFlags(process.argv.slice(2), { rounds: { min: 3, max: 100, whole: true } });
const { rounds = 9 } = values;
const BARE_PORT = 3477;
const BARE = join(process.cwd(), "bench", "web");
const next = (...args: string[]) => ["node_modules/next/dist/bin/next", ...args];

interface Load {
  readonly firstByteMs: number;
  readonly paintMs: number;
  readonly longMs: number;
  readonly scriptKB: number;
}

/** One load in a context of its own: nothing is cached. */
async function load(browser: Browser, url: string): Promise<Load> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    await page.addInitScript(() => {
      const seen = { paint: 0, long: 0 };
      Object.assign(window, { seen });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) seen.paint = Math.max(seen.paint, entry.startTime);
      }).observe({ type: "largest-contentful-paint", buffered: true });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) seen.long += entry.duration;
      }).observe({ type: "longtask", buffered: true });
    });
    await page.goto(url, { waitUntil: "load" });
    await page.waitForTimeout(600);
    return await page.evaluate(() => {
      const [navigation] = performance.getEntriesByType("navigation") as PerformanceNavigationTiming[];
      const scripts = (performance.getEntriesByType("resource") as PerformanceResourceTiming[]).filter((entry) =>
        entry.name.endsWith(".js"),
      );
      const { seen } = window as unknown as { seen: { paint: number; long: number } };
      return {
        firstByteMs: navigation.responseStart - navigation.requestStart,
        paintMs: seen.paint,
        longMs: seen.long,
        scriptKB: scripts.reduce((sum, entry) => sum + entry.encodedBodySize, 0) / 1024,
      };
    });
  } finally {
    await context.close();
  }
}

const median = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[all.length >> 1];

const built = spawnSync(process.execPath, next("build", BARE), { stdio: ["ignore", 2, 2] });
if (built.status !== 0 || !existsSync(join(BARE, ".next"))) throw new Error("the bare pages could not be built");
const bare = spawn(process.execPath, next("start", BARE, "--port", String(BARE_PORT)), { stdio: "ignore" });
const own = new OwnServer().seed();
await own.start();
const bareUrl = `http://127.0.0.1:${BARE_PORT}`;
for (let tries = 0; tries < 200; tries++) {
  const isUp = await fetch(`${bareUrl}/bare`).then(
    ({ ok }) => ok,
    () => false,
  );
  if (isUp) break;
  await new Promise((wake) => setTimeout(wake, 100));
}
const PAGES: readonly (readonly [string, string])[] = [
  ["a bare page", `${bareUrl}/bare`],
  ["a page with the library", `${bareUrl}/library`],
  ["gatherings", `${own.url}/`],
  ["a gathering", `${own.url}/g/first-try`],
  ["its quantities", `${own.url}/g/first-try/quantities`],
  ["its timeline", `${own.url}/g/first-try/timeline`],
  ["the largest gathering", `${own.url}/g/launch-night`],
  ["items", `${own.url}/items`],
  ["an item", `${own.url}/items/slipway-pie`],
  ["kitchens", `${own.url}/kitchens`],
  ["a kitchen", `${own.url}/kitchens/boathouse`],
  ["a new gathering", `${own.url}/new`],
];
const browser = await chromium.launch(launch);
try {
  const loads = new Map(PAGES.map(([name]) => [name, [] as Load[]]));
  // Each page once beforehand: what a server does at the first request is not what is asked.
  for (let round = -1; round < rounds; round++)
    for (const [name, url] of PAGES) {
      const one = await load(browser, url);
      if (round >= 0) loads.get(name)!.push(one);
    }
  const of = (name: string, key: keyof Load) => median(loads.get(name)!.map((one) => one[key]));
  const [[bareName]] = PAGES;
  print(`medians of ${rounds} interleaved loads; in brackets times the bare page\n`);
  print(
    ["view", "script kB", "first byte ms", "largest paint ms", "long tasks ms"]
      .map((t, i) => (i === 0 ? t.padEnd(26) : t.padStart(20)))
      .join("") + "\n",
  );
  for (const [name] of PAGES) {
    const cell = (key: keyof Load) => {
      const base = of(bareName, key);
      const ratio = base > 0 ? ` (${(of(name, key) / base).toFixed(1)})` : "";
      return `${of(name, key).toFixed(key === "firstByteMs" ? 1 : 0)}${ratio}`.padStart(20);
    };
    print(name.padEnd(26) + cell("scriptKB") + cell("firstByteMs") + cell("paintMs") + cell("longMs") + "\n");
  }
} finally {
  await browser.close();
  bare.kill();
  await own.remove();
}
