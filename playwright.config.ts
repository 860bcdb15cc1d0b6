import { defineConfig } from "@playwright/test";
import chromium from "./scripts/chromium.json";

const PORT = 3199;

/** Browser tests run the built application on a database of their own, filled with the demo. */
export default defineConfig({
  testDir: "e2e",
  outputDir: "test-results/browser",
  timeout: 90_000,
  expect: { timeout: 15_000 },
  workers: 1,
  retries: 0,
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: chromium,
  },
  webServer: {
    command: `node scripts/demo.mjs --reset --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}`,
    timeout: 240_000,
    env: { UNISYNTH_DB: "test-results/browser.db" },
    reuseExistingServer: false,
  },
});
