// One turnback from the end of the reaction: an optional straight extension, the turn, the intercept of the runway's
// line, the glide to its end. Flown as a point mass in the wind by a pilot with a fixed technique; no search here.
import { rolledTowards } from "../flight/roll-rate";
import { clamp } from "../numeric/clamp";
import { G0, RHO0 } from "../quantities/constants";
import { type AirColumn, airSample, readAir } from "../flight/air-column";
import type { LandingBody, LandingRoll } from "../landing/landing-roll";
import { rollOnRunway } from "./roll-on-runway";
import { type Body, type Control, type Loads, type Motion, advance, loadsOf } from "../flight/point-mass";
import { loadToHoldSpeed } from "../flight/speed-hold";

/** The runway behind: from its beginning (x 0) to its end. */
export interface Runway {
  readonly length_m: number;
}

/** The aeroplane gliding, the air and the runway: what all turnbacks of a day share. */
export interface TurnbackCase {
  readonly body: Body;
  readonly landing: LandingBody;
  /** Equivalent airspeed of best glide. */
  readonly best_mps: number;
  readonly air: AirColumn;
  readonly runway: Runway;
  /** Deceleration of the landing roll, of g. */
  readonly braking: number;
}

/** How a turnback is flown. */
export interface Technique {
  /** Direction of the turn: −1 left, +1 right. */
  readonly side: 1 | -1;
  readonly bank_rad: number;
  /** k: speed in the turn over the stall speed there. */
  readonly stallMargin: number;
  /** Δ: greatest angle to the runway on the way back to its line. */
  readonly intercept_rad: number;
  /** Straight on before the turn. */
  readonly extension_s: number;
}

/** Parts of the flight, as the ledger and the chart name them. */
export type FlightPart = "reaction" | "extension" | "turn" | "intercept" | "final";

/** A moment of a flight. */
export interface FlightPoint extends Readonly<Motion> {
  readonly time_s: number;
  readonly bank_rad: number;
  readonly loadFactor: number;
  /** Airspeed over the stalling speed at the lift of the moment: √(CLmax/CL). */
  readonly stallMargin: number;
  readonly part: FlightPart;
}

/** What became of a turnback. */
export interface TurnbackResult {
  readonly aligned: boolean;
  /**
   * min(height at alignment − 10 m, height over the runway's end − 3 m); continued below ground so that it is smooth.
   */
  readonly margin_m: number;
  readonly alignedHeight_m: number;
  readonly alignedX_m: number;
  /** Over the runway's end; null when aligned over the runway itself. */
  readonly endHeight_m: number | null;
  /** Runway left over after the earliest touchdown, flare and roll; null when never aligned. */
  readonly spare_m: number | null;
  readonly touchdownX_m: number;
  readonly roll: LandingRoll;
  readonly time_s: number;
}

/** Aligned: this near to the line, this near to its direction, this level. */
const ALIGNED_M = 12;
const ALIGNED_RAD = (8 * Math.PI) / 180;
const ALIGNED_BANK_RAD = (10 * Math.PI) / 180;
/** Heights that must be left: where it is aligned, and over the runway's end. */
const ALIGNED_LEAST_M = 10;
const END_LEAST_M = 3;
/** Margin over the stall that bank and load keep all the time. */
const LEAST_MARGIN = 1.05;
/**
 * Below this height, and once the turn is over, bank stays under 30°: with the bank of the turn a roll of 20°/s is too
 * slow for the line and the flight weaves about it until it is too low.
 */
const LOW_M = 15;
const INTERCEPT_BANK_RAD = Math.PI / 6;
/** The turn onto the line is planned with this share of it; the heading error is worked off at this rate, 1/s. */
const INTERCEPT_TAN = Math.tan(0.85 * INTERCEPT_BANK_RAD);
const HEADING_GAIN = 0.9;
/** Close to the line the angle to it is the offset over this length. */
const CAPTURE_M = 50;
/** The offset is looked at so far ahead, for the time that rolling out takes. */
const LEAD_S = 1;
/** Steps while turning, and while straight and settled on its course. */
const STEP_S = 0.2;
const CALM_STEP_S = 0.4;
const CALM_RAD = (3 * Math.PI) / 180;
/** A flight that is this deep below the runway, or this long, has failed whatever it does next. */
const DEEPEST_M = -450;
const LONGEST_S = 400;

const HERE = airSample();
const LOADS: Loads = { cl: 0, n: 0, drag: 0, limited: false };

/** Share of a step after which something that is still to come at 1 or more, and reached below 1, is reached. */
function shareReached(before: number, now: number): number {
  return Number.isFinite(before) && before > now ? clamp((before - 1) / (before - now), 0, 1) : 1;
}

