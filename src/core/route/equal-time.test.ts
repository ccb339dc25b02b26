// The equal-time point against the navigator's formula (common practice): of a flight of length D between its two
// alternates, D·GS_back/(GS_on + GS_back) from the first.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { type LatLon, destination, geodesicBetween } from "../earth/geodesic";
import { equalTimePoint, timeTo_s } from "./equal-time";

const HOME: LatLon = { latitude_deg: 47, longitude_deg: 8 };
const CALM = { east_mps: 0, north_mps: 0 };

function flight(length_m: number, course_rad: number, from = HOME) {
  const line = Array.from({ length: 201 }, (_, i) => ({
    distance_m: (i / 200) * length_m,
    position: destination(from, course_rad, (i / 200) * length_m),
  }));
  return { line, first: from, second: line[200].position };
}
const pointOf = (question: Parameters<typeof equalTimePoint>[0]) => {
  const found = equalTimePoint(question);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the equal-time point", () => {
  it("of a calm flight is half-way", () => {
    const question = { ...flight(200_000, 1), tas_mps: 60, wind: CALM };
    const { distance_m, time_s } = pointOf(question);
    expect(distance_m).toBeCloseTo(100_000, -1);
    expect(time_s).toBeCloseTo(100_000 / 60, 0);
  });

  it("in a headwind lies farther on, as the formula has it: 300 km, 80 m/s, 20 ahead: 187.5 km", () => {
    // Due north, wind blowing to the south: 60 on, 100 back; 300·100/160.
    const question = { ...flight(300_000, 0), tas_mps: 80, wind: { east_mps: 0, north_mps: -20 } };
    expect(pointOf(question).distance_m / 1000).toBeCloseTo(187.5, 1);
  });

  it("satisfies t1 = t2 to a second in any wind, also across 180°", () => {
    fc.assert(
      fc.property(
        evenly(-40, 40),
        evenly(-40, 40),
        evenly(0, 6.28),
        fc.constantFrom(8, 179.5),
        (east_mps, north_mps, course, longitude_deg) => {
          const from = { latitude_deg: -30, longitude_deg };
          const question = { ...flight(400_000, course, from), tas_mps: 70, wind: { east_mps, north_mps } };
          const found = equalTimePoint(question);
          if (!found.ok) return;
          const { position, time_s } = found.value;
          expect(timeTo_s(position, question.second, 70, question.wind)).toBeCloseTo(time_s, 0);
        },
      ),
      { numRuns: 80 },
    );
  });

  it("there is none where one is nearer all the way, or where there is no headway", () => {
    const way = flight(100_000, 0);
    const beyond = destination(HOME, 0, 400_000);
    expect(equalTimePoint({ ...way, second: beyond, tas_mps: 60, wind: CALM })).toMatchObject({
      ok: false,
      issue: { code: "no_equal_time" },
    });
    expect(equalTimePoint({ ...way, tas_mps: 60, wind: { east_mps: 90, north_mps: 0 } })).toMatchObject({
      issue: { code: "wind_exceeds_airspeed" },
    });
    expect(geodesicBetween(HOME, way.second).distance_m).toBeCloseTo(100_000, 3);
  });
});
