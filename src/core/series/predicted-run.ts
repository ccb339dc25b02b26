// What the aircraft's polar says of one run: height and time of a half turn at a bank, sink of a glide at a speed.
import { airState } from "../air/atmosphere";
import { type Polar, levelTurnLoadFactor, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { ROLL_RADPS } from "../flight/roll-rate";
import { glidingTurn } from "../glide/gliding-turn";
import { liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { RHO0 } from "../quantities/constants";
import { MOST_BANK_RAD, type TestCard } from "./test-card";

/** @see predictedRun */
export interface PredictedRun {
  /** Height of 180°, m; of a glide its sink, m/s. */
  readonly amount: number;
  /** Of 180°; of a glide for 100 m of height. */
  readonly time_s: number;
  /** Equivalent airspeed that it is flown at. */
  readonly eas_mps: number;
  /** That over the stalling speed there. */
  readonly overStall: number;
}

/** What a card's runs are predicted with. */
export interface CardDay {
  readonly card: Pick<TestCard, "kind" | "speed_mps" | "overStall" | "deviation_K">;
  readonly polar: Polar;
}

/**
 * The polar of a card's aircraft as it is flown there.
 *
 * @param of - mass and air, where they are not the card's: those of a run's own log
 * @returns failures of the polar
 */
export function cardDay(card: TestCard, of: Pick<TestCard, "mass_kg" | "deviation_K"> = card): Outcome<CardDay> {
  const { mass_kg, deviation_K } = of;
  const polar = polarOf(card.aircraft, mass_kg, card.configuration);
  return polar.ok ? success({ card: { ...card, deviation_K }, polar: polar.value.polar }) : polar;
}

/** A run that begins at the card's height is about here in its middle: half of a usual half turn lower, m. */
export const middle_m = ({ start_m }: Pick<TestCard, "start_m">) => start_m - 40;

/** Speed that a half turn is briefed at: the card's, never under its margin over the stall in the turn. */
export function briefedSpeed_mps({ card, polar }: CardDay, bank_rad: number): number {
  return Math.max(card.speed_mps, card.overStall * stallSpeed_mps(polar, levelTurnLoadFactor(bank_rad)));
}

/**
 * Predicts a run.
 *
 * @param value - bank, rad, under 75°, or equivalent airspeed, m/s
 * @param altitude_m - pressure altitude in the middle of the run
 * @param eas_mps - of a turn; left out it is the briefed one
 * @returns `bank_outside`; `stalled` below the stalling speed, `beyond_terminal` where no lift could be had
 * @see glidingTurn, straightGlide for the equations
 */
export function predictedRun(day: CardDay, value: number, altitude_m: number, eas_mps?: number): Outcome<PredictedRun> {
  const { card, polar } = day;
  const density = airState(altitude_m, card.deviation_K).density;
  const turning = card.kind === "half-turn";
  if (turning && !(value > 0 && value < MOST_BANK_RAD))
    return failure("bank_outside", "A half turn is predicted from more than 0 to under 75° of bank.", "value");
  const speed = turning ? (eas_mps ?? briefedSpeed_mps(day, value)) : value;
  const bank = turning ? value : 0;
  const stall = stallSpeed_mps(polar, levelTurnLoadFactor(bank));
  const cl = liftCoefficientAt(polar, speed, bank);
  if (cl === null)
    return speed < stall * 1.2
      ? failure("stalled", "At this speed and bank the wing is stalled.", "value")
      : failure("beyond_terminal", "At this speed drag alone carries the aircraft: nothing is predicted.", "value");
  if (!turning) {
    const glide = straightGlide(polar, cl);
    const sink_mps = glide.sinkEas_mps * Math.sqrt(RHO0 / density);
    return success({ amount: sink_mps, time_s: 100 / sink_mps, eas_mps: speed, overStall: speed / stall });
  }
  const { height_m, time_s } = halfTurn(polar, speed, bank, density);
  return success({ amount: height_m, time_s, eas_mps: speed, overStall: speed / stall });
}

/** A turn counts from this share of its bank on, as it is measured; pieces that a roll is summed in. */
const [ENDS_SHARE, PIECES] = [0.25, 12];

/**
 * A half turn at a speed that is held: rolled into, steady, rolled out of; each moment as a steady turn of its bank.
 * What the roll turns is not turned at full bank: at 45° it makes the half turn about two seconds longer.
 */
function halfTurn(
  polar: Polar,
  eas_mps: number,
  bank_rad: number,
  density: number,
): { height_m: number; time_s: number } {
  const at = (bank: number) => {
    const cl = liftCoefficientAt(polar, eas_mps, bank) ?? polar.clMax;
    return glidingTurn(polar, cl, bank, density);
  };
  const steady = at(bank_rad);
  const roll_s = ((1 - ENDS_SHARE) * bank_rad) / ROLL_RADPS;
  let [turned_rad, height_m] = [0, 0];
  for (let i = 0; i < PIECES; i += 1) {
    const { rate_radps, sink_mps } = at(bank_rad * (ENDS_SHARE + ((1 - ENDS_SHARE) * (i + 0.5)) / PIECES));
    turned_rad += (rate_radps * roll_s) / PIECES;
    height_m += (sink_mps * roll_s) / PIECES;
  }
  const steady_s = Math.max(Math.PI - 2 * turned_rad, 0) / steady.rate_radps;
  return { height_m: 2 * height_m + steady.sink_mps * steady_s, time_s: 2 * roll_s + steady_s };
}