/** Length of the next step: short while turning; the last one of the extension ends with it. */
function stepOf(part: FlightPart, bank_rad: number, command_rad: number, extension_s: number): number {
  if (part === "extension") return Math.min(CALM_STEP_S, Math.max(extension_s, 1e-6));
  const calm = part !== "turn" && Math.abs(bank_rad) < CALM_RAD && Math.abs(command_rad) < CALM_RAD;
  return calm ? CALM_STEP_S : STEP_S;
}

/** Height at which a place along the runway is passed within a step. */
function heightPassing(at_m: number, xBefore_m: number, heightBefore_m: number, now: Readonly<Motion>): number {
  const share = xBefore_m > now.x_m ? (xBefore_m - at_m) / (xBefore_m - now.x_m) : 1;
  return heightBefore_m + clamp(share, 0, 1) * (now.height_m - heightBefore_m);
}

/** Angle to the runway's line that is flown back to it, from the offset looked ahead to. */
function interceptAngle(ahead_m: number, radius_m: number, greatest_rad: number): number {
  const off = Math.abs(ahead_m);
  return Math.min(greatest_rad, Math.acos(Math.max(1 - off / radius_m, -1)), off / CAPTURE_M);
}

/** How far from being aligned, each in its own measure: below 1 it is. */
function awayFromAligned(offset_m: number, off_rad: number, bank_rad: number): number {
  return Math.max(
    Math.abs(offset_m) / ALIGNED_M,
    Math.abs(off_rad) / ALIGNED_RAD,
    Math.abs(bank_rad) / ALIGNED_BANK_RAD,
  );
}

/** Bank that stall margin, low height and the technique leave. */
function greatestBank(body: Body, tas_mps: number, density: number, wanted_rad: number, steep: boolean): number {
  const stall = Math.sqrt((2 * body.wingLoading) / (density * body.clMax));
  const cosLeast = ((LEAST_MARGIN * stall) / tas_mps) ** 2;
  return Math.min(wanted_rad, cosLeast < 1 ? Math.acos(cosLeast) : 0, steep ? Math.PI / 2 : INTERCEPT_BANK_RAD);
}

/** How a flight is to be flown and watched. */
export interface FlightOptions {
  /** End as soon as it is certain not to arrive: for counting, where only success matters. */
  readonly onlySuccess?: boolean;
  readonly record?: (point: FlightPoint) => void;
}

/**
 * Flies one turnback.
 *
 * The track wanted is side·(π + δ), δ = min(Δ, acos(1 − |e|/Rc), |e|/50 m) towards the runway's line, Rc = Vg²/(g·tan
 * 25.5°); bank = atan(0.9·Vg·error/g), at most the technique's in the turn and 30° after it, and cosφ ≥ (1.05·VS/V)².
 * The speed is k·VS/√cosφ until it is aligned; before the turn and on final best glide.
 *
 * @param motion - at the end of the reaction; written in place
 * @param began_s - time since the failure
 */
