// Lengths, places, touchdown and ditching worked out again by hand: formulas written out, tables of points and factors
// typed again, rules gone through one by one.
import { isAerodrome } from "@/core/places/place";
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { airAtAltitude } from "../air/altimetry";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { geodesicBetween } from "../earth/geodesic";
import { sunPosition } from "../earth/sun";
import { degrees, radians, wrapHalfTurn } from "../quantities/angle";
import { G0, MPS_PER_KT, P0_PA, RHO0 } from "../quantities/constants";
import type { LandingPlan } from "../situation/landing-plan";
import { type DitchingHeading, type DitchingQuestion, ditching, swellFigures } from "./ditching";
import { heightAdvice } from "./height-advice";
import { type LandingEnd, aimPoint_m, landingEnds } from "./landing-end";
import { type LengthQuestion, landingFigures, lengthNeeded } from "./landing-length";
import { reachOf } from "./reach";
import type { EndReach } from "./way-to-end";
import { reachQuestion } from "./reach-question";
import { type Site, rankSites } from "./sites";
import { type TouchdownQuestion, secureList, touchdown } from "./touchdown";

function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}

const BRAKING: Record<LandingEnd["surface"], number> = {
  asphalt: 0.25,
  concrete: 0.25,
  gravel: 0.22,
  grass: 0.2,
  sand: 0.15,
};

describe("length needed, by hand", () => {
  const asked = (change: Partial<LengthQuestion> = {}): LengthQuestion => {
    const aircraft = demoAircraft("alder-s1");
    return {
      figures: value(landingFigures(aircraft, 1000, cleanGlide(aircraft), null)),
      density: 1.15,
      tailwind_mps: 0,
      end: { surface: "asphalt", slope: 0, obstacle: null },
      wet: false,
      rule: "computed",
      ownFactor: 1,
      ...change,
    };
  };
  /** From 50 ft, or over the obstacle, in the wind and with the brakes that are counted. */
  const byHand = ({ figures: { body }, density, end }: LengthQuestion, wind: number, braking: number) => {
    const stall = Math.sqrt((2 * body.wingLoading) / (density * body.clMax));
    const [approach, touch] = [1.3 * stall, 1.1 * stall];
    const cl = body.clMax / 1.69;
    const ratio = ((cl / (body.steepCd0 + body.k * cl * cl)) * (approach + wind)) / approach;
    const over = end.obstacle ? end.obstacle.height_m + 15.24 - end.obstacle.distance_m / ratio : 0;
    const air = Math.max(15.24, over) * ratio;
    const flare = ((approach + touch) / 2 + wind) * ((approach - touch) / (0.2 * G0));
    return air + flare + (touch + wind) ** 2 / (2 * braking * G0);
  };

  it.each(Object.entries(BRAKING) as [LandingEnd["surface"], number][])(
    "on %s brakes with %d g",
    (surface, braking) => {
      const dry = asked({ end: { surface, slope: 0, obstacle: null } });
      expect(value(lengthNeeded(dry)).needed_m).toBeCloseTo(byHand(dry, 0, braking), 6);
      const wet = { ...dry, wet: true };
      expect(value(lengthNeeded(wet)).needed_m).toBeCloseTo(byHand(wet, 0, 0.7 * braking), 6);
      const uphill = asked({ end: { surface, slope: 0.03, obstacle: null } });
      expect(value(lengthNeeded(uphill)).needed_m).toBeCloseTo(byHand(uphill, 0, braking + 0.03), 6);
      expect(value(lengthNeeded(uphill)).braking).toBeCloseTo(braking + 0.03, 9);
    },
  );

  it.each([
    ["all of a headwind as computed", "computed", -6, -6, 1],
    ["all of a tailwind as computed", "computed", 3, 3, 1],
    ["half a headwind with the factor", "factor", -6, -3, 1.43],
    ["half as much again of a tailwind with the factor", "factor", 3, 4.5, 1.43],
    ["the same with a factor of one's own", "own", -6, -3, 1.6],
  ] as const)("counts %s", (_, rule, tailwind_mps, counted, factor) => {
    const question = asked({ rule, tailwind_mps, ownFactor: 1.6 });
    const length = value(lengthNeeded(question));
    expect(length.needed_m).toBeCloseTo(factor * byHand(question, counted, 0.25), 6);
    expect(length.computed_m).toBeCloseTo(byHand(question, counted, 0.25), 6);
  });

  it.each([
    ["asphalt", false, 0, {}],
    ["asphalt", true, 0, { wet: 1.15 }],
    ["concrete", true, 0, { wet: 1.15 }],
    ["grass", false, 0, { "dry grass": 1.15 }],
    ["grass", true, 0, { "wet grass": 1.35 }],
    ["gravel", false, 0, { "as soft ground": 1.25 }],
    ["sand", true, 0, { "as soft ground": 1.25 }],
    ["asphalt", false, -0.02, { downhill: 1.1 }],
    ["asphalt", false, -0.04, { downhill: 1.21 }],
    ["asphalt", false, 0.02, {}],
  ] as const)(
    "by the leaflet %s, wet %s, slope %d multiplies a level dry hard runway",
    (surface, wet, slope, factors) => {
      const question = asked({ rule: "leaflet", wet, end: { surface, slope, obstacle: null } });
      const length = value(lengthNeeded(question));
      const named = Object.fromEntries(length.factors.map((factor) => [factor.name, factor.value]));
      expect(Object.keys(named)).toEqual([...Object.keys(factors), "safety"]);
      for (const [name, factor] of Object.entries({ ...factors, safety: 1.43 }))
        expect(named[name]).toBeCloseTo(factor, 9);
      const product = Object.values(factors).reduce((all, factor) => all * factor, 1.43);
      expect(length.needed_m).toBeCloseTo(product * byHand(question, 0, 0.25), 6);
    },
  );

  it("by the leaflet a tailwind of a tenth of the touchdown costs a fifth, a headwind counts by half", () => {
    const touch = value(lengthNeeded(asked())).touchdownGroundSpeed_mps;
    const behind = value(lengthNeeded(asked({ rule: "leaflet", tailwind_mps: touch / 10 })));
    expect(behind.factors.map(({ name }) => name)).toEqual(["tailwind", "safety"]);
    expect(behind.factors[0].value).toBeCloseTo(1.2, 9);
    expect(behind.computed_m).toBeCloseTo(byHand(asked(), 0, 0.25), 6);
    const ahead = asked({ rule: "leaflet", tailwind_mps: -5 });
    expect(value(lengthNeeded(ahead)).needed_m).toBeCloseTo(1.43 * byHand(ahead, -2.5, 0.25), 6);
  });

  it("an obstacle counts only when it stands higher than the way from 50 ft", () => {
    const near = asked({
      end: { surface: "asphalt", slope: 0, obstacle: { name: "wood", height_m: 20, distance_m: 60 } },
    });
    expect(value(lengthNeeded(near)).threshold_m).toBeGreaterThan(20);
    expect(value(lengthNeeded(near)).needed_m).toBeCloseTo(byHand(near, 0, 0.25), 6);
    const far = asked({
      end: { surface: "asphalt", slope: 0, obstacle: { name: "wood", height_m: 20, distance_m: 900 } },
    });
    expect(value(lengthNeeded(far)).threshold_m).toBeCloseTo(15.24, 9);
  });

  it("brakes of 0.03 g still stop it, less do not; a headwind as fast as the approach has no length", () => {
    const slope = (braking: number) => asked({ end: { surface: "grass", slope: braking - 0.2, obstacle: null } });
    expect(lengthNeeded(slope(0.0301)).ok).toBe(true);
    expect(lengthNeeded(slope(0.0299))).toMatchObject({ issue: { code: "does_not_stop", path: "end.slope" } });
    const approach = value(lengthNeeded(asked())).approachTas_mps;
    expect(lengthNeeded(asked({ tailwind_mps: 0.1 - approach })).ok).toBe(true);
    expect(lengthNeeded(asked({ tailwind_mps: -0.1 - approach }))).toMatchObject({ issue: { code: "no_headway" } });
  });
});

