// From the runway into the air: both engines until a failure, then one; gear, propeller, flap and power as the drill goes on.
import { clamp } from "../numeric/clamp";
import type { PropellerState } from "../aircraft/aircraft-document";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { bestPropeller } from "../asymmetric/climb-ledger";
import { engineForce } from "../engine/engine-force";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { airSample, readAir } from "../flight/air-column";
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
/** Under rotation speed the nose goes down: speed is bought with height, of g. */
const RECOVER_G = 0.1;
/** Both engines running a jet climbs so much faster than V_2, m/s: 10 kt. Common practice. */
const BOTH_MPS = 5.144;
/** Share of the climb that is spent on gathering speed, and how fast it is asked for, per second. */
const SPEED_SHARE = 0.5;
const SPEED_S = 2.5;
/** Speed over the height's wanted is given back no faster than this, of g. */
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
function excess(one: AsymmetricCase, tas_mps: number, eas_mps: number, engines: 1 | 2): number {
  if (engines === 1) return zeroSideslip(one, eas_mps)?.sinGamma ?? -1;
  const q = 0.5 * RHO0 * eas_mps ** 2;
  const cl = one.weight_N / (q * one.wing.area_m2);
  const live = engineForce(
    one.question.aircraft.engines,
    one.engineAir,
    tas_mps,
    one.question.setting,
    one.sigmaCritical,
  );
  return (2 * (live?.thrust_N ?? 0) - q * one.wing.area_m2 * (one.cd0 + one.k * cl * cl)) / one.weight_N;
}

