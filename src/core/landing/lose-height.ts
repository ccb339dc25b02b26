// Too high on the way in: an order of what loses height that loses what is asked and not more. Reversible things first;
// gear and last flap when it is certain.
import type { Configuration } from "../aircraft/configuration";
import { polarOf, stallSpeed_mps } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { bestGlide, liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import type { LossAction } from "../situation/landing-plan";
import type { LoseQuestion } from "./lose-question";
import {
  type DragItem,
  FAST_SHARE,
  type SlopeOf,
  WEAVE_FLOOR,
  dragItems,
  fasterGlide,
  fullTurn,
  weaving,
} from "./loss-means";
import { type LossOption, lossOptions } from "./loss-options";

/** One step of the plan. */
export interface LossStep {
  readonly action: LossAction;
  readonly name: string;
  readonly flap: number | null;
  /** Height over the aim point at which it begins and what it is over. */
  readonly from_m: number;
  readonly to_m: number;
  /** Ground covered; 0 for a full turn. */
  readonly ground_m: number;
  readonly time_s: number;
  /** What it loses beyond what the glide would have. */
  readonly loses_m: number;
}

/** The plan. */
export interface LossPlan {
  readonly eas_mps: number;
  /** Ground left at the beginning: what the glide as flown covers with the height that is not to be lost. */
  readonly distance_m: number;
  readonly options: readonly LossOption[];
  readonly steps: readonly LossStep[];
  readonly loses_m: number;
  /** Still too high by, when everything that is allowed is not enough. */
  readonly left_m: number;
  readonly time_s: number;
}

/** Slower than this over the stall is not asked about. */
const LEAST_STALL = 1.2;
const TINY_M = 0.01;
/**
 * Gear and last flap are not used for less than this height, nor for less than this share of what is to be lost, nor
 * below this height. Common practice.
 */
const LATE_ENOUGH_M = 3;
const ENOUGH = 0.02;
const LATE_FLOOR_M = 30;

/**
 * What can be lost, and the order.
 *
 * Each drag item loses x·(tanγ₁ − tanγ₀) over the ground x; S-turns lengthen the way by ψm/sinψm; a full turn loses
 * 2π·dh/dψ.
 *
 * @returns failures of the polar; `too_slow` under 1.2 V_S, `too_fast` beyond a terminal dive, `no_headway` against
 *   the wind
 */
export function loseHeight(question: LoseQuestion): Outcome<LossPlan> {
  const { aircraft, mass_kg, configuration, height_m, lose_m, tailwind_mps } = question;
  const gliding = polarOf(aircraft, mass_kg, configuration);
  if (!gliding.ok) return gliding;
  const { polar } = gliding.value;
  const eas_mps = question.eas_mps ?? Math.max(bestGlide(polar).eas_mps, LEAST_STALL * stallSpeed_mps(polar));
  if (!(eas_mps >= LEAST_STALL * stallSpeed_mps(polar) - 1e-9))
    return failure(
      "too_slow",
      "That is under 1.2 times the stall speed: slower than this nothing is lost that way.",
      "eas_mps",
    );
  if (lose_m >= height_m)
    return failure("lose_too_much", "More is to be lost than there is over the aim point.", "lose_m");
  const { sigma } = airAtAltitude(question.elevation_m + height_m / 2, question.air);
  const root = Math.sqrt(sigma);
  /** Sink over ground speed of a configuration at a speed; null when it cannot be flown there. */
  const slope: SlopeOf = (config, eas) => {
    const configured = polarOf(aircraft, mass_kg, config);
    if (!configured.ok) return null;
    const cl = liftCoefficientAt(configured.value.polar, eas);
    if (cl === null) return null;
    const glide = straightGlide(configured.value.polar, cl);
    const ground = (eas * Math.cos(glide.angle_rad)) / root + tailwind_mps;
    return ground > 1 ? glide.sinkEas_mps / root / ground : null;
  };
  const clean = slope(configuration, eas_mps);
  if (clean === null)
    return failure(
      "no_headway",
      "At this speed and against this wind it makes no headway, or it is faster than it can glide.",
      "eas_mps",
    );
  const ground_mps =
    (eas_mps * Math.cos(straightGlide(polar, liftCoefficientAt(polar, eas_mps) ?? polar.clMax).angle_rad)) / root +
    tailwind_mps;
  const distance_m = (height_m - lose_m) / clean;
  const turn = fullTurn(question, eas_mps, sigma);
  const weave = weaving(question, eas_mps, root, clean);
  const items = dragItems(question, eas_mps);
  const faster = fasterGlide(question, eas_mps, slope);
  const options = lossOptions({
    question,
    eas_mps,
    root,
    distance_m,
    clean,
    ground_mps,
    turn,
    weave,
    items,
    slope,
    faster,
  });

  const line: Line = { question, clean, ground_mps, height_m, distance_m, excess_m: lose_m, steps: [] };
  loseByTurns(line, turn);
  if (weave) loseByWeaving(line, weave);
  if (faster) loseBySpeed(line, faster, (faster.eas_mps - eas_mps) / root);
  loseByDrag(line, items, slope);
  const { steps, distance_m: left } = line;
  const loses_m = steps.reduce((sum, step) => sum + step.loses_m, 0);
  return success({
    eas_mps,
    distance_m,
    options,
    steps,
    loses_m,
    left_m: Math.max(lose_m - loses_m, 0),
    time_s: left / ground_mps + steps.filter((step) => step.to_m > 0).reduce((sum, step) => sum + step.time_s, 0),
  });
}

/** The way down as it is planned so far: what is still to be lost, and what is left to lose it on. */
interface Line {
  readonly question: LoseQuestion;
  /** Height for each metre of ground, as configured. */
  readonly clean: number;
  readonly ground_mps: number;
  height_m: number;
  distance_m: number;
  excess_m: number;
  readonly steps: LossStep[];
}

const allows = ({ question }: Line, action: LossAction) => question.allowed.includes(action);

/** Full turns first: what is left is on the same line, shifted by the wind. */
function loseByTurns(line: Line, turn: ReturnType<typeof fullTurn>): void {
  const { question, clean, steps } = line;
  while (
    allows(line, "turn") &&
    turn.refused === null &&
    line.height_m - turn.height_m >= question.turnFloor_m &&
    turn.height_m > TINY_M
  ) {
    const after = line.excess_m - turn.height_m + question.tailwind_mps * turn.time_s * clean;
    if (after < 0) return;
    steps.push({
      action: "turn",
      name: "Full turn",
      flap: null,
      from_m: line.height_m,
      to_m: line.height_m - turn.height_m,
      ground_m: 0,
      time_s: turn.time_s,
      loses_m: line.excess_m - after,
    });
    line.height_m -= turn.height_m;
    line.distance_m -= question.tailwind_mps * turn.time_s;
    line.excess_m = after;
  }
}

/** S-turns, down to half the height that a full turn must keep. */
function loseByWeaving(line: Line, weave: NonNullable<ReturnType<typeof weaving>>): void {
  const { question, clean, steps } = line;
  if (!allows(line, "s-turns") || !(line.excess_m > TINY_M)) return;
  const { height_m } = line;
  const room = Math.min(
    Math.max(height_m - WEAVE_FLOOR * question.turnFloor_m, 0) / (clean + weave.perMetre),
    line.distance_m,
  );
  const x = Math.min(line.excess_m / weave.perMetre, room);
  if (!(x > 1)) return;
  const to_m = height_m - x * (clean + weave.perMetre);
  steps.push({
    action: "s-turns",
    name: "S-turns",
    flap: null,
    from_m: height_m,
    to_m,
    ground_m: x,
    time_s: x / weave.ground_mps,
    loses_m: x * weave.perMetre,
  });
  line.excess_m -= x * weave.perMetre;
  line.distance_m -= x;
  line.height_m = to_m;
}

/** @param over_mps - true airspeed over the gliding one */
function loseBySpeed(line: Line, faster: NonNullable<ReturnType<typeof fasterGlide>>, over_mps: number): void {
  const { clean, ground_mps, steps } = line;
  if (!allows(line, "speed") || faster.refused(line.distance_m) !== null || !(line.excess_m > TINY_M)) return;
  const perMetre = faster.slope - clean;
  const x = Math.min(line.excess_m / perMetre, FAST_SHARE * line.distance_m);
  steps.push({
    action: "speed",
    name: "Speed",
    flap: null,
    from_m: line.height_m,
    to_m: line.height_m - x * faster.slope,
    ground_m: x,
    time_s: x / (ground_mps + over_mps),
    loses_m: x * perMetre,
  });
  line.excess_m -= x * perMetre;
  line.distance_m -= x;
}

/**
 * Loses height by drag, one item on top of the other. All but the last are out over all of the way that is left; the
 * last comes out where it loses just the rest.
 */
function loseByDrag(
  line: Line,
  items: readonly DragItem[],
  slope: (config: Configuration, eas_mps: number) => number | null,
): void {
  const { question, clean, ground_mps, steps, distance_m } = line;
  const { configuration, certain_m, lose_m } = question;
  const stacked: { item: DragItem; gain: number; from: number }[] = [];
  let config = configuration;
  let before = clean;
  for (const item of items) {
    // What little is left is within what a pilot can hold; no gear and no last flap for that.
    if (!(line.excess_m > (item.late ? Math.max(LATE_ENOUGH_M, ENOUGH * lose_m) : TINY_M))) break;
    if (!allows(line, item.action) || item.refused !== null) continue;
    const next = item.put(config);
    const now = slope(next, item.eas_mps);
    // Faster flight loses by its speed, everything else by its drag; what loses nothing here is left out.
    const gain = now === null ? 0 : now - before;
    if (!(gain > 0)) continue;
    const room = item.late ? Math.min(certain_m / (before + gain), distance_m) : distance_m;
    const x = Math.min(line.excess_m / gain, room);
    // Gear and last flap that low are a change of trim in the flare.
    if (item.late && x * (before + gain) < LATE_FLOOR_M) continue;
    stacked.push({ item, gain, from: x });
    line.excess_m -= x * gain;
    before += gain;
    config = next;
  }
  const heightAt = (x: number) =>
    clean * x + stacked.reduce((sum, { gain, from }) => sum + gain * Math.min(x, from), 0);
  for (const { item, gain, from } of stacked)
    steps.push({
      action: item.action,
      name: item.name,
      flap: item.flap,
      from_m: heightAt(from),
      to_m: 0,
      ground_m: from,
      time_s: from / ground_mps,
      loses_m: gain * from,
    });
}