describe("one place, judged by hand", () => {
  const QUESTION = () => {
    const places = demoPlaces();
    return reachQuestion(
      { ...demoSituation(), altitude_m: 900 },
      demoAircraft("alder-s1"),
      landingEnds(places).filter(({ name }) => name === "Skerrow 11"),
    );
  };
  interface Change {
    entry?: Partial<EndReach>;
    margin_m?: number;
    end?: Partial<LandingEnd>;
    plan?: Partial<LandingPlan>;
  }
  function judged({ entry, margin_m = 400, end, plan }: Change): Site {
    const question = QUESTION();
    const reach = value(reachOf(question, null));
    const [first] = reach.ends;
    const changed: EndReach = {
      ...first,
      status: "reached",
      tailwind_mps: 0,
      crosswind_mps: 0,
      path: first.path && { ...first.path, margin_m },
      ...entry,
    };
    const sites = rankSites(
      { ...reach, ends: [changed] },
      { ...question, ends: [{ ...question.ends[0], length_m: 1150, slope: 0, obstacle: null, hazards: [], ...end }] },
      { ...demoSituation().landing, ...plan },
      demoSituation().day,
    );
    return value(sites).sites[0];
  }
  /** Points of the score, typed again. */
  const POINTS: Record<string, number> = {
    unprepared: 30,
    people: 40,
    "power-lines": 25,
    wall: 30,
    rough: 20,
    soft: 15,
    stock: 10,
    trees: 10,
    "crosswind-limit": 20,
    crosswind: 8,
    "tailwind-limit": 20,
    tailwind: 15,
    sun: 10,
    obstacle: 8,
    downhill: 6,
    "too-short": 20,
    reserve: 15,
  };
  const said = ({ reasons }: Site) => reasons.map(({ code, tone }) => `${tone} ${code}`);

  it.each([
    ["a long runway in calm", {}, "fits", ["good runway", "good spare"]],
    ["a field", { end: { unprepared: true } }, "fits", ["caution unprepared", "good spare"]],
    ["short by the factor only", { end: { length_m: 320 } }, "tight", ["good runway", "caution tight"]],
    ["too short", { end: { length_m: 250 } }, "too-short", ["good runway", "bad too-short"]],
    [
      "downhill without a stop",
      { end: { slope: -0.19, surface: "sand" } },
      "too-short",
      ["good runway", "bad does-not-stop", "caution downhill"],
    ],
    [
      "the reserve spent",
      { entry: { status: "reserve" }, margin_m: -40 },
      "reserve",
      ["bad reserve", "good runway", "good spare"],
    ],
    [
      "out of reach",
      { entry: { status: "short" }, margin_m: -80 },
      "short",
      ["bad short", "good runway", "good spare"],
    ],
    [
      "ground in the way",
      { entry: { status: "terrain", clearance: { least_m: -25, index: 3, unknown: 0 } } },
      "blocked",
      ["bad blocked", "good runway", "good spare"],
    ],
    ["5 kt behind", { entry: { tailwind_mps: 2.6 } }, "fits", ["good runway", "good spare", "caution tailwind"]],
    [
      "12 kt behind, 10 planned with",
      { entry: { tailwind_mps: 6.2 } },
      "wind",
      ["good runway", "good spare", "bad tailwind-limit"],
    ],
    ["hardly any wind behind", { entry: { tailwind_mps: 1.4 } }, "fits", ["good runway", "good spare"]],
    ["6 kt ahead", { entry: { tailwind_mps: -3 } }, "fits", ["good runway", "good spare", "good headwind"]],
    ["9 kt across", { entry: { crosswind_mps: -4.6 } }, "fits", ["good runway", "good spare", "caution crosswind"]],
    ["7 kt across", { entry: { crosswind_mps: 3.6 } }, "fits", ["good runway", "good spare"]],
    [
      "16 kt across",
      { entry: { crosswind_mps: 8.3 } },
      "wind",
      ["good runway", "good spare", "caution crosswind-limit"],
    ],
    [
      "an obstacle",
      { end: { obstacle: { name: "wood", height_m: 12, distance_m: 300 } } },
      "fits",
      ["good runway", "good spare", "caution obstacle"],
    ],
    ["uphill", { end: { slope: 0.006 } }, "fits", ["good runway", "good spare", "good uphill"]],
    ["downhill", { end: { slope: -0.006 } }, "fits", ["good runway", "good spare", "caution downhill"]],
    ["flat enough", { end: { slope: -0.004 } }, "fits", ["good runway", "good spare"]],
    ["low arrival", { margin_m: 59 }, "fits", ["good runway", "good spare", "caution low-arrival"]],
    ["not so low", { margin_m: 61 }, "fits", ["good runway", "good spare"]],
    [
      "all that can hurt",
      { end: { hazards: ["people", "power-lines", "stock", "trees", "soft", "rough", "wall"] } },
      "fits",
      [
        "good runway",
        "good spare",
        "bad people",
        "bad power-lines",
        "caution stock",
        "caution trees",
        "caution soft",
        "caution rough",
        "bad wall",
      ],
    ],
  ] as [string, Change, string, string[]][])("%s", (_, change, verdict, reasons) => {
    const site = judged(change);
    expect(site.verdict).toBe(verdict);
    expect(said(site)).toEqual(reasons);
    // Points of the reasons; room under 15 % of the length; height in hand under 500 ft; wind over its limit.
    const points = site.reasons.reduce((sum, { code }) => sum + (POINTS[code] ?? 0), 0);
    const room =
      site.spare_m === null ? 0 : 20 * Math.min(1, Math.max(0, 1 - site.spare_m / (0.15 * site.end.length_m)));
    const low = 40 * (1 - Math.min(Math.max(change.margin_m ?? 400, 0), 152.4) / 152.4);
    const { tailwind_mps, crosswind_mps } = site.reach;
    const wind = Math.max(tailwind_mps / 5.14444, Math.abs(crosswind_mps) / (15 * MPS_PER_KT));
    expect(site.windShare).toBeCloseTo(wind, 6);
    expect(site.score).toBeCloseTo(points + room + low + 40 * Math.max(wind - 1, 0), 6);
    expect(site.spare_m ?? 0).toBeCloseTo(site.length ? site.end.length_m - site.length.needed_m : 0, 9);
  });

  it("reasons carry their figures: lengths, heights, winds, slopes", () => {
    const valueOf = (change: Change, code: string) =>
      judged(change).reasons.find((reason) => reason.code === code)?.value;
    expect(valueOf({ entry: { status: "reserve" }, margin_m: -40 }, "reserve")).toBe(40);
    expect(valueOf({ entry: { status: "short" }, margin_m: -80 }, "short")).toBe(80);
    expect(
      valueOf({ entry: { status: "terrain", clearance: { least_m: -25, index: 3, unknown: 0 } } }, "blocked"),
    ).toBe(25);
    expect(valueOf({ entry: { tailwind_mps: -3 } }, "headwind")).toBe(3);
    expect(valueOf({ entry: { crosswind_mps: -4.6 } }, "crosswind")).toBe(4.6);
    expect(valueOf({ end: { slope: -0.02 } }, "downhill")).toBe(-0.02);
    expect(valueOf({ margin_m: 30 }, "low-arrival")).toBe(30);
    const short = judged({ end: { length_m: 250 } });
    expect(short.reasons.find(({ code }) => code === "too-short")?.value).toBeCloseTo(-(short.computedSpare_m ?? 0), 9);
    const fits = judged({});
    expect(fits.reasons.find(({ code }) => code === "spare")?.value).toBe(fits.spare_m);
  });

  it("a place too short is left at the speed that its brakes leave, √(Vg² − 2Ng·room)", () => {
    const site = judged({ end: { length_m: 250 }, plan: { rule: "computed" } });
    const length = site.length;
    if (!length) throw new Error("expected a length");
    const room = Math.max(250 - length.air_m - length.flare_m, 0);
    expect(site.overrun_mps).toBeCloseTo(
      Math.sqrt(length.touchdownGroundSpeed_mps ** 2 - 2 * length.braking * G0 * room),
      9,
    );
    expect(judged({}).overrun_mps).toBeNull();
  });

  it("the sun counts under 20° and within 30° of the way in, above the horizon", () => {
    const question = QUESTION();
    const { day } = demoSituation();
    for (let utc_h = 0; utc_h < 24; utc_h += 0.5) {
      const sun = sunPosition(question.position, day, utc_h);
      for (const off of [-0.6, -0.5, 0, 0.5, 0.6]) {
        const site = judged({ end: { headingTrue_rad: sun.azimuth_rad + off }, plan: { utc_h } });
        const blinds = sun.elevation_rad > 0 && sun.elevation_rad < 0.35 && Math.abs(off) < 0.52;
        expect(said(site).includes("caution sun")).toBe(blinds);
      }
    }
  });

  it("room under 15 % of the length counts up to 20 points", () => {
    const { length } = judged({});
    if (!length) throw new Error("expected a length");
    const close = judged({ end: { length_m: 1.05 * length.needed_m } });
    expect(close.verdict).toBe("fits");
    expect(close.score).toBeCloseTo(20 * (1 - 0.05 / 1.05 / 0.15), 6);
  });

  it("a limit of no tailwind is passed by any wind that is not calm", () => {
    expect(judged({ plan: { tailwindLimit_mps: 0 }, entry: { tailwind_mps: 1.4 } }).verdict).toBe("fits");
    expect(judged({ plan: { tailwindLimit_mps: 0 }, entry: { tailwind_mps: 1.6 } }).verdict).toBe("wind");
  });
});

