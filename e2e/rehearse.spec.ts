// Drills alone and as a crew, recall, results.
import { type Browser, type Page, expect } from "@playwright/test";
import { readFile } from "node:fs/promises";
import { FlightSetUp, setUpFlight } from "@/core/simulation/flight-set-up";
import { groundOf } from "@/core/simulation/ground";
import { Recording, replay } from "@/core/simulation/recording";
import { demoTerrain } from "../demo/read-demo";
import { flyAircraft, openDemo, test } from "./demo";

test("a twin's drill alone, by key and panel: the wrong engine is told, confirmed by name, then how it went", async ({
  page,
}) => {
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await page.keyboard.press("7");
  await expect(page.getByRole("list", { name: "Steps of the drill" })).toContainText("Dead foot, dead engine: which?");
  await page.getByRole("button", { name: "Begin", exact: true }).press("Enter");
  const due = page.getByRole("region", { name: "Due now" });
  const log = page.getByRole("list", { name: "What was done" });
  const panel = page.getByRole("region", { name: "Panel" });
  await expect(due).toContainText("Heading, wings, ball");
  await page.keyboard.press("Space");
  // A lever that is not due, then what is: both.
  await panel.getByRole("button", { name: "right Throttle idle" }).click();
  await expect(log).toContainText("“Throttle of that engine, slowly” comes later.");
  for (const [control, position] of [
    ["Mixture", "rich"],
    ["Propeller", "fine"],
    ["Throttle", "full"],
  ])
    for (const side of ["left", "right"])
      await panel.getByRole("button", { name: `${side} ${control} ${position}` }).click();
  await page.keyboard.press("Space");
  await expect(due).toContainText("Throttle of that engine, slowly");
  await page.keyboard.press("l");
  await expect(log).toContainText("The wrong engine.");
  await page.keyboard.press("r");
  await panel.getByRole("button", { name: "right Throttle idle" }).click();
  await expect(due).toContainText("Did anything change?");
  await page.keyboard.press("2");
  // The stage keys are off: 2 was an answer. Esc pauses, and nothing can be pressed then.
  await expect(due).toContainText("Stop: power back up");
  await page.keyboard.press("Escape");
  await expect(page.getByText("Paused.")).toBeVisible();
  await expect(due.getByRole("button", { name: /identified anew/ })).toBeDisabled();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Space");
  const aside = page.getByRole("complementary", { name: "Decision" });
  await expect(aside).toContainText(/2 wrong/);
  await expect(aside).toContainText(/gained|took|No height/);
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "Log as CSV" }).click();
  expect((await file).suggestedFilename()).toBe("drill-engine-failure-in-cruise-piston-twin.csv");
  // Over, the stage keys work again.
  await page.keyboard.press("2");
  await expect(page).toHaveURL(/departure/);
});

test("recall: a card each of what is due is answered by key, rated by itself, and comes back when it fades", async ({
  page,
}) => {
  await openDemo(page);
  const spine = page.getByRole("navigation", { name: "Stages" });
  await expect(spine).toContainText("5 cards due");
  await page.keyboard.press("7");
  await page.getByRole("tab", { name: "Recall" }).click();
  await expect(page.getByText(/^10 cards for today, of/)).toBeVisible();
  await page.keyboard.press("n");
  const card = page.getByRole("region", { name: "Card" });
  for (let i = 0; i < 5; i += 1) {
    await expect(card).toContainText(`${i + 1} of`);
    if ((await card.getByRole("list", { name: "Strips" }).count()) > 0) {
      // Lifted and moved by keyboard; where it ends is right or wrong, and said so.
      await card.getByRole("list", { name: "Strips" }).getByRole("button").first().focus();
      await page.keyboard.press("Space");
      await page.keyboard.press("ArrowDown");
      await page.keyboard.press("Space");
      await card.getByRole("button", { name: "That is the order" }).click();
    } else if ((await card.getByRole("slider").count()) > 0) {
      await card.getByRole("slider").press("End");
      await card.getByRole("button", { name: "Here", exact: true }).click();
      await expect(card).toContainText("Missed");
      await expect(card).toContainText("Comes back in 10 min.");
    } else await page.keyboard.press("a");
    await expect(card).toContainText("Why.");
    await expect(card).toContainText(/(Missed|Right).*, after \d+ s/);
    await page.keyboard.press("n");
  }
  // It is kept; what could not be sent before the page went is sent when it is there again.
  await page.reload();
  const kept = async () =>
    ((await (await page.request.get("/api/reviews")).json()) as { reviews: unknown[] }).reviews.length;
  await expect.poll(kept).toBe(15);
});

