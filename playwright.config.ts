import { defineConfig } from "@playwright/test";
import chromium from "./scripts/chromium.json";

/**
 * Browser tests run the built application; each file has a server and a data file of its own, so that two files run at once.
 * How long a thing may take is for machines ten times as slow as a good one: nothing here measures speed.
 */
export default defineConfig({
  testDir: "e2e",
  outputDir: "test-results/browser",
  globalSetup: "./e2e/build.ts",
  timeout: 360_000,
  expect: { timeout: 60_000 },
  workers: 2,
  retries: 0,
  use: { actionTimeout: 120_000, viewport: { width: 1280, height: 800 }, launchOptions: chromium },
});