describe("places in order", () => {
  /** Skerrow's two ends and what is changed about the second. */
  function order(first: object, second: object, plan: Partial<LandingPlan> = {}): boolean {
    const places = demoPlaces();
    const question = reachQuestion(
      { ...demoSituation(), altitude_m: 900 },
      demoAircraft("alder-s1"),
      landingEnds(places).filter(({ name }) => name.startsWith("Skerrow")),
    );
    const reach = value(reachOf(question, null));
    const usual = {
      length_m: 1150,
      slope: 0,
      obstacle: null,
      hazards: [],
      unprepared: false,
      surface: "asphalt" as const,
    };
    const changes = [first, second] as { end?: object; entry?: object; margin_m?: number }[];
    const ends = question.ends.map((end, i) => ({ ...end, ...usual, ...changes[i].end }));
    const entries = question.ends.map(({ id }, i) => {
      const entry = reach.ends.find(({ endId }) => endId === id);
      if (!entry) throw new Error("expected an entry");
      return {
        ...entry,
        status: "reached" as const,
        tailwind_mps: 0,
        crosswind_mps: 0,
        path: entry.path && { ...entry.path, margin_m: changes[i].margin_m ?? 200 },
        ...changes[i].entry,
      };
    });
    const ranked = rankSites(
      { ...reach, ends: entries },
      { ...question, ends },
      { ...demoSituation().landing, ...plan },
      "2026-07-01",
    );
    return value(ranked).sites[0].end.id === question.ends[0].id;
  }

  it.each([
    ["a runway before a field that scores better", { margin_m: 100 }, { end: { unprepared: true } }],
    ["what fits before what is tight", { margin_m: 70 }, { end: { length_m: 320 } }],
    ["tight before the reserve", { end: { length_m: 320 } }, { entry: { status: "reserve" }, margin_m: -10 }],
    ["a little over the limit of wind before tight", { entry: { crosswind_mps: 10 } }, { end: { length_m: 320 } }],
    ["tight before far over the limit of wind", { end: { length_m: 320 } }, { entry: { crosswind_mps: 12.5 } }],
    [
      "the reserve before far over the limit of wind",
      { entry: { status: "reserve" }, margin_m: -10 },
      { entry: { crosswind_mps: 12.5 } },
    ],
    ["wind before too short", { entry: { crosswind_mps: 12.5 } }, { end: { length_m: 200 } }],
    ["too short before blocked", { end: { length_m: 250 } }, { entry: { status: "terrain" } }],
    ["blocked before out of reach", { entry: { status: "terrain" } }, { entry: { status: "short" }, margin_m: -5 }],
    [
      "of what is out of reach the nearer in height",
      { entry: { status: "short" }, margin_m: -20 },
      { entry: { status: "short" }, margin_m: -21 },
    ],
    ["of two too short the slower at its end", { end: { length_m: 260 } }, { end: { length_m: 230 } }],
    ["of equals the longer", { end: { length_m: 1200 } }, { end: { length_m: 1150 } }],
    ["the higher arrival up to 500 ft", { margin_m: 152 }, { margin_m: 120 }],
  ])("%s", (_, better, worse) => {
    expect(order(better, worse)).toBe(true);
    expect(order(worse, better)).toBe(false);
  });

  it("height beyond 500 ft makes nothing better: then the longer one", () => {
    expect(order({ margin_m: 160, end: { length_m: 1200 } }, { margin_m: 900 })).toBe(true);
  });
});

