import { readFile } from "node:fs/promises";
import { type Page, expect } from "@playwright/test";
import { flyAircraft, openDemo, test, type } from "./demo";
import { pdfText } from "./pdf-text";

async function setAltitude(page: Page, feet: string): Promise<void> {
  await page.getByRole("button", { name: /^Place / }).click();
  await type(page, "Altitude above sea level", feet);
  await page.keyboard.press("Escape");
}

/** Goes on to a tab, one after the other: the next is pressed when this one has come. */
async function nextTabs(page: Page, ...names: string[]): Promise<void> {
  for (const name of names) {
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("tab", { name, exact: true })).toHaveAttribute("aria-selected", "true");
    await expect(page.getByRole("tab", { name, exact: true })).toBeFocused();
  }
}

async function press(page: Page, key: string, times: number): Promise<void> {
  for (let i = 0; i < times; i += 1) await page.keyboard.press(key);
}

/** Tabs on (or back) until what has the focus is called so. */
async function tabTo(page: Page, name: string, key = "Tab"): Promise<void> {
  for (let i = 0; i < 80; i += 1) {
    const here = await page.evaluate(
      () => document.activeElement?.getAttribute("aria-label") ?? document.activeElement?.textContent ?? "",
    );
    if (here.trim() === name) return;
    await page.keyboard.press(key);
  }
  throw new Error(`tabTo: expected to come to ${name}`);
}

test("the landing's views by keyboard alone: compare, fly the keys, set height to lose, run the ditching clock", async ({
  page,
}) => {
  await openDemo(page);
  await tabTo(page, "Paths", "Shift+Tab");
  await nextTabs(page, "Choose");
  await expect(page.getByRole("checkbox", { name: "Compare Skerrow 29" })).toBeVisible();
  for (const place of ["Skerrow 29", "Dunnet Field west"]) {
    await tabTo(page, `Compare ${place}`);
    await page.keyboard.press("Space");
  }
  await expect(page.getByRole("region", { name: "Comparison" })).toContainText("Dunnet Field west");
  await tabTo(page, "Choose", "Shift+Tab");
  await nextTabs(page, "Keys");
  await expect(page.getByRole("region", { name: "Key positions" })).toBeVisible();
  await expect(page.getByRole("slider", { name: "Flown to" })).toBeVisible();
  await tabTo(page, "Flown to");
  const before = await page.getByRole("slider", { name: "Flown to" }).getAttribute("aria-valuetext");
  await press(page, "ArrowRight", 20);
  await expect(page.getByRole("slider", { name: "Flown to" })).not.toHaveAttribute("aria-valuetext", before ?? "");
  await tabTo(page, "Keys", "Shift+Tab");
  await nextTabs(page, "Too high", "Touchdown", "Ditching");
  await tabTo(page, "Run the clock");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("timer")).toContainText("left");
});

