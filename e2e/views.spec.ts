// Every view by day and by night, wide and narrow: axe finds nothing, nothing is cut off. Each is opened once. `@view`
// runs beside others, `@picture` refreshes the pictures of the docs.
import { type Page, expect } from "@playwright/test";
import axe from "axe-core";
import { answered, flyAircraft, openDemo, test } from "./demo";

/** What axe finds, at the whole page or a part of it. It is put into the page once, and asked there. */
async function found(page: Page, within: string | null, only: string[] | null): Promise<string[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  const options = { resultTypes: ["violations" as const], ...(only ? { runOnly: only } : {}) };
  const { violations } = await page.evaluate(
    ([part, how]) => (window as unknown as { axe: typeof axe }).axe.run(part ?? document, how),
    [within, options] as const,
  );
  return violations.map(
    (violation) => `${violation.id}: ${violation.nodes.map((node) => node.html.slice(0, 120)).join(" | ")}`,
  );
}

const [DAY, NIGHT] = [
  { colorScheme: "light", viewport: { width: 1280, height: 800 } },
  { colorScheme: "dark", viewport: { width: 1024, height: 768 } },
] as const;

/** The system turns to night or to day, and the page with it. */
async function turnTo(page: Page, { colorScheme }: typeof DAY | typeof NIGHT, shown: "day" | "night"): Promise<void> {
  await page.emulateMedia({ colorScheme, reducedMotion: "reduce" });
  await expect(page.locator("html")).toHaveAttribute("data-appearance", shown);
}

/**
 * By day, then by night: the page by night is the page by day in other colours, which are looked at again.
 *
 * @param within - looks at a part only; null at the whole page
 */
async function clean(page: Page, within: string | null = null): Promise<void> {
  expect(await found(page, within, null)).toEqual([]);
  await turnTo(page, NIGHT, "night");
  expect(await found(page, within, ["color-contrast"])).toEqual([]);
  await turnTo(page, DAY, "day");
}

const isWhole = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth <= innerWidth);

/** Clean, and nothing cut off: wide by day, narrow by night. */
async function cleanAndWhole(page: Page): Promise<void> {
  expect(await found(page, null, null)).toEqual([]);
  expect(await isWhole(page)).toBe(true);
  await turnTo(page, NIGHT, "night");
  await page.setViewportSize(NIGHT.viewport);
  expect(await found(page, null, ["color-contrast"])).toEqual([]);
  expect(await isWhole(page)).toBe(true);
  await page.setViewportSize(DAY.viewport);
  await turnTo(page, DAY, "day");
}

/** Opens something, looks at it, closes it. The page under it has been looked at before. */
async function cleanDialog(page: Page, open: () => Promise<void>): Promise<void> {
  await open();
  await expect(page.getByRole("dialog")).toBeVisible();
  await clean(page, "[role=dialog]");
  await page.keyboard.press("Escape");
}

