import { readFile } from "node:fs/promises";
import { type Page, expect } from "@playwright/test";
import { newAccount, openDemo, test, type } from "./demo";

const PASSWORD = "a long enough one";

async function signedIn(page: Page): Promise<void> {
  const email = await newAccount(page.request);
  await page.context().clearCookies();
  await page.goto("/");
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("row", { name: /Skerrow 11/ })).toBeVisible();
}

test("a new account is asked where it flies from, and has its first answer there, by keyboard alone", async ({
  page,
}) => {
  test.slow();
  await page.goto("/");
  await page.getByLabel("E-mail").fill(`pilot-${Date.now()}@example.org`);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Create account" }).press("Enter");
  const dialog = page.getByRole("dialog", { name: "Where do you fly from?" });
  await expect(dialog).toBeVisible();
  await type(page, "Name", "Eichfeld");
  // What is wrong is told beside the field, and nothing is stored.
  const position = page.getByRole("textbox", { name: /^Position of the middle/ });
  await position.fill("147°30.5'N 8°15.2'E");
  await expect(dialog.getByRole("alert")).toContainText("A latitude is −90 to 90°");
  await position.fill("47°30.5'N 8°15.2'E");
  await type(page, "Elevation", "1410");
  await type(page, "Runway direction, magnetic", "90");
  await dialog.getByRole("button", { name: "Fly from here" }).press("Enter");
  await expect(dialog.getByRole("alert")).toContainText("One runway is needed");
  await type(page, "Its length", "800");
  await page.keyboard.press("Enter");

  await expect(page.getByRole("row", { name: /Eichfeld 09/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /Eichfeld 27/ })).toBeVisible();
  // The day's brief is as near: a report, the brief, its card.
  await page.locator("#stage").focus();
  await page.keyboard.press("0");
  await page.getByRole("textbox", { name: "METAR" }).focus();
  await page.keyboard.insertText("METAR TEIC 241150Z 26010KT 9999 FEW040 14/08 Q1018");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("region", { name: "If it stops" })).toContainText("Eichfeld 27.");
  const card = page.waitForEvent("download");
  await page.getByRole("button", { name: "Card (PDF)" }).press("Enter");
  expect((await card).suggestedFilename()).toMatch(/^today-eichfeld/i);
  await page.locator("#stage").focus();
  await page.keyboard.press("6");
  await expect(page.getByRole("row", { name: /Eichfeld 09/ })).toBeVisible();
  // The demo world is not mixed in, and is one key away.
  await expect(page.getByRole("row", { name: /Skerrow/ })).toHaveCount(0);
  await page.keyboard.press("o");
  await page
    .getByRole("button", { name: /^Tarn Reach: engine stopped/ })
    .last()
    .click();
  await expect(page.getByRole("row", { name: /Skerrow 11/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /Eichfeld/ })).toHaveCount(0);
  // And home is another.
  await page.keyboard.press("h");
  await page.getByRole("button", { name: "Stand there" }).press("Enter");
  await expect(page.getByRole("row", { name: /Eichfeld 09/ })).toBeVisible();
});

test("places come from a table with its faults told, are changed, taken back, and go out again", async ({ page }) => {
  await signedIn(page);
  await page.keyboard.press("9");
  await expect(page.getByText("No places of your own yet.", { exact: false })).toBeVisible();
  const rows = Array.from({ length: 500 }, (_, i) =>
    i % 25 === 7
      ? `Strip ${i};95,0;8,0;1500;09/27;800`
      : `Strip ${i};${String(40 + i / 100).replace(".", ",")};8,0;1500;09/27;800`,
  );
  await page.getByLabel("File of places").setInputFiles({
    name: "fields.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(`Name;Lat;Lon;Elev (ft);RWY;Length (m)\n${rows.join("\n")}\n`),
  });
  const preview = page.getByRole("dialog", { name: "What this file would bring" });
  await expect(preview.getByRole("status")).toContainText("480 new");
  await expect(preview.getByRole("status")).toContainText("20 lines with faults are left out");
  await expect(preview.getByRole("row", { name: /^9 A latitude is/ })).toBeVisible();
  await preview.getByRole("button", { name: "Take 480 places" }).click();
  await expect(page.getByText("480 of your own").first()).toBeVisible();

  // One of them is mended: its length, and what stands in the approach.
  await page.getByRole("textbox", { name: "Search" }).fill("Strip 200");
  await page.getByRole("button", { name: "Strip 200" }).click();
  const place = page.getByRole("complementary", { name: "The place" });
  await place.getByRole("textbox", { name: "Length between the ends" }).fill("640");
  await expect(page.getByRole("row", { name: /Strip 200/ })).toContainText("640");
  await place.getByRole("textbox", { name: "Length between the ends" }).fill("900");
  await place.getByRole("textbox", { name: "Threshold displaced by" }).first().fill("900");
  await expect(place.getByRole("alert")).toContainText("The displaced thresholds cross each other.");
  await expect(page.getByRole("row", { name: /Strip 200/ })).toContainText("not stored");
  await place.getByRole("textbox", { name: "Threshold displaced by" }).first().fill("50");
  await expect(page.getByRole("row", { name: /Strip 200/ })).toContainText("stored");

  // Deleted, and taken back.
  await place.getByRole("button", { name: "Delete Strip 200" }).click();
  await expect(page.getByRole("row", { name: /Strip 200/ })).toHaveCount(0);
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("row", { name: /Strip 200/ })).toContainText("900");

  // Another browser has all of it, as it was left.
  await expect
    .poll(async () => {
      const answer = await page.request.get("/api/places");
      const { places } = (await answer.json()) as { places: { document: { name: string; runways: object[] } }[] };
      const isMended = ({ document }: (typeof places)[number]) =>
        document.name === "Strip 200" && JSON.stringify(document).includes('"displaced_m":50');
      return [places.length, places.some(isMended)];
    })
    .toEqual([498, true]);

  await page.getByRole("button", { name: "Export" }).click();
  const file = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: "As a set to share" }).click();
  const text = await readFile(await (await file).path(), "utf8");
  expect((JSON.parse(text) as { features: object[] }).features).toHaveLength(480);

  // To somebody else it comes as a set, and again as nothing new.
  await signedIn(page);
  await page.keyboard.press("9");
  const again = { name: "set.geojson", mimeType: "application/geo+json", buffer: Buffer.from(text) };
  await page.getByLabel("File of places").setInputFiles(again);
  await page.getByRole("button", { name: "Take 480 places" }).click();
  await expect(page.getByText("480 of your own").first()).toBeVisible();
  await page.getByLabel("File of places").setInputFiles(again);
  await expect(page.getByRole("dialog").getByRole("status")).toContainText("0 new, 0 changed");
  await page.getByRole("button", { name: "Take nothing" }).click();
  await page.getByLabel("File of places").setInputFiles({ ...again, buffer: Buffer.from(text.slice(0, 5000)) });
  await expect(page.getByText("This file is damaged", { exact: false })).toBeVisible();
});

