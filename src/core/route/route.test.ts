// A planned flight: its line and times against geodesics and triangles of velocities, its gaps against the cover they
// come from, and what it is refused for.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { geodesicBetween } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { HOLE_M, type TerrainGrid } from "../earth/terrain";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { bestGlide } from "../glide/straight-glide";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { RoutePlan, type RoutePoint } from "../situation/route-plan";
import { countedPlaces } from "./counted-places";
import { detours } from "./detour";
import { flownAs } from "./gap";
import { type RouteAnswer, routeAnswer } from "./route-answer";
import { type RouteField, routeField } from "./route-field";
import { routeHere } from "./route-here";
import { routeLine } from "./route-line";
import { routePlaces, routeQuestion } from "./asked-route";
import type { RouteQuestion } from "./route-question";

const terrain = demoTerrain();
const alder = demoAircraft("alder-s1");
const demo = routeQuestion(demoSituation(), alder, demoPlaces());
const CALM = { surface: null, layers: [] };

function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const fieldOf = (question: RouteQuestion, ground: TerrainGrid | null = terrain) =>
  value(routeField(question, ground, ground?.origin ?? terrain.origin, "nominal"));
const point = (
  name: string,
  latitude_deg: number,
  longitude_deg: number,
  altitude_m: number | null = null,
): RoutePoint => ({
  name,
  position: { latitude_deg, longitude_deg },
  altitude_m,
});
const withRoute = (question: RouteQuestion, route: Partial<RoutePlan>): RouteQuestion => ({
  ...question,
  route: { ...question.route, ...route },
});

const cover = fieldOf(demo);
const flight = value(routeAnswer(demo, cover, terrain));

