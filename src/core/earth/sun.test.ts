import { describe, expect, it } from "vitest";
import { degrees } from "../quantities/angle";
import { sunPosition } from "./sun";

const at = (latitude_deg: number, longitude_deg: number, day: string, utc_h: number) => {
  const { azimuth_rad, elevation_rad } = sunPosition({ latitude_deg, longitude_deg }, day, utc_h);
  return { azimuth: degrees(azimuth_rad), elevation: degrees(elevation_rad) };
};

// Geometry of the seasons: at noon the sun stands 90° − |latitude − declination| high; declination 0 at the equinoxes,
// ±23.44 at the solstices.
describe("sun", () => {
  it.each([
    ["equator, equinox, noon", 0, 0, "2026-03-20", 12, 88],
    ["50° north, midsummer, noon", 50, 0, "2026-06-21", 12, 63.4],
    ["50° north, midwinter, noon", 50, 0, "2026-12-21", 12, 16.6],
    ["47° south, midsummer, local noon", -47, -131, "2026-12-21", 20.7, 66.4],
  ])("%s", (_says, latitude, longitude, day, utc_h, elevation) => {
    expect(Math.abs(at(latitude, longitude, day, utc_h).elevation - elevation)).toBeLessThan(2);
  });

  it("rises in the east, stands in the north at noon in the south, and is down at night", () => {
    expect(at(0, 0, "2026-03-20", 7).azimuth).toBeCloseTo(90, -1);
    const noon = at(-47, -131, "2026-12-21", 20.7).azimuth;
    expect(Math.min(noon, 360 - noon)).toBeLessThan(8);
    expect(at(50, 0, "2026-06-21", 0).elevation).toBeLessThan(0);
  });
});
