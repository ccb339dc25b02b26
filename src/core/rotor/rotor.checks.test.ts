// What the rotor's equations have to give. "cross-check": an independent prototype of the same equations, to 1e-3
// unless stated: two implementations agree, which says nothing of nature.
import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { autorotationAt, bestRangeAutorotation, leastSinkAutorotation } from "./autorotation";
import { flyAway } from "./fly-away";
import { groundEffect } from "./ground-effect";
import { type HelicopterCase, helicopterCase } from "./helicopter-case";
import { greatestMass_kg, hoverOnOne, livePower } from "./hover-on-one";
import { inducedRatio } from "./induced-velocity";
import { bestRangeSpeed_mps, leastPowerSpeed_mps, levelPower_W, levelSpeeds } from "./speeds-of-power";
import { HOVER, steadyPower } from "./steady-power";

const hazel = demoHelicopter();
const FPM = 196.850394;

function at(mass_kg: number, altitude_ft = 0, deviation_K = 0): HelicopterCase {
  const found = helicopterCase({
    aircraft: hazel,
    mass_kg,
    altitude_m: altitude_ft * M_PER_FT,
    air: { qnh_Pa: 101_325, deviation_K },
  });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const close = (value: number, expected: number, relative = 1e-3) =>
  expect(Math.abs(value / expected - 1), `${value} for ${expected}`).toBeLessThan(relative);

describe("induced velocity", () => {
  // H. Glauert's momentum theory in edgewise flow, solved in closed form.
  it.each([
    [10, 9.551737],
    [20, 6.299374],
    [30, 4.35725],
  ])("at %s m/s edgewise, vh 11.493", (v, vi) => {
    expect(11.493 * inducedRatio(v / 11.493, 0)).toBeCloseTo(vi, 6);
  });

  // Closed forms of axial flow: λ² + μzλ = 1 in a climb, λ² + μzλ = −1 behind a windmill.
  it.each([-0.5, 0, 1, 3])("axial at μz %s as the quadratic has it", (z) => {
    expect(inducedRatio(0, z)).toBeCloseTo(-z / 2 + Math.sqrt((z * z) / 4 + 1), 9);
  });
  it.each([-2.1, -3, -6])("a windmill at μz %s as the quadratic has it", (z) => {
    expect(inducedRatio(0, z)).toBeCloseTo(-z / 2 - Math.sqrt((z * z) / 4 - 1), 9);
  });

  // cross-check
  it.each([
    [-0.5, 1.280776],
    [-1, 1.618087],
    [-1.5, 1.727625],
    [-1.8, 1.408464],
    [-2, 0.998248],
  ])("into its own wake at μz %s", (z, ratio) => close(inducedRatio(0, z), ratio, 2e-3));
});

describe("ground effect", () => {
  // J. S. Hayden, AHS 1976 (memory).
  it.each([
    [0.5, 0.625391],
    [1, 0.873973],
    [2, 0.970403],
  ])("at z/R %s", (z, k) => expect(groundEffect(z, 1)).toBeCloseTo(k, 6));
});

describe("a light twin helicopter", () => {
  // cross-check
  it.each([
    [2400, 452.88],
    [2600, 498.27],
    [2800, 545.6386],
    [3000, 594.93],
  ])("hovers out of ground effect at %s kg with %s kW", (mass, kW) =>
    close(steadyPower(at(mass), HOVER).shaft_W / 1000, kW, 1e-4),
  );
  it("hovers with its skids at 5 ft with less", () =>
    close(steadyPower(at(2800), { ...HOVER, skids_m: 1.524 }).shaft_W / 1000, 482.04, 1e-4));
  it.each([
    [20, 465.1],
    [60, 299.43],
    [100, 348.89],
  ])("flies level at %s kt with %s kW", (kt, kW) => close(levelPower_W(at(2800), kt * MPS_PER_KT) / 1000, kW));
  it("has its speeds of least power and best range", () => {
    close(leastPowerSpeed_mps(at(2800)) / MPS_PER_KT, 67.5);
    close(bestRangeSpeed_mps(at(2800)) / MPS_PER_KT, 103.4);
  });

  it.each([
    [0, 0, 0, 557.75, "engine"],
    [0, 0, 3, 430, "gearbox"],
    [4000, 20.02, 0, 438.22, "engine"],
    [4000, 20.02, 3, 362.01, "engine"],
    [8000, 20, 0, 400.88, "engine"],
    [8000, 20, 3, 331.16, "engine"],
  ] as const)("at %s ft, standard + %s °C, rating %s: %s kW, the %s binds", (ft, dev, rating, kW, binds) => {
    const power = livePower(at(2800, ft, dev), hazel.engines.ratings[rating]);
    close(power.power_W / 1000, kW);
    expect(power.binds).toBe(binds);
  });

  it.each([
    [0, 2850, 3152, 12.7],
    [1, 2668, 2952, 19.5],
    [3, 2296, 2543, 31.3],
  ])("rating %s: hovers with %s kg, %s kg at 5 ft; at 3,000 kg flies level from %s kt", (index, oge, ige, kt) => {
    const flight = at(3000);
    const { power_W } = livePower(flight, hazel.engines.ratings[index]);
    close(greatestMass_kg(flight, HOVER, power_W), oge);
    close(greatestMass_kg(flight, { ...HOVER, skids_m: 1.524 }, power_W), ige);
    close((levelSpeeds(flight, power_W)?.slowest_mps ?? NaN) / MPS_PER_KT, kt, 5e-3);
  });
  it("15 kt of wind adds about 205 kg", () => {
    const flight = at(3000);
    const { power_W } = livePower(flight, hazel.engines.ratings[0]);
    const more = greatestMass_kg(flight, { ...HOVER, tas_mps: 15 * MPS_PER_KT }, power_W);
    expect(Math.abs(more - greatestMass_kg(flight, HOVER, power_W) - 205)).toBeLessThan(10);
  });

  it.each([
    [1, 12.1],
    [0.96, 1.3],
    [0.9, -20],
  ])("at rotor speed %s the 30-second rating has %s kW in hand", (nr, kW) => {
    const found = hoverOnOne(at(2800), { ...HOVER, nr });
    if (!found.ok) throw new Error(found.issue.message);
    expect(Math.abs(found.value.ratings[0].margin_W / 1000 - kW)).toBeLessThan(1);
  });

  // cross-check; the ratio is that of a sink which differs by 2e-3.
  it("autorotates with its least sink and best range", () => {
    const [least, best] = [leastSinkAutorotation(at(2800)), bestRangeAutorotation(at(2800))];
    if (!least || !best) throw new Error("no autorotation");
    close(least.sink_mps * FPM, 1951);
    close(least.tas_mps / MPS_PER_KT, 66.5, 1e-2);
    close(best.ratio, 4.36, 3e-3);
    close(best.tas_mps / MPS_PER_KT, 101.9, 5e-3);
    expect(autorotationAt(at(2800), 0)?.sink_mps).toBeGreaterThan(least.sink_mps);
  });

  // cross-check, ±3 ft
  it.each([
    [2600, 0, 6],
    [2800, 0, 28],
    [3000, 0, 75],
    [3000, 10, 37],
    [3000, 20, 8],
  ])("flies away from %s kg in %s kt of wind with a loss of %s ft", (mass, wind, ft) => {
    const found = flyAway(at(mass), wind * MPS_PER_KT, hazel.engines.ratings[0]);
    if (!found.ok) throw new Error(found.issue.message);
    expect(Math.abs(found.value.loss_m / M_PER_FT - ft)).toBeLessThan(3);
    expect(found.value.audit).toBeLessThan(1e-3);
  });
  // cross-check, ±3 ft; on the continuous rating the prototype loses a tenth more, at a tilt that is not the best.
  it.each([
    [1, 0, 0, 113, 3],
    [3, 0, 0, 214, 25],
    [0, 4000, 20.02, 215, 3],
  ])("on rating %s at %s ft, standard + %s °C: %s ft", (rating, alt, dev, ft, within) => {
    const found = flyAway(at(3000, alt, dev), 0, hazel.engines.ratings[rating]);
    if (!found.ok) throw new Error(found.issue.message);
    expect(Math.abs(found.value.loss_m / M_PER_FT - ft)).toBeLessThan(within);
  });
});
