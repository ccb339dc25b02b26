import { defineConfig } from "@playwright/test";

/** Debian's Chromium; nothing is downloaded. As root it needs to run without its sandbox. */
const chromium = {
  executablePath: "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    // Drawn by the processor: no graphics processor is here.
    "--enable-unsafe-swiftshader",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};

export default defineConfig({
  testDir: "e2e",
  outputDir: "test-results",
  // One server and one database: the journeys take turns.
  workers: 1,
  // Long enough for a slow machine that does three journeys at once: how fast it is, is measured elsewhere.
  timeout: 240_000,
  expect: { timeout: 45_000 },
  forbidOnly: true,
  // Some journeys fly in real time: where the machine stood still for a while, once more. It is listed as flaky.
  retries: 1,
  reporter: [["list"]],
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: chromium,
    // What is kept in the browser would answer instead of the server; the journey without a network allows it.
    serviceWorkers: "block",
    trace: "on-first-retry",
    // A download or a clipboard prompt must not hang a test.
    actionTimeout: 45_000,
  },
});
