// A flown flight against its cover: where exposure begins by the glide ratio alone, sums, what height and another way
// change, and what is not judged.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoGyroplane, demoHelicopter, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { cleanGlide, firstConfiguration } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { bestGlide } from "../glide/straight-glide";
import { routePlaces, routeQuestion } from "../route/asked-route";
import { routeDescent } from "../route/route-descent";
import { routeField } from "../route/route-field";
import type { RoutePlace } from "../route/route-question";
import { plannedReaction_s } from "../situation/pilot-practice";
import type { DrawnTrack } from "../track/drawn-track";
import { type Exposure, exposure } from "./exposure";
import { ExposureQuestion, type FlownFix, type FlownPhase } from "./exposure-question";
import { exposureTrack } from "./exposure-track";
import { exposureHereWorking, exposureWorking } from "./exposure-working";

const alder = demoAircraft("alder-s1");
const situation = demoSituation();
const origin = situation.position;
const plane = localPlane(origin);
const [skerrow] = routePlaces(demoPlaces()).filter(({ id }) => id === "skerrow");
const CALM = { surface: null, layers: [] };
const SPEED = 50;

/** Sea level all about, 90 km across. */
const flat: TerrainGrid = {
  origin,
  west_m: -45_000,
  south_m: -45_000,
  cell_m: 300,
  columns: 301,
  rows: 301,
  elevations_m: new Float32Array(301 * 301),
};

function placeAt(id: string, x_m: number, y_m: number): RoutePlace {
  const position = plane.toLatLon({ x_m, y_m });
  return { ...skerrow, id, name: id, position, elevation_m: 0 };
}

/** A flight along fixes of the plane at a steady speed, a fix a second. */
function straight(
  from: readonly [number, number],
  to: readonly [number, number],
  altitude_m: number,
  phase: FlownPhase = "level",
  begins_s = 0,
): FlownFix[] {
  const count = Math.round(Math.hypot(to[0] - from[0], to[1] - from[1]) / SPEED);
  return Array.from({ length: count + 1 }, (_, i) => ({
    time_s: begins_s + i,
    position: plane.toLatLon({
      x_m: from[0] + ((to[0] - from[0]) * i) / count,
      y_m: from[1] + ((to[1] - from[1]) * i) / count,
    }),
    altitude_m,
    groundSpeed_mps: SPEED,
    phase,
  }));
}

