import { gzipSync } from "node:zlib";
import { readFile } from "node:fs/promises";
import { XMLParser } from "fast-xml-parser";
import { expect } from "@playwright/test";
import { answered, leftTo, openDemo, test, type } from "./demo";

test("from the first page to the first path by keyboard alone", async ({ page }) => {
  await page.goto("/");
  // The demo's button has the focus when the page opens.
  await expect(page.getByRole("button", { name: "Open the demo" })).toBeFocused();
  await page.keyboard.press("Enter");
  await answered(page);
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("Skerrow 11, right turn now.");

  const before = await leftTo(page, "Skerrow 11");
  // To the map, then 100 ft lower and a tenth of a mile to the north-west.
  while (!(await page.evaluate(() => document.activeElement?.getAttribute("role") === "application")))
    await page.keyboard.press("Tab");
  await page.keyboard.press("PageDown");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeLessThanOrEqual(before - 100);
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("ArrowLeft");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeLessThan(before - 150);

  // On to a figure of the ranking and its working.
  await page.keyboard.press("Tab");
  while (!(await page.evaluate(() => document.activeElement?.matches("td button") ?? false)))
    await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  const working = page.getByRole("dialog");
  await expect(working).toContainText("the working");
  await expect(working).toContainText("height over the aim point now");
  await page.keyboard.press("Escape");
  await expect(working).toBeHidden();

  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBe(before);
  await page.keyboard.press("3");
  await expect(page.getByRole("heading", { name: "Where is a landing place in reach?" })).toBeVisible();
  await page.keyboard.press("6");
  await answered(page);
});

test("dragging the aircraft and its heading moves path, ledger and ranking while the pointer moves", async ({
  page,
}) => {
  await openDemo(page);
  const map = await page.locator("[role=application]").boundingBox();
  if (!map) throw new Error("expected a map");
  // The aircraft stands where the map was centred from: 1,400 m east and 900 m south of it at 16 m a pixel.
  const x = map.x + map.width / 2 - 1400 / 16;
  const y = map.y + map.height / 2 - 900 / 16;
  // The map has its place once it has told what it looks at.
  await expect(page.locator("[role=application]")).toHaveAttribute("data-view", /.+/);
  const before = await leftTo(page, "Skerrow 11");
  await page.mouse.move(x, y);
  await page.mouse.down();
  let last = before;
  for (let i = 1; i <= 12; i += 1) {
    await page.mouse.move(x - 8 * i, y - 6 * i);
    await expect.poll(() => leftTo(page, "Skerrow 11"), { message: `step ${i}` }).not.toBe(last);
    last = await leftTo(page, "Skerrow 11");
  }
  await page.mouse.up();
  expect(await leftTo(page, "Skerrow 11")).toBeLessThan(before - 200);
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("not saved");

  // Undone in one step: a drag is one change.
  await page.keyboard.press("Control+z");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBe(before);

  // The handle lies 44 pixels ahead of the nose, at 40° true less the lean of the plane.
  await page.mouse.move(x + 44 * Math.sin(0.7), y - 44 * Math.cos(0.7));
  await page.mouse.down();
  await page.mouse.move(x + 60, y + 60, { steps: 6 });
  await page.mouse.up();
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeGreaterThan(before + 50);
  await page.getByRole("button", { name: /^Place / }).click();
  await expect(page.getByRole("textbox", { name: "Heading, magnetic" })).toHaveValue(/^10\d$/);
});

test("the keyboard skips to the stage and is on the map in a few steps", async ({ page }) => {
  await openDemo(page);
  await page.reload();
  await answered(page);
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Skip to the stage" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("main")).toBeFocused();
  const onMap = () => page.evaluate(() => document.activeElement?.closest("[role=application]") !== null);
  let steps = 0;
  for (; steps < 10 && !(await onMap()); steps += 1) await page.keyboard.press("Tab");
  expect(steps).toBeLessThan(10);
});

