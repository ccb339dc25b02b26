import { describe, expect, it } from "vitest";
import { demoTwin } from "../../../demo/demo-twin";
import { radians } from "../quantities/angle";
import { G0 } from "../quantities/constants";
import { zeroSideslip } from "./one-engine-climb";
import { turnControls } from "./turn-control";

describe("control in a turn on one engine", () => {
  const one = demoTwin({ deadPropeller: "feathered" });
  const eas_mps = 41.67;

  it("with no bank is straight flight without sideslip", () => {
    const straight = zeroSideslip(one, eas_mps);
    const found = turnControls(one, eas_mps, 0);
    expect(found?.towardsLive.rudder).toBeCloseTo(
      Math.abs(straight?.rudder_rad ?? NaN) / one.asymmetric.rudderMax_rad,
      6,
    );
    expect(found?.towardsLive.rate_radps).toBeCloseTo(0, 6);
  });

  // Common practice: a standard coordinated turn, ω = g·tanφ/V.
  it.each([10, 15, 20])(
    "at %i° turns as any aeroplane does, with more rudder towards the live engine, more aileron towards the dead",
    (bank_deg) => {
      const found = turnControls(one, eas_mps, radians(bank_deg));
      const rate = (G0 * Math.tan(radians(bank_deg))) / (eas_mps / Math.sqrt(one.state.sigma));
      for (const side of [found?.towardsLive, found?.towardsDead])
        expect((side?.rate_radps ?? NaN) / rate).toBeCloseTo(1, 0);
      expect(found?.towardsLive.rudder).toBeGreaterThan(found?.towardsDead.rudder ?? NaN);
      expect(found?.towardsDead.aileron).toBeGreaterThan(found?.towardsLive.aileron ?? NaN);
    },
  );

  it("runs out of control or of lift below the speed flown, never above it", () => {
    for (const side of Object.values(turnControls(demoTwin({ mass_kg: 1350 }), 41.67, radians(15)) ?? {})) {
      expect(side.rudder).toBeLessThan(1);
      expect(side.least_mps).toBeLessThanOrEqual(41.67);
      expect(side.least_mps).toBeGreaterThan(20);
    }
  });

  it("is nothing where no bank holds it straight", () => {
    expect(turnControls(one, 4, radians(15))).toBeNull();
  });
});