/** What is looked at, once the demo is open. */
const AREAS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  "the Landing stage and every editor": async (page) => {
    await cleanAndWhole(page);
    for (const chip of ["Aircraft", "Mass", "Place", "Wind", "Air", "Pilot"])
      await cleanDialog(page, () => page.getByRole("button", { name: new RegExp(`^${chip} `) }).click());
    await cleanDialog(page, () => page.getByRole("button", { name: "Approach plan" }).click());
  },
  "the views of the Landing stage": async (page) => {
    for (const tab of ["Choose", "Keys", "Too high", "Touchdown", "Ditching", "Call"]) {
      await page.getByRole("tab", { name: tab, exact: true }).click();
      await expect(page.getByText("Computing …")).toHaveCount(0);
      await cleanAndWhole(page);
    }
    await flyAircraft(page, "Larch T2");
    await page.getByRole("tab", { name: "One engine" }).click();
    await expect(page.getByRole("region", { name: "One engine on the approach" })).toBeVisible();
    await cleanAndWhole(page);
  },
  "places: the map with its tools, a place, the question where one flies from": async (page) => {
    await page.keyboard.press("9");
    await expect(page.getByRole("heading", { name: "No place is selected" })).toBeVisible();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Add by figures" }).click();
    await page.getByRole("button", { name: "Add one by figures" }).click();
    await expect(page.getByRole("region", { name: /^Runway/ })).toBeVisible();
    await cleanAndWhole(page);
    await cleanDialog(page, async () => {
      await page.locator("#stage").focus();
      await page.keyboard.press("h");
    });
  },
  "the shell's dialogs, a working, pages that are not there": async (page) => {
    for (const key of ["/", "?", "u", "o"]) await cleanDialog(page, () => page.keyboard.press(key));
    await cleanDialog(page, async () => {
      await page.keyboard.press("/");
      await page.getByPlaceholder("What would you like to do?").fill("Account, export");
      await page.keyboard.press("Enter");
      await page.getByRole("region", { name: "Account settings" }).getByText("Delete the account").click();
    });
    await page
      .getByRole("figure", { name: /Height ledger/ })
      .getByRole("button")
      .last()
      .click();
    await expect(page.getByRole("dialog").getByRole("table")).toBeVisible();
    await clean(page);
    await page.goto("/no-such-page");
    await expect(page.getByRole("heading", { name: "There is no page here." })).toBeVisible();
    // It is the same for everybody, and has no night.
    expect(await found(page, null, null)).toEqual([]);
  },
  "a log of a flight, and the logs that are kept": async (page) => {
    await page.keyboard.press("8");
    await expect(page.getByText("What explains it")).toBeVisible();
    await page.getByText("What this log cannot tell").click();
    await cleanAndWhole(page);
    await cleanDialog(page, () => page.getByRole("button", { name: "Day", exact: true }).click());
    await page.getByRole("tab", { name: "Logs" }).click();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "crossing.igc", exact: true }).click();
    await page.getByRole("tab", { name: "Exposure" }).click();
    await expect(page.getByText("without a place in reach.")).toBeVisible();
    await cleanAndWhole(page);
  },
  "test cards, the logbook, a school": async (page) => {
    await page.goto("/debrief?debrief=cards");
    const sixth = page.getByRole("button", { name: /^6 ?: look at this run/ });
    await sixth.click();
    await cleanAndWhole(page);
    for (const mode of ["Plan", "Mark"]) {
      await page.getByRole("button", { name: mode, exact: true }).click();
      await cleanAndWhole(page);
    }
    await page.getByRole("tab", { name: "Logbook" }).click();
    await expect(page.getByText(/practices are due/)).toBeVisible();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Practice shutdown, left engine" }).click();
    await page
      .getByRole("listitem")
      .getByRole("button", { name: /^Turn back at height/ })
      .click();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Edit", exact: true }).click();
    await cleanAndWhole(page);
    await page.getByRole("tab", { name: "School" }).click();
    await page.getByRole("button", { name: /^passed, 2 tries/ }).click();
    await cleanAndWhole(page);
    for (const part of ["Lessons", "In common", "Members", "My results"]) {
      await page.getByRole("button", { name: part, exact: true }).click();
      if (part === "Lessons") await page.getByRole("button", { name: "Set a lesson" }).click();
      await cleanAndWhole(page);
    }
    await page.getByRole("button", { name: "Found or join another school" }).click();
    await cleanAndWhole(page);
  },
  "today, and an aircraft that is followed": async (page) => {
    await page.keyboard.press("0");
    await expect(page.getByText(/^Gate /).first()).toBeVisible();
    for (const tab of ["Brief", "At arm’s length"]) {
      await page.getByRole("tab", { name: tab }).click();
      await cleanAndWhole(page);
    }
    await page.keyboard.press("6");
    await cleanDialog(page, () => page.getByRole("button", { name: "Follow", exact: true }).click());
    await page.getByRole("button", { name: "Follow", exact: true }).click();
    await page.getByRole("button", { name: "Simulated, from here" }).click();
    await expect(page.getByRole("region", { name: "Followed" })).toContainText("o’clock");
    await cleanAndWhole(page);
  },
  "the Aircraft stage": async (page) => {
    await page.keyboard.press("1");
    for (const tab of ["Sink and speed", "Drag shelf", "Stall", "By mass", "Seats and fuel", "Handbook and fit"]) {
      await page.getByRole("tab", { name: tab }).click();
      await cleanAndWhole(page);
    }
  },
  "the En route stage": async (page) => {
    await page.keyboard.press("3");
    await expect(page.getByRole("region", { name: "Decision" })).toBeVisible({ timeout: 40_000 });
    for (const tab of ["Cover", "Climb-out", "Minutes left", "Points", "Places"]) {
      await page.getByRole("tab", { name: tab }).click();
      await expect(page.getByText("Computing …")).toHaveCount(0);
      await cleanAndWhole(page);
    }
    await flyAircraft(page, "Larch T2");
    await page.getByRole("tab", { name: "One engine" }).click();
    await expect(page.getByRole("figure", { name: /ways on one engine$/ })).toBeVisible();
    await cleanAndWhole(page);
    await cleanDialog(page, () => page.getByRole("button", { name: "Route plan" }).click());
  },
  "the Engine out stage": async (page) => {
    await flyAircraft(page, "Larch T2");
    await page.keyboard.press("4");
    for (const tab of ["Climb ledger", "Control", "Speeds", "Identify and verify", "Below V_MCA"]) {
      await page.getByRole("tab", { name: tab }).click();
      await expect(page.getByText("Computing …")).toHaveCount(0);
      await cleanAndWhole(page);
    }
  },
  "the stages of a helicopter": async (page) => {
    await flyAircraft(page, "Hazel H2");
    for (const [key, tabs] of [
      ["1", ["Power and speed", "Autorotation", "By mass", "Handbook and fit"]],
      ["2", ["Heights and fly-away"]],
      ["3", ["Cover", "One engine"]],
      ["4", ["Hover on one engine", "Ratings’ clock"]],
      ["5", ["Cause check"]],
      ["6", ["Places", "Autorotation"]],
    ] as const) {
      // While the chip's editor closes it may take a key for itself.
      await expect(async () => {
        await page.keyboard.press(key);
        await expect(page.getByRole("tab", { name: tabs[0] })).toBeVisible({ timeout: 5000 });
      }).toPass();
      for (const tab of tabs) {
        await page.getByRole("tab", { name: tab }).click();
        await expect(page.getByText(/^(Computing|Searching)/)).toHaveCount(0);
        await cleanAndWhole(page);
      }
    }
  },
  "the stages of a gyroplane": async (page) => {
    await flyAircraft(page, "Osier G1");
    for (const [key, tabs] of [
      ["1", ["Stopped against idling", "By mass", "Trim check", "Handbook and fit"]],
      ["2", ["By height"]],
      ["3", ["Cover"]],
      ["4", ["Rudder by speed"]],
      ["5", ["Cause check"]],
      ["6", ["Places", "To a spot"]],
    ] as const) {
      // While the chip's editor closes it may take a key for itself.
      await expect(async () => {
        await page.keyboard.press(key);
        await expect(page.getByRole("tab", { name: tabs[0] })).toBeVisible({ timeout: 5000 });
      }).toPass();
      for (const tab of tabs) {
        await page.getByRole("tab", { name: tab }).click();
        await expect(page.getByText(/^Computing/)).toHaveCount(0);
        await cleanAndWhole(page);
      }
    }
  },
  "the Rehearse stage": async (page) => {
    await page.keyboard.press("7");
    for (const [tab, seen] of [
      ["Exercises", "Its drill"],
      ["Recall", "Begin"],
      ["Results", "Sharing"],
    ]) {
      await page.getByRole("tab", { name: tab }).click();
      await page
        .getByRole("button", { name: seen, exact: seen !== "Begin" })
        .first()
        .waitFor();
      if (tab === "Results") await page.getByRole("button", { name: "Sharing" }).click();
      await cleanAndWhole(page);
    }
    await page.getByRole("tab", { name: "Recall" }).click();
    for (let card = 0; card < 3; card += 1) {
      await page.keyboard.press("n");
      await expect(page.getByRole("region", { name: "Card" })).toBeVisible();
      await cleanAndWhole(page);
      const order = page.getByRole("button", { name: "That is the order" });
      const rule = page.getByRole("slider");
      if (await order.isVisible()) await order.click();
      else if (await rule.isVisible()) {
        await rule.press("End");
        await page.getByRole("button", { name: "Here", exact: true }).click();
      } else await page.keyboard.press("a");
      await expect(page.getByText("Why.")).toBeVisible();
      await cleanAndWhole(page);
    }
    await page.getByRole("tab", { name: "Procedures" }).click();
    await page.getByRole("button", { name: "Paste a checklist" }).click();
    await page.getByRole("textbox").fill("Fuel selector ... BOTH");
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Take 2 steps" }).click();
    await expect(page.getByRole("list", { name: "Steps in order" })).toBeVisible();
    await page.getByText("Controls", { exact: true }).click();
    await cleanAndWhole(page);
    await page.getByRole("tab", { name: "Drill" }).click();
    await flyAircraft(page, "Cedar J2");
    await expect(page.getByRole("list", { name: "Steps of the drill" })).toBeVisible();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Begin", exact: true }).click();
    await expect(page.getByRole("region", { name: "Due now" })).toBeVisible();
    await cleanAndWhole(page);
  },
  "a crew: joining, waiting, its instructor": async (page) => {
    await flyAircraft(page, "Cedar J2");
    await page.keyboard.press("7");
    await page.getByRole("button", { name: "As a crew" }).click();
    await expect(page.getByRole("region", { name: "Parts" })).toBeVisible();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "instructor" }).click();
    await expect(page.getByAltText("The link to this crew as a picture for a camera")).toBeVisible();
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Begin" }).click();
    await expect(page.getByRole("region", { name: "Due now" })).toBeVisible();
    await cleanAndWhole(page);
  },
  "the Departure of twins and jets": async (page) => {
    await flyAircraft(page, "Cedar J2");
    await page.keyboard.press("2");
    for (const tab of ["By phase", "Segments and mass", "Brief"]) {
      await page.getByRole("tab", { name: tab }).click();
      await expect(page.getByText("Computing …")).toHaveCount(0);
      await cleanAndWhole(page);
    }
    await cleanDialog(page, () => page.getByRole("button", { name: "Departure plan" }).click());
  },
  "the Restart stage": async (page) => {
    await page.keyboard.press("5");
    await expect(page.getByRole("region", { name: "Cause check" })).toBeVisible();
    await cleanAndWhole(page);
    await cleanDialog(page, () => page.getByRole("button", { name: "Restart plan" }).click());
    await cleanDialog(page, () => page.getByRole("button", { name: "Edit the check" }).click());
    await page.getByRole("tab", { name: "Minutes left" }).click();
    await expect(page.getByRole("row", { name: /Climb with it/ })).toBeVisible();
    await cleanAndWhole(page);
    await flyAircraft(page, "Larch T2");
    await page.getByRole("tab", { name: "Feather, unfeather" }).click();
    await page.getByRole("button", { name: "Starter", exact: true }).click();
    await cleanAndWhole(page);
    await flyAircraft(page, "Cedar J2");
    await page.getByRole("tab", { name: "Relight" }).click();
    await expect(page.getByRole("region", { name: "Attempts" })).toBeVisible();
    await cleanAndWhole(page);
  },
  "a flight by hand: its set-up, its view and instruments, its replay": async (page) => {
    await page.keyboard.press("7");
    await page.getByRole("tab", { name: "Fly it" }).click();
    await expect(page.getByRole("region", { name: "Set up" })).toBeVisible();
    await page.getByLabel("When").selectOption({ label: "at a height on the way down" });
    await cleanAndWhole(page);
    await page.getByRole("button", { name: "Fly", exact: true }).click();
    await expect(page.getByRole("img", { name: /^(View out|Map)/ })).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText(/^0:0[4-9]/).first()).toBeVisible({ timeout: 30_000 });
    await page.keyboard.press("Escape");
    await expect(page.getByText("Paused.")).toBeVisible();
    await cleanAndWhole(page);
    await page.getByRole("combobox", { name: "Look" }).selectOption({ label: "Map" });
    await page.getByRole("button", { name: "Others" }).click();
    await expect(page.getByRole("region", { name: "Code" })).toBeVisible();
    await cleanAndWhole(page);
    const code = await page.getByRole("region", { name: "Code" }).locator(".num").last().innerText();
    const other = await page.context().newPage();
    await other.goto(`/crew?code=${code}`);
    await other.getByRole("button", { name: "instructor" }).click();
    await expect(other.getByRole("button", { name: "Let it fail" })).toBeVisible();
    await cleanAndWhole(other);
    // However long its words are, the flight stays in its column.
    const { x } = (await other.getByRole("complementary", { name: "Decision" }).boundingBox()) ?? { x: 0 };
    const flight = (await other.getByRole("main").boundingBox()) ?? { x: 0, width: Infinity };
    expect(flight.x + flight.width).toBeLessThanOrEqual(x + 1);
    await other.close();
    await page.getByRole("button", { name: "End", exact: true }).click();
    await expect(page.getByRole("region", { name: "Recording" })).toBeVisible({ timeout: 30_000 });
    await cleanAndWhole(page);
  },
  "the Departure stage": async (page) => {
    await page.keyboard.press("2");
    // The scan is long work, and two pages share two cores here.
    await expect(page.getByRole("list", { name: /^Options at/ })).toBeVisible({ timeout: 40_000 });
    for (const tab of ["At one height", "Options by height", "Chance", "Brief"]) {
      await page.getByRole("tab", { name: tab }).click();
      await cleanAndWhole(page);
    }
    await cleanDialog(page, () => page.getByRole("button", { name: "Departure plan" }).click());
  },
};