function asked(places: RoutePlace[], track: FlownFix[], more: Partial<ExposureQuestion> = {}): ExposureQuestion {
  const { route, ...question } = routeQuestion({ ...situation, mass_kg: 1000, wind: CALM }, alder, []);
  return ExposureQuestion.parse({
    ...question,
    plan: { ...question.plan, glideSpeed: "book", clearance_m: 0 },
    route: { overhead_m: route.overhead_m, places: route.places },
    places,
    track,
    ...more,
  });
}
function answered(question: ExposureQuestion, terrain = flat): Exposure {
  const cover = routeField(question, terrain, origin, "nominal");
  if (!cover.ok) throw new Error(cover.issue.message);
  const found = exposure(question, cover.value, terrain);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const one = placeAt("one", 0, 0);

describe("a flight away from its place", () => {
  const question = asked([one], straight([0, 0], [0, 20_000], 1000));
  const found = answered(question);

  it("is exposed from where the height over what is wanted there is used up by the glide, the reaction and the turn", () => {
    const polar = polarOf(alder, 1000, cleanGlide(alder));
    if (!polar.ok) throw new Error("no polar");
    const { ratio } = bestGlide(polar.value.polar);
    const first = found.points.find(({ exposed }) => exposed);
    const { reaction_m, turn_m, distance_m } = first ?? { reaction_m: NaN, turn_m: NaN, distance_m: NaN };
    const left_m = 1000 - question.route.overhead_m - question.plan.reserve_m - reaction_m - turn_m;
    // The reaction is flown on, away from the place.
    const moved_m = SPEED * plannedReaction_s(situation.pilot);
    const away_m = left_m * ratio - moved_m;
    expect(Math.abs(distance_m - away_m)).toBeLessThan(400);
    expect(turn_m).toBeGreaterThan(10);
    // Turned round: half a turn costs this aeroplane about 150 to 350 ft.
    expect(turn_m).toBeLessThan(110);
  });

  it("has rows that add up", () => {
    const total = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);
    expect(found.judged_s).toBeCloseTo(400, 6);
    expect(total(found.byPhase.map(({ exposed_s }) => exposed_s))).toBeCloseTo(found.exposed_s, 9);
    expect(total(found.byPhase.map(({ time_s }) => time_s))).toBeCloseTo(found.judged_s, 9);
    expect(total(found.gaps.map(({ exposed_s }) => exposed_s))).toBeCloseTo(found.exposed_s, 9);
    expect(found.exposed_s).toBeGreaterThan(200);
  });

  it("and back again is exposed nearer to it with the wind against, farther with it behind", () => {
    // Towards the south the way home lies ahead: no turn.
    const home = straight([0, 20_000], [0, 0], 1000);
    const wind = (from_rad: number) =>
      answered(asked([one], home, { wind: { surface: null, layers: [{ altitude_m: 500, from_rad, speed_mps: 12 }] } }));
    const [calm, ahead, behind] = [answered(asked([one], home)), wind(Math.PI), wind(0)];
    expect(ahead.exposed_s).toBeGreaterThan(calm.exposed_s + 30);
    expect(behind.exposed_s).toBeLessThan(calm.exposed_s - 30);
  });

  it.each([demoGyroplane(), demoHelicopter()])("of $name is exposed much nearer, by its own descent", (aircraft) => {
    const mass_kg = aircraft.mass.usual_kg;
    const own = { aircraft, mass_kg, configuration: firstConfiguration(aircraft) };
    const rotor = answered(asked([one], straight([0, 0], [0, 20_000], 1000), own));
    expect(rotor.exposed_s).toBeGreaterThan(found.exposed_s + 60);
    const descent = routeDescent({ ...question, ...own }, 0);
    if (!descent.ok) throw new Error(descent.issue.message);
    const { distance_m, reaction_m, turn_m } = rotor.points.find(({ exposed }) => exposed) ?? {
      distance_m: NaN,
      reaction_m: NaN,
      turn_m: NaN,
    };
    const left_m = 1000 - question.route.overhead_m - question.plan.reserve_m - reaction_m - turn_m;
    const away_m = left_m * descent.value.glide.ratio - SPEED * plannedReaction_s(situation.pilot);
    expect(Math.abs(distance_m - away_m)).toBeLessThan(400);
    // Half a turn by the steady turn of its autorotation, thinner air aside.
    const half_m = Math.PI * descent.value.performance.turnHeightPerRadianSeaLevel_m;
    expect(turn_m / half_m).toBeGreaterThan(0.9);
    expect(turn_m / half_m).toBeLessThan(1.3);
  });

  it("tells how each figure comes about", () => {
    const last = found.points[found.points.length - 1];
    const cover = exposureHereWorking(question, found, last);
    const of = (symbol: string) => Number(cover.find((step) => step.symbol === symbol)?.value);
    expect(of("Δh")).toBeCloseTo(of("h") - of("h_n"), 9);
    expect(of("Δh")).toBeLessThan(0);
    const field = routeField(question, flat, origin, "nominal");
    if (!field.ok) throw new Error("no field");
    const steps = exposureWorking(found, field.value);
    expect(steps.findLast(({ figure }) => figure === "exposed")?.value).toBe(found.exposed_s);
    expect(steps.filter(({ figure }) => figure === "higher").map(({ value }) => value)).toEqual(
      found.higher.map(({ exposed_s }) => exposed_s),
    );
  });
});

describe("a flight between two places", () => {
  const two = [one, placeAt("two", 0, 24_000)];
  const direct = straight([0, 0], [0, 24_000], 1000);
  const found = answered(asked(two, direct));

  it("is exposed in the middle, less when higher, and not at all as high as it is said to need", () => {
    expect(found.gaps).toHaveLength(1);
    expect(found.higher.map(({ exposed_s }) => exposed_s)).toEqual(
      [...found.higher.map(({ exposed_s }) => exposed_s)].sort((a, b) => b - a),
    );
    expect(found.higher[0].exposed_s).toBeLessThan(found.exposed_s - 20);
    const { closing_m } = found;
    if (closing_m === null) throw new Error("nothing closes it");
    const at = (lift_m: number) => answered(asked(two, straight([0, 0], [0, 24_000], 1000 + lift_m))).exposed_s;
    expect(at(closing_m)).toBe(0);
    expect(at(closing_m - 61)).toBeGreaterThan(0);
  });

  it("would have had none by a third place beside it, for the time of the longer way", () => {
    const three = [one, placeAt("beside", 9500, 11_000), placeAt("two", 0, 22_000)];
    const [gap] = answered(asked(three, straight([0, 0], [0, 22_000], 1400))).gaps;
    const round = gap?.round;
    if (!round) throw new Error("no way round");
    // The way leads at least so far to the side that the third place holds it.
    const farthest = Math.max(...round.points.map((point) => plane.toPlane(point).x_m));
    expect(farthest).toBeGreaterThan(1500);
    expect(round.extra_s).toBeGreaterThan(0);
    expect(round.extra_s).toBeLessThan(240);
    const corners = round.points.map((point) => plane.toPlane(point));
    const flown = corners
      .slice(1)
      .flatMap((to, i) => straight([corners[i].x_m, corners[i].y_m], [to.x_m, to.y_m], round.altitude_m).slice(0, -1))
      .map((fix, i) => ({ ...fix, time_s: i }));
    expect(answered(asked(three, flown)).exposed_s).toBe(0);
  });

  it("offers no other way to one who went round in circles", () => {
    const there = [...straight([0, 0], [0, 12_000], 1000), ...straight([0, 12_000], [0, 0], 1000, "level", 241)];
    const ways = answered(asked(two, there)).gaps.map(({ round }) => round);
    expect(ways).toEqual([null]);
  });
});