test("every part of the situation moves the figures", async ({ page }) => {
  await openDemo(page);
  const start = await leftTo(page, "Skerrow 11");
  const edit = async (chip: RegExp, label: string, value: string) => {
    await page.getByRole("button", { name: chip }).click();
    await type(page, label, value);
    await page.keyboard.press("Escape");
  };
  await edit(/^Place /, "Altitude above sea level", "2 600");
  // Three hundred feet higher, and a little more left than that: the wind up there blows towards the runway.
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeGreaterThanOrEqual(start + 300);
  expect(await leftTo(page, "Skerrow 11")).toBeLessThan(start + 350);
  await edit(/^Pilot /, "Reaction", "10");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeLessThan(start + 250);
  const slow = await leftTo(page, "Skerrow 11");
  await edit(/^Pilot /, "Bank in turns", "15");
  await expect.poll(() => leftTo(page, "Skerrow 11")).not.toBe(slow);
  const shallow = await leftTo(page, "Skerrow 11");
  await edit(/^Mass /, "Mass", "1100");
  await expect.poll(() => leftTo(page, "Skerrow 11")).not.toBe(shallow);
  const heavy = await leftTo(page, "Skerrow 11");
  await edit(/^Wind /, "Speed", "0");
  await expect.poll(() => leftTo(page, "Skerrow 11")).not.toBe(heavy);
  await page.getByRole("button", { name: /^Aircraft / }).click();
  await page.getByLabel("Propeller of the dead engine").selectOption("stopped");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("link", { name: /Aircraft/ })).toContainText("9.7:1");
});

test("a runway that cannot be made says by how much", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", "1 200");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Skerrow 29", exact: true }).click();
  const decision = page.getByRole("region", { name: "Decision" });
  await expect(decision).toContainText("Skerrow 29 cannot be made.");
  await expect(decision).toContainText(/\d\sft are missing with the reserve/);
  await expect(page.getByRole("figure", { name: /Height ledger/ })).toContainText("Short by");
});

test("a METAR fills wind and air, and says what it did not understand", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: /^Wind / }).click();
  await page.getByLabel("METAR").fill("hello world");
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByText(/does not read as a METAR|could be read from this report/)).toBeVisible();
  await page.getByLabel("METAR").fill("TRSK 241200Z 31018G30KT 9999 XYZZY 05/02 Q0998");
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByText("Not understood and not used: XYZZY.")).toBeVisible();
  await expect(page.getByText("gusts are reported", { exact: false })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: /^Wind / })).toContainText("310/18");
  await expect(page.getByRole("button", { name: /^Air / })).toContainText("998");
});

test("fields refuse what cannot be, say why, and change nothing", async ({ page }) => {
  await openDemo(page);
  const before = await leftTo(page, "Skerrow 11");
  const cases = [
    [/^Place /, "Heading, magnetic", "725", "A heading is 0° to 360°."],
    [/^Mass /, "Mass", "1500", "Above the maximum mass of Alder S1"],
    [/^Air /, "QNH", "500", "QNH is 850 to 1090 hPa"],
    [/^Pilot /, "Bank in turns", "abc", "is not a number"],
    [/^Wind /, "Speed", "900", "Winds above 250 kt are not met with."],
  ] as const;
  for (const [chip, label, value, says] of cases) {
    await page.getByRole("button", { name: chip }).click();
    await type(page, label, value);
    await expect(page.getByRole("alert").filter({ hasText: says })).toBeVisible();
    await page.keyboard.press("Escape");
  }
  expect(await leftTo(page, "Skerrow 11")).toBe(before);
  // A wind faster than the glide is a wind that blows: it is taken, and the answer says what it means.
  await page.getByRole("button", { name: /^Wind / }).click();
  await type(page, "Speed", "90");
  await page.keyboard.press("Escape");
  await expect(page.getByText(/no headway|faster than the glide/).first()).toBeVisible();
});

