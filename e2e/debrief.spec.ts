import { readFile } from "node:fs/promises";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { openDemo } from "./demo";

const LOGS = path.resolve(import.meta.dirname, "../demo/logs");

test("a log is dropped, its stop found, laid beside the plan; a table is confirmed, kept and deleted", async ({
  page,
  browser,
  baseURL,
}) => {
  // The longest of all: beside others a slow machine needs this.
  test.setTimeout(300_000);
  await openDemo(page);
  await page.getByRole("link", { name: /Debrief/ }).click();
  const aside = page.getByRole("complementary", { name: "Decision" });
  // What was kept last is open: the turn back, with the stop, the delay, the turn and the wind that it shows.
  await expect(aside.getByText(/Power reduced or lost at 8\d0/)).toBeVisible();
  await expect(aside.getByText(/turned 2\d\d° at 4\d°/)).toBeVisible();
  // Beside it the plan from the same moment: parts, and shares that explain the difference.
  const beside = aside.getByRole("region", { name: "Predicted beside flown" });
  await expect(beside.getByText("to the end of Skerrow 11")).toBeVisible();
  await expect(beside.getByText("What explains it")).toBeVisible();
  await expect(aside.getByText(/beyond the far end/)).toBeVisible();
  // Any figure opens its working.
  await aside.getByRole("button", { name: /Left over the end/ }).click();
  await expect(page.getByText("flown by the plan").first()).toBeVisible();
  await page.keyboard.press("Escape");

  // By keys along the flight, from mark to mark.
  const moment = page.getByRole("slider", { name: /Moment of the flight/ });
  await moment.focus();
  await page.keyboard.press("PageDown");
  await expect(moment).toHaveAttribute("aria-valuetext", /^3\.\d s: 8\d0/);
  await page.keyboard.press("Shift+ArrowRight");
  await expect(moment).toHaveAttribute("aria-valuetext", /^13\.\d s: 6\d0.*right/);

  // Another pilot's plan is another prediction.
  const reaction = beside.getByText(/plan 4\.0/).first();
  await expect(reaction).toBeVisible();

  // The stop was later, says the pilot: the delay is gone, the name stands, and both are taken back.
  const stops = aside.getByRole("region", { name: "Engine stops, by hand" });
  await moment.press("Home");
  await moment.press("PageDown");
  await moment.press("PageDown");
  await stops.getByRole("button", { name: /^Begins at 01:11:3\d/ }).click();
  await expect(stops.getByText("Engine stops, as you say")).toBeVisible();
  await expect(reaction).toBeVisible();
  await stops.getByLabel("Name of this stop").fill("Over the shore");
  await stops.getByRole("button", { name: "Name it" }).click();
  await expect(aside.getByText(/^Over the shore at 8\d0/)).toBeVisible();
  await expect(page.getByLabel("Look at").locator("option").nth(1)).toContainText("Over the shore");
  await stops.getByRole("button", { name: /^Undo/ }).click();
  await expect(aside.getByText(/^Power reduced or lost at 8\d0/)).toBeVisible();
  await stops.getByRole("button", { name: /^Undo/ }).click();
  await expect(stops.getByText("Engine stops, as found")).toBeVisible();
  await expect(stops.getByRole("button", { name: /^Redo/ })).toBeEnabled();

  // Planned with one's own reaction instead, the prediction is another, and Departure's gate with it.
  const own = aside.getByRole("region", { name: "Your own figures" });
  // They follow what is kept, which follows what was taken back.
  await expect(own.getByRole("heading", { name: /^Your own: 3\.\d s/ })).toBeVisible();
  await own.getByRole("button", { name: "Plan with them" }).click();
  await expect(page.getByRole("button", { name: /^Pilot, your own 3/ })).toBeVisible();
  await expect(beside.getByText(/plan 3\.\d/).first()).toBeVisible();
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect(reaction).toBeVisible();

  // A table of one's own: its columns are shown for confirmation, it is read and kept.
  await page.getByLabel("Flight log").setInputFiles(path.join(LOGS, "spot-landing.csv"));
  const dialog = page.getByRole("dialog", { name: /What do the columns of spot-landing.csv hold/ });
  await expect(dialog.getByLabel("ias_kmh holds")).toHaveValue("ias_mps");
  await expect(dialog.getByLabel("Unit of ias_kmh")).toHaveValue("kmh");
  await dialog.getByRole("button", { name: "Read it so" }).click();
  await expect(aside.getByText(/Engine to idle at 9\d0/)).toBeVisible();
  await expect(aside.getByText(/past the threshold of Skerrow 11/)).toBeVisible();
  // What another recorder wrote of the same flight is laid to it: its clock is found by the climbs that both show.
  const [, ...rows] = (await readFile(path.join(LOGS, "spot-landing.csv"), "utf8")).trim().split("\n");
  const engine = rows
    .filter((_, i) => i % 5 === 0)
    .map((row) => row.split(","))
    .map(([at_s, , , , pressure_m]) => [Number(at_s) + 500, Number(pressure_m) + 3, 2100].join(","));
  await page.getByRole("button", { name: "Day", exact: true }).click();
  await page.getByLabel("Another recorder’s file").setInputFiles({
    name: "engine.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(["time_s,baro_alt_m,rpm", ...engine].join("\n")),
  });
  await page
    .getByRole("dialog", { name: /What do the columns of engine.csv/ })
    .getByRole("button", { name: "Read it so" })
    .click();
  await expect(
    page.getByText(/^engine.csv is laid to this flight, its clock set by −(499\.[5-9]|500\.[0-5]) s\.$/),
  ).toBeVisible();
  await page.getByRole("button", { name: "Day", exact: true }).click();
  await expect(page.getByRole("button", { name: "Take away engine.csv" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(aside.getByText(/Engine to idle at 9\d0/)).toBeVisible();
  await page.getByRole("tab", { name: "Logs" }).click();
  const list = page.getByRole("region", { name: "Kept logs" });
  await expect(list.getByRole("row")).toHaveCount(6);

  // Not readable by anybody else, by address.
  const { logs } = (await (await page.request.get("/api/logs")).json()) as { logs: { id: string }[] };
  const other = await browser.newContext({ baseURL });
  const stranger = await other.newPage();
  await openDemo(stranger);
  expect((await stranger.request.get(`/api/logs/${logs[0].id}`)).status()).toBe(404);
  expect((await stranger.request.delete(`/api/logs/${logs[0].id}`)).status()).toBe(404);
  await other.close();

  // The same headings are read without asking; what is no log says so and changes nothing.
  await page.getByLabel("Flight log").setInputFiles(path.join(LOGS, "spot-landing.csv"));
  await expect(page.getByRole("tab", { name: "Flight" })).toHaveAttribute("aria-selected", "true");
  await expect(aside.getByText(/Engine to idle at 9\d0/)).toBeVisible();
  await page
    .getByLabel("Flight log")
    .setInputFiles({ name: "notes.txt", mimeType: "text/plain", buffer: Buffer.from("no flight at all") });
  await expect(aside.getByText(/notes.txt is no flight log/)).toBeVisible();

  // Six glides; the flight's day without an aircraft leaves stops by the engine as they are, and nothing to compare.
  await page.getByRole("tab", { name: "Logs" }).click();
  await list.getByRole("button", { name: "glides.csv", exact: true }).click();
  await expect(page.getByLabel("Look at").locator("option")).toHaveCount(7);
  await expect(aside.getByText(/8\.\d:1 ±/).first()).toBeVisible();

  // Over one another, played again, and scored by the exercise's document: two of the six are too fast.
  await page.getByLabel("Over it").selectOption("own");
  await expect(aside.getByRole("region", { name: "Runs over one another" }).getByRole("row")).toHaveCount(7);
  await page.getByLabel("Speed of the replay").selectOption("30");
  await page.getByRole("button", { name: "Play", exact: true }).click();
  await expect(moment).toHaveAttribute("aria-valuetext", /^[3-9]\d\.\d s/);
  await page.getByRole("button", { name: "Stop", exact: true }).click();
  await page.getByLabel("Look at").selectOption("all");
  const exercises = aside.getByRole("region", { name: "Exercises" });
  await expect(exercises.getByText("not passed.")).toHaveCount(2);
  await expect(exercises.getByText("held, as far as a log shows.")).toHaveCount(4);
  await page.getByLabel("Look at").selectOption("0");

  // The polar of the six, beside the aircraft's; taken over into a copy that is then flown.
  const polar = aside.getByRole("region", { name: "Polar flown" });
  await expect(polar.getByText(/8\.[6-9]:1 ±0\.\d/)).toBeVisible();
  await polar.getByRole("button", { name: "A copy of Alder S1 with it" }).click();
  // The strip shows the flight's own day; the present situation is one step away.
  const strip = page.getByRole("group", { name: "Situation" });
  await expect(strip.getByText("Wind, flown")).toBeVisible();
  await strip.getByRole("button", { name: "Back to the present" }).click();
  await expect(strip.getByText("Wind, flown")).toHaveCount(0);
  await expect(page.getByRole("button", { name: /^Aircraft Alder S1, as flown/ })).toBeVisible();
  await page.getByRole("button", { name: "Export", exact: true }).click();
  const download = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: "Flight as GPX" }).click();
  expect((await download).suggestedFilename()).toBe("glides.gpx");

  // What if the engine stops here: the situation becomes that of the moment, and one undo takes it back.
  // Where the replay was stopped depends on the machine: the moment is the glide's first.
  await moment.press("Home");
  const place = page.getByRole("button", { name: /^Place / });
  const before = (await place.textContent()) ?? "";
  await page.getByRole("button", { name: "where to land" }).click();
  await expect(page.getByRole("heading", { name: "Which runway can I make from here?" })).toBeVisible();
  await expect(place).not.toHaveText(before);
  await expect(place).toContainText(/3\s[67]\d0\sft/);
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect(place).toHaveText(before);
  await page.getByRole("link", { name: /Debrief/ }).click();

  // How long no place was in reach: a gap leads to its moment, from there the engine stops.
  await page.getByRole("tab", { name: "Logs" }).click();
  await list.getByRole("button", { name: "crossing.igc", exact: true }).click();
  await page.getByRole("tab", { name: "Exposure" }).click();
  await expect(aside.getByText(/^6:\d\d without a place in reach\.$/)).toBeVisible();
  await expect(aside.getByRole("row", { name: /In all/ })).toContainText(/of 10:\d\d/);
  await aside.getByRole("region", { name: "Gaps" }).getByRole("button").first().click();
  const along = page.getByRole("slider", { name: /Cursor along the flight/ });
  await along.press("Shift+ArrowRight");
  await expect(aside.getByText(/is nearest to it: .+ short/)).toBeVisible();
  await aside.getByRole("button", { name: /^Here: no place in reach/ }).click();
  await expect(page.getByRole("dialog")).toContainText("height wanted overhead it");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "where to land" }).click();
  await expect(place).not.toHaveText(before);
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await page.getByRole("link", { name: /Debrief/ }).click();

  // Deleted only when it is said twice, and gone after a reload.
  await page.getByRole("tab", { name: "Logs" }).click();
  await list.getByRole("button", { name: "Delete glides.csv" }).click();
  await list.getByRole("button", { name: "Delete glides.csv for good" }).click();
  await expect(list.getByText("glides.csv")).toHaveCount(0);
  await page.reload();
  await page.getByRole("tab", { name: "Logs" }).click();
  await expect(list.getByText("turnback.igc")).toBeVisible();
  await expect(list.getByText("glides.csv")).toHaveCount(0);
});