describe("open ground, and the aeroplane as it lands", () => {
  it("into the wind of the first place it touches down at 1.1 V_S less that wind", () => {
    const places = demoPlaces();
    const aircraft = demoAircraft("alder-s1");
    const question = reachQuestion({ ...demoSituation(), altitude_m: 900 }, aircraft, landingEnds(places));
    const told = value(rankSites(value(reachOf(question, null)), question, demoSituation().landing, "2026-07-01"));
    const [first] = told.sites;
    const { sigma } = airAtAltitude(first.end.elevation_m, question.air);
    const wind = Math.hypot(first.reach.tailwind_mps, first.reach.crosswind_mps);
    expect(told.intoWind_mps).toBeCloseTo((1.1 * told.figures.stallEas_mps) / Math.sqrt(sigma) - wind, 9);
    expect(told.sites.every(({ reach }) => reach.status !== "none")).toBe(true);
  });

  it("the gear is down, the slip out, the flap the landing one unless another is chosen", () => {
    const larch = demoAircraft("larch-t2");
    const clean = cleanGlide(larch);
    const polar = (flap: number) => value(polarOf(larch, 1600, { ...clean, flap, gearDown: true, slip: 0 })).polar;
    const landing = larch.polar?.landingFlap ?? 0;
    const usual = value(landingFigures(larch, 1600, { ...clean, slip: 1, gearDown: false }, null));
    expect(usual.body).toMatchObject({
      steepCd0: polar(landing).cd0,
      clMax: polar(landing).clMax,
      k: polar(landing).k,
    });
    expect(usual.flapName).toBe(larch.polar?.flaps[landing].name);
    expect(value(landingFigures(larch, 1600, clean, 0)).body.steepCd0).toBe(polar(0).cd0);
  });
});

