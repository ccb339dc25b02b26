// From the runway into the air: both engines until a failure, then one; gear, propeller, flap and power as the drill
// goes on.
import { clamp } from "../numeric/clamp";
import type { PropellerState } from "../aircraft/propeller-state";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { bestPropeller } from "../asymmetric/climb-ledger";
import { engineForce } from "../engine/engine-force";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { type AirSample, airSample, readAir } from "../flight/air-column";
import { G0, RHO0 } from "../quantities/constants";
import { type RollState, tasOnRunway } from "./ground-roll";
import type { TakeOffDay } from "./take-off-day";

/** A moment in the air. */
export interface PathPoint {
  readonly time_s: number;
  readonly x_m: number;
  readonly height_m: number;
  readonly eas_mps: number;
  readonly gear: "down" | "up";
  readonly flap: number;
  readonly propeller: PropellerState | "running";
  /** Share of full power. */
  readonly setting: number;
}

/** What is done when, on the way. */
export type PathEventKind =
  | "lift-off"
  | "failure"
  | "screen"
  | "gear-up"
  | "feathered"
  | "acceleration-height"
  | "flap-up"
  | "continuous"
  | "top";

/** @see PathEventKind */
export interface PathEvent {
  readonly kind: PathEventKind;
  readonly point: PathPoint;
}

/** A way into the air. */
export interface TakeOffPath {
  readonly points: readonly PathPoint[];
  readonly events: readonly PathEvent[];
  /** It came back to the ground, or sank below the runway's height, here. */
  readonly touches: PathPoint | null;
  /** The top was reached. */
  readonly climbs: boolean;
}

/** When the engine stops: at lift-off on one engine already, at a height, or never. */
export type Failure =
  | { readonly kind: "on-runway"; readonly time_s: number }
  | { readonly kind: "height"; readonly height_m: number }
  | { readonly kind: "never" };

const STEP_S = 0.25;
/** Rotation until it flies, s, and the load with which it curves up and down. Common practice. */
const ROTATION_S = 2;
const PULL_LOAD = 0.12;
const PUSH_LOAD = 0.3;
/** Below rotation speed the nose is lowered, and speed is gained from height at this rate, of g. */
const RECOVER_G = 0.1;
/** Both engines running a jet climbs so much faster than V_2, m/s: 10 kt. Common practice. */
const BOTH_MPS = 5.144;
/** Share of the climb that is spent on gathering speed, and how fast it is asked for, per second. */
const SPEED_SHARE = 0.5;
const SPEED_S = 2.5;
/** Speed in excess of what is wanted at a height is given up no faster than this, of g. */
const SLOW_G = 0.1;
/** Speed is reached within this, m/s: a knot. */
const NEAR_MPS = 0.514;
/** Steps once the drill is done and the speed is there. */
const SETTLED_STEP_S = 2;
/** A climb to the top that takes longer is none, s: 100 ft/min. */
const LIMIT_S = 900;
/** It is over at this height, m: 1,500 ft. 14 CFR 25.111 (memory). */
export const PATH_TOP_M = 457.2;

/** Net force over weight, along the path: both engines straight, or one without sideslip. */
function excess(flight: AsymmetricCase, tas_mps: number, eas_mps: number, engines: 1 | 2): number {
  if (engines === 1) return zeroSideslip(flight, eas_mps)?.sinGamma ?? -1;
  const q = 0.5 * RHO0 * eas_mps ** 2;
  const cl = flight.weight_N / (q * flight.wing.area_m2);
  const live = engineForce(
    flight.question.aircraft.engines,
    flight.engineAir,
    tas_mps,
    flight.question.setting,
    flight.sigmaCritical,
  );
  return (2 * live.thrust_N - q * flight.wing.area_m2 * (flight.cd0 + flight.k * cl * cl)) / flight.weight_N;
}

/** The aeroplane on its way, changed step by step. */
interface Way {
  readonly day: TakeOffDay;
  readonly failure: Failure;
  readonly events: PathEvent[];
  /** Air at its height. */
  readonly here: AirSample;
  time_s: number;
  x_m: number;
  height_m: number;
  tas_mps: number;
  gamma_rad: number;
  gearDown: boolean;
  flap: number;
  /** Share of full power. */
  setting: number;
  propeller: PropellerState | "running";
  failedAt_s: number | null;
  /** When the gear lever was moved. */
  gearFrom_s: number | null;
}

const easOf = ({ tas_mps, here }: Way): number => tas_mps * Math.sqrt(here.density / RHO0);
const passed = (way: Way, kind: PathEventKind): boolean => way.events.some((event) => event.kind === kind);
const sinceFailure_s = ({ failedAt_s, time_s }: Way): number | null =>
  failedAt_s === null ? null : time_s - failedAt_s;
