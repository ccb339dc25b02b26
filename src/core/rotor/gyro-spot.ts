// To a spot with the engine stopped: straight, by S-turns, by descending vertically, and speed for the flare in time.
import { type Outcome, failure, success } from "../outcome";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { type GyroTurn, gyroBestGlide, gyroGlideAt, gyroTurn } from "./gyro-glide";
import { type GyroRecovery, flareSpeed_mps, gyroRecovery } from "./gyro-recovery";
import type { GyroCase } from "./gyro-rotor";

/** S-turns: headings to either side of the way, the one that is flown if it does, and bank, rad. */
const S_HEADINGS = [60, 45, 30, 20].map((deg) => (deg * Math.PI) / 180);
const S_BANK = (30 * Math.PI) / 180;
/** Most S-turns that are told. */
const MOST_S = 12;
/** Height at which the flare begins, m: 30 ft. Common practice. */
export const FLARE_M = 30 * M_PER_FT;
/** Below this nobody descends slowly, m: 500 ft, at less than 35 kt. Common practice. */
export const SLOW_FLOOR_M = 500 * M_PER_FT;
/** Airspeeds of a slow descent that are tried, m/s: the vertical one first. */
const SLOW_MPS = [0, 10, 20].map((kt) => kt * MPS_PER_KT);
/** Reserve of height that an option must leave to be said to work, and what may be over without overshooting, m. */
export const [SPOT_RESERVE_M, MOST_OVER_M] = [50 * M_PER_FT, 150 * M_PER_FT];
/** The better first. */
const VERDICTS: readonly SpotVerdict[] = ["works", "under-floor", "too-high", "too-low"];

/** What a way to the spot spends, in the order in which it is flown. */
export interface SpotItem {
  readonly name: "glide" | "s-turns" | "slow" | "push" | "final" | "flare";
  readonly height_m: number;
  readonly time_s: number;
  /** Over the ground, towards the spot positive. */
  readonly ground_m: number;
}

/** How a way comes out. */
export type SpotVerdict = "works" | "too-low" | "too-high" | "under-floor";

/** A way to the spot. */
export interface SpotWay {
  readonly kind: "straight" | "s-turns" | "slow";
  readonly verdict: SpotVerdict;
  readonly items: readonly SpotItem[];
  /** What is left over the height of the flare when the spot is reached; negative where it is short. */
  readonly margin_m: number;
  /** S-turns flown, and how far to either side of the way they lead. */
  readonly turns: number;
  readonly turnHeading_rad: number;
  /** Airspeed of the slow part; null without one. */
  readonly slow_mps: number | null;
  /** Height at which the push begins; null without one. */
  readonly pushAt_m: number | null;
}

/** Where the gyroplane is, from the spot. */
export interface SpotPosition {
  readonly height_m: number;
  /** To the spot along the landing direction, ahead positive; behind negative. */
  readonly ahead_m: number;
  /** Against the landing; negative from behind. */
  readonly headwind_mps: number;
}

/** Rates of something that is flown. */
interface Rates {
  readonly sink_mps: number;
  readonly ground_mps: number;
}

/** One S-turn: to either side and back, on a rotor that carries more. */
export interface STurn extends GyroTurn {
  readonly heading_rad: number;
  readonly time_s: number;
  readonly height_m: number;
  readonly air_m: number;
}

/**
 * An S-turn at an airspeed, with 30° of bank.
 *
 * @returns null where the rotor does not carry it
 */
export function sTurn(flight: GyroCase, tas_mps: number, heading_rad = S_HEADINGS[0]): STurn | null {
  const turn = gyroTurn(flight, tas_mps, S_BANK);
  if (!turn) return null;
  const time_s = (4 * heading_rad * turn.radius_m) / tas_mps;
  return {
    ...turn,
    heading_rad,
    time_s,
    height_m: turn.sink_mps * time_s,
    air_m: 4 * turn.radius_m * Math.sin(heading_rad),
  };
}

/**
 * Ways to the spot: straight at best glide for the wind, with S-turns, with a vertical or slow descent and speed got
 * back before the flare. Each begins where the gyroplane is, into the landing direction.
 *
 * @returns the ones that work first: straight before S-turns before slow; `no_glide`, and `no_way` in a wind as fast
 *   as the flare
 * @see ledger of heights; the slow part is solved so that the final ends at the spot
 */