describe("touching down, by hand", () => {
  const asked = (change: Partial<TouchdownQuestion> = {}, name = "larch-t2"): TouchdownQuestion => {
    const aircraft = demoAircraft(name);
    return {
      aircraft,
      mass_kg: aircraft.mass.usual_kg,
      configuration: cleanGlide(aircraft),
      air: { qnh_Pa: P0_PA, deviation_K: 0 },
      elevation_m: 0,
      tailwind_mps: 0,
      flap: null,
      length_m: null,
      surface: "asphalt",
      stopping: 0.25,
      wheelsUp: false,
      ...change,
    };
  };

  it("E = m·Vg²/2, stops at V²/(2Ng) in V/(Ng), the ratio of each case is that of the squares", () => {
    const question = asked({ tailwind_mps: -4, length_m: 300 });
    const told = value(touchdown(question));
    const stall = value(landingFigures(question.aircraft, question.mass_kg, question.configuration, null)).stallEas_mps;
    const clean = value(landingFigures(question.aircraft, question.mass_kg, question.configuration, 0)).stallEas_mps;
    const speeds = {
      "as planned": 1.1 * stall - 4,
      "still air": 1.1 * stall,
      "the other way": 1.1 * stall + 4,
      "flap up": 1.1 * clean - 4,
      "10 % faster": 1.21 * stall - 4,
    };
    expect(told.cases.map(({ name }) => name)).toEqual(Object.keys(speeds));
    for (const entry of told.cases) {
      expect(entry.groundSpeed_mps).toBeCloseTo(speeds[entry.name], 4);
      expect(entry.energy_J).toBeCloseTo((question.mass_kg * entry.groundSpeed_mps ** 2) / 2, 6);
      expect(entry.ratio).toBeCloseTo((entry.groundSpeed_mps / told.groundSpeed_mps) ** 2, 9);
      expect(entry.stop_m).toBeCloseTo(entry.groundSpeed_mps ** 2 / (0.5 * G0), 6);
    }
    expect(told.stops.map(({ g }) => g)).toEqual([0.1, 0.25, 0.5, 1, 3, 9]);
    for (const { g, distance_m, time_s } of told.stops) {
      expect(distance_m).toBeCloseTo(told.groundSpeed_mps ** 2 / (2 * g * G0), 9);
      expect(time_s).toBeCloseTo(told.groundSpeed_mps / (g * G0), 9);
    }
    expect(told.needed_g).toBeCloseTo(told.groundSpeed_mps ** 2 / (600 * G0), 9);
    expect(value(touchdown(asked())).needed_g).toBeNull();
  });

  it("compares with the other way only where there is wind, and leaves out what has no speed", () => {
    expect(value(touchdown(asked({ tailwind_mps: 0.5 }))).cases).toHaveLength(3);
    expect(value(touchdown(asked({ tailwind_mps: 0.6 }))).cases).toHaveLength(5);
    const speed = value(touchdown(asked())).groundSpeed_mps;
    expect(touchdown(asked({ tailwind_mps: 0.9 - speed }))).toMatchObject({ issue: { code: "no_speed" } });
    expect(value(touchdown(asked({ tailwind_mps: 1.1 - speed }))).groundSpeed_mps).toBeCloseTo(1.1, 6);
  });

  it("thin air is touched down in faster, by the root of the density", () => {
    const [low, high] = [0, 2500].map((elevation_m) => value(touchdown(asked({ elevation_m }))));
    // Standard atmosphere at 2,500 m: 0.957 kg/m³.
    expect(high.groundSpeed_mps / low.groundSpeed_mps).toBeCloseTo(Math.sqrt(RHO0 / 0.9569), 3);
    expect(high.touchdownEas_mps).toBeCloseTo(low.touchdownEas_mps, 9);
  });

  it.each([
    ["asphalt", "down", 0.4],
    ["concrete", "down", 0.4],
    ["gravel", "down", 0.5],
    ["grass", "down", 0.5],
    ["sand", "up", 0.5],
    ["water", "up", null],
  ] as const)("on %s the gear is %s; on its belly it slides at %s g", (surface, gear, slide) => {
    expect(value(touchdown(asked({ surface }))).gear).toMatchObject({ gear, flown: "down" });
    expect(value(touchdown(asked({ surface }))).slide).toBeNull();
    const belly = value(touchdown(asked({ surface, wheelsUp: true })));
    expect(belly.gear.flown).toBe("up");
    expect(belly.slide?.g ?? null).toBe(slide);
    const fixed = value(touchdown(asked({ surface, wheelsUp: true }, "alder-s1")));
    expect(fixed.gear).toMatchObject({ gear: "fixed", flown: "fixed" });
    expect(fixed.slide).toBeNull();
  });

  it("the list is gone through by falling height; levers, flap and gear as the aeroplane has them", () => {
    const list = (name: string) => secureList(demoAircraft(name));
    for (const name of ["alder-s1", "larch-t2", "cedar-j2"]) {
      const heights = list(name).map(({ by_m }) => by_m ?? Infinity);
      expect(heights).toEqual([...heights].sort((a, b) => b - a));
      expect(heights.map((by_m) => Math.round(by_m / 0.3048))).toEqual([Infinity, 1000, 750, 500, 300, 200, 50]);
    }
    expect(list("alder-s1")[2].what).toMatch(/mixture/);
    expect(list("cedar-j2")[2].what).toMatch(/master levers/);
    expect(list("alder-s1")[4].what).not.toMatch(/Gear/);
    expect(list("larch-t2")[4].what).toMatch(/Gear/);
  });
});