describe("the line and the time of a flight", () => {
  it("follows the geodesics, no two points farther apart than 100 m", () => {
    const { points } = demo.route;
    const legs_m = points.slice(1).map((to, i) => geodesicBetween(points[i].position, to.position).distance_m);
    expect(flight.length_m).toBeCloseTo(
      legs_m.reduce((sum, leg_m) => sum + leg_m, 0),
      3,
    );
    flight.points.slice(1).forEach((here, i) => {
      expect(here.distance_m - flight.points[i].distance_m).toBeLessThanOrEqual(100.001);
    });
    const third = flight.points.find(({ leg }) => leg === 2);
    expect(third && geodesicBetween(third.position, points[2].position).distance_m).toBeLessThan(0.01);
  });

  it("takes the length over the speed in still air, and in wind the triangle's", () => {
    // Level all the way, between two points of no place.
    const level = (wind: RouteQuestion["wind"], track: "north" | "south") => {
      const ends = [point("A", -47.3, -131.6, 1500), point("B", -46.9, -131.6, 1500)];
      const question = withRoute(
        { ...demo, wind },
        { points: track === "north" ? ends : [ends[1], ends[0]], tas_mps: 50, altitude_m: 1500 },
      );
      return value(routeAnswer(question, fieldOf(question, null), null));
    };
    const calm = level(CALM, "north");
    expect(calm.time_s).toBeCloseTo(calm.length_m / 50, 3);
    // 30 m/s from 120° true: 15 against the way north, 26 from the side; √(50² − 26²) ∓ 15.
    const wind = { surface: null, layers: [{ altitude_m: 300, from_rad: (120 * Math.PI) / 180, speed_mps: 30 }] };
    const forward = Math.sqrt(50 ** 2 - (30 * Math.cos(Math.PI / 6)) ** 2);
    const out = level(wind, "north");
    const back = level(wind, "south");
    // The wind leans by the grid's convergence, a quarter of a degree here.
    expect(Math.abs(out.length_m / out.time_s / (forward + 15) - 1)).toBeLessThan(0.01);
    expect(Math.abs(back.length_m / back.time_s / (forward - 15) - 1)).toBeLessThan(0.01);
  });

  it("climbs at the aircraft's own rate, and comes down at the planned one to where an approach begins", () => {
    const climbing = flight.points.filter(({ phase }) => phase === "climb");
    expect(climbing[0].altitude_m).toBeCloseTo(10.67, 1);
    // Alder climbs at 600 to 900 ft/min at this mass (its handbook's climb at sea level).
    const first_mps = (climbing[40].altitude_m - climbing[0].altitude_m) / (climbing[40].time_s - climbing[0].time_s);
    expect(first_mps / M_PER_FT).toBeGreaterThan(500 / 60);
    expect(first_mps / M_PER_FT).toBeLessThan(1000 / 60);
    const down = flight.points.filter(({ phase }) => phase === "descent");
    const [a, b] = [down[10], down[down.length - 10]];
    expect((a.altitude_m - b.altitude_m) / (b.time_s - a.time_s)).toBeCloseTo(5.08, 1);
    const last = flight.points[flight.points.length - 1];
    expect(last.altitude_m - (last.cover_m ?? Infinity)).toBeGreaterThan(0);
  });

  it("comes down at 500 ft/min where no rate is given, a jet at 1,800, and what closes a gap is steeper than that", () => {
    const free = withRoute(demo, { descent_mps: null });
    const cedar = demoAircraft("cedar-j2");
    const jet = { ...free, aircraft: cedar, mass_kg: 36_000, configuration: cleanGlide(cedar) };
    let steeper = 0;
    for (const [question, rate] of [
      [free, 500],
      [jet, 1800],
    ] as const) {
      const flown = value(routeAnswer(question, fieldOf(question), terrain));
      const rate_mps = (rate * M_PER_FT) / 60;
      expect(flown.profile.descent_mps).toBeCloseTo(rate_mps, 9);
      for (const { closing } of flown.gaps) {
        if (!closing?.descent_mps) continue;
        expect(closing.descent_mps).toBeGreaterThan(rate_mps);
        steeper += 1;
      }
    }
    expect(steeper).toBeGreaterThan(0);
  });

  it("from a place it takes off, whatever altitude is typed for its first leg; each leg has its own", () => {
    const points = demo.route.points.map((at, i) => ({ ...at, altitude_m: i === 0 ? 900 : i === 3 ? 2400 : null }));
    const own = value(routeAnswer(withRoute(demo, { points }), cover, terrain));
    expect(own.points[0].altitude_m).toBeCloseTo(10.67, 1);
    const most = (leg: number) =>
      Math.max(...own.points.filter((at) => at.leg === leg).map(({ altitude_m }) => altitude_m));
    expect(most(0)).toBeCloseTo(900, 3);
    expect(most(2)).toBeLessThanOrEqual(demo.route.altitude_m + 1e-6);
    expect(most(3)).toBeGreaterThan(2300);
  });

  it("burns what the flow says", () => {
    expect(flight.profile.fuel_m3).toBeCloseTo((0.032 * flight.time_s) / 3600, 9);
    expect(value(routeAnswer(withRoute(demo, { flow_m3ph: null }), cover, terrain)).profile.fuel_m3).toBeNull();
  });

  it("levels off where it climbs no more, and says so", () => {
    const long = { points: [demo.route.points[0], point("Far", -47.3, -124)], altitude_m: 9000 };
    const high = value(routeAnswer(withRoute(demo, long), cover, terrain));
    expect(high.profile.ceiling_m).not.toBeNull();
    expect(Math.max(...high.points.map(({ altitude_m }) => altitude_m))).toBeLessThan(6000);
  });
});

