// Following: the simulated aircraft of the stand-in, a recording, and what is called out meanwhile.
import { expect } from "@playwright/test";
import { answered, openDemo, test } from "./demo";

const sentence = (body: string) => {
  const sum = [...body].reduce((xor, letter) => xor ^ letter.charCodeAt(0), 0);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, "0")}`;
};
const two = (value: number) => String(value).padStart(2, "0");

/** A glide northward past Skerrow from 2 600 ft, one position a second. */
function recording(seconds: number): string {
  return Array.from({ length: seconds }, (_, i) => {
    const time = `1200${two(i)}.00`;
    const place = `470${(9 - i * 0.02).toFixed(4)},S,13058.0000,W`;
    return [
      sentence(`GPRMC,${time},A,${place},72.0,0.0,241126,,`),
      sentence(`GPGGA,${time},${place},1,08,0.9,${(792 - 4 * i).toFixed(1)},M,0.0,M,,`),
    ].join("\n");
  }).join("\n");
}

test("the simulated aircraft is followed, its engine stops, the signal goes and comes; one undo takes it all back", async ({
  page,
}) => {
  await openDemo(page);
  const chip = page.getByRole("button", { name: /^Place / });
  const before = await chip.innerText();
  await page.getByRole("button", { name: "Follow", exact: true }).click();
  await page.getByRole("button", { name: "Simulated, from here" }).click();
  const followed = page.getByRole("region", { name: "Followed" });
  await expect(followed).toContainText(/o’clock, [\d.]+\sNM: made, [\d\u202f]+\sft in hand/);
  await expect(followed).toContainText("A training aid, not for navigation.");
  await followed.getByRole("button", { name: "Its engine stops" }).click();
  await expect(followed.getByRole("button", { name: "Its engine runs again" })).toBeVisible();
  // Below 2 300 ft: it sinks, and the answers follow.
  await expect(chip).toContainText(/2\s2\d0\sft/, { timeout: 20_000 });
  await followed.getByRole("button", { name: "Stop" }).click();
  await expect(followed).toHaveCount(0);
  await page.locator("#stage").focus();
  await page.keyboard.press("Control+z");
  expect((await chip.innerText()).replace(/\s/g, "")).toBe(before.replace(/\s/g, ""));
});

test("a recording is followed ten times as fast, its faults are counted; what is none is refused", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Follow", exact: true }).click();
  const choose = page.getByLabel("Recording to follow");
  await choose.setInputFiles({ name: "no.nmea", mimeType: "text/plain", buffer: Buffer.from("nothing of the kind") });
  const sheet = page.getByRole("dialog", { name: "Follow" });
  await expect(sheet.getByRole("alert")).toContainText("There is no flight in this file");
  await page.getByRole("combobox", { name: "Recording, as fast as" }).selectOption("10");
  const text = recording(60).replace(/\n/, "\n$GPGGA,damaged\n");
  await choose.setInputFiles({ name: "flight.nmea", mimeType: "text/plain", buffer: Buffer.from(text) });
  await expect(sheet.getByRole("alert")).toContainText("1 lines could not be read");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: /^Place / })).toContainText(/1\s8[23]0\sft/, { timeout: 15_000 });
  await expect(page.getByText("The recording has ended.")).toBeVisible();
  await answered(page);
});

test("when nothing is heard any more it is said within three seconds @alone", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Follow", exact: true }).click();
  const opened = page.waitForRequest((request) => request.url().includes("/api/follow?"));
  await page.getByRole("button", { name: "Simulated, from here" }).click();
  const flight = new URL((await opened).url()).searchParams.get("flight");
  const followed = page.getByRole("region", { name: "Followed" });
  await expect(followed).toContainText("o’clock");
  const told = (value: string) =>
    page.evaluate(
      ([name, lost]) =>
        fetch("/api/follow", {
          method: "POST",
          headers: { "content-type": "application/json" },
          body: JSON.stringify({ flight: name, what: "signal", value: lost }),
        }).then((answer) => answer.status),
      [flight, value],
    );
  expect(await told("1")).toBe(200);
  await expect(followed).toContainText("Signal lost", { timeout: 4500 });
  expect(await told("0")).toBe(200);
  await expect(followed).toContainText("o’clock");
  // Another account's flight is not to be stopped, nor what is none.
  expect((await page.request.get("/api/follow?flight=a&lat=100")).status()).toBe(422);
});
