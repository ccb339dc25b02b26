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
  await other.close();
});

test("what was kept of an account goes when it is left", async ({ page }) => {
  await openDemo(page);
  const kept = () => page.evaluate(async () => (await caches.keys()).filter((name) => name.startsWith("utrimax-")));
  await expect.poll(kept, { timeout: 40_000 }).toContain("utrimax-pages");
  expect(await page.evaluate(() => fetch("/api/session", { method: "DELETE" }).then((answer) => answer.ok))).toBe(true);
  await expect.poll(kept).toEqual([]);
});
