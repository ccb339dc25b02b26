import { type Page, expect } from "@playwright/test";
import { openDemo, test, type } from "./demo";
import { pdfText } from "./pdf-text";

const decision = (page: Page) => page.getByRole("region", { name: "Decision" });
const spineGate = (page: Page) =>
  page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Departure/ });

/** Opens the stage and waits for its scan. */
async function openDeparture(page: Page): Promise<void> {
  await openDemo(page);
  await page.keyboard.press("2");
  await expect(page.getByRole("heading", { name: "From what height does turning back work today?" })).toBeVisible();
  await expect(page.getByRole("list", { name: /^Options at/ })).toBeVisible();
}

/** Waits for the gate and returns it as the spine shows it: "1 000 ft". */
async function gate(page: Page): Promise<string> {
  await expect(spineGate(page)).toContainText(/gate \d/, { timeout: 40_000 });
  return /gate (.+ft)/.exec(await spineGate(page).innerText())?.[1] ?? "";
}

test("scrub the failure height, compare options, read the brief: by keyboard alone", async ({ page }) => {
  await openDeparture(page);
  await expect(decision(page)).toContainText("Turn left");
  const slider = page.getByRole("slider", { name: "Failure height" });
  await expect(slider).toHaveAttribute("aria-valuetext", /^700\sft$/);
  for (let i = 0; i < 4; i += 1) await page.keyboard.press("Shift+ArrowLeft");
  await expect(slider).toHaveAttribute("aria-valuetext", /^300\sft$/);
  await expect(decision(page)).toContainText("No turning back.");
  await page.keyboard.press("ArrowRight");
  await expect(slider).toHaveAttribute("aria-valuetext", /^310\sft$/);
  // The option ahead is drawn instead when it is chosen.
  const ahead = page.getByRole("button", { name: /^Ahead, within 30°/ });
  await ahead.focus();
  await page.keyboard.press("Enter");
  await expect(ahead).toHaveAttribute("aria-pressed", "true");
  await expect(decision(page)).toContainText("Ahead, within 30°: works.");
  await page.keyboard.press("Enter");
  await expect(decision(page)).toContainText("No turning back.");

  const shown = await gate(page);
  await page.getByRole("tab", { name: "At one height" }).focus();
  for (const tab of ["Options by height", "Chance", "Brief"]) {
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("tab", { name: tab })).toHaveAttribute("aria-selected", "true");
  }
  await expect(page.getByRole("region", { name: "Brief" })).toContainText(`until ${shown}`);
  await expect(page.getByRole("region", { name: "Brief" })).toContainText("turn back left, 45°");
});

test("the card holds the gate that is shown, and says what the brief says", async ({ page }, testInfo) => {
  await openDeparture(page);
  const shown = await gate(page);
  await page.getByRole("tab", { name: "Brief" }).click();
  const download = page.waitForEvent("download");
  await page.keyboard.press("p");
  const file = testInfo.outputPath("card.pdf");
  await (await download).saveAs(file);
  const text = await pdfText(file);
  const plain = (value: string) => value.replace(/\s+/g, " ");
  expect(text).toContain(`Gate ${plain(shown)}`);
  const sentences = await page.getByRole("region", { name: "Brief" }).getByRole("listitem").allInnerTexts();
  expect(sentences.length).toBeGreaterThan(4);
  for (const sentence of sentences) expect(text).toContain(plain(sentence));
  expect(text).toContain("The approved flight manual, local rules and a qualified instructor come first.");
});

test("with 25 kt down the runway stopping becomes the limit", async ({ page }) => {
  await openDeparture(page);
  await expect(decision(page)).toContainText("Turn left");
  await page.getByRole("button", { name: /^Wind / }).click();
  await type(page, "From, true", "318");
  await type(page, "Speed", "25");
  await page.keyboard.press("Escape");
  await expect(decision(page)).toContainText(/2\d\skt · \d\d\skt/);
  for (let i = 0; i < 3; i += 1) await page.keyboard.press("Shift+ArrowLeft");
  await expect(decision(page)).toContainText("It reaches the runway and cannot stop on it");
  await expect(page.getByRole("button", { name: /^Turn back left/ })).toContainText("too short to stop");
});

test("a reaction that ends in a stall is shown as a stall", async ({ page }) => {
  await openDeparture(page);
  await page.getByRole("button", { name: /^Mass / }).click();
  await type(page, "Mass", "800");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Departure plan" }).click();
  await page.getByRole("combobox", { name: "Reaction" }).selectOption("attitude");
  await page.keyboard.press("Escape");
  await expect(decision(page)).toContainText("It stalls.");
  await page.getByRole("tab", { name: "Options by height" }).click();
  await expect(page.getByText(/the reaction ends in a stall: push sooner/)).toBeVisible();
  // The way back.
  await page.keyboard.press("Control+z");
  await expect(decision(page)).not.toContainText("It stalls.");
});

test("the chance can be stopped and asked for again", async ({ page }) => {
  await openDeparture(page);
  await page.getByRole("tab", { name: "Chance" }).click();
  await page.getByRole("button", { name: "Stop", exact: true }).click();
  // The gate comes first: whether it was there before the hand was depends on the machine.
  await expect(
    page.getByText(/Stopped; (there is no chance for the present situation|the gate is known, the rest)/),
  ).toBeVisible();
  await page.getByRole("button", { name: "Compute the chance" }).click();
  await expect(page.getByText("1 000 turns at each of 11 heights")).toBeVisible({ timeout: 40_000 });
  await page.getByRole("button", { name: /^Table of Chance/ }).click();
  await expect(page.getByRole("region", { name: /table$/ }).getByRole("row")).toHaveCount(12);
});
