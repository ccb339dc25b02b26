import { describe, expect, it } from "vitest";
import { G0, RHO0 } from "../../quantities/constants";
import { type FlownGlide, fitFlownPolar } from "./polar-fit";
import { onRunway } from "./landing";
import { destination } from "../../earth/geodesic";
import { radians } from "../../quantities/angle";

describe("a polar from flown glides", () => {
  const [mass, area, cd0, k] = [1000, 16.5, 0.05, 0.0617];
  /** A glide as the polar has it: sinγ = CD·q/(W/S), CL = (W/S)·cosγ/q. */
  const glide = (eas: number, off = 0): FlownGlide => {
    const loading = (mass * G0) / area;
    const q = (RHO0 / 2) * eas ** 2;
    let sin = 0.1;
    for (let i = 0; i < 60; i += 1) sin = (q * (cd0 + k * ((loading / q) ** 2 * (1 - sin * sin)))) / loading;
    const tas = eas * 1.05;
    return { eas_mps: eas, tas_mps: tas, sink_mps: tas * sin + off, sinkSigma_mps: 0.1 };
  };

  it("is found again exactly; best ratio 9.00 at 63.6 kt by hand: 1/(2√(.05·.0617)), √(2·594.3/1.225·√(.0617/.05))", () => {
    const fit = fitFlownPolar(
      [29, 31, 36, 45].map((eas) => glide(eas)),
      mass,
      area,
    );
    if (!fit.ok) throw new Error(fit.issue.message);
    expect(fit.value.cd0).toBeCloseTo(cd0, 8);
    expect(fit.value.k).toBeCloseTo(k, 8);
    expect(fit.value.bestRatio).toBeCloseTo(9.0018, 3);
    expect(fit.value.bestEas_mps).toBeCloseTo(32.83, 1);
    expect(fit.value.doubts).toEqual([]);
  });

  it("glides that disagree, and two speeds, are doubted; one speed is refused; a climb makes no polar", () => {
    const two = fitFlownPolar([glide(30), glide(40)], mass, area);
    expect(two.ok && two.value.doubts).toHaveLength(1);
    const apart = fitFlownPolar([glide(30), glide(30, 1), glide(36), glide(36, -1), glide(45)], mass, area);
    expect(apart.ok && apart.value.doubts.join()).toContain("disagree");
    expect(apart.ok && apart.value.chiSquared).toBeGreaterThan(4);
    expect(fitFlownPolar([glide(30), glide(30.5)], mass, area)).toMatchObject({
      ok: false,
      issue: { code: "too_few" },
    });
    expect(fitFlownPolar([glide(30, -8), glide(40, -8), glide(45, -8)], mass, area)).toMatchObject({
      ok: false,
      issue: { code: "no_polar" },
    });
  });

  it("its bound grows with the glides’ own", () => {
    const of = (sigma: number) => {
      const fit = fitFlownPolar(
        [29, 36, 45].map((eas) => ({ ...glide(eas), sinkSigma_mps: sigma })),
        mass,
        area,
      );
      return fit.ok ? fit.value.bestRatioSigma : NaN;
    };
    expect(of(0.2)).toBeCloseTo(2 * of(0.1), 8);
  });
});

describe("a place on a runway", () => {
  it("is along and right of its line from the threshold", () => {
    const threshold = { latitude_deg: -47.1, longitude_deg: -130.9 };
    const runway = { name: "29", threshold, headingTrue_rad: radians(318), length_m: 1100 };
    const place = destination(destination(threshold, radians(318), 400), radians(318 + 90), 25);
    const found = onRunway(runway, place);
    expect(found.along_m).toBeCloseTo(400, 1);
    expect(found.across_m).toBeCloseTo(25, 1);
  });
});