describe("on the water, by hand", () => {
  const asked = (change: Partial<DitchingQuestion> = {}, name = "cedar-j2"): DitchingQuestion => {
    const aircraft = demoAircraft(name);
    return {
      aircraft,
      mass_kg: aircraft.mass.usual_kg,
      configuration: cleanGlide(aircraft),
      air: { qnh_Pa: P0_PA, deviation_K: 0 },
      windFrom_rad: 0,
      wind_mps: 0,
      swells: [],
      flap: null,
      ...change,
    };
  };
  const swell = (height_m: number, from_deg: number, period_s = 9) => ({
    height_m,
    period_s,
    from_rad: radians(from_deg),
  });
  const heading = (question: Partial<DitchingQuestion>, name?: string) => {
    const told = value(ditching(asked(question, name)));
    return { rule: told.rule, heading: Math.round(degrees(told.best.heading_rad)) % 360 };
  };
  const KT = MPS_PER_KT;

  it("a swell of T seconds is gT²/2π long, runs at gT/2π and is πH/L steep", () => {
    const { length_m, speed_mps, slope_rad } = swellFigures(swell(2, 0, 8));
    expect(length_m).toBeCloseTo((G0 * 64) / (2 * Math.PI), 9);
    expect(speed_mps).toBeCloseTo((G0 * 8) / (2 * Math.PI), 9);
    expect(slope_rad).toBeCloseTo((2 * Math.PI) / length_m, 9);
  });

  it.each([
    ["no swell", { wind_mps: 8 * KT, windFrom_rad: radians(70) }, "no swell: into wind", 70],
    [
      "less than a foot of it",
      { wind_mps: 8 * KT, windFrom_rad: radians(70), swells: [swell(0.29, 10)] },
      "no swell: into wind",
      70,
    ],
    ["a foot of it", { wind_mps: 8 * KT, windFrom_rad: radians(70), swells: [swell(0.3, 10)] }, "along the swell", 100],
    [
      "along, the way with more headwind",
      { wind_mps: 10 * KT, windFrom_rad: radians(250), swells: [swell(2, 0)] },
      "along the swell",
      270,
    ],
    [
      "24 kt turn nothing",
      { wind_mps: 24 * KT, windFrom_rad: radians(30), swells: [swell(0.9, 0)] },
      "along the swell",
      90,
    ],
    [
      "30 kt turn half of 45°",
      { wind_mps: 30 * KT, windFrom_rad: radians(30), swells: [swell(0.9, 0)] },
      "turned towards the wind",
      68,
    ],
    [
      "36 kt turn 45°",
      { wind_mps: 36 * KT, windFrom_rad: radians(30), swells: [swell(0.9, 0)] },
      "turned towards the wind",
      45,
    ],
    [
      "to the other side as well",
      { wind_mps: 36 * KT, windFrom_rad: radians(330), swells: [swell(0.9, 0)] },
      "turned towards the wind",
      315,
    ],
    [
      "no farther than the wind",
      { wind_mps: 36 * KT, windFrom_rad: radians(70), swells: [swell(0.9, 0)] },
      "turned towards the wind",
      70,
    ],
    [
      "a face of more than 1 m is not met",
      { wind_mps: 36 * KT, windFrom_rad: radians(30), swells: [swell(1.1, 0)] },
      "turned towards the wind",
      45,
    ],
  ] as [string, Partial<DitchingQuestion>, string, number][])("%s", (_, question, rule, degrees) => {
    expect(heading(question)).toEqual({ rule, heading: degrees });
  });

  it("40 kt and a slow aircraft go into the wind, a fast one does not", () => {
    const storm = { wind_mps: 40 * KT, windFrom_rad: radians(20), swells: [swell(3, 0)] };
    expect(heading(storm, "alder-s1")).toEqual({ rule: "into wind: it is strong and the aircraft slow", heading: 20 });
    expect(heading(storm).rule).not.toMatch(/^into wind/);
    expect(heading({ ...storm, wind_mps: 39.9 * KT }, "alder-s1").rule).not.toMatch(/^into wind/);
  });

  it("the higher swell is the primary, whichever comes first in the list", () => {
    const both = [swell(1, 90, 5), swell(2, 0)];
    const calm = { wind_mps: 4 * KT, windFrom_rad: radians(300) };
    expect(heading({ ...calm, swells: both })).toEqual(heading({ ...calm, swells: [...both].reverse() }));
    expect(value(ditching(asked({ ...calm, swells: both }))).swells.map(({ swell: { height_m } }) => height_m)).toEqual(
      [2, 1],
    );
  });

  it("with a lower swell that comes from behind the way into the wind runs down it", () => {
    expect(heading({ wind_mps: 8 * KT, windFrom_rad: radians(100), swells: [swell(2, 0), swell(1, 270)] })).toEqual({
      rule: "along the primary, down the secondary",
      heading: 90,
    });
  });

  it("every heading of the rose has its winds, sides and score", () => {
    const question = asked({ wind_mps: 9, windFrom_rad: 1, swells: [swell(2, 40), swell(1.2, 130, 6)] });
    const told = value(ditching(question));
    expect(told.rose.map(({ heading_rad }) => Math.round(degrees(heading_rad)))).toEqual(
      Array.from({ length: 36 }, (_, i) => 10 * i),
    );
    const tas = told.touchdownEas_mps;
    const score = ({ heading_rad, groundSpeed_mps, crosswind_mps }: DitchingHeading) => {
      const thrown = question.swells.map((own) => {
        const length = (G0 * own.period_s ** 2) / (2 * Math.PI);
        const met = groundSpeed_mps * Math.cos(own.from_rad - heading_rad) + length / own.period_s;
        return (((Math.PI * own.height_m) / length) * met) ** 2;
      });
      return (groundSpeed_mps ** 2 + 25 * (thrown[0] + thrown[1]) + 4 * crosswind_mps ** 2) / tas ** 2;
    };
    for (const way of told.rose) {
      expect(way.headwind_mps).toBeCloseTo(9 * Math.cos(1 - way.heading_rad), 9);
      expect(way.crosswind_mps).toBeCloseTo(9 * Math.sin(1 - way.heading_rad), 9);
      expect(way.groundSpeed_mps).toBeCloseTo(Math.max(tas - way.headwind_mps, 0), 6);
      expect(way.score).toBeCloseTo(score(way), 6);
      question.swells.forEach(({ from_rad }, i) => {
        const away = Math.abs(degrees(wrapHalfTurn(way.heading_rad - from_rad)));
        expect(way.sides[i]).toBe(away < 45 - 1e-9 ? "into the face" : away > 135 + 1e-9 ? "down the back" : "along");
      });
    }
  });

  it("speeds are 1.3 and 1.1 V_S; the sink is that of the steep glide, the nose that of the lift", () => {
    const question = asked({}, "larch-t2");
    const told = value(ditching(question));
    const { body, stallEas_mps } = value(
      landingFigures(question.aircraft, question.mass_kg, { ...question.configuration, gearDown: false }, null),
    );
    expect(told.approachEas_mps).toBeCloseTo(1.3 * stallEas_mps, 9);
    expect(told.touchdownEas_mps).toBeCloseTo(1.1 * stallEas_mps, 9);
    const { asymmetric, polar } = question.aircraft;
    const flap = polar?.flaps[polar.landingFlap];
    expect(told.pitch_rad).toBeCloseTo(
      (body.clMax / 1.21 - (asymmetric?.cl0 ?? NaN) - (flap?.deltaCl0 ?? 0)) / (asymmetric?.clAlpha ?? NaN),
      9,
    );
    // The gear stays up on the water: less drag than over land.
    const cl = body.clMax / 1.69;
    const withGear = cl / (body.steepCd0 + body.k * cl * cl);
    expect(told.sink_mps).toBeLessThan(told.approachEas_mps / Math.hypot(1, withGear));
    expect(told.sink_mps).toBeGreaterThan(told.approachEas_mps / Math.hypot(1, 2 * withGear));
  });
});

