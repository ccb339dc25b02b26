// Down without engines: entry, steady autorotation, flare and touchdown. The flare is a sketch by energy.
import { type Outcome, failure, success } from "../outcome";
import { G0, MPS_PER_KT } from "../quantities/constants";
import { type Autorotation, bestRangeAutorotation, leastSinkAutorotation } from "./autorotation";
import { REACTION_S } from "./fly-away";
import type { HelicopterCase } from "./helicopter-case";
import { type Motion, motionAfter, pitchOf } from "./rotor-motion";
import { levelPower_W } from "./speeds-of-power";
import { HOVER, steadyPower } from "./steady-power";
import { GENTLE_MPS } from "./vertical-reject";

/** Steps of the entry, s, and the longest that is flown. */
const [STEP_S, LONGEST_S] = [0.05, 12];
/** The sink is steady within this. */
const STEADY = 0.05;
/** Touchdown along the ground, and how hard the flare slows, of g. Typical. */
export const [TOUCHDOWN_MPS, SLOWS] = [15 * MPS_PER_KT, 0.3];
/** Flare heights that are met with, m: from 40 to 150 ft. Common practice. */
const [LOWEST_FLARE_M, HIGHEST_FLARE_M] = [12, 46];

/** A way down without engines. */
export interface AutorotationLanding {
  readonly entry_mps: number;
  /** Height lost until the sink is steady, and over what ground. */
  readonly entry_m: number;
  readonly entryGround_m: number;
  readonly entry_s: number;
  /** Least rotor speed while the collective is still up, and how long it may stay up before the limit. */
  readonly leastNr: number;
  readonly mayWait_s: number;
  readonly steady: Autorotation;
  readonly groundRatio: number;
  /** Height at which the flare begins, by energy; null where it does not suffice. */
  readonly flare_m: number | null;
  /** Ground that the flare covers, at least 0. */
  readonly flareGround_m: number;
  readonly touchdown_mps: number;
  readonly gentle_mps: number;
}

/** All engines gone in level flight. */
function failed(flight: HelicopterCase, tas_mps: number): { motion: Motion; pitch_rad: number } {
  const level = steadyPower(flight, { ...HOVER, tas_mps });
  return {
    pitch_rad: pitchOf(flight, level, tas_mps),
    motion: {
      time_s: 0,
      tas_mps,
      climb_mps: 0,
      height_m: 0,
      along_m: 0,
      nr: 1,
      tilt_rad: level.tilt_rad,
      engine_W: 0,
      given_J: 0,
      lost_J: 0,
    },
  };
}

/** How long the collective may stay up before the rotor is as slow as it may be, s. */
export function secondsToLowerCollective(flight: HelicopterCase, tas_mps: number): number {
  const { motion, pitch_rad } = failed(flight, tas_mps);
  let now = motion;
  while (now.time_s < LONGEST_S && now.nr > flight.aircraft.rotor.nrMinFlight)
    now = motionAfter(flight, now, { pitch_rad, tilt_rad: motion.tilt_rad, rating: null }, STEP_S);
  return now.time_s;
}

/** The flare: mean airspeed, and how long it slows. */
export function flareOf({ tas_mps }: Autorotation): { readonly flare_mps: number; readonly flare_s: number } {
  return {
    flare_mps: (tas_mps + TOUCHDOWN_MPS) / 2,
    flare_s: Math.max(tas_mps - TOUCHDOWN_MPS, 0) / (SLOWS * G0),
  };
}

/**
 * The flare: what speed, sink and rotor hold against what carrying the weight takes while it slows; what is missing is
 * height.
 *
 * @returns height at which it begins, m; null where more than 150 ft would be needed
 * @see an energy balance: a sketch
 */
export function flareHeight_m(flight: HelicopterCase, steady: Autorotation): number | null {
  const { mass_kg, weight_N, aircraft } = flight;
  const { rotor } = aircraft;
  const omega = rotor.tipSpeed_mps / rotor.radius_m;
  const { flare_mps, flare_s } = flareOf(steady);
  const has_J =
    0.5 * mass_kg * (steady.tas_mps ** 2 - TOUCHDOWN_MPS ** 2 + steady.sink_mps ** 2 - GENTLE_MPS ** 2) +
    0.5 * rotor.polarInertia_kgm2 * omega ** 2 * (1 - rotor.nrMinTouchdown ** 2);
  const takes_J = levelPower_W(flight, flare_mps) * flare_s;
  const height_m = Math.max((takes_J - has_J) / weight_N, LOWEST_FLARE_M);
  return height_m <= HIGHEST_FLARE_M ? height_m : null;
}

/**
 * Down without engines from level flight.
 *
 * @param tas_mps - when the engines stop; 15 to 80
 * @param headwind_mps - of the way down; negative from behind
 * @param school - least sink, or the speed that reaches farthest in this wind
 * @returns `no_autorotation`
 */
export function autorotationLanding(
  flight: HelicopterCase,
  tas_mps: number,
  headwind_mps: number,
  school: "least-sink" | "best-range",
): Outcome<AutorotationLanding> {
  const steady = school === "least-sink" ? leastSinkAutorotation(flight) : bestRangeAutorotation(flight, headwind_mps);
  if (!steady) return failure("no_autorotation", "At no speed does the air turn this rotor.", "aircraft");
  const { motion, pitch_rad } = failed(flight, tas_mps);
  let now = motion;
  let leastNr = 1;
  for (let i = 0; i * STEP_S < LONGEST_S; i += 1) {
    const frozen = now.time_s < REACTION_S - 1e-9;
    now = motionAfter(
      flight,
      now,
      { pitch_rad: frozen ? pitch_rad : null, tilt_rad: motion.tilt_rad, rating: null },
      STEP_S,
    );
    leastNr = Math.min(leastNr, now.nr);
    if (!frozen && -now.climb_mps >= steady.sink_mps * (1 - STEADY)) break;
  }
  const { flare_mps, flare_s } = flareOf(steady);
  return success({
    entry_mps: tas_mps,
    entry_m: -now.height_m,
    entryGround_m: now.along_m - headwind_mps * now.time_s,
    entry_s: now.time_s,
    leastNr,
    mayWait_s: secondsToLowerCollective(flight, tas_mps),
    steady,
    groundRatio: (steady.tas_mps - headwind_mps) / steady.sink_mps,
    flare_m: flareHeight_m(flight, steady),
    flareGround_m: Math.max((flare_mps - headwind_mps) * flare_s, 0),
    touchdown_mps: TOUCHDOWN_MPS,
    gentle_mps: GENTLE_MPS,
  });
}
