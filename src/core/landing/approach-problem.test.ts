import { isAerodrome } from "@/core/places/place";
import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { searchPaths } from "../glide/glide-path";
import { approachProblem, calibrated_mps, turnedWind } from "./approach-problem";
import { landingEnds } from "./landing-end";
import { reachOf } from "./reach";
import { reachQuestion } from "./reach-question";

const aerodromes = demoPlaces().filter(isAerodrome);
const skerrow = landingEnds(aerodromes).filter((end) => end.name === "Skerrow 11");
const QUESTION = reachQuestion(demoSituation(), demoAircraft("alder-s1"), skerrow);

describe("the problem of one end", () => {
  it("is the one that the ranking solves", () => {
    const found = approachProblem(QUESTION, skerrow[0], DEMO_ORIGIN);
    if (!found.ok) throw new Error(found.issue.message);
    const ways = searchPaths(found.value.problem);
    const reach = reachOf(QUESTION, null, DEMO_ORIGIN);
    if (!ways.ok || !reach.ok) throw new Error("no way");
    expect(ways.value.paths[0].margin_m).toBeCloseTo(reach.value.ends[0].path?.margin_m ?? NaN, 9);
  });

  it("turns directions into the plane and back to nothing", () => {
    const wind = { surface: { from_rad: 1, speed_mps: 5 }, layers: [{ altitude_m: 900, from_rad: 2, speed_mps: 9 }] };
    expect(turnedWind(turnedWind(wind, 0.3), -0.3)).toEqual({
      surface: { from_rad: expect.closeTo(1, 12), speed_mps: 5 },
      layers: [{ altitude_m: 900, from_rad: expect.closeTo(2, 12), speed_mps: 9 }],
    });
    expect(turnedWind({ surface: null, layers: [] }, 1)).toEqual({ surface: null, layers: [] });
  });

  it("what the indicator shows is a little over the equivalent speed high up, and nothing beyond sound", () => {
    const air = { qnh_Pa: 101_325, deviation_K: 0 };
    expect(calibrated_mps(90, { altitude_m: 6000, air })).toBeGreaterThan(90);
    expect(calibrated_mps(400, { altitude_m: 6000, air })).toBeNull();
  });

  it("hands on what is wrong with mass and wind", () => {
    expect(approachProblem({ ...QUESTION, mass_kg: 4000 }, skerrow[0], DEMO_ORIGIN)).toMatchObject({
      ok: false,
      issue: { code: "mass_outside" },
    });
    const layer = { altitude_m: 900, from_rad: 1, speed_mps: 5 };
    expect(
      approachProblem({ ...QUESTION, wind: { surface: null, layers: [layer, layer] } }, skerrow[0], DEMO_ORIGIN),
    ).toMatchObject({ ok: false, issue: { code: "layers_repeat" } });
  });
});
