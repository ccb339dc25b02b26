import { type Page, expect } from "@playwright/test";
import { flyAircraft, openDemo, test } from "./demo";
import { pdfText } from "./pdf-text";

async function openTwin(page: Page, name = "Larch T2"): Promise<void> {
  await openDemo(page);
  await flyAircraft(page, name);
  await page.keyboard.press("4");
  await expect(page.getByRole("heading", { name: "Does it fly on one engine, and how?" })).toBeVisible();
}

test("a twin's climb ledger from everything out to feathered and clean, by keyboard", async ({ page }) => {
  await openTwin(page);
  const decision = page.getByRole("region", { name: "Decision" });
  const ledger = page.getByRole("figure", { name: "Climb ledger" });
  await expect(decision).toContainText("As set it does not climb.");
  await expect(
    page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Engine out/ }),
  ).toContainText(/mended \d+.ft\/min/);
  for (const item of ["Propeller windmilling", "Gear down", "Wings level"])
    await expect(ledger.getByRole("listitem").filter({ hasText: item })).toBeVisible();
  // In the order of the drill: gear up, feathered, bank.
  await page.getByRole("checkbox", { name: "Gear down" }).focus();
  await page.keyboard.press("Space");
  await expect(ledger.getByRole("listitem").filter({ hasText: "Gear down" })).toBeHidden();
  await page.getByRole("combobox", { name: "Its propeller" }).selectOption("feathered");
  await page.getByRole("combobox", { name: "Bank" }).selectOption("zero");
  await expect(decision).toContainText("It climbs.");
  await expect(ledger.getByRole("listitem")).toHaveCount(3);
  await ledger
    .getByRole("button", { name: /open the working/ })
    .last()
    .focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toContainText("climb left");
  await page.keyboard.press("Escape");
});

test("control: what changes the minimum control speed, the rudder over its stop, and aircraft it is not about", async ({
  page,
}) => {
  await openTwin(page);
  await page.getByRole("tab", { name: "Control" }).click();
  const factors = page.getByRole("region", { name: "What changes it" });
  await expect(factors.getByRole("row").nth(1)).toContainText("5° of bank into the live engine");
  await expect(factors.getByRole("row", { name: /centre of gravity aft/ })).toContainText("0.0 kt");
  await page.getByRole("slider", { name: /^Speed/ }).focus();
  await page.keyboard.press("Home");
  await expect(page.getByText("The rudder would be beyond its limit")).toBeVisible();
  await page.getByRole("button", { name: /^Table of Minimum control speed and stall over density altitude/ }).click();
  await expect(page.getByRole("region", { name: /table$/ }).getByRole("row")).toHaveCount(22);
  // A lighter aeroplane, banked: its minimum control speed is higher.
  const today = page.getByRole("complementary", { name: "Speeds" }).getByRole("button", { name: /rudder/ });
  const level = await today.innerText();
  await page.getByRole("combobox", { name: "Bank" }).selectOption("5");
  await expect(today).not.toHaveText(level);
  const heavy = await today.innerText();
  await page.getByRole("slider", { name: "Mass" }).focus();
  await page.keyboard.press("Home");
  await expect(today).not.toHaveText(heavy);
  expect(Number.parseInt(await today.innerText())).toBeGreaterThan(Number.parseInt(heavy));
  await page.getByRole("button", { name: "As the situation" }).click();
  await expect(today).toHaveText(heavy);

  await flyAircraft(page, "Alder S1");
  await expect(page.getByRole("alert").filter({ hasText: "Choose a twin or the jet" })).toBeVisible();
});

