// En route: a flight over the ridge, its gap found and closed by altitude, then by the way round; a route of one's own.
import { readFile } from "node:fs/promises";
import { type Page, expect } from "@playwright/test";
import { flyAircraft, openDemo, test, type } from "./demo";
import { pdfText } from "./pdf-text";

const decision = (page: Page) => page.getByRole("region", { name: "Decision" });
const spine = (page: Page) => page.getByRole("link", { name: /En route/ });

async function openRoute(page: Page): Promise<void> {
  await openDemo(page);
  await page.keyboard.press("3");
  await expect(page.getByRole("slider", { name: /^Cursor/ })).toBeVisible();
  await expect(decision(page)).toBeVisible();
}

test("over the ridge: the gap is found by key, closed by altitude, then by the way round; the wind moves it", async ({
  page,
}) => {
  test.slow();
  await openRoute(page);
  await expect(spine(page)).toContainText(/\d+ min no place/);
  const cursor = page.getByRole("slider", { name: /^Cursor/ });
  await cursor.focus();
  await page.keyboard.press("PageDown");
  await expect(decision(page)).toContainText(/In a gap: \d+ min, [\d\s]+\sft short at worst\./);
  await expect(decision(page)).toContainText(/closes it; or \d+ min more by the way round, without Long Saddle\./);
  await expect(page.getByRole("figure", { name: "Height ledgers of the best places" })).toContainText("Brannoc");
  // Every figure shows its working.
  await page
    .getByRole("button", { name: /^\+|^−/ })
    .first()
    .click();
  await expect(page.getByRole("dialog")).toContainText("elevation of");
  await page.keyboard.press("Escape");

  await page.getByRole("button", { name: /^Plan [\d\s]+\sft$/ }).click();
  await expect(decision(page)).toContainText("From here on a place is in reach all the way.");
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect(decision(page)).toContainText("In a gap");
  await page.getByRole("button", { name: /^Take the way round/ }).click();
  await expect(decision(page)).toContainText("From here on a place is in reach all the way.");
  await page.getByRole("tab", { name: "Points" }).click();
  await expect(page.getByRole("textbox", { name: "Name of point 6" })).toHaveValue("Round 1");
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("textbox", { name: "Name of point 6" })).toHaveValue("Cape Orrin");

  // What the map shows is chosen; every choice says what its hatch means.
  await page.getByRole("tab", { name: "Cover" }).click();
  const shows = page.getByRole("combobox", { name: "The map shows" });
  for (const [label, said] of [
    ["Height that a place asks for", "over the ground; closer from 500, 1"],
    ["Reach from the cursor", "left over the ground where it comes; closer from"],
    ["Reach from the planned altitude", "in reach from"],
  ]) {
    await shows.selectOption({ label });
    await expect(page.getByText(said)).toBeVisible();
  }

  // The wind turned round: the gap begins elsewhere.
  const ribbon = page.getByText(/no place from .* to /);
  const before = await ribbon.textContent();
  await page.getByRole("button", { name: /^Wind / }).click();
  await type(page, "From, true", "070");
  await page.keyboard.press("Escape");
  await expect(ribbon).not.toHaveText(before ?? "");
});

