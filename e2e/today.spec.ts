// Today: the brief of a day, from what is pasted to the card; seats and fuel; the weather of the stand-in.
import { expect } from "@playwright/test";
import { flyAircraft, openDemo, test, type } from "./demo";
import { pdfText } from "./pdf-text";

/** A report of now, as a station makes it. */
function reportOfNow(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, "0");
  const time = `${two(now.getUTCDate())}${two(now.getUTCHours())}${two(now.getUTCMinutes())}Z`;
  return `METAR TRSK ${time} 11012KT 9999 FEW030 18/09 Q1021`;
}

test("a report pasted by keyboard, the brief that follows, what if, and its card; a twin's too", async ({ page }) => {
  test.slow();
  await openDemo(page);
  await page.keyboard.press("0");
  await expect(page.getByRole("heading", { name: "What do I brief today?" })).toBeVisible();
  const brief = page.getByRole("region", { name: "Brief of the day" });
  await expect(brief.getByRole("region", { name: "Not of today" })).toContainText("Wind and air were typed");
  await page.getByRole("textbox", { name: "METAR" }).focus();
  await page.keyboard.insertText(reportOfNow());
  await page.keyboard.press("Enter");
  // The wind has turned round: so has the runway in use, and with it every line.
  await expect(brief.getByRole("region", { name: "If it stops" })).toContainText("Skerrow 11.");
  await expect(brief.getByRole("region", { name: "Day", exact: true })).toContainText(
    "wind 110/12, 18 °C, QNH 1021 hPa",
  );
  await expect(brief.getByText(/^Gate [\d\u202f]+\sft\./)).toBeVisible();
  await brief.getByRole("button", { name: /^The day is / }).click();
  await expect(brief.getByRole("region", { name: "Not of today" })).toContainText("The wind aloft was typed");
  await expect(brief.getByRole("region", { name: "Not of today" })).not.toContainText("Variation");

  // What if: heavier needs more height, more wind on the nose less; every line has its figure.
  const row = (name: string | RegExp) => page.getByRole("table", { name: "What if" }).getByRole("row", { name });
  await expect(page.getByRole("table", { name: "What if" })).not.toContainText("…");
  await expect(row(/^\+100 kg/)).toContainText(/ft\s\(\+\d+\)/);
  await expect(row(/^−100 kg/)).toContainText(/ft\s\(−\d+\)/);
  await expect(row(/^Skerrow 29/)).toBeVisible();

  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Card (PDF)" }).click();
  const words = await pdfText(await (await download).path());
  for (const part of ["Skerrow 11", "Gate", "turn back", "overhead", "Mayday", "+100 kg", "flight manual"])
    expect(words).toContain(part);

  await flyAircraft(page, "Larch T2");
  await expect(brief.getByText(/^Go from [\d\u202f]+\sft\./)).toBeVisible();
  await expect(brief.getByRole("region", { name: "If it stops" })).toContainText("identify, verify, feather");
  await expect(page.getByRole("table", { name: "What if" })).not.toContainText("…");
  await page.getByRole("tab", { name: "At arm’s length" }).click();
  await expect(brief.getByRole("region", { name: "Speeds" })).toContainText("on one engine");
  // A jet that this runway is too short for: that comes first, before how it climbs.
  await flyAircraft(page, "Cedar J2");
  await expect(brief.getByText("The runway is too short.")).toBeVisible();
  await expect(row(/^today/)).toContainText(/−\d+\sm/);
  // What is about wings is left out for a helicopter.
  await flyAircraft(page, "Hazel H2");
  await expect(page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Today/ })).toBeHidden();
});

test("seats and fuel make mass and balance; outside the limits nothing follows, and it is said why", async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press("1");
  await page.getByRole("tab", { name: "Seats and fuel" }).click();
  const board = page.getByRole("region", { name: "On board" });
  const chip = page.getByRole("button", { name: /^Mass / });
  await type(page, "Front seats", "80");
  await type(page, "Wing tanks", "60");
  await expect(chip).toContainText("827 kg");
  await expect(page.getByRole("row", { name: /^at take-off/ })).toContainText("827 kg");
  await type(page, "Rear seats", "220");
  await type(page, "Baggage", "54");
  await expect(board.getByRole("alert")).toContainText("behind its aft limit");
  await expect(board.getByRole("alert")).toContainText("less warning");
  await expect(chip).toContainText("outside limits");
  await page.locator("#stage").focus();
  await page.keyboard.press("0");
  await expect(page.locator("#stage").getByRole("alert")).toContainText("behind its aft limit");
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  await expect(chip).not.toContainText("outside limits");
  // The working is the sum, line by line.
  await page.keyboard.press("1");
  await page.getByRole("tab", { name: "Seats and fuel" }).click();
  await page
    .getByRole("row", { name: /^at take-off/ })
    .getByRole("button")
    .click();
  await expect(page.getByRole("dialog")).toContainText("Σ m_i·x_i / m");
});

test("the station is asked, and says so where it knows nothing", async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press("0");
  await page.getByRole("button", { name: "Station", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "METAR" })).toHaveValue(/^METAR TRSK \d{6}Z/);
  await expect(page.getByText("The wind aloft too.")).toBeVisible();
  const answer = await page.request.get("/api/weather?lat=47&lon=8");
  expect([answer.status(), (await answer.json()).issues[0].code]).toEqual([404, "no_station"]);
  expect((await page.request.get("/api/weather?lat=91&lon=8")).status()).toBe(422);
});
