import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Polar, stallSpeed_mps } from "../aircraft/polar";
import { G0, RHO0 } from "../quantities/constants";
import { glidingTurn, turnSpeed } from "./gliding-turn";
import { straightGlide } from "./straight-glide";

const ALDER: Polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: (1100 * G0) / 16.5 };
const banks = fc.integer({ min: 5, max: 70 }).map((bank_deg) => (bank_deg * Math.PI) / 180);
const lifts = fc.integer({ min: 40, max: 140 }).map((value) => value / 100);

describe("gliding turn (property)", () => {
  it("forces balance: lift, drag and weight on the helix, and the turn's centripetal force", () => {
    fc.assert(
      fc.property(lifts, banks, (cl, bank) => {
        const turn = glidingTurn(ALDER, cl, bank, RHO0);
        const cd = ALDER.cd0 + ALDER.k * cl * cl;
        const q = 0.5 * RHO0 * turn.tas_mps ** 2;
        const angle = Math.asin(turn.sink_mps / turn.tas_mps);
        // Per wing area: along the path the weight's part is the drag, across it the lift's vertical part.
        expect(q * cd).toBeCloseTo(ALDER.wingLoading * Math.sin(angle), 6);
        expect(q * cl * Math.cos(bank)).toBeCloseTo(ALDER.wingLoading * Math.cos(angle), 6);
        expect(q * cl * Math.sin(bank)).toBeCloseTo(
          ((ALDER.wingLoading / G0) * (turn.tas_mps * Math.cos(angle)) ** 2) / turn.radius_m,
          6,
        );
        expect(turn.rate_radps * turn.heightPerRadian_m).toBeCloseTo(turn.sink_mps, 9);
      }),
      { numRuns: 200, seed: 40 },
    );
  });

  it("becomes the straight glide as the bank goes to nothing", () => {
    const turn = glidingTurn(ALDER, 0.9, 1e-4, RHO0);
    const straight = straightGlide(ALDER, 0.9);
    expect(turn.tas_mps).toBeCloseTo(straight.eas_mps, 5);
    expect(turn.sink_mps).toBeCloseTo(straight.sinkEas_mps, 5);
    expect(turn.loadFactor).toBeCloseTo(straight.cl / Math.hypot(straight.cl, straight.cd), 5);
  });

  it("thinner air makes it faster and wider by 1/√σ and 1/σ", () => {
    const low = glidingTurn(ALDER, 1, 0.6, RHO0);
    const high = glidingTurn(ALDER, 1, 0.6, RHO0 * 0.7);
    expect(high.tas_mps / low.tas_mps).toBeCloseTo(1 / Math.sqrt(0.7), 9);
    expect(high.radius_m / low.radius_m).toBeCloseTo(1 / 0.7, 9);
    expect(high.eas_mps).toBeCloseTo(low.eas_mps, 9);
  });

  it("the speed taken in a turn is never nearer to the stall than the margin, and grows with bank", () => {
    fc.assert(
      fc.property(banks, fc.integer({ min: 105, max: 200 }), (bank, margin) => {
        const { eas_mps } = turnSpeed(ALDER, bank, margin / 100);
        expect(eas_mps).toBeGreaterThanOrEqual((margin / 100) * stallSpeed_mps(ALDER, 1 / Math.cos(bank)) - 1e-9);
        expect(turnSpeed(ALDER, bank + 0.02, margin / 100).eas_mps).toBeGreaterThan(eas_mps);
      }),
      { numRuns: 200, seed: 41 },
    );
  });
});
