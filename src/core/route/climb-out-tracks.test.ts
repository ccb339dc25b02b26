// Climb-outs: each moment against the cover of the whole ground, the limits, and the seconds that are counted.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { type RoutePlan } from "../situation/route-plan";
import { routeQuestion } from "./asked-route";
import { type ClimbOutTrack, UNTIL_M, climbOutTracks } from "./climb-out-tracks";
import { coverOn } from "./route-answer";
import { routeField } from "./route-field";
import type { RouteQuestion } from "./route-question";

const terrain = demoTerrain();
const situation = demoSituation();
// Northbound from Skerrow: straight out over the water, the route behind.
const points = situation.route.points.slice(2);
const asked = (climbOut: Partial<RoutePlan["climbOut"]> = {}, more: Partial<RouteQuestion> = {}): RouteQuestion => {
  const question = routeQuestion(
    { ...situation, route: { ...situation.route, points } },
    demoAircraft("alder-s1"),
    demoPlaces(),
  );
  return {
    ...question,
    ...more,
    route: { ...question.route, ...more.route, climbOut: { ...question.route.climbOut, ...climbOut } },
  };
};
function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const outs = (question: RouteQuestion) => value(climbOutTracks(question, terrain, terrain.origin, null));
const demo = outs(asked());
const of = (tracks: readonly ClimbOutTrack[], kind: ClimbOutTrack["kind"]) =>
  tracks.find((track) => track.kind === kind);
const heading_rad = ({ points: [a, b] }: ClimbOutTrack) => Math.atan2(b.x_m - a.x_m, b.y_m - a.y_m);

describe("climb-outs", () => {
  it("begin at the end into the wind, climb to 3,000 ft, the one with the fewest seconds first", () => {
    expect(demo.end.name).toBe("Skerrow 29");
    const seconds = demo.tracks.map(({ without_s }) => without_s);
    expect(seconds).toEqual([...seconds].sort((a, b) => a - b));
    for (const track of demo.tracks) {
      const last = track.points[track.points.length - 1];
      expect(last.altitude_m - demo.end.elevation_m).toBeGreaterThan(UNTIL_M - 20);
      // Six seconds or so along the runway they are all the same.
      expect(heading_rad(track)).toBeCloseTo(heading_rad(demo.tracks[0]), 6);
    }
    expect(of(demo.tracks, "fewest")?.without_s).toBeLessThan(of(demo.tracks, "straight")?.without_s ?? 0);
  });

  it("what is in reach is so by the cover of the whole ground, nothing wanted overhead", () => {
    const question = asked({}, { plan: { ...asked().plan, reserve_m: 0 } });
    const near = { ...question, route: { ...question.route, overhead_m: 0 } };
    const cover = value(routeField(near, terrain, terrain.origin, "nominal"));
    const straight = of(demo.tracks, "straight");
    const [begin] = straight?.points ?? [];
    let [in_, out] = [0, 0];
    for (const [i, { x_m, y_m, altitude_m, inReach }] of (straight?.points ?? []).entries()) {
      const next = straight?.points[i + 1];
      if (!next || Math.hypot(x_m - begin.x_m, y_m - begin.y_m) < demo.end.length_m) continue;
      const [dx, dy] = [next.x_m - x_m, next.y_m - y_m];
      const flown = { altitude_m, groundSpeed_mps: Math.hypot(dx, dy) / 2.5 };
      const { cover_m } = coverOn(near, cover, { x_m, y_m, track_rad: Math.atan2(dx, dy) }, flown);
      // Near the edge of the part that is looked at the two may differ by a few metres.
      if (cover_m === null || Math.abs(cover_m - altitude_m) < 5) continue;
      expect(inReach).toBe(cover_m <= altitude_m);
      if (inReach) in_ += 1;
      else out += 1;
    }
    expect(Math.min(in_, out)).toBeGreaterThan(5);
  });

  it("counts the seconds that have none", () => {
    for (const { points: flown, without_s, first_m } of demo.tracks) {
      const none = flown.filter(({ inReach }) => !inReach);
      expect(without_s).toBeCloseTo(none.length * 2.5, 9);
      expect(first_m).toBeCloseTo(none[0].altitude_m - demo.end.elevation_m, 9);
    }
  });

  it("no turn comes before the earliest, or to the side that is not wanted", () => {
    const { tracks } = outs(asked({ earliestTurn_m: 300, side: "right" }));
    for (const { turn } of tracks) {
      if (!turn) continue;
      expect(turn.height_m).toBeGreaterThanOrEqual(300);
      expect(turn.side).toBe("right");
    }
    expect(tracks.length).toBeGreaterThan(1);
    const early = Math.min(...demo.tracks.flatMap(({ turn }) => (turn ? [turn.height_m] : [])));
    expect(early).toBeGreaterThanOrEqual(152.4);
    expect(early).toBeLessThan(180);
  });

  it("what is not to be flown over bars the tracks over it, and straight on that is said", () => {
    const fewest = of(demo.tracks, "fewest");
    const { plane } = value(routeField(asked(), terrain, terrain.origin, "nominal"));
    const over = fewest?.points[fewest.points.length - 20] ?? { x_m: 0, y_m: 0 };
    const avoid = [{ name: "Village", position: plane.toLatLon(over), radius_m: 600 }];
    const barred = outs(asked({ avoid }));
    expect(barred.barred).toBeGreaterThan(0);
    for (const { points: flown } of barred.tracks)
      expect(Math.min(...flown.map(({ x_m, y_m }) => Math.hypot(x_m - over.x_m, y_m - over.y_m)))).toBeGreaterThan(600);
    const ahead = [{ name: "Town", position: demo.end.threshold, radius_m: 5000 }];
    expect(climbOutTracks(asked({ avoid: ahead }), terrain, terrain.origin, null)).toMatchObject({
      ok: false,
      issue: { code: "avoided" },
    });
  });

  it("says so where no place about the runway counts", () => {
    const { route, places } = asked();
    const except = places.map(({ id }) => id).filter((id) => id !== "mossgarth");
    const far = { ...route, places: { ...route.places, except }, points: [...situation.route.points].reverse() };
    expect(climbOutTracks({ ...asked(), route: far }, terrain, terrain.origin, null)).toMatchObject({
      ok: false,
      issue: { code: "no_place_near" },
    });
  });

  it("is refused where the route begins at no runway", () => {
    const route = { ...asked().route, points: situation.route.points.slice(4) };
    expect(climbOutTracks({ ...asked(), route }, terrain, terrain.origin, null)).toMatchObject({
      ok: false,
      issue: { code: "no_runway" },
    });
  });
});