test("the engine stops at 4 000 ft: flow run, no restart, a place pinned, keys flown, too high, height lost, call read, card printed", async ({
  page,
}) => {
  await openDemo(page);
  await setAltitude(page, "4000");
  await page.keyboard.press("5");
  const check = page.getByRole("region", { name: "Cause check" });
  await page.getByRole("combobox", { name: "What was noticed" }).selectOption("sudden");
  await check.getByRole("button", { name: "Run it against the clock" }).click();
  for (let i = 0; i < 9; i += 1) await check.getByRole("button", { name: /^Done: / }).click();
  await expect(check.getByRole("button", { name: "Flow done" })).toBeVisible();
  await expect(check.getByText("1 run is kept in this browser for the log.")).toBeVisible();

  // It does not start. A place: two compared, one pinned.
  await page.keyboard.press("6");
  await page.getByRole("tab", { name: "Choose" }).click();
  const places = page.getByRole("region", { name: "Places to land" });
  await expect(places.getByRole("row").nth(1)).toContainText("Skerrow");
  await places.getByRole("checkbox", { name: "Compare Skerrow 29" }).check();
  await places.getByRole("checkbox", { name: "Compare Dunnet Field west" }).check();
  const comparison = page.getByRole("region", { name: "Comparison" });
  await expect(comparison).toContainText("power line");
  await comparison.getByRole("button", { name: "Plan Skerrow 29" }).click();
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("Skerrow 29");
  await places
    .getByRole("row", { name: /^Skerrow 29/ })
    .getByRole("button", { name: /open the working/ })
    .nth(1)
    .click();
  await expect(page.getByRole("dialog")).toContainText("length needed");
  await page.keyboard.press("Escape");
  const needed = await places.getByRole("row", { name: /^Skerrow 29/ }).innerText();
  await places.getByRole("combobox", { name: "Length judged by" }).selectOption("own");
  await type(page, "Factor", "5");
  await expect(page.getByRole("alert").filter({ hasText: "1 to 3" })).toBeVisible();
  await type(page, "Factor", "2");
  await expect(places.getByRole("row", { name: /^Skerrow 29/ })).not.toHaveText(needed);

  // The keys flown by hand; 200 ft too high on downwind.
  await page.getByRole("tab", { name: "Keys" }).click();
  const keys = page.getByRole("region", { name: "Key positions" });
  await expect(keys.getByRole("row", { name: /^left/ })).toContainText("ft");
  await keys.getByRole("button", { name: "right", exact: true }).click();
  const flown = page.getByRole("slider", { name: "Flown to" });
  await flown.focus();
  await press(page, "ArrowRight", 40);
  await expect(flown).toHaveAttribute("aria-valuetext", /downwind|base/);
  await page.getByRole("slider", { name: "Height there" }).focus();
  await press(page, "ArrowLeft", 20);
  await expect(keys.getByRole("status")).toContainText("Too low by");
  await expect(keys.getByRole("status")).toContainText(/in hand over the aim point|short of the aim point/);
  await press(page, "ArrowRight", 40);
  await expect(keys.getByRole("status")).toContainText("Too high by 200 ft.");
  await keys.getByRole("button", { name: "Plan it" }).click();

  // Height lost; what is not allowed is not used; the ledger follows.
  const lose = page.getByRole("region", { name: "Height to lose" });
  const plan = lose.getByRole("list", { name: "The plan in order" });
  await expect(page.getByRole("textbox", { name: "Too much by" })).toHaveValue("200");
  await expect(plan).toContainText("Full slip");
  await expect(page.getByRole("figure", { name: /Height ledger/ })).toContainText("Full slip");
  await expect(page.getByRole("region", { name: "Decision" })).toContainText("are lost.");
  await lose.getByRole("checkbox", { name: "Full slip" }).uncheck();
  await expect(plan).not.toContainText("Full slip");
  await page.keyboard.press("Control+z");
  await expect(plan).toContainText("Full slip");

  await page.getByRole("tab", { name: "Touchdown" }).click();
  await expect(page.getByRole("region", { name: "Touchdown", exact: true })).toContainText("over the ground");
  await expect(page.getByRole("region", { name: "Secure before touchdown" })).toContainText("mixture cut off");

  await page.getByRole("tab", { name: "Call" }).click();
  const call = page.getByRole("list", { name: "The call, line by line" });
  await expect(call).toContainText("Mayday, Mayday, Mayday");
  await expect(call).toContainText("forced landing, Skerrow 29");
  await expect(call).toContainText("4 000 ft");
  await page.getByRole("combobox", { name: "Degree" }).selectOption("urgency");
  await expect(call).toContainText("Pan-pan");
  await type(page, "People on board", "3");
  await expect(call).toContainText("3 persons on board");

  const download = page.waitForEvent("download");
  await page.keyboard.press("Escape");
  await page.getByRole("heading", { name: "What do I say?" }).click();
  await page.keyboard.press("p");
  const text = await pdfText(await (await download).path());
  for (const part of ["Skerrow 29", "overhead", "Pan-pan", "By height over the ground", "instructor come first"])
    expect(text).toContain(part);
});

