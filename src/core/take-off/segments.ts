// Take-off segments of a two-engine jet: gradients on one engine against the least that is asked for, and the mass that
// meets them.
import { bisect } from "../numeric/bisect";
import { asymmetricCase } from "../asymmetric/anchored-case";
import type { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { NO_STEADY_PATH, equilibriumAt, gradientOf } from "../asymmetric/equilibrium";
import { stallEas_mps, twoEngineClimbAt, zeroSideslip } from "../asymmetric/one-engine-climb";
import { CONTROLS, NO_CONTROL, usedShare, vmcaInBank } from "../asymmetric/vmca";
import { type Outcome, failure, success } from "../outcome";

/** Which part of the climb. */
export type SegmentName = "first" | "second" | "final" | "approach" | "landing";

/** One segment at a mass, height and temperature. */
export interface Segment {
  readonly name: SegmentName;
  readonly eas_mps: number;
  readonly gradient: number;
  /** Least gradient asked for; the first segment must only be above 0. */
  readonly required: number;
  readonly complies: boolean;
}

/** What segments are asked about: the question's flap, gear, setting and engine state are the segment's own. */
export type SegmentQuestion = Pick<AsymmetricQuestion, "aircraft" | "mass_kg" | "altitude_m" | "air">;

/** Least gradients of two-engine aeroplanes. 14 CFR 25.119, 25.121 (memory). */
export const REQUIRED: Readonly<Record<SegmentName, number>> = {
  first: 0,
  second: 0.024,
  final: 0.012,
  approach: 0.021,
  landing: 0.032,
};
/**
 * Speeds over the stall of the flap in use: V_2, final, approach, landing climb. 14 CFR 25.107, 25.121, 25.119
 * (memory).
 */
const OVER_STALL: Readonly<Record<SegmentName, number>> = {
  first: 1.2,
  second: 1.2,
  final: 1.25,
  approach: 1.4,
  landing: 1.3,
};
const BANK_RAD = (5 * Math.PI) / 180;
/** V_2 is at least so much over minimum control speed. 14 CFR 25.107 (memory). */
const OVER_VMCA = 1.1;

/**
 * The five segments at the question's mass.
 *
 * @returns `not_a_jet`, `no_control`, `no_steady_path`; failures of the case
 */
export function takeOffSegments(question: SegmentQuestion): Outcome<Segment[]> {
  const { aircraft } = question;
  if (aircraft.engines.kind !== "jet" || !aircraft.polar)
    return failure(
      "not_a_jet",
      `${aircraft.name} is not a jet: take-off segments are asked of transports.`,
      "aircraft",
    );
  const { takeOffFlap, landingFlap } = aircraft.polar;
  const { maxContinuous } = aircraft.engines;
  const set: Readonly<Record<SegmentName, Pick<AsymmetricQuestion, "flap" | "gearDown" | "setting">>> = {
    first: { flap: takeOffFlap, gearDown: true, setting: 1 },
    second: { flap: takeOffFlap, gearDown: false, setting: 1 },
    final: { flap: 0, gearDown: false, setting: maxContinuous },
    approach: { flap: takeOffFlap, gearDown: false, setting: 1 },
    landing: { flap: landingFlap, gearDown: true, setting: 1 },
  };
  const segments: Segment[] = [];
  for (const name of ["first", "second", "final", "approach", "landing"] as const) {
    const outcome = asymmetricCase({
      ...question,
      centreOfGravity: 1,
      items: [],
      deadPropeller: "none",
      failed: "left",
      ...set[name],
    });
    if (!outcome.ok) return outcome;
    const flight = outcome.value;
    const slowest_mps = OVER_STALL[name] * stallEas_mps(flight, 0);
    const minimum = name === "landing" || held(flight, slowest_mps / OVER_VMCA) ? null : vmcaInBank(flight);
    if (minimum && minimum.binding !== null && minimum.eas_mps === null) return NO_CONTROL;
    const eas_mps = Math.max(slowest_mps, OVER_VMCA * (minimum?.eas_mps ?? 0));
    const state = name === "landing" ? null : zeroSideslip(flight, eas_mps);
    const gradient =
      name === "landing" ? twoEngineClimbAt(flight, eas_mps).gradient : state && gradientOf(state.sinGamma);
    if (gradient === null) return { ok: false, issue: NO_STEADY_PATH };
    const required = REQUIRED[name];
    segments.push({
      name,
      eas_mps,
      gradient,
      required,
      complies: name === "first" ? gradient > 0 : gradient >= required,
    });
  }
  return success(segments);
}

/** Every control is within its limit at a speed: minimum control speed is not above it, and need not be searched. */
function held(flight: AsymmetricCase, eas_mps: number): boolean {
  const state = equilibriumAt(flight, eas_mps, flight.liveSide * BANK_RAD);
  return state !== null && CONTROLS.every((control) => usedShare(flight, state, control) <= 1);
}

/** Greatest mass that meets every segment. */
export interface MassLimit {
  /** Null when not even the least mass does. */
  readonly mass_kg: number | null;
  /** The segment that binds; null when the structure's maximum does. */
  readonly binding: SegmentName | null;
}

/** Halvings: to a thousandth of the range of masses. */
const HALVINGS = 12;

/**
 * The mass limited by climb at a height and temperature.
 *
 * @returns failures of the segments
 */
export function massLimit(question: Omit<SegmentQuestion, "mass_kg">): Outcome<MassLimit> {
  const { maximum_kg, minimum_kg } = question.aircraft.mass;
  const short = (mass_kg: number): Outcome<SegmentName | null> => {
    const outcome = takeOffSegments({ ...question, mass_kg });
    return outcome.ok ? success(outcome.value.find((segment) => !segment.complies)?.name ?? null) : outcome;
  };
  const [heavy, light] = [short(maximum_kg), short(minimum_kg)];
  if (!heavy.ok) return heavy;
  if (!light.ok) return light;
  if (heavy.value === null) return success({ mass_kg: maximum_kg, binding: null });
  if (light.value !== null) return success({ mass_kg: null, binding: light.value });
  let binding = heavy.value;
  let issue: Outcome<MassLimit> | null = null;
  const { low } = bisect(
    (mass_kg) => {
      const outcome = short(mass_kg);
      if (!outcome.ok) issue = outcome;
      else if (outcome.value !== null) binding = outcome.value;
      return outcome.ok && outcome.value === null;
    },
    minimum_kg,
    maximum_kg,
    HALVINGS,
  );
  return issue ?? success({ mass_kg: low, binding });
}