test("results: a run is kept, read by an instructor by a code, and no longer when the student ends it", async ({
  page,
  browser,
}) => {
  await openDemo(page);
  await page.keyboard.press("7");
  await page.getByRole("tab", { name: "Results" }).click();
  const results = page.getByRole("region", { name: "Results" });
  await expect(results.getByRole("row")).toHaveCount(3);
  await expect(results).toContainText(/1 wrong/);
  await page.getByRole("button", { name: "Sharing" }).click();
  await page.getByLabel("Let an instructor read my results as").fill("Student 3");
  await page.getByRole("button", { name: "Make a code" }).click();
  const code = (await results.getByRole("status").locator("strong").innerText()).trim();
  const other = await (await browser.newContext()).newPage();
  await openDemo(other);
  await other.keyboard.press("7");
  await other.getByRole("tab", { name: "Results" }).click();
  await other.getByRole("button", { name: "Sharing" }).click();
  await other.getByLabel("Code that I was given").fill(code.toLowerCase());
  await other.getByRole("button", { name: "Read", exact: true }).click();
  await other.getByRole("combobox", { name: "Whose" }).selectOption({ label: "Student 3" });
  await expect(other.getByRole("region", { name: "Results" }).getByRole("row")).toHaveCount(3);
  await expect(other.getByRole("button", { name: /^Delete/ })).toHaveCount(0);
  await page.reload();
  await page.getByRole("tab", { name: "Results" }).click();
  await page.getByRole("button", { name: "Sharing" }).click();
  await expect(page.getByText("“Student 3”: somebody reads your results")).toBeVisible();
  await page.getByRole("button", { name: "End", exact: true }).click();
  await expect(page.getByText("“Student 3”")).toHaveCount(0);
  await other.getByRole("combobox", { name: "Whose" }).selectOption({ label: "mine" });
  await other.getByRole("combobox", { name: "Whose" }).selectOption({ label: "Student 3" });
  await expect(other.getByText("These results are not shared with you, or not any more.")).toBeVisible();
  await other.context().close();
});

