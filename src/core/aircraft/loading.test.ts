import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoAircraft, demoSituation } from "../../../demo/read-demo";
import { KG_PER_LB, M3_PER_US_GALLON } from "../quantities/constants";
import { armLimits, loadedMoments, loadingWorking, usualLoad } from "./loading";
import { type Load, LoadingPlan } from "./loading-plan";

const IN = 0.0254;
const corner = (mass_lb: number, arm_in: number) => ({ mass_kg: mass_lb * KG_PER_LB, arm_m: arm_in * IN });

// Worked by hand in pounds, inches and gallons of 6 lb, as handbooks do it. Common practice.
const BOOK: LoadingPlan = {
  datum: "firewall",
  empty_kg: 1500 * KG_PER_LB,
  emptyArm_m: 38 * IN,
  stations: [
    { id: "front", name: "Front", arm_m: 37 * IN, maximum_kg: 400 * KG_PER_LB },
    { id: "rear", name: "Rear", arm_m: 73 * IN, maximum_kg: 400 * KG_PER_LB },
    { id: "baggage", name: "Baggage", arm_m: 95 * IN, maximum_kg: 120 * KG_PER_LB },
  ],
  tanks: [{ id: "wing", name: "Wing", arm_m: 48 * IN, capacity_m3: 40 * M3_PER_US_GALLON }],
  fuelDensity_kgpm3: (6 * KG_PER_LB) / M3_PER_US_GALLON,
  limits: [corner(1450, 35), corner(1950, 35), corner(2400, 39), corner(2400, 47), corner(1450, 47)],
};
const load = (patch: Partial<Load> = {}): Load => ({
  stations: [
    { id: "front", mass_kg: 340 * KG_PER_LB },
    { id: "rear", mass_kg: 170 * KG_PER_LB },
    { id: "baggage", mass_kg: 60 * KG_PER_LB },
  ],
  tanks: [{ id: "wing", volume_m3: 38 * M3_PER_US_GALLON }],
  burntAtFailure_m3: 0,
  burntAtLanding_m3: 0,
  moment: "now",
  ...patch,
});
const moments = (plan: LoadingPlan, asked: Load) => {
  const outcome = loadedMoments(plan, asked);
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
};

