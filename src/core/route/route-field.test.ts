// The cover far above its places against a glide that is flown down in steps of ten metres, in winds that grow with
// height, and as far as an aircraft gets from where it may fly.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { coverAt } from "../cover/cover-way";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { bestGlide } from "../glide/straight-glide";
import { routeQuestion } from "./asked-route";
import { routeField } from "./route-field";
import type { RouteQuestion } from "./route-question";

const AIR = { qnh_Pa: 101_325, deviation_K: 0 };

function asked(name: string, mass_kg: number, wind: RouteQuestion["wind"]): { question: RouteQuestion; polar: Polar } {
  const aircraft = demoAircraft(name);
  const configuration = cleanGlide(aircraft);
  const situation = { ...demoSituation(), mass_kg, configuration, air: AIR, wind };
  const all = routeQuestion(situation, aircraft, demoPlaces());
  const question = {
    ...all,
    plan: { ...all.plan, glideSpeed: "book" as const },
    places: all.places.filter(({ name: place }) => place === "Cape Orrin"),
  };
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) throw new Error(configured.issue.message);
  return { question, polar: configured.value.polar };
}

/** Ground that a glide covers from one altitude down to another, with the wind along it; ten metres a step. */
function covered_m(polar: Polar, from_m: number, to_m: number, along_mps: (altitude_m: number) => number): number {
  const { eas_mps, angle_rad, sinkEas_mps } = bestGlide(polar);
  let distance_m = 0;
  for (let altitude_m = from_m - 5; altitude_m > to_m; altitude_m -= 10) {
    const root = Math.sqrt(airAtAltitude(altitude_m, AIR).sigma);
    const tas_mps = (eas_mps * Math.cos(angle_rad)) / root;
    const factor = 1 + accelerationFactor(heldCas_mps(eas_mps, altitude_m, AIR), altitude_m, AIR);
    distance_m += ((tas_mps + along_mps(altitude_m)) / (sinkEas_mps / root / factor)) * 10;
  }
  return distance_m;
}

// From the west: none up to 5 km, then 60 m/s more for each 5 km.
const JET_STREAM = {
  surface: null,
  layers: [
    { altitude_m: 300, from_rad: (3 * Math.PI) / 2, speed_mps: 0 },
    { altitude_m: 5000, from_rad: (3 * Math.PI) / 2, speed_mps: 0 },
    { altitude_m: 10_000, from_rad: (3 * Math.PI) / 2, speed_mps: 60 },
  ],
};
const growing = (altitude_m: number) => 60 * Math.min(Math.max((altitude_m - 5000) / 5000, 0), 1);

describe.each([
  ["a jet", "cedar-j2", 41_000, 10_600],
  ["a light single", "alder-s1", 1000, 6000],
] as const)("the cover of %s high above flat ground", (_, name, mass_kg, from_m) => {
  const { question, polar } = asked(name, mass_kg, JET_STREAM);
  const [place] = question.places;
  const cover = routeField(question, null, place.position, "nominal");
  if (!cover.ok) throw new Error(cover.issue.message);
  const wanted_m = place.elevation_m + question.route.overhead_m + question.plan.reserve_m;

  it.each([
    ["before the wind, to its west", -1, 1],
    ["against it, to its east", 1, -1],
  ])("is that of a glide flown down step by step: %s", (_where, side, sign) => {
    const distance_m = covered_m(polar, from_m, wanted_m, (altitude_m) => sign * growing(altitude_m));
    const here = coverAt(cover.value.field, side * distance_m, 0);
    expect(Math.abs((here?.altitude_m ?? Infinity) - from_m)).toBeLessThan(0.005 * from_m);
  });
});