test("a procedure of one's own: copied, reordered by keyboard, run, saved; a checklist pasted becomes one", async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press("7");
  await page.getByRole("tab", { name: "Procedures" }).click();
  await page.getByRole("button", { name: "Copy Forced landing, piston single" }).press("Enter");
  const steps = page.getByRole("list", { name: "Steps in order" });
  const editor = page.getByRole("tabpanel", { name: "Procedures" });
  const aside = page.getByRole("complementary", { name: "Decision" });
  await expect(aside).toContainText("Nothing differs.");
  // Lifted with space, moved with the arrows, put down with space.
  await page.getByRole("button", { name: "Move Ignition" }).focus();
  await page.keyboard.press("Space");
  await page.waitForTimeout(300);
  await page.keyboard.press("ArrowUp");
  await page.waitForTimeout(300);
  await page.keyboard.press("Space");
  await expect(steps.getByRole("listitem").nth(2)).toContainText("Ignition");
  await expect(aside).toContainText("moved");
  // What cannot be taken back without a confirmation is not flown.
  await steps
    .getByRole("button", { name: /Ignition/ })
    .last()
    .click();
  await page.getByLabel("Confirmed").selectOption({ label: "no" });
  await expect(aside).toContainText("cannot be taken back: it needs a confirmation");
  await expect(page.getByRole("button", { name: "Run", exact: true })).toBeDisabled();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(aside).toContainText("It can be flown.");
  await page.getByLabel("Name", { exact: true }).first().fill("My forced landing");
  await editor.getByRole("button", { name: "Save", exact: true }).click();
  await expect(editor.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await expect(page.getByRole("combobox", { name: "Drill" })).toHaveText(/My forced landing/);
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await page.keyboard.press("Space");
  await expect(page.getByRole("region", { name: "Due now" }).getByText("Fuel selector", { exact: true })).toBeVisible();
  // It is there after a reload, and a checklist is pasted beside it.
  await page.reload();
  await page.getByRole("tab", { name: "Procedures" }).click();
  await expect(page.getByRole("region", { name: "Procedures" })).toContainText("My forced landing");
  await page.getByRole("button", { name: "Paste a checklist" }).click();
  await page
    .getByRole("textbox")
    .fill("ENGINE FAILURE\nMEMORY ITEMS:\nAirspeed ..... 68 KIAS\nFuel selector - BOTH\nIf no restart: land");
  const becomes = page.getByRole("region", { name: "What it becomes" });
  await expect(becomes).toContainText("Line 5: A condition");
  await becomes.getByRole("button", { name: "Take 4 steps" }).click();
  await expect(steps.getByRole("listitem")).toHaveCount(4);
  await editor.getByRole("button", { name: "Save", exact: true }).click();
  await expect(editor.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
  const { documents } = (await (await page.request.get("/api/procedures")).json()) as { documents: unknown[] };
  expect(documents).toHaveLength(2);
});

test("a flight test of one's own: built, put in order by keyboard, saved, run piece by piece", async ({ page }) => {
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await page.keyboard.press("7");
  await page.getByRole("tab", { name: "Exercises" }).click();
  await page.getByRole("button", { name: "Build one" }).click();
  await page.getByLabel("Name of the flight test").fill("Before the examiner");
  const editor = page.getByRole("tabpanel", { name: "Exercises" });
  const order = editor.getByRole("list", { name: "Exercises in order" });
  await page.getByLabel("Another exercise").selectOption({ label: "Engine failure in cruise, one engine held" });
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(order.getByRole("listitem")).toHaveCount(2);
  await page.getByRole("button", { name: "Move Engine failure in cruise, one engine held", exact: true }).focus();
  await page.keyboard.press("Space");
  await page.waitForTimeout(300);
  await page.keyboard.press("ArrowUp");
  await page.waitForTimeout(300);
  await page.keyboard.press("Space");
  await expect(order.getByRole("listitem").first()).toContainText("Engine failure in cruise");
  await page.getByLabel("Repeats in all").fill("0");
  await editor.getByRole("button", { name: "Save", exact: true }).click();
  await expect(editor.getByRole("button", { name: "Saved", exact: true })).toBeVisible();
  await editor.getByRole("button", { name: "Close" }).click();
  // There after a reload; the card of all of it; the first that is open is run, and stands as not passed.
  await page.reload();
  await page.getByRole("tab", { name: "Exercises" }).click();
  await page.getByLabel("Flight test", { exact: true }).selectOption({ label: "Before the examiner" });
  const card = page.waitForEvent("download");
  await page.getByRole("button", { name: "Card of all" }).click();
  expect((await card).suggestedFilename()).toBe("exercise-before-the-examiner.pdf");
  await page.getByRole("button", { name: /^Go on: Engine failure in cruise/ }).click();
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  // What was never begun is not passed by being left.
  await page.getByRole("tab", { name: "Exercises" }).click();
  await expect(page.getByRole("complementary", { name: "Decision" })).toContainText("Before the examiner: going on.");
  await expect(page.getByRole("complementary", { name: "Decision" })).toContainText("0 of 2");
});

test("a drill by touch on a narrow screen: begun, named, set, left", async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    baseURL,
    hasTouch: true,
    viewport: { width: 1024, height: 768 },
    serviceWorkers: "block",
  });
  const page = await context.newPage();
  await openDemo(page);
  await flyAircraft(page, "Larch T2");
  await page.getByRole("link", { name: /Rehearse/ }).tap();
  await page.getByRole("button", { name: "Begin", exact: true }).tap();
  const due = page.getByRole("region", { name: "Due now" });
  const panel = page.getByRole("region", { name: "Panel" });
  await due.getByRole("button", { name: /space$/ }).tap();
  for (const [control, position] of [
    ["Mixture", "rich"],
    ["Propeller", "fine"],
    ["Throttle", "full"],
  ])
    for (const side of ["left", "right"]) {
      const stop = panel.getByRole("button", { name: `${side} ${control} ${position}` });
      // A finger needs its room.
      const box = await stop.boundingBox();
      expect(box?.height).toBeGreaterThanOrEqual(24);
      expect(box?.width).toBeGreaterThanOrEqual(24);
      await stop.tap();
    }
  await due.getByRole("button", { name: /space$/ }).tap();
  await due.getByRole("button", { name: /Right/ }).tap();
  await panel.getByRole("button", { name: "right Throttle idle" }).tap();
  await expect(due).toContainText("Did anything change?");
  await context.close();
});

