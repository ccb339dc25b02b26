import { isAerodrome } from "../places/place";
import { isUsable } from "./site-verdict";
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { calculate } from "../registry";
import type { LandingPlan } from "../situation/landing-plan";
import { landingEnds } from "./landing-end";
import { landingChoice } from "./landing-choice";
import { type LandingQuestion, landingQuestion } from "./landing-question";
import { type Site } from "./sites";

const places = demoPlaces();
const aerodromes = places.filter(isAerodrome);
const terrain = demoTerrain();
const situation = demoSituation();
const ENDS = landingEnds(places);

function asked(name: string, change: Partial<LandingQuestion> = {}, plan: Partial<LandingPlan> = {}): LandingQuestion {
  const aircraft = demoAircraft(name);
  const flown = { ...situation, mass_kg: aircraft.mass.usual_kg, configuration: cleanGlide(aircraft) };
  return { ...landingQuestion(flown, aircraft, ENDS), ...change, landing: { ...situation.landing, ...plan } };
}

function chosen(question: LandingQuestion): readonly Site[] {
  const found = landingChoice(question, terrain);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value.sites.sites;
}

const CALM = { surface: null, layers: [] };
const gale = (from_rad: number) => ({ surface: { from_rad, speed_mps: 45 * MPS_PER_KT }, layers: [] });