describe("the gaps of a flight", () => {
  it("over flat ground begins where the glide to the last place ends, by hand", () => {
    // One place, calm, no terrain: cover rises by the glide's slope with the distance from it.
    const places = routePlaces(demoPlaces()).filter(({ id }) => id === "tolvane");
    const { latitude_deg, longitude_deg } = places[0].position;
    const question: RouteQuestion = {
      ...withRoute(demo, {
        points: [
          // Beside it, or it would be where the flight begins on the ground.
          point("Beside it", latitude_deg, longitude_deg + 0.04, 2000),
          point("East", latitude_deg, longitude_deg + 0.5, 2000),
        ],
        altitude_m: 2000,
      }),
      wind: CALM,
      places,
      pilot: { ...demo.pilot, reaction_s: 0, daysSincePractised: 0 },
    };
    const { polar } = value(polarOf(alder, demo.mass_kg, cleanGlide(alder)));
    const answer = value(routeAnswer(question, fieldOf(question, null), null));
    expect(answer.flat).toBe(true);
    expect(answer.gaps).toHaveLength(1);
    const [gap] = answer.gaps;
    // Flown away from: half a turn, then straight.
    const turn_m = answer.points[200].turn_m;
    const height_m = 2000 - turn_m - demo.route.overhead_m - demo.plan.reserve_m - places[0].elevation_m;
    const reach_m = height_m * bestGlide(polar).ratio;
    // The true airspeed falls on the way down: what it loses carries on, half a per cent. The line has a point every
    // 100 m, and a gap begins at the last that is covered.
    const beside_m = geodesicBetween(places[0].position, question.route.points[0].position).distance_m;
    expect(beside_m + gap.from_m).toBeGreaterThan(reach_m - 100);
    expect(beside_m + gap.from_m).toBeLessThan(1.015 * reach_m);
    expect(gap.to_m).toBeCloseTo(answer.length_m, 3);
    expect(answer.withoutPlace_s).toBeCloseTo(gap.time_s, 6);
  });

  it("are where the planned altitude lies under the cover, each with its worst", () => {
    expect(flight.gaps).toHaveLength(2);
    for (const gap of flight.gaps) {
      const within = flight.points.filter(({ distance_m }) => distance_m > gap.from_m && distance_m < gap.to_m);
      const short_m = within.map(({ cover_m, altitude_m }) => (cover_m ?? Infinity) - altitude_m);
      expect(Math.max(...short_m)).toBeCloseTo(gap.short_m ?? NaN, 6);
      expect(Math.min(...short_m)).toBeGreaterThan(0);
    }
    const covered = flight.points.filter(
      ({ distance_m }) => !flight.gaps.some(({ from_m, to_m }) => distance_m >= from_m && distance_m <= to_m),
    );
    for (const { cover_m, altitude_m } of covered) expect(cover_m ?? Infinity).toBeLessThanOrEqual(altitude_m);
  });

  it("the climb-out over the water is one, and no altitude closes it", () => {
    expect(flight.gaps[0].from_m).toBe(0);
    expect(flight.gaps[0].closing).toBeNull();
  });

  it("the altitude that closes one closes it, and a hundred feet less does not", () => {
    const { closing, from_m, to_m } = flight.gaps[1];
    if (!closing) throw new Error("nothing closes it");
    const open = (altitude_m: number) =>
      value(routeAnswer({ ...demo, route: flownAs(demo.route, { ...closing, altitude_m }) }, cover, terrain)).gaps.some(
        (gap) => gap.from_m < to_m && gap.to_m > from_m,
      );
    expect(open(closing.altitude_m)).toBe(false);
    expect(open(closing.altitude_m - 30.48)).toBe(true);
    expect(closing.altitude_m / 30.48).toBeCloseTo(Math.round(closing.altitude_m / 30.48), 6);
  });

  it("the way round one leaves none there, costs the difference in time, and is nowhere worse than the direct one was", () => {
    const [round] = detours(demo, cover, flight, terrain);
    expect(round.gap).toBe(1);
    const flown = value(routeAnswer({ ...demo, route: round.route }, cover, terrain));
    expect(flown.gaps).toHaveLength(1);
    expect(flown.time_s - flight.time_s).toBeCloseTo(round.extra_s, 6);
    expect(round.extra_s).toBeGreaterThan(0);
    const own = flown.points.filter(({ leg }) => leg >= 4);
    for (const { cover_m, altitude_m } of own) expect(altitude_m - (cover_m ?? Infinity)).toBeGreaterThanOrEqual(0);
  });

  it("the way round says which planned points it leaves out, and only those", () => {
    const [round] = detours(demo, cover, flight, terrain);
    expect(round.without).toEqual(["Long Saddle"]);
    const own = new Set(round.points.map(({ name }) => name));
    const kept = round.route.points.map(({ name }) => name).filter((name) => !own.has(name));
    expect(kept).toEqual(demo.route.points.map(({ name }) => name).filter((name) => name !== "Long Saddle"));
  });

  it("the way round keeps the altitude of the leg that it leaves", () => {
    const points = demo.route.points.map((at) => ({ ...at, altitude_m: 2000 }));
    const own = withRoute(demo, { points: points.map((at, i) => (i === 5 ? { ...at, altitude_m: null } : at)) });
    const [round] = detours(own, cover, value(routeAnswer(own, cover, terrain)), terrain);
    expect(round.points.map(({ altitude_m }) => altitude_m)).toEqual(round.points.map(() => 2000));
  });

  it("a place less never closes one: without fields and beaches the flight has more of it without a place", () => {
    const runways = withRoute(demo, { places: { ...demo.route.places, fields: false, beaches: false } });
    const fewer = value(routeAnswer(runways, fieldOf(runways), terrain));
    expect(fewer.withoutPlace_s).toBeGreaterThan(flight.withoutPlace_s);
    expect(fewer.places.every(({ kind }) => kind === "runway")).toBe(true);
  });

  it("the pessimistic outlook needs more everywhere", () => {
    const worse = value(routeAnswer(demo, value(routeField(demo, terrain, terrain.origin, "pessimistic")), terrain));
    flight.points.forEach(({ cover_m, place, turn_m }, i) => {
      const other = worse.points[i];
      // Where another place holds it, its turn is another too.
      if (other.place === place)
        expect((other.cover_m ?? Infinity) - other.turn_m).toBeGreaterThan((cover_m ?? 0) - turn_m);
    });
  });
});