test("the path leaves as GeoJSON and GPX", async ({ page }) => {
  await openDemo(page);
  const run = async (command: string) => {
    await page.keyboard.press("/");
    await page.getByPlaceholder("What would you like to do?").fill(command);
    const download = page.waitForEvent("download");
    await page.keyboard.press("Enter");
    return readFile(await (await download).path(), "utf8");
  };
  const geojson = JSON.parse(await run("GeoJSON"));
  expect(geojson.type).toBe("FeatureCollection");
  expect(geojson.features.map((feature: { properties: { part: string } }) => feature.properties.part)).toEqual([
    "Reaction",
    "Turn 1",
    "Straight",
    "Turn 2",
    "Final",
  ]);
  const first = geojson.features[0].geometry.coordinates[0];
  expect(first[0]).toBeCloseTo(-130.978, 4);
  expect(first[1]).toBeCloseTo(-47.115, 4);
  expect(first[2]).toBeCloseTo(701, 0);
  const gpx = new XMLParser({ ignoreAttributes: false }).parse(await run("GPX"));
  const points = gpx.gpx.trk.trkseg.trkpt;
  expect(gpx.gpx["@_version"]).toBe("1.1");
  expect(Number(points[0]["@_lat"])).toBeCloseTo(-47.115, 4);
  expect(Date.parse(points[points.length - 1].time)).toBeGreaterThan(Date.parse(points[0].time) + 60_000);
});

test("a key position on the way costs more height and a second circuit", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Skerrow 11", exact: true }).click();
  const direct = await leftTo(page, "Skerrow 11");
  await page.getByRole("button", { name: "Approach plan" }).click();
  await page.getByLabel("Key position on the way").selectOption("overhead-left");
  await page.keyboard.press("Escape");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeLessThan(direct - 200);
  await expect(page.getByRole("figure", { name: /Height ledger/ })).toContainText("Turn 4");
});

test("units, day and night, and the lists are a key away", async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press("u");
  await page.getByLabel("Height and altitude").selectOption("m");
  await page.getByLabel("Speed", { exact: true }).selectOption("kmh");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("701 m");
  await page.reload();
  await answered(page);
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("701 m");
  await page.keyboard.press("t");
  await expect(page.locator("html")).toHaveAttribute("data-appearance", "night");
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toContainText("Undo");
});

test("without its terrain the stage still answers, and says what is not checked", async ({ page }) => {
  await page.context().route("**/api/terrains/*", (route) => route.abort());
  await openDemo(page);
  await expect(
    page.getByText("The terrain cannot be had at present: paths are not checked against the ground."),
  ).toBeVisible();
  expect(await leftTo(page, "Skerrow 11")).toBeGreaterThan(0);
  await page.context().unroute("**/api/terrains/*");
  // It is asked for again by itself.
  await expect(page.getByText("The terrain cannot be had at present", { exact: false })).toBeHidden();
});

/** Compressed as it is sent. */
const FIRST_VIEW_KB = 310;

test("the first view brings no more JavaScript than it needs, and no charts", async ({ page, browser, baseURL }) => {
  await openDemo(page);
  const storageState = await page.context().storageState();
  const fresh = await (await browser.newContext({ baseURL, storageState })).newPage();
  const bodies = new Map<string, Promise<Buffer>>();
  fresh.on("response", (response) => {
    const { pathname } = new URL(response.url());
    if (pathname.endsWith(".js")) bodies.set(pathname, response.body());
  });
  await fresh.goto("/landing");
  await fresh.getByRole("table").waitFor();
  await fresh.waitForLoadState("networkidle");
  const html = await (await fresh.request.get("/landing")).text();
  const scripts = await Promise.all([...bodies].map(async ([pathname, body]) => ({ pathname, body: await body })));
  const named = scripts.filter(({ pathname }) => html.includes(pathname));
  const sum = named.reduce((total, { body }) => total + gzipSync(body).byteLength, 0) / 1024;
  const charts = scripts.filter(({ body }) => body.includes("getZr")).length;
  expect(named.length).toBeGreaterThan(5);
  expect(sum).toBeGreaterThan(100);
  expect(sum).toBeLessThanOrEqual(FIRST_VIEW_KB);
  expect(charts).toBe(0);
  await fresh.context().close();
});