test("flown by hand from where Landing stands: an engine fails, keys, a gamepad and the drill, back ten seconds, the replay", async ({
  page,
}) => {
  test.setTimeout(240_000);
  // A gamepad that is moved by the journey.
  await page.addInitScript(() => {
    const buttons = [0, 1, 2, 3].map(() => ({ pressed: false }));
    const pad = { id: "Journey’s own", connected: true, axes: [0, 0, 0, 0], buttons };
    Object.assign(window, { pad });
    navigator.getGamepads = () => [pad as unknown as Gamepad, null, null, null];
  });
  await openDemo(page);
  await page.getByRole("link", { name: "Fly this" }).click();
  const set = page.getByRole("region", { name: "Set up" });
  await expect(set).toContainText("engine stops, in three seconds");
  await set.getByLabel(/^The nose holds/).check();
  await set.getByLabel("Drill done with it").selectOption({ label: "Engine failure in cruise, piston single" });
  await set.getByRole("button", { name: "Pause: no button" }).click();
  await page.evaluate(() => {
    const { pad } = window as unknown as { pad: { buttons: { pressed: boolean }[] } };
    pad.buttons[2].pressed = true;
  });
  await expect(set.getByRole("button", { name: "Pause: button 3" })).toBeVisible();
  await page.getByRole("button", { name: "Fly", exact: true }).click();
  const aside = page.getByRole("complementary", { name: "Decision" });
  await expect(aside).toContainText("Since it failed", { timeout: 30_000 });
  await page.getByRole("combobox", { name: "Look" }).selectOption({ label: "Map" });
  const stick = (axes: number[]) =>
    page.evaluate((to) => Object.assign((window as unknown as { pad: { axes: number[] } }).pad, { axes: to }), axes);
  // The keys bank it; the gamepad the other way; the stage keys are off.
  const bank = page.locator("figcaption", { hasText: "bank" });
  await page.keyboard.down("ArrowLeft");
  await expect(bank).toContainText(/[1-9]\d° left/, { timeout: 15_000 });
  await page.keyboard.up("ArrowLeft");
  await stick([0.7, 0, 0, 0]);
  await expect(bank).toContainText(/[1-9]\d° right/, { timeout: 15_000 });
  await stick([0, 0, 0, 0]);
  // About level again: a spiral would be over before the drill is.
  for (let i = 0; i < 40; i += 1) {
    const now = await bank.innerText();
    if (!/\d\d°/.test(now)) break;
    const key = now.includes("right") ? "ArrowLeft" : "ArrowRight";
    await page.keyboard.down(key);
    await page.waitForTimeout(120);
    await page.keyboard.up(key);
  }
  // One that goes away lets go: what it had is held.
  await page.evaluate(() => Object.assign((window as unknown as { pad: object }).pad, { connected: false }));
  // So much is flown that ten seconds back is not its beginning.
  await expect(aside).toContainText(/Since it began\s*0:(1[2-9]|[2-5]\d)/, { timeout: 30_000 });
  await page.getByRole("button", { name: "10 s", exact: true }).click();
  await expect(aside).toContainText(/Gone back\s*once/);
  await expect(page.getByText("Paused.")).toBeVisible();
  await page.keyboard.press("Escape");
  // The drill goes with it: what is said, and a lever of the aeroplane, in their order.
  const due = page.getByRole("region", { name: "Due now" });
  await expect(due).toContainText("Best glide, trim");
  await page.keyboard.press("Space");
  await expect(due).toContainText("where do I land?");
  await page.keyboard.press("Space");
  await expect(due).toContainText("Fuel selector");
  const levers = page.getByRole("group", { name: "Levers" });
  await levers.getByRole("button", { name: /^fuel on/ }).click();
  await expect(levers.getByRole("button", { name: /^fuel other/ })).toBeVisible();
  await expect(due).toContainText("Fuel pump");
  await page.getByRole("region", { name: "Panel" }).getByRole("button", { name: "Fuel pump on" }).click();
  await expect(page.getByRole("button", { name: "pump on", exact: true })).toBeVisible();
  await expect(due).toContainText("Carburettor heat");
  await aside.getByRole("combobox", { name: "What fails" }).selectOption({ label: "suction gone" });
  await aside.getByRole("button", { name: "Fail", exact: true }).click();
  await page.waitForTimeout(3000);
  await page.getByRole("button", { name: "End", exact: true }).click();
  await expect(page.getByRole("region", { name: "Recording" })).toContainText("Over stall");
  await expect(aside).toContainText("Ended in the air.");
  await expect(aside).toContainText("gone back once");
  // A slow machine answers late: in order it is all the same.
  await expect(aside).toContainText(
    /Engine failure in cruise, piston single: (in order, in time|\d late), not ended\./,
  );
  // Where the height went, beside the plan from where it failed.
  const height = aside.getByRole("region", { name: "Height" });
  await expect(height).toContainText(/Planned from the failure, dashed: .+ left over the reserve/);
  await expect(height).toContainText(/Flown so at once by the modelled pilot: .+ left over the reserve/);
  await height
    .getByRole("row", { name: /Reaction/ })
    .getByRole("button")
    .click();
  await expect(page.getByRole("dialog")).toContainText("energy height");
  await page.keyboard.press("Escape");
  await expect(height).toContainText("Height lost");
  const time = page.getByRole("slider", { name: "Time" });
  await time.press("End");
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "CSV", exact: true }).click();
  expect((await file).suggestedFilename()).toBe("flight-alder-s1.csv");
  // The recording of this browser flies here, in Node, to the same bits.
  const kept = page.waitForEvent("download");
  await page.getByRole("button", { name: "Recording", exact: true }).click();
  const { flown, recording, state } = JSON.parse(await readFile(await (await kept).path(), "utf8"));
  const terrain = demoTerrain();
  const grid = { ...terrain, elevations_m: Int16Array.from(terrain.elevations_m, Math.round) };
  const again = setUpFlight(FlightSetUp.parse(flown.setUp), groundOf(grid, flown.setUp.ground_m, flown.strips));
  if (!again.ok) throw new Error(again.issue.message);
  replay(again.value, Recording.parse(recording));
  expect([...again.value.state]).toEqual(state);
  // It is kept in this browser, and flown again to be looked at.
  await page.reload();
  await page.getByRole("region", { name: "Flights" }).getByRole("button", { name: "Look at it" }).click();
  await expect(page.getByRole("region", { name: "Recording" })).toContainText("Over stall");
  await expect(aside).toContainText("Ended in the air.");
  // And in the account, from any browser.
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await page.getByRole("tab", { name: "Results" }).click();
  await page.getByLabel("What").selectOption({ label: "flights by hand" });
  const flights = page.getByRole("table", { name: "Flights by hand" });
  await expect(flights.getByRole("row", { name: /Alder S1 .+ engine stops/ })).toContainText("ended in the air");
  await expect(aside).toContainText("than its way needed");
  await flights.getByRole("button", { name: /^Look at the flight/ }).click();
  await expect(page.getByRole("region", { name: "Recording" })).toContainText("Over stall");
});