test("a runway is drawn with two clicks, an end is dragged, and the drag is one step to take back", async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press("9");
  await expect(page.getByRole("heading", { name: "No place is selected" })).toBeVisible();
  const map = page.getByRole("application");
  await expect(map.locator("canvas").first()).toBeVisible();
  const box = await map.boundingBox();
  if (!box) throw new Error("a map");
  const at = (x: number, y: number) => [box.x + x, box.y + y] as const;
  await page.getByRole("button", { name: "Runway", exact: true }).click();
  await page.mouse.click(...at(300, 200));
  await page.mouse.move(...at(340, 200));
  await page.mouse.click(...at(345, 200));
  const place = page.getByRole("complementary", { name: "The place" });
  await expect(place.getByRole("textbox", { name: "Name" })).toHaveValue("Aerodrome");
  const length = place.getByRole("textbox", { name: "Length between the ends" });
  const drawn = Number((await length.inputValue()).replace(/\D/g, ""));
  expect(drawn).toBeGreaterThan(400);
  await page.mouse.move(...at(345, 200));
  await page.mouse.down();
  await page.mouse.move(...at(360, 210), { steps: 4 });
  await page.mouse.move(...at(380, 200), { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number((await length.inputValue()).replace(/\D/g, ""))).toBeGreaterThan(drawn + 300);
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect.poll(async () => Number((await length.inputValue()).replace(/\D/g, ""))).toBe(drawn);
});

test("a background of one's own lies on the map where it belongs, and nothing is fetched without one", async ({
  page,
}) => {
  const tiles: string[] = [];
  page.on("request", (request) => {
    if (request.url().includes("/tiles/")) tiles.push(new URL(request.url()).pathname);
  });
  await openDemo(page);
  const background = async () => {
    await page.keyboard.press("/");
    await page.getByRole("combobox", { name: "Commands" }).fill("Background");
    await page.keyboard.press("Enter");
    return page.getByRole("dialog", { name: "Background of the maps" });
  };
  let dialog = await background();
  const address = dialog.getByRole("textbox", { name: /^Address/ });
  await address.fill("https://tiles.example/{z}/{x}");
  await expect(dialog.getByRole("alert")).toContainText("{z}, {x} and {y} once each");
  // The page may load nothing from there, whoever asks.
  await address.fill("https://tiles.example/{z}/{x}/{y}.png");
  await dialog.getByRole("button", { name: "Use it" }).click();
  await expect(dialog.getByRole("alert")).toContainText("not from https://tiles.example");
  expect(tiles).toEqual([]);
  const origin = /come from (http:\S+)\./.exec(await dialog.innerText())?.[1] ?? "";
  await address.fill(`${origin}/tiles/{z}/{x}/{y}.png`);
  await dialog.getByRole("textbox", { name: /^Whose map/ }).fill("Stand-in survey");
  await dialog.getByRole("button", { name: "Use it" }).press("Enter");
  await expect(page.getByText("Stand-in survey")).toBeVisible();
  // Of the tiles of the web's grid, those about Skerrow: their column and row follow from its longitude and latitude.
  await expect.poll(() => tiles.length).toBeGreaterThan(0);
  for (const tile of tiles) {
    const [level, column, row] = tile.match(/\d+/g)?.map(Number) ?? [];
    const share = 2 ** level;
    expect(Math.abs((column + 0.5) / share - (180 - 130.94) / 360)).toBeLessThan(0.6 / share + 0.002);
    const mercator = Math.asinh(Math.tan((-47.13 * Math.PI) / 180)) / Math.PI;
    expect(Math.abs((row + 0.5) / share - (1 - mercator) / 2)).toBeLessThan(0.6 / share + 0.002);
  }
  // It is the account's: it is there after another visit, on the maps of other stages too, and goes when it is not
  // wanted.
  await page.reload();
  await expect(page.getByText("Stand-in survey")).toBeVisible();
  await page.keyboard.press("9");
  await expect(page.getByText("Stand-in survey")).toBeVisible();
  dialog = await background();
  await dialog.getByRole("button", { name: "No background" }).click();
  await expect(page.getByText("Stand-in survey")).toHaveCount(0);
});