/**
 * Flies from the end of the roll up to 1,500 ft, or no farther than is asked.
 *
 * Half of what is left over the climb gathers speed while it is below the wanted one; with nothing left the speed is kept and it sinks;
 * below rotation speed height is given for speed. After a failure in the air the path is held until it is recognised, and speed goes.
 * A jet levels at its acceleration height, brings the flap up, and climbs on at maximum continuous thrust at its final speed.
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
  const { input, jet, speeds, air } = day;
  const { plan } = input;
  const here = airSample();
  const dead: PropellerState = jet ? "none" : "windmilling";
  const best = bestPropeller(input);
  const continuous = input.aircraft.engines.kind === "jet" ? input.aircraft.engines.maxContinuous : 1;
  let failedAt_s = failure.kind === "on-runway" ? failure.time_s : null;
  let gearFrom_s: number | null = null;
  let [time_s, x_m, height_m, tas_mps, gamma] = [roll.time_s, roll.x_m, 0, roll.tas_mps, 0];
  let [gearDown, flap, setting] = [true, day.flap, 1];
  let propeller: PropellerState | "running" = failedAt_s === null ? "running" : dead;
  let levelled = false;
  const points: PathPoint[] = [];
  const events: PathEvent[] = [];
  const retractable = input.aircraft.polar?.gear.retractable ?? false;
  const rotationEnd_s = time_s + ROTATION_S;
  const now = (): PathPoint => ({
    time_s,
    x_m,
    height_m,
    eas_mps: tas_mps * Math.sqrt(here.density / RHO0),
    gear: gearDown ? "down" : "up",
    flap,
    propeller,
    setting,
  });
  const mark = (kind: PathEventKind) => events.push({ kind, point: now() });
  const passed = (kind: PathEventKind) => events.some((event) => event.kind === kind);
  readAir(air, 0, here);
  let touches: PathPoint | null = null;
  while (height_m < top_m && time_s < roll.time_s + LIMIT_S) {
    readAir(air, height_m, here);
    const eas_mps = tas_mps * Math.sqrt(here.density / RHO0);
    if (failure.kind === "height" && failedAt_s === null && height_m >= failure.height_m) {
      failedAt_s = time_s;
      propeller = dead;
      mark("failure");
    }
    const since_s = failedAt_s === null ? null : time_s - failedAt_s;
    // The gear: on both engines once the runway is behind; after a failure as the drill comes to it, in the air only.
    if (retractable && gearDown && gearFrom_s === null && passed("lift-off")) {
      if (since_s !== null && since_s >= plan.recognition_s) gearFrom_s = time_s;
      else if (since_s === null && height_m >= gearUpAt_m) gearFrom_s = time_s;
    }
    if (gearDown && gearFrom_s !== null && time_s >= gearFrom_s + Math.max(plan.gearUp_s - plan.recognition_s, 0)) {
      gearDown = false;
      mark("gear-up");
    }
    if (since_s !== null && propeller === dead && best !== dead && since_s >= plan.feather_s) {
      propeller = best;
      mark("feathered");
    }
    const engines = failedAt_s === null ? 2 : 1;
    const one = day.at(height_m, {
      gearDown,
      flap,
      setting,
      deadPropeller: propeller === "running" ? dead : propeller,
    });
    const e = excess(one, tas_mps, eas_mps, engines);
    const cleaning = jet ? height_m >= plan.acceleration_m : height_m >= day.screen_m;
    if (jet && cleaning && !levelled) {
      levelled = true;
      mark("acceleration-height");
    }
    const wanted = cleaning
      ? engines === 2 && !jet
        ? speeds.bothEngines_mps
        : speeds.oneEngine_mps
      : speeds.screen_mps + (jet && engines === 2 ? BOTH_MPS : 0);
    if (cleaning && flap > 0 && eas_mps >= speeds.flapUp_mps) {
      flap = 0;
      mark("flap-up");
    }
    if (jet && cleaning && setting > continuous && flap === 0 && eas_mps >= speeds.oneEngine_mps - NEAR_MPS) {
      setting = continuous;
      mark("continuous");
    }
    const missing = ((wanted - eas_mps) * tas_mps) / Math.max(eas_mps, 1) / SPEED_S / G0;
    const level = levelled && wanted - eas_mps > NEAR_MPS;
    const slow = eas_mps < speeds.rotation_mps - NEAR_MPS;
    const gather = level
      ? Math.max(e, 0)
      : slow
        ? Math.min(missing, Math.max(RECOVER_G, SPEED_SHARE * e))
        : missing >= 0
          ? Math.min(missing, SPEED_SHARE * Math.max(e, 0))
          : Math.max(missing, -SLOW_G);
    const flying = passed("lift-off");
    // While the wheels are on the ground everything goes into speed; until the failure is recognised the path stays as it was.
    const held = failure.kind === "height" && since_s !== null && since_s < plan.recognition_s;
    const wantedGamma = held ? gamma : flying ? Math.asin(clamp(e - gather, -0.3, 0.5)) : 0;
    const drilled =
      failure.kind === "never"
        ? !gearDown
        : since_s !== null && since_s > Math.max(plan.feather_s, plan.gearUp_s) + STEP_S;
    const settled =
      drilled &&
      passed("screen") &&
      flap === 0 &&
      Math.abs(wanted - eas_mps) < NEAR_MPS / 2 &&
      (!jet || setting === continuous);
    const step_s = settled ? SETTLED_STEP_S : STEP_S;
    const curve = (G0 * step_s) / tas_mps;
    gamma += clamp(wantedGamma - gamma, -PUSH_LOAD * curve, PULL_LOAD * curve);
    if (!flying && time_s >= rotationEnd_s) mark("lift-off");
    tas_mps += G0 * (e - Math.sin(gamma)) * step_s;
    x_m += (tas_mps * Math.cos(gamma) + here.along_mps) * step_s;
    height_m += tas_mps * Math.sin(gamma) * step_s;
    time_s += step_s;
    if (!passed("screen") && height_m >= day.screen_m) mark("screen");
    points.push(now());
    if (flying && height_m < 0) {
      touches = now();
      break;
    }
  }
  const climbs = height_m >= top_m;
  if (climbs) mark("top");
  return { points, events, touches, climbs };
}

/** Speed left until the roll has come to rotation. */
export function toRotation(day: TakeOffDay): (state: RollState) => number {
  const tas_mps = tasOnRunway(day, day.speeds.rotation_mps);
  return (state) => tas_mps - state.tas_mps;
}
