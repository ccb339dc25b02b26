import { type Page, expect } from "@playwright/test";
import { flyAircraft, openDemo, test, type } from "./demo";

const decision = (page: Page) => page.getByRole("region", { name: "Decision" });

test("a person on the hoist: held for long enough, then not; the price of flying away; the clock runs out", async ({
  page,
}) => {
  await page.clock.install();
  await openDemo(page);
  await flyAircraft(page, "Hazel H2");
  await page.keyboard.press("4");
  await expect(decision(page)).toContainText("Hold it for the 20 s that are needed.");
  await expect(
    page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Engine out/ }),
  ).toContainText(/30 s · \d+\skW/);
  await expect(page.getByRole("region", { name: "Then fly away" })).toContainText(/Lost, on 2 min/);
  // Twenty-six seconds leave nothing to fly away with.
  const needed = page.getByRole("slider", { name: "Until they are inside" });
  await needed.focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(decision(page)).toContainText("It cannot be held for 30 s.");
  await expect(decision(page)).toContainText(/lighter, it could/);
  // In calm air at full mass no rating holds it.
  await page.getByRole("slider", { name: "Wind" }).focus();
  await page.keyboard.press("Home");
  await page.getByRole("slider", { name: "Mass" }).focus();
  await page.keyboard.press("End");
  await expect(decision(page)).toContainText("Fly away: no rating holds this hover.");
  await page.getByRole("button", { name: "Situation again" }).click();
  await expect(decision(page)).toContainText("It cannot be held for 30 s.");
  const required = page.getByRole("region", { name: "Hoist" }).getByRole("button", { name: /open the working/ });
  await required.press("Enter");
  await expect(page.getByRole("dialog")).toContainText("induced power");
  await page.keyboard.press("Escape");

  await page.getByRole("tab", { name: "Ratings’ clock" }).click();
  const clock = page.getByRole("region", { name: "Ratings’ clock" });
  await clock.getByRole("button", { name: "Fail one engine" }).press("Enter");
  await page.clock.runFor(12_000);
  await expect(clock.getByRole("region", { name: "30 s" })).toContainText(/\d+ s left · 2 more uses/);
  await page.clock.runFor(25_000);
  await expect(clock.getByText(/30 s: \d+ s too long/)).toBeVisible();
  await expect(clock.getByText(/looked at as the manual says/)).toBeVisible();
  // Overriding the limiter names its price; training does not start below the instructor's height.
  await clock.getByRole("combobox", { name: "Limiter holds it to" }).selectOption("");
  await expect(clock.getByText(/may have to be taken out/)).toBeVisible();
  await clock.getByRole("button", { name: "Begin anew" }).click();
  await clock.getByRole("checkbox", { name: /Training/ }).check();
  await type(page, "Instructor’s least height", "9000");
  await expect(clock.getByText(/Training starts from/)).toBeVisible();
  await expect(clock.getByRole("button", { name: "Show one engine failed" })).toBeDisabled();
  await type(page, "Instructor’s least height", "500");
  await clock.getByRole("button", { name: "Show one engine failed" }).click();
  await expect(clock.getByText("Real: both engines run")).toBeVisible();
  await clock.getByRole("button", { name: /leave training/ }).click();
  await expect(clock.getByRole("checkbox", { name: /Training/ })).not.toBeChecked();
});

