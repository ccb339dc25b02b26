// Gaps, what closes them, and who holds which part, on flights made up point by point: everything by hand.
import { describe, expect, it } from "vitest";
import type { RoutePlan } from "../situation/route-plan";
import { ALTITUDE_STEP_M, type Gap, type GapPoint, closingOf, flownAs, gapsOf, stretchesOf } from "./gap";

/** A point every 100 m, flown at 50 m/s at 1,000 m. */
const along = (covers: readonly (number | null)[], change: (i: number) => Partial<GapPoint> = () => ({})): GapPoint[] =>
  covers.map((cover_m, i) => ({
    distance_m: 100 * i,
    time_s: 2 * i,
    altitude_m: 1000,
    phase: "level",
    groundDecides: false,
    place: 0,
    cover_m,
    ...change(i),
  }));
const covers = (...parts: readonly (readonly [count: number, cover_m: number | null])[]) =>
  parts.flatMap(([count, cover_m]) => Array<number | null>(count).fill(cover_m));

describe("the gaps of a flight", () => {
  it("reach from the last point that is covered to the next, with their time and their worst", () => {
    const [gap, ...more] = gapsOf(
      along([...covers([10, 800]), 1001, 1040, 1020, ...covers([10, 900])], (i) => ({ groundDecides: i === 11 })),
    );
    expect(more).toEqual([]);
    expect(gap).toEqual({
      from_m: 900,
      to_m: 1300,
      time_s: 8,
      fromTime_s: 18,
      short_m: 40,
      worstAt_m: 1100,
      groundDecides: true,
    });
  });

  it("a point that is covered just so is none, one that lacks a hair is", () => {
    expect(gapsOf(along(covers([5, 1000])))).toEqual([]);
    expect(gapsOf(along([900, 1000.001, 900]))).toMatchObject([{ from_m: 0, to_m: 200, time_s: 4 }]);
  });

  it("begin and end with the flight where that is in one", () => {
    expect(gapsOf(along(covers([30, 1200])))).toMatchObject([{ from_m: 0, to_m: 2900, short_m: 200 }]);
    expect(gapsOf(along(covers([3, 1200], [20, 500], [4, 1100])))).toMatchObject([
      { from_m: 0, to_m: 300, fromTime_s: 0, short_m: 200 },
      { from_m: 2200, to_m: 2600, fromTime_s: 44, short_m: 100 },
    ]);
  });

  it("are one with less than 0.3 NM between them, two with more", () => {
    // The last point of the first and the first of the second lie 500 m and 600 m from each other.
    const [near, apart] = [4, 5].map((between) =>
      gapsOf(along(covers([3, 900], [2, 1100], [between, 900], [2, 1300], [3, 900]))),
    );
    expect(near).toMatchObject([{ from_m: 200, to_m: 1100, short_m: 300 }]);
    expect(apart).toMatchObject([
      { from_m: 200, to_m: 500, short_m: 100 },
      { from_m: 900, to_m: 1200, short_m: 300 },
    ]);
  });

  it("where no altitude helps say no height, wherever else it lacks", () => {
    expect(gapsOf(along([900, 1400, null, 1300, 900]))).toMatchObject([{ short_m: null, worstAt_m: 200 }]);
  });
});

describe("who holds which part", () => {
  const by = (...parts: readonly (readonly [count: number, place: number])[]) => {
    const places = parts.flatMap(([count, place]) => Array<number>(count).fill(place));
    return stretchesOf(
      along(
        places.map((place) => (place < 0 ? 1200 : 800)),
        (i) => ({ place: Math.max(places[i], 0) }),
      ),
    );
  };

  it("goes without a break from the beginning to the end", () => {
    expect(by([10, 0], [20, 1], [10, 2])).toEqual([
      { place: 0, from_m: 0, to_m: 1000 },
      { place: 1, from_m: 1000, to_m: 3000 },
      { place: 2, from_m: 3000, to_m: 3900 },
    ]);
  });

  it("tells no part of less than 0.3 NM, and joins what it parts", () => {
    expect(by([10, 0], [5, 1], [10, 0])).toEqual([{ place: 0, from_m: 0, to_m: 2400 }]);
    expect(by([10, 0], [6, 1], [10, 0])).toMatchObject([
      { place: 0 },
      { place: 1, from_m: 1000, to_m: 1600 },
      { place: 0 },
    ]);
    expect(by([2, 0], [10, 1])).toMatchObject([{ place: 0, to_m: 200 }, { place: 1 }]);
  });

  it("tells every part that none holds, however short", () => {
    expect(by([10, 0], [1, -1], [10, 0])).toEqual([
      { place: 0, from_m: 0, to_m: 1000 },
      { place: -1, from_m: 1000, to_m: 1100 },
      { place: 0, from_m: 1100, to_m: 2000 },
    ]);
    // What is held between two of them is too short to be told: it counts as none, not the other way round.
    expect(by([10, 0], [2, -1], [3, 0], [2, -1], [10, 1])).toMatchObject([
      { place: 0, to_m: 1000 },
      { place: -1, from_m: 1000, to_m: 1700 },
      { place: 1 },
    ]);
  });
});