export function waysToSpot(flight: GyroCase, position: SpotPosition): Outcome<SpotWay[]> {
  const { height_m, ahead_m, headwind_mps } = position;
  const best = gyroBestGlide(flight, "stopped", Math.max(headwind_mps, 0));
  const flare_mps = flareSpeed_mps(flight);
  const final = gyroGlideAt(flight, flare_mps, "stopped");
  if (!best || !final) return failure("no_glide", "No speed makes way against this wind.", "headwind_mps");
  if (!(flare_mps > headwind_mps))
    return failure(
      "no_way",
      "The wind is as fast as the flare’s speed: no final makes way against it.",
      "headwind_mps",
    );
  const usable_m = height_m - FLARE_M;
  const rates = (tas_mps: number, sink_mps: number): Rates => ({ sink_mps, ground_mps: tas_mps - headwind_mps });
  const item = (name: SpotItem["name"], time_s: number, { sink_mps, ground_mps }: Rates): SpotItem => ({
    name,
    time_s,
    height_m: sink_mps * time_s,
    ground_m: ground_mps * time_s,
  });
  const flare: SpotItem = { name: "flare", height_m: FLARE_M, time_s: 0, ground_m: 0 };
  const glideRates = rates(best.tas_mps, best.sink_mps);
  const ways: SpotWay[] = [];

  // Straight: what is over at the spot is too much height, or too little.
  if (glideRates.ground_mps > 0 && ahead_m > 0) {
    const straight = item("glide", ahead_m / glideRates.ground_mps, glideRates);
    const margin_m = usable_m - straight.height_m;
    ways.push({
      kind: "straight",
      verdict: verdictOf(margin_m, MOST_OVER_M),
      items: [straight, flare],
      margin_m,
      turns: 0,
      turnHeading_rad: 0,
      slow_mps: null,
      pushAt_m: null,
    });
    const turned = S_HEADINGS.flatMap((heading_rad) => {
      const turn = sTurn(flight, best.tas_mps, heading_rad);
      return (turn && withSTurns(turn, { usable_m, ahead_m, headwind_mps }, glideRates)) ?? [];
    });
    const way = turned.find(({ verdict }) => verdict === "works") ?? turned.at(0);
    if (way) ways.push({ ...way, items: [...way.items, flare] });
  }

  for (const slow_mps of SLOW_MPS) {
    const slow = gyroGlideAt(flight, slow_mps, "stopped");
    const recovery = gyroRecovery(flight, slow_mps, flare_mps);
    if (!slow || !recovery.ok) continue;
    const way = slowWay(
      { usable_m: usable_m - SPOT_RESERVE_M, ahead_m, headwind_mps },
      slow_mps,
      slow.sink_mps,
      recovery.value,
      rates(flare_mps, final.sink_mps),
    );
    if (way) ways.push({ ...way, items: [...way.items, flare] });
  }
  const rank = ({ verdict }: SpotWay) => VERDICTS.indexOf(verdict);
  return success(ways.sort((a, b) => rank(a) - rank(b)));
}

/** As many S-turns as there is height for, then the straight glide; null where there is none for one. */
function withSTurns(
  turn: STurn,
  { usable_m, ahead_m, headwind_mps }: { usable_m: number; ahead_m: number; headwind_mps: number },
  glide: Rates,
): SpotWay | null {
  const height = (ground_m: number) => (ground_m / glide.ground_mps) * glide.sink_mps;
  const each_m = turn.air_m - headwind_mps * turn.time_s;
  // What an S-turn costs beyond the straight glide over the same ground.
  const extra_m = turn.height_m - height(each_m);
  const spare_m = usable_m - height(ahead_m) - SPOT_RESERVE_M;
  const turns = Math.min(Math.floor(spare_m / extra_m), MOST_S, each_m > 0 ? Math.floor(ahead_m / each_m) : MOST_S);
  if (!(extra_m > 0 && turns >= 1)) return null;
  const rest_m = ahead_m - turns * each_m;
  const left_m = usable_m - turns * turn.height_m - height(rest_m);
  return {
    kind: "s-turns",
    verdict: verdictOf(left_m, MOST_OVER_M),
    items: [
      { name: "s-turns", height_m: turns * turn.height_m, time_s: turns * turn.time_s, ground_m: turns * each_m },
      { name: "glide", height_m: height(rest_m), time_s: rest_m / glide.ground_mps, ground_m: rest_m },
    ],
    margin_m: left_m,
    turns,
    turnHeading_rad: turn.heading_rad,
    slow_mps: null,
    pushAt_m: null,
  };
}