test("a route of one's own by keyboard, out as a file and in again; places that do not fit do not count", async ({
  page,
}) => {
  test.slow();
  await openRoute(page);
  await page.getByRole("tab", { name: "Points" }).click();
  await page.getByRole("button", { name: "Empty the route" }).press("Enter");
  await expect(page.getByText("No flight is planned yet.")).toBeVisible();
  await expect(spine(page)).toContainText("no route");
  const next = page.getByRole("combobox", { name: /^Next point/ });
  for (const name of ["Skerrow", "47°05'S 131°20'W", "Tolvane"]) {
    await next.fill(name);
    await next.press("Enter");
    await expect(next).toHaveValue("");
  }
  await next.fill("nowhere");
  await expect(page.getByText(/^No place of this name near here/)).toBeVisible();
  await next.fill("");
  await expect(page.getByRole("textbox", { name: "Name of point 2" })).toHaveValue("P1");
  await page.getByRole("textbox", { name: "Altitude from point 1" }).fill("3000");
  // What is typed letter by letter keeps the focus, and what cannot be is said and changes nothing.
  const position = page.getByRole("textbox", { name: "Position of point 2" });
  await position.fill("");
  await position.pressSequentially("47°06'S 131°21'W");
  await expect(position).toHaveValue("47°06'S 131°21'W");
  await position.press("Tab");
  await expect(position).toHaveValue(/^47°06\.000′S 131°21\.000′W$/);
  const name = page.getByRole("textbox", { name: "Name of point 2" });
  await name.fill("");
  await expect(page.getByRole("alert").filter({ hasText: "A point needs a name." })).toBeVisible();
  await name.press("Tab");
  await expect(name).toHaveValue("P1");
  await page.getByRole("button", { name: "The other way" }).press("Enter");
  await expect(page.getByRole("textbox", { name: "Name of point 1" })).toHaveValue("Tolvane");
  await page.getByRole("tab", { name: "Cover" }).click();
  await expect(decision(page)).toBeVisible();

  await page.getByRole("button", { name: "File" }).click();
  const gpx = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: "Route as GPX" }).click();
  const file = await (await gpx).path();
  expect(await readFile(file, "utf8")).toContain("rtept");
  await page.getByLabel("Route from a file").setInputFiles({
    name: "back.gpx",
    mimeType: "application/gpx+xml",
    buffer: await readFile(file),
  });
  await expect(page.getByText("3 points are the route now.")).toBeVisible();
  await page.getByLabel("Route from a file").setInputFiles({
    name: "bad.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("name,lat,lon\nA,47,8\nB,147,8\n"),
  });
  await expect(page.getByText(/No route was taken\. Line 3/)).toBeVisible();
  for (const [item, name, part] of [
    ["Reach by altitude as GeoJSON", "reach-by-altitude.geojson", "fromAltitude_ft"],
    ["Cover as a grid (Esri ASCII)", "cover.asc", "ncols"],
  ]) {
    await page.getByRole("button", { name: "File" }).click();
    const made = page.waitForEvent("download");
    await page.getByRole("menuitem", { name: item }).click();
    expect((await made).suggestedFilename()).toBe(name);
    expect(await readFile(await (await made).path(), "utf8")).toContain(part);
  }
  await page.getByRole("button", { name: "File" }).click();
  const card = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: "Card as PDF" }).click();
  const words = await pdfText(await (await card).path());
  for (const part of ["Tolvane", "Skerrow", "least altitude", "flight manual"]) expect(words).toContain(part);

  // Left out by hand it does not count, until it is counted again.
  await page.getByRole("tab", { name: "Places" }).click();
  await page.getByRole("button", { name: "Leave out Dunnet Field" }).press("Enter");
  const left = page.getByRole("region", { name: "Places that do not count" });
  await expect(left).toContainText(/Dunnet Field, [\d\s]+\sm: left out by hand/);
  await page.getByRole("button", { name: "Count again Dunnet Field" }).press("Enter");
  await expect(page.getByRole("button", { name: "Leave out Dunnet Field" })).toBeVisible();

  // A jet does not land on fields: they do not count, and it is said why.
  await flyAircraft(page, "Cedar J2");
  await page.getByRole("tab", { name: "Places" }).click();
  await expect(left).toContainText(/Dunnet Field, [\d\s]+\sm: too short for this aircraft/);
  // A helicopter needs room, not length.
  await flyAircraft(page, "Hazel H2");
  await expect(page.getByRole("button", { name: "Leave out Dunnet Field" })).toBeVisible();
});

test("on one engine: no way over the ridge, an altitude closes it, the alternate chosen, by keyboard", async ({
  page,
}) => {
  test.slow();
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await spine(page).press("Enter");
  await expect(page.getByRole("heading", { name: "Where is a landing place in reach?" })).toBeVisible();
  await page.getByRole("tab", { name: "One engine" }).press("Enter");
  await expect(decision(page)).toContainText(/Here: over Mossgarth/);
  await expect(spine(page)).toContainText(/no way/);
  await expect(decision(page)).toContainText(/with no way, [\d\s]+\sft short at worst\. [\d\s]+\sft closes it\./);
  const cursor = page.getByRole("slider", { name: /^Cursor/ });
  await cursor.focus();
  await page.keyboard.press("PageDown");
  await expect(decision(page)).toContainText(/In a stretch/);
  await expect(page.getByRole("figure", { name: "Height ledgers of the ways on one engine" })).toContainText("Brannoc");
  await page
    .getByRole("button", { name: /^\+|^−/ })
    .first()
    .press("Enter");
  await expect(page.getByRole("dialog")).toContainText("highest ground that counts there");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Plan / }).press("Enter");
  await expect(decision(page)).not.toContainText(/In a stretch/);

  await page.getByRole("button", { name: "Route plan" }).press("Enter");
  await page.getByRole("checkbox", { name: "Skerrow" }).press("Space");
  await page.keyboard.press("Escape");
  await cursor.focus();
  await page.keyboard.press("Home");
  const ways = page.getByRole("figure", { name: "Height ledgers of the ways on one engine" });
  await expect(ways).toContainText("Skerrow");
  await expect(ways).not.toContainText("Orrin");

  // The climb-out by track: the one with the fewest seconds is planned.
  await page.getByRole("tab", { name: "Climb-out" }).press("Enter");
  const climb = page.getByRole("region", { name: "Climb-out" });
  await expect(climb.getByRole("row", { name: /^Straight on/ })).toBeVisible();
  await type(page, "Earliest turn at", "700");
  await expect(climb.getByRole("row", { name: /^Turn at a height, right at 7[0-3]0\sft/ })).toBeVisible();
  await climb.getByRole("button", { name: /^Plan it: Turn at a height/ }).press("Enter");
  await page.getByRole("tab", { name: "Points" }).press("Enter");
  await expect(page.getByRole("textbox", { name: "Name of point 2" })).toHaveValue("Turn out 1");

  // With some minutes of an engine left, over the ground from the cursor.
  await page.getByRole("tab", { name: "Minutes left" }).press("Enter");
  const left = page.getByRole("region", { name: "Minutes left" });
  await type(page, "It runs for another", "4");
  await expect(left).toContainText(/(in hand when it stops after 4 min|in hand now)\./);
  await expect(left.getByRole("row", { name: /Shut it down now/ })).toBeVisible();
});
