// An engine that stops on a gyroplane's climb-out: ahead, or back, by height.
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { M_PER_FT } from "../quantities/constants";
import { gyroBestGlide, gyroGlideAt, gyroTurn } from "./gyro-glide";
import { type GyroRecovery, flareSpeed_mps, gyroRecovery } from "./gyro-recovery";
import type { GyroCase } from "./gyro-rotor";
import { FLARE_M } from "./gyro-spot";
import { levelPull_N } from "./rudder-authority";
import { fullPower_W, slipstreamOf } from "./slipstream";

/** Speeds that the climb is searched in, m/s. */
const [SLOW, FAST, CLOSE] = [12, 40, 0.05];
/** Heights that are looked at. */
export const FAILURE_HEIGHTS_M = [20, 50, 100, 150, 200, 300, 400, 500, 700, 1000].map((feet) => feet * M_PER_FT);
/** Ground for flare and roll, m; and for the take-off run. Common practice. */
export const [FLARE_GROUND_M, RUN_M] = [60, 150];
/** A half turn with what it takes to line up again, rad: three quarters of a circle. */
const BACK_RAD = 1.5 * Math.PI;
/** Height that has to be left over, m, before turning back is said to work. */
const RESERVE_M = 50 * M_PER_FT;
/** Less is no climb, m/s: 40 ft/min. */
const LEAST_CLIMB_MPS = 0.2;
/** Nobody lands with more wind behind, m/s: 10 kt. Common practice. */
const MOST_TAILWIND_MPS = 5.144;

/** What is asked of a climb-out. */
export interface ClimbOutAsked {
  /** Against the take-off; negative from behind. */
  readonly headwind_mps: number;
  /** From the beginning of the take-off run to where the ground ahead ends. */
  readonly clear_m: number;
  /** Runway, from the same beginning. */
  readonly runway_m: number;
  readonly bank_rad: number;
  readonly reaction_s: number;
}

/** A failure at a height. */
export interface GyroFailure {
  readonly height_m: number;
  /** From the beginning of the run. */
  readonly gone_m: number;
  /** Airspeed when the nose goes down. */
  readonly slowed_mps: number;
  /** Height to the flare's speed; null where it is as fast already. */
  readonly speed_m: number | null;
  /** The speed for the flare is not back before the ground. */
  readonly slow: boolean;
  /** Touchdown ahead, from the beginning of the run; what is left of the clear ground, negative over its end. */
  readonly aheadEnds_m: number;
  readonly aheadLeft_m: number;
  /** Height left when it is back over the runway, negative where it is short; null in too much wind from behind. */
  readonly backMargin_m: number | null;
  readonly works: "ahead" | "back" | "either" | "neither";
}

/** The climb-out with what works by height. */
export interface GyroDeparture {
  readonly climbSpeed_mps: number;
  readonly climb_mps: number;
  /** The turn: height, radius, and how fast the rotor turns in it over straight flight. */
  readonly turn_m: number;
  readonly radius_m: number;
  readonly rotorRise: number;
  readonly failures: readonly GyroFailure[];
  /** Lowest of the heights from which turning back works; null for none. */
  readonly backFrom_m: number | null;
}

/** Climb at full power, m/s. */
export function climbAt_mps(flight: GyroCase, tas_mps: number): number {
  const pull_N = levelPull_N(flight, tas_mps);
  if (pull_N === null) return -Infinity;
  const { thrust_N } = slipstreamOf(flight, tas_mps, fullPower_W(flight));
  return ((thrust_N - pull_N) * tas_mps) / flight.weight_N;
}

/**
 * What works when the engine stops on the climb-out, by height.
 *
 * In the reaction the nose is held up: the pull that is gone slows it, and the height stays. Then it is pushed to the
 * flare's speed. Ahead it comes down at that speed; back it turns at best glide, three quarters of a circle with the
 * lining up, and lands with the wind behind.
 *
 * @returns `no_climb` where full power does not climb, `no_way` in a wind as fast as the climb, `no_glide`
 * @see energy and geometry; the reaction, the ground of the flare and 10 kt of wind behind are common practice
 */
