import { type APIRequestContext, type Page, expect, test as base } from "@playwright/test";

/** A journey: on its page no script breaks down, and nothing is asked for that the page's policy forbids. */
export const test = base.extend({
  page: async ({ page }, journey) => {
    const broken: string[] = [];
    page.on("pageerror", (error) => broken.push(error.message));
    page.on("console", (message) => {
      if (message.text().includes("Content Security Policy")) broken.push(message.text());
    });
    await journey(page);
    expect(broken).toEqual([]);
  },
});

/** Opens the demo and waits for its first answer; its button is pressed in the journey of a first visit. */
export async function openDemo(page: Page): Promise<void> {
  expect((await page.request.post("/api/demo")).status()).toBe(201);
  await page.goto("/landing");
  await expect(page.getByRole("heading", { name: "Which runway can I make from here?" })).toBeVisible();
  await answered(page);
}

/** Makes an aircraft the situation's. */
export async function flyAircraft(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: /^Aircraft / }).click();
  const choice = page.getByRole("combobox", { name: "Aircraft" });
  await choice.selectOption({ label: name });
  await page.keyboard.press("Escape");
  // While the editor closes it may take a key for itself.
  await expect(choice).toBeHidden();
}

/** Waits until the ledger stands and the map is drawn. */
export async function answered(page: Page): Promise<void> {
  await expect(page.getByRole("row", { name: /Skerrow 11/ })).toBeVisible();
  await expect(page.locator("[role=application] canvas").first()).toBeVisible();
}

/** Height left to a landing end as the ranking shows it, ft. */
export async function leftTo(page: Page, name: string): Promise<number> {
  const text = await page
    .getByRole("row", { name: new RegExp(`^${name}`) })
    .getByRole("cell")
    .first()
    .innerText();
  const match = /([+−])([\d\u202f]+)/.exec(text);
  if (!match) throw new Error(`leftTo: expected a height, got ${text}`);
  return Number(match[2].replace(/\u202f/g, "")) * (match[1] === "−" ? -1 : 1);
}

/** Types into a number field of an editor that is open. */
export async function type(page: Page, label: string, value: string): Promise<void> {
  await page.getByRole("textbox", { name: label, exact: true }).first().fill(value);
}

/** Opens a new account by program and returns its name. */
export async function newAccount(request: APIRequestContext): Promise<string> {
  const email = `pilot-${Math.random().toString(36).slice(2)}@example.org`;
  const answer = await request.post("/api/accounts", { data: { email, password: "a long enough one" } });
  expect(answer.status()).toBe(201);
  // Asked once, and said: the demo world first.
  await request.put("/api/preferences", { data: { home: null } });
  return email;
}
