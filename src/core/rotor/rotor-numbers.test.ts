import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { bestRangeAutorotation } from "./autorotation";
import { gyroBestGlide } from "./gyro-glide";
import { gyroCase } from "./gyro-rotor";
import { helicopterCase } from "./helicopter-case";
import { rotorNumbers } from "./rotor-numbers";
import type { Rotorcraft } from "./rotor-question";

const air = { qnh_Pa: 101_325, deviation_K: 0 };
const numbers = (aircraft: Rotorcraft, mass_kg: number, altitude_m = 0) => {
  const found = rotorNumbers({ aircraft, mass_kg, altitude_m, air });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("numbers of a rotorcraft", () => {
  // cross-check: 2,800 kg sinks least at 66.5 kt with 1,951 ft/min, reaches farthest at 101.9 kt with 4.36; calm, sea
  // level, 2,850 / 2,668 / 2,296 kg hover out of ground effect on 30 s, 2 minutes and without limit.
  it("a helicopter's descents by mass and the masses that hover on one engine", () => {
    const { rows, hovers } = numbers(demoHelicopter(), 2800);
    const at = rows.find(({ mass_kg }) => mass_kg === 2800);
    expect((at?.leastSinkTas_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(66.5, 0);
    expect(((at?.leastSink_mps ?? NaN) * 60) / M_PER_FT).toBeCloseTo(1951, -1);
    expect((at?.bestTas_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(101.9, 0);
    const masses = Object.fromEntries(hovers.map(({ rating, mass_kg }) => [rating, mass_kg]));
    expect(masses["30 s"] / 2850).toBeCloseTo(1, 2);
    expect(masses.continuous / 2296).toBeCloseTo(1, 2);
    expect(at?.hoversOn).toBe("30 s");
    expect(rows[0].hoversOn).toBeNull();
    expect(rows[rows.length - 1].hoversOn).toBe("continuous");
  });

  it("the heavier, the faster a gyroplane sinks; a helicopter's rotor takes its share whatever it carries", () => {
    const { rows } = numbers(demoGyroplane(), 450);
    rows.slice(1).forEach((row, i) => expect(row.leastSink_mps).toBeLessThan(rows[i].leastSink_mps));
    const sinks = numbers(demoHelicopter(), 2800).rows.map(({ leastSink_mps }) => leastSink_mps);
    expect(Math.max(...sinks) / Math.min(...sinks)).toBeLessThan(1.05);
  });

  // cross-check: 470 / 257 ft from 0 / 40 kt at 480 kg until the speed is there, about 40 more until it is steady.
  it("a gyroplane's height for speed falls with the speed it has", () => {
    const { recoveries, flare_mps, hovers } = numbers(demoGyroplane(), 480);
    expect(hovers).toEqual([]);
    expect((flare_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(57.5, 1);
    const heights = recoveries.map(({ height_m }) => height_m / M_PER_FT);
    heights.slice(1).forEach((height, i) => expect(height).toBeLessThan(heights[i]));
    expect(heights[0]).toBeGreaterThan(470);
    expect(heights[0]).toBeLessThan(540);
  });

  it("nothing is flown faster than the manual's V_NE, in whatever wind", () => {
    const at = { mass_kg: 2800, altitude_m: 0, air };
    const slow = { ...demoHelicopter(), limits: { vne_mps: 45 } };
    const flight = helicopterCase({ aircraft: slow, ...at });
    const gyro = gyroCase({ aircraft: { ...demoGyroplane(), limits: { vne_mps: 30 } }, ...at, mass_kg: 480 });
    if (!flight.ok || !gyro.ok) throw new Error("no case");
    for (const headwind_mps of [0, 15, 25]) {
      expect(bestRangeAutorotation(flight.value, headwind_mps)?.tas_mps).toBeLessThanOrEqual(45);
      expect(gyroBestGlide(gyro.value, "stopped", headwind_mps)?.tas_mps).toBeLessThanOrEqual(30);
    }
    expect(gyroBestGlide(gyro.value, "stopped", 30)).toBeNull();
  });

  it("refuses a mass that it may not have, and heights that it is not known at", () => {
    expect(rotorNumbers({ aircraft: demoGyroplane(), mass_kg: 900, altitude_m: 0, air })).toMatchObject({
      ok: false,
      issue: { code: "mass_outside" },
    });
    expect(rotorNumbers({ aircraft: demoHelicopter(), mass_kg: 2800, altitude_m: 9000, air })).toMatchObject({
      ok: false,
      issue: { code: "too_high" },
    });
  });
});