describe("loading", () => {
  it("adds up as the book's table does: 2298 lb, moment 98 634 lb·in, 42.92 in", () => {
    expect(LoadingPlan.safeParse(BOOK).success).toBe(true);
    const { now } = moments(BOOK, load());
    expect(now.mass_kg / KG_PER_LB).toBeCloseTo(2298, 6);
    expect(now.rows.reduce((sum, row) => sum + row.moment_kgm, 0) / KG_PER_LB / IN).toBeCloseTo(98_634, 3);
    expect(now.arm_m / IN).toBeCloseTo(42.92, 2);
    // At 2298 lb the forward limit lies (2298 − 1950)/450 of the way from 35 to 39 in.
    expect(now.limits?.forward_m).toBeCloseTo((35 + (4 * 348) / 450) * IN, 9);
    expect(now.limits?.aft_m).toBeCloseTo(47 * IN, 9);
    expect(now.centreOfGravity).toBeCloseTo((98_634 / 2298 - 38.09333) / (47 - 38.09333), 4);
    expect(now.fault).toBeNull();
  });

  it("fuel burnt leaves mass and arm by what was in the tanks", () => {
    const burnt = load({ burntAtFailure_m3: 10 * M3_PER_US_GALLON, burntAtLanding_m3: 30 * M3_PER_US_GALLON });
    const { failure, landing } = moments(BOOK, burnt);
    expect(failure.mass_kg / KG_PER_LB).toBeCloseTo(2238, 6);
    expect(landing.mass_kg / KG_PER_LB).toBeCloseTo(2118, 6);
    expect(landing.arm_m / IN).toBeCloseTo((98_634 - 180 * 48) / 2118, 6);
  });

  it("behind the aft limit it says by how much and what that does; nothing is a share then", () => {
    const heavyTail = load({
      stations: [
        { id: "front", mass_kg: 120 * KG_PER_LB },
        { id: "rear", mass_kg: 400 * KG_PER_LB },
        { id: "baggage", mass_kg: 120 * KG_PER_LB },
      ],
    });
    const { now } = moments(BOOK, heavyTail);
    // 1500·38 + 120·37 + 400·73 + 120·95 + 228·48 = 112 984 lb·in over 2368 lb.
    const behind_cm = (112_984 / 2368 - 47) * 2.54;
    expect(behind_cm).toBeGreaterThan(0);
    expect(now.centreOfGravity).toBeNull();
    expect(now.fault).toContain(`${(Math.ceil(behind_cm * 10) / 10).toFixed(1)} cm behind its aft limit`);
    expect(now.fault).toContain("less warning");
  });

  it("before the forward limit, above and below the limits are told apart", () => {
    const alone = (mass_lb: number, plan = BOOK) =>
      moments(plan, load({ stations: [{ id: "front", mass_kg: mass_lb * KG_PER_LB }], tanks: [] })).now.fault;
    expect(alone(200, { ...BOOK, emptyArm_m: 33 * IN })).toContain("before its forward limit");
    expect(alone(0, { ...BOOK, empty_kg: 1300 * KG_PER_LB })).toContain("lighter");
    expect(alone(400, { ...BOOK, empty_kg: 2300 * KG_PER_LB })).toContain("heavier");
    expect(alone(200)).toBeNull();
  });

  it.each<[Partial<Load>, string]>([
    [{ stations: [{ id: "wing-locker", mass_kg: 10 }] }, "load_unknown_place"],
    [{ tanks: [{ id: "tail", volume_m3: 0.01 }] }, "load_unknown_place"],
    [{ stations: [{ id: "baggage", mass_kg: 56 }] }, "load_too_much"],
    [{ tanks: [{ id: "wing", volume_m3: 0.153 }] }, "load_too_much"],
    [{ burntAtLanding_m3: 0.15 }, "fuel_short"],
    [{ burntAtFailure_m3: 0.1, burntAtLanding_m3: 0.05 }, "fuel_short"],
  ])("%j is refused: %s", (patch, code) => {
    expect(loadedMoments(BOOK, load(patch))).toMatchObject({ ok: false, issue: { code } });
  });

  it.each([
    ["two corners", [corner(1450, 35), corner(2400, 47)]],
    ["one mass", [corner(1450, 35), corner(1450, 40), corner(1450, 47)]],
    [
      "a bow tie",
      [corner(1450, 35), corner(2400, 47), corner(2400, 35), corner(1950, 60), corner(1450, 47), corner(1950, 30)],
    ],
  ])("limits of %s are refused", (_, limits) => {
    expect(LoadingPlan.safeParse({ ...BOOK, limits }).success).toBe(false);
  });

  // The limits are a polygon: a point is within when a ray meets its border an odd number of times.
  it("between its limits is within the polygon", () => {
    const inside = (mass_kg: number, arm_m: number) => {
      let odd = false;
      BOOK.limits.forEach((a, i) => {
        const b = BOOK.limits[(i + 1) % BOOK.limits.length];
        if (a.mass_kg > mass_kg === b.mass_kg > mass_kg) return;
        if (arm_m < a.arm_m + ((mass_kg - a.mass_kg) / (b.mass_kg - a.mass_kg)) * (b.arm_m - a.arm_m)) odd = !odd;
      });
      return odd;
    };
    fc.assert(
      fc.property(evenly(1400, 2450), evenly(30, 50), (lb, inch) => {
        const [mass_kg, arm_m] = [lb * KG_PER_LB, inch * IN];
        const limits = armLimits(BOOK.limits, mass_kg);
        // The slack of rounding is not the polygon's.
        fc.pre(Math.abs(lb - 1450) > 2 && Math.abs(lb - 2400) > 2);
        expect(limits !== null && arm_m > limits.forward_m && arm_m < limits.aft_m).toBe(inside(mass_kg, arm_m));
      }),
      { numRuns: 300 },
    );
  });

  it("the demo's load makes the demo's mass, and every fleet plan's usual load may be flown", () => {
    const situation = demoSituation();
    const { loading } = demoAircraft(situation.aircraftId);
    if (!loading || !situation.load) throw new Error("the demo has no load");
    const { now } = moments(loading, situation.load);
    expect(now.mass_kg).toBeCloseTo(situation.mass_kg, 1);
    expect(now.centreOfGravity).toBeCloseTo(situation.centreOfGravity, 3);
    for (const id of ["alder-s1", "rowan-r1", "larch-t2", "fir-p1"]) {
      const plan = demoAircraft(id).loading;
      if (!plan) throw new Error(`${id} has no plan`);
      expect(moments(plan, usualLoad(plan)).now.fault).toBeNull();
    }
  });

  it("its working adds up to what is shown", () => {
    const { now } = moments(BOOK, load());
    const steps = loadingWorking(now);
    const value = (symbol: string) => steps.filter((step) => step.symbol === symbol).map(({ value }) => Number(value));
    const [masses, arms] = [value("m_i"), value("x_i")];
    expect(masses.reduce((sum, mass) => sum + mass, 0)).toBeCloseTo(value("m")[0], 9);
    expect(masses.reduce((sum, mass, i) => sum + mass * arms[i], 0) / value("m")[0]).toBeCloseTo(value("x")[0], 9);
    expect((value("x")[0] - value("x_f")[0]) / (value("x_a")[0] - value("x_f")[0])).toBeCloseTo(value("cg")[0], 9);
  });
});