test("a failure identified wrongly, then rightly, by keyboard", async ({ page }) => {
  await openTwin(page);
  await page.getByRole("tab", { name: "Identify and verify" }).click();
  const answer = page.getByRole("complementary", { name: "Your answer" });
  const gauges = page.getByRole("figure", { name: "Gauges of both engines" });
  await page.getByRole("combobox", { name: "Fault" }).selectOption("ignition");
  await page.getByRole("combobox", { name: "Engine" }).selectOption("right");
  // Fuel still flows, the propeller turns; only exhaust temperature and the foot tell.
  await expect(gauges.getByRole("listitem").filter({ hasText: "Propeller speed" })).toContainText(
    /2.?700.?rpm.*2.?700.?rpm/s,
  );
  await expect(gauges).toContainText(/left, \d+.?lbf/);
  await answer.getByRole("combobox", { name: "It is the" }).selectOption("left");
  await answer.getByRole("combobox", { name: "Settled by" }).selectOption("rpm");
  await answer.getByRole("button", { name: "Answer" }).focus();
  await page.keyboard.press("Enter");
  await expect(answer.getByRole("status")).toContainText("Wrong engine. It is the right engine.");
  await expect(answer.getByRole("status")).toContainText("Propeller speed misleads.");
  await expect(answer.getByRole("status")).toContainText(/Shutting down the left one leaves no engine: it sinks \d+/);
  await answer.getByRole("combobox", { name: "It is the" }).selectOption("right");
  await answer.getByRole("combobox", { name: "Settled by" }).selectOption("foot");
  await answer.getByRole("button", { name: "Answer" }).click();
  await expect(answer.getByRole("status")).toContainText("Right. It is the right engine.");
  await expect(answer.getByRole("status")).toContainText("The dead foot settles it.");
  // Closing the lever of the dead engine changes no foot; drawn by lot nothing is told before the answer.
  const foot = gauges.getByText(/left, \d+.?lbf/);
  const before = await foot.innerText();
  await page.getByRole("combobox", { name: "Verify by" }).selectOption("right");
  await expect(page.getByText("The right lever comes back")).toBeVisible();
  await page.getByRole("slider", { name: "Since the fault" }).focus();
  await page.keyboard.press("End");
  await expect(foot).toHaveText(before);
  await page.getByRole("combobox", { name: "Fault" }).selectOption("lot");
  await expect(answer.getByRole("status")).toBeHidden();
  await expect(page.getByRole("combobox", { name: "Engine" })).toBeHidden();
});

test("the speeds card holds the speeds of the screen; below minimum control speed and its demonstration warn", async ({
  page,
}, testInfo) => {
  await openTwin(page);
  await page.getByRole("tab", { name: "Speeds" }).click();
  await expect(
    page.getByRole("region", { name: "Speeds by height and mass" }).getByRole("table").first().getByRole("row"),
  ).toHaveCount(16);
  await expect(page.getByText(/1\d inHg at 2.?160 rpm/)).toBeVisible();
  const vyse = await page
    .getByRole("complementary", { name: "Speeds" })
    .getByRole("button", { name: /ft\/min/ })
    .innerText();
  const download = page.waitForEvent("download");
  await page.keyboard.press("p");
  const file = testInfo.outputPath("speeds.pdf");
  await (await download).saveAs(file);
  const text = await pdfText(file);
  expect(text).toContain("Larch T2: on one engine");
  expect(text).toContain(
    vyse
      .replace(/\s+/g, " ")
      .replace(" · ", ", ")
      .replace(/ \(open.*/, ""),
  );

  await page.getByRole("tab", { name: "Below V_MCA" }).click();
  const below = page.getByRole("region", { name: "Below minimum control speed", exact: true });
  await expect(below).toContainText(/turns toward the dead engine at \d/);
  await expect(below).toContainText(/At \d+ % it is held at this speed/);
  const planner = page.getByRole("region", { name: "Demonstration of minimum control speed" });
  await expect(planner.getByRole("alert")).toContainText("Too low.");
  await page.getByRole("slider", { name: "Altitude" }).focus();
  await page.keyboard.press("End");
  await page.getByRole("combobox", { name: "Bank" }).selectOption("5");
  await expect(planner.getByRole("alert")).toContainText("The stall comes first here.");
});