/** Joins the crew at an address, in a browser of its own and without an account. */
async function joined(browser: Browser, url: string, part: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(url);
  await page.getByRole("button", { name: part, exact: true }).click();
  await expect(page.getByText(`You are ${part}`)).toBeVisible();
  return page;
}

test("a crew of two and an instructor: engine fire, the wrong engine, a lost line, the second bottle after 30 s", async ({
  page: host,
  browser,
}) => {
  await openDemo(host);
  await flyAircraft(host, "Cedar J2");
  await host.keyboard.press("7");
  await host.getByRole("button", { name: "As a crew" }).click();
  await expect(host.getByRole("heading", { name: "Join a crew" })).toBeVisible();
  const url = host.url();
  await host.getByRole("button", { name: "pilot flying", exact: true }).click();
  await expect(host.getByText("You are pilot flying")).toBeVisible();
  const other = await joined(browser, url, "pilot monitoring");
  const instructor = await joined(browser, url, "instructor");
  // Each part is there once.
  const late = await (await browser.newContext()).newPage();
  await late.goto(url);
  await expect(late.getByRole("button", { name: "pilot flying, taken" })).toBeDisabled();
  await late.context().close();

  const due = (page: Page) => page.getByRole("region", { name: "Due now" });
  // What comes next is told as well: the step that is due stands alone.
  const asks = (page: Page, challenge: string, timeout = 10_000) =>
    expect(due(page).getByText(challenge, { exact: true })).toBeVisible({ timeout });
  /** The engine is named by one, with the hand of the other on it. */
  const names = async (by: Page, hand: Page, challenge: string) => {
    await asks(by, challenge);
    await by.keyboard.press("r");
    await expect(due(hand)).toContainText("right confirmed");
  };
  const done = (page: Page) => page.getByRole("list", { name: "What was done" });
  const lever = (page: Page, name: string) =>
    page.getByRole("region", { name: "Panel" }).getByRole("button", { name, exact: true });
  await host.getByRole("button", { name: "Begin" }).click();
  await expect(due(host)).toContainText("Waits for pilot monitoring");
  await other.keyboard.press("Space");
  await asks(host, "I have control: heading, speed");
  await host.keyboard.press("Space");
  // The wrong engine is named by the other: nothing is closed by it; then the right one.
  await expect(due(other)).toContainText("name the engine");
  await other.keyboard.press("l");
  await expect(done(host)).toContainText("The wrong engine.");
  await lever(host, "right Thrust lever closed").click();
  await expect(done(other)).toContainText("Not confirmed");
  await names(other, host, "Thrust lever, confirm");
  await lever(host, "right Thrust lever closed").click();
  await asks(host, "Fuel lever, confirm");

  // The line of one is lost: the other goes on, and it comes back to where the drill is.
  await other.context().setOffline(true);
  await instructor.getByLabel("Note at this moment").fill("Well named");
  await instructor.getByRole("button", { name: "Note", exact: true }).click();
  await expect(host.getByRole("region", { name: "Notes" })).toContainText("Well named");
  await other.context().setOffline(false);
  await expect(other.getByRole("region", { name: "Notes" })).toContainText("Well named", { timeout: 20_000 });
  await names(other, host, "Fuel lever, confirm");
  await lever(host, "right Fuel lever cut off").click();
  await names(host, other, "Fire handle, confirm");
  await lever(other, "right Fire handle pulled").click();
  await names(host, other, "Bottle 1, confirm");
  await lever(other, "right Bottle 1 fired").click();
  // Too early: it waits its thirty seconds.
  await asks(other, "Thirty seconds, the lamp");
  await lever(other, "right Bottle 2 fired").click();
  await expect(done(host)).toContainText("Too early");
  // A tab that is closed comes back where it was; the instructor stops, gives a height, lets it burn on.
  await instructor.getByRole("button", { name: "Stop" }).click();
  await expect(host.getByText("Paused.")).toBeVisible();
  await host.reload();
  await asks(host, "Thirty seconds, the lamp");
  await instructor.getByLabel(/^Height above ground/).fill("1500");
  await instructor.getByRole("button", { name: "Give the height" }).click();
  await instructor.getByRole("button", { name: "Go on" }).click();
  await expect(host.getByRole("img", { name: "Height while the drill runs" })).toContainText(/now 1\s?[45]/);
  // The other engine gives less from now on: it sinks.
  await instructor.getByLabel(/^Climbs, or sinks/).fill("-90");
  await instructor.getByRole("button", { name: "Give the rate" }).click();
  await expect(host.getByRole("complementary", { name: "Decision" })).toContainText(/Each 10 s of waiting are 20\s?ft/);
  await asks(host, "Does the lamp still burn?", 40_000);
  // By chance it is out now; the instructor's page may still have it burn for a moment.
  const lit = host.getByRole("region", { name: "Panel" }).getByText("fire lit");
  await expect(async () => {
    if (!(await lit.isVisible()))
      await instructor.getByRole("button", { name: "fire on", exact: true }).click({ timeout: 2000 });
    await expect(lit).toBeVisible({ timeout: 2000 });
  }).toPass({ timeout: 20_000 });
  await host.keyboard.press("2");
  await names(host, other, "Bottle 2, confirm");
  await lever(other, "right Bottle 2 fired").click();
  for (const [page, challenge] of [
    [host, "Land at once, tell them"],
    [host, "Engine fire checklist"],
    [other, "Fuel balance, approach on one engine"],
  ] as const) {
    await asks(page, challenge);
    await page.keyboard.press("Space");
  }
  await expect(host.getByRole("region", { name: "How it went" })).toContainText("Bottle 2");
  // Kept by the one who has an account, in his part.
  const roles = async () =>
    ((await (await host.request.get("/api/runs")).json()) as { runs: { role: string }[] }).runs.map(({ role }) => role);
  await expect.poll(roles).toContain("flying");
  expect((await other.request.get("/api/runs")).status()).toBe(401);
  for (const page of [other, instructor]) await page.context().close();
});