describe("what closes a gap", () => {
  const route = { altitude_m: 1000, descent_mps: null, points: [] } as unknown as RoutePlan;
  /** Closes the only gap of a flight whose altitude is the plan's, unless it says otherwise. */
  const closing = (
    points: readonly GapPoint[],
    {
      plan = route,
      altitude = (flown: RoutePlan, _point: GapPoint) => flown.altitude_m,
      cover = (point: GapPoint, _altitude_m: number) => point.cover_m,
      cannot = () => false,
    }: {
      plan?: RoutePlan;
      altitude?: (flown: RoutePlan, point: GapPoint) => number;
      cover?: (point: GapPoint, altitude_m: number) => number | null;
      cannot?: (flown: RoutePlan) => boolean;
    } = {},
  ) => {
    const gaps: Omit<Gap, "closing">[] = gapsOf(points);
    expect(gaps).toHaveLength(1);
    return closingOf(
      plan,
      points,
      gaps[0],
      (flown) =>
        cannot(flown)
          ? null
          : points.map((point) => ({ ...point, groundSpeed_mps: 50, altitude_m: altitude(flown, point) })),
      (point, flown) => ({ cover_m: cover(point, flown.altitude_m), groundDecides: false, place: 0 }),
    );
  };
  const one = along([...covers([10, 800]), 1050, 1130, 1010, ...covers([10, 800])]);

  it("is the hundred feet above the most that is needed in it", () => {
    // 1,130 m are 3,707 ft.
    expect(closing(one)).toEqual({ altitude_m: 38 * ALTITUDE_STEP_M, descent_mps: null });
    expect(closing(along([900, 39 * ALTITUDE_STEP_M, 900]))?.altitude_m).toBeCloseTo(39 * ALTITUDE_STEP_M, 9);
  });

  it("is a little more where more is needed the faster it is flown", () => {
    // Each metre higher asks for a tenth more, from 1,130 m at 1,000 m: h = 1130 + (h − 1000)/10, 1,144.4 m, 3,755 ft.
    const rising = closing(one, { cover: ({ cover_m }, altitude_m) => (cover_m ?? 0) + (altitude_m - 1000) / 10 });
    expect(rising).toEqual({ altitude_m: 38 * ALTITUDE_STEP_M, descent_mps: null });
    // A third more: 1130 + (h − 1000)/3, 1,195 m or 3,921 ft.
    const steeper = closing(one, { cover: ({ cover_m }, altitude_m) => (cover_m ?? 0) + (altitude_m - 1000) / 3 });
    expect(steeper).toEqual({ altitude_m: 40 * ALTITUDE_STEP_M, descent_mps: null });
  });

  it("is none where what is needed runs away from it, or lies above 20,000 ft", () => {
    expect(closing(one, { cover: ({ cover_m }, altitude_m) => (cover_m ?? 0) + 2 * (altitude_m - 1000) })).toBeNull();
    expect(closing(along([900, 6097, 900]))).toBeNull();
    expect(closing(along([900, 6095, 900]))?.altitude_m).toBeCloseTo(200 * ALTITUDE_STEP_M, 9);
  });

  it("is none where no altitude helps, where the climb has not come so far, or where it cannot be flown", () => {
    expect(closing(along([900, null, 900]))).toBeNull();
    const climbing = along([...covers([3, 900], [3, 1100], [5, 900])], (i) => ({ phase: i < 8 ? "climb" : "level" }));
    expect(
      closing(climbing, { altitude: (flown, { phase }) => (phase === "climb" ? 1000 : flown.altitude_m) }),
    ).toBeNull();
    expect(closing(one, { cannot: ({ altitude_m }) => altitude_m > 1100 })).toBeNull();
  });

  it("on the last descent is the flattest that is steep enough, of those steeper than the planned", () => {
    // Flown down at r, the height in the gap is 1,000 m + 20 s of r more than at the planned 2 m/s.
    const down = along([...covers([5, 700], [3, 1130], [5, 700])], (i) => ({ phase: i > 2 ? "descent" : "level" }));
    const altitude = (flown: RoutePlan) => 1000 + 20 * ((flown.descent_mps ?? 2) - 2);
    // 1,130 m want 6.5 m/s more: 8.5 m/s, of 3.556, 5.08, 7.62 and 10.16 the last.
    expect(closing(down, { altitude })?.descent_mps).toBe(10.16);
    const planned = { ...route, descent_mps: 10.16 };
    const flatter = (flown: RoutePlan) => 1000 + 20 * ((flown.descent_mps ?? 2) - 10.16);
    expect(closing(down, { plan: planned, altitude: flatter })).toBeNull();
    const less = along([...covers([5, 700], [3, 1090], [5, 700])], (i) => ({ phase: i > 2 ? "descent" : "level" }));
    expect(closing(less, { plan: planned, altitude: flatter })?.descent_mps).toBe(15.24);
  });
});

describe("a route flown as what closes a gap says", () => {
  const at = (altitude_m: number | null) => ({ name: "", position: { latitude_deg: 0, longitude_deg: 0 }, altitude_m });
  const route = {
    altitude_m: 1000,
    descent_mps: 3,
    points: [at(null), at(800), at(1500), at(900)],
  } as unknown as RoutePlan;

  it("is flown nowhere lower, and ends as high as planned", () => {
    const { altitude_m, points, descent_mps } = flownAs(route, { altitude_m: 1200, descent_mps: null });
    expect(altitude_m).toBe(1200);
    expect(points.map((point) => point.altitude_m)).toEqual([null, 1200, 1500, 900]);
    expect(descent_mps).toBe(3);
  });

  it("keeps a higher plan, and takes another descent", () => {
    const flown = flownAs(route, { altitude_m: 900, descent_mps: 7.62 });
    expect(flown.altitude_m).toBe(1000);
    expect(flown.points.map((point) => point.altitude_m)).toEqual([null, 900, 1500, 900]);
    expect(flown.descent_mps).toBe(7.62);
  });
});