export function gyroDeparture(
  flight: GyroCase,
  { headwind_mps, clear_m, runway_m, bank_rad, reaction_s }: ClimbOutAsked,
): Outcome<GyroDeparture> {
  const climbSpeed_mps = goldenMinimum((tas) => -climbAt_mps(flight, tas), SLOW, FAST, CLOSE);
  const climb_mps = climbAt_mps(flight, climbSpeed_mps);
  const over_mps = climbSpeed_mps - headwind_mps;
  if (!(climb_mps > LEAST_CLIMB_MPS))
    return failure("no_climb", "At this mass and in this air full power does not climb.", "mass_kg");
  if (!(over_mps > 0))
    return failure("no_way", "The wind is as fast as the climb: it does not leave the runway behind.", "headwind_mps");
  const flare_mps = flareSpeed_mps(flight);
  const final = gyroGlideAt(flight, flare_mps, "stopped");
  const best = gyroBestGlide(flight, "stopped", -headwind_mps);
  const turning = best && gyroTurn(flight, best.tas_mps, bank_rad);
  if (!final || !best || !turning)
    return failure("no_glide", "With these figures the rotor does not carry it.", "aircraft");
  const turn_m = (turning.sink_mps * BACK_RAD * turning.radius_m) / best.tas_mps;
  const slowed_mps = Math.max(
    climbSpeed_mps - (reaction_s * (levelPull_N(flight, climbSpeed_mps) ?? 0)) / flight.mass_kg,
    0,
  );
  const recovered = slowed_mps < flare_mps ? gyroRecovery(flight, slowed_mps, flare_mps) : null;
  if (recovered && !recovered.ok) return recovered;
  const recovery: GyroRecovery | null = recovered?.value ?? null;
  const speed_m = recovery ? recovery.height_m + recovery.settling_m : null;
  const end = recovery?.path[recovery.path.length - 1] ?? null;
  const reactionGround_m = ((climbSpeed_mps + slowed_mps) / 2 - headwind_mps) * reaction_s;
  const pushGround_m = end ? end.along_m - headwind_mps * end.time_s : 0;
  const failures = FAILURE_HEIGHTS_M.map((height_m): GyroFailure => {
    const gone_m = RUN_M + (height_m / climb_mps) * over_mps;
    const rest_m = height_m - (speed_m ?? 0) - FLARE_M;
    const slow = rest_m < 0;
    // Too low for the speed it comes down with what it has, about where the push would have led.
    const glide_m = slow
      ? (pushGround_m * height_m) / Math.max((speed_m ?? 0) + FLARE_M, 1)
      : pushGround_m + (rest_m / final.sink_mps) * (flare_mps - headwind_mps);
    const aheadEnds_m = gone_m + reactionGround_m + glide_m + FLARE_GROUND_M;
    const aheadLeft_m = clear_m - aheadEnds_m;
    const away_m = Math.max(gone_m + reactionGround_m + pushGround_m - runway_m + FLARE_GROUND_M, 0);
    const backMargin_m =
      headwind_mps > MOST_TAILWIND_MPS
        ? null
        : rest_m - turn_m - (away_m / (best.tas_mps + headwind_mps)) * best.sink_mps;
    const ahead = aheadLeft_m >= 0 && !slow;
    const back = backMargin_m !== null && backMargin_m >= RESERVE_M;
    return {
      height_m,
      gone_m,
      slowed_mps,
      speed_m,
      slow,
      aheadEnds_m,
      aheadLeft_m,
      backMargin_m,
      works: ahead ? (back ? "either" : "ahead") : back ? "back" : "neither",
    };
  });
  const straight = gyroGlideAt(flight, best.tas_mps, "stopped");
  return success({
    climbSpeed_mps,
    climb_mps,
    turn_m,
    radius_m: turning.radius_m,
    rotorRise: straight ? turning.rotor_radps / straight.rotor_radps : 1,
    failures,
    backFrom_m: failures.find(({ works }) => works === "back" || works === "either")?.height_m ?? null,
  });
}
