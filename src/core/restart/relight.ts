// Lighting a jet engine again: the envelope in calibrated speed and pressure altitude, attempts at windmilling speed and with auxiliary
// power at gliding speed, what dive and slowing down cost, and how many attempts end above the commit height.
import { z } from "zod";
import { polarOf } from "../aircraft/polar";
import { airAtAltitude, pressureAltitudeOnQnh_m } from "../air/altimetry";
import { airspeedsFromCas, airspeedsFromEas } from "../air/airspeed";
import { steadySink_mps } from "../glide/steady-descent";
import { bestGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { G0 } from "../quantities/constants";
import { RestartQuestion, glideAt } from "./restart-budget";

/** What a relight is planned from. */
export const RelightQuestion = RestartQuestion.omit({ reaction_s: true, flow: true }).extend({
  /** Chance of one attempt, as the user judges it. */
  chance: z.number().min(0, "A chance is 0 to 1.").max(1, "A chance is 0 to 1."),
  /** With auxiliary power, where it differs. */
  assistedChance: z.number().min(0, "A chance is 0 to 1.").max(1, "A chance is 0 to 1.").optional(),
});
/** @see RelightQuestion */
export type RelightQuestion = z.infer<typeof RelightQuestion>;

/** How an attempt is made. */
export type RelightKind = "windmill" | "assisted";

/** A point of the way down. */
export interface RelightPoint {
  readonly time_s: number;
  readonly altitude_m: number;
  readonly cas_mps: number;
}

/** One attempt. */
export interface RelightAttempt {
  readonly from: RelightPoint;
  readonly to: RelightPoint;
}

/** Attempts of one kind as far as height allows. */
export interface RelightPlan {
  readonly kind: RelightKind;
  readonly cas_mps: number;
  readonly attempts: readonly RelightAttempt[];
  /** Height that the dive takes beyond gliding the same time, m. */
  readonly dive_m: number;
  /** What levelling off and slowing down to best glide after the last attempt is worth: the height a glide would lose meanwhile, m. */
  readonly back_m: number;
  /** Altitude left over the commit height after the last attempt, slowing down not counted. */
  readonly left_m: number;
  /** That one of them succeeds. */
  readonly chance: number;
  readonly path: readonly RelightPoint[];
  /** Why there is no attempt; null when there is one. */
  readonly why: string | null;
}

/** As near as this to an edge it is on it: corners are written with four decimals. */
const EDGE = 1e-2;
/** Steps of the way down, s. */
const STEP_S = 1;
/** A dive is this much steeper than the glide at the target speed: shallower it would never get there. Common practice: about 5°. */
const DIVE_STEEPER = 0.087;
/** A way down that takes longer is cut off, s. */
const LIMIT_S = 3600;

/**
 * Whether a speed and altitude lie in an envelope, its edge included.
 *
 * @param corners - of a polygon without crossings, in order
 */
export function inEnvelope(
  corners: readonly { readonly speedCalibrated_mps: number; readonly altitudePressure_m: number }[],
  cas_mps: number,
  altitudePressure_m: number,
): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i, i += 1) {
    const [a, b] = [corners[i], corners[j]];
    const [dv, dh] = [b.speedCalibrated_mps - a.speedCalibrated_mps, b.altitudePressure_m - a.altitudePressure_m];
    const away =
      (dv * (altitudePressure_m - a.altitudePressure_m) - dh * (cas_mps - a.speedCalibrated_mps)) / Math.hypot(dv, dh);
    const within = (value: number, one: number, other: number) =>
      value >= Math.min(one, other) - EDGE && value <= Math.max(one, other) + EDGE;
    if (
      Math.abs(away) < EDGE &&
      within(cas_mps, a.speedCalibrated_mps, b.speedCalibrated_mps) &&
      within(altitudePressure_m, a.altitudePressure_m, b.altitudePressure_m)
    )
      return true;
    if (
      a.altitudePressure_m > altitudePressure_m !== b.altitudePressure_m > altitudePressure_m &&
      cas_mps < (dv * (altitudePressure_m - a.altitudePressure_m)) / dh + a.speedCalibrated_mps
    )
      inside = !inside;
  }
  return inside;
}

