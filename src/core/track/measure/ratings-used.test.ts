import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../../demo/read-demo";
import { flown } from "../flown";
import { readLog } from "../formats/read-log";
import { ratingsUsed } from "./ratings-used";

const HAZEL = demoHelicopter();

/** A hover of minutes near the sea level: power of both engines, kW, by time. */
function hover(power: (t: number) => readonly [number, number], seconds: number, interval_s: number, more = "") {
  const rows = Array.from({ length: Math.round(seconds / interval_s) + 1 }, (_, i) => {
    const t = i * interval_s;
    const [one, two] = power(t);
    const lat = 47 + 1e-7 * Math.sin(t);
    return [t.toFixed(2), lat.toFixed(7), "9.0000000", "60.0", "60.0", one, two].join(",");
  });
  const read = readLog(
    [`elapsed_s,lat,lon,GPS altitude (m),pressure altitude (m),E1 power (kW),E2 power (kW)${more}`, ...rows, ""].join(
      "\n",
    ),
  );
  if (!read.ok) throw new Error(read.issue.message);
  const found = flown(read.value, { deviation_K: 0, wind: null, calibration: null });
  if (!found.ok) throw new Error(found.issue.message);
  const used = ratingsUsed(found.value, HAZEL, 0);
  if (!used.ok) throw new Error(used.issue.message);
  return used.value;
}
/** One engine out from a moment to another, the other at so much, kW. */
const out = (from_s: number, to_s: number, kW: number) => (t: number) =>
  t >= from_s && t < to_s ? ([kW, 0] as const) : ([260, 260] as const);

describe("ratings in a log", () => {
  it.each([0.1, 0.5, 1])(
    "a spell of 60 s on 500 kW is one of 2½ min, and as long as it was, every %f s",
    (interval_s) => {
      const { spells, bands, exceedances, inspection } = hover(out(40, 100, 500), 160, interval_s);
      expect(spells).toHaveLength(1);
      const [{ name, hovers, lasted_s, from_s }] = spells;
      expect([name, hovers]).toEqual(["2½ min", true]);
      if (!lasted_s.known) throw new Error("not known");
      // Within twice its bound, and a bound of two ends of an interval each.
      expect(Math.abs(lasted_s.value - 60)).toBeLessThanOrEqual(2 * lasted_s.sigma + 1e-6);
      expect(lasted_s.sigma).toBeCloseTo(interval_s / Math.sqrt(6), 3);
      expect(Math.abs(from_s - 40)).toBeLessThan(interval_s);
      expect(bands.map(({ name, uses }) => [name, uses])).toEqual([
        ["30 s", 0],
        ["2 min", 0],
        ["2½ min", 1],
        ["continuous", 2],
      ]);
      expect(exceedances).toEqual([]);
      expect(inspection).toBe(true);
    },
  );

  it("nothing but continuous power is no use of a rating, and no inspection", () => {
    const { spells, inspection } = hover(() => [300, 300], 90, 1);
    expect(spells).toEqual([]);
    expect(inspection).toBe(false);
  });

  it("thirty seconds that took forty-five are told, and so is more than any rating", () => {
    const long = hover(out(20, 65, 540), 90, 1);
    expect(long.spells.map(({ name }) => name)).toEqual(["30 s"]);
    expect(long.exceedances).toEqual([{ name: "30 s", kind: "time", over_s: expect.closeTo(15, 0) as number }]);
    const above = hover(out(20, 26, 700), 60, 0.5);
    expect(above.spells.map(({ name }) => name)).toEqual([null]);
    expect(above.exceedances).toEqual([
      { name: "above all ratings", kind: "power", over_s: expect.closeTo(6, 0) as number },
    ]);
  });

  it("a band that is passed through on the way up and down is no use of it, nor what the gauge’s noise touches", () => {
    // A second and a half up through 2½ min to 30 s, there for 20 s with a little noise, and as slowly down.
    const power = (t: number) => {
      const up = Math.min(Math.max(t - 30, 0) / 1.5, 1) - Math.min(Math.max(t - 52, 0) / 1.5, 1);
      const noise = t === 40 ? -20 : 0;
      return [260 + up * 280 + noise, t < 30 ? 260 : 0] as const;
    };
    const { spells, bands, exceedances } = hover(power, 90, 0.25);
    expect(spells.map(({ name }) => name)).toEqual(["30 s"]);
    expect(bands.map(({ uses }) => uses)).toEqual([1, 0, 0, 2]);
    expect(exceedances).toEqual([]);
  });

  it("two spells are two uses; horsepower is read as well; without power it says what it takes", () => {
    const twice = hover((t) => (t < 100 ? out(20, 50, 500)(t) : out(140, 170, 500)(t)), 200, 1);
    expect(twice.spells).toHaveLength(2);
    expect(twice.bands[2].uses).toBe(2);
    const read = readLog(
      "elapsed_s,lat,lon,alt_m,power_1_kW,power_2 (hp)\n" +
        Array.from({ length: 30 }, (_, i) => `${i},47,9,60,500,700`).join("\n"),
    );
    expect(read.ok && read.value.columns.power1_W?.[3]).toBe(500_000);
    expect(read.ok && read.value.columns.power2_W?.[3]).toBeCloseTo(700 * 745.69987, 0);
    const bare = readLog("elapsed_s,lat,lon,alt_m\n" + Array.from({ length: 30 }, (_, i) => `${i},47,9,60`).join("\n"));
    const found = bare.ok && flown(bare.value, { deviation_K: null, wind: null, calibration: null });
    const none = found && found.ok ? ratingsUsed(found.value, HAZEL, null) : null;
    expect(none && !none.ok && none.issue.code).toBe("no_power");
  });
});
