import { describe, expect, it } from "vitest";
import { windAt, windSigma_mps } from "./fitted-wind";
import { windFromTurns } from "./fit-from-turns";
import { windWithAirspeed } from "./fit-with-airspeed";

/** Velocities over the ground of a flight through the air. */
function flight(
  heading: (i: number) => number,
  tas: (i: number) => number,
  wind: (h: number) => [number, number],
  count: number,
) {
  const altitude_m = Float64Array.from({ length: count }, (_, i) => 500 + i);
  const tas_mps = Float64Array.from({ length: count }, (_, i) => tas(i));
  return {
    time_s: Float64Array.from({ length: count }, (_, i) => i),
    tas_mps,
    altitude_m,
    east_mps: tas_mps.map((v, i) => v * Math.sin(heading(i)) + wind(altitude_m[i])[0]),
    north_mps: tas_mps.map((v, i) => v * Math.cos(heading(i)) + wind(altitude_m[i])[1]),
  };
}

describe("the wind of a flight with airspeed", () => {
  it("is found with its change by height and the indicator’s error, exactly where there is no noise", () => {
    const points = flight(
      (i) => i / 20,
      () => 35,
      (h) => [5 + 0.004 * (h - 650), -3],
      300,
    );
    // An indicator that shows 2 % too little.
    const shown = { ...points, tas_mps: points.tas_mps.map((v) => v / 1.02) };
    const found = windWithAirspeed(shown);
    if (!found) throw new Error("expected a wind");
    const at = windAt(found.wind, 650);
    expect(at.east_mps).toBeCloseTo(5, 1);
    expect(at.north_mps).toBeCloseTo(-3, 1);
    expect(found.wind.eastGradient).toBeCloseTo(0.004, 3);
    expect(found.wind.airspeedScale).toBeCloseTo(1.02, 2);
    expect(found.rms_mps).toBeLessThan(0.1);
  });

  it("one straight leg knows it along, not across", () => {
    const found = windWithAirspeed(
      flight(
        () => 0,
        () => 35,
        () => [4, 6],
        120,
      ),
    );
    if (!found) throw new Error("expected a wind");
    const [ee, , nn] = found.wind.covariance;
    expect(Math.sqrt(ee)).toBeGreaterThan(8);
    expect(Math.sqrt(nn)).toBeLessThan(2);
    expect(windSigma_mps(found.wind)).toBeGreaterThan(8);
  });

  it("too few points show none", () => {
    expect(
      windWithAirspeed(
        flight(
          () => 0,
          () => 35,
          () => [4, 6],
          20,
        ),
      ),
    ).toBeNull();
  });
});

describe("the wind of turns", () => {
  const turn = (radians_: number, seconds: number) => {
    const points = flight(
      (i) => (i / seconds) * radians_,
      (i) => 33 + 0.02 * i,
      () => [-6, 4],
      seconds,
    );
    return { ...points, altitude_m: 600 };
  };

  it("is the middle of the circle, with speed that changes; two turns know it better than one", () => {
    const one = windFromTurns([turn(2 * Math.PI, 60)]);
    const two = windFromTurns([turn(2 * Math.PI, 60), turn(-2 * Math.PI, 60)]);
    if (!one || !two) throw new Error("expected a wind");
    expect(one.east_mps).toBeCloseTo(-6, 0);
    expect(one.north_mps).toBeCloseTo(4, 0);
    expect(windSigma_mps(two)).toBeLessThan(windSigma_mps(one));
  });

  it("no turn, no wind; one of a few fixes shows none", () => {
    expect(windFromTurns([])).toBeNull();
    expect(windFromTurns([turn(2.2, 5)])).toBeNull();
  });
});