test("a helicopter's heights to decide at, its seconds for the cause, and the way down", async ({ page }) => {
  await openDemo(page);
  await flyAircraft(page, "Hazel H2");
  await page.keyboard.press("2");
  await expect(decision(page)).toContainText(/Sketch: Decide at \d+\sft/);
  const heights = page.getByRole("region", { name: "Hover heights, a sketch" });
  await expect(heights.getByRole("row")).toHaveCount(8);
  // Heavy, in calm air, for as long as one likes: between two heights neither way is safe.
  await page.getByRole("combobox", { name: "On the rating" }).selectOption("3");
  await page.getByRole("slider", { name: "Wind" }).focus();
  await page.keyboard.press("Home");
  await page.getByRole("slider", { name: "Mass" }).focus();
  await page.keyboard.press("End");
  await expect(decision(page)).toContainText(/neither way is safe/);
  // Its flight is held against the places with room, as an aeroplane's is; one engine of two stands beside it.
  await page.keyboard.press("3");
  await expect(page.getByRole("tab", { name: "Cover" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Decision" }).first()).toContainText(/no place in reach|in hand/);
  await page.getByRole("tab", { name: "One engine" }).press("Enter");
  await expect(decision(page)).toContainText("It holds this altitude on one engine.");
  await page.keyboard.press("5");
  await expect(decision(page)).toContainText(/Collective down, then 5 of 5 items fit/);
  await page.keyboard.press("6");
  await expect(decision(page)).toContainText(/^No place in reach will do\. Least bad: /);
  // Higher there is one, with its keys down to the ground.
  await page.getByRole("application").focus();
  for (let i = 0; i < 15; i += 1) await page.keyboard.press("PageUp");
  await expect(decision(page)).toContainText(/^Skerrow 11, right turn now\. [\d\s]+\sft in hand/);
  await expect(page.getByRole("table", { name: "Keys" }).getByRole("row", { name: /^flare/ })).toContainText("66 kt");
  const places = page.getByRole("table", { name: /^Places in the order/ });
  await places.getByRole("button", { name: "Mill Meadow north-east" }).press("Enter");
  await expect(decision(page)).toContainText("Mill Meadow north-east: too much wind behind.");
  await places
    .getByRole("button", { name: /^What is left|\+740/ })
    .first()
    .press("Enter");
  await expect(page.getByRole("dialog")).toContainText("energy balance of the autorotating rotor");
  await page.keyboard.press("Escape");
  await page.getByRole("tab", { name: "Autorotation" }).press("Enter");
  await expect(decision(page)).toContainText(/Collective down, \d+\skt, into the wind/);
  await page.getByRole("slider", { name: "Above the place" }).focus();
  await page.keyboard.press("Home");
  await expect(decision(page)).toContainText("Too low for a steady autorotation.");
});

test("a gyroplane stopped at 1,300 ft: the spot by going straight down, speed back in time; S-turns; out of reach", async ({
  page,
}) => {
  await openDemo(page);
  await flyAircraft(page, "Osier G1");
  await page.keyboard.press("6");
  await expect(page.getByRole("table", { name: /^Places in the order/ })).toBeVisible();
  await page.getByRole("tab", { name: "To a spot" }).press("Enter");
  const height = page.getByRole("slider", { name: "Above the spot" });
  await height.focus();
  await page.keyboard.press("Home");
  // 30 m and 24 steps of 15 m: 390 m, 1,280 ft.
  for (let i = 0; i < 24; i += 1) await page.keyboard.press("ArrowRight");
  await expect(decision(page)).toContainText("Straight down, then push.");
  await expect(decision(page)).toContainText(/Push at [\d\s]+\sft, no lower/);
  const ways = page.getByRole("table", { name: "Ways to the spot" });
  await expect(ways.getByRole("row", { name: /^straight in/ })).toContainText("overshoots");
  await expect(page.getByRole("figure", { name: /Height ledger to straight down/ })).toContainText("Push for speed");
  // Farther on, an S-turn does it.
  await page.getByRole("slider", { name: "Spot ahead" }).focus();
  for (let i = 0; i < 15; i += 1) await page.keyboard.press("ArrowRight");
  await expect(ways.getByRole("row", { name: /S-turn/ })).toContainText(/works/);
  await ways.getByRole("button", { name: /S-turn/ }).press("Enter");
  await expect(page.getByRole("figure", { name: /Height ledger to \d S-turn/ })).toBeVisible();
  await page.getByRole("slider", { name: "Spot ahead" }).press("End");
  await expect(decision(page)).toContainText("The spot is not in reach.");
  await page.keyboard.press("4");
  await expect(decision(page)).toContainText("Get 30 to 40 kt first, then turn.");
  await page.keyboard.press("2");
  await expect(decision(page)).toContainText(/neither ahead nor back works/);
  await page.getByRole("slider", { name: "Clear ahead" }).press("End");
  await expect(decision(page)).toContainText("Sketch: Nose down, and land ahead.");
});

test("a helicopter and a gyroplane typed in from their books, fitted, the tab bent by the string", async ({ page }) => {
  test.slow();
  await openDemo(page);
  await page.keyboard.press("1");
  await page.getByRole("button", { name: "New" }).click();
  await page.getByRole("combobox", { name: "Kind" }).selectOption("helicopter");
  await type(page, "Name", "Sorrel");
  for (const [label, value] of [
    ["Maximum mass", "2900"],
    ["Minimum mass", "1700"],
    ["Usual mass", "2600"],
    ["Mass of these figures", "2700"],
    ["Speed of least sink", "66"],
    ["Least sink", "1950"],
    ["Speed of best range", "100"],
    ["Ratio at best range", "4.4"],
  ])
    await type(page, label, value);
  await page.getByRole("checkbox", { name: "The manual has one" }).check();
  await type(page, "Hovers with", "2750");
  await page.getByRole("button", { name: "Use this fit" }).click();
  const residuals = page.getByRole("table", { name: "The book beside the model" });
  await expect(residuals.getByRole("row", { name: /hovers on one engine/ })).toContainText("+0.0 %");
  await expect(residuals.getByRole("row", { name: /sink at the book/ })).toContainText("+0.0 %");
  // A rating of no time is refused where it is typed.
  await page.getByRole("textbox", { name: "Lasts", exact: true }).first().fill("0");
  await expect(page.getByText("A rating lasts 1 s at least")).toBeVisible();
  await page.getByRole("tab", { name: "Autorotation" }).click();
  await expect(page.getByText(/Least sink/).first()).toBeVisible();

  await page.getByRole("tab", { name: "Handbook and fit" }).click();
  await page.getByRole("combobox", { name: "Kind" }).selectOption("gyroplane");
  for (const [label, value] of [
    ["Maximum mass", "450"],
    ["Minimum mass", "300"],
    ["Usual mass", "400"],
    ["Mass of these figures", "440"],
    ["Best glide", "50"],
    ["Best glide ratio", "3.6"],
    ["Vertical descent", "2050"],
  ])
    await type(page, label, value);
  await page.getByRole("button", { name: "Use this fit" }).click();
  await expect(residuals.getByRole("row", { name: /vertical descent/ })).toContainText("+0.0 %");
  await page.getByRole("tab", { name: "Trim check" }).click();
  await expect(page.getByText("Fly it once at cruise with feet off")).toBeVisible();
  await page.getByRole("button", { name: "Trim check" }).press("Enter");
  await type(page, "String, left positive", "6");
  await expect(page.getByRole("heading", { name: /Bend the tab 2.0° left/ })).toBeVisible();
  await page.getByRole("button", { name: "Save aircraft" }).click();
  await expect(page.getByText("“Sorrel” is saved and current.")).toBeVisible();
});

test("from One engine to the hover, flown by hand: an engine fails, down on the other, the replay; a gyroplane too", async ({
  page,
}) => {
  test.setTimeout(240_000);
  await openDemo(page);
  await flyAircraft(page, "Hazel H2");
  await page.keyboard.press("4");
  // Landing has such a link too.
  await page.waitForURL("**/engine-out");
  await page.getByRole("link", { name: "Fly this" }).click();
  const set = page.getByRole("region", { name: "Set up" });
  await expect(set).toContainText(
    /hovers, skids 10\sft above the ground; engine stops, one of the two, in three seconds/,
  );
  await set.getByLabel("Fails").selectOption({ label: "governor runs high" });
  await set.getByLabel("Fails").selectOption({ label: "engine stops" });
  await set.getByLabel("Air").selectOption({ label: "smooth" });
  await page.getByRole("button", { name: "Fly", exact: true }).click();
  const aside = page.getByRole("complementary", { name: "Decision" });
  await expect(aside).toContainText("Since it failed", { timeout: 30_000 });
  await expect(aside).toContainText("Held on one engine.");
  await expect(aside).toContainText(/One engine at\s*(2 min|2½ min|30 s)/);
  // No more is drawn than a small graphics processor draws sixty times a second.
  const canvas = page.locator("canvas[data-triangles]");
  const drawn = async (what: string) => Number(await canvas.getAttribute(`data-${what}`));
  expect(await drawn("triangles")).toBeGreaterThan(1000);
  expect(await drawn("triangles")).toBeLessThan(80_000);
  expect(await drawn("calls")).toBeLessThan(80);
  // Eased down a little at a time until it stands.
  const collective = page.getByRole("slider", { name: "Collective" });
  for (let i = 0; i < 60 && !(await aside.innerText()).includes("It stands."); i += 1) {
    await collective.fill(String(Number(await collective.inputValue()) - 1));
    await page.waitForTimeout(800);
  }
  // Its key moves it too: on the ground, where it does not matter for how long a busy machine holds a key.
  await collective.fill("3");
  await page.keyboard.press("s", { delay: 200 });
  await expect.poll(async () => Number(await collective.inputValue())).toBeLessThan(3);
  // It has stood for a moment: with the collective all the way down it stays so.
  await collective.fill("0");
  await expect(aside).toContainText("It stands.");
  await page.getByRole("button", { name: "End" }).click();
  await expect(aside).toContainText(/Down\.\s*Touched after/);
  await expect(aside).toContainText(/Rotor above its least\s*held/);
  const replay = page.getByRole("slider", { name: /time/i });
  await expect(replay.first()).toBeVisible();

  await flyAircraft(page, "Osier G1");
  await page.getByRole("link", { name: /Rehearse/ }).click();
  await page.getByRole("tab", { name: "Fly it" }).click();
  await expect(set).toContainText("Osier G1 as the situation stands");
  await set.getByLabel(/^The nose holds/).check();
  await page.getByRole("button", { name: "Fly", exact: true }).click();
  await expect(aside).toContainText("Since it failed", { timeout: 30_000 });
  await expect(aside).toContainText(/Rotor carries\s*(0\.\d+|1\.\d+) of the weight/);
  await expect(aside).toContainText(/Into the wind, to a place\./, { timeout: 60_000 });
  await page.getByRole("button", { name: "End" }).click();
  await expect(aside).toContainText("Ended in the air.");
});
