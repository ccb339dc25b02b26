import { readFile } from "node:fs/promises";
import { type Page, expect } from "@playwright/test";
import { answered, openDemo, test, type } from "./demo";

const PASSWORD = "a long enough one";

async function command(page: Page, name: string): Promise<void> {
  await page.keyboard.press("/");
  await page.getByPlaceholder("What would you like to do?").fill(name);
  await page.keyboard.press("Enter");
}

test("create an account, be told what is wrong, sign out, sign in again", async ({ page }) => {
  const email = `pilot-${Date.now()}@example.org`;
  await page.goto("/");
  await page.getByLabel("E-mail").fill("not an address");
  await page.getByLabel("Password").fill("short");
  await page.getByRole("button", { name: "Create account" }).click();
  await expect(page.getByText("An e-mail address is needed", { exact: false })).toBeVisible();
  await expect(page.getByText("A password has at least 10 characters.")).toBeVisible();
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Create account" }).click();
  await page.getByRole("button", { name: "Look at the demo world first" }).click();
  await answered(page);
  await expect(page.getByRole("button", { name: /^Tarn Reach: engine stopped/ })).toBeVisible();

  await command(page, "Account, export");
  await expect(page.getByText(`Signed in as ${email}.`)).toBeVisible();
  await page.getByRole("button", { name: "Sign out" }).click();
  await expect(page.getByRole("button", { name: "Open the demo" })).toBeVisible();
  await page.goto("/landing");
  await expect(page.getByRole("button", { name: "Open the demo" })).toBeVisible();

  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill("the wrong password");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByText("No account has this e-mail address and password.")).toBeVisible();
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign in" }).click();
  await answered(page);
});

test("password, address and sessions are changed, the account is deleted", async ({ page, browser, baseURL }) => {
  const email = `pilot-${Date.now()}@example.org`;
  const next = "kelp under the north pier";
  const enter = async (tab: Page, button: string, address: string, password: string) => {
    await tab.goto("/");
    await tab.getByLabel("E-mail").fill(address);
    await tab.getByLabel("Password").fill(password);
    await tab.getByRole("button", { name: button }).click();
  };
  await enter(page, "Create account", email, "password123456");
  await expect(page.getByText("This is among the commonest passwords", { exact: false })).toBeVisible();
  await enter(page, "Create account", email, PASSWORD);
  await page.getByRole("button", { name: "Look at the demo world first" }).click();
  await answered(page);
  const tablet = await (await browser.newContext({ baseURL })).newPage();
  await enter(tablet, "Sign in", email, PASSWORD);
  await answered(tablet);

  await command(page, "Account, export");
  const settings = page.getByRole("region", { name: "Account settings" });
  await settings.getByText("Where you are signed in").click();
  await expect(settings.getByRole("listitem").filter({ hasText: "this one" })).toHaveCount(1);
  await settings.getByRole("button", { name: /^Sign out Browser/ }).click();
  await expect(settings.getByRole("button", { name: /^Sign out Browser/ })).toHaveCount(0);
  await tablet.reload();
  await expect(tablet.getByRole("button", { name: "Open the demo" })).toBeVisible();

  await settings.getByText("Change the password", { exact: true }).first().click();
  await settings.getByLabel("Present password").fill("the wrong password");
  await settings.getByLabel("New password").fill(next);
  await settings.getByRole("button", { name: "Change the password" }).click();
  await expect(settings.getByText("This is not the present password.", { exact: false })).toBeVisible();
  await settings.getByLabel("Present password").fill(PASSWORD);
  await settings.getByRole("button", { name: "Change the password" }).click();
  await expect(page.getByText("The password is changed.", { exact: false })).toBeVisible();

  await settings.getByText("Change the e-mail address").click();
  await settings.getByLabel("New e-mail address").fill(`new-${email}`);
  await settings.getByLabel("Password", { exact: true }).first().fill(next);
  await settings.getByRole("button", { name: "Change the address" }).click();
  await expect(page.getByText(`From now on you sign in as new-${email}.`)).toBeVisible();
  await enter(tablet, "Sign in", `new-${email}`, next);
  await answered(tablet);

  await settings.getByText("Delete the account").click();
  await settings.getByLabel("Password", { exact: true }).last().fill(next);
  await settings.getByRole("button", { name: "Delete everything" }).click();
  await expect(page.getByRole("button", { name: "Open the demo" })).toBeVisible();
  // Nothing of it is left in this browser or on the server.
  expect(await page.evaluate(() => Object.keys(localStorage))).toEqual([]);
  await enter(page, "Sign in", `new-${email}`, next);
  await expect(page.getByText("No account has this e-mail address and password.")).toBeVisible();
  await tablet.context().close();
});

