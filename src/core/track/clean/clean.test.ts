import { describe, expect, it } from "vitest";
import { geodesicBetween } from "../../earth/geodesic";
import type { FlightLog } from "../log";
import { cleanLog } from "./clean-log";
import { groundLine } from "./ground-line";

/** A log northward at 30 m/s, one fix a second, changed. */
function log(change: (fixes: { t: number; lat: number; lon: number }[]) => void): FlightLog {
  const fixes = Array.from({ length: 40 }, (_, t) => ({ t, lat: 47 + (30 * t) / 111_180, lon: -130 }));
  change(fixes);
  return {
    format: "gpx",
    clock: "utc",
    aircraft: null,
    faults: [],
    faultCount: 0,
    time_s: Float64Array.from(fixes, ({ t }) => t),
    columns: {
      latitude_deg: Float64Array.from(fixes, ({ lat }) => lat),
      longitude_deg: Float64Array.from(fixes, ({ lon }) => lon),
    },
  };
}

function cleaned(change: Parameters<typeof log>[0]) {
  const found = cleanLog(log(change));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("putting a log in order", () => {
  it("leaves a good log as it is", () => {
    const found = cleaned(() => undefined);
    expect(found.time_s).toHaveLength(40);
    expect(found).toMatchObject({ interval_s: 1, holes: [], sorted: 0 });
    expect(found.leftOut).toEqual({ repeated: 0, setBack: 0, jumped: 0, withoutPlace: 0 });
  });

  it("a late fix is sorted in; a clock that is set back is left out; a time that is repeated counts once", () => {
    const late = cleaned((fixes) => fixes.splice(20, 0, ...fixes.splice(10, 1)));
    expect(late.sorted).toBe(1);
    expect(Array.from(late.time_s)).toEqual(Array.from({ length: 40 }, (_, i) => i));
    const back = cleaned((fixes) => fixes.slice(35).forEach((fix) => (fix.t -= 300)));
    expect(back.leftOut.setBack).toBe(5);
    const twice = cleaned((fixes) => fixes.splice(5, 0, { ...fixes[5] }));
    expect(twice.leftOut.repeated).toBe(1);
  });

  it("a jump there and back is out, one that stays is flown; 0/0 and no place are out", () => {
    const jump = cleaned((fixes) => (fixes[12].lat += 0.01));
    expect(jump.leftOut.jumped).toBe(1);
    const away = cleaned((fixes) => fixes.slice(12).forEach((fix) => (fix.lat += 0.01)));
    expect(away.leftOut.jumped).toBe(0);
    const none = cleaned((fixes) => {
      Object.assign(fixes[3], { lat: 0, lon: 0 });
      fixes[4].lat = NaN;
    });
    expect(none.leftOut.withoutPlace).toBe(2);
  });

  it("tells holes, of more than three and a half intervals", () => {
    const { holes } = cleaned((fixes) => fixes.splice(10, 6));
    expect(holes).toEqual([{ from_s: 9, to_s: 16 }]);
    expect(cleaned((fixes) => fixes.splice(10, 1)).holes).toEqual([]);
  });

  it("a log without a place is none", () => {
    expect(cleanLog(log((fixes) => fixes.forEach((fix) => (fix.lat = NaN))))).toMatchObject({ ok: false });
  });
});

describe("metres along the way", () => {
  // Held against Karney’s geodesics.
  it.each([
    [0, 10, 0.01, 0.02],
    [47, -130, -0.02, 0.03],
    [-80, 179.99, 0.01, 0.05],
  ])("from %d° %d° by %d° %d°, to a millimetre in a kilometre", (lat, lon, dLat, dLon) => {
    const steps = 20;
    const lats = Float64Array.from({ length: steps + 1 }, (_, i) => lat + (dLat * i) / steps);
    const lons = Float64Array.from({ length: steps + 1 }, (_, i) => ((lon + (dLon * i) / steps + 540) % 360) - 180);
    const { x_m, y_m } = groundLine(lats, lons);
    for (let i = 1; i <= steps; i += 1) {
      const { distance_m } = geodesicBetween(
        { latitude_deg: lats[i - 1], longitude_deg: lons[i - 1] },
        { latitude_deg: lats[i], longitude_deg: lons[i] },
      );
      expect(Math.hypot(x_m[i] - x_m[i - 1], y_m[i] - y_m[i - 1]) / distance_m).toBeCloseTo(1, 6);
    }
  });
});
