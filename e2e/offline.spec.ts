// Without a network: after one visit everything opens, computes and is kept; saving waits, and another device sees it.
import { expect } from "@playwright/test";
import { answered, leftTo, openDemo, test, type } from "./demo";

test.use({ serviceWorkers: "allow" });

test("offline after one visit: reload, plan, save, come back, another device sees it", async ({
  page,
  context,
  browser,
}) => {
  test.slow();
  await openDemo(page);
  // Until the pages are kept.
  await expect
    .poll(
      () =>
        page.evaluate(async () =>
          (await (await caches.open("utrimax-pages")).keys()).map(({ url }) => new URL(url).pathname),
        ),
      { timeout: 40_000 },
    )
    .toContain("/today");
  const before = await leftTo(page, "Skerrow 11");

  // A test card that was looked at is there in the seat.
  await page.goto("/debrief?debrief=cards");
  await expect(page.getByText("The book is 8 % too good.")).toBeVisible();
  await page.goto("/landing");
  await answered(page);

  await context.setOffline(true);
  await page.reload();
  await answered(page);
  await expect(page.getByText("No network: all of it works, saving waits.")).toBeVisible();
  expect(await leftTo(page, "Skerrow 11")).toBe(before);
  await page.getByRole("button", { name: /^Mass / }).click();
  await type(page, "Mass", "900");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: /^Mass / })).toContainText("900 kg");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText(/away: your work is kept in this browser/)).toBeVisible();

  // The card is marked; its marks wait.
  await page.goto("/debrief?debrief=cards");
  await expect(page.getByText("The book is 8 % too good.")).toBeVisible();
  await page.getByRole("button", { name: "Mark", exact: true }).click();
  await page.keyboard.press("q");
  await page.keyboard.press("w");
  await expect(page.getByText(/^2 marks, 2 kept here until the server is reached/)).toBeVisible();

  // Another stage opens, and what waits to be saved still waits after another reload.
  await page.goto("/departure");
  await expect(page.getByRole("heading", { name: "From what height does turning back work today?" })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Mass / })).toContainText("900 kg");
  await page.getByRole("tab", { name: "Brief" }).click();
  const card = page.getByRole("button", { name: "Card (PDF)" });
  await expect(card).toBeEnabled({ timeout: 30_000 });
  const download = page.waitForEvent("download");
  await card.click();
  expect((await download).suggestedFilename()).toContain(".pdf");

  await context.setOffline(false);
  await expect(page.getByText("The server is back: your work is saved.")).toBeVisible({ timeout: 20_000 });
  const other = await browser.newContext({ storageState: await context.storageState(), serviceWorkers: "block" });
  const device = await other.newPage();
  await device.goto("/landing");
  await expect(device.getByRole("button", { name: /^Mass / })).toContainText("900 kg");
  // The marks go with the card’s next look, and are on the other device then.
  await page.goto("/debrief?debrief=cards");
  await page.getByRole("button", { name: "Mark", exact: true }).click();
  await expect(page.getByText(/^2 marks\. Times/)).toBeVisible({ timeout: 20_000 });
  await device.goto("/debrief?debrief=cards");
  await device.getByRole("button", { name: "Mark", exact: true }).click();
  await expect(device.getByText(/^2 marks\. Times/)).toBeVisible();
  await other.close();
});

test("what was kept of an account goes when it is left", async ({ page }) => {
  await openDemo(page);
  const kept = () => page.evaluate(async () => (await caches.keys()).filter((name) => name.startsWith("utrimax-")));
  await expect.poll(kept, { timeout: 40_000 }).toContain("utrimax-pages");
  expect(await page.evaluate(() => fetch("/api/session", { method: "DELETE" }).then((answer) => answer.ok))).toBe(true);
  await expect.poll(kept).toEqual([]);
});
