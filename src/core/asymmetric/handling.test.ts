// What handling on one engine asks: forces, trim, waiting with the propeller, zero thrust, below minimum control speed,
// its demonstration.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { radians } from "../quantities/angle";
import { M_PER_FT, MPS_PER_KT, PA_PER_INHG } from "../quantities/constants";
import { beforeFeathering } from "./before-feathering";
import { belowVmca } from "./below-vmca";
import { climbLedger } from "./climb-ledger";
import { controlForces } from "./control-forces";
import { DEMONSTRATION_FLOOR_M, demonstration } from "./demonstration";
import { equilibriumAt } from "./equilibrium";
import { rudderBySpeed } from "./rudder-by-speed";
import { vmca } from "./vmca";
import { zeroThrust } from "./zero-thrust";

const KT = MPS_PER_KT;
const value = <T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T => {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
};

describe("forces and moments", () => {
  it("sum to nothing sideways, in yaw and in roll, whatever the state", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 65, max: 110 }),
        fc.integer({ min: -3, max: 8 }),
        fc.constantFrom("left" as const, "right" as const),
        evenly(0, 1),
        (kt, bank_deg, failed, centreOfGravity) => {
          const one = demoTwin({ failed, centreOfGravity });
          const state = equilibriumAt(one, kt * KT, one.liveSide * radians(bank_deg));
          if (!state) throw new Error("no equilibrium");
          const forces = controlForces(one, state);
          for (const group of [forces.side, forces.yaw, forces.roll]) {
            const parts = Object.values(group) as number[];
            const size = Math.max(...parts.map(Math.abs), 1);
            expect(parts.reduce((sum, part) => sum + part, 0) / size).toBeCloseTo(0, 9);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it("without bank and rudder force the weight does not push sideways", () => {
    const one = demoTwin();
    const state = equilibriumAt(one, 90 * KT, 0);
    expect(state && Math.abs(controlForces(one, state).side.weight_N)).toBe(0);
  });
});

describe("zero thrust", () => {
  it("is 10 to 12 inHg on a light twin at V_YSE (common practice)", () => {
    const found = value(zeroThrust(demoTwinQuestion(), 84 * KT));
    expect(found.manifold_Pa / PA_PER_INHG).toBeGreaterThan(9.5);
    expect(found.manifold_Pa / PA_PER_INHG).toBeLessThan(12.5);
    expect(found.share).toBeGreaterThan(0.08);
    expect(found.share).toBeLessThan(0.25);
  });

  it("burns what the two drags differ by, times V and η (arithmetic)", () => {
    const found = value(zeroThrust(demoTwinQuestion(), 45));
    const disc = (Math.PI * 1.93 ** 2) / 4;
    expect(found.windmilling_N - found.feathered_N).toBeCloseTo(0.5 * 1.225 * 45 ** 2 * disc * (0.18 - 0.008), 6);
    expect(found.indicated_W).toBeCloseTo(0.78 * 45 * (found.windmilling_N - found.feathered_N), 2);
  });

  it("rises with speed, and is not asked of jets", () => {
    expect(value(zeroThrust(demoTwinQuestion(), 55)).share).toBeGreaterThan(
      value(zeroThrust(demoTwinQuestion(), 45)).share,
    );
    expect(zeroThrust(demoTwinQuestion({}, "cedar-j2"), 100)).toMatchObject({
      ok: false,
      issue: { code: "no_feathering" },
    });
  });
});

describe("rudder by speed", () => {
  const found = value(
    rudderBySpeed(
      demoTwinQuestion({ deadPropeller: "feathered" }),
      [75, 85, 95, 105].map((kt) => kt * KT),
    ),
  );

  it("less rudder the faster, always towards the live engine; the critical engine asks for more", () => {
    found.forEach((at, i) => {
      expect(at.left?.rudder_rad ?? 0).toBeGreaterThan(at.right?.rudder_rad ?? Infinity);
      expect(at.right?.rudder_rad ?? 0).toBeGreaterThan(0);
      if (i > 0) expect(at.left?.rudder_rad ?? 0).toBeLessThan(found[i - 1].left?.rudder_rad ?? 0);
    });
  });

  it("agrees with 81 KEAS, feathered: 12.68876° (cross-check)", () => {
    const [at] = value(rudderBySpeed(demoTwinQuestion({ deadPropeller: "feathered" }), [81 * KT]));
    expect(at.left?.rudder_rad).toBeCloseTo(radians(12.68876), 5);
  });
});

describe("before feathering", () => {
  const question = {
    ...demoTwinQuestion({ gearDown: false }),
    eas_mps: 84 * KT,
    bank: { kind: "zero-sideslip" } as const,
  };
  const rate = (deadPropeller: "windmilling" | "feathered") =>
    value(climbLedger({ ...question, deadPropeller })).left_mps;

  it.each([10, 20, 30, 60])("waiting %d s costs (N − 3 s)·(feathered − windmilling) within 5 %", (wait_s) => {
    const found = value(beforeFeathering(question, wait_s));
    const closed = (wait_s - 3) * (rate("feathered") - rate("windmilling"));
    expect(Math.abs(found.cost_m / closed - 1)).toBeLessThan(0.05);
    expect(found.gained_m).toBeCloseTo(wait_s * rate("feathered") - found.cost_m, 6);
  });

  it("not waiting costs nothing", () => {
    expect(value(beforeFeathering(question, 0))).toEqual({ cost_m: 0, gained_m: 0 });
  });
});

describe("below minimum control speed", () => {
  const question = demoTwinQuestion({ mass_kg: 1300 });
  const limit = vmca(demoTwin({ mass_kg: 1300 }), 0).eas_mps ?? NaN;

  it("above it nothing turns; below it turns toward the dead engine, the more the slower, from nothing", () => {
    expect(value(belowVmca(question, limit + 1, 0)).yaw_radps).toBe(0);
    const rates = [0.01, 2, 4, 6].map((less) => value(belowVmca(question, limit - less, 0)).yaw_radps);
    expect(rates[0]).toBeLessThan(radians(0.1));
    for (let i = 1; i < rates.length; i += 1) expect(rates[i]).toBeGreaterThan(rates[i - 1]);
    // Mild: a few degrees a second. What is dangerous is the roll with a stalled wing, which is not modelled.
    expect(rates[3]).toBeLessThan(radians(15));
  });

  it("mirrored on the other side it turns the other way as fast for counter-rotating engines", () => {
    const rates = (["left", "right"] as const).map((failed) => {
      const { aircraft } = question;
      const counter = {
        ...aircraft,
        engines:
          aircraft.engines.kind === "propeller"
            ? { ...aircraft.engines, propeller: { ...aircraft.engines.propeller, rotation: [1, -1] as (1 | -1)[] } }
            : aircraft.engines,
      };
      return value(belowVmca({ ...question, aircraft: counter, failed }, 34, 0)).yaw_radps;
    });
    expect(rates[0]).toBeCloseTo(rates[1], 9);
  });

  it("taking power off gives control back: at that setting the minimum control speed is the present one", () => {
    const eas_mps = limit - 4;
    const { controlledSetting } = value(belowVmca(question, eas_mps, 0));
    expect(controlledSetting ?? 0).toBeGreaterThan(0.3);
    expect(controlledSetting ?? 1).toBeLessThan(1);
    expect(vmca(demoTwin({ mass_kg: 1300, setting: controlledSetting ?? 1 }), 0).eas_mps).toBeCloseTo(eas_mps, 3);
  });

  it("height for speed: (V² − v²)/2g to five knots above it (arithmetic)", () => {
    const eas_mps = limit - 4;
    expect(value(belowVmca(question, eas_mps, 0)).height_m).toBeCloseTo(
      ((limit + 5 * KT) ** 2 - eas_mps ** 2) / (2 * 9.80665),
      2,
    );
    expect(value(belowVmca(question, 20, 0)).stalled).toBe(true);
  });
});

describe("demonstration of minimum control speed", () => {
  const plan = { ground_m: 0, floor_m: DEMONSTRATION_FLOOR_M, deceleration_mps2: KT, bank_rad: 0 };

  it("slows by a knot a second from the blue line to the first sign, and recovers above 3 000 ft", () => {
    const found = value(demonstration(demoTwinQuestion({ mass_kg: 1300, altitude_m: 1400 }), plan));
    expect(found.ends).toBe("loss");
    const [entry, loss, recovered] = found.marks;
    expect(loss.time_s).toBeCloseTo((entry.eas_mps - loss.eas_mps) / KT, 6);
    expect(recovered.eas_mps).toBeGreaterThanOrEqual(loss.eas_mps + 5 * KT - 1e-9);
    expect(found.lowestEntry_m).toBeGreaterThan(3000 * M_PER_FT);
    expect(found.recoveryHeight_m).toBeGreaterThan(5);
    expect(found.recoveryHeight_m / M_PER_FT).toBeLessThan(500);
    expect(found.tooLow).toBe(false);
    expect(value(demonstration(demoTwinQuestion({ mass_kg: 1300, altitude_m: 900 }), plan)).tooLow).toBe(true);
  });

  it("high up the stall comes first: it warns and ends at the stall's warning", () => {
    const found = value(demonstration(demoTwinQuestion({ altitude_m: 3500 }), { ...plan, bank_rad: radians(5) }));
    expect(found).toMatchObject({ stallFirst: true, ends: "stall-warning" });
    expect(found.marks[1].eas_mps).toBeCloseTo(found.stall_mps + 5 * KT, 6);
  });
});