describe("what is not judged", () => {
  it("is low, without engine, beyond the ground, or in a hole of the log", () => {
    const level = straight([0, 0], [0, 5000], 1000);
    const last = level[level.length - 1].time_s;
    const track = [
      ...straight([0, -5000], [0, 0], 300, "low").slice(0, -1),
      ...level.map((fix) => ({ ...fix, time_s: fix.time_s + 100 })),
      { ...level[level.length - 1], time_s: last + 180 },
      { ...level[level.length - 1], time_s: last + 190, phase: "stopped" as const },
      { ...level[level.length - 1], time_s: last + 200, phase: "ground" as const },
    ];
    const found = answered(asked([one], track));
    expect(found.apart).toMatchObject({ low: 100, hole: 80, stopped: 10 });
    // The last of the hundred, and ten seconds after the hole.
    expect(found.judged_s).toBe(110);
    const beyond = answered(asked([one], straight([0, 40_000], [0, 50_000], 2500)));
    expect(beyond.apart.beyond).toBeCloseTo(100, -1);
    expect(beyond.judged_s + beyond.apart.beyond).toBe(200);
  });

  it("and where nothing is left, that is said", () => {
    const question = asked([one], straight([0, 0], [0, 5000], 300, "low"));
    const cover = routeField(question, flat, origin, "nominal");
    if (!cover.ok) throw new Error("no cover");
    expect(exposure(question, cover.value, flat)).toMatchObject({ ok: false, issue: { code: "nothing_judged" } });
  });

  it("and fixes that do not follow each other are refused", () => {
    const [first, second] = straight([0, 0], [0, 50], 1000);
    expect(ExposureQuestion.shape.track.safeParse([second, first]).success).toBe(false);
  });
});

describe("phases of a log", () => {
  const profile = (t: number) =>
    t < 30 ? 10 : t < 330 ? 10 + (t - 30) * 3 : t < 630 ? 910 : t < 930 ? 910 - (t - 630) * 3 : 10;
  const time_s = Float64Array.from({ length: 1000 }, (_, i) => i);
  const zero = new Float64Array(1000);
  const drawn: DrawnTrack = {
    time_s,
    latitude_deg: zero,
    longitude_deg: zero,
    altitude_m: time_s.map(profile),
    climb_mps: zero,
    groundSpeed_mps: zero,
    tas_mps: zero,
    eas_mps: zero,
    bank_rad: zero,
    course_rad: zero,
    energy_m: zero,
  };
  const ground = (at_s: number) => ({ time_s: at_s, sigma_s: 1, ground_m: 10 });
  const flight = { begins_s: 30, ends_s: 930, takeOff: ground(30), landing: ground(930), failures: [] };
  const phaseAt = (track: FlownFix[], at_s: number) => track[at_s].phase;

  it("follow one another: ground, low, climb, level, descent, low, ground", () => {
    const track = exposureTrack(drawn, [flight], 300);
    const phases = track.map(({ phase }) => phase);
    const changes = phases.filter((phase, i) => phase !== phases[i - 1]);
    expect(changes).toEqual(["ground", "low", "climb", "level", "descent", "low", "ground"]);
    expect(phases.indexOf("climb")).toBe(130);
    expect(Math.abs(phases.indexOf("level") - 330)).toBeLessThan(20);
    expect(Math.abs(phases.lastIndexOf("level") - 630)).toBeLessThan(20);
    expect(phases.lastIndexOf("descent")).toBe(830);
  });

  it("keep the time without engine apart, but not a possible stop, and are not low where the log begins aloft", () => {
    const stop = { time_s: 400, back_s: 500, possible: false };
    const failures = [stop, { ...stop, time_s: 550, back_s: 560, possible: true }] as never;
    const track = exposureTrack(drawn, [{ ...flight, begins_s: 40, takeOff: null, failures }], 300);
    expect(phaseAt(track, 399)).toBe("level");
    expect(phaseAt(track, 450)).toBe("stopped");
    expect(phaseAt(track, 501)).toBe("level");
    expect(phaseAt(track, 555)).toBe("level");
    expect(phaseAt(track, 45)).toBe("climb");
  });

  it("are low all along where a flight stays about its field", () => {
    const phases = exposureTrack(drawn, [flight], 1200).map(({ phase }) => phase);
    expect(new Set(phases)).toEqual(new Set(["ground", "low"]));
  });
});
