// A flight on one engine: the path against the cross-checked drift-down and ceilings, the ways against the ground they
// lead over, the answer against both.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { cleanGlide } from "../aircraft/configuration";
import { SERVICE_ONE_MPS, ceiling_m } from "../asymmetric/one-engine-climb";
import { geodesicBetween } from "../earth/geodesic";
import { HOLE_M, type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { M_PER_FT, M_PER_NMI } from "../quantities/constants";
import { flownAs } from "../route/gap";
import { type RouteAnswer, routeAnswer } from "../route/route-answer";
import { type RouteField, routeField } from "../route/route-field";
import type { RoutePlan } from "../situation/route-plan";
import { driftQuestion } from "./asked-drift";
import { corridor, corridorFloor } from "./corridor";
import { driftAnswer, wayGround } from "./drift-answer";
import { type DriftField, driftField } from "./drift-field";
import { driftHere, driftWorking } from "./drift-here";
import { driftMetric } from "./drift-metric";
import type { DriftQuestion } from "./drift-question";
import { flyWay } from "./drift-way";
import { oneEnginePath } from "./one-engine-path";

const terrain = demoTerrain();
const larch = demoAircraft("larch-t2");
const CALM = { surface: null, layers: [] };

function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const asked = (route: Partial<RoutePlan> = {}, more: Partial<DriftQuestion> = {}): DriftQuestion => {
  const situation = demoSituation();
  const plan = { ...situation.route, altitude_m: 8000 * M_PER_FT, ...route };
  return {
    ...driftQuestion(
      { ...situation, mass_kg: larch.mass.maximum_kg, configuration: cleanGlide(larch), route: plan },
      larch,
      demoPlaces(),
    ),
    ...more,
  };
};
interface All {
  question: DriftQuestion;
  cover: RouteField;
  flight: RouteAnswer;
  drift: DriftField;
}
/** @param cover - of the same places, wind and terrain, where there is one */
function all(question: DriftQuestion, cover: RouteField, ground: TerrainGrid | null = terrain): All {
  const flight = value(routeAnswer(question, cover, ground));
  return { question, cover, flight, drift: value(driftField(question, cover, ground)) };
}
const answerOf = ({ question, cover, drift, flight }: All) => driftAnswer(question, cover, drift, flight);
const standard = { air: { qnh_Pa: 101_325, deviation_K: 0 }, wind: CALM, centreOfGravity: 1 };
const coverOf = (question: DriftQuestion, ground: TerrainGrid | null = terrain) =>
  value(routeField(question, ground, terrain.origin, "nominal"));
const demo = all(asked(), coverOf(asked()));
const answer = answerOf(demo);

describe("the path on one engine", () => {
  const path = value(oneEnginePath(asked({}, standard), 6000));

  it("has the ceilings of the bisection, which are cross-checked", () => {
    const mended = demoTwinQuestion({ deadPropeller: "feathered" });
    expect(Math.abs(Number(path.service) - value(ceiling_m(mended, SERVICE_ONE_MPS, 1)))).toBeLessThan(3);
    expect(Math.abs(Number(path.absolute) - value(ceiling_m(mended, 0, 1)))).toBeLessThan(3);
    expect(path.net(0.011)).toBeLessThan(Number(path.service));
  });

  it("tells a ceiling above what was looked at from none at all", () => {
    const low = value(oneEnginePath(asked({}, standard), 300));
    expect([low.service, low.absolute]).toEqual(["above", "above"]);
    const heavy = { ...standard, mass_kg: 1.4 * larch.mass.maximum_kg };
    const sinks = value(oneEnginePath(asked({}, heavy), 3000));
    expect([sinks.service, sinks.absolute, sinks.net(0.011)]).toEqual(["none", "none", "none"]);
    expect(sinks.climb_mps(0, 0)).toBeLessThan(0);
  });

  // 14,000 to 9,000 ft at a fixed 81 KEAS: 50.419 NM gross, 29.532 net (cross-check). At the best rate of each height,
  // 75 to 77 KEAS there, it sinks a little less and goes a little farther.
  it.each([
    [0, 50.419],
    [0.011, 29.532],
  ])("drifts down as the cross-check does, a little farther: decrement %f, %f NM", (decrement, miles) => {
    const metric = driftMetric(path, decrement, () => ({ east_mps: 0, north_mps: 0 }));
    const flat = { west_m: -1, south_m: -1, cell_m: 400_000, columns: 2, rows: 2, floor_m: new Float32Array(4) };
    const ground = { path, gross: metric, net: metric, grid: flat, wind: () => ({ east_mps: 0, north_mps: 0 }) };
    const turns = [
      { x_m: 0, y_m: 0 },
      { x_m: 0, y_m: 80 * M_PER_NMI },
    ];
    const flown = flyWay(ground, turns, 14_000 * M_PER_FT);
    const at = flown.find(({ net_m }) => net_m <= 9000 * M_PER_FT);
    const share = (at?.distance_m ?? NaN) / M_PER_NMI / miles;
    expect(share).toBeGreaterThan(0.99);
    expect(share).toBeLessThan(1.1);
  });

  it("loses height until the propeller is feathered, more the longer that takes", () => {
    const later = value(oneEnginePath(asked({}, { ...standard, feather_s: 60 }), 6000));
    expect(path.at(3000).feathering_m).toBeGreaterThan(0);
    expect(later.at(3000).feathering_m).toBeGreaterThan(2 * path.at(3000).feathering_m);
  });

  it("is refused for an aeroplane with one engine", () => {
    const outcome = oneEnginePath({ ...asked(), aircraft: demoAircraft("alder-s1") }, 3000);
    expect(outcome).toMatchObject({ ok: false, issue: { code: "not_a_twin" } });
  });
});

describe("the ground that counts", () => {
  const BESIDE_M = 2963.2;
  const ground = corridor(terrain, BESIDE_M);

  it("is never lower than any ground within the distance, looked at point by point", () => {
    for (const [x_m, y_m] of [
      [3000, 4200],
      [-12_340, 9870],
      [8111, 15_222],
    ]) {
      let highest_m = -Infinity;
      for (let dx = -BESIDE_M; dx <= BESIDE_M; dx += 80)
        for (let dy = -BESIDE_M; dy <= BESIDE_M; dy += 80)
          if (Math.hypot(dx, dy) <= BESIDE_M)
            highest_m = Math.max(highest_m, elevationAt_m(terrain, x_m + dx, y_m + dy) ?? -Infinity);
      const grid = corridorFloor(ground, 0, [{ x_m: 1e7, y_m: 1e7, elevation_m: 0 }]);
      const cell =
        Math.round((y_m - grid.south_m) / grid.cell_m) * grid.columns + Math.round((x_m - grid.west_m) / grid.cell_m);
      expect(grid.floor_m[cell]).toBeGreaterThanOrEqual(highest_m);
    }
  });

  it("near an aerodrome asks for less, and never for less than the ground itself", () => {
    const aerodrome = { x_m: 0, y_m: 0, elevation_m: 50 };
    const floor = corridorFloor(ground, 609.6, [aerodrome]);
    const away = corridorFloor(ground, 609.6, [{ ...aerodrome, x_m: 1e7 }]);
    let lower = 0;
    floor.floor_m.forEach((floor_m, cell) => {
      expect(floor_m).toBeLessThanOrEqual(away.floor_m[cell]);
      const [column, row] = [cell % floor.columns, Math.floor(cell / floor.columns)];
      const away_m = Math.hypot(floor.west_m + column * floor.cell_m, floor.south_m + row * floor.cell_m);
      if (away_m > 1000) expect(floor_m).toBeGreaterThanOrEqual(ground.own_m[cell]);
      if (floor_m < away.floor_m[cell]) lower += 1;
    });
    expect(lower).toBeGreaterThan(1000);
  });

  it("is unknown about a hole", () => {
    const elevations_m = Float32Array.from(terrain.elevations_m);
    elevations_m[500 * terrain.columns + 500] = HOLE_M;
    const holed = corridor({ ...terrain, elevations_m }, BESIDE_M);
    const unknown = holed.ground_m.filter((ground_m) => ground_m === Infinity).length;
    expect(unknown).toBeGreaterThan(ground.ground_m.filter((ground_m) => ground_m === Infinity).length + 50);
  });
});

describe("the flight on one engine", () => {
  it("names alternates that are runways, those at its ends first", () => {
    expect(answer.places.map(({ name }) => name).slice(0, 2)).toEqual(["Mossgarth", "Cape Orrin"]);
    expect(answer.places.every(({ kind }) => kind === "runway")).toBe(true);
  });

  it("from where an alternate is said to be reached, its way stays over what is wanted, step by step", () => {
    const ground = wayGround(demo.cover, demo.drift);
    let looked = 0;
    for (let distance_m = 0; distance_m < answer.length_m; distance_m += 4000) {
      const here = driftHere(demo.cover, demo.drift, answer, distance_m);
      const inGap = answer.gaps.some(({ from_m, to_m }) => distance_m > from_m && distance_m < to_m);
      if (inGap) continue;
      const [best] = here.ways;
      const fine = flyWay(ground, best.flown, here.point.altitude_m - here.state.feathering_m, 20);
      for (const { net_m, gross_m, floor_m, distance_m: along_m } of fine) {
        // Over the aerodrome that it begins from the take-off's own figures count.
        if (here.point.altitude_m < 700 && along_m < 5000) continue;
        expect(net_m).toBeGreaterThanOrEqual(floor_m - 5);
        expect(gross_m).toBeGreaterThanOrEqual(net_m - 0.01);
        looked += 1;
      }
    }
    expect(looked).toBeGreaterThan(2000);
  });

  it("the account of each way adds up from the altitude to the ground", () => {
    for (const way of driftHere(demo.cover, demo.drift, answer, 55_000).ways) {
      const { altitude_m, feathering_m, drift_m, net_m, clearance_m, margin_m, ground_m } = way;
      expect(altitude_m - feathering_m - drift_m - net_m - clearance_m - margin_m).toBeCloseTo(ground_m, 6);
      expect(Math.min(feathering_m, drift_m, net_m, clearance_m)).toBeGreaterThanOrEqual(-1e-6);
    }
    expect(driftWorking(driftHere(demo.cover, demo.drift, answer, 55_000), 0).at(-1)?.symbol).toBe("Δh");
  });

  it("a lower flight has no way over the ridge where a higher one has, and the altitude said closes it", () => {
    const low = asked({ altitude_m: 5500 * M_PER_FT, descent_mps: 6 });
    const found = answerOf(all(low, demo.cover));
    const gap = found.gaps.find(({ closing }) => closing);
    if (!gap?.closing) throw new Error("no gap that an altitude closes");
    const closed = answerOf(all({ ...low, route: flownAs(low.route, gap.closing) }, demo.cover));
    const still = closed.gaps.filter(({ from_m, to_m }) => to_m > gap.from_m && from_m < gap.to_m);
    expect(still).toEqual([]);
  });

  it("more clearance, wider ground and a larger decrement never need less", () => {
    const { oneEngine } = demo.question.route;
    for (const more of [{ clearance_m: 900 }, { beside_m: 5000 }, { decrement: 0.03 }]) {
      const harder = answerOf(all(asked({ oneEngine: { ...oneEngine, ...more } }), demo.cover));
      let higher = 0;
      harder.points.forEach((point, i) => {
        const [a, b] = [point.cover_m ?? Infinity, answer.points[i].cover_m ?? Infinity];
        // Ways over cells of 500 m are that good.
        expect(a).toBeGreaterThanOrEqual(b - 15);
        if (a > b + 1) higher += 1;
      });
      expect(higher).toBeGreaterThan(3);
    }
  });

  it("in still air the point of equal time lies half way between the two, in time and distance", () => {
    const calm = asked({}, standard);
    const { equalTime } = answerOf(all(calm, coverOf(calm)));
    if (!equalTime) throw new Error("no point of equal time");
    const to = (place: typeof equalTime.first) => geodesicBetween(equalTime.position, place.position).distance_m;
    expect(Math.abs(to(equalTime.first) - to(equalTime.second))).toBeLessThan(5);
    expect(equalTime.time_s).toBeCloseTo(to(equalTime.first) / equalTime.tas_mps, 3);
  });

  it("takes the alternates that are chosen, and refuses where none counts", () => {
    const { oneEngine } = demo.question.route;
    const chosen = all(asked({ oneEngine: { ...oneEngine, alternates: ["cape-orrin"] } }), demo.cover);
    expect(chosen.drift.alternates.map(({ place }) => place.name)).toEqual(["Cape Orrin"]);
    const none = asked({ places: { ...demo.question.route.places, runways: false } });
    expect(driftField(none, coverOf(none), terrain)).toMatchObject({ ok: false, issue: { code: "no_alternates" } });
  });

  it("without terrain every alternate is reached, and it says that the ground is taken as flat", () => {
    const calm = asked({}, standard);
    const flat = answerOf(all(calm, coverOf(calm, null), null));
    expect(flat.flat).toBe(true);
    expect(flat.gaps).toEqual([]);
  });
});
