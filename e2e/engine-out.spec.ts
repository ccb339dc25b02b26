import { type Page, expect, test } from "@playwright/test";
import { openDemo } from "./demo";

async function openTwin(page: Page): Promise<void> {
  await openDemo(page);
  await page.getByRole("button", { name: /^Aircraft / }).click();
  await page.getByRole("combobox", { name: "Aircraft" }).selectOption({ label: "Larch T2" });
  await page.keyboard.press("Escape");
  await page.keyboard.press("4");
  await expect(page.getByRole("heading", { name: "Does it fly on one engine, and how?" })).toBeVisible();
}

test("a twin's climb ledger from everything out to feathered and clean, by keyboard", async ({ page }) => {
  await openTwin(page);
  const decision = page.getByRole("region", { name: "Decision" });
  const ledger = page.getByRole("figure", { name: "Climb ledger" });
  await expect(decision).toContainText("It will not climb.");
  for (const item of ["Propeller windmilling", "Gear down", "Wings level"]) await expect(ledger.getByRole("listitem").filter({ hasText: item })).toBeVisible();
  // In the order of the drill: gear up, feathered, bank.
  await page.getByRole("checkbox", { name: "Gear down" }).focus();
  await page.keyboard.press("Space");
  await expect(ledger.getByRole("listitem").filter({ hasText: "Gear down" })).toBeHidden();
  await page.getByRole("combobox", { name: "Its propeller" }).selectOption("feathered");
  await page.getByRole("combobox", { name: "Bank" }).selectOption("zero");
  await expect(decision).toContainText("It climbs.");
  await expect(ledger.getByRole("listitem")).toHaveCount(3);
  await ledger.getByRole("button", { name: /open the working/ }).last().focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toContainText("climb left");
  await page.keyboard.press("Escape");
});

test("control: what changes the minimum control speed, the rudder over its stop, and aircraft it is not about", async ({ page }) => {
  await openTwin(page);
  await page.getByRole("tab", { name: "Control" }).click();
  const factors = page.getByRole("region", { name: "What changes it" });
  await expect(factors.getByRole("row").first()).toContainText("5° of bank into the live engine");
  await expect(factors.getByRole("row", { name: /centre of gravity aft/ })).toContainText("0.0 kt");
  await page.getByRole("slider", { name: /^Speed/ }).focus();
  await page.keyboard.press("Home");
  await expect(page.getByText("The rudder would be beyond its limit")).toBeVisible();
  await page.getByRole("button", { name: /^Table of Minimum control speed/ }).click();
  await expect(page.getByRole("region", { name: /table$/ }).getByRole("row")).toHaveCount(22);

  await page.getByRole("button", { name: /^Aircraft / }).click();
  await page.getByRole("combobox", { name: "Aircraft" }).selectOption({ label: "Alder S1" });
  await page.keyboard.press("Escape");
  await expect(page.getByRole("alert").filter({ hasText: "Choose a twin or the jet" })).toBeVisible();
});
