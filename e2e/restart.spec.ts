import { type Page, expect } from "@playwright/test";
import { flyAircraft, openDemo, test, type } from "./demo";

async function setAltitude(page: Page, feet: string): Promise<void> {
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", feet);
  await page.keyboard.press("Escape");
}

test("the flow at 4 000 ft: symptom first, run against the clock by keyboard, the commit height set", async ({
  page,
}) => {
  await openDemo(page);
  await setAltitude(page, "4000");
  await page.keyboard.press("5");
  await expect(page.getByRole("heading", { name: "Is there height for a restart?" })).toBeVisible();
  const check = page.getByRole("region", { name: "Cause check" });
  const decision = page.getByRole("region", { name: "Decision" });
  await expect(decision).toContainText("The whole flow fits");
  await expect(decision).toContainText(/what landing on .+ needs from here/);
  await page.getByRole("combobox", { name: "What was noticed" }).selectOption("fading");
  await expect(check.getByRole("row").nth(1)).toContainText("Carburettor");
  await check.getByRole("button", { name: "Run it against the clock" }).focus();
  await page.keyboard.press("Enter");
  for (let i = 0; i < 9; i += 1) {
    await expect(check.getByRole("button", { name: /^Done: / })).toBeFocused();
    await page.keyboard.press("Space");
  }
  await expect(check.getByRole("button", { name: "Flow done" })).toBeVisible();
  await expect(check.getByRole("timer")).toContainText("in time");

  await page.getByRole("button", { name: "Restart plan" }).click();
  await page.getByRole("checkbox", { name: "From the planned landing" }).uncheck();
  await type(page, "Checking ends at, above the sea", "3950");
  await page.keyboard.press("Escape");
  await expect(decision).toContainText("Fly and land.");
  await expect(page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Restart/ })).toContainText(
    "fly and land",
  );
  await check.getByRole("table").first().getByRole("button").first().click();
  await expect(page.getByRole("dialog")).toContainText("sink·t");
  await page.keyboard.press("Escape");
  // A commit height under the ground is refused with the reason.
  await page.getByRole("button", { name: "Restart plan" }).click();
  await type(page, "Checking ends at, above the sea", "-1000");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("alert").filter({ hasText: "at or below the ground" })).toBeVisible();
});

test("the jet from 14 000 ft: attempts of both kinds, the chance judged, and none when it is low", async ({ page }) => {
  await openDemo(page);
  await flyAircraft(page, "Cedar J2");
  await setAltitude(page, "14000");
  await page.keyboard.press("5");
  const attempts = page.getByRole("region", { name: "Attempts" });
  await expect(attempts).toContainText("With auxiliary power is the better plan.");
  const before = await attempts.getByRole("row", { name: /^with auxiliary power/ }).innerText();
  await page.getByRole("slider", { name: "One with auxiliary power" }).focus();
  await page.keyboard.press("Home");
  await expect(attempts.getByRole("row", { name: /^with auxiliary power/ })).not.toHaveText(before);
  await page.getByRole("button", { name: /^Table of Relight envelope/ }).click();
  await expect(page.getByRole("row", { name: /^windmill 1/ })).toBeVisible();
  await setAltitude(page, "2500");
  await expect(attempts).toContainText("No attempt fits: land.");
});

test("feathering out of order is told with its reason, and again in order", async ({ page }) => {
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await page.keyboard.press("5");
  await page.getByRole("tab", { name: "Feather, unfeather" }).click();
  const feather = page.getByRole("region", { name: "Feather", exact: true });
  for (const action of [
    "Throttle closed",
    "Propeller to feather",
    "Ignition off",
    "Mixture cut off",
    "Fuel off",
    "Propeller has stopped",
  ])
    await feather.getByRole("button", { name: action }).click();
  await expect(feather.getByRole("listitem").filter({ hasText: "Ignition off" })).toContainText(
    "propeller has stopped first",
  );
  await expect(feather.getByRole("status")).toHaveText("1 too early.");
  await feather.getByRole("button", { name: "Again" }).click();
  for (const action of [
    "Throttle closed",
    "Propeller to feather",
    "Mixture cut off",
    "Fuel off",
    "Propeller has stopped",
    "Ignition off",
  ])
    await feather.getByRole("button", { name: action }).click();
  await expect(feather.getByRole("status")).toContainText("In a sound order.");
  const back = page.getByRole("region", { name: "Unfeather and start again" });
  await back.getByRole("button", { name: "Starter", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(back.getByRole("listitem")).toContainText("propeller out of feather first");
});

test("a cause check of one's own is saved as an aircraft of one's own, and changed again in place", async ({
  page,
}) => {
  await openDemo(page);
  await page.goto("/restart");
  const shorten = async () => {
    await page.getByRole("button", { name: "Edit the check" }).click();
    await page
      .getByRole("dialog")
      .getByRole("button", { name: /^Remove / })
      .last()
      .click();
    await page.getByRole("button", { name: "Save the check" }).click();
  };
  await shorten();
  await expect(page.getByText("“Alder S1” is saved and current.")).toBeVisible();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await shorten();
  await expect(page.getByText("“Alder S1” is saved.", { exact: true })).toBeVisible();
  await expect(page.getByRole("alertdialog")).toHaveCount(0);
});
