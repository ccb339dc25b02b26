import { describe, expect, it } from "vitest";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { M_PER_FT, M_PER_NMI, MPS_PER_KT } from "../quantities/constants";
import { driftdown } from "./driftdown";
import { CLEARS_M, driftdownClearance } from "./driftdown-clearance";

const found = driftdown(
  demoTwinQuestion({ deadPropeller: "feathered" }),
  14_000 * M_PER_FT,
  9000 * M_PER_FT,
  81 * MPS_PER_KT,
  0.011,
);
if (!found.ok) throw new Error(found.issue.message);
const { points } = found.value;
const end_m = points[points.length - 1].distance_m;

describe("a drift-down over ground", () => {
  it("asks for 2 000 ft (14 CFR 121.191, memory)", () => {
    expect(CLEARS_M / M_PER_FT).toBe(2000);
  });

  it("clears what lies 2 000 ft under it and not what lies a foot higher", () => {
    const at = points[Math.floor(points.length / 2)];
    const under = { distance_m: at.distance_m, elevation_m: at.altitude_m - CLEARS_M - 0.01 };
    expect(driftdownClearance(points, [under])).toMatchObject({ clears: true, at_m: at.distance_m });
    expect(driftdownClearance(points, [{ ...under, elevation_m: under.elevation_m + 0.3 }]).clears).toBe(false);
  });

  it("tells the least and where, between the points too", () => {
    const [low, high] = [
      { distance_m: 10 * M_PER_NMI, elevation_m: 0 },
      { distance_m: 20.3 * M_PER_NMI, elevation_m: 1500 },
    ];
    const told = driftdownClearance(points, [low, high]);
    expect(told.at_m).toBe(high.distance_m);
    // 29.5 NM take it down 5,000 ft: at 20.3 NM it is about 10,400 ft high.
    expect(((told.least_m ?? 0) + 1500) / M_PER_FT).toBeGreaterThan(9000);
    expect(((told.least_m ?? 0) + 1500) / M_PER_FT).toBeLessThan(11_500);
  });

  it("beyond its end it knows nothing, and does not call that clear; without ground there is nothing to clear", () => {
    expect(driftdownClearance(points, [{ distance_m: end_m + 1000, elevation_m: 0 }])).toEqual({
      least_m: null,
      at_m: null,
      clears: false,
    });
    expect(driftdownClearance(points, [])).toEqual({ least_m: null, at_m: null, clears: true });
  });
});