const deadPropeller = ({ day }: Way): PropellerState => (day.jet ? "none" : "windmilling");

function pointOf(way: Way): PathPoint {
  const { time_s, x_m, height_m, flap, propeller, setting } = way;
  return { time_s, x_m, height_m, eas_mps: easOf(way), gear: way.gearDown ? "down" : "up", flap, propeller, setting };
}

function mark(way: Way, kind: PathEventKind): void {
  way.events.push({ kind, point: pointOf(way) });
}

/** The engine stops at its height. */
function failHere(way: Way): void {
  const { failure } = way;
  if (failure.kind !== "height" || way.failedAt_s !== null || way.height_m < failure.height_m) return;
  way.failedAt_s = way.time_s;
  way.propeller = deadPropeller(way);
  mark(way, "failure");
}

/** The gear: on both engines once the runway is behind; after a failure as the drill comes to it, in the air only. */
function gear(way: Way, gearUpAt_m: number): void {
  const { plan, aircraft } = way.day.question;
  if (!way.gearDown) return;
  if (aircraft.polar?.gear.retractable && way.gearFrom_s === null && passed(way, "lift-off")) {
    const since_s = sinceFailure_s(way);
    const due = since_s === null ? way.height_m >= gearUpAt_m : since_s >= plan.recognition_s;
    if (due) way.gearFrom_s = way.time_s;
  }
  if (way.gearFrom_s === null || way.time_s < way.gearFrom_s + Math.max(plan.gearUp_s - plan.recognition_s, 0)) return;
  way.gearDown = false;
  mark(way, "gear-up");
}

/** The dead propeller, brought to its least drag. */
function feather(way: Way): void {
  const { question } = way.day;
  const [since_s, dead, best] = [sinceFailure_s(way), deadPropeller(way), bestPropeller(question)];
  if (since_s === null || way.propeller !== dead || best === dead || since_s < question.plan.feather_s) return;
  way.propeller = best;
  mark(way, "feathered");
}

/** Whether it is high enough to clean up: a jet at its acceleration height, others at the screen. */
const cleaningUp = ({ day, height_m }: Way): boolean =>
  height_m >= (day.jet ? day.question.plan.acceleration_m : day.screen_m);

/** Equivalent airspeed that is flown for. */
function wantedSpeed_mps(way: Way): number {
  const { jet, speeds } = way.day;
  const both = way.failedAt_s === null;
  if (cleaningUp(way)) return both && !jet ? speeds.bothEngines_mps : speeds.oneEngine_mps;
  return speeds.screen_mps + (jet && both ? BOTH_MPS : 0);
}

/** Flap up, and for a jet back to continuous thrust, each at its speed. */
function cleanUp(way: Way): void {
  const { jet, speeds, question } = way.day;
  const eas_mps = easOf(way);
  if (jet && !passed(way, "acceleration-height")) mark(way, "acceleration-height");
  if (way.flap > 0 && eas_mps >= speeds.flapUp_mps) {
    way.flap = 0;
    mark(way, "flap-up");
  }
  const continuous = continuousOf(question.aircraft);
  const fast = eas_mps >= speeds.oneEngine_mps - NEAR_MPS;
  if (jet && way.setting > continuous && way.flap === 0 && fast) {
    way.setting = continuous;
    mark(way, "continuous");
  }
}

const continuousOf = ({ engines }: TakeOffDay["question"]["aircraft"]): number =>
  engines.kind === "jet" ? engines.maxContinuous : 1;

/** Share of the excess `e` that gathers speed, of g. */
function gathering(way: Way, wanted_mps: number, e: number): number {
  const eas_mps = easOf(way);
  const missing = ((wanted_mps - eas_mps) * way.tas_mps) / Math.max(eas_mps, 1) / SPEED_S / G0;
  const levelled = way.day.jet && passed(way, "acceleration-height");
  if (levelled && wanted_mps - eas_mps > NEAR_MPS) return Math.max(e, 0);
  if (eas_mps < way.day.speeds.rotation_mps - NEAR_MPS) return Math.min(missing, Math.max(RECOVER_G, SPEED_SHARE * e));
  return missing >= 0 ? Math.min(missing, SPEED_SHARE * Math.max(e, 0)) : Math.max(missing, -SLOW_G);
}

/**
 * Path angle that is flown for: with the wheels on the ground none, and until a failure is recognised the one there
 * was.
 */