describe("the cursor", () => {
  it("its accounts add up, and the best place is the one that holds the flight there", () => {
    for (const distance_m of [15_000, 25_000, 40_000, 80_000]) {
      const here = routeHere(demo, cover, flight, distance_m);
      for (const { altitude_m, reaction_m, turn_m, straight_m, overhead_m, reserve_m, margin_m, place } of here.places)
        expect(altitude_m - reaction_m - turn_m - straight_m - overhead_m - reserve_m - place.elevation_m).toBeCloseTo(
          margin_m,
          6,
        );
      const [best] = here.places;
      // The field holds the cheapest way; the turn to it may make another place the better by a little.
      expect(best.margin_m).toBeGreaterThanOrEqual(here.point.altitude_m - (here.point.cover_m ?? Infinity) - 1);
    }
  });

  it("its way comes down at the place", () => {
    const here = routeHere(demo, cover, flight, 40_000);
    const end = here.way[here.way.length - 1];
    const to = cover.plane.toPlane(here.places[0].place.position);
    expect(Math.hypot(end.x_m - to.x_m, end.y_m - to.y_m)).toBeLessThan(1);
    expect(end.altitude_m).toBeGreaterThanOrEqual(
      here.places[0].place.elevation_m + demo.route.overhead_m + demo.plan.reserve_m - 1,
    );
  });
});

