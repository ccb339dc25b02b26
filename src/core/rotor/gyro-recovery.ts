// Getting speed back for the flare: height is paid for speed by pushing, within what a rotor may be unloaded.
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { gyroBestGlide, gyroGlideAt } from "./gyro-glide";
import { bladeThrust_N } from "./blade-thrust";
import { inducedOf, rotorDeficit_W } from "./gyro-disc";
import { type GyroCase, load_N } from "./gyro-rotor";

/** How fast the nose goes, rad/s: 10 degrees a second. */
const PUSH_RATE = (10 * Math.PI) / 180;
/** The air follows the thrust with this lag, s. */
const INFLOW_LAG_S = 0.15;
/** Steps, s, and the longest that is flown. */
const [STEP_S, LONGEST_S] = [0.02, 60];
/** Pushes searched, rad: 6 to 35 degrees, to a quarter of one. */
const [PUSH_FROM, PUSH_TO, PUSH_CLOSE] = [6, 35, 0.25].map((deg) => (deg * Math.PI) / 180);
/** A rotor that carries less than this share of the weight may slow down and not come back. Common practice. */
export const LEAST_LOAD = 0.5;
/** Over best glide, where the manual prints no flare speed. */
const USUAL_FLARE = 1.1;
/** The sink is steady again within this of the glide's. */
const STEADY = 1.05;
/** Deeper than this the search ends, m. */
const DEEPEST_M = 600;
/** Least rotor thrust that the inflow is worked out for, share of weight. */
const LEAST_INFLOW = 0.05;

/** A moment of a recovery. */
export interface RecoveryMoment {
  readonly time_s: number;
  readonly tas_mps: number;
  readonly sink_mps: number;
  /** Down from where it began. */
  readonly lost_m: number;
  readonly along_m: number;
  /** Rotor thrust over weight. */
  readonly load: number;
  readonly rotor_radps: number;
  readonly tilt_rad: number;
}

/** Speed got back. */
export interface GyroRecovery {
  readonly push_rad: number;
  /** Until the speed is there and the nose is back. */
  readonly height_m: number;
  readonly time_s: number;
  /** Least rotor thrust over weight on the way. */
  readonly leastLoad: number;
  /** The push was bounded by the least load rather than by the height. */
  readonly bounded: boolean;
  /** Further until the sink is that of the steady glide again: what is needed before the flare. */
  readonly settling_m: number;
  readonly sinkAtSpeed_mps: number;
  readonly path: readonly RecoveryMoment[];
}

/** Speed that the flare begins with. */
export function flareSpeed_mps(flight: GyroCase): number {
  return flight.aircraft.handbook.flareSpeed_mps ?? (gyroBestGlide(flight, "stopped")?.tas_mps ?? 27) * USUAL_FLARE;
}

