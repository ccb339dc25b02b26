// A jet on its way down with both engines out: gliding at a speed, diving to a faster one, slowing down again.
import type { Polar } from "../aircraft/polar";
import { airspeedsFromCas, airspeedsFromEas } from "../air/airspeed";
import { type AirMass, airAtAltitude, pressureAltitudeOnQnh_m } from "../air/altimetry";
import { steadySink_mps } from "../glide/steady-descent";
import { bestGlide } from "../glide/straight-glide";
import type { Outcome } from "../outcome";
import { G0 } from "../quantities/constants";
import { type EnvelopeCorner, inEnvelope } from "./relight-envelope";
import { glideAt } from "./restart-budget";

/** A point of the way down. */
export interface RelightPoint {
  readonly time_s: number;
  readonly altitude_m: number;
  readonly cas_mps: number;
}

/** The aircraft as it comes down; its path grows as it is flown. */
export interface RelightDescent {
  readonly path: () => readonly RelightPoint[];
  readonly point: () => RelightPoint;
  readonly isIn: (envelope: readonly EnvelopeCorner[]) => boolean;
  /** Flies a piece and keeps it only when it ends well; tells whether it did. */
  readonly keepIf: (fly: () => boolean) => boolean;
  /** Steady descent at the speed that it has, or at the target speed; false where it cannot be flown. */
  readonly glide: (duration_s: number, at: "present" | "target") => boolean;
  /** On down at the target speed until it is inside, or at the commit height. */
  readonly glideInto: (envelope: readonly EnvelopeCorner[]) => void;
  /**
   * Dives to the target speed: the height that it takes beyond gliding as long, m, and whether it gets there before the
   * commit height.
   */
  readonly dive: () => { readonly cost_m: number; readonly there: boolean };
  /** The height that slowing down to best glide at an altitude is worth, m. */
  readonly slowing_m: (at_m: number) => number;
}

/** Steps of the way down, s. */
const STEP_S = 1;
/**
 * A dive is this much steeper than the glide at the target speed: shallower it would never get there. Common practice:
 * about 5°.
 */
const DIVE_STEEPER = 0.087;
/** A way down that takes longer is cut off, s. */
const LIMIT_S = 3600;

/**
 * A way down that begins at best glide. Dive: V̇ = g(sinγ − D/W), γ steeper than the glide at the target. Slowing down
 * takes (V − v)/(g·D/W), and is worth what a glide would have sunk in that time.
 *
 * @param target_mps - calibrated airspeed that attempts are made at; at `start_m` it and best glide are subsonic, and
 *   so they are below
 * @param commit_m - altitude above the sea at which all this ends
 */
export function relightDescent(
  polar: Polar,
  air: AirMass,
  target_mps: number,
  start_m: number,
  commit_m: number,
): RelightDescent {
  const best = bestGlide(polar);
  let [time_s, altitude_m, eas_mps] = [0, start_m, best.eas_mps];
  let path: RelightPoint[] = [];

  const airAt = (at_m: number) => airAtAltitude(at_m, air);
  const rootSigma = (at_m = altitude_m) => Math.sqrt(airAt(at_m).sigma);
  const cas_mps = (eas: number, at_m = altitude_m) => subsonic(airspeedsFromEas(eas, airAt(at_m))).cas_mps;
  const targetEas_mps = () => subsonic(airspeedsFromCas(target_mps, airAt(altitude_m))).eas_mps;
  const sink_mps = (sinkEas_mps: number, eas: number, at_m = altitude_m) =>
    steadySink_mps(sinkEas_mps, cas_mps(eas, at_m), at_m, air);
  const point = (): RelightPoint => ({ time_s, altitude_m, cas_mps: cas_mps(eas_mps) });
  path.push(point());

  const isIn = (envelope: readonly EnvelopeCorner[]) =>
    inEnvelope(envelope, cas_mps(eas_mps), pressureAltitudeOnQnh_m(altitude_m, air.qnh_Pa));

  const glide = (duration_s: number, at: "present" | "target"): boolean => {
    for (let left_s = duration_s; left_s > 1e-9; left_s -= STEP_S) {
      const step_s = Math.min(STEP_S, left_s);
      if (at === "target") eas_mps = targetEas_mps();
      const flown = glideAt(polar, eas_mps);
      if (!flown) return false;
      altitude_m -= sink_mps(flown.sinkEas_mps, eas_mps) * step_s;
      time_s += step_s;
      path.push(point());
    }
    return true;
  };

  const reachTarget = (): boolean => {
    while (eas_mps < targetEas_mps() - 0.1) {
      const flown = glideAt(polar, eas_mps);
      const aim = glideAt(polar, targetEas_mps());
      if (!flown || !aim || altitude_m < commit_m || time_s > LIMIT_S) return false;
      const before_mps = eas_mps / rootSigma();
      const sine = Math.sin(aim.angle_rad + DIVE_STEEPER);
      const tas_mps = before_mps + G0 * (sine - Math.tan(flown.angle_rad) * Math.cos(flown.angle_rad)) * STEP_S;
      altitude_m -= ((before_mps + tas_mps) / 2) * sine * STEP_S;
      eas_mps = Math.min(tas_mps * rootSigma(), targetEas_mps());
      time_s += STEP_S;
      path.push(point());
    }
    return true;
  };

  return {
    path: () => path,
    point,
    isIn,
    glide,
    keepIf: (fly) => {
      const kept = { time_s, altitude_m, eas_mps, points: path.length };
      if (fly()) return true;
      ({ time_s, altitude_m, eas_mps } = kept);
      path = path.slice(0, kept.points);
      return false;
    },
    glideInto: (envelope) => {
      while (!isIn(envelope) && altitude_m > commit_m && time_s < LIMIT_S) if (!glide(STEP_S, "target")) return;
    },
    dive: () => {
      const [before_m, began_s] = [altitude_m, time_s];
      const there = reachTarget();
      const glided_m = sink_mps(glideAt(polar, best.eas_mps)?.sinkEas_mps ?? 0, best.eas_mps) * (time_s - began_s);
      return { cost_m: Math.max(before_m - altitude_m - glided_m, 0), there };
    },
    slowing_m: (at_m) => {
      if (!(eas_mps > best.eas_mps)) return 0;
      const root = rootSigma(at_m);
      const [fast_mps, slow_mps] = [eas_mps / root, best.eas_mps / root];
      const drag_rad = ((glideAt(polar, eas_mps)?.angle_rad ?? 0) + best.angle_rad) / 2;
      const duration_s = (fast_mps - slow_mps) / (G0 * Math.sin(drag_rad));
      return duration_s * sink_mps(best.sinkEas_mps, best.eas_mps, at_m);
    },
  };
}

function subsonic<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(`relightDescent: expected a subsonic speed, got ${outcome.issue.message}`);
  return outcome.value;
}