describe("height over the keys", () => {
  const circuit = (side: "left" | "right", overhead_m: number | null, abeam_m: number | null) => ({
    side,
    keys: [
      { name: "overhead", height_m: 300 },
      { name: "abeam", height_m: 180 },
    ],
    fromHere: { overhead_m, abeam_m },
  });
  type Circuits = Parameters<typeof heightAdvice>[0];
  const told = (...circuits: object[]) => heightAdvice(circuits as unknown as Circuits, 60);

  it.each([
    ["31 m over the key and the reserve", [circuit("left", 391, 300)], { kind: "high", off_m: 31 }],
    ["29 m over", [circuit("left", 389, 300)], { kind: "overhead", off_m: 29 }],
    ["29 m under", [circuit("left", 331, 300)], { kind: "overhead", off_m: 0 }],
    ["31 m under", [circuit("left", 329, 240)], { kind: "overhead-missed", off_m: 31 }],
    ["under both", [circuit("left", 200, 200)], { kind: "both-missed", off_m: 40 }],
    [
      "the side with more over the overhead key",
      [circuit("left", 400, 300), circuit("right", 420, 300)],
      { side: "right", off_m: 60 },
    ],
    [
      "missed, the side with more abeam",
      [circuit("left", 320, 250), circuit("right", 310, 290)],
      { side: "right", kind: "overhead-missed", off_m: 50 },
    ],
  ] as const)("%s", (_, circuits, advice) => {
    expect(told(...circuits)).toMatchObject({ overhead_m: 360, abeam_m: 240, ...advice });
  });

  it("without a way to a circuit there is no advice", () => {
    expect(told(circuit("left", null, 200), circuit("right", 200, null))).toBeNull();
    expect(told()).toBeNull();
  });
});