/** Flies a push; `at` is the index at which the speed is there and the nose is back. */
function pushed(
  flight: GyroCase,
  from_mps: number,
  target_mps: number,
  push_rad: number,
): { readonly path: RecoveryMoment[]; readonly at: number } | null {
  const start = gyroGlideAt(flight, from_mps, "stopped");
  const end = gyroGlideAt(flight, target_mps, "stopped");
  if (!start || !end) return null;
  const { mass_kg, weight_N, aircraft } = flight;
  const { radius_m, polarInertia_kgm2 } = aircraft.rotor;
  let { tilt_rad } = start;
  let [tas, sink, lost, along, time] = [from_mps, start.sink_mps, 0, 0, 0];
  let omega = start.rotor_radps;
  let induced = start.induced_mps;
  let returning = false;
  let at = -1;
  const path: RecoveryMoment[] = [];
  for (let i = 0; i * STEP_S < LONGEST_S; i += 1) {
    const tip_mps = omega * radius_m;
    const air = {
      through_mps: tas * Math.sin(tilt_rad) - sink * Math.cos(tilt_rad),
      inPlane_mps: tas * Math.cos(tilt_rad) + sink * Math.sin(tilt_rad),
    };
    const thrust_N = Math.max(bladeThrust_N(flight, flight.aircraft.rotor.pitch_rad, air, induced, tip_mps), 0);
    const settled = inducedOf(flight, air, Math.max(thrust_N, LEAST_INFLOW * weight_N));
    const lacks_W = rotorDeficit_W(flight, air, { thrust_N, induced_mps: induced, share: settled.share, tip_mps });
    const { ahead_N, drag_N } = load_N(flight, tas, sink, "stopped");
    const gain = (thrust_N * Math.sin(tilt_rad) - ahead_N) / mass_kg;
    path.push({
      time_s: time,
      tas_mps: tas,
      sink_mps: sink,
      lost_m: lost,
      along_m: along,
      load: thrust_N / weight_N,
      rotor_radps: omega,
      tilt_rad,
    });
    if (at < 0 && returning && tilt_rad <= end.tilt_rad + 1e-9) at = path.length - 1;
    if (at >= 0 && sink <= end.sink_mps * STEADY) return { path, at };
    if (lost > DEEPEST_M) return at >= 0 ? { path, at } : null;
    // Back in time: the speed is there as the nose comes back.
    returning ||= tas + (gain * (tilt_rad - end.tilt_rad)) / PUSH_RATE / 2 >= target_mps;
    const before_rad = tilt_rad;
    tilt_rad = returning
      ? Math.max(end.tilt_rad, tilt_rad - PUSH_RATE * STEP_S)
      : Math.min(start.tilt_rad + push_rad, tilt_rad + PUSH_RATE * STEP_S);
    tas += gain * STEP_S;
    sink += ((weight_N - thrust_N * Math.cos(before_rad) - drag_N) / mass_kg) * STEP_S;
    lost += sink * STEP_S;
    along += tas * STEP_S;
    omega -= (lacks_W / omega / polarInertia_kgm2) * STEP_S;
    induced += ((settled.induced_mps - induced) / INFLOW_LAG_S) * STEP_S;
    time += STEP_S;
  }
  return at >= 0 ? { path, at } : null;
}

/**
 * Height to get from one airspeed to another with the engine stopped, by the push that costs the least height without
 * unloading the rotor below half of the weight.
 *
 * @param from_mps - 0 to the target
 * @param target_mps - through the air
 * @returns `no_recovery` where no push gets there within 600 m
 * @see point mass with rotor speed and lagging inflow; 10°/s, and the least load, are common practice
 */
export function gyroRecovery(flight: GyroCase, from_mps: number, target_mps: number): Outcome<GyroRecovery> {
  if (!(from_mps < target_mps)) return failure("no_need", "It is as fast as that already.", "from_mps");
  const leastOf = (path: readonly RecoveryMoment[]) => Math.min(...path.map(({ load }) => load));
  // Past the bound the cost rises steeply, so that the search turns back to it.
  const cost = (push_rad: number, bound: number) => {
    const flown = pushed(flight, from_mps, target_mps, push_rad);
    if (!flown) return 2 * DEEPEST_M;
    return flown.path[flown.at].lost_m + Math.max(bound - leastOf(flown.path), 0) * 10 * DEEPEST_M;
  };
  const search = (bound: number) => goldenMinimum((push) => cost(push, bound), PUSH_FROM, PUSH_TO, PUSH_CLOSE);
  const free_rad = search(0);
  const free = pushed(flight, from_mps, target_mps, free_rad);
  const bounded = free !== null && leastOf(free.path) < LEAST_LOAD;
  const push_rad = bounded ? search(LEAST_LOAD) : free_rad;
  const flown = bounded ? pushed(flight, from_mps, target_mps, push_rad) : free;
  if (!flown) return failure("no_recovery", "No push gets the speed back within 600 m (2 000 ft).", "from_mps");
  const { path, at } = flown;
  return success({
    push_rad,
    height_m: path[at].lost_m,
    time_s: path[at].time_s,
    leastLoad: leastOf(path),
    bounded,
    settling_m: path[path.length - 1].lost_m - path[at].lost_m,
    sinkAtSpeed_mps: path[at].sink_mps,
    path,
  });
}

/** Speeds that a recovery is told from, m/s. */
export const RECOVERY_FROM_MPS = [0, 10, 20, 30, 40].map((kt) => kt * MPS_PER_KT);
