// Exercises in logs: those that can be told from what was flown, and how they were held, by the same documents.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { demoLog } from "../../../demo/read-logs";
import type { Aeroplane } from "../aircraft/aeroplane";
import { EXERCISES } from "../exercise/library";
import { radians } from "../quantities/angle";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { type FoundFlight, analyse } from "../track/analyse";
import { type DrawnTrack, drawnTrack } from "../track/drawn-track";
import { recogniseLayout } from "../track/formats/csv-layout";
import { readLog } from "../track/formats/read-log";
import { figure } from "../track/figure";
import { type ExerciseLog, foundExercises, logTrace, loggedScore } from "./logged-exercises";

const alder = demoAircraft("alder-s1");
const larch = demoAircraft("larch-t2");
const exerciseOf = (id: string) => {
  const exercise = EXERCISES.find((one) => one.id === id);
  if (!exercise) throw new Error(`no ${id}`);
  return exercise;
};

function logOf(name: string, aircraft: Aeroplane, mass_kg: number, deviation_K: number): ExerciseLog {
  const text = demoLog(name);
  const read = readLog(text, recogniseLayout(text)?.layout ?? null);
  if (!read.ok) throw new Error(read.issue.message);
  const day = { aircraft, mass_kg, deviation_K, wind: null, calibration: null, runways: [], stops: null };
  const found = analyse(read.value, day);
  if (!found.ok) throw new Error(found.issue.message);
  const { flown, flights } = found.value;
  return { drawn: drawnTrack(flown), flights, airKnown: flown.has.airspeed || flown.wind !== null };
}

describe("the demonstration of minimum control", () => {
  const log = logOf("minimum-control.csv", larch, 1600, 5);
  const parts = foundExercises(log, larch, 1600);

  it("is found once, from where it slows to where the speed is had again", () => {
    expect(parts.map(({ exerciseId }) => exerciseId)).toEqual(["vmca-demo"]);
    const [{ from_s, to_s }] = parts;
    expect(to_s - from_s).toBeGreaterThan(15);
  });

  it("is held in heading; over which ground, and so whether the deck was kept, is not known", () => {
    const score = loggedScore(exerciseOf("vmca-demo"), log, parts[0], larch);
    if (!score.ok) throw new Error(score.issue.message);
    // 14.7° of heading, 4.5° of bank by the log's truth: within 20° and 45°.
    expect(score.value.tolerances[0]).toMatchObject({ held: true });
    expect(score.value.failed).toEqual([]);
    expect(score.value.verdict).toBe("unmeasured");
    expect(score.value.from_s).toBeCloseTo(parts[0].from_s, 0);
  });
});

describe("six glides", () => {
  const log = logOf("glides.csv", alder, 1000, 12);
  const parts = foundExercises(log, alder, 1000);

  it("are six engine failures, each to the power's return or the log's end", () => {
    expect(parts.filter(({ exerciseId }) => exerciseId === "engine-failure-single")).toHaveLength(6);
    parts.slice(1).forEach(({ from_s }, i) => expect(from_s).toBeGreaterThan(parts[i].from_s));
  });

  it("are held to the book's speed: those at 84 kt are not, by about 20 kt too much", () => {
    const scores = parts.map((part) => loggedScore(exerciseOf("engine-failure-single"), log, part, alder));
    const worst = scores.map((score) =>
      score.ok ? (score.value.tolerances[0].busts.map(({ worst: by }) => by / MPS_PER_KT).at(-1) ?? 0) : NaN,
    );
    const fast = worst.filter((by) => by > 5);
    expect(fast.length).toBeGreaterThanOrEqual(2);
    for (const by of fast) expect(by).toBeLessThan(20);
    for (const score of scores) expect(score).toMatchObject({ ok: true });
  });
});

describe("a turn back", () => {
  it("is a turn back to the ground, and no failure in cruise, though power comes back on the runway", () => {
    const log = logOf("turnback.igc", alder, 1000, 8);
    const [stop] = log.flights.flatMap((flight) => flight.failures);
    expect(stop.back_s ?? 0).toBeGreaterThan(log.flights[0].ends_s);
    const [part, ...others] = foundExercises(log, alder, 1000);
    expect(others).toEqual([]);
    expect(part).toEqual({ exerciseId: "turn-back", from_s: stop.time_s, to_s: log.flights[0].ends_s });
    // The log’s truth: turned at 46°.
    expect(loggedScore(exerciseOf("turn-back"), log, part, alder)).toMatchObject({ ok: true, value: { failed: [] } });
  });
});

