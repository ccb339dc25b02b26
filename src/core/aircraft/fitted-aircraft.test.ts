import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { bestGlide } from "../glide/straight-glide";
import { MPS_PER_KT } from "../quantities/constants";
import { Aeroplane } from "./aeroplane";
import { cleanGlide } from "./configuration";
import { figuresOf, fitOf, withFit } from "./fitted-aircraft";
import { readGlidePoints, writeGlidePoints } from "./glide-points-csv";
import { newAircraft } from "./new-aircraft";
import { doubtsAbout } from "./plausibility";
import { polarOf, stallSpeed_mps } from "./polar";

const kt = (speed: number) => speed * MPS_PER_KT;
const UNITS = { speed: "kt", verticalSpeed: "fpm" };

/** A light single as its book prints it. */
function typed(): Aeroplane {
  const blank = newAircraft("Test single");
  return {
    ...blank,
    wing: { area_m2: 16.5, span_m: 11 },
    handbook: {
      ...blank.handbook,
      vs1_mps: kt(51.9),
      vs0_mps: kt(44.4),
      vbg_mps: kt(67),
      bestGlideRatio: 9,
      vy_mps: kt(70),
    },
  };
}

describe("an aircraft from its handbook", () => {
  it("begins as a valid document without speeds, and says what the fit still needs", () => {
    const blank = newAircraft("New");
    expect(Aeroplane.safeParse(blank).success).toBe(true);
    const codes = [
      blank,
      { ...blank, wing: { area_m2: 16, span_m: 11 } },
      { ...typed(), handbook: { ...typed().handbook, vs1_mps: null } },
    ].map((document) => {
      const figures = figuresOf(document);
      return figures.ok ? "" : figures.issue.code;
    });
    expect(codes).toEqual(["wing_missing", "glide_missing", "stall_missing"]);
  });

  it("glides and stalls as the book says once the fit is taken over, dead propeller included", () => {
    const fit = fitOf(typed());
    if (!fit.ok) throw new Error(fit.issue.message);
    const fitted = withFit(typed(), fit.value);
    if (!fitted.ok) throw new Error(fitted.issue.message);
    expect(Aeroplane.safeParse(fitted.value).success).toBe(true);
    const found = polarOf(fitted.value, 1100, cleanGlide(fitted.value));
    if (!found.ok) throw new Error(found.issue.message);
    expect(bestGlide(found.value.polar).eas_mps / kt(67)).toBeCloseTo(1, 6);
    expect(bestGlide(found.value.polar).ratio).toBeCloseTo(9, 6);
    expect(stallSpeed_mps(found.value.polar) / kt(51.9)).toBeCloseTo(1, 9);
    expect(fitted.value.polar?.flaps.map((flap) => flap.name)).toEqual(["up", "landing"]);
    // Fitted again, nothing moves.
    const again = fitOf(fitted.value);
    expect(again.ok && again.value.cd0).toBeCloseTo(fit.value.cd0, 9);
  });

  it("keeps flaps between, gear and items of a model it fits anew", () => {
    const alder = demoAircraft("alder-s1");
    const fit = fitOf(alder);
    const fitted = fit.ok ? withFit(alder, fit.value) : fit;
    if (!fitted.ok) throw new Error(fitted.issue.message);
    expect(fitted.value.polar?.flaps[1].clMax).toBeCloseTo(alder.polar?.flaps[1].clMax ?? NaN, 9);
    expect(fitted.value.polar?.deadPropeller).toEqual(alder.polar?.deadPropeller);
    // The book rounds best glide to a knot.
    expect(Math.abs((fitted.value.polar?.k ?? 0) / (alder.polar?.k ?? NaN) - 1)).toBeLessThan(0.02);
  });

  it("refuses a propeller that drags more than the whole glide", () => {
    const alder = demoAircraft("alder-s1");
    if (!alder.polar?.deadPropeller) throw new Error("a propeller");
    const heavy = {
      ...alder,
      polar: { ...alder.polar, deadPropeller: { ...alder.polar.deadPropeller, windmilling: 0.2 } },
    };
    const fit = fitOf(heavy);
    const fitted = fit.ok ? withFit(heavy, fit.value) : fit;
    expect(fitted.ok ? "" : fitted.issue.code).toBe("fit_impossible");
    const feathered = withFit(
      { ...heavy, handbook: { ...heavy.handbook, glidePropeller: "none" } },
      fit.ok ? fit.value : ({} as never),
    );
    expect(feathered.ok).toBe(true);
  });

  it("takes further glides into the fit", () => {
    const flown = { ...typed(), handbook: { ...typed().handbook, glidePoints: [{ eas_mps: kt(90), sink_mps: 7.2 }] } };
    const [without, with_] = [fitOf(typed()), fitOf(flown)];
    expect(with_.ok && with_.value.residuals).toHaveLength(3);
    expect(with_.ok && without.ok && with_.value.cd0).not.toBe(without.ok && without.value.cd0);
  });
});

