import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { G0, MPS_PER_KT } from "../quantities/constants";
import { cleanGlide } from "./configuration";
import { type HandbookFigures, fitHandbook } from "./fit-handbook";
import { type Polar, polarOf } from "./polar";

/** The figures that a polar would print in its handbook, from the equations of equilibrium and not from the fit. */
function printed({ cd0, k, clMax, wingLoading }: Polar, wingArea_m2: number, span_m: number): HandbookFigures {
  const glide = (cl: number) => {
    const cd = cd0 + k * cl * cl;
    const eas_mps = Math.sqrt((2 * wingLoading) / (1.225 * Math.hypot(cl, cd)));
    return { eas_mps, sink_mps: (eas_mps * cd) / Math.hypot(cl, cd), ratio: cl / cd };
  };
  const best = glide(Math.sqrt(cd0 / k));
  return {
    mass_kg: (wingLoading * wingArea_m2) / G0,
    wingArea_m2,
    span_m,
    vbg_mps: best.eas_mps,
    bestGlideRatio: best.ratio,
    stall_mps: [{ flap: "up", speed_mps: Math.sqrt((2 * wingLoading) / (1.225 * clMax)) }],
    points: [0.4, 0.7, 1.3].map((cl) => ({ eas_mps: glide(cl).eas_mps, sink_mps: glide(cl).sink_mps, weight: 1 })),
  };
}

function fit(figures: HandbookFigures) {
  const found = fitHandbook(figures);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const ALDER: Polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: (1100 * G0) / 16.5 };

describe("fit to a handbook", () => {
  it("finds the Alder S1's polar from 9.0 at 66.7 kt and a stall of 51.9 kt (the demo fleet's printed figures)", () => {
    const found = fit({
      mass_kg: 1100,
      wingArea_m2: 16.5,
      span_m: 11,
      vbg_mps: 66.7 * MPS_PER_KT,
      bestGlideRatio: 9,
      stall_mps: [{ flap: "up", speed_mps: 51.9 * MPS_PER_KT }],
      points: [],
    });
    // As exact as figures printed to three digits let it be.
    expect(found.cd0).toBeCloseTo(0.05, 3);
    expect(found.k).toBeCloseTo(0.0617, 3);
    expect(found.clMax[0].clMax).toBeCloseTo(1.5, 1);
    expect(found.oswald).toBeCloseTo(0.7, 1);
    expect(found.doubts).toEqual([]);
    for (const residual of found.residuals) expect(Math.abs(residual.model / residual.book - 1)).toBeLessThan(0.002);
  });

  it("gives a polar back from the figures it would print, with and without further points (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 80 }),
        fc.integer({ min: 35, max: 95 }),
        fc.integer({ min: 300, max: 3000 }),
        fc.boolean(),
        (cd0, k, wingLoading, points) => {
          const polar = { cd0: cd0 / 1000, k: k / 1000, clMax: 1.5, wingLoading };
          const figures = printed(polar, 15, 10);
          const found = fit(points ? figures : { ...figures, points: [] });
          expect(found.cd0).toBeCloseTo(polar.cd0, 9);
          expect(found.k).toBeCloseTo(polar.k, 9);
          expect(found.clMax[0].clMax).toBeCloseTo(1.5, 9);
        },
      ),
      { numRuns: 80, seed: 70 },
    );
  });

  it("settles between figures that disagree, nearer to the heavier, and says so when they are far apart", () => {
    const figures = printed(ALDER, 16.5, 11);
    const worse = (weight: number) => ({
      ...figures,
      points: figures.points.map((point) => ({ ...point, sink_mps: point.sink_mps * 1.3, weight })),
    });
    const light = fit(worse(0.1));
    const heavy = fit(worse(10));
    expect(light.cd0).toBeGreaterThan(ALDER.cd0);
    expect(heavy.cd0).toBeGreaterThan(light.cd0);
    expect(heavy.doubts.join(" ")).toContain("contradict each other");
    expect(fit(figures).doubts).toEqual([]);
  });

  it.each([
    [{ vbg_mps: 66.7 }, "check best glide speed, mass, wing area and span"],
    [{ bestGlideRatio: 40 }, "CD0"],
    [{ stall_mps: [{ flap: "landing", speed_mps: 49 }] }, "CLmax"],
  ])("names what is implausible: %o", (change, says) => {
    expect(fit({ ...printed(ALDER, 16.5, 11), points: [], ...change }).doubts.join(" ")).toContain(says);
  });

  it.each([
    [[{ eas_mps: 30, sink_mps: 31, weight: 1 }], "points_outside"],
    [[{ eas_mps: 30, sink_mps: -1, weight: 1 }], "points_outside"],
    [[{ eas_mps: 30, sink_mps: NaN, weight: 1 }], "points_outside"],
    // A sink that falls with speed has no parabola.
    [
      [
        { eas_mps: 30, sink_mps: 9, weight: 500 },
        { eas_mps: 60, sink_mps: 1, weight: 500 },
      ],
      "fit_impossible",
    ],
  ])("refuses points that are no glide: %o", (points, code) => {
    const found = fitHandbook({ ...printed(ALDER, 16.5, 11), points });
    expect(found.ok ? "" : found.issue.code).toBe(code);
  });

  it("the fleet's own handbook figures agree with the models that fly them", () => {
    for (const name of ["alder-s1", "rowan-r1"]) {
      const aircraft = demoAircraft(name);
      const { mass_kg, vbg_mps, bestGlideRatio, vs1_mps } = aircraft.handbook;
      const model = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
      if (!model.ok || !aircraft.wing || vbg_mps === null || bestGlideRatio === null || vs1_mps === null)
        throw new Error(`expected handbook figures of ${name}`);
      const found = fit({
        mass_kg,
        wingArea_m2: aircraft.wing.area_m2,
        span_m: aircraft.wing.span_m,
        vbg_mps,
        bestGlideRatio,
        stall_mps: [{ flap: "up", speed_mps: vs1_mps }],
        points: [],
      });
      expect(Math.abs(found.cd0 / model.value.polar.cd0 - 1), name).toBeLessThan(0.03);
      expect(Math.abs(found.k / model.value.polar.k - 1), name).toBeLessThan(0.03);
      expect(found.doubts, name).toEqual([]);
    }
  });
});