describe("made flights", () => {
  const count = 300;
  const time_s = Float64Array.from({ length: count }, (_, i) => i);
  const flat = (value: number) => new Float64Array(count).fill(value);
  const drawn = (over: Partial<DrawnTrack>): DrawnTrack => ({
    time_s,
    latitude_deg: flat(0),
    longitude_deg: flat(0),
    altitude_m: flat(1000),
    climb_mps: flat(0),
    groundSpeed_mps: flat(50),
    tas_mps: flat(50),
    eas_mps: flat(50),
    bank_rad: flat(0),
    course_rad: flat(1),
    energy_m: flat(1100),
    ...over,
  });
  const ground = (at_s: number) => ({ time_s: at_s, sigma_s: 1, ground_m: 10 });
  const flight = (over: Partial<FoundFlight>): FoundFlight => ({
    from: 0,
    to: count - 1,
    begins_s: 0,
    ends_s: count - 1,
    takeOff: ground(0),
    landing: ground(count - 1),
    failures: [],
    turns: [],
    slowed: [],
    landed: null,
    ...over,
  });
  const turn = (bank_deg: number, heading_deg: number) =>
    ({
      from_s: 100,
      to_s: 130,
      side: 1,
      heading_rad: radians(heading_deg),
      measures: { bank_rad: figure(radians(bank_deg), 0.01, "attitude") },
    }) as unknown as FoundFlight["turns"][number];

  it("a steep turn all round is one; a shallow one, half of one and one without engine are none", () => {
    const of = (turns: FoundFlight["turns"], failures: FoundFlight["failures"] = []) =>
      foundExercises({ drawn: drawn({}), flights: [flight({ turns, failures })], airKnown: true }, alder, 1000);
    expect(of([turn(45, 358)])).toEqual([{ exerciseId: "steep-turns", from_s: 98, to_s: 132 }]);
    expect(of([turn(30, 358), turn(45, 180)])).toEqual([]);
    const off = { time_s: 90, back_s: null, possible: true } as FoundFlight["failures"][number];
    expect(of([turn(45, 358)], [off])).toEqual([]);
  });

  it("a steep turn is held within 100 ft of its entry, or not", () => {
    const bank_rad = time_s.map((t) => (t >= 100 && t <= 130 ? radians(45) : 0));
    const sunk = (by_ft: number) => time_s.map((t) => 1000 - (t > 110 && t < 125 ? by_ft * M_PER_FT : 0));
    const scored = (by_ft: number, airKnown = true) => {
      const log = { drawn: drawn({ bank_rad, altitude_m: sunk(by_ft) }), flights: [flight({})], airKnown };
      const score = loggedScore(exerciseOf("steep-turns"), log, { from_s: 98, to_s: 132 }, alder);
      if (!score.ok) throw new Error(score.issue.message);
      return score.value;
    };
    expect(scored(90).tolerances.map(({ held }) => held)).toEqual([true, true]);
    expect(scored(150)).toMatchObject({ verdict: "failed" });
    const [bust] = scored(150).tolerances[0].busts;
    expect(bust.worst / M_PER_FT).toBeCloseTo(-50, 6);
    expect(bust.from_s).toBe(111);
    // Without airspeed or wind its speed is not measured.
    expect(scored(90, false).tolerances.map(({ held }) => held)).toEqual([true, null]);
  });

  it("level and slow for long enough is slow flight", () => {
    const slow = (seconds: number) => drawn({ eas_mps: time_s.map((t) => (t >= 100 && t < 100 + seconds ? 29 : 50)) });
    const of = (track: DrawnTrack, airKnown = true) =>
      foundExercises({ drawn: track, flights: [flight({})], airKnown }, alder, 1000);
    expect(of(slow(60))).toEqual([{ exerciseId: "slow-flight", from_s: 100, to_s: 159 }]);
    expect(of(slow(20))).toEqual([]);
    expect(of(slow(60), false)).toEqual([]);
  });

  const stop = (over: object): FoundFlight["failures"][number] => {
    const of = {
      time_s: 60,
      back_s: null,
      engine: null,
      possible: false,
      height_m: figure(300, 5, "pressure height"),
      toGround: { height_m: figure(300, 5, "pressure height"), time_s: figure(70, 1, "position") },
      turns: [turn(30, 100), turn(30, 80)],
      glides: [],
    };
    return { ...of, ...over } as unknown as FoundFlight["failures"][number];
  };
  const named = (over: object, of: Partial<FoundFlight> = {}, track = drawn({})) =>
    foundExercises(
      { drawn: track, flights: [flight({ takeOff: null, failures: [stop(over)], ...of })], airKnown: true },
      "engine" in over ? larch : alder,
      "engine" in over ? 1600 : 1000,
    ).map(({ exerciseId }) => exerciseId);

  it("half round from circuit height, in one turn or two, is the approach to a spot; on the climb a turn back", () => {
    expect(named({})).toEqual(["power-off-180"]);
    expect(named({ turns: [turn(30, 90)] })).toEqual([]);
    expect(named({ turns: [turn(30, 300)] })).toEqual([]);
    expect(named({ height_m: figure(700, 5, "pressure height") })).toEqual([]);
    expect(named({ turns: [turn(45, 210)] }, { takeOff: ground(0) })).toEqual(["turn-back"]);
    expect(named({ turns: [turn(45, 90)] }, { takeOff: ground(0) })).toEqual([]);
    expect(
      named({ turns: [turn(45, 210)], height_m: figure(470, 5, "pressure height") }, { takeOff: ground(0) }),
    ).toEqual([]);
  });

  it("low on one engine and up again without the touch is a go-around, about its lowest point", () => {
    const dip = (low_m: number, up_m: number) =>
      drawn({
        altitude_m: time_s.map((t) => 10 + (t < 150 ? low_m + (150 - t) * 4 : low_m + Math.min((t - 150) * 2, up_m))),
      });
    const around = (track: DrawnTrack, over: object = {}) =>
      named({ engine: 1, toGround: null, ...over }, {}, track).filter((id) => id === "one-engine-go-around");
    expect(around(dip(100, 200))).toEqual(["one-engine-go-around"]);
    expect(around(dip(300, 200))).toEqual([]);
    expect(around(dip(100, 40))).toEqual([]);
    // The other engine was back before it climbed.
    expect(around(dip(100, 200), { back_s: 155 })).toEqual([]);
    const log = {
      drawn: dip(100, 200),
      flights: [flight({ failures: [stop({ engine: 1, toGround: null })] })],
      airKnown: true,
    };
    const part = foundExercises(log, larch, 1600).find(({ exerciseId }) => exerciseId === "one-engine-go-around");
    expect(part).toEqual({ exerciseId: "one-engine-go-around", from_s: 135, to_s: 210 });
  });

  it("of a gyroplane down without speed is a vertical descent, from its beginning to the speed that is had again", () => {
    const gyro = demoGyroplane();
    const down = (seconds: number, sink_mps: number) =>
      drawn({
        eas_mps: time_s.map((t) => (t < 100 ? 25 : t < 100 + seconds ? 5 : Math.min(5 + (t - 100 - seconds) * 3, 25))),
        climb_mps: time_s.map((t) => (t >= 100 && t < 104 + seconds ? -sink_mps : 0)),
      });
    const of = (track: DrawnTrack, airKnown = true) =>
      foundExercises({ drawn: track, flights: [flight({})], airKnown }, gyro, 400);
    // 20 m/s again five seconds after the nose went down.
    expect(of(down(8, 6))).toEqual([{ exerciseId: "gyro-vertical-descent", from_s: 100, to_s: 113 }]);
    expect(of(down(8, 2))).toEqual([]);
    expect(of(down(1, 6))).toEqual([]);
    expect(of(down(8, 6), false)).toEqual([]);
    const out = stop({ engine: null });
    expect(
      foundExercises({ drawn: drawn({}), flights: [flight({ failures: [out] })], airKnown: true }, gyro, 400),
    ).toEqual([{ exerciseId: "gyro-engine-out", from_s: 60, to_s: count - 1 }]);
  });

  it("of a helicopter one engine lost low and standing is the hover’s; on its way it is none", () => {
    const hazel = demoHelicopter();
    const of = (groundSpeed: number, height_m: number) =>
      foundExercises(
        {
          drawn: drawn({ groundSpeed_mps: flat(groundSpeed), altitude_m: flat(10 + height_m) }),
          flights: [flight({ failures: [stop({ engine: 1, toGround: null })] })],
          airKnown: true,
        },
        hazel,
        2600,
      ).map(({ exerciseId }) => exerciseId);
    expect(of(1, 5)).toEqual(["helicopter-hover"]);
    expect(of(20, 5)).toEqual([]);
    expect(of(1, 60)).toEqual([]);
  });

  it("a part without two fixes has no trace, and is said to be short", () => {
    const log = { drawn: drawn({}), flights: [flight({})], airKnown: true };
    expect(logTrace(log, { from_s: 10.2, to_s: 10.9 }, 0)).toBeNull();
    expect(loggedScore(exerciseOf("stalls"), log, { from_s: 10.2, to_s: 10.9 }, alder)).toMatchObject({
      ok: false,
      issue: { code: "part_short" },
    });
  });
});
