import { type Page, expect } from "@playwright/test";
import { flyAircraft, openDemo, test, type } from "./demo";
import { pdfText } from "./pdf-text";

async function openTakeOff(page: Page, name: string): Promise<void> {
  await openDemo(page);
  await flyAircraft(page, name);
  await page.keyboard.press("2");
  await expect(page.getByRole("heading", { name: "An engine stops: stop, land, or go?" })).toBeVisible();
  await expect(page.getByRole("region", { name: "By phase" })).toBeVisible();
}

test("a twin's departure: phases by keyboard, an obstacle, the brief and its card", async ({ page }, testInfo) => {
  await openTakeOff(page, "Larch T2");
  const phases = page.getByRole("region", { name: "By phase" });
  await expect(phases.getByRole("row").nth(1)).toContainText("Before rotation");
  await expect(phases.getByRole("row", { name: /looked at/ })).toContainText("Before rotation");
  await page.getByRole("slider", { name: "Engine stops" }).focus();
  await page.keyboard.press("End");
  await expect(phases.getByRole("row", { name: /looked at/ })).toContainText("Heading, power, gear, feather");
  await expect(page.getByRole("figure", { name: /^Runway Skerrow 29/ })).toContainText("V_MCA 5° + 5 kt");

  // A ridge on the way out that one engine does not get over.
  await page.getByRole("button", { name: "Departure plan" }).click();
  await page.getByRole("button", { name: "Add an obstacle" }).click();
  await type(page, "Height", "1500");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("region", { name: "Obstacles" })).toContainText(/mast.*under its top/);
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("It does not clear what is ahead.");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("Go from 400");

  await page.getByRole("tab", { name: "Brief" }).click();
  const sentences = await page.getByRole("region", { name: "Brief" }).getByRole("listitem").allInnerTexts();
  expect(sentences.length).toBeGreaterThanOrEqual(4);
  const download = page.waitForEvent("download");
  await page.keyboard.press("p");
  const file = testInfo.outputPath("card.pdf");
  await (await download).saveAs(file);
  const text = await pdfText(file);
  for (const sentence of sentences) expect(text).toContain(sentence.replace(/\s+/g, " "));
});

test("the jet's mass limit on a hot day, and a runway that is too short for it", async ({ page }) => {
  await openTakeOff(page, "Cedar J2");
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("The runway is too short.");
  await page.getByRole("button", { name: "Departure plan" }).click();
  await page.getByRole("combobox", { name: "Runway" }).selectOption({ label: "Cape Orrin 26" });
  await page.keyboard.press("Escape");
  await expect(page.getByRole("region", { name: "Decision" })).not.toContainText("too short");
  await page.getByRole("tab", { name: "Segments and mass" }).click();
  const view = page.getByRole("region", { name: "Segments and mass" });
  await expect(view).toContainText("It meets every gradient.");
  await expect(view.getByRole("row", { name: /^Second/ })).toContainText("2.4 %");
  await page.getByRole("button", { name: /^Mass / }).click();
  await type(page, "Mass", "46000");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Air / }).click();
  await type(page, "Temperature at sea level", "50");
  await page.keyboard.press("Escape");
  await expect(view.getByRole("alert")).toContainText(/Too heavy by/);
  await expect(view).toContainText("the second segment binds");
  await view.getByRole("button", { name: /kg/ }).click();
  await expect(page.getByRole("dialog")).toContainText("the second segment binds");
});