/**
 * The plan of one kind: recognition at gliding speed, the dive to windmilling speed or the wait for auxiliary power, then attempts with
 * the gap between them while each ends above the commit height and inside the envelope.
 *
 * Dive: V̇ = g(sinγ − D/W), γ steeper than the glide at the target; slowing down is worth what a glide would have lost in its time.
 *
 * @returns failures of the polar; `not_subsonic` when glide or attempt would be; `no_relight` for aircraft without an envelope; `commit_below_ground`
 */
export function relightPlan(question: RelightQuestion, kind: RelightKind): Outcome<RelightPlan> {
  const { aircraft, mass_kg, configuration, air, commit_m, ground_m } = question;
  const { relight } = aircraft;
  if (!relight) return failure("no_relight", `${aircraft.name} has no relight envelope.`, "aircraft");
  if (!(commit_m > ground_m))
    return failure(
      "commit_below_ground",
      "The commit height is at or below the ground: it must leave height to land with.",
      "commit_m",
    );
  const found = polarOf(aircraft, mass_kg, configuration);
  if (!found.ok) return found;
  const { polar } = found.value;
  const envelope = relight[kind];
  const best = bestGlide(polar);
  const pressure = (altitude_m: number) => pressureAltitudeOnQnh_m(altitude_m, air.qnh_Pa);
  const rootSigma = (altitude_m: number) => Math.sqrt(airAtAltitude(altitude_m, air).sigma);
  const casOf = (eas_mps: number, altitude_m: number) =>
    subsonic(airspeedsFromEas(eas_mps, airAtAltitude(altitude_m, air))).cas_mps;
  const slowest = airspeedsFromEas(best.eas_mps, airAtAltitude(question.altitude_m, air));
  if (!slowest.ok) return slowest;
  const target_mps =
    kind === "windmill" ? relight.windmillSpeed_mps : Math.max(slowest.value.cas_mps, ...slowestOf(envelope));
  // Lower down the Mach number of a calibrated speed falls: what is subsonic here stays so.
  const highest = airspeedsFromCas(target_mps, airAtAltitude(question.altitude_m, air));
  if (!highest.ok) return highest;
  const path: RelightPoint[] = [];
  let [time_s, altitude_m, eas_mps] = [0, question.altitude_m, best.eas_mps];
  const point = (): RelightPoint => ({ time_s, altitude_m, cas_mps: casOf(eas_mps, altitude_m) });
  const targetEas = () => subsonic(airspeedsFromCas(target_mps, airAtAltitude(altitude_m, air))).eas_mps;
  /** Of a steady descent at the present altitude. */
  const sinkOf = (sinkEas_mps: number, eas: number) =>
    steadySink_mps(sinkEas_mps, casOf(eas, altitude_m), altitude_m, air);
  /** Steady descent at the present speed. */
  const glide = (duration_s: number, along: (() => number) | null): boolean => {
    for (let left = duration_s; left > 1e-9; left -= STEP_S) {
      const step = Math.min(STEP_S, left);
      if (along) eas_mps = along();
      const flown = glideAt(polar, eas_mps);
      if (!flown) return false;
      altitude_m -= sinkOf(flown.sinkEas_mps, eas_mps) * step;
      time_s += step;
      path.push(point());
    }
    return true;
  };
  path.push(point());
  glide(relight.recognition_s, null);
  if (kind === "assisted") glide(Math.max(relight.auxiliaryPower_s - relight.recognition_s, 0), null);
  const before_m = altitude_m;
  const began_s = time_s;
  const dived = dive();
  const steady = glideAt(polar, best.eas_mps);
  const dive_m = before_m - altitude_m - sinkOf(steady?.sinkEas_mps ?? 0, best.eas_mps) * (time_s - began_s);
  const attempts: RelightAttempt[] = [];
  let why: string | null = dived ? null : "It does not reach this speed in a dive before the commit height.";
  while (why === null) {
    // Above the envelope it glides on down until it is inside.
    while (
      !inEnvelope(envelope, casOf(eas_mps, altitude_m), pressure(altitude_m)) &&
      altitude_m > commit_m &&
      time_s < LIMIT_S
    )
      if (!glide(STEP_S, targetEas)) break;
    const kept = { time_s, altitude_m, eas_mps, points: path.length };
    const from = point();
    const flown = inEnvelope(envelope, from.cas_mps, pressure(altitude_m)) && glide(relight.attempt_s, targetEas);
    const inside = flown && inEnvelope(envelope, casOf(eas_mps, altitude_m), pressure(altitude_m));
    if (!inside || altitude_m < commit_m) {
      [time_s, altitude_m, eas_mps] = [kept.time_s, kept.altitude_m, kept.eas_mps];
      path.length = kept.points;
      why =
        attempts.length > 0
          ? null
          : !flown
            ? "The speed and height are outside the envelope all the way down to the commit height."
            : "The first attempt would end below the commit height.";
      break;
    }
    attempts.push({ from, to: point() });
    glide(relight.gap_s, targetEas);
  }
  const last = attempts.at(-1)?.to ?? null;
  const back_m = last ? backAt(eas_mps, last.altitude_m) : 0;
  return success({
    kind,
    cas_mps: target_mps,
    attempts,
    dive_m: Math.max(dive_m, 0),
    back_m,
    path,
    why,
    left_m: last ? last.altitude_m - commit_m : question.altitude_m - commit_m,
    chance:
      1 -
      (1 - (kind === "assisted" ? (question.assistedChance ?? question.chance) : question.chance)) ** attempts.length,
  });

  function dive(): boolean {
    while (eas_mps < targetEas() - 0.1) {
      const flown = glideAt(polar, eas_mps);
      const aim = glideAt(polar, targetEas());
      if (!flown || !aim || altitude_m < commit_m || time_s > LIMIT_S) return false;
      const tas_mps = eas_mps / rootSigma(altitude_m);
      const sine = Math.sin(aim.angle_rad + DIVE_STEEPER);
      const tas = tas_mps + G0 * (sine - Math.tan(flown.angle_rad) * Math.cos(flown.angle_rad)) * STEP_S;
      altitude_m -= ((tas_mps + tas) / 2) * sine * STEP_S;
      eas_mps = Math.min(tas * rootSigma(altitude_m), targetEas());
      time_s += STEP_S;
      path.push(point());
    }
    return true;
  }

  /** Level until the speed is back at best glide: (V − v)/(g·D/W) long, in which a glide would have sunk. */
  function backAt(fast_mps: number, at_m: number): number {
    if (!(fast_mps > best.eas_mps)) return 0;
    const root = rootSigma(at_m);
    const [fast, slow] = [fast_mps / root, best.eas_mps / root];
    const drag = ((glideAt(polar, fast_mps)?.angle_rad ?? 0) + best.angle_rad) / 2;
    const duration_s = (fast - slow) / (G0 * Math.sin(drag));
    return duration_s * steadySink_mps(best.sinkEas_mps, casOf(best.eas_mps, at_m), at_m, air);
  }
}

function subsonic<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(`relightPlan: expected a subsonic speed, got ${outcome.issue.message}`);
  return outcome.value;
}

function slowestOf(envelope: readonly { readonly speedCalibrated_mps: number }[]): number[] {
  return [Math.min(...envelope.map((corner) => corner.speedCalibrated_mps))];
}

/** Both plans, and the one with the better chance; with equal chance the one that leaves more height. */
export function relightPlans(
  question: RelightQuestion,
): Outcome<{ windmill: RelightPlan; assisted: RelightPlan; better: RelightKind | null }> {
  const windmill = relightPlan(question, "windmill");
  if (!windmill.ok) return windmill;
  const assisted = relightPlan(question, "assisted");
  if (!assisted.ok) return assisted;
  const [w, a] = [windmill.value, assisted.value];
  const better =
    w.attempts.length === 0 && a.attempts.length === 0
      ? null
      : w.chance > a.chance || (w.chance === a.chance && w.left_m > a.left_m)
        ? "windmill"
        : "assisted";
  return success({ windmill: w, assisted: a, better });
}