export function flyTurnback(
  { body, landing, best_mps, air, runway, braking }: TurnbackCase,
  motion: Motion,
  technique: Technique,
  began_s: number,
  options: FlightOptions = {},
): TurnbackResult {
  const { side, bank_rad: bankWanted, stallMargin, intercept_rad, extension_s } = technique;
  const roll = rollOnRunway(landing, air, -1, braking);
  const clLimit = body.clMax / LEAST_MARGIN ** 2;
  const turnEas = stallMargin * Math.sqrt((2 * body.wingLoading) / (RHO0 * body.clMax * Math.cos(bankWanted)));
  const control: Control = { hold: "load", value: 1, clLimit, bank_rad: 0 };
  let [time_s, bank_rad, step] = [began_s, 0, STEP_S];
  let part: FlightPart = extension_s > 0 ? "extension" : "turn";
  let aligned: Alignment | null = null;
  let endHeight_m: number | null = null;
  // The moment is interpolated: what is still to come is 1 or more, what is reached is below 1.
  let awayBefore = Infinity;
  let [heightBefore, xBefore] = [motion.height_m, motion.x_m];

  while (time_s < LONGEST_S && motion.height_m > DEEPEST_M) {
    const { density, along_mps, across_mps } = readAir(air, motion.height_m, HERE);
    const slow = Math.sqrt(density / RHO0);
    const horizontal = motion.tas_mps * Math.cos(motion.gamma_rad);
    const cosPsi = Math.cos(motion.psi_rad);
    const sinPsi = Math.sin(motion.psi_rad);
    const vx = horizontal * cosPsi + along_mps;
    const vy = horizontal * sinPsi + across_mps;
    const groundSpeed = Math.sqrt(vx * vx + vy * vy);
    // Drift is the small angle between track and heading, so the track turns as often as the heading.
    const drift = Math.atan2(vy * cosPsi - vx * sinPsi, vx * cosPsi + vy * sinPsi);
    const track = motion.psi_rad + drift;
    const offset = side * motion.y_m;
    const ahead = offset + side * vy * LEAD_S;
    const radius = (groundSpeed * groundSpeed) / (G0 * INTERCEPT_TAN);
    const angle = interceptAngle(ahead, radius, intercept_rad);
    const error = side * (Math.PI + Math.sign(ahead) * angle) - track;

    if (part === "turn" || part === "intercept") {
      const off = side * Math.PI - track;
      const away = awayFromAligned(offset, off, bank_rad);
      if (away < 1 && Math.abs(off) < Math.PI / 2) {
        const share = shareReached(awayBefore, away);
        aligned = {
          height_m: heightBefore + share * (motion.height_m - heightBefore),
          x_m: xBefore + share * (motion.x_m - xBefore),
        };
        part = "final";
      }
      awayBefore = away;
    }
    if (aligned && motion.x_m <= runway.length_m) {
      if (aligned.x_m > runway.length_m) {
        endHeight_m = heightPassing(runway.length_m, xBefore, heightBefore, motion);
      }
      break;
    }
    if (options.onlySuccess && motion.height_m < (aligned ? END_LEAST_M : ALIGNED_LEAST_M)) break;
    heightBefore = motion.height_m;
    xBefore = motion.x_m;

    let command = 0;
    let target = best_mps;
    if (part !== "extension") {
      command = Math.atan((HEADING_GAIN * groundSpeed * error) / G0);
      if (part === "turn" && Math.abs(command) < bankWanted) part = "intercept";
      const steep = part === "turn" && motion.height_m > LOW_M;
      const most = greatestBank(body, motion.tas_mps, density, bankWanted, steep);
      command = clamp(command, -most, most);
      if (part !== "final") target = turnEas;
    }
    step = stepOf(part, bank_rad, command, began_s + extension_s - time_s);
    bank_rad = rolledTowards(bank_rad, command, step);
    control.value = loadToHoldSpeed(motion, body, HERE, target / slow, bank_rad, clLimit);
    control.bank_rad = bank_rad;
    if (options.record) {
      loadsOf(body, motion, control, density, LOADS);
      options.record({
        ...motion,
        time_s,
        bank_rad,
        loadFactor: LOADS.n,
        stallMargin: Math.sqrt(body.clMax / Math.max(LOADS.cl, 1e-3)),
        part,
      });
    }
    advance(motion, body, air, control, step);
    time_s += step;
    if (part === "extension" && time_s >= began_s + extension_s - 1e-9) part = "turn";
  }

  const end = { motion, aligned, endHeight_m, time_s };
  return resultOf(end, side, runway, roll);
}

/** Where and how high it was aligned. */
interface Alignment {
  readonly height_m: number;
  readonly x_m: number;
}

interface FlightEnd {
  readonly motion: Readonly<Motion>;
  readonly aligned: Alignment | null;
  readonly endHeight_m: number | null;
  readonly time_s: number;
}

/** What the end of a flight is worth. */
function resultOf(
  { motion, aligned, endHeight_m, time_s }: FlightEnd,
  side: 1 | -1,
  runway: Runway,
  roll: LandingRoll,
): TurnbackResult {
  if (!aligned) {
    const missing = Math.abs(side * Math.PI - motion.psi_rad);
    return {
      aligned: false,
      margin_m: Math.min(motion.height_m, 0) - ALIGNED_LEAST_M - 20 * missing,
      alignedHeight_m: motion.height_m,
      alignedX_m: motion.x_m,
      endHeight_m: null,
      spare_m: null,
      touchdownX_m: motion.x_m,
      roll,
      time_s,
    };
  }
  const margin_m = Math.min(
    aligned.height_m - ALIGNED_LEAST_M,
    endHeight_m === null ? Infinity : endHeight_m - END_LEAST_M,
  );
  const touchdownX_m =
    Math.min(runway.length_m, aligned.x_m - Math.max(aligned.height_m, 0) * roll.steepRatio) - roll.flare_m;
  return {
    aligned: true,
    margin_m,
    alignedHeight_m: aligned.height_m,
    alignedX_m: aligned.x_m,
    endHeight_m,
    spare_m: touchdownX_m - roll.roll_m,
    touchdownX_m,
    roll,
    time_s,
  };
}