describe("what cannot be flown", () => {
  const refused = (question: RouteQuestion, field: RouteField = cover) => {
    const answer = routeAnswer(question, field, terrain);
    return answer.ok ? "answered" : answer.issue.code;
  };

  it.each<[string, Partial<RoutePlan>, string]>([
    ["a route of one point", { points: demo.route.points.slice(0, 1) }, "route_short"],
    ["a point twice", { points: [demo.route.points[0], demo.route.points[0]] }, "route_stands"],
    ["half round the Earth", { points: [point("A", 0, 0), point("B", 10, 100)] }, "route_long"],
    ["a wind as fast as the aircraft", { tas_mps: 10 }, "wind_exceeds_airspeed"],
  ])("%s is refused", (_, route, code) => expect(refused(withRoute(demo, route))).toBe(code));

  it("five thousand points, and an aeroplane without a polar, are refused", () => {
    const points = Array.from({ length: 5000 }, (_, i) => point(`P${i}`, -47, -131 + i / 10_000));
    expect(RoutePlan.safeParse({ ...demo.route, points }).success).toBe(false);
    expect(refused({ ...demo, aircraft: { ...demo.aircraft, polar: null } })).toBe("no_polar");
  });

  it("no place that counts, none on the terrain, and a place without a strip", () => {
    const none = withRoute(demo, { places: { ...demo.route.places, least_m: 5000 } });
    expect(routeField(none, terrain, terrain.origin, "nominal")).toMatchObject({ issue: { code: "no_places" } });
    const far = {
      ...demo,
      places: demo.places.map((place) => ({ ...place, position: { latitude_deg: 10, longitude_deg: 10 } })),
    };
    expect(routeField(far, terrain, terrain.origin, "nominal")).toMatchObject({
      issue: { code: "no_place_on_ground" },
    });
    expect(demo.places.map(({ id }) => id)).not.toContain("lowen");
  });

  it("across 180° the line goes the short way", () => {
    const plane = localPlane({ latitude_deg: 0, longitude_deg: 180 });
    const line = value(routeLine([point("West", 0, 179.9), point("East", 0, -179.9)], plane));
    expect(line[line.length - 1].distance_m).toBeCloseTo(0.2 * 111_319.49, 0);
    expect(line.every(({ x_m }) => Math.abs(x_m) < 12_000)).toBe(true);
  });

  it("beyond the terrain and over its holes no place is in reach, and no altitude is said to help", () => {
    const out = withRoute(demo, { points: [demo.route.points[5], point("Out", -46.8, -129.9)] });
    const answer = value(routeAnswer(out, cover, terrain));
    const last = answer.gaps[answer.gaps.length - 1];
    expect([last.short_m, last.closing]).toEqual([null, null]);
    const elevations_m = Int16Array.from(terrain.elevations_m);
    for (let row = 0; row < terrain.rows; row += 1) elevations_m[row * terrain.columns + 470] = HOLE_M;
    const holed = { ...terrain, elevations_m };
    const over = value(routeAnswer(demo, fieldOf(demo, holed), holed));
    expect(over.gaps.some(({ short_m }) => short_m === null)).toBe(true);
  });

  it("planned under the ground is flown, and is a gap", () => {
    const low = value(routeAnswer(withRoute(demo, { altitude_m: 300 }), cover, terrain));
    const under = low.points.filter(({ altitude_m, ground_m }) => altitude_m < (ground_m ?? -Infinity));
    expect(under.length).toBeGreaterThan(50);
    for (const { altitude_m, cover_m } of under) expect(cover_m ?? Infinity).toBeGreaterThan(altitude_m);
  });
});

describe("the places that count", () => {
  const named = (question: RouteQuestion) => {
    const judged = value(countedPlaces(question));
    return {
      counted: judged.counted.map(({ id }) => id),
      left: Object.fromEntries(judged.left.map(({ place, why }) => [place.id, why])),
    };
  };

  it("are those that the aircraft can land on: a jet of 41 t has two runways here, and no field", () => {
    const cedar = demoAircraft("cedar-j2");
    const jet = { ...demo, aircraft: cedar, mass_kg: 41_000, configuration: cleanGlide(cedar) };
    const { counted, left } = named(jet);
    expect(counted).toEqual(["cape-orrin"]);
    expect(left["brannoc"]).toBe("too-short");
    expect(left["mill-meadow"]).toBe("too-short");
  });

  it("not those with more wind than is planned with", () => {
    const storm = { ...demo, wind: { surface: { from_rad: 0, speed_mps: 20 }, layers: [] } };
    const { left } = named(storm);
    expect(Object.values(left)).toContain("wind");
  });

  it("not those of a kind or length that is left out", () => {
    const places = { runways: true, fields: false, beaches: true, least_m: 600, except: ["mossgarth"] };
    const { left } = named(withRoute(demo, { places }));
    expect([left["dunnet-field"], left["north-spit"], left.mossgarth]).toEqual(["kind", "short", "hand"]);
  });
});

describe("the wind", () => {
  it("turned round moves the border of a gap towards the place that it blew from", () => {
    const turned: RouteQuestion = {
      ...demo,
      wind: { surface: { from_rad: Math.PI / 2, speed_mps: 14 * MPS_PER_KT }, layers: [] },
    };
    const other: RouteAnswer = value(routeAnswer(turned, fieldOf(turned), terrain));
    expect(other.gaps.map(({ from_m }) => Math.round(from_m))).not.toEqual(
      flight.gaps.map(({ from_m }) => Math.round(from_m)),
    );
  });
});
