import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { type Page, expect } from "@playwright/test";
import { answered, leftTo, openDemo, test, type } from "./demo";

test("saved, reloaded, copied, opened: the same figures", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", "3 100");
  await page.keyboard.press("Escape");
  const figures = () => page.getByRole("figure", { name: /Height ledger/ }).innerText();
  const ranking = () => page.getByRole("table").innerText();
  await expect(page.getByRole("button", { name: "Save", exact: true })).toBeEnabled();
  await page.keyboard.press("Control+s");
  await expect(page.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
  const [ledger, table] = [await figures(), await ranking()];
  await page.reload();
  await answered(page);
  expect(await figures()).toBe(ledger);
  expect(await ranking()).toBe(table);

  await page.keyboard.press("o");
  await page.getByRole("button", { name: "Copy", exact: true }).click();
  await expect(page.getByText("“Copy of Engine stopped near Skerrow” is open.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", "1 500");
  await page.keyboard.press("Escape");
  await page.keyboard.press("o");
  await page.getByRole("button", { name: /^Engine stopped near Skerrow/ }).click();
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("3\u202f100");
  // Deleted, and brought back.
  await page.keyboard.press("o");
  await page.getByRole("button", { name: "Delete Copy of Engine stopped near Skerrow" }).click();
  await expect(page.getByRole("button", { name: /^Copy of/ })).toBeHidden();
  await page.getByRole("dialog").getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: /^Copy of/ })).toBeVisible();
});

test("a situation goes out as a file and comes back the same; damaged ones are refused whole", async ({
  page,
}, testInfo) => {
  await openDemo(page);
  const before = await page.getByRole("table").innerText();
  await page.keyboard.press("o");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export JSON" }).click();
  const text = await readFile(await (await download).path(), "utf8");
  const give = (content: string) =>
    page
      .getByLabel("Situation file")
      .setInputFiles({ name: "situation.json", mimeType: "application/json", buffer: Buffer.from(content) });
  await give(JSON.stringify({ ...JSON.parse(text), version: 9 }));
  await expect(page.getByText("saved by a later Utrimax (version 9)", { exact: false })).toBeVisible();
  await give(text.slice(0, 200));
  await expect(page.getByText("This file is not JSON", { exact: false })).toBeVisible();
  await give(JSON.stringify({ ...JSON.parse(text), heading_rad: 12.65 }));
  await expect(page.getByText("A heading is 0° to 360°", { exact: false })).toBeVisible();
  const large = testInfo.outputPath("large.json");
  await writeFile(large, "x".repeat(50 * 1024 * 1024));
  await page.getByLabel("Situation file").setInputFiles(large);
  await expect(page.getByText("smaller than 1 MB", { exact: false })).toBeVisible();
  expect(await page.getByRole("dialog", { name: "Situations" }).getByRole("listitem").count()).toBe(1);
  await give(JSON.stringify({ ...JSON.parse(text), name: "Came back" }));
  await expect(page.getByText("“Came back” is imported and open.")).toBeVisible();
  await page.keyboard.press("Escape");
  await answered(page);
  expect(await page.getByRole("table").innerText()).toBe(before);
});

test("unsaved work outlives a reload", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", "2 900");
  await page.keyboard.press("Escape");
  await page.reload();
  await answered(page);
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("2\u202f900");
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("not saved");
});

test("a shared link brings its situation, as a change that can be undone", async ({ page }) => {
  await openDemo(page);
  await page.goto("/landing?alt_m=1000&mass_kg=900");
  await answered(page);
  await expect(page.getByRole("button", { name: /^Mass / })).toContainText("900");
  await expect(page).toHaveURL(/\/landing$/);
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: /^Mass / })).toContainText("1\u202f000");
  await page.goto("/landing?alt_m=1000000");
  await expect(page.getByText("The link is damaged and was not used", { exact: false })).toBeVisible();
});

