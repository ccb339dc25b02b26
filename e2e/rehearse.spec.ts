// A drill alone: what is wrong is told and the step stays due; waiting costs height; then how it went.
import { expect } from "@playwright/test";
import { flyAircraft, openDemo, test } from "./demo";

test("a twin's drill alone, by key and panel: the wrong engine is told, confirmed by name, then how it went", async ({
  page,
}) => {
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await page.keyboard.press("7");
  await expect(page.getByRole("list", { name: "Steps of the drill" })).toContainText("Dead foot, dead engine: which?");
  await page.getByRole("button", { name: "Begin", exact: true }).press("Enter");
  const due = page.getByRole("region", { name: "Due now" });
  const log = page.getByRole("list", { name: "What was done" });
  const panel = page.getByRole("region", { name: "Panel" });
  await expect(due).toContainText("Heading, wings, ball");
  await page.keyboard.press("Space");
  // A lever that is not due, then what is: both.
  await panel.getByRole("button", { name: "right Throttle idle" }).click();
  await expect(log).toContainText("“Throttle of that engine, slowly” comes later.");
  for (const [control, position] of [
    ["Mixture", "rich"],
    ["Propeller", "fine"],
    ["Throttle", "full"],
  ])
    for (const side of ["left", "right"])
      await panel.getByRole("button", { name: `${side} ${control} ${position}` }).click();
  await page.keyboard.press("Space");
  await expect(due).toContainText("Throttle of that engine, slowly");
  await page.keyboard.press("l");
  await expect(log).toContainText("The wrong engine.");
  await page.keyboard.press("r");
  await panel.getByRole("button", { name: "right Throttle idle" }).click();
  await expect(due).toContainText("Did anything change?");
  await page.keyboard.press("2");
  // The stage keys are off: 2 was an answer. Esc pauses, and nothing can be pressed then.
  await expect(due).toContainText("Stop: power back up");
  await page.keyboard.press("Escape");
  await expect(page.getByText("Paused.")).toBeVisible();
  await expect(due.getByRole("button", { name: /identified anew/ })).toBeDisabled();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Space");
  const aside = page.getByRole("complementary", { name: "Decision" });
  await expect(aside).toContainText(/2 wrong/);
  await expect(aside).toContainText(/gained|took|No height/);
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "Log as CSV" }).click();
  expect((await file).suggestedFilename()).toBe("drill-engine-failure-in-cruise-piston-twin.csv");
  // Over, the stage keys work again.
  await page.keyboard.press("2");
  await expect(page).toHaveURL(/departure/);
});
