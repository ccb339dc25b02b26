// Whether an aeroplane can land at a place: the least length that does, found from outside, against rules of thumb.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { MPS_PER_KT } from "../quantities/constants";
import { routeQuestion } from "./asked-route";
import { placeJudge } from "./place-judge";
import type { RoutePlace, RouteQuestion } from "./route-question";

const alder = demoAircraft("alder-s1");
const situation = demoSituation();
const calm: RouteQuestion = {
  ...routeQuestion({ ...situation, mass_kg: 1000 }, alder, demoPlaces()),
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  wind: { surface: null, layers: [] },
};
const skerrow = calm.places.find(({ name }) => name === "Skerrow");
if (!skerrow) throw new Error("expected Skerrow");
/** A strip to the north and the south, level, without obstacles, at the sea. */
function strip(lengths: readonly [north_m: number, south_m: number], change: Partial<RoutePlace> = {}): RoutePlace {
  const [end] = skerrow?.ends ?? [];
  const place = { ...skerrow, elevation_m: 0, ...change } as RoutePlace;
  return {
    ...place,
    ends: lengths.map((length_m, i) => ({
      ...end,
      headingTrue_rad: i * Math.PI,
      length_m,
      elevation_m: place.elevation_m,
      slope: 0,
      obstacle: null,
      surface: "asphalt" as const,
    })),
  };
}
const from = (direction_deg: number, speed_kt: number): RouteQuestion => ({
  ...calm,
  wind: { surface: { from_rad: (direction_deg * Math.PI) / 180, speed_mps: speed_kt * MPS_PER_KT }, layers: [] },
});
function verdict(question: RouteQuestion, place: RoutePlace) {
  const judge = placeJudge(question);
  if (!judge.ok) throw new Error(judge.issue.message);
  const said = judge.value(place);
  if (!said.ok) throw new Error(said.issue.message);
  return said.value;
}
/** The least length of a strip both ways that does, m. */
function least_m(question: RouteQuestion, change: Partial<RoutePlace> = {}): number {
  let [short_m, long_m] = [50, 5000];
  expect(verdict(question, strip([long_m, long_m], change))).toBe("fits");
  while (long_m - short_m > 0.5) {
    const middle_m = (short_m + long_m) / 2;
    if (verdict(question, strip([middle_m, middle_m], change)) === "fits") long_m = middle_m;
    else short_m = middle_m;
  }
  expect(verdict(question, strip([short_m, short_m], change))).toBe("too-short");
  return long_m;
}

describe("a place for an aeroplane", () => {
  it("does from one length on, that of a light single: some hundred metres", () => {
    expect(least_m(calm)).toBeGreaterThan(250);
    expect(least_m(calm)).toBeLessThan(1000);
  });

  // Common practice: a tenth more for a tenth more mass, a twentieth for 1,000 ft or 10 K, 15 % when wet.
  it.each([
    ["heavier by a tenth", { mass_kg: 1100 }, {}, 1.04, 1.16],
    ["hot by 30 K", { air: { qnh_Pa: 101_325, deviation_K: 30 } }, {}, 1.04, 1.2],
    ["at 1,500 m", {}, { elevation_m: 1500 }, 1.06, 1.3],
    ["wet", { landing: { ...calm.landing, wet: true } }, {}, 1.05, 1.6],
  ] as const)("needs more when %s", (_, change, place, least, most) => {
    const factor = least_m({ ...calm, ...change }, place) / least_m(calm);
    expect(factor).toBeGreaterThan(least);
    expect(factor).toBeLessThan(most);
  });

  it("needs less into the wind, whichever way that is: a tenth and more for 10 kt", () => {
    const [north, south] = [least_m(from(0, 10)), least_m(from(180, 10))];
    expect(north).toBeCloseTo(south, 0);
    expect(north / least_m(calm)).toBeLessThan(0.92);
    expect(north / least_m(calm)).toBeGreaterThan(0.6);
  });

  it("may be long one way only, where the wind lets it be landed on that way", () => {
    const long_m = 2 * least_m(calm);
    expect(verdict(calm, strip([long_m, 100]))).toBe("fits");
    expect(verdict(from(0, 10), strip([long_m, 100]))).toBe("fits");
    // More from behind than the plan allows: long enough, but not in this wind.
    const { tailwindLimit_mps } = calm.landing;
    const limit_kt = tailwindLimit_mps / MPS_PER_KT;
    expect(verdict(from(180, limit_kt - 0.5), strip([long_m, 100]))).toBe("fits");
    expect(verdict(from(180, limit_kt + 1), strip([long_m, 100]))).toBe("wind");
  });

  it("has too much wind from either side beyond the aeroplane's limit, never too much from ahead", () => {
    for (const side of [90, 270]) {
      expect(verdict(from(side, 5), strip([1500, 1500]))).toBe("fits");
      expect(verdict(from(side, 45), strip([1500, 1500]))).toBe("wind");
    }
    expect(verdict(from(0, 45), strip([1500, 1500]))).toBe("fits");
  });

  it("says too short before too windy, where it is both", () => {
    expect(verdict(from(90, 45), strip([100, 100]))).toBe("too-short");
  });

  it("is refused without a polar", () => {
    expect(placeJudge({ ...calm, aircraft: { ...alder, polar: null } })).toMatchObject({ ok: false });
  });
});