describe("points as text", () => {
  it.each([
    ["60,650\n70,700", 2, []],
    ["speed_kt,sink_fpm\n60,650", 1, []],
    ["60,5;650\n\n70;7oo", 1, [3]],
    ["60,650\nfast,slow\n70,-700\n", 2, [2]],
    ["60,", 0, [1]],
    ["1,1", 0, [1]],
    ["60,9000", 0, [1]],
  ])("reads %j", (text, count, badLines) => {
    const { points, faults } = readGlidePoints(text, UNITS);
    expect(points).toHaveLength(count);
    expect(faults.map((fault) => Number(/Line (\d+)/.exec(fault)?.[1]))).toEqual(badLines);
  });

  it("takes units from the heading", () => {
    const { points } = readGlidePoints("IAS km/h,sink m/s\n108,3.5", UNITS);
    expect(points[0].eas_mps).toBeCloseTo(30, 6);
    expect(points[0].sink_mps).toBeCloseTo(3.5, 9);
  });

  it("goes there and back", () => {
    const points = [
      { eas_mps: kt(60), sink_mps: 3.3 },
      { eas_mps: kt(80), sink_mps: 5 },
    ];
    for (const units of [UNITS, { speed: "kmh", verticalSpeed: "mps" }]) {
      const back = readGlidePoints(writeGlidePoints(points, units), { speed: "mph", verticalSpeed: "fpm" });
      expect(back.faults).toEqual([]);
      back.points.forEach((point, i) => {
        expect(point.eas_mps).toBeCloseTo(points[i].eas_mps, 1);
        expect(point.sink_mps).toBeCloseTo(points[i].sink_mps, 1);
      });
    }
  });
});

describe("figures against each other", () => {
  const alder = demoAircraft("alder-s1");
  const paths = (document: Aeroplane) => doubtsAbout(document).map((doubt) => doubt.path);

  it("finds nothing wrong with the demo singles", () => {
    for (const name of ["alder-s1", "rowan-r1"]) expect(doubtsAbout(demoAircraft(name))).toEqual([]);
  });

  it.each([
    ["handbook.vs0_mps", { handbook: { ...alder.handbook, vs0_mps: 30 } }],
    ["handbook.vbg_mps", { handbook: { ...alder.handbook, vbg_mps: 20 } }],
    ["handbook.vy_mps", { handbook: { ...alder.handbook, vy_mps: 29 } }],
    // Stall in km/h typed as knots.
    ["handbook.vs1_mps", { handbook: { ...alder.handbook, vs1_mps: 49.4, vbg_mps: 63 } }],
    ["handbook.mass_kg", { handbook: { ...alder.handbook, mass_kg: 1500 } }],
    ["limits.va_mps", { limits: { ...alder.limits, va_mps: 70 } }],
    ["limits.vne_mps", { limits: { ...alder.limits, vne_mps: 40 } }],
    ["limits.loadFactorFlap", { limits: { ...alder.limits, loadFactorFlap: 5 } }],
    ["limits.vle_mps", { limits: { ...alder.limits, vlo_mps: 60, vle_mps: 50 } }],
    ["limits.vfe_mps.2", { limits: { ...alder.limits, vfe_mps: [null, 40, 50] } }],
    ["wing.span_m", { wing: { area_m2: 16.5, span_m: 36 } }],
    [
      "polar.flaps.1.clMax",
      {
        polar: alder.polar && {
          ...alder.polar,
          flaps: alder.polar.flaps.map((flap, i) => (i === 1 ? { ...flap, clMax: 1.2 } : flap)),
        },
      },
    ],
  ])("points at %s", (path, change) => {
    expect(paths({ ...alder, ...change } as Aeroplane)).toContain(path);
  });
});
