import { readFile } from "node:fs/promises";
import { type Page, expect } from "@playwright/test";
import { openDemo, test, type } from "./demo";
import { pdfText } from "./pdf-text";

const HANDBOOK = {
  "Maximum mass": "1200",
  "Minimum mass": "750",
  "Usual mass": "1100",
  "Wing area": "16.2",
  "Wing span": "10.9",
  "Mass of these speeds": "1200",
  V_S1: "54",
  V_S0: "47",
  "Best glide": "70",
  "Best glide ratio": "9.2",
  V_Y: "74",
  Power: "134",
};

async function openAircraft(page: Page): Promise<void> {
  await openDemo(page);
  await page.keyboard.press("1");
  await expect(page.getByRole("heading", { name: "Do I know its numbers?" })).toBeVisible();
}

test("a twin of one's own, from a page of its book: every twin's question has an answer", async ({ page }) => {
  await openAircraft(page);
  await page.getByRole("button", { name: "New" }).click();
  await page.getByRole("tab", { name: "Handbook and fit" }).click();
  await page.getByRole("textbox", { name: "Name" }).fill("Sallow T1");
  await page.getByRole("combobox", { name: "Kind" }).selectOption({ label: "piston twin" });
  const book = {
    "Maximum mass": "1780",
    "Minimum mass": "1150",
    "Usual mass": "1600",
    "Wing area": "16.5",
    "Wing span": "11.2",
    "Mass of these speeds": "1780",
    V_S1: "60",
    V_S0: "54",
    "Best glide": "91",
    "Best glide ratio": "10.6",
    "Power of each engine": "134",
    "Propeller diameter": "1.93",
  };
  for (const [label, value] of Object.entries(book)) await type(page, label, value);
  await page.getByRole("combobox", { name: "Propeller in the book’s glide" }).selectOption("feathered");
  await page.getByRole("region", { name: "Fit to the handbook" }).getByRole("button", { name: "Use this fit" }).click();
  // What cannot be is told, and keeps it from being saved.
  await type(page, "V_YSE", "86");
  await type(page, "V_MCA", "90");
  await expect(page.getByText("V_MCA is below V_YSE", { exact: false }).first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Save aircraft" })).toBeDisabled();
  for (const [label, value] of Object.entries({ V_MCA: "66", V_SSE: "74", V_XSE: "80", "Climb on one engine": "210" }))
    await type(page, label, value);
  const fit = page.getByRole("region", { name: "Fit to one engine" });
  await expect(fit.getByRole("row", { name: /climb on one engine/ })).toContainText("+0.0 %");
  await expect(fit.getByRole("row", { name: /V_YSE/ })).toContainText("86.0");
  await fit.getByRole("button", { name: "Use this fit" }).click();
  await page.getByRole("button", { name: "Save aircraft" }).click();
  await expect(page.getByText("“Sallow T1” is saved and current.")).toBeVisible();

  const spine = page.getByRole("navigation", { name: "Stages" });
  await expect(spine.getByRole("link", { name: /Engine out/ })).toContainText("ft/min");
  await page.keyboard.press("4");
  await page.getByRole("tab", { name: "Climb ledger" }).click();
  await expect(page.getByRole("region", { name: "Climb ledger" })).toContainText("ft/min");
  await page.keyboard.press("2");
  await expect(page.getByRole("tab", { name: "By phase" })).toBeVisible();
  await expect(page.getByText("Computing …")).toHaveCount(0);
  await page.keyboard.press("6");
  await page.getByRole("tab", { name: "One engine" }).click();
  await expect(page.getByRole("region", { name: "One engine on the approach" })).toBeVisible();
});

test("fit a new aircraft from its handbook, make it current, brief a departure and print the card", async ({
  page,
}, testInfo) => {
  await openAircraft(page);
  await page.getByRole("button", { name: "New" }).click();
  await page.getByRole("tab", { name: "Handbook and fit" }).click();
  await expect(page.getByText("The fit needs wing area and span.")).toBeVisible();
  await page.getByRole("textbox", { name: "Name" }).fill("Willow S2");
  for (const [label, value] of Object.entries(HANDBOOK)) await type(page, label, value);
  const fit = page.getByRole("region", { name: "Fit to the handbook" });
  await expect(fit.getByRole("row", { name: /best glide ratio/ })).toContainText("9.20");
  await fit.getByRole("button", { name: "Use this fit" }).click();
  await page.getByRole("tab", { name: "Sink and speed" }).click();
  await expect(page.getByRole("button", { name: /9\.2:1 \(open/ })).toBeVisible();
  await page.getByRole("button", { name: "Save aircraft" }).click();
  await expect(page.getByText("“Willow S2” is saved and current.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Aircraft Willow S2/ })).toBeVisible();

  await page.keyboard.press("2");
  const spine = page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Departure/ });
  await expect(spine).toContainText(/gate \d/, { timeout: 60_000 });
  const gate = /gate (.+ft)/.exec(await spine.innerText())?.[1] ?? "";
  await page.getByRole("tab", { name: "Brief" }).click();
  await expect(page.getByRole("region", { name: "Brief" })).toContainText("turn back");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Card (PDF)" }).click();
  const file = testInfo.outputPath("departure.pdf");
  await (await download).saveAs(file);
  const text = await pdfText(file);
  expect(text).toContain("Willow S2");
  expect(text).toContain(`Gate ${gate.replace(/\s+/g, " ")}`);
});

test("what looks wrong is named, points are read line by line, changes are undone", async ({ page }) => {
  await openAircraft(page);
  await page.getByRole("tab", { name: "Handbook and fit" }).click();
  await expect(page.getByText("Its figures fit each other")).toBeVisible();
  await type(page, "V_NE", "90");
  await expect(page.getByRole("region", { name: "What looks wrong" })).toContainText("V_NE is not above V_A.");
  await expect(page.getByText("Changed, not saved: other stages use the saved figures.")).toBeVisible();
  await page.getByRole("region", { name: "Changes" }).getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Its figures fit each other")).toBeVisible();

  const points = page.getByRole("textbox", { name: /^Further glides/ });
  await points.fill("speed_kt,sink_fpm\n60,650\nfast,1\n90,1300");
  await expect(page.getByText("Line 3: “fast,1” is not a speed and a sink.")).toBeVisible();
  await expect(page.getByRole("row", { name: /sink of point 2/ })).toBeVisible();
  await page.getByRole("region", { name: "Changes" }).getByRole("button", { name: "Discard" }).click();
  await expect(page.getByText("Changed, not saved")).toBeHidden();
  // Emptied, a speed is one the book does not have; nonsense changes nothing.
  await type(page, "V_X", "");
  await expect(page.getByRole("textbox", { name: "V_X", exact: true })).not.toHaveAttribute("aria-invalid", "true");
  await type(page, "Maximum mass", "nonsense");
  await expect(page.getByText("“nonsense” is not a number.")).toBeVisible();
});

test("an aircraft saved elsewhere meanwhile: what differs, and what is here is kept", async ({ page }) => {
  await openAircraft(page);
  const fleet = page.getByRole("complementary", { name: "Fleet" });
  await fleet.getByRole("button", { name: "Copy" }).click();
  await expect(page.getByRole("button", { name: /^Aircraft Copy of Alder S1/ })).toBeVisible();
  await page.keyboard.press("Control+s");
  await page.getByRole("tab", { name: "Handbook and fit" }).click();
  await type(page, "V_X", "61");
  const changes = page.getByRole("region", { name: "Changes" });
  await expect(changes).toBeVisible();
  // Somebody else saves it with another usual mass.
  const { aircraft } = await (await page.request.get("/api/aircraft")).json();
  const own = aircraft.find((entry: { shared: boolean }) => !entry.shared);
  const usual_kg = own.document.mass.usual_kg - 50;
  const saved = await page.request.put(`/api/aircraft/${own.id}`, {
    data: { ...own.document, mass: { ...own.document.mass, usual_kg } },
    headers: { "if-match": `"${own.version}"` },
  });
  expect(saved.status()).toBe(200);

  await changes.getByRole("button", { name: "Save" }).click();
  const choice = page.getByRole("alertdialog");
  await expect(choice.getByRole("row", { name: /usual/ })).toBeVisible();
  await choice.getByRole("button", { name: "Keep what is here" }).click();
  await expect(page.getByText("“Copy of Alder S1” is saved.")).toBeVisible();
  await expect(changes).toBeHidden();
  const now = await (await page.request.get(`/api/aircraft/${own.id}`)).json();
  expect(now).toMatchObject({ version: own.version + 2, document: { mass: { usual_kg: usual_kg + 50 } } });
});

test("copy, export, delete with undo, import again", async ({ page }, testInfo) => {
  await openAircraft(page);
  const fleet = page.getByRole("complementary", { name: "Fleet" });
  await fleet.getByRole("button", { name: "Copy" }).click();
  await expect(page.getByText("“Copy of Alder S1” is in your library.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Aircraft Copy of Alder S1/ })).toBeVisible();
  const download = page.waitForEvent("download");
  await fleet.getByRole("button", { name: "Export" }).click();
  const file = testInfo.outputPath("aircraft.json");
  await (await download).saveAs(file);
  expect(JSON.parse(await readFile(file, "utf8"))).toMatchObject({
    schema: "utrimax/aircraft",
    name: "Copy of Alder S1",
  });

  // Another one is made current, then the copy can go, and come back.
  await fleet.getByRole("button", { name: /^Rowan R1/ }).click();
  await expect(page.getByRole("button", { name: "Delete Copy of Alder S1" })).toBeEnabled();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Delete Copy of Alder S1" }).click();
  await expect(page.getByText("“Copy of Alder S1” is deleted.")).toBeVisible();
  await expect(fleet.getByRole("button", { name: /^Copy of Alder S1/ })).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(fleet.getByRole("button", { name: /^Copy of Alder S1/ })).toBeVisible();

  await page.getByLabel("Aircraft file").setInputFiles(file);
  await expect(page.getByText("“Copy of Alder S1” is imported and current.")).toBeVisible();
  await page.getByLabel("Aircraft file").setInputFiles({
    name: "bad.json",
    mimeType: "application/json",
    buffer: Buffer.from('{"schema":"utrimax/aircraft","version":1}'),
  });
  await expect(page.getByText(/This is not a Utrimax aircraft/)).toBeVisible();
});

test("the drag shelf combines, the polar follows the wind, the numbers card is a PDF: by keyboard", async ({
  page,
}, testInfo) => {
  await openAircraft(page);
  await page.getByRole("slider", { name: "Headwind" }).focus();
  for (let i = 0; i < 10; i += 1) await page.keyboard.press("Shift+ArrowRight");
  await expect(page.getByText(/over ground/)).toContainText(/8\d\skt/);
  await page.getByRole("combobox", { name: "Compare with" }).selectOption({ label: "Rowan R1" });
  await expect(page.getByRole("definition").filter({ hasText: "10.0:1" })).toBeVisible();

  await page.getByRole("tab", { name: "Drag shelf" }).click();
  const together = page.getByRole("button", { name: /9\.0:1 at/ });
  await expect(together).toBeVisible();
  await page.getByRole("checkbox", { name: "Flap landing" }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: /6\.2:1 at/ })).toBeVisible();
  await page.getByRole("checkbox", { name: "Flap take-off" }).check();
  await expect(page.getByRole("checkbox", { name: "Flap landing" })).not.toBeChecked();
  await page.getByRole("button", { name: "Use in the situation" }).click();
  await page.getByRole("button", { name: /^Aircraft / }).click();
  await expect(page.getByRole("combobox", { name: "Flap" })).toHaveValue("1");
  await page.keyboard.press("Escape");

  const download = page.waitForEvent("download");
  await page.getByRole("tab", { name: "By mass" }).focus();
  await page.keyboard.press("p");
  const file = testInfo.outputPath("numbers.pdf");
  await (await download).saveAs(file);
  const text = await pdfText(file);
  expect(text).toContain("Alder S1: numbers");
  expect(text).toContain("Best glide 64 kt");
  expect(text).toContain("1.48 NM per 1 000 ft");
});
