import { describe, expect, it } from "vitest";
import type { Polar } from "../aircraft/polar";
import { windProfile } from "../air/wind";
import { radians } from "../quantities/angle";
import { G0, P0_PA } from "../quantities/constants";
import { abeamCircuit } from "./abeam-circuit";
import { descentIntegrals } from "./descent-integrals";
import { solveLeg } from "./glide-leg";
import { glidePerformance } from "./glide-performance";
import { bestGlide } from "./straight-glide";

const ALDER: Polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: (1100 * G0) / 16.5 };
const TARGET = { x_m: 0, y_m: 0, heading_rad: 0, altitude_m: 0 };

/** The circuit for a landing to the north, in a wind at 10 m. */
function circuit(side: "left" | "right", from_deg: number, speed_mps: number, final_m = 300) {
  const wind = windProfile({ surface: { from_rad: radians(from_deg), speed_mps }, layers: [] }, 0);
  if (!wind.ok) throw new Error(wind.issue.message);
  const glide = bestGlide(ALDER);
  const integrals = descentIntegrals({ qnh_Pa: P0_PA, deviation_K: 0 }, wind.value, -1500, 3000, glide.eas_mps);
  const flown = glidePerformance(ALDER, glide, { bank_rad: radians(30), stallMargin: 1.2 });
  if (!flown.ok) throw new Error(flown.issue.message);
  const performance = flown.value;
  return { performance, integrals, found: abeamCircuit({ performance, integrals, target: TARGET, final_m, side }) };
}

describe("circuit worked back from the landing point", () => {
  it("forward from abeam arrives at the landing point with the height that it was worked back to", () => {
    for (const [from, speed] of [
      [0, 6],
      [90, 6],
      [200, 5],
      [300, 8],
    ]) {
      for (const side of ["left", "right"] as const) {
        const { performance, integrals, found } = circuit(side, from, speed);
        if (!found.ok) throw new Error(found.issue.message);
        const { start, leg } = found.value;
        const forward = solveLeg(
          { performance, integrals, start, arrival: TARGET, final_m: 300, slack_rad: 0.01 },
          leg.word,
        );
        if (!forward.ok) throw new Error(forward.issue.message);
        // The radius is taken at the middle of the turn: a few centimetres to decimetres.
        expect(Math.abs(forward.value.altitudes_m[4]), `${from} ${side}`).toBeLessThan(0.2);
        expect(Math.abs(forward.value.turn1_rad)).toBeLessThan(0.01);
        // Abeam is abeam, on its own side.
        expect(start.y_m).toBeCloseTo(0, 6);
        expect(Math.sign(start.x_m)).toBe(side === "left" ? -1 : 1);
      }
    }
  });

  it("in calm air is as wide as the turn, and the same on both sides", () => {
    const [left, right] = (["left", "right"] as const).map((side) => circuit(side, 0, 0).found);
    if (!left.ok || !right.ok) throw new Error("no circuit");
    expect(left.value.start.x_m).toBeCloseTo(-right.value.start.x_m, 6);
    expect(Math.abs(left.value.start.x_m)).toBeCloseTo(2 * left.value.leg.radius1_m, 3);
    expect(left.value.leg.turn2_rad).toBeCloseTo(Math.PI, 6);
  });

  it("is flown wider where the wind blows towards the runway", () => {
    // Wind from the west: on the left (west) side the turn is carried to the runway.
    const [left, right] = (["left", "right"] as const).map((side) => circuit(side, 270, 6).found);
    if (!left.ok || !right.ok) throw new Error("no circuit");
    expect(Math.abs(left.value.start.x_m)).toBeGreaterThan(Math.abs(right.value.start.x_m) + 50);
  });

  it("says that the wind closes the base leg, and that a longer final opens it", () => {
    expect(circuit("left", 0, 14, 0).found).toMatchObject({ ok: false, issue: { code: "base_closed" } });
    expect(circuit("left", 0, 14, 800).found.ok).toBe(true);
    expect(circuit("left", 0, 60).found).toMatchObject({ ok: false, issue: { code: "wind_exceeds_airspeed" } });
  });
});