test("a flight that others look on at: the instructor lets it burn, one monitors and pulls the handle, each sees the other", async ({
  page: host,
  browser,
}) => {
  await openDemo(host);
  await flyAircraft(host, "Cedar J2");
  await host.keyboard.press("7");
  await host.getByRole("tab", { name: "Fly it" }).click();
  await host.getByRole("button", { name: "Others" }).click();
  const code = await host.getByRole("region", { name: "Code" }).locator(".num").last().innerText();
  const instructor = await joined(browser, `/crew?code=${code}`, "instructor");
  const other = await joined(browser, `/crew?code=${code}`, "pilot monitoring");
  await expect(instructor.getByText("The flight has not begun yet", { exact: false })).toBeVisible();
  const set = host.getByRole("region", { name: "Set up" });
  await set.getByLabel("Fails").selectOption({ label: "nothing" });
  await set.getByLabel(/^The nose holds/).check();
  await set.getByLabel("Drill done with it").selectOption({ label: "Engine fire in flight, jet" });
  await host.getByRole("button", { name: "Fly", exact: true }).click();
  await host.getByRole("combobox", { name: "Look" }).selectOption({ label: "Map" });
  const aside = (page: Page) => page.getByRole("complementary", { name: "Decision" });
  await expect(aside(host)).toContainText("With you: instructor, pilot monitoring.");

  // What is to fail later is taken back; what fails now is seen by all, and the drill begins with it.
  const panel = instructor.getByRole("region", { name: "Instructor" });
  await panel.getByLabel("Fails").selectOption({ label: "engine fire" });
  await panel.getByLabel("Engine").selectOption({ label: "right" });
  await panel.getByLabel("When").selectOption({ label: "after some seconds" });
  await panel.getByRole("textbox", { name: "After" }).fill("300");
  await panel.getByRole("button", { name: "Let it fail" }).click();
  await expect(panel).toContainText(/To come: engine fire, right in 4:5\d/);
  await panel.getByRole("button", { name: "Take back" }).click();
  await expect(panel).not.toContainText("To come");
  await panel.getByLabel("When").selectOption({ label: "now" });
  await panel.getByRole("button", { name: "Let it fail" }).click();
  await expect(panel).toContainText(/Failed: engine fire, right, 0:\d\d ago/);
  await expect(host.getByText("fire, right", { exact: true })).toBeVisible();
  await expect(aside(host)).toContainText("Since it failed");

  // Each does his own half of the drill.
  const due = (page: Page) => page.getByRole("region", { name: "Due now" });
  await expect(due(host)).toContainText("Waits for pilot monitoring");
  await other.keyboard.press("Space");
  await expect(due(host)).toContainText("I have control");
  await host.keyboard.press("Space");
  await expect(due(other)).toContainText("Thrust lever, confirm");
  // A lever that the other moves moves where it is flown.
  await other.getByRole("group", { name: "Levers" }).getByLabel("left Fuel", { exact: true }).fill("90");
  await expect(host.getByRole("group", { name: "Levers" }).getByLabel("left Fuel", { exact: true })).toHaveValue("90");

  // The instructor stops it, notes, goes back; the one who flies ends it.
  await instructor.getByRole("button", { name: "Stop" }).click();
  await expect(aside(host)).toContainText("Paused.");
  await instructor.getByLabel("Note at this moment").fill("Well named");
  await instructor.getByRole("button", { name: "Note", exact: true }).click();
  await expect(host.getByRole("region", { name: "Notes" })).toContainText("Well named");
  await panel.getByRole("button", { name: "10 s back" }).click();
  await expect(aside(instructor)).toContainText("Gone back");
  await host.getByRole("button", { name: "End" }).click();
  await expect(aside(instructor)).toContainText("The flight is over.");
  await expect(aside(other)).toContainText("The flight is over.");
  // Loaded anew they are still with the one who flies, for the next flight.
  await host.reload();
  await host.getByRole("tab", { name: "Fly it" }).click();
  await expect(aside(host)).toContainText("With you: instructor, pilot monitoring.");
  for (const page of [other, instructor]) await page.context().close();
});