/** What is over at the spot decides: too little, enough, or so much that the spot is overshot. */
function verdictOf(margin_m: number, most_m: number): SpotVerdict {
  if (margin_m < SPOT_RESERVE_M) return "too-low";
  return margin_m > most_m ? "too-high" : "works";
}

/** A slow descent first, the push, then the final at the flare's speed, which ends at the spot with the reserve. */
function slowWay(
  { usable_m, ahead_m, headwind_mps }: { usable_m: number; ahead_m: number; headwind_mps: number },
  slow_mps: number,
  slowSink_mps: number,
  recovery: GyroRecovery,
  final: Rates,
): SpotWay | null {
  const end = recovery.path[recovery.path.length - 1];
  const push_m = recovery.height_m + recovery.settling_m;
  const pushGround_m = end.along_m - headwind_mps * end.time_s;
  const slowGround_mps = slow_mps - headwind_mps;
  // h = push + sink·t + (final sink)·tf and d = push's + slow·t + final·tf: two equations for t and tf.
  const height_m = usable_m - push_m;
  const ground_m = ahead_m - pushGround_m;
  const determinant = slowSink_mps * final.ground_mps - final.sink_mps * slowGround_mps;
  if (!(Math.abs(determinant) > 1e-6)) return null;
  const slow_s = (height_m * final.ground_mps - final.sink_mps * ground_m) / determinant;
  const final_s = (slowSink_mps * ground_m - height_m * slowGround_mps) / determinant;
  if (!(slow_s >= 0 && slow_s < 3600 && final_s < 3600)) return null;
  const pushAt_m = usable_m + SPOT_RESERVE_M + FLARE_M - slowSink_mps * slow_s;
  const underFloor = pushAt_m < SLOW_FLOOR_M;
  return {
    kind: "slow",
    verdict: final_s < 0 ? "too-low" : underFloor ? "under-floor" : "works",
    items: [
      { name: "slow", height_m: slowSink_mps * slow_s, time_s: slow_s, ground_m: slowGround_mps * slow_s },
      { name: "push", height_m: push_m, time_s: end.time_s, ground_m: pushGround_m },
      {
        name: "final",
        height_m: final.sink_mps * Math.max(final_s, 0),
        time_s: Math.max(final_s, 0),
        ground_m: final.ground_mps * Math.max(final_s, 0),
      },
    ],
    // Where the final would have to be flown backwards, the push begins too low.
    margin_m: SPOT_RESERVE_M + Math.min(final_s, 0) * final.sink_mps,
    turns: 0,
    turnHeading_rad: 0,
    slow_mps,
    pushAt_m,
  };
}

/** What moves the spot. */
export interface SpotError {
  readonly name: "wind" | "sink" | "late";
  readonly ground_m: number;
}

/**
 * What moves the spot of a glide: ±5 kt of wind, ±10 % of sink, half a second late on the last turn; and their root sum
 * of squares.
 *
 * @param height_m - above the spot
 * @see propagation of errors, to first order
 */
export function spotErrors(
  flight: GyroCase,
  height_m: number,
  headwind_mps: number,
): { readonly errors: readonly SpotError[]; readonly together_m: number } | null {
  const best = gyroBestGlide(flight, "stopped", Math.max(headwind_mps, 0));
  if (!best) return null;
  const time_s = height_m / best.sink_mps;
  const errors: SpotError[] = [
    { name: "sink", ground_m: 0.1 * Math.abs(best.tas_mps - headwind_mps) * time_s },
    { name: "wind", ground_m: 5 * MPS_PER_KT * time_s },
    { name: "late", ground_m: 0.5 * Math.abs(best.tas_mps - headwind_mps) },
  ];
  return { errors, together_m: Math.hypot(...errors.map(({ ground_m }) => ground_m)) };
}