function wantedGamma_rad(way: Way, wanted_mps: number, e: number): number {
  const since_s = sinceFailure_s(way);
  const { recognition_s } = way.day.question.plan;
  if (way.failure.kind === "height" && since_s !== null && since_s < recognition_s) return way.gamma_rad;
  return passed(way, "lift-off") ? Math.asin(clamp(e - gathering(way, wanted_mps, e), -0.3, 0.5)) : 0;
}

/** Length of the next step, s: longer once the drill is done and the speed is reached. */
function stepOf_s(way: Way, wanted_mps: number): number {
  const { plan, aircraft } = way.day.question;
  const since_s = sinceFailure_s(way);
  const drilled =
    way.failure.kind === "never"
      ? !way.gearDown
      : since_s !== null && since_s > Math.max(plan.feather_s, plan.gearUp_s) + STEP_S;
  const powered = !way.day.jet || way.setting === continuousOf(aircraft);
  const settled = Math.abs(wanted_mps - easOf(way)) < NEAR_MPS / 2;
  return drilled && passed(way, "screen") && way.flap === 0 && settled && powered ? SETTLED_STEP_S : STEP_S;
}

/**
 * Flies from the end of the roll up to 1,500 ft, or no farther than is asked.
 *
 * Half of what is left over the climb gathers speed while it is below the wanted one; with nothing left the speed is
 * kept and it sinks; below rotation speed height is given for speed. After a failure in the air the path is held until
 * it is recognised, and speed goes. A jet levels at its acceleration height, brings the flap up, and climbs on at
 * maximum continuous thrust at its final speed.
 *
 * @param roll - at rotation speed
 * @param gearUpAt_m - both engines running, the gear comes up from this height
 * @param top_m - height at which it is over
 */
export function takeOffPath(
  day: TakeOffDay,
  roll: RollState,
  failure: Failure,
  gearUpAt_m: number,
  top_m = PATH_TOP_M,
): TakeOffPath {
  const { time_s, x_m, tas_mps } = roll;
  const failedAt_s = failure.kind === "on-runway" ? failure.time_s : null;
  const way: Way = {
    day,
    failure,
    events: [],
    here: readAir(day.air, 0, airSample()),
    time_s,
    x_m,
    height_m: 0,
    tas_mps,
    gamma_rad: 0,
    gearDown: true,
    flap: day.flap,
    setting: 1,
    propeller: "running",
    failedAt_s,
    gearFrom_s: null,
  };
  if (failedAt_s !== null) way.propeller = deadPropeller(way);
  const points: PathPoint[] = [];
  let touches: PathPoint | null = null;
  while (way.height_m < top_m && way.time_s < time_s + LIMIT_S && touches === null) {
    readAir(day.air, way.height_m, way.here);
    failHere(way);
    gear(way, gearUpAt_m);
    feather(way);
    const { gearDown, flap, setting, propeller } = way;
    const flight = day.at(way.height_m, {
      gearDown,
      flap,
      setting,
      deadPropeller: propeller === "running" ? deadPropeller(way) : propeller,
    });
    const e = excess(flight, way.tas_mps, easOf(way), way.failedAt_s === null ? 2 : 1);
    const wanted_mps = wantedSpeed_mps(way);
    if (cleaningUp(way)) cleanUp(way);
    const flying = passed(way, "lift-off");
    const step_s = stepOf_s(way, wanted_mps);
    const curve = (G0 * step_s) / way.tas_mps;
    way.gamma_rad += clamp(wantedGamma_rad(way, wanted_mps, e) - way.gamma_rad, -PUSH_LOAD * curve, PULL_LOAD * curve);
    if (!flying && way.time_s >= time_s + ROTATION_S) mark(way, "lift-off");
    way.tas_mps += G0 * (e - Math.sin(way.gamma_rad)) * step_s;
    way.x_m += (way.tas_mps * Math.cos(way.gamma_rad) + way.here.along_mps) * step_s;
    way.height_m += way.tas_mps * Math.sin(way.gamma_rad) * step_s;
    way.time_s += step_s;
    if (!passed(way, "screen") && way.height_m >= day.screen_m) mark(way, "screen");
    points.push(pointOf(way));
    if (flying && way.height_m < 0) touches = pointOf(way);
  }
  const climbs = way.height_m >= top_m;
  if (climbs) mark(way, "top");
  return { points, events: way.events, touches, climbs };
}

/** Speed left until the roll has come to rotation. */
export function toRotation(day: TakeOffDay): (state: RollState) => number {
  const tas_mps = tasOnRunway(day, day.speeds.rotation_mps);
  return (state) => tas_mps - state.tas_mps;
}
