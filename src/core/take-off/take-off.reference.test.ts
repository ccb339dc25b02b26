// The take-off rolled, flown and judged again by plainer means: small steps, energy, sums by hand, lists gone through.
import { describe, expect, it } from "vitest";
import { demoTakeOff, demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { engineForce } from "../engine/engine-force";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { airSample, readAir } from "../flight/air-column";
import { G0, MPS_PER_KT, RHO0 } from "../quantities/constants";
import { DEFAULT_ONE_ENGINE } from "../situation/one-engine-plan";
import { accelerate, balancedFailure_mps } from "./accelerate";
import { braked, rollOn, rollingAir, standing, tasOnRunway } from "./ground-roll";
import { clearances, heightAt_m } from "./obstacle-clearance";
import { landingSpare_m, phases } from "./phases";
import { returnHeight } from "./return-height";
import { massLimit, takeOffSegments } from "./segments";
import { speedMarks } from "./speed-marks";
import { type TakeOffDay, takeOffDay } from "./take-off-day";
import { PATH_TOP_M, type PathPoint, type TakeOffPath, toRotation, takeOffPath } from "./take-off-path";
import { groundObstacles } from "./terrain-ahead";

type Otherwise = NonNullable<Parameters<typeof demoTakeOff>[0]>;

function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const rolled = (day: TakeOffDay) => value(rollOn(day, standing(day), 2, toRotation(day)));
const path = (
  change: Otherwise,
  failure: Parameters<typeof takeOffPath>[2],
  gearUpAt_m = 20,
): [TakeOffDay, TakeOffPath] => {
  const day = demoTakeOff(change);
  return [day, takeOffPath(day, rolled(day), failure, gearUpAt_m)];
};
const at = (way: TakeOffPath, kind: string): PathPoint => {
  const event = way.events.find((candidate) => candidate.kind === kind);
  if (!event) throw new Error(`expected ${kind}`);
  return event.point;
};

/** Rolling in steps of 2 ms: forces written out again, thrust alone is the core's. */
function rollAgain(day: TakeOffDay, engines: 1 | 2, from: { x_m: number; tas_mps: number }, to_mps: number) {
  const flight = day.at(0, {});
  const { aircraft } = day.question;
  const { along_mps } = readAir(day.air, 3, airSample());
  const { density } = readAir(day.air, 0, airSample());
  const S = flight.wing.area_m2;
  let [x, v, t] = [from.x_m, from.tas_mps, 0];
  const dt = 0.002;
  while (v < to_mps && t < 300) {
    const q = (density * v * v) / 2;
    const thrust = engineForce(aircraft.engines, flight.engineAir, Math.max(v, 0.1), 1, flight.sigmaCritical).thrust_N;
    // Lift coefficient 0.4 while rolling, induced drag to 0.7 by the ground, friction 0.04 of what the wheels carry.
    const drag = q * S * (flight.cd0 + 0.7 * flight.k * 0.16) + (engines === 1 ? q * flight.deadArea_m2 : 0);
    const wheels = Math.max(0, flight.weight_N - q * S * 0.4);
    v += ((engines * thrust - Math.sign(v) * drag - 0.04 * wheels) / (flight.weight_N / G0)) * dt;
    x += (v + along_mps) * dt;
    t += dt;
  }
  return { x_m: x, tas_mps: v, time_s: t };
}

describe("the roll against steps of 2 ms", () => {
  it.each([
    ["still air", {}],
    ["15 kt ahead", { headwind_kt: 15 }],
    ["8 kt behind", { headwind_kt: -8 }],
    ["light, hot", { mass_kg: 1300, air: { qnh_Pa: 98_000, deviation_K: 25 } }],
    ["the jet, from an intersection", { name: "cedar-j2", intersection_m: 300 }],
  ] as [string, Otherwise][])("both engines, %s", (_, change) => {
    const day = demoTakeOff(change);
    const ours = rolled(day);
    const plain = rollAgain(day, 2, standing(day), tasOnRunway(day, day.speeds.rotation_mps));
    expect(ours.tas_mps).toBeCloseTo(tasOnRunway(day, day.speeds.rotation_mps), 3);
    expect(ours.x_m / plain.x_m).toBeCloseTo(1, 2);
    expect(ours.time_s / plain.time_s).toBeCloseTo(1, 2);
  });

  it("one engine carries the dead one's drag", () => {
    const day = demoTakeOff({ mass_kg: 1400 });
    const from = { x_m: 200, tas_mps: 20, time_s: 12 };
    const ours = value(rollOn(day, from, 1, (state) => 25 - state.tas_mps));
    const plain = rollAgain(day, 1, from, 25);
    expect((ours.x_m - 200) / (plain.x_m - 200)).toBeCloseTo(1, 2);
    expect((ours.time_s - 12) / plain.time_s).toBeCloseTo(1, 2);
  });

  it("begins where it stands, in the wind's airspeed, and ends at once where nothing is left", () => {
    const day = demoTakeOff({ headwind_kt: 10, intersection_m: 123 });
    const { along_mps, density } = rollingAir(day);
    expect(along_mps).toBeLessThan(-3);
    expect(density).toBe(readAir(day.air, 0, airSample()).density);
    expect(standing(day)).toEqual({ x_m: 123, tas_mps: -along_mps, time_s: 0 });
    const from = { x_m: 5, tas_mps: 30, time_s: 7 };
    expect(rollOn(day, from, 2, () => 0)).toEqual({ ok: true, value: from });
  });

  it("brakes by V²/(2Ng) over the ground in V/(Ng) seconds, and not at all when it stands", () => {
    const day = demoTakeOff({ headwind_kt: 12 });
    const { along_mps } = rollingAir(day);
    const stop = braked(day, { x_m: 100, tas_mps: 35, time_s: 20 });
    const ground = 35 + along_mps;
    // Asphalt brakes with a quarter of g.
    expect(stop).toEqual({
      x_m: 100 + ground ** 2 / (2 * 0.25 * G0),
      tas_mps: 0,
      time_s: 20 + ground / (0.25 * G0),
    });
    expect(braked(day, { x_m: 100, tas_mps: 0, time_s: 20 })).toMatchObject({ x_m: 100, time_s: 20 });
  });

  it("runs for 150 s at most, and says which of the two does not accelerate", () => {
    const day = demoTakeOff({ mass_kg: 1600 });
    const refused = (engines: 1 | 2) => rollOn(day, { x_m: 0, tas_mps: 300, time_s: 0 }, engines, () => 1);
    expect(refused(2)).toMatchObject({ ok: false, issue: { code: "no_lift_off", path: "mass_kg" } });
    expect(refused(1)).toMatchObject({ ok: false, issue: { message: expect.stringContaining("On one engine") } });
    const slowly = (time_s: number) => rollOn(day, { x_m: 0, tas_mps: 5, time_s }, 2, (state) => 8 - state.tas_mps);
    expect(slowly(140).ok).toBe(true);
    expect(slowly(150.5).ok).toBe(false);
  });
});

describe("stop and go, put together by hand", () => {
  it.each([
    ["the twin", { mass_kg: 1400, headwind_kt: 6 }, 30],
    ["the jet", { name: "cedar-j2" }, 60],
  ] as [string, Otherwise, number][])("%s", (_, change, failure_mps) => {
    const day = demoTakeOff(change);
    const whole = value(accelerate(day, failure_mps));
    const failTas = failure_mps * Math.sqrt(RHO0 / rollingAir(day).density);
    const failed = rollAgain(day, 2, standing(day), failTas);
    expect(whole.failure_mps).toBe(failure_mps);
    expect(whole.failureX_m / failed.x_m).toBeCloseTo(1, 2);
    // Three seconds on one engine, then brakes.
    const acted = value(
      rollOn(day, { ...failed, time_s: 0 }, 1, (state) => day.question.plan.recognition_s - state.time_s),
    );
    expect(whole.actionX_m / acted.x_m).toBeCloseTo(1, 2);
    expect(whole.action_mps).toBeCloseTo((acted.tas_mps * failure_mps) / failTas, 1);
    const ground = whole.action_mps * (failTas / failure_mps) + rollingAir(day).along_mps;
    expect(whole.stopX_m).toBeCloseTo(whole.actionX_m + ground ** 2 / (2 * day.braking * G0), 3);
    const { length_m } = day.question.runway;
    expect(whole.stopSpare_m).toBeCloseTo(length_m - whole.stopX_m, 9);
    const screen = whole.path && at(whole.path, "screen");
    expect(whole.goX_m).toBe(screen?.x_m);
    expect(whole.goSpare_m).toBeCloseTo(length_m - (screen?.x_m ?? 0), 9);
    expect(screen?.height_m).toBeGreaterThanOrEqual(day.screen_m);
    expect(screen?.height_m).toBeLessThan(day.screen_m + 2);
  });

  it("from an intersection everything lies that much farther on", () => {
    const [whole, later] = [0, 250].map((intersection_m) =>
      value(accelerate(demoTakeOff({ mass_kg: 1400, intersection_m }), 30)),
    );
    for (const key of ["failureX_m", "actionX_m", "stopX_m", "goX_m"] as const)
      expect((later[key] ?? 0) - (whole[key] ?? 0)).toBeCloseTo(250, 6);
    expect(whole.stopSpare_m - later.stopSpare_m).toBeCloseTo(250, 6);
    expect((whole.goSpare_m ?? 0) - (later.goSpare_m ?? 0)).toBeCloseTo(250, 6);
  });

  it("in balance stopping and going take the same, and a knot to either side they do not", () => {
    const day = demoTakeOff({ name: "cedar-j2" });
    const balanced = value(balancedFailure_mps(day));
    const apart = (eas_mps: number) => {
      const { stopX_m, goX_m } = value(accelerate(day, eas_mps));
      return stopX_m - (goX_m ?? Infinity);
    };
    expect(Math.abs(apart(balanced))).toBeLessThan(2);
    expect(apart(balanced - MPS_PER_KT)).toBeLessThan(-5);
    expect(apart(balanced + MPS_PER_KT)).toBeGreaterThan(5);
    // A light twin stops shorter than it goes, however late it fails.
    const twin = demoTakeOff({ mass_kg: 1725 });
    expect(value(balancedFailure_mps(twin))).toBe(twin.speeds.rotation_mps);
  });
});

describe("speeds, by the factors of the rules", () => {
  it("of the jet: V_2, V_R 0.96 of it, flap up 1.2 and final 1.25 V_S clean, screen 35 ft", () => {
    const day = demoTakeOff({ name: "cedar-j2" });
    const { speeds } = day;
    const flight = day.at(0, {});
    const clean = day.at(0, { flap: 0, gearDown: false });
    const stall = (of: typeof flight) => Math.sqrt((2 * of.weight_N) / (RHO0 * of.wing.area_m2 * of.clMax));
    expect(speeds.stall_mps).toBeCloseTo(stall(flight), 9);
    expect(speeds.screen_mps).toBeCloseTo(Math.max(1.1 * (speeds.vmca_mps ?? 0), 1.2 * stall(flight)), 9);
    expect(speeds.rotation_mps).toBeCloseTo(Math.max(1.05 * (speeds.vmca_mps ?? 0), 0.96 * speeds.screen_mps), 9);
    expect(speeds.flapUp_mps).toBeCloseTo(1.2 * stall(clean), 9);
    expect(speeds.oneEngine_mps).toBeCloseTo(1.25 * stall(clean), 9);
    expect(day.screen_m).toBeCloseTo(35 * 0.3048, 9);
    expect(demoTakeOff().screen_m).toBeCloseTo(50 * 0.3048, 9);
  });

  it("both engines climb at V_Y, never slower than at the screen; a rotation of one's own counts", () => {
    const day = demoTakeOff();
    expect(day.speeds.bothEngines_mps).toBe(day.question.aircraft.handbook.vy_mps);
    expect(day.speeds.vsse_mps).toBe(day.question.aircraft.handbook.vsse_mps);
    const fast = demoTakeOff({ plan: { rotation_mps: 48 } });
    expect(fast.speeds.rotation_mps).toBe(48);
    expect(fast.speeds.screen_mps).toBe(48);
  });

  it("masses at their very limits are flown, a kilogram beyond is not", () => {
    const { minimum_kg, maximum_kg } = demoTakeOffQuestion().aircraft.mass;
    for (const mass_kg of [minimum_kg, maximum_kg]) expect(takeOffDay(demoTakeOffQuestion({ mass_kg })).ok).toBe(true);
    for (const mass_kg of [minimum_kg - 1, maximum_kg + 1])
      expect(takeOffDay(demoTakeOffQuestion({ mass_kg }))).toMatchObject({ issue: { code: "mass_outside" } });
  });

  it("half of rotation speed is the windiest, at 10 m", () => {
    const { rotation_mps } = demoTakeOff().speeds;
    const half_kt = rotation_mps / 2 / MPS_PER_KT;
    expect(takeOffDay(demoTakeOffQuestion({ headwind_kt: half_kt - 0.2 })).ok).toBe(true);
    expect(takeOffDay(demoTakeOffQuestion({ headwind_kt: half_kt + 0.2 }))).toMatchObject({
      issue: { code: "too_windy" },
    });
    expect(takeOffDay(demoTakeOffQuestion({ headwind_kt: -half_kt - 2 })).ok).toBe(true);
  });
});

/** Force along the path over weight at a point, from the configuration that the point tells. */
function excessAt(day: TakeOffDay, point: PathPoint, both: boolean): number {
  const flight = day.at(point.height_m, {
    gearDown: point.gear === "down",
    flap: point.flap,
    setting: point.setting,
    deadPropeller: point.propeller === "running" ? (day.jet ? "none" : "windmilling") : point.propeller,
  });
  if (!both) return zeroSideslip(flight, point.eas_mps)?.sinGamma ?? -1;
  const q = (RHO0 * point.eas_mps ** 2) / 2;
  const tas = point.eas_mps * Math.sqrt(RHO0 / readAir(day.air, point.height_m, airSample()).density);
  const { engines } = day.question.aircraft;
  const thrust = engineForce(engines, flight.engineAir, tas, point.setting, flight.sigmaCritical).thrust_N;
  const cl = flight.weight_N / (q * flight.wing.area_m2);
  return (2 * thrust - q * flight.wing.area_m2 * (flight.cd0 + flight.k * cl * cl)) / flight.weight_N;
}

describe("the way into the air", () => {
  const WAYS: [string, Otherwise, Parameters<typeof takeOffPath>[2]][] = [
    ["on both engines", { mass_kg: 1500 }, { kind: "never" }],
    ["failing at 40 m", { mass_kg: 1500 }, { kind: "height", height_m: 40 }],
    ["heavy, failing at 12 m", { mass_kg: 1725 }, { kind: "height", height_m: 12 }],
    ["of the jet, failing at 30 m", { name: "cedar-j2" }, { kind: "height", height_m: 30 }],
  ];

  it.each(WAYS)("%s gains just the energy that thrust leaves over drag", (_, change, failure) => {
    const [day, way] = path(change, failure);
    const failed_s = way.events.find((event) => event.kind === "failure")?.point.time_s ?? Infinity;
    let [work_m, apart_m] = [0, 0];
    const energy = ({ height_m, eas_mps }: PathPoint) =>
      height_m + (eas_mps ** 2 * (RHO0 / readAir(day.air, height_m, airSample()).density)) / (2 * G0);
    way.points.slice(1).forEach((point, i) => {
      const before = way.points[i];
      const tas = (of: PathPoint) => of.eas_mps * Math.sqrt(RHO0 / readAir(day.air, of.height_m, airSample()).density);
      const e = excessAt(
        day,
        { ...point, height_m: before.height_m, eas_mps: before.eas_mps },
        before.time_s < failed_s - 1e-9,
      );
      work_m += e * ((tas(before) + tas(point)) / 2) * (point.time_s - before.time_s);
      apart_m = Math.max(apart_m, Math.abs(energy(point) - energy(way.points[0]) - work_m));
    });
    // Within a few feet on the way up to 1,500 ft.
    expect(apart_m).toBeLessThan(6);
  });

  it.each(WAYS)(
    "%s curves no harder than 0.12 g up and 0.3 g down, and moves as its speed and path say",
    (_, change, failure) => {
      const [day, way] = path(change, failure);
      const angle = (a: PathPoint, b: PathPoint) => {
        const tas = b.eas_mps * Math.sqrt(RHO0 / readAir(day.air, a.height_m, airSample()).density);
        return { gamma: Math.asin((b.height_m - a.height_m) / (b.time_s - a.time_s) / tas), tas };
      };
      way.points.slice(2).forEach((point, i) => {
        const [a, b] = [way.points[i], way.points[i + 1]];
        const [first, second] = [angle(a, b), angle(b, point)];
        const step_s = point.time_s - b.time_s;
        const curve = (second.gamma - first.gamma) / ((G0 * step_s) / first.tas);
        expect(curve).toBeLessThan(0.13);
        expect(curve).toBeGreaterThan(-0.32);
        expect([0.25, 2]).toContainEqual(Math.round(step_s * 1000) / 1000);
        expect(point.x_m - b.x_m).toBeCloseTo(second.tas * Math.cos(second.gamma) * step_s, 1);
      });
    },
  );

  it("holds its path for the three seconds in which the failure is not recognised", () => {
    const [day, way] = path({ mass_kg: 1500 }, { kind: "height", height_m: 60 });
    const failed = at(way, "failure");
    expect(failed.height_m).toBeGreaterThanOrEqual(60);
    expect(failed.height_m).toBeLessThan(62);
    const held = way.points.filter(({ time_s }) => time_s > failed.time_s && time_s < failed.time_s + 3);
    const climbs = held.slice(1).map((point, i) => {
      const tas = point.eas_mps * Math.sqrt(RHO0 / readAir(day.air, held[i].height_m, airSample()).density);
      return (point.height_m - held[i].height_m) / (point.time_s - held[i].time_s) / tas;
    });
    expect(Math.max(...climbs) - Math.min(...climbs)).toBeLessThan(0.002);
    expect(held.at(-1)?.eas_mps).toBeLessThan(failed.eas_mps - 2);
  });

  it("the drill goes by the clock: lift-off after 2 s, gear up 8 s and feathered 20 s after the failure", () => {
    const day = demoTakeOff({ mass_kg: 1500 });
    const roll = rolled(day);
    const way = takeOffPath(day, roll, { kind: "height", height_m: 30 }, 1000);
    expect(at(way, "lift-off").time_s - roll.time_s).toBeCloseTo(2, 1);
    const failed_s = at(way, "failure").time_s;
    expect(at(way, "gear-up").time_s - failed_s).toBeCloseTo(8, 0);
    expect(at(way, "feathered").time_s - failed_s).toBeCloseTo(20, 0);
    const propellers = (from_s: number, to_s: number) =>
      new Set(way.points.filter((p) => p.time_s > from_s && p.time_s <= to_s).map((p) => p.propeller));
    expect(propellers(0, failed_s)).toEqual(new Set(["running"]));
    expect(propellers(failed_s + 0.3, failed_s + 19.5)).toEqual(new Set(["windmilling"]));
    expect(propellers(failed_s + 20.5, 1e4)).toEqual(new Set(["feathered"]));
    const gears = (from_s: number, to_s: number) =>
      new Set(way.points.filter((p) => p.time_s > from_s && p.time_s <= to_s).map((p) => p.gear));
    expect(gears(0, failed_s + 7.5)).toEqual(new Set(["down"]));
    expect(gears(failed_s + 8.5, 1e4)).toEqual(new Set(["up"]));
  });

  it("on both engines the gear comes up five seconds after its height, never before", () => {
    const [, way] = path({ mass_kg: 1500 }, { kind: "never" }, 50);
    const due = way.points.find((point) => point.height_m >= 50);
    expect(at(way, "gear-up").time_s - (due?.time_s ?? 0)).toBeCloseTo(5, 0);
    expect(at(way, "top").height_m).toBeGreaterThanOrEqual(PATH_TOP_M);
    expect(way).toMatchObject({ climbs: true, touches: null });
    // Fixed gear, or a height that is never reached: it stays.
    const [, never] = path({ mass_kg: 1500 }, { kind: "never" }, 1e6);
    expect(never.events.some((event) => event.kind === "gear-up")).toBe(false);
  });

  it("ends at the top that is asked for", () => {
    const day = demoTakeOff({ mass_kg: 1500 });
    const low = takeOffPath(day, rolled(day), { kind: "never" }, 20, 100);
    expect(low.climbs).toBe(true);
    expect(at(low, "top").height_m).toBeGreaterThanOrEqual(100);
    expect(at(low, "top").height_m).toBeLessThan(120);
  });

  it("the climbs settle at V_Y on two engines and at V_YSE on one, within a knot", () => {
    const [day, both] = path({ mass_kg: 1500 }, { kind: "never" });
    expect(Math.abs((both.points.at(-1)?.eas_mps ?? 0) - day.speeds.bothEngines_mps)).toBeLessThan(MPS_PER_KT);
    const [, one] = path({ mass_kg: 1500 }, { kind: "height", height_m: 60 });
    expect(Math.abs((one.points.at(-1)?.eas_mps ?? 0) - day.speeds.oneEngine_mps)).toBeLessThan(MPS_PER_KT);
  });

  it("a jet levels at its acceleration height until flap and speed are done, then climbs at continuous thrust", () => {
    const [day, way] = path({ name: "cedar-j2" }, { kind: "height", height_m: 30 });
    const [level, flap, continuous] = ["acceleration-height", "flap-up", "continuous"].map((kind) => at(way, kind));
    expect(level.height_m).toBeGreaterThanOrEqual(304.8);
    expect(flap.eas_mps).toBeGreaterThanOrEqual(day.speeds.flapUp_mps);
    expect(flap.eas_mps).toBeLessThan(day.speeds.flapUp_mps + 1);
    expect(continuous.eas_mps).toBeGreaterThanOrEqual(day.speeds.oneEngine_mps - MPS_PER_KT);
    expect(continuous.height_m - level.height_m).toBeLessThan(25);
    const { engines } = day.question.aircraft;
    const after = way.points.filter((point) => point.time_s > continuous.time_s + 1);
    expect(new Set(after.map((point) => point.setting))).toEqual(
      new Set([engines.kind === "jet" ? engines.maxContinuous : NaN]),
    );
    expect(new Set(after.map((point) => point.flap))).toEqual(new Set([0]));
    // Until then V_2 is held.
    const second = way.points.filter((p) => p.time_s > at(way, "gear-up").time_s + 5 && p.height_m < 290);
    for (const point of second) expect(Math.abs(point.eas_mps - day.speeds.screen_mps)).toBeLessThan(4);
  });

  it("on both engines a jet climbs out 10 kt faster than V_2", () => {
    const [day, way] = path({ name: "cedar-j2" }, { kind: "never" });
    const fastest = way.points.filter((point) => point.height_m < 300).at(-1)?.eas_mps ?? 0;
    expect(fastest).toBeGreaterThan(day.speeds.screen_mps + 3);
    expect(fastest).toBeLessThan(day.speeds.screen_mps + 7.5);
  });

  it("a way that comes down ends at the ground", () => {
    const [, way] = path({ mass_kg: 1725, air: { qnh_Pa: 85_000, deviation_K: 30 } }, { kind: "height", height_m: 8 });
    expect(way.climbs).toBe(false);
    expect(way.touches?.height_m).toBeLessThan(0);
    expect(way.points.slice(0, -1).every((point) => point.height_m >= 0)).toBe(true);
    expect(way.points.at(-1)).toEqual(way.touches);
  });
});

describe("over what stands ahead", () => {
  const point = (x_m: number, height_m: number): PathPoint => ({
    time_s: x_m / 50,
    x_m,
    height_m,
    eas_mps: 50,
    gear: "up",
    flap: 0,
    propeller: "feathered",
    setting: 1,
  });
  const POINTS = [point(1000, 0), point(1400, 20), point(1400, 21), point(2400, 71)];

  it("lies straight between two points, holds at the points, and is unknown outside", () => {
    expect(heightAt_m(POINTS, 1100)).toBeCloseTo(5, 9);
    expect(heightAt_m(POINTS, 1900)).toBeCloseTo(46, 9);
    expect(heightAt_m(POINTS, 1000)).toBe(0);
    expect(heightAt_m(POINTS, 2400)).toBe(71);
    expect(heightAt_m(POINTS, 1400)).toBe(20);
    expect(heightAt_m(POINTS, 999)).toBeNull();
    expect(heightAt_m(POINTS, 2401)).toBeNull();
  });

  it("the decrement counts from the screen on", () => {
    const way: TakeOffPath = {
      points: POINTS,
      events: [{ kind: "screen", point: POINTS[1] }],
      touches: null,
      climbs: true,
    };
    const obstacle = (distance_m: number) => ({ name: "mast", distance_m, height_m: 10 });
    const over = (decrement: number) =>
      clearances(way, [obstacle(1200), obstacle(1900), obstacle(5000)], decrement).map(({ over_m }) => over_m);
    expect(over(0)).toEqual([0, 36, null]);
    expect(over(0.01)).toEqual([0, 31, null]);
    expect(clearances({ ...way, events: [] }, [obstacle(1900)], 0.01)[0].over_m).toBeCloseTo(36, 9);
  });

  it("ground counts beyond the runway's end where it is more than 6 m above it", () => {
    const ground = [
      { distance_m: 900, height_m: 50 },
      { distance_m: 1000, height_m: 50 },
      { distance_m: 1001, height_m: 6 },
      { distance_m: 1050, height_m: 6.1 },
      { distance_m: 1200, height_m: null },
      { distance_m: 1350, height_m: 80 },
    ];
    expect(groundObstacles(ground, 1000)).toEqual([
      { name: "ground", distance_m: 1050, height_m: 6.1 },
      { name: "ground", distance_m: 1350, height_m: 80 },
    ]);
  });
});

describe("marks along the way", () => {
  it("come where the roll and the climb have their speeds, in rising order, 5 kt over V_MCA among them", () => {
    const [day, both] = path({ mass_kg: 1500 }, { kind: "never" });
    const marks = value(speedMarks(day, both));
    const { vmca_mps, rotation_mps, vsse_mps, oneEngine_mps } = day.speeds;
    expect(new Map(marks.map(({ name, eas_mps }) => [name, eas_mps]))).toEqual(
      new Map([
        ["V_MCA 5°", vmca_mps],
        ["V_MCA 5° + 5 kt", (vmca_mps ?? 0) + 2.572],
        ["V_R", rotation_mps],
        ["V_SSE", vsse_mps],
        ["V_YSE", oneEngine_mps],
      ]),
    );
    expect(marks.map(({ eas_mps }) => eas_mps)).toEqual(marks.map(({ eas_mps }) => eas_mps).sort((a, b) => a - b));
    for (const { eas_mps, at: place } of marks) {
      if (eas_mps <= rotation_mps) {
        const plain = rollAgain(day, 2, standing(day), tasOnRunway(day, eas_mps));
        expect((place?.x_m ?? 0) / plain.x_m).toBeCloseTo(1, 2);
        expect(place?.height_m).toBe(0);
      } else {
        const first = both.points.find((point) => point.eas_mps >= eas_mps);
        expect(place).toEqual(first ? { x_m: first.x_m, height_m: first.height_m } : null);
      }
    }
  });

  it("of a jet name the final speed; a speed that is not reached has no place", () => {
    const [day, both] = path({ name: "cedar-j2" }, { kind: "never" });
    expect(value(speedMarks(day, both)).at(-1)?.name).toBe("V_FTO");
    const slow = both.points.slice(0, 3);
    expect(value(speedMarks(day, { ...both, points: slow })).at(-1)?.at).toBeNull();
    const nothing = { ...day, speeds: { ...day.speeds, vmca_mps: null, vsse_mps: null } };
    expect(value(speedMarks(nothing, both)).map(({ name }) => name)).toEqual(["V_R", "V_FTO"]);
  });
});

describe("turning back on one engine", () => {
  it.each([1300, 1600, 1725])(
    "of %i kg: circle V²/(g·tan15°), half a turn at the climb that the bank leaves",
    (mass_kg) => {
      const [day, way] = path({ mass_kg }, { kind: "height", height_m: 60 });
      const back = returnHeight(day, way);
      const flight = day.at(152.4, { gearDown: false, flap: 0, deadPropeller: "feathered" });
      const straight = zeroSideslip(flight, day.speeds.oneEngine_mps);
      if (!straight) throw new Error("expected a straight flight");
      const tan = Math.tan(Math.PI / 12);
      expect(back.radius_m).toBeCloseTo(straight.tas_mps ** 2 / (G0 * tan), 6);
      // The induced drag of n² − 1 more lift takes its power out of the climb.
      const induced_N = straight.q * flight.wing.area_m2 * flight.k * straight.cw ** 2 * tan ** 2;
      const climb = straight.climb_mps - (straight.tas_mps * induced_N) / flight.weight_N;
      const half_s = (Math.PI * straight.tas_mps) / (G0 * tan);
      expect(back.loss_m).toBeCloseTo(-climb * half_s, 6);
      expect(back.height_m).toBeCloseTo(152.4 + Math.max(back.loss_m, 0), 9);
      expect(back.at).toEqual(way.points.find((point) => point.height_m >= back.height_m) ?? null);
      expect(back.control).not.toBeNull();
    },
  );
});

describe("phases, gone through again", () => {
  it.each([
    ["light", { mass_kg: 1300 }],
    ["heavy", { mass_kg: 1725 }],
    ["hot and heavy", { mass_kg: 1725, air: { qnh_Pa: 101_325, deviation_K: 20 } }],
    [
      "by the climb of the minute after",
      { mass_kg: 1600, oneEngine: { ...DEFAULT_ONE_ENGINE, least: "climb", leastClimb_mps: 1 } },
    ],
    ["the jet", { name: "cedar-j2" }],
  ] as [string, Otherwise][])("%s", (_, change) => {
    const day = demoTakeOff(change);
    const told = value(phases(day));
    const { failures, goFrom_m, landUntil_m, advisedFrom_m, goFails, slow } = told;
    expect(failures.map(({ height_m }) => height_m)).toEqual([
      1, 4, 8, 12, 16, 20, 25, 30, 40, 50, 60, 75, 90, 120, 150, 200, 250, 300,
    ]);
    const limit = Math.max(day.speeds.vmca_mps ?? 0, day.speeds.stall_mps);
    for (const failure of failures) {
      const after = failure.path.points.filter((point) => point.time_s > failure.at.time_s);
      const heights = [failure.height_m, ...after.map((point) => point.height_m)];
      const speeds = [failure.at.eas_mps, ...after.map((point) => point.eas_mps)];
      expect(failure.lowest_m).toBe(Math.min(...heights));
      expect(failure.slowest_mps).toBe(Math.min(...speeds));
      expect(failure.landSpare_m).toBe(landingSpare_m(day, failure.at));
      const sinks = failure.lowest_m < Math.min(5, failure.height_m - 0.5);
      expect(failure.goes).toBe(failure.path.climbs && !sinks);
      if (failure.goes) expect(failure.fails !== null).toBe(failure.slowest_mps < limit);
      else expect(failure.fails).toBe(failure.path.climbs ? "sinks" : "climb");
    }
    // Going holds at every height above, landing at every height below.
    const going = failures.map(({ goes }, i) => goes && failures.slice(i).every((later) => later.goes));
    const first = going.indexOf(true);
    expect(goFrom_m).toBe(first < 0 ? null : failures[first].height_m);
    expect(goFails).toBe(first < 0 ? failures[failures.length - 1].fails : null);
    const landing = failures.filter((_failure, i) => failures.slice(0, i + 1).every((f) => f.landSpare_m >= 0));
    expect(landUntil_m).toBe(landing.at(-1)?.height_m ?? null);
    const weak = failures.filter((f) => f.goes && f.slowest_mps < limit);
    expect(slow?.from_m ?? null).toBe(weak[0]?.height_m ?? null);
    if (slow) expect(slow.eas_mps).toBe(Math.min(...weak.map((f) => f.slowest_mps)));
    const { oneEngine } = day.question;
    if (goFrom_m === null) expect(advisedFrom_m).toBeNull();
    else if (day.jet) expect(advisedFrom_m).toBe(goFrom_m);
    else if (oneEngine.least === "height") expect(advisedFrom_m).toBe(Math.max(goFrom_m, oneEngine.leastHeight_m));
    else {
      const climbs = failures.slice(first).map(({ at: failed, path: way }) => {
        const end = way.points.find((point) => point.time_s >= failed.time_s + 60) ?? way.points[way.points.length - 1];
        return (end.height_m - failed.height_m) / (end.time_s - failed.time_s);
      });
      const strong = climbs.findIndex((_climb, i) =>
        climbs.slice(i).every((later) => later >= oneEngine.leastClimb_mps),
      );
      expect(advisedFrom_m).toBe(failures[first + strong].height_m);
    }
    // The gear comes up at the first height, in steps of 3 m, from which no landing fits.
    const low = takeOffPath(day, rolled(day), { kind: "never" }, PATH_TOP_M);
    const fits = (height_m: number) => {
      const reached = low.points.find((point) => point.height_m >= height_m);
      return reached !== undefined && landingSpare_m(day, reached) >= 0;
    };
    expect(told.gearUp_m % 3).toBeCloseTo(0, 9);
    expect(fits(told.gearUp_m)).toBe(false);
    if (told.gearUp_m > 3) expect(fits(told.gearUp_m - 3)).toBe(true);
  });

  it("landing ahead: recognition at its speed, energy at the glide, flare and roll (by hand)", () => {
    const day = demoTakeOff({ mass_kg: 1500, headwind_kt: 8 });
    const [, way] = path({ mass_kg: 1500, headwind_kt: 8 }, { kind: "never" });
    const point = way.points.find(({ height_m }) => height_m >= 30) ?? way.points[0];
    const flight = day.at(point.height_m, { gearDown: true });
    const air = readAir(day.air, point.height_m, airSample());
    const S = flight.wing.area_m2;
    const stall = Math.sqrt((2 * flight.weight_N) / (air.density * S * flight.clMax));
    const [approach, touchdown] = [1.3 * stall, 1.1 * stall];
    const cl = flight.clMax / 1.69;
    const cd = flight.cd0 + (2 * flight.deadArea_m2) / S + flight.k * cl * cl;
    const tas = point.eas_mps * Math.sqrt(RHO0 / air.density);
    const energy = Math.max(0, point.height_m + (tas ** 2 - approach ** 2) / (2 * G0));
    const flare_s = (approach - touchdown) / (0.2 * G0);
    const used =
      3 * (tas + air.along_mps) +
      (energy * (cl / cd) * (approach + air.along_mps)) / approach +
      ((approach + touchdown) / 2 + air.along_mps) * flare_s +
      (touchdown + air.along_mps) ** 2 / (2 * 0.25 * G0);
    expect(landingSpare_m(day, point)).toBeCloseTo(day.question.runway.length_m - point.x_m - used, 6);
  });
});

describe("segments, by thrust and drag", () => {
  const question = (mass_kg: number, altitude_m = 0, deviation_K = 0) => ({
    aircraft: demoTakeOffQuestion({ name: "cedar-j2" }).aircraft,
    mass_kg,
    altitude_m,
    air: { qnh_Pa: 101_325, deviation_K },
  });

  it("the landing climb on both engines is (2T − D)/W at 1.3 V_S, gear and flap down", () => {
    const asked = question(41_000);
    const landing = value(takeOffSegments(asked)).find(({ name }) => name === "landing");
    const day = demoTakeOff({ name: "cedar-j2", mass_kg: 41_000 });
    const flight = day.at(0, { flap: asked.aircraft.polar?.landingFlap, altitude_m: 0 });
    const eas = 1.3 * Math.sqrt((2 * flight.weight_N) / (RHO0 * flight.wing.area_m2 * flight.clMax));
    expect(landing?.eas_mps).toBeCloseTo(eas, 6);
    const q = (RHO0 * eas ** 2) / 2;
    const cl = flight.weight_N / (q * flight.wing.area_m2);
    const thrust = engineForce(asked.aircraft.engines, flight.engineAir, eas, 1, flight.sigmaCritical).thrust_N;
    const sine = (2 * thrust - q * flight.wing.area_m2 * (flight.cd0 + flight.k * cl * cl)) / flight.weight_N;
    expect(landing?.gradient).toBeCloseTo(Math.tan(Math.asin(sine)), 2);
  });

  it("speeds are 1.2, 1.2, 1.25, 1.4 and 1.3 V_S of the flap in use, V_2 at least 1.1 V_MCA", () => {
    const asked = question(41_000);
    const { takeOffFlap, landingFlap, flaps } = asked.aircraft.polar ?? { takeOffFlap: 0, landingFlap: 0, flaps: [] };
    const stall = (flap: number) =>
      Math.sqrt((2 * 41_000 * G0) / (RHO0 * (asked.aircraft.wing?.area_m2 ?? 1) * flaps[flap].clMax));
    const speeds = value(takeOffSegments(asked)).map(({ eas_mps }) => eas_mps);
    [1.2, 1.2, 1.25, 1.4, 1.3].forEach((factor, i) => {
      const flap = i === 2 ? 0 : i === 4 ? landingFlap : takeOffFlap;
      expect(speeds[i]).toBeCloseTo(factor * stall(flap), 6);
    });
    const light = value(takeOffSegments(question(asked.aircraft.mass.minimum_kg)));
    const day = demoTakeOff({ name: "cedar-j2", mass_kg: asked.aircraft.mass.minimum_kg, centreOfGravity: 1 });
    expect(light[0].eas_mps).toBeGreaterThanOrEqual(1.2 * day.speeds.stall_mps - 1e-6);
    expect(light[0].eas_mps).toBeCloseTo(Math.max(1.2 * day.speeds.stall_mps, 1.1 * (day.speeds.vmca_mps ?? 0)), 0);
  });

  it("complies when the gradient is what is asked for, the first segment when it is above nothing", () => {
    for (const mass_kg of [30_000, 41_000, 46_000])
      for (const altitude_m of [0, 2500])
        for (const { name, gradient, required, complies } of value(takeOffSegments(question(mass_kg, altitude_m, 25))))
          expect(complies).toBe(name === "first" ? gradient > 0 : gradient >= required);
  });

  it("at the limit all comply, a hundredth of the range heavier one does not, and it is the one named", () => {
    const { mass_kg, binding } = value(massLimit(question(0, 2500, 25)));
    if (mass_kg === null) throw new Error("expected a limit");
    const failing = (of_kg: number) =>
      value(takeOffSegments(question(of_kg, 2500, 25)))
        .filter(({ complies }) => !complies)
        .map(({ name }) => name);
    expect(failing(mass_kg)).toEqual([]);
    expect(failing(mass_kg + 10)[0]).toBe(binding);
  });
});

describe("segments, each in its own configuration", () => {
  const cedar = () => demoTakeOffQuestion({ name: "cedar-j2" }).aircraft;
  const asked = (change: object = {}) => ({
    aircraft: cedar(),
    mass_kg: 41_000,
    altitude_m: 0,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    ...change,
  });

  it.each([
    ["first", 1.2, true, true, false],
    ["second", 1.2, true, false, false],
    ["final", 1.25, false, false, true],
    ["approach", 1.4, true, false, false],
  ] as const)(
    "%s: %d V_S, take-off flap %s, gear down %s, continuous thrust %s",
    (name, over, flapOut, gearDown, continuous) => {
      const { aircraft } = asked();
      const { engines, polar } = aircraft;
      if (engines.kind !== "jet" || !polar) throw new Error("expected a jet");
      const flight = value(
        asymmetricCase({
          ...asked(),
          centreOfGravity: 1,
          items: [],
          deadPropeller: "none",
          failed: "left",
          flap: flapOut ? polar.takeOffFlap : 0,
          gearDown,
          setting: continuous ? engines.maxContinuous : 1,
        }),
      );
      const stall = Math.sqrt((2 * flight.weight_N) / (RHO0 * flight.wing.area_m2 * flight.clMax));
      const segment = value(takeOffSegments(asked())).find((candidate) => candidate.name === name);
      expect(segment?.eas_mps).toBeCloseTo(over * stall, 9);
      const sine = zeroSideslip(flight, over * stall)?.sinGamma ?? NaN;
      expect(segment?.gradient).toBeCloseTo(Math.tan(Math.asin(sine)), 9);
    },
  );

  it("a high V_MCA raises V_2 to 1.1 of it, but not the landing climb; one that no speed reaches is said", () => {
    const { asymmetric, ...rest } = cedar();
    if (!asymmetric) throw new Error("expected a twin");
    const harder = (factor: number) =>
      takeOffSegments(
        asked({
          aircraft: {
            ...rest,
            asymmetric: { ...asymmetric, publishedVmca_mps: factor * asymmetric.publishedVmca_mps },
          },
          mass_kg: 28_000,
        }),
      );
    const [usual, raised] = [1, 1.14].map((factor) => value(harder(factor)));
    raised.forEach((segment, i) => {
      if (segment.name === "first" || segment.name === "second")
        expect(segment.eas_mps).toBeGreaterThan(usual[i].eas_mps + 1);
      if (segment.name === "landing") expect(segment.eas_mps).toBeCloseTo(usual[i].eas_mps, 9);
    });
    expect(raised[0].eas_mps).toBeCloseTo(1.1 * 1.14 * asymmetric.publishedVmca_mps, -1);
    // The pedal asks for more than 150 lbf at every speed.
    expect(harder(1.35)).toMatchObject({ ok: false, issue: { code: "no_control" } });
  });

  it("failures of the case and of the fit are handed on", () => {
    expect(takeOffSegments(asked({ altitude_m: 40_000 }))).toMatchObject({ ok: false });
    expect(massLimit(asked({ altitude_m: 40_000 }))).toMatchObject({ ok: false });
    expect(takeOffSegments(asked({ aircraft: { ...cedar(), polar: null } }))).toMatchObject({
      issue: { code: "not_a_jet" },
    });
  });
});

describe("a take-off that cannot be set up", () => {
  const refused = (change: Otherwise) => takeOffDay(demoTakeOffQuestion(change));

  it("names the atmosphere at the runway", () => {
    const { runway } = demoTakeOffQuestion();
    expect(refused({ runway: { ...runway, elevation_m: 60_000 } })).toMatchObject({ ok: false });
  });

  it("takes the aircraft's take-off flap unless another is chosen", () => {
    const { polar } = demoTakeOffQuestion().aircraft;
    expect(demoTakeOff().flap).toBe(polar?.takeOffFlap);
    expect(demoTakeOff({ flap: 0 }).flap).toBe(0);
    expect(demoTakeOff({ flap: 0 }).at(0, {}).question).toMatchObject({
      flap: 0,
      gearDown: true,
      items: [],
      setting: 1,
    });
  });

  it("is flown in the air of its heights, none below the runway and none above the table", () => {
    const day = demoTakeOff();
    const { elevation_m } = day.question.runway;
    expect(day.at(100, {}).question.altitude_m).toBeCloseTo(elevation_m + 100, 9);
    expect(day.at(-5, {}).question.altitude_m).toBe(elevation_m);
    expect(day.at(1e5, {}).question.altitude_m).toBe(elevation_m + 1500);
    expect(demoTakeOff({ failed: "right" }).at(0, {}).question.failed).toBe("right");
  });
});

describe("a reaction on one engine that does not accelerate", () => {
  it("keeps its speed for its seconds", () => {
    // With so much drag of the dead engine it only rolls on.
    const day = demoTakeOff({ mass_kg: 1725, air: { qnh_Pa: 101_325, deviation_K: 30 } });
    const weak: TakeOffDay = { ...day, at: (height_m, change) => ({ ...day.at(height_m, change), deadArea_m2: 8 }) };
    const told = value(accelerate(weak, 30));
    const failTas = 30 * Math.sqrt(RHO0 / rollingAir(day).density);
    expect(told.action_mps).toBeCloseTo(30, 2);
    expect(told.actionX_m).toBeCloseTo(told.failureX_m + 3 * failTas, 0);
    expect(told).toMatchObject({ path: null, goX_m: null, goSpare_m: null });
  });
});
