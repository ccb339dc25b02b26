// npm run bench: rates as ratios to a plain reference, start-up time, size of the first load. Not part of the tests:
// timings are not.
import path from "node:path";
import { chromium } from "@playwright/test";
import { gzipSync } from "node:zlib";
import { prepareDatabase, serve } from "./lib/application.mjs";
import { ensureBuilt } from "./lib/build.mjs";
import { startDatabase } from "./lib/database.mjs";
import { freePort } from "./lib/ports.mjs";
import { leave, run, stopAll } from "./lib/processes.mjs";
import { ROOT, STATE, ensureDebianPackages, ensureNodePackages } from "./lib/setup.mjs";

/** Goals: JavaScript of the Landing stage at first view, and a second start. */
const FIRST_LOAD_KB = 310;
const SECOND_START_S = 10;

try {
  await ensureNodePackages();
  await ensureDebianPackages(["mariadb", "chromium"]);
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["bench/paths.ts"], { cwd: ROOT });
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["bench/departure.ts"], { cwd: ROOT });
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["bench/engine-out.ts"], { cwd: ROOT });
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["bench/simulation.ts"], { cwd: ROOT });
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["bench/cover.ts"], { cwd: ROOT });
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["bench/track.ts"], { cwd: ROOT });
  await ensureBuilt();
  const folder = path.join(STATE, "test-database");
  await prepareOnce(folder);
  const began = performance.now();
  const database = await startDatabase(folder);
  await prepareDatabase(database.url);
  const { address } = await serve({ databaseUrl: database.url, port: await freePort(3200), quiet: true });
  console.log(
    `second start, built and loaded: ${((performance.now() - began) / 1000).toFixed(1)} s (goal under ${SECOND_START_S} s)`,
  );
  await firstLoad(address);
  await departure(address);
  await stopAll();
} catch (error) {
  await leave(1, error);
}

/** @param {string} folder */
async function prepareOnce(folder) {
  const { url } = await startDatabase(folder);
  await prepareDatabase(url);
  await stopAll();
}

/** @param {string} address */
async function firstLoad(address) {
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  const page = await browser.newPage();
  await page.goto(address);
  await page.getByRole("button", { name: "Open the demo" }).click();
  await page.getByRole("table").waitFor();
  // Opened again as a page of its own: what a pilot's browser fetches for the Landing stage.
  /** @type {Map<string, number>} */
  const scripts = new Map();
  const fresh = await (await browser.newContext({ storageState: await page.context().storageState() })).newPage();
  fresh.on("response", async (response) => {
    if (response.url().includes(".js")) scripts.set(response.url(), gzipSync(await response.body()).byteLength);
  });
  const began = performance.now();
  await fresh.goto(`${address}/landing`);
  await fresh.getByRole("table").waitFor();
  const answered_s = (performance.now() - began) / 1000;
  await fresh.waitForTimeout(2500);
  const html = await (await fresh.request.get(`${address}/landing`)).text();
  const named = [...scripts].filter(([url]) => html.includes(new URL(url).pathname));
  const sum = (/** @type {[string, number][]} */ list) => list.reduce((total, [, size]) => total + size, 0) / 1024;
  const names = biggest(scripts);
  console.log(
    `Landing stage: first answer ${answered_s.toFixed(1)} s after opening; JavaScript at first view ${sum(named).toFixed(0)} kB compressed (goal under ${FIRST_LOAD_KB} kB), with map and worker ${sum([...scripts]).toFixed(0)} kB in ${scripts.size} files`,
  );
  console.log(names);
  await browser.close();
}

/**
 * What the Departure stage says of itself in a browser: the scan of all banks and the chance on every core.
 * @param {string} address
 */
async function departure(address) {
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  const page = await browser.newPage();
  await page.goto(address);
  await page.getByRole("button", { name: "Open the demo" }).click();
  await page.waitForURL("**/landing");
  await page.goto(`${address}/departure?view=chance`);
  const chance = page.getByText(/turns at each of 11 heights/);
  await chance.waitFor({ timeout: 60_000 });
  const scan = await page.getByText(/heights, \d banks in/).innerText();
  console.log(`Departure stage in the browser: ${scan}; ${await chance.innerText()} (goal for the chance: under 6 s)`);
  await scrubbed(page, address);
  await browser.close();
}

/**
 * How soon the ledger follows the failure height while scan and chance keep the other cores busy.
 * @param {import("@playwright/test").Page} page
 * @param {string} address
 */
async function scrubbed(page, address) {
  await page.goto(`${address}/departure`);
  await page.getByText(/You have .* over the runway/).waitFor();
  const { times, busy } = await page.evaluate(async () => {
    const slider = document.querySelector('[role="slider"][aria-label="Failure height"]');
    const said = () => document.querySelector('aside[aria-label="Height ledger"]')?.textContent ?? "";
    /** @type {number[]} */
    const times = [];
    let busy = 0;
    for (let i = 0; i < 60; i += 1) {
      const before = said();
      const began = performance.now();
      slider?.dispatchEvent(new KeyboardEvent("keydown", { key: i < 30 ? "ArrowRight" : "ArrowLeft", bubbles: true }));
      while (said() === before && performance.now() - began < 1000) await new Promise(requestAnimationFrame);
      times.push(performance.now() - began);
      if (!/gate \d/.test(document.querySelector('a[href="/departure"]')?.textContent ?? "")) busy += 1;
    }
    return { times: times.sort((a, b) => a - b), busy };
  });
  console.log(
    `Departure stage: the ledger follows the height in ${times[30].toFixed(0)} ms (median), ${times[57].toFixed(0)} ms (95 %), slowest ${times[59].toFixed(0)} ms; long work was running for ${busy} of 60 (goal 50 ms)`,
  );
}

/**
 * @param {Map<string, number>} scripts
 * @returns {string}
 */
function biggest(scripts) {
  return [...scripts]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 5)
    .map(([url, size]) => `  ${(size / 1024).toFixed(0).padStart(4)} kB ${new URL(url).pathname}`)
    .join("\n");
}
