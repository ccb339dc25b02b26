import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { radians } from "../quantities/angle";
import { MPS_PER_KT } from "../quantities/constants";
import { asymmetricCase } from "./anchored-case";
import { climbLedger } from "./climb-ledger";
import { driftdown } from "./driftdown";
import { powerShare, aspiratedShare } from "../engine/power-share";
import { equilibriumAt } from "./equilibrium";
import { ceiling_m, oneEngineSpeeds, zeroSideslip } from "./one-engine-climb";
import { vmca } from "./vmca";
import { stallCrossing_m, vmcaCurve } from "./vmca-curve";
import { vmcaFactors } from "./vmca-factors";

const larch = demoAircraft("larch-t2");
const speedAt = (change: Parameters<typeof demoTwin>[0], bank_deg: number, name?: string) =>
  vmca(demoTwin(change, name), radians(bank_deg)).eas_mps ?? NaN;

describe("minimum control speed", () => {
  it("wings level the centre of gravity has no effect at all (equations: the total side force is zero)", () => {
    for (const centreOfGravity of [0, 0.3, 1])
      expect(speedAt({ centreOfGravity }, 0) / speedAt({}, 0)).toBeCloseTo(1, 6);
    expect(speedAt({ centreOfGravity: 0 }, 5)).not.toBeCloseTo(speedAt({}, 5), 2);
  });

  it("a light mass raises it in bank and lowers it slightly wings level", () => {
    expect(speedAt({ mass_kg: 1350 }, 5)).toBeGreaterThan(speedAt({}, 5) + 1);
    const level = speedAt({}, 0) - speedAt({ mass_kg: 1350 }, 0);
    expect(level).toBeGreaterThan(0);
    expect(level).toBeLessThan(0.5);
  });

  it("falls with height to the stall when aspirated, keeps up with height with a turbocharger", () => {
    const high = vmca(demoTwin({ altitude_m: 4000 }), radians(5));
    expect(high.stallFirst).toBe(true);
    const [low, up] = [0, 4500].map((altitude_m) => speedAt({ altitude_m, mass_kg: 2450 }, 0, "hornbeam-t2c"));
    expect(up / low).toBeGreaterThan(0.9);
    const [aspiratedLow, aspiratedUp] = [0, 4500].map((altitude_m) => speedAt({ altitude_m }, 0));
    expect(aspiratedUp / aspiratedLow).toBeLessThan(0.85);
  });

  it("more drag of the dead engine never lowers it nor raises climb", () => {
    fc.assert(
      fc.property(evenly(0.01, 0.3), evenly(0.005, 0.1), fc.integer({ min: 0, max: 6 }), (drag, more, bank_deg) => {
        // Anchored on the same aeroplane: only the question's propeller drags more.
        const base = demoTwin();
        const [less, greater] = [drag, drag + more].map((coefficient) => ({
          ...base,
          deadArea_m2: (coefficient * Math.PI * 1.93 ** 2) / 4,
        }));
        // A limit that is exceeded everywhere is a speed beyond all.
        const speed = (one: typeof base) => vmca(one, radians(bank_deg)).eas_mps ?? Infinity;
        expect(speed(greater)).toBeGreaterThanOrEqual(speed(less) - 1e-6);
        expect(oneEngineSpeeds(greater).rate.climb_mps).toBeLessThanOrEqual(
          oneEngineSpeeds(less).rate.climb_mps + 1e-9,
        );
      }),
      { numRuns: 15 },
    );
  });

  it("mirrored failures of counter-rotating engines are symmetric; with both turning one way the left is critical", () => {
    const counter = {
      ...larch,
      engines:
        larch.engines.kind === "propeller"
          ? { ...larch.engines, propeller: { ...larch.engines.propeller, rotation: [1, -1] as (1 | -1)[] } }
          : larch.engines,
    };
    const [left, right] = (["left", "right"] as const).map((failed) => {
      const one = asymmetricCase(demoTwinQuestion({ aircraft: counter, failed }));
      if (!one.ok) throw new Error(one.issue.message);
      return {
        speed: vmca(one.value, radians(5)).eas_mps ?? NaN,
        state: equilibriumAt(one.value, 42, one.value.liveSide * 0.05),
      };
    });
    expect(left.speed).toBeCloseTo(right.speed, 6);
    expect(left.state?.rudder_rad).toBeCloseTo(-(right.state?.rudder_rad ?? NaN), 9);
    expect(left.state?.climb_mps).toBeCloseTo(right.state?.climb_mps ?? NaN, 9);
    expect(speedAt({ failed: "right" }, 5)).toBeLessThan(speedAt({ failed: "left" }, 5));
  });

  it("tells everywhere from never", () => {
    const weak = { ...demoTwin(), asymmetric: { ...demoTwin().asymmetric, rudderMax_rad: 0.01 } };
    expect(vmca(weak, 0)).toMatchObject({ eas_mps: null, binding: "rudder", stallFirst: false });
    const idle = demoTwin({ setting: 0.02, deadPropeller: "feathered" });
    expect(vmca(idle, radians(3)).limits.pedal.kind).toBe("never");
    expect(vmca(idle, radians(3)).stallFirst).toBe(true);
  });
});