test("axe finds nothing on the first page @view", async ({ browser, baseURL }) => {
  const page = await (await browser.newContext({ baseURL, ...DAY, reducedMotion: "reduce" })).newPage();
  await page.goto("/");
  await clean(page);
  // What is wrong is found, and only where it is looked for.
  await page.evaluate(() =>
    document.body.insertAdjacentHTML(
      "beforeend",
      '<div id="bad"><img src="/icon.svg"><p style="color:#eee">pale</p></div>',
    ),
  );
  expect((await found(page, null, null)).map((one) => one.split(":")[0])).toEqual(
    expect.arrayContaining(["color-contrast", "image-alt"]),
  );
  expect(await found(page, "#bad", ["color-contrast"])).toHaveLength(1);
  expect(await found(page, "main", null)).toEqual([]);
  await page.context().close();
});

for (const [area, lookAt] of Object.entries(AREAS)) {
  test(`axe finds nothing on ${area}, by day and by night @view`, async ({ browser, baseURL }) => {
    test.setTimeout(360_000);
    const page = await (await browser.newContext({ baseURL, ...DAY, reducedMotion: "reduce" })).newPage();
    await openDemo(page);
    await lookAt(page);
    await page.context().close();
  });
}

/** The Departure stage at a view, its chance computed. */
function departureView(tab: string) {
  return async (page: Page) => {
    await page.keyboard.press("2");
    await page.getByRole("tab", { name: tab }).click();
    await expect(
      page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Departure/ }),
    ).toContainText(/gate \d/, { timeout: 40_000 });
    await expect(page.getByRole("progressbar")).toBeHidden({ timeout: 40_000 });
  };
}