test("the jet ditches from FL140: heading by the swell, list by height against the clock, printed", async ({
  page,
}) => {
  await openDemo(page);
  // Water that somebody knows is named.
  const water = JSON.parse(await readFile("src/core/places/versions/2-water.json", "utf8")) as object;
  const added = await page.request.post("/api/places", {
    data: { places: [{ ...water, id: crypto.randomUUID(), name: "Sandhope Water", outline: null }] },
  });
  expect(added.status()).toBe(201);
  await page.reload();
  await flyAircraft(page, "Cedar J2");
  await setAltitude(page, "14000");
  await page.keyboard.press("6");
  await page.getByRole("tab", { name: "Ditching" }).click();
  const ditching = page.getByRole("region", { name: "Ditching" });
  await expect(ditching).toContainText("Heading 287° magnetic");
  await expect(ditching).toContainText("Along the swell");
  const heights = page.getByRole("region", { name: "By height" });
  await expect(heights.getByRole("row", { name: /12\s000 ft/ })).toContainText("Cabin told");
  // A second swell across: down it, along the first.
  await ditching.getByRole("button", { name: "Swell", exact: true }).click();
  await type(page, "Second, high", "4");
  await expect(ditching).toContainText("Two swells cross");
  await ditching.getByRole("group", { name: "Second swell" }).getByRole("textbox", { name: "period" }).fill("0");
  await expect(ditching.getByRole("alert")).toContainText("a period of 0 is no swell");
  await ditching.getByRole("button", { name: "Remove swell 2" }).click();
  await ditching.getByRole("button", { name: "Ship", exact: true }).click();
  await expect(ditching.getByRole("list", { name: "Shore, water and ships" })).toContainText("Ship 1");
  await expect(ditching.getByRole("list", { name: "Shore, water and ships" })).toContainText(
    /Sandhope Water: .*620\sm long, looked at 2026-03-04/,
  );
  await heights.getByRole("button", { name: "Run the clock" }).click();
  await expect(heights.getByRole("timer")).toContainText(/1[23]:\d\d left/);
  await heights.getByRole("button", { name: "Stop" }).click();
  const download = page.waitForEvent("download");
  await page.keyboard.press("p");
  const text = await pdfText(await (await download).path());
  for (const part of [
    "Ditching",
    "287° magnetic",
    "at once",
    "Cabin told",
    "Brace, brace",
    "Count heads",
    "ditching heading",
  ])
    expect(text).toContain(part);
});

test("one engine on the approach: power by part, the go-around's floor, none when it does not climb enough", async ({
  page,
}) => {
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await page.keyboard.press("6");
  await page.getByRole("tab", { name: "One engine" }).click();
  const view = page.getByRole("region", { name: "One engine on the approach" });
  await expect(view).toContainText(/Commit at 400\sft/);
  await expect(view.getByRole("row", { name: /^slope, landing flap/ })).toContainText("%");
  await view.getByRole("combobox", { name: "Gear on this approach" }).selectOption("usual");
  await expect(view).toContainText("At the usual place");
  await page.getByRole("button", { name: /^Air / }).click();
  await type(page, "Temperature at sea level", "45");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Mass / }).click();
  await type(page, "Mass", "1725");
  await page.keyboard.press("Escape");
  await expect(view).toContainText(/Commit at 400\sft/);
  // Whoever asks for more climb than it has is told not to go around.
  await view.getByRole("combobox", { name: "On one engine go, or go around, by" }).selectOption("climb");
  await type(page, "Least climb", "400");
  await expect(view).toContainText("No go-around is advised.");
});

test("minutes left: climb, level, shut down compared by area and time; the check of one's own saved with the aircraft", async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press("5");
  await page.getByRole("tab", { name: "Minutes left" }).click();
  const minutes = page.getByRole("region", { name: "Minutes left" });
  await expect(minutes.getByRole("row", { name: /Climb with it/ })).toContainText("NM");
  const before = await minutes.getByRole("row", { name: /Climb with it/ }).innerText();
  await type(page, "It runs for another", "10");
  await expect(minutes.getByRole("row", { name: /Climb with it/ })).not.toHaveText(before);
  await page.getByRole("combobox", { name: "School" }).selectOption("save");
  await expect(minutes).toContainText("Shut it down now.");
  await type(page, "It runs for another", "0");
  await expect(page.getByRole("alert").filter({ hasText: "has failed" })).toBeVisible();

  await page.getByRole("tab", { name: "Fix or land" }).click();
  await page.getByRole("button", { name: "Edit the check" }).click();
  const editor = page.getByRole("dialog");
  await editor.getByRole("textbox", { name: "Item 1" }).fill("Fuel cock");
  await editor.getByRole("button", { name: "Fuel cock later" }).click();
  await editor.getByRole("button", { name: "Save the check" }).click();
  await expect(editor).toBeHidden();
  await expect(page.getByRole("region", { name: "Cause check" }).getByRole("row").nth(2)).toContainText("Fuel cock");
});
