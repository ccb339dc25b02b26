import { describe, expect, it } from "vitest";
import { G0, RHO0 } from "../quantities/constants";
import { landingRoll } from "./landing-roll";

/** Alder S1 at 1,100 kg with landing flap and full slip. */
const BODY = { wingLoading: (1100 * G0) / 16.5, clMax: 2.05, steepCd0: 0.15, k: 0.0617 };
const still = landingRoll(BODY, RHO0, 0, 0.25);

describe("landing roll", () => {
  it("follows V²/(2·N·g) and the flare's (Vapp − Vtd)/(0.2·g)", () => {
    const stall = Math.sqrt((2 * BODY.wingLoading) / (RHO0 * BODY.clMax));
    expect(still.touchdownTas_mps).toBeCloseTo(1.1 * stall, 9);
    expect(still.roll_m).toBeCloseTo((1.1 * stall) ** 2 / (2 * 0.25 * G0), 9);
    expect(still.flare_m).toBeCloseTo(((0.2 * stall) / (0.2 * G0)) * 1.2 * stall, 9);
  });

  // Common practice: a light single rolls 100 to 250 m on a hard dry runway.
  it("is that of a light single", () => {
    expect(still.roll_m).toBeGreaterThan(100);
    expect(still.roll_m).toBeLessThan(250);
  });

  // Common practice: ten per cent of the touchdown speed as tailwind lengthens the roll by a fifth (1.1² = 1.21).
  it("grows with the square of the ground speed", () => {
    const tail = landingRoll(BODY, RHO0, 0.1 * still.touchdownTas_mps, 0.25);
    expect(tail.roll_m / still.roll_m).toBeCloseTo(1.21, 9);
    expect(tail.touchdownGroundSpeed_mps / still.touchdownGroundSpeed_mps).toBeCloseTo(1.1, 9);
    expect(tail.steepRatio).toBeGreaterThan(still.steepRatio);
  });

  it.each([
    ["half the braking doubles the roll", landingRoll(BODY, RHO0, 0, 0.125).roll_m / still.roll_m, 2],
    ["thin air lengthens it as 1/ρ", landingRoll(BODY, RHO0 / 2, 0, 0.25).roll_m / still.roll_m, 2],
    ["a headwind as fast as the aeroplane leaves no roll", landingRoll(BODY, RHO0, -60, 0.25).roll_m, 0],
  ])("%s", (_says, value, expected) => {
    expect(value).toBeCloseTo(expected, 9);
  });

  it("never glides backwards nor flares backwards in a gale", () => {
    const gale = landingRoll(BODY, RHO0, -60, 0.25);
    expect(gale.steepRatio).toBe(0);
    expect(gale.flare_m).toBe(0);
  });
});
