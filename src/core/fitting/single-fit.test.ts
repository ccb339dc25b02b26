import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import type { Aeroplane } from "../aircraft/aeroplane";
import { TOUCHDOWN } from "../landing/approach-factors";
import { G0, RHO0 } from "../quantities/constants";
import { type SingleFit, fitSingle } from "./single-fit";

const book = (aircraft: Aeroplane, patch: Partial<Aeroplane["handbook"]>): Aeroplane => ({
  ...aircraft,
  handbook: {
    ...aircraft.handbook,
    takeOffRun_m: null,
    takeOff15_m: null,
    climb_mps: null,
    landingRun_m: null,
    landing15_m: null,
    ...patch,
  },
});
const fitted = (aircraft: Aeroplane): SingleFit => {
  const fit = fitSingle(aircraft);
  if (!fit.ok) throw new Error(fit.issue.message);
  return fit.value;
};
const alder = demoAircraft("alder-s1");

/** Steady climb at sea level from thrust and drag, m/s: V·(T − D)/W, and the run by Simpson's rule over the speed. */
function byHand(aircraft: Aeroplane, line: { static_N: number; slope_Nspm: number }) {
  const { polar, wing, handbook } = aircraft;
  if (!polar || !wing || handbook.vy_mps === null) throw new Error("no book");
  const weight = handbook.mass_kg * G0;
  const thrust = (v: number) => line.static_N - line.slope_Nspm * v;
  const q = (v: number) => 0.5 * RHO0 * v * v * wing.area_m2;
  const v = handbook.vy_mps;
  const cl = weight / q(v);
  const climb_mps = (v * (thrust(v) - q(v) * (polar.cd0 + polar.k * cl * cl))) / weight;
  const flap = polar.flaps[polar.takeOffFlap];
  const liftOff = 1.1 * Math.sqrt((2 * weight) / (RHO0 * wing.area_m2 * flap.clMax));
  const acceleration = (u: number) => {
    const drag = q(u) * (polar.cd0 + polar.gear.deltaCd + flap.deltaCd + 0.7 * polar.k * 0.16);
    return (thrust(u) - drag - 0.04 * (weight - 0.4 * q(u))) / handbook.mass_kg;
  };
  const steps = 200;
  let run_m = 0;
  for (let i = 0; i <= steps; i += 1) {
    const u = (liftOff * i) / steps;
    run_m += ((i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2) * u) / acceleration(u);
  }
  return { climb_mps, run_m: (run_m * liftOff) / steps / 3 };
}

describe("a single fitted to its take-off and climb", () => {
  // The same physics in closed form and by quadrature, outside the flown take-off.
  it.each([
    [210, 4.2],
    [240, 3.9],
    [180, 5],
  ])("a run of %d m and %d m/s: the line meets both, worked by hand", (takeOffRun_m, climb_mps) => {
    const { line, residuals } = fitted(book(alder, { takeOffRun_m, climb_mps }));
    if (!line) throw new Error("no line");
    const hand = byHand(alder, line);
    expect(Math.abs(hand.run_m / takeOffRun_m - 1)).toBeLessThan(0.02);
    // The flown climb is a little above sea level and gains speed while it climbs.
    expect(Math.abs(hand.climb_mps / climb_mps - 1)).toBeLessThan(0.04);
    for (const { book: printed, model } of residuals) expect(Math.abs(model / printed - 1)).toBeLessThan(0.003);
  });

  it("with the climb alone the slope stays, with the run alone too; with neither nothing is fitted", () => {
    const slope = alder.engines.kind === "propeller" ? alder.engines.thrustLine?.slope_Nspm : undefined;
    expect(fitted(book(alder, { climb_mps: 5 })).line?.slope_Nspm).toBeCloseTo(slope ?? NaN, 6);
    expect(fitted(book(alder, { takeOffRun_m: 250 })).line?.slope_Nspm).toBeCloseTo(slope ?? NaN, 6);
    expect(fitted(book(alder, { landingRun_m: 130 })).line).toBeNull();
  });

  it("more climb and a shorter run ask for more thrust", () => {
    const at = (patch: Partial<Aeroplane["handbook"]>) => fitted(book(alder, patch)).line?.static_N ?? NaN;
    expect(at({ climb_mps: 5 })).toBeGreaterThan(at({ climb_mps: 4 }));
    expect(at({ takeOffRun_m: 180 })).toBeGreaterThan(at({ takeOffRun_m: 250 }));
  });

  // v² = 2·g·N·s: whatever the run, the touchdown is at the same speed, a little over the stall with landing flap.
  it.each([100, 150, 300])("a landing run of %d m is braking from the touchdown speed", (landingRun_m) => {
    const { braking, residuals } = fitted(book(alder, { landingRun_m, landing15_m: 400 }));
    const touchdown_mps = Math.sqrt(2 * G0 * (braking ?? NaN) * landingRun_m);
    const clMax = alder.polar?.flaps[2].clMax ?? NaN;
    const stall_mps = Math.sqrt((2 * alder.handbook.mass_kg * G0) / (RHO0 * (alder.wing?.area_m2 ?? NaN) * clMax));
    expect(touchdown_mps / stall_mps).toBeCloseTo(TOUCHDOWN, 6);
    expect(residuals.map(({ name }) => name)).toEqual(["landing run", "landing over 50 ft"]);
    expect(residuals[0].model).toBeCloseTo(landingRun_m, 6);
    expect(residuals[1].model).toBeGreaterThan(landingRun_m);
  });

  it.each([
    ["a thrust that grows with speed", { takeOffRun_m: 300, climb_mps: 7.2 }, "handbook.takeOffRun_m"],
    ["no lift-off", { takeOffRun_m: 2500, climb_mps: 5 }, "handbook.takeOffRun_m"],
  ])("run and climb that ask for %s are refused with the figure", (_, patch, path) => {
    expect(fitSingle(book(alder, patch))).toMatchObject({ ok: false, issue: { path } });
  });

  it("what cannot be of this propeller, of these tyres, or is far off is doubted", () => {
    expect(fitted(book(alder, { takeOffRun_m: 90, climb_mps: 6 })).doubts.join()).toContain("at standstill");
    expect(fitted(book(alder, { landingRun_m: 1200 })).doubts.join()).toContain("g of braking");
    expect(fitted(book(alder, { takeOff15_m: 900 })).doubts.join()).toContain("shorter than the book");
    expect(fitted(book(alder, { takeOff15_m: 250 })).doubts.join()).toContain("longer than the book");
  });

  it.each(["alder-s1", "rowan-r1", "thorn-v12", "fir-p1"])("%s agrees with its own book", (id) => {
    const { residuals, doubts } = fitted(demoAircraft(id));
    expect(residuals).toHaveLength(5);
    expect(doubts).toEqual([]);
  });

  it("twins, and aircraft without a polar, are told", () => {
    expect(fitSingle(demoAircraft("larch-t2"))).toMatchObject({ ok: false, issue: { code: "not_single" } });
    expect(fitSingle({ ...alder, polar: null })).toMatchObject({ ok: false, issue: { code: "no_polar" } });
  });
});