describe("climb ledger", () => {
  const question = {
    ...demoTwinQuestion({ gearDown: true, flap: 1, items: ["cowl"] }),
    eas_mps: 81 * MPS_PER_KT,
    bank: { kind: "bank", bank_rad: 0 } as const,
  };

  it("adds up, whatever is out", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("windmilling", "stopped", "feathered"),
        fc.boolean(),
        fc.integer({ min: 0, max: 3 }),
        fc.boolean(),
        fc.constantFrom(0, 2, 5),
        fc.integer({ min: 70, max: 110 }),
        (deadPropeller, gearDown, flap, open, bank_deg, keas) => {
          const found = climbLedger({
            ...question,
            deadPropeller,
            gearDown,
            flap,
            items: open ? ["cowl", "door"] : [],
            eas_mps: keas * MPS_PER_KT,
            bank: { kind: "bank", bank_rad: radians(bank_deg) },
          });
          if (!found.ok) throw new Error(found.issue.message);
          const { twoEngines_mps, engine_mps, items, together_mps, left_mps } = found.value;
          expect(
            twoEngines_mps - engine_mps - items.reduce((sum, item) => sum + item.cost_mps, 0) - together_mps,
          ).toBeCloseTo(left_mps, 9);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("lists what is out in the order of the drill, the windmilling propeller costing most", () => {
    const found = climbLedger(question);
    if (!found.ok) throw new Error(found.issue.message);
    expect(found.value.items.map((entry) => entry.item)).toEqual(["propeller", "gear", "flap", "items", "bank"]);
    for (const entry of found.value.items) expect(entry.cost_mps).toBeGreaterThan(0);
    expect(found.value.items[0].cost_mps).toBe(Math.max(...found.value.items.map((entry) => entry.cost_mps)));
    expect(found.value.left_mps).toBeLessThan(0);
    const clean = climbLedger({
      ...question,
      deadPropeller: "feathered",
      gearDown: false,
      flap: 0,
      items: [],
      bank: { kind: "zero-sideslip" },
    });
    expect(clean.ok && clean.value.items).toEqual([]);
    expect(clean.ok && clean.value.together_mps).toBeCloseTo(0, 12);
  });

  it("names the control that is over its stop", () => {
    const slow = climbLedger({ ...question, eas_mps: 62 * MPS_PER_KT });
    expect(slow.ok && slow.value.over).toBe("rudder");
  });
});

describe("other results", () => {
  it("power falls with density; a turbocharger holds it to its height", () => {
    expect(aspiratedShare(1)).toBeCloseTo(1, 12);
    expect(powerShare(0.8, null)).toBe(aspiratedShare(0.8));
    expect([1, 0.7, 0.6].map((sigma) => powerShare(sigma, 0.6))).toEqual([1, 1, 1]);
    expect(powerShare(0.5, 0.6)).toBeLessThan(1);
  });

  it("the factors are sorted by size and hold the signs that every twin pilot knows", () => {
    const factors = vmcaFactors(demoTwinQuestion({ mass_kg: 1500 }), radians(5));
    const sizes = factors.map((factor) => Math.abs(factor.change_mps ?? 0));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    const of = (name: string) => factors.find((factor) => factor.name === name)?.change_mps ?? NaN;
    expect(of("wings level")).toBeGreaterThan(0);
    expect(of("propeller feathered")).toBeLessThan(0);
    expect(of("at minimum mass")).toBeGreaterThan(0);
    expect(of("5 000 ft higher")).toBeLessThan(0);
    expect(of("the other engine fails")).toBeLessThan(0);
    expect(of("half power on the live engine")).toBeLessThan(0);
  });

  it("the stall overtakes an aspirated twin's minimum control speed between two altitudes of the curve, a turbocharged one's not", () => {
    const altitudes = [0, 1000, 2000, 3000, 4000];
    const curve = vmcaCurve(demoTwinQuestion(), radians(5), altitudes);
    expect(curve.map((at) => at.altitude_m)).toEqual(altitudes);
    const crossing = stallCrossing_m(curve) ?? NaN;
    const there = vmca(demoTwin({ altitude_m: crossing }), radians(5));
    expect((there.eas_mps ?? NaN) / there.stall_mps).toBeCloseTo(1, 2);
    expect(stallCrossing_m(vmcaCurve(demoTwinQuestion({ mass_kg: 2450 }, "hornbeam-t2c"), 0, altitudes))).toBeNull();
    expect(vmcaCurve(demoTwinQuestion(), 0, [30_000])).toEqual([]);
  });

  it("ceilings end where the model does, and say so", () => {
    const never = ceiling_m(demoTwinQuestion({ gearDown: true, flap: 3 }), 0.254, 1);
    expect(never.ok ? "" : never.issue.code).toBe("never_climbs");
    const two = ceiling_m(demoTwinQuestion(), 0.508, 2);
    expect(two.ok && two.value).toBeGreaterThan(3000);
  });

  it("drift-down ends on a rate, not on a height", () => {
    const found = driftdown(demoTwinQuestion({ deadPropeller: "feathered" }), 3500, 0, 81 * MPS_PER_KT, 0);
    expect(found.ok && found.value.levelsOff).toBe(true);
    expect(found.ok && (found.value.points.at(-1)?.altitude_m ?? 0)).toBeGreaterThan(2000);
  });

  it.each([
    [{ aircraft: demoAircraft("alder-s1") }, "not_a_twin"],
    [{ flap: 7 }, "no_such_flap"],
    [{ deadPropeller: "coarse" }, "no_such_propeller_state"],
    [{ altitude_m: 25_000 }, "outside_atmosphere"],
    [{ aircraft: { ...larch, asymmetric: larch.asymmetric && { ...larch.asymmetric, armY_m: 0.01 } } }, "no_anchor"],
  ] as const)("refuses %#", (change, code) => {
    const one = asymmetricCase(demoTwinQuestion(change as Parameters<typeof demoTwinQuestion>[0]));
    expect(one.ok ? "" : one.issue.code).toBe(code);
  });

  it("a jet is controlled and climbs on one engine too", () => {
    const jet = demoTwin({ mass_kg: 41_000, flap: 1 }, "cedar-j2");
    expect(zeroSideslip(jet, 70)).not.toBeNull();
    expect(oneEngineSpeeds(jet).rate.climb_mps).toBeGreaterThan(1);
  });
});