describe("the place to land on", () => {
  it.each([700, 2400, 35_000 * M_PER_FT])(
    "is one that a jet stops on, or says that none is, from %f m",
    (altitude_m) => {
      const [best] = chosen(asked("cedar-j2", { altitude_m: Math.min(altitude_m, 15_000), wind: CALM }));
      if (isUsable(best.verdict)) expect(best.computedSpare_m).toBeGreaterThanOrEqual(0);
      else expect(best.overrun_mps ?? Infinity).toBeGreaterThan(0);
      // Out of reach of the one runway that is long enough, no meadow is called a place; from height it is that runway.
      expect([isUsable(best.verdict), best.end.name.startsWith("Cape Orrin")]).toEqual(
        altitude_m > 3000 ? [true, true] : [false, false],
      );
    },
  );

  it("when nothing fits is the least bad: no other is slower at its end without more against it", () => {
    const [best, ...others] = chosen(asked("cedar-j2", { mass_kg: 46_000, wind: CALM })).filter(
      (site) => site.verdict === "too-short",
    );
    expect(best.overrun_mps).toBeGreaterThan(20);
    for (const other of others)
      expect(
        (other.overrun_mps ?? Infinity) < (best.overrun_mps ?? 0) - 0.1 && other.score <= best.score,
        other.end.name,
      ).toBe(false);
    // √(Vg² − 2·N·g·room), by hand for the first.
    const { length } = best;
    const room = Math.max(best.end.length_m - (length?.air_m ?? 0) - (length?.flare_m ?? 0), 0);
    expect(best.overrun_mps).toBeCloseTo(
      Math.sqrt((length?.touchdownGroundSpeed_mps ?? 0) ** 2 - 2 * (length?.braking ?? 0) * 9.80665 * room),
      6,
    );
  });

  it.each([0, 1.2, 2.4, 4.36, 5.5])(
    "in 45 kt from %f rad is none with more tail than planned with while another fits",
    (from_rad) => {
      for (const name of ["alder-s1", "larch-t2", "cedar-j2"]) {
        const ranked = chosen(asked(name, { wind: gale(from_rad), altitude_m: 2440 }));
        const [best] = ranked;
        if (best.reach.tailwind_mps > 10 * MPS_PER_KT)
          expect(
            ranked.some((site) => isUsable(site.verdict)),
            `${name} ${best.end.name}`,
          ).toBe(false);
      }
    },
  );

  it("with height to spare is the end into the wind, not the one with most height left", () => {
    // 14 kt along Skerrow 29; more height is left to 11, which lies nearer.
    const along = ENDS.find((end) => end.name === "Skerrow 29")?.headingTrue_rad ?? NaN;
    const ranked = chosen(
      asked("alder-s1", {
        altitude_m: 2440,
        wind: { surface: { from_rad: along, speed_mps: 14 * MPS_PER_KT }, layers: [] },
      }),
    );
    const [into, behind] = ["Skerrow 29", "Skerrow 11"].map((name) => ranked.find((site) => site.end.name === name));
    expect(ranked[0].end.name).toBe("Skerrow 29");
    expect(behind?.verdict).toBe("wind");
    expect(into?.reach.path?.margin_m).toBeGreaterThan(1000);
  });

  it("height in hand counts up to what is useful, no farther", () => {
    const score = (altitude_m: number) =>
      chosen(asked("alder-s1", { altitude_m, wind: CALM })).find((site) => site.end.name === "Skerrow 11")?.score ??
      NaN;
    expect(score(2000)).toBeCloseTo(score(3000), 9);
    expect(score(520)).toBeGreaterThan(score(2000));
  });

  it("is prepared before surveyed while both fit", () => {
    const ranked = chosen(asked("alder-s1", { altitude_m: 2440, wind: CALM })).filter(
      (site) => site.verdict === "fits",
    );
    const firstField = ranked.findIndex((site) => site.end.unprepared);
    expect(firstField).toBeGreaterThan(0);
    expect(ranked.slice(firstField).every((site) => site.end.unprepared)).toBe(true);
  });

  it("is the same by both calculations and in the order of the ways", () => {
    for (const name of ["alder-s1", "cedar-j2"]) {
      const question = asked(name);
      const found = landingChoice(question, null);
      const order = found.ok ? found.value.reach.ends.map((end) => end.endId) : [];
      const [path, places] = ["path", "sites"].map((calculation) => calculate(calculation, question));
      const ids = (result: typeof path, key: string) =>
        result.ok ? (result.value as Record<string, { endId: string }[]>)[key].map((entry) => entry.endId) : [];
      expect(ids(path, "ends")).toEqual(order);
      expect(ids(places, "sites")).toEqual(order.slice(0, ids(places, "sites").length));
    }
  });

  it("refuses an altitude under the ground, with the height of the ground", () => {
    const brannoc = aerodromes.find((aerodrome) => aerodrome.name === "Brannoc Strip");
    const found = landingChoice(asked("alder-s1", { position: brannoc?.position, altitude_m: 300 }), terrain);
    expect(found.ok ? "" : found.issue.code).toBe("under_ground");
    expect(found.ok ? "" : found.issue.message).toMatch(/ground here is at 1.2\d0.ft \(3[67]\d.m\)/);
  });

  it("lists every end once: the ranked first, those without any way last", () => {
    const found = landingChoice(
      asked("alder-s1", { wind: { surface: { from_rad: 4, speed_mps: 34 }, layers: [] } }),
      terrain,
    );
    if (!found.ok) throw new Error(found.issue.message);
    const { reach, sites } = found.value;
    expect(reach.ends.map(({ endId }) => endId).toSorted()).toEqual(ENDS.map(({ id }) => id).toSorted());
    const none = reach.ends.map(({ status }) => status === "none");
    expect(none.includes(true)).toBe(true);
    expect(none.indexOf(true)).toBe(sites.sites.length);
    expect(none.slice(sites.sites.length).every(Boolean)).toBe(true);
    expect(reach.ends.slice(0, sites.sites.length)).toEqual(sites.sites.map((site) => site.reach));
  });

  it("lays its ways on the terrain's plane, or on one about the aircraft where there is none", () => {
    const question = asked("alder-s1");
    const first = (found: ReturnType<typeof landingChoice>) => {
      if (!found.ok) throw new Error(found.issue.message);
      return found.value.reach.ends[0].path;
    };
    expect(first(landingChoice(question, terrain))).toEqual(first(landingChoice(question, terrain, terrain.origin)));
    expect(first(landingChoice(question, null))).toEqual(first(landingChoice(question, null, question.position)));
    expect(first(landingChoice(question, null))).not.toEqual(first(landingChoice(question, null, terrain.origin)));
  });

  it("hands on what is wrong with the aircraft; on the ground itself it is asked, below it not", () => {
    const heavy = landingChoice(asked("alder-s1", { mass_kg: 5000 }), terrain);
    expect(heavy.ok ? "" : heavy.issue.code).toBe("mass_outside");
  });
});