test("many situations: the latest come with the page, more when asked for, one is found by its name", async ({
  page,
}) => {
  await openDemo(page);
  const [{ id }] = (await (await page.request.get("/api/situations")).json()).situations;
  const { document } = await (await page.request.get(`/api/situations/${id}`)).json();
  for (let i = 0; i < 45; i += 1)
    await page.request.post("/api/situations", { data: { ...document, name: `Number ${i}` } });
  await page.reload();
  await answered(page);
  await page.keyboard.press("o");
  const listed = page.getByRole("dialog").getByRole("button", { name: /^(Number|Engine stopped)/ });
  await expect(listed).toHaveCount(40);
  await page.getByRole("button", { name: "Show more" }).click();
  await expect(listed).toHaveCount(46);
  await page.getByLabel("Find by a part of the name").fill("ber 17");
  await expect(listed).toHaveCount(1);
  await listed.click();
  // The list has a button of that name too: it is open only when the list has gone.
  await expect(page.getByRole("dialog")).toBeHidden();
  await expect(page.getByRole("button", { name: /^Number 17/ })).toBeVisible();
  // It is the one that a reload comes back to.
  await page.reload();
  await answered(page);
  await expect(page.getByRole("button", { name: /^Number 17/ })).toBeVisible();
});

test("two tabs agree at once; what both have changed is decided by the user, and nothing is lost", async ({ page }) => {
  await openDemo(page);
  const other = await page.context().newPage();
  await other.goto("/landing");
  await answered(other);
  const massOf = (tab: Page) => tab.getByRole("button", { name: /^Mass / });
  const weigh = async (tab: Page, kg: string) => {
    await massOf(tab).click();
    await type(tab, "Mass", kg);
    await tab.keyboard.press("Escape");
  };
  const save = (tab: Page) => tab.keyboard.press("Control+s");
  const saved = (tab: Page) => expect(tab.getByRole("button", { name: "Saved", exact: true })).toBeVisible();

  // Nothing is unsaved in the other: it follows.
  await weigh(page, "950");
  await save(page);
  await saved(page);
  await expect(massOf(other)).toContainText("950");
  await saved(other);

  // Both change: the second is told what differs, and keeps both.
  await weigh(other, "900");
  await weigh(page, "1000");
  await save(page);
  await saved(page);
  await save(other);
  const choice = other.getByRole("alertdialog");
  await expect(choice.getByRole("row", { name: /^Mass/ })).toContainText("900");
  await expect(choice.getByRole("row", { name: /^Mass/ })).toContainText(/1.000/);
  await expect(choice.getByRole("row")).toHaveCount(2);
  await choice.getByRole("button", { name: "Decide later" }).click();
  await save(other);
  await choice.getByRole("button", { name: "Keep both" }).click();
  await expect(other.getByText("“Copy of Engine stopped near Skerrow” is open.")).toBeVisible();
  await expect(massOf(other)).toContainText("900");
  await other.keyboard.press("o");
  await other.getByRole("button", { name: /^Engine stopped near Skerrow/ }).click();
  await expect(massOf(other)).toContainText(/1.000/);

  // Again, and what is here is saved over the other.
  await weigh(other, "880");
  await weigh(page, "990");
  await save(page);
  await saved(page);
  await save(other);
  await choice.getByRole("button", { name: "Keep what is here" }).click();
  await saved(other);
  await expect(massOf(page)).toContainText("880");
});

test("the database stops while working: told, kept, saved when it is back @alone", async ({ page }) => {
  const folder = process.env.TEST_DATABASE_FOLDER ?? "";
  await openDemo(page);
  const pid = Number(await readFile(path.join(folder, "mysql", "utrimax.pid"), "utf8"));
  process.kill(pid, "SIGTERM");
  await expect.poll(async () => (await page.request.get("/api/health")).status(), { timeout: 20_000 }).toBe(503);

  // The stage goes on computing.
  const before = await leftTo(page, "Skerrow 11");
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", "2 700");
  await page.keyboard.press("Escape");
  await expect.poll(() => leftTo(page, "Skerrow 11")).toBeGreaterThanOrEqual(before + 400);
  await page.keyboard.press("Control+s");
  await expect(page.getByText("Database away: your work is kept in this browser", { exact: false })).toBeVisible();

  // A page asked for meanwhile says what is wrong instead of breaking.
  const other = await page.context().newPage();
  await other.goto("/landing");
  await expect(other.getByRole("heading", { name: "This page cannot be shown at present." })).toBeVisible();
  await other.close();

  // The runner starts it again after a while.
  await expect(page.getByText("The database is back: your work is saved.")).toBeVisible({ timeout: 45_000 });
  await page.reload();
  await answered(page);
  await expect(page.getByRole("button", { name: /^Place / })).toContainText("2\u202f700");
  await expect(page.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
});
