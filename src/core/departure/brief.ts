// The departure brief: sentences to read aloud, composed from what was computed. Words only; nothing is computed here.
import { type AirspeedCalibration, airspeedInWords } from "../aircraft/airspeed-calibration";
import { degrees } from "../quantities/angle";
import { type UnitChoice, formatSi, type Rounding } from "../quantities/units";
import type { DeparturePlan } from "../situation/departure-plan";
import { TOP_M } from "./departure-day";
import type { SchoolGates } from "./gate";
import type { AheadAtHeight, Band } from "./scan";
import type { TurnbackAccount } from "./turnback-account";

/** What the brief is made of. */
export interface BriefFacts {
  readonly runwayName: string;
  readonly plan: DeparturePlan;
  readonly climbEas_mps: number;
  readonly bestEas_mps: number;
  readonly stallEas_mps: number;
  readonly gates: SchoolGates;
  /** Between which turning back works as planned. */
  readonly bands: readonly Band[];
  /** Highest failure height from which the runway left is enough to stop. */
  readonly stopUntil_m: number | null;
  readonly ahead: readonly AheadAtHeight[];
  /** The turnback at the gate; null without one. */
  readonly atGate: TurnbackAccount | null;
  /** Chance at the gate, 0 to 1. */
  readonly chance: number | null;
  /** What the airspeed indicator shows; null where it shows calibrated airspeed. */
  readonly calibration: AirspeedCalibration | null;
}

/** A sentence and the failure heights it is about. */
export interface BriefSentence {
  readonly from_m: number | null;
  readonly to_m: number | null;
  readonly text: string;
}

/** The caution that goes with every brief. */
export const BRIEF_CAUTION =
  "For briefing, and for practice at height with an instructor first. Figures are estimates: the flight manual and local rules come first. A low turn kills by stall and spin: without the speed, land ahead.";

/**
 * The sentences in the order of the take-off.
 *
 * @param units - that heights and speeds are said in
 */
export function departureBrief(facts: BriefFacts, units: UnitChoice): BriefSentence[] {
  const { plan, gates, atGate, stopUntil_m, bands } = facts;
  /** A gate is a height not to turn back below: it is rounded up. */
  const height = (value_m: number, rounding?: Rounding) => formatSi("height", units.height, value_m, rounding);
  const speed = (value_mps: number) => formatSi("speed", units.speed, value_mps);
  /** To be flown: as the indicator shows it. */
  const fly = (eas_mps: number) => airspeedInWords(facts.calibration, units.speed, eas_mps);
  const said: BriefSentence[] = [
    {
      from_m: null,
      to_m: 0,
      text: `${facts.runwayName}. Before rotation, anything wrong: throttle closed, stop on the runway.`,
    },
  ];
  const say = (from_m: number | null, to_m: number | null, text: string) => said.push({ from_m, to_m, text });
  if (stopUntil_m !== null)
    say(
      0,
      stopUntil_m,
      `Airborne, until ${height(stopUntil_m)}: nose down to ${fly(facts.bestEas_mps)}, land on the runway that is left.`,
    );
  else say(0, null, "Once airborne the runway left is not enough to stop on.");

  const low = stopUntil_m ?? 0;
  const until = plan.school === "spot-ahead" ? null : gates.gate_m;
  const ahead = aheadWords(facts.ahead, low, until ?? Infinity);
  say(
    low,
    until,
    `From ${height(low)}${until === null ? "" : ` until ${height(until, "up")}`}: nose down, ${fly(facts.bestEas_mps)}, ahead within 30° of the nose${ahead}. No turning back.`,
  );

  if (plan.school === "spot-ahead") {
    say(
      low,
      null,
      `A landable spot is kept ahead all the way${plan.crosswind ? `: crosswind ${plan.crosswind.side} at ${height(plan.crosswind.height_m)}` : ""}; there is no turning back in this brief.`,
    );
  } else if (gates.gate_m === null) {
    say(
      null,
      null,
      bands.length === 0
        ? `Turning back works at no height up to ${height(TOP_M)} today: ahead, whatever the height.`
        : `Turning back never works often enough up to ${height(TOP_M)} today (${Math.round(plan.requiredChance * 100)} in 100 is asked for): ahead, whatever the height.`,
    );
  } else if (atGate) {
    const { technique, result } = atGate;
    const turnSpeed = (technique.stallMargin * facts.stallEas_mps) / Math.sqrt(Math.cos(technique.bank_rad));
    const upper = bands.find((band) => band.to_m !== null && band.to_m > (gates.gate_m ?? 0))?.to_m ?? null;
    const extension =
      technique.extension_s >= 1 ? `straight on for ${Math.round(technique.extension_s)} seconds, then ` : "";
    say(
      gates.gate_m,
      upper,
      `From ${height(gates.gate_m, "up")}${upper === null ? "" : ` up to ${height(upper)}`}: ${extension}turn back ${technique.side === -1 ? "left" : "right"}, ${Math.round(degrees(technique.bank_rad))}°, ${fly(turnSpeed)}, ${fly(facts.bestEas_mps)} when straight.`,
    );
    if (upper !== null)
      say(upper, null, `Above ${height(upper)} the runway is too far behind: another field, or ahead.`);
    const { roll } = result;
    const wind =
      Math.abs(roll.tailwind_mps) < 0.5
        ? "no wind along the runway"
        : `${speed(Math.abs(roll.tailwind_mps))} ${roll.tailwind_mps > 0 ? "behind" : "on the nose"}`;
    say(
      gates.gate_m,
      upper,
      `Landing back: ${wind}, touchdown at ${speed(roll.touchdownGroundSpeed_mps)} over the ground, ${result.spare_m === null ? "no runway left" : `${formatSi("length", units.length, Math.max(result.spare_m, 0))} left after stopping`} at the least.`,
    );
    if (facts.chance !== null)
      say(
        gates.gate_m,
        null,
        `As practised, ${facts.chance > 0.985 ? "nearly all" : `about ${Math.round(facts.chance * 100)} in 100`} such turns succeed at that height.`,
      );
  }
  return said;
}

/** What is known of the ground ahead between two heights: fields within reach, water, nothing. */
function aheadWords(heights: readonly AheadAtHeight[], from_m: number, to_m: number): string {
  const between = heights.filter(({ height_m }) => height_m >= from_m && height_m <= to_m);
  if (between.length === 0) return "";
  const fields = new Set(
    between.flatMap(({ options }) =>
      options
        .filter((option) => (option.kind === "field" || option.kind === "runway") && (option.score_m ?? -1) >= 0)
        .map((option) => option.name),
    ),
  );
  const unknown = between.every(({ sector }) => sector.water === null);
  if (fields.size > 0) return `: ${[...fields].slice(0, 3).join(", ")}`;
  if (unknown) return ": what lies there has been looked at before";
  const without = between.filter(({ sector }) => sector.spot === null).length;
  if (without === 0) return ": level ground is there by the terrain, trees and fences unknown";
  if (without < between.length) return ": level ground is not there from every height";
  return between.some(({ sector }) => (sector.water ?? 0) > 0.5)
    ? ": water, prepare to ditch"
    : ": no level ground, the least bad";
}
