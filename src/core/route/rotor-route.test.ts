// Flights of rotorcraft held against the places beside them: the cover is the ratio of the autorotation, the places are
// those with room for a rotor.
import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { coverAt } from "../cover/cover-way";
import { MPS_PER_KT } from "../quantities/constants";
import { rotorDescent, rotorGlider } from "../rotor/rotor-descent";
import type { Rotorcraft } from "../rotor/rotor-question";
import { routeQuestion } from "./asked-route";
import { countedPlaces } from "./counted-places";
import { routeAnswer } from "./route-answer";
import { routeField } from "./route-field";
import { placeJudge } from "./place-judge";
import type { RoutePlace, RouteQuestion } from "./route-question";

const CALM = { surface: null, layers: [] };
const situation = { ...demoSituation(), air: { qnh_Pa: 101_325, deviation_K: 0 }, wind: CALM };
const asked = (aircraft: Rotorcraft, change: Partial<RouteQuestion> = {}): RouteQuestion => ({
  ...routeQuestion({ ...situation, mass_kg: aircraft.mass.usual_kg }, aircraft, demoPlaces()),
  ...change,
});
function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const [skerrow] = asked(demoHelicopter()).places.filter(({ name }) => name === "Skerrow");
const clearing = (change: Partial<RoutePlace["ends"][number]>): RoutePlace => ({
  ...skerrow,
  id: "clearing",
  kind: "field",
  length_m: 220,
  ends: skerrow.ends.slice(0, 1).map((end) => ({ ...end, length_m: 220, ...change })),
});
const trees = { name: "trees", distance_m: 0, height_m: 15 };

describe.each([
  ["a helicopter", demoHelicopter()],
  ["a gyroplane", demoGyroplane()],
])("the cover of %s", (_, aircraft) => {
  it("rises from a place by the ratio of its autorotation", () => {
    const question = asked(aircraft, { places: [skerrow] });
    const { field } = value(routeField(question, null, skerrow.position, "nominal"));
    const glider = value(rotorGlider({ ...question, aircraft, altitude_m: 700 }));
    const { glide } = value(rotorDescent(glider, 0, 0.5));
    const [near, far] = [2000, 4000].map((away_m) => coverAt(field, away_m, 0)?.altitude_m ?? NaN);
    // True speeds fall on the way down, which carries it a little: under 2 %.
    expect((far - near) / (2000 / glide.ratio)).toBeGreaterThan(0.97);
    expect((far - near) / (2000 / glide.ratio)).toBeLessThan(1.01);
  });

  it("is lower with the wind behind than against it, and higher when less is counted on", () => {
    const wind = { surface: { from_rad: (3 * Math.PI) / 2, speed_mps: 6 }, layers: [] };
    const question = asked(aircraft, { places: [skerrow], wind });
    const nominal = value(routeField(question, null, skerrow.position, "nominal")).field;
    const less = value(routeField(question, null, skerrow.position, "pessimistic")).field;
    const at = (field: typeof nominal, x_m: number) => coverAt(field, x_m, 0)?.altitude_m ?? NaN;
    expect(at(nominal, -3000)).toBeLessThan(at(nominal, 3000));
    expect(at(less, -3000)).toBeGreaterThan(at(nominal, -3000));
  });

  it("chosen for the wind it is nowhere higher than at the book's speed", () => {
    const wind = { surface: { from_rad: 0, speed_mps: 8 }, layers: [] };
    const plan = situation.plan;
    const of = (glideSpeed: "book" | "wind") =>
      value(
        routeField(
          asked(aircraft, { places: [skerrow], wind, plan: { ...plan, glideSpeed } }),
          null,
          skerrow.position,
          "nominal",
        ),
      ).field;
    const [book, fast] = [of("book"), of("wind")];
    for (const [x, y] of [
      [0, -3000],
      [0, 3000],
      [2500, 2000],
      [-2500, -1000],
    ])
      expect(coverAt(fast, x, y)?.altitude_m).toBeLessThanOrEqual((coverAt(book, x, y)?.altitude_m ?? NaN) + 0.5);
  });

  it("a flight has its climb, its cruise and its gaps", () => {
    const question = asked(aircraft);
    const cover = value(routeField(question, null, skerrow.position, "nominal"));
    const flight = value(routeAnswer(question, cover, null));
    expect(flight.points.every(({ altitude_m, time_s }) => Number.isFinite(altitude_m + time_s))).toBe(true);
    expect(flight.profile.tas_mps).toBeGreaterThan(25);
    expect(flight.profile.tas_mps).toBeLessThan(65);
    expect(flight.points.some(({ phase }) => phase === "climb")).toBe(true);
  });
});

describe("places with room for a rotor", () => {
  const judge = (place: RoutePlace, wind: RouteQuestion["wind"] = CALM, aircraft: Rotorcraft = demoHelicopter()) =>
    value(value(placeJudge(asked(aircraft, { wind })))(place));
  const [{ headingTrue_rad }] = skerrow.ends;
  const into = (kt: number) => ({ surface: { from_rad: headingTrue_rad, speed_mps: kt * MPS_PER_KT }, layers: [] });

  it("a clearing behind trees is too short in calm, and long enough into a wind", () => {
    expect(judge(clearing({ obstacle: trees }))).toBe("too-short");
    expect(judge(clearing({ obstacle: trees }), into(22))).toBe("fits");
    expect(judge(clearing({}))).toBe("fits");
  });

  it("slope and width shut out, wind from behind is told as wind", () => {
    expect(judge(clearing({ slope: 0.12 }))).toBe("too-short");
    expect(judge(clearing({ width_m: 9 }))).toBe("too-short");
    const behind = { surface: { from_rad: headingTrue_rad + Math.PI, speed_mps: 8 }, layers: [] };
    expect(judge(clearing({}), behind)).toBe("wind");
    expect(judge(clearing({}), behind, demoGyroplane())).toBe("wind");
  });

  it("what is short for wings counts where there is room", () => {
    const question = asked(demoHelicopter(), { places: [clearing({})] });
    const least_m = question.route.places.least_m;
    expect(least_m).toBeGreaterThan(220);
    expect(value(countedPlaces(question)).counted).toHaveLength(1);
  });
});
