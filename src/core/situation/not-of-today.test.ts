import { describe, expect, it } from "vitest";
import { readMetar } from "../air/metar";
import { metarTime_ms } from "../air/metar-time";
import { isoDay, notOfToday } from "./not-of-today";

const NOON_MS = Date.UTC(2026, 10, 24, 12, 20);
const wind = { surface: null, layers: [] };
const aloft = { surface: null, layers: [{ altitude_m: 900, from_rad: 1, speed_mps: 5 }] };

describe("when a report was made", () => {
  // By the calendar: the number of the day names neither month nor year.
  it.each([
    ["METAR TRSK 241200Z 25014KT", "2026-11-24T12:00"],
    ["TRSK 232350Z 25014KT", "2026-11-23T23:50"],
    ["TRSK 241310Z 25014KT", "2026-11-24T13:10"],
    // Later than a clock may be off: the day of the month before.
    ["TRSK 241430Z 25014KT", "2026-10-24T14:30"],
    ["TRSK 250600Z 25014KT", "2026-10-25T06:00"],
    ["TRSK 310600Z 25014KT", "2026-10-31T06:00"],
    ["TRSK 251200Z AUTO", "2026-10-25T12:00"],
  ])("%s: %s", (text, time) => {
    expect(new Date(metarTime_ms(text, NOON_MS) ?? 0).toISOString().slice(0, 16)).toBe(time);
  });

  it("over the end of February and of the year", () => {
    const made = (text: string, now: string) => metarTime_ms(text, Date.parse(now));
    expect(made("TRSK 312345Z", "2027-01-01T00:10Z")).toBe(Date.parse("2026-12-31T23:45Z"));
    expect(made("TRSK 310600Z", "2027-03-01T06:00Z")).toBe(Date.parse("2027-01-31T06:00Z"));
    expect(made("TRSK 290600Z", "2028-02-29T06:30Z")).toBe(Date.parse("2028-02-29T06:00Z"));
  });

  it.each(["TRSK 25014KT", "TRSK 321200Z", "TRSK 242500Z", "TRSK 001200Z", ""])("“%s” does not say", (text) => {
    expect(metarTime_ms(text, NOON_MS)).toBeNull();
  });

  it("is the day and time that the report's reader finds", () => {
    const report = readMetar("METAR TRSK 241150Z 25014KT 9999 12/08 Q1016");
    const made = new Date(metarTime_ms("METAR TRSK 241150Z 25014KT 9999 12/08 Q1016", NOON_MS) ?? 0);
    expect(report.ok && [report.value.day, report.value.hour, report.value.minute]).toEqual([
      made.getUTCDate(),
      made.getUTCHours(),
      made.getUTCMinutes(),
    ]);
  });
});

describe("what is not of today", () => {
  const day = "2026-11-24";
  const fresh = { metar: "TRSK 241150Z 25014KT", wind, aloftAt: null, day };

  it("a fresh report on the day says nothing, nor wind aloft that was asked for today", () => {
    expect(notOfToday(fresh, NOON_MS)).toEqual([]);
    expect(notOfToday({ ...fresh, wind: aloft, aloftAt: "2026-11-24T06:25:00Z" }, NOON_MS)).toEqual([]);
  });

  it.each([
    [{ metar: null }, "typed, not read"],
    [{ metar: "TRSK 25014KT" }, "does not say when"],
    [{ metar: "TRSK 232350Z" }, "12 h 30 min old, of 2026-11-23"],
    [{ metar: "TRSK 240950Z" }, "2 h 30 min old"],
    [{ wind: aloft }, "wind aloft was typed"],
    [{ wind: aloft, aloftAt: "2026-11-23T23:50:00Z" }, "wind aloft is 12 h 30 min old, of 2026-11-23"],
    [{ day: "2026-11-20" }, "of 2026-11-20"],
  ])("%j: …%s…", (change, words) => {
    const said = notOfToday({ ...fresh, ...change }, NOON_MS);
    expect(said).toHaveLength(1);
    expect(said[0]).toContain(words);
  });

  it("an hour and a quarter is still fresh, a minute more is not", () => {
    const old = (minutes: number) =>
      notOfToday({ ...fresh, metar: "TRSK 241100Z" }, Date.UTC(2026, 10, 24, 11, minutes));
    expect(old(75)).toEqual([]);
    expect(old(76)).toHaveLength(1);
  });

  it("midnight makes nothing old", () => {
    const midnight_ms = Date.UTC(2026, 10, 24, 0, 10);
    const before = { metar: "TRSK 232350Z", wind: aloft, aloftAt: "2026-11-23T23:50:00Z", day };
    expect(notOfToday(before, midnight_ms)).toEqual([]);
  });

  it("a day is that of UTC", () => {
    expect(isoDay(Date.UTC(2026, 0, 1, 0, 0))).toBe("2026-01-01");
    expect(isoDay(Date.UTC(2025, 11, 31, 23, 59))).toBe("2025-12-31");
  });
});