describe("the ends of a strip", () => {
  it("aim a quarter into it, 200 m at most", () => {
    expect(aimPoint_m(400)).toBe(100);
    expect(aimPoint_m(800)).toBe(200);
    expect(aimPoint_m(3000)).toBe(200);
  });

  it("lead to one another, with what is displaced taken off and the slope turned round", () => {
    const aerodromes = demoPlaces().filter(isAerodrome);
    const [aerodrome] = aerodromes;
    const [strip] = aerodrome.runways;
    const [a, b] = strip.ends;
    const shifted = {
      ...strip,
      ends: [
        { ...a, displaced_m: 120, elevation_m: 10 },
        { ...b, displaced_m: 0, elevation_m: 30 },
      ] as typeof strip.ends,
    };
    const [first, second] = landingEnds([{ ...aerodrome, runways: [shifted] }]);
    const line = geodesicBetween(a.threshold, b.threshold);
    expect(first.length_m).toBeCloseTo(line.distance_m - 120, 6);
    expect(second.length_m).toBeCloseTo(line.distance_m, 6);
    expect(first.slope).toBeCloseTo(20 / line.distance_m, 9);
    expect(second.slope).toBeCloseTo(-20 / line.distance_m, 9);
    expect(geodesicBetween(a.threshold, first.aim).distance_m).toBeCloseTo(120 + aimPoint_m(first.length_m), 3);
    expect(Math.abs(wrapHalfTurn(first.headingTrue_rad - second.headingTrue_rad - Math.PI))).toBeLessThan(0.001);
    expect([first.elevation_m, second.elevation_m]).toEqual([10, 30]);
    expect(first).toMatchObject({
      unprepared: false,
      hazards: [],
      notes: "",
      name: `${aerodrome.name} ${a.designator}`,
    });
  });
});
