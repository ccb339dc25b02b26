import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatWind, windInWords } from "./wind-words";

const rad = (angle_deg: number) => (angle_deg * Math.PI) / 180;

describe("wind in words", () => {
  it.each([
    [250, 7.2022, "250/14"],
    [0, 5, "360/10"],
    [359.8, 5, "360/10"],
    [4, 2.06, "004/04"],
    [90, 0.2, "calm"],
  ])("from %f° at %f m/s is %s", (from_deg, speed_mps, text) => {
    expect(formatWind({ from_rad: rad(from_deg), speed_mps }, DEFAULT_UNITS)).toBe(text);
  });

  it("names the surface wind and the lowest layer", () => {
    const surface = { from_rad: rad(250), speed_mps: 7.2022 };
    const high = { altitude_m: 1828.8, from_rad: rad(280), speed_mps: 14.4 };
    const low = { altitude_m: 914.4, from_rad: rad(270), speed_mps: 11.3 };
    expect(windInWords({ surface, layers: [high, low] }, DEFAULT_UNITS)).toBe("250/14 · 270/22 at 3k");
    expect(windInWords({ surface: null, layers: [low] }, { ...DEFAULT_UNITS, height: "m", speed: "kmh" })).toBe(
      "270/41 at 0.9k",
    );
    expect(windInWords({ surface: null, layers: [] }, DEFAULT_UNITS)).toBe("calm");
  });
});