/** A stage of the light twin at a view. */
function twinView(stage: string, tab: string) {
  return async (page: Page) => {
    await flyAircraft(page, "Larch T2");
    await page.keyboard.press(stage);
    await page.getByRole("tab", { name: tab }).click();
  };
}

for (const [name, colorScheme, prepare] of [
  ["landing-day", "light", async () => undefined],
  ["landing-night", "dark", async () => undefined],
  [
    "working",
    "light",
    async (page: Page) =>
      page
        .getByRole("figure", { name: /Height ledger/ })
        .getByRole("button")
        .last()
        .click(),
  ],
  [
    "aircraft-polar",
    "light",
    async (page: Page) => {
      await page.keyboard.press("1");
      await page.getByRole("slider", { name: "Headwind" }).focus();
      for (let i = 0; i < 20; i += 1) await page.keyboard.press("ArrowRight");
    },
  ],
  [
    "today",
    "light",
    async (page: Page) => {
      await page.keyboard.press("0");
      await page.getByRole("button", { name: "Station", exact: true }).click();
      await page.getByRole("button", { name: /^The day is/ }).click();
      await expect(page.getByText(/^Gate \d/)).toBeVisible();
      await expect(page.getByRole("table", { name: "What if" })).not.toContainText("…");
    },
  ],
  ["engine-out-ledger", "light", twinView("4", "Climb ledger")],
  [
    "rotor-hover",
    "light",
    async (page: Page) => {
      await flyAircraft(page, "Hazel H2");
      await page.keyboard.press("4");
      await expect(page.getByText(/^Lost, on/)).toBeVisible();
    },
  ],
  [
    "en-route",
    "light",
    async (page: Page) => {
      await page.keyboard.press("3");
      await page.getByRole("slider", { name: /^Cursor/ }).focus();
      for (let i = 0; i < 5; i += 1) await page.keyboard.press("Shift+ArrowRight");
      await expect(page.getByRole("button", { name: /^Take the way round/ })).toBeVisible({ timeout: 40_000 });
      await page.waitForTimeout(3000);
    },
  ],
  [
    "en-route-one-engine",
    "light",
    async (page: Page) => {
      await flyAircraft(page, "Larch T2");
      await page.keyboard.press("3");
      await page.getByRole("heading", { name: "Where is a landing place in reach?" }).waitFor();
      await page.getByRole("tab", { name: "One engine" }).click();
      await page.getByRole("slider", { name: /^Cursor/ }).focus();
      for (let i = 0; i < 6; i += 1) await page.keyboard.press("Shift+ArrowRight");
      await expect(page.getByRole("button", { name: /^Plan / })).toBeVisible({ timeout: 40_000 });
      await page.waitForTimeout(4000);
    },
  ],
  [
    "engine-out-identify",
    "light",
    async (page: Page) => {
      await twinView("4", "Identify and verify")(page);
      await page.getByRole("combobox", { name: "It is the" }).selectOption("right");
      await page.getByRole("combobox", { name: "Settled by" }).selectOption("rpm");
      await page.getByRole("button", { name: "Answer" }).click();
    },
  ],
  [
    "restart-flow",
    "light",
    async (page: Page) => {
      await page.keyboard.press("5");
      await page.getByRole("combobox", { name: "What was noticed" }).selectOption("surging");
    },
  ],
  [
    "departure-twin",
    "light",
    async (page: Page) => {
      await twinView("2", "By phase")(page);
      await page.getByRole("slider", { name: "Engine stops" }).focus();
      for (let i = 0; i < 8; i += 1) await page.keyboard.press("ArrowRight");
    },
  ],
  ["departure-height", "light", departureView("At one height")],
  [
    "debrief-flown",
    "light",
    async (page: Page) => {
      await page.keyboard.press("8");
      await expect(page.getByText("What explains it")).toBeVisible();
    },
  ],
  [
    "rehearse-fly",
    "light",
    async (page: Page) => {
      await page.getByRole("link", { name: "Fly this" }).click();
      await page.getByLabel(/^The nose holds/).check();
      // Drawn by the processor, a key is let go late: it banks no steeper than this.
      await page.getByLabel("Keys bank no steeper than").selectOption({ label: "30°" });
      await page.getByRole("button", { name: "Fly", exact: true }).click();
      await expect(page.getByRole("img", { name: "View out of the aeroplane" })).toBeVisible({ timeout: 60_000 });
      await page.waitForTimeout(6000);
      await page.keyboard.down("ArrowLeft");
      await expect(page.locator("figcaption", { hasText: "bank" })).toContainText(/[2-5]\d° left/);
      await page.keyboard.up("ArrowLeft");
      await page.waitForTimeout(6000);
      await page.keyboard.press("Escape");
    },
  ],
  [
    "debrief-exposure",
    "light",
    async (page: Page) => {
      await page.goto("/debrief?debrief=logs");
      await page.getByRole("button", { name: "crossing.igc", exact: true }).click();
      await page.getByRole("tab", { name: "Exposure" }).click();
      await expect(page.getByText("without a place in reach.")).toBeVisible();
      const along = page.getByRole("slider", { name: /Cursor along the flight/ });
      await along.press("PageDown");
      await along.press("PageDown");
      await along.press("Shift+ArrowLeft");
      await page.waitForTimeout(2500);
    },
  ],
  [
    "debrief-cards",
    "light",
    async (page: Page) => {
      await page.goto("/debrief?debrief=cards");
      await page.getByRole("button", { name: /^6 ?: look at this run/ }).click();
      await expect(page.getByRole("region", { name: "Run 6" })).toBeVisible();
    },
  ],
  [
    "debrief-logbook",
    "light",
    async (page: Page) => {
      await page.goto("/debrief?debrief=logbook");
      await page.getByRole("button", { name: "Practice shutdown, left engine" }).click();
      await expect(page.getByText(/practices are due/)).toBeVisible();
    },
  ],
  [
    "rehearse-drill",
    "light",
    async (page: Page) => {
      await flyAircraft(page, "Cedar J2");
      await page.keyboard.press("7");
      await page.getByRole("button", { name: "Begin", exact: true }).click();
      const panel = page.getByRole("region", { name: "Panel" });
      await page.waitForTimeout(3000);
      await page.keyboard.press("Space");
      await page.waitForTimeout(2000);
      await page.keyboard.press("Space");
      await page.waitForTimeout(2500);
      await page.keyboard.press("l");
      for (const lever of ["Thrust lever closed", "Fuel lever cut off", "Fire handle pulled", "Bottle 1 fired"]) {
        await page.waitForTimeout(2500);
        await page.keyboard.press("r");
        await panel.getByRole("button", { name: `right ${lever}` }).click();
      }
      await page.waitForTimeout(16_000);
    },
  ],
] as const) {
  test(`picture of ${name} @picture`, async ({ browser, baseURL }) => {
    const page = await (
      await browser.newContext({ baseURL, colorScheme, viewport: { width: 1280, height: 800 } })
    ).newPage();
    await openDemo(page);
    await answered(page);
    await prepare(page);
    // The relief is drawn in the worker; nothing in the page says when the canvas has it.
    await page.waitForTimeout(2500);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await page.context().close();
  });
}