test("units chosen here follow the account to another browser", async ({ browser, baseURL }) => {
  const email = `pilot-${Date.now()}@example.org`;
  const first = await (await browser.newContext({ baseURL })).newPage();
  await first.goto("/");
  await first.getByLabel("E-mail").fill(email);
  await first.getByLabel("Password").fill(PASSWORD);
  await first.getByRole("button", { name: "Create account" }).click();
  await first.getByRole("button", { name: "Look at the demo world first" }).click();
  await answered(first);
  await first.keyboard.press("u");
  const told = first.waitForResponse((response) => response.url().endsWith("/api/preferences") && response.ok());
  await first.getByLabel("Mass").selectOption("lb");
  await told;
  const second = await (await browser.newContext({ baseURL })).newPage();
  await second.goto("/");
  await second.getByLabel("E-mail").fill(email);
  await second.getByLabel("Password").fill(PASSWORD);
  await second.getByRole("button", { name: "Sign in" }).click();
  await answered(second);
  await expect(second.getByRole("button", { name: /^Mass / })).toContainText("2\u202f205\u00a0lb");
  await first.context().close();
  await second.context().close();
});

test("everything goes out as one file and comes into another account, by the interface", async ({
  browser,
  baseURL,
}) => {
  const from = await (await browser.newContext({ baseURL })).newPage();
  await openDemo(from);
  await from.keyboard.press("o");
  await from.getByLabel("Name of the open situation").fill("Over the ridge");
  await from.keyboard.press("Escape");
  await from.keyboard.press("Control+s");
  await expect(from.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
  await command(from, "Account, export");
  const download = from.waitForEvent("download");
  await from.getByRole("link", { name: "Export everything" }).click();
  const text = await readFile(await (await download).path(), "utf8");
  expect(JSON.parse(text)).toMatchObject({
    schema: "utrimax/account",
    version: 8,
    situations: [{ document: { name: "Over the ridge" } }],
  });

  const into = await (await browser.newContext({ baseURL })).newPage();
  await openDemo(into);
  await command(into, "Account, export");
  const give = (content: string) =>
    into
      .getByLabel("Account file")
      .setInputFiles({ name: "account.json", mimeType: "application/json", buffer: Buffer.from(content) });
  await give(text.slice(0, 300));
  await expect(into.getByText("This file is not JSON: it is damaged", { exact: false })).toBeVisible();
  await give(text);
  await expect(into.getByText(/Imported: 0 aircraft, 0 places, 1 situations/)).toBeVisible();
  await into.keyboard.press("Escape");
  await into.keyboard.press("o");
  await expect(into.getByRole("button", { name: /^Over the ridge/ })).toBeVisible();
  await from.context().close();
  await into.context().close();
});

test("terrain of one's own is read, used for the check of the path, and removed", async ({ page }) => {
  await openDemo(page);
  const give = (content: string) =>
    page
      .getByLabel("Terrain file")
      .setInputFiles({ name: "plateau.asc", mimeType: "text/plain", buffer: Buffer.from(content) });
  await command(page, "Account, export");
  await give("ncols 40\nnrows 40\nxllcorner -131.3\nyllcorner -47.4\ncellsize 0.015\n1 2 3");
  await expect(page.getByText("it is cut off", { exact: false })).toBeVisible();
  // A plateau of 640 m under everything: the aircraft at 701 m is just above it.
  const rows = Array.from({ length: 40 }, () => new Array(40).fill(640).join(" ")).join("\n");
  await give(`ncols 40\nnrows 40\nxllcorner -131.3\nyllcorner -47.4\ncellsize 0.015\n${rows}\n`);
  await expect(page.getByText("The terrain is in use.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Skerrow 11", exact: true }).click();
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("ground is in the way");
  await command(page, "Account, export");
  await page.getByRole("button", { name: "Remove plateau" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByText("No terrain is chosen: paths are not checked against the ground.")).toBeVisible();
  await page.getByRole("button", { name: /^Place / }).click();
  await page.getByLabel("Terrain").selectOption({ label: "Tarn Reach" });
  await page.keyboard.press("Escape");
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("in hand after");
});

test("an aircraft put into a hill is said to be there", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", "50");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("alert").filter({ hasText: "under it" })).toBeVisible();
});

test("another aircraft brings its own instruments, mass and drag", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: /^Aircraft / }).click();
  await page.getByRole("combobox", { name: "Aircraft" }).selectOption({ label: "Thorn V12" });
  await page.getByLabel("radiator flaps open").check();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: /^Mass / })).toContainText("2\u202f750");
  // Its instruments read km/h: that comes first, the user's knots in brackets.
  await expect(page.getByRole("region", { name: "Decision" })).toContainText(/\d\skm\/h \(\d+\skt\)/);
  await page.getByRole("button", { name: "Export", exact: true }).click();
  await expect(page.getByRole("menuitem", { name: "Path as GPX" })).toBeVisible();
});

test("any figure of the ranking and the wind open their working, to be copied", async ({ page, context }) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await openDemo(page);
  for (const name of [/^head|^tail/, /^\d:\d\d/]) {
    await page.getByRole("table").getByRole("button", { name }).first().click();
    await expect(page.getByRole("dialog").getByRole("table")).toBeVisible();
    await page.keyboard.press("Escape");
  }
  await page.getByRole("button", { name: /^The wind/ }).click();
  await expect(page.getByRole("dialog")).toContainText("ground distance over height");
  await page.getByRole("button", { name: "Copy" }).click();
  await expect(page.getByText("The working is on the clipboard.")).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain("1 + AF");
});
