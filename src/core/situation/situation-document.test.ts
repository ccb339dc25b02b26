import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { readSituation } from "./situation-versions";

const DEMO = demoSituation();

describe("situation document", () => {
  it("survives JSON unchanged", () => {
    const read = readSituation(JSON.parse(JSON.stringify(DEMO)));
    expect(read).toEqual({ ok: true, value: DEMO });
  });

  it.each([
    [{ ...DEMO, version: 9 }, "future_version", "version"],
    [{ ...DEMO, schema: "something/else" }, "situation_invalid", "schema"],
    [null, "situation_invalid", "schema"],
    ["text", "situation_invalid", "schema"],
    [{ ...DEMO, heading_rad: 12.65 }, "situation_invalid", "heading_rad"],
    [{ ...DEMO, heading_rad: NaN }, "situation_invalid", "heading_rad"],
    [{ ...DEMO, mass_kg: -1 }, "situation_invalid", "mass_kg"],
    [{ ...DEMO, position: { latitude_deg: 91, longitude_deg: 0 } }, "situation_invalid", "position.latitude_deg"],
    [{ ...DEMO, day: "24.11.2026" }, "situation_invalid", "day"],
    [
      { ...DEMO, wind: { surface: { from_rad: 0, speed_mps: 900 }, layers: [] } },
      "situation_invalid",
      "wind.surface.speed_mps",
    ],
  ])("refuses %#", (value, code, path) => {
    const read = readSituation(value);
    expect(read.ok ? [] : [read.issue.code, read.issue.path]).toEqual([code, path]);
  });

  it("says in words what would be right", () => {
    const read = readSituation({ ...DEMO, air: { ...DEMO.air, qnh_Pa: 1016 } });
    expect(read.ok ? "" : read.issue.message).toContain("850 to 1090 hPa");
  });
});
