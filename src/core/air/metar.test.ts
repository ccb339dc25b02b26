// Reports of our own making in the groups of WMO-No. 306, FM 15 (from memory).
import { describe, expect, it } from "vitest";
import { degrees } from "../quantities/angle";
import { MPS_PER_KT, ZERO_CELSIUS_K } from "../quantities/constants";
import { type MetarReport, readMetar } from "./metar";

function read(text: string): MetarReport {
  const found = readMetar(text);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("METAR", () => {
  it("gusts, varying direction, frost", () => {
    const report = read("METAR TRSK 241200Z AUTO 25014G24KT 220V290 9999 FEW030 BKN045 M05/M10 Q1016 NOSIG=");
    expect(report).toMatchObject({
      station: "TRSK",
      day: 24,
      hour: 12,
      minute: 0,
      automatic: true,
      cavok: false,
      missing: [],
      notUnderstood: [],
    });
    expect(degrees(report.wind?.from_rad ?? NaN)).toBeCloseTo(250, 9);
    expect((report.wind?.speed_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(14, 9);
    expect((report.wind?.gust_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(24, 9);
    expect(report.wind?.variesBetween_rad?.map((angle) => Math.round(degrees(angle)))).toEqual([220, 290]);
    expect((report.temperature_K ?? NaN) - ZERO_CELSIUS_K).toBeCloseTo(-5, 9);
    expect((report.dewPoint_K ?? NaN) - ZERO_CELSIUS_K).toBeCloseTo(-10, 9);
    expect(report.qnh_Pa).toBe(101_600);
  });

  it("metres a second, CAVOK, inches of mercury: A2992 is 1013.2 hPa", () => {
    const report = read("TRSK 010000Z 27007MPS CAVOK 12/08 A2992");
    expect(report.cavok).toBe(true);
    expect(report.wind?.speed_mps).toBe(7);
    expect((report.qnh_Pa ?? NaN) / 100).toBeCloseTo(1013.2, 1);
  });

  it("a variable wind has no direction", () => {
    expect(read("TRSK 010000Z VRB03KT CAVOK 12/08 Q1009").wind).toMatchObject({ from_rad: null, atLeast: false });
  });

  it("99 kt or more is read as 99 and marked", () => {
    const report = read("TRSK 010000Z 240P99KT 0800 12/08 Q0968");
    expect((report.wind?.speed_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(99, 9);
    expect(report.wind?.atLeast).toBe(true);
    expect(report.notUnderstood).toEqual([]);
  });

  it("names the groups that an automatic station left out", () => {
    const report = read("TRSK 010000Z AUTO /////KT //// ////// 12/08 Q1009");
    expect(report.wind).toBeNull();
    expect(report.missing).toEqual(["wind", "visibility", "cloud"]);
    expect(read("TRSK 010000Z AUTO 24010KT ///// Q////").missing).toEqual(["temperature", "pressure"]);
  });

  it("lists what it did not understand and uses the rest", () => {
    const report = read("TRSK 010000Z 25014KT 9999 FOOBAR 12/08 Q1009 XYZZY RMK anything goes here");
    expect(report.notUnderstood).toEqual(["FOOBAR", "XYZZY"]);
    expect(report.qnh_Pa).toBe(100_900);
  });

  it.each([
    ["TRSK 010000Z 72514KT 12/08 Q1009", "72514KT"],
    ["TRSK 010000Z 25014KT 12/08 Q9999", "Q9999"],
    ["TRSK 010000Z P99KT 12/08 Q1009", "P99KT"],
  ])("does not take an impossible value: %s", (text, word) => {
    expect(read(text).notUnderstood).toContain(word);
  });

  it.each([
    ["", "metar_empty"],
    ["hello world nonsense", "metar_unreadable"],
    ["TRSK 010000Z", "metar_unreadable"],
    ["X".repeat(2001), "metar_too_long"],
    ["\u0000{}[]<script>", "metar_unreadable"],
  ])("refuses %j", (text, code) => {
    const found = readMetar(text);
    expect(found.ok ? "" : found.issue.code).toBe(code);
  });
});
