// The same turn at height, over a hard deck: what a good one costs, and the tolerance to beat.
import { clamp } from "../numeric/clamp";
import { ROLL_RADPS, rolledTowards } from "../flight/roll-rate";
import type { AirMass } from "../air/altimetry";
import { RHO0 } from "../quantities/constants";
import { type AirColumn, airColumn, airSample, readAir } from "../flight/air-column";
import { plannedReaction_s } from "../situation/pilot-practice";
import { type Draw, type Scatter, delay_s, drawnBank_rad } from "../situation/scatter";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import {
  type Body,
  type Control,
  type Loads,
  type Motion,
  advance,
  loadsOf,
  thrustOverWeight,
} from "../flight/point-mass";
import { react } from "./reaction";
import { loadToHoldSpeed } from "../flight/speed-hold";

/** How the practice begins: nose high and slow from a climb at full power, or from fast level flight. */
export type PracticeEntry = "climb" | "level";

/** Height lost from the failure until the wings are level again. */
export interface PracticeTarget {
  readonly entry: PracticeEntry;
  readonly turn_rad: number;
  readonly loss_m: number;
  readonly time_s: number;
  /** One standard deviation of the loss under the usual scatter of pilots. */
  readonly tolerance_m: number;
}

const STEP_S = 0.1;
const LEAST_MARGIN = 1.05;
/** Rolling out begins this many seconds of roll before the heading, half of what the roll takes. */
const LEAD_SHARE = 0.5;
/** Height over the hard deck at which it begins, m; the loss hardly depends on it. */
const START_M = 300;
/** A turn that takes longer than this is not flown: that of the least bank that is drawn takes four minutes. */
const LONGEST_S = 600;
/** Fast level flight over best glide: cruise of a light single. Common practice. */
const FAST = 1.4;
const LOADS: Loads = { cl: 0, n: 0, drag: 0, limited: false };

/** How the practice is flown. */
export interface PracticeTechnique {
  readonly bank_rad: number;
  readonly stallMargin: number;
}

/**
 * Height lost in a turn of 180° or 360° at a hard deck, through the reaction, the turn and back to level wings and best
 * glide. Still air: a uniform wind only carries the turn along. From a climb at full power the nose has to come down
 * and the speed up to the turn's first, and the steeper the turn the more speed it asks for; from fast level flight the
 * speed is there and pays for part of the turn.
 *
 * @returns null when the reaction ends in a stall, or the turn is never done
 */
export function practiceTarget(
  day: DepartureDay,
  question: DepartureQuestion,
  entry: PracticeEntry,
  technique: PracticeTechnique,
  turn_rad: number,
  scatter: Scatter,
  sample: readonly Draw[],
): PracticeTarget | null {
  const air = stillAir(question.air, question.plan.hardDeck_m);
  const reaction_s = plannedReaction_s(question.pilot);
  const planned = flown(day, question, air, entry, technique, turn_rad, reaction_s, day.body, day.best_mps);
  if (!planned) return null;
  const losses = sample.flatMap((draw) => {
    const drag = 1 / Math.max(1 + scatter.glide * draw.glide, 0.5);
    const speed = 1 + scatter.speed * draw.speed;
    const body: Body = { ...day.body, cd0: day.body.cd0 * drag, k: day.body.k * drag };
    const turn = flown(
      day,
      question,
      air,
      entry,
      {
        bank_rad: drawnBank_rad(technique.bank_rad, scatter.bank_rad, draw.bank),
        stallMargin: Math.max(technique.stallMargin * speed, LEAST_MARGIN),
      },
      turn_rad,
      delay_s(reaction_s, scatter.delay_s, draw.delay),
      body,
      day.best_mps * speed,
    );
    return turn ? [turn.loss_m] : [];
  });
  const mean = losses.reduce((sum, loss) => sum + loss, 0) / Math.max(losses.length, 1);
  const variance = losses.reduce((sum, loss) => sum + (loss - mean) ** 2, 0) / Math.max(losses.length - 1, 1);
  return { entry, turn_rad, ...planned, tolerance_m: Math.sqrt(variance) };
}

function stillAir(air: AirMass, hardDeck_m: number): AirColumn {
  return airColumn(air, () => ({ east_mps: 0, north_mps: 0 }), hardDeck_m, 0, START_M + 100);
}

function flown(
  day: DepartureDay,
  question: DepartureQuestion,
  air: AirColumn,
  entry: PracticeEntry,
  { bank_rad: wanted, stallMargin }: PracticeTechnique,
  turn_rad: number,
  reaction_s: number,
  body: Body,
  best_mps: number,
): { loss_m: number; time_s: number } | null {
  const here = readAir(air, START_M, airSample());
  const tas_mps = (entry === "climb" ? day.climbEas_mps : FAST * day.best_mps) * Math.sqrt(RHO0 / here.density);
  const motion: Motion = { tas_mps, gamma_rad: 0, psi_rad: 0, x_m: 0, y_m: 0, height_m: START_M };
  if (entry === "climb") {
    const steady: Control = { hold: "load", value: 1, clLimit: body.clMax, bank_rad: 0 };
    loadsOf(day.running, motion, steady, here.density, LOADS);
    const thrust = day.running.thrust ? thrustOverWeight(day.running.thrust, tas_mps, here.density) : 0;
    motion.gamma_rad = Math.asin(clamp(thrust - LOADS.drag, -0.5, 0.5));
  }
  if (react(motion, body, air, question.plan.reaction, reaction_s).stalledAfter_s !== null) return null;
  const clLimit = body.clMax / LEAST_MARGIN ** 2;
  const turnEas = stallMargin * Math.sqrt((2 * body.wingLoading) / (RHO0 * body.clMax * Math.cos(wanted)));
  const control: Control = { hold: "load", value: 1, clLimit, bank_rad: 0 };
  let [time_s, bank_rad, rate_radps] = [reaction_s, 0, 0];
  while (time_s < LONGEST_S) {
    const lead = LEAD_SHARE * rate_radps * (bank_rad / ROLL_RADPS);
    const turning = motion.psi_rad + lead < turn_rad;
    if (!turning && bank_rad <= 0) return { loss_m: START_M - motion.height_m, time_s };
    readAir(air, motion.height_m, here);
    const stall = Math.sqrt((2 * body.wingLoading) / (here.density * body.clMax));
    const cosLeast = ((LEAST_MARGIN * stall) / motion.tas_mps) ** 2;
    const most = cosLeast < 1 ? Math.acos(cosLeast) : 0;
    const target = turning ? Math.min(wanted, most) : 0;
    bank_rad = Math.max(rolledTowards(bank_rad, target, STEP_S), 0);
    control.bank_rad = bank_rad;
    control.value = loadToHoldSpeed(
      motion,
      body,
      here,
      (turning ? turnEas : best_mps) * Math.sqrt(RHO0 / here.density),
      bank_rad,
      clLimit,
    );
    const before = motion.psi_rad;
    advance(motion, body, air, control, STEP_S);
    rate_radps = (motion.psi_rad - before) / STEP_S;
    time_s += STEP_S;
  }
  return null;
}
