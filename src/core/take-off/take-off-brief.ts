// The brief of a take-off with two engines: sentences to read aloud, composed from what was computed. Words only; nothing is computed here.
import { type UnitChoice, formatNumber, formatSi } from "../quantities/units";
import type { Accelerate } from "./accelerate";
import type { Phases } from "./phases";
import type { ReturnHeight } from "./return-height";
import type { TakeOffDay } from "./take-off-day";

/** What the brief is made of. */
export interface TakeOffFacts {
  readonly runwayName: string;
  readonly runway_m: number;
  readonly jet: boolean;
  readonly speeds: TakeOffDay["speeds"];
  readonly accelerate: Accelerate;
  readonly phases: Pick<Phases, "landUntil_m" | "goFrom_m">;
  readonly back: ReturnHeight;
  readonly acceleration_m: number;
  /** Climb on one engine, mended, m/s. */
  readonly climb_mps: number;
}

/** The caution that goes with it. */
export const TAKE_OFF_CAUTION = "For briefing. Figures are estimates for a dry, level runway and prompt handling: the flight manual’s distances and speeds come first. Below minimum control speed: power back, nose down.";

/**
 * The sentences in the order of the take-off.
 *
 * @param units - that heights, speeds and lengths are said in
 */
export function takeOffBrief(facts: TakeOffFacts, units: UnitChoice): string[] {
  const { accelerate, phases, speeds, jet, back } = facts;
  const height = (si: number) => formatSi("height", units.height, si);
  const speed = (si: number) => formatSi("speed", units.speed, si);
  const length = (si: number) => formatSi("length", units.length, si);
  const climbs = facts.climb_mps > 0 && phases.goFrom_m !== null;
  const said: string[] = [];
  if (!climbs) said.push(`${facts.runwayName}. On one engine it will not climb today. Any failure after lift-off: both throttles back, land ahead.`);
  const stops = accelerate.stopSpare_m >= 0;
  const goes = accelerate.goSpare_m !== null && accelerate.goSpare_m >= 0;
  if (jet && !stops && !goes) said.push(`${facts.runwayName} is too short at this mass: after a failure it neither stops nor goes on it. Take less, or another runway.`);
  const until = jet ? `V_1, ${speed(accelerate.action_mps)}` : `rotation, ${speed(speeds.rotation_mps)}`;
  said.push(`${climbs ? `${facts.runwayName}. ` : ""}Until ${until}: anything wrong, both ${jet ? "thrust levers" : "throttles"} closed, brakes; it stops ${stops ? `with ${length(accelerate.stopSpare_m)} left` : `${length(-accelerate.stopSpare_m)} beyond the end: this take-off is not safe to abandon so late`}.`);
  if (jet) {
    said.push(`From V_1: go. Rotate ${speed(speeds.rotation_mps)}, V_2 ${speed(speeds.screen_mps)}${accelerate.goSpare_m === null ? "" : ` at 35 feet, ${accelerate.goSpare_m >= 0 ? `${length(accelerate.goSpare_m)} before the end` : `${length(-accelerate.goSpare_m)} beyond the end`}`}. Positive climb: gear up.`);
    if (climbs) said.push(`V_2 to ${height(facts.acceleration_m)}, level, flap up at ${speed(speeds.flapUp_mps)}, ${speed(speeds.oneEngine_mps)}, maximum continuous thrust.`);
    return said;
  }
  const { landUntil_m, goFrom_m } = phases;
  said.push(landUntil_m === null ? "Once airborne the runway left is not enough to land on." : `Airborne, gear down, until ${height(landUntil_m)}: close both, land on the runway that is left.`);
  if (!climbs || goFrom_m === null) return said;
  if (goFrom_m > (landUntil_m ?? 0)) said.push(`From ${height(landUntil_m ?? 0)} until ${height(goFrom_m)}: no runway left and it does not climb away: close both, land ahead.`);
  said.push(`${goFrom_m > (landUntil_m ?? 0) ? `From ${height(goFrom_m)}` : "Beyond, no runway left"}: hold the heading, full power, gear up, flap up; identify, verify, feather; ${speed(speeds.oneEngine_mps)}, ${formatNumber(facts.climb_mps * 196.85, 0, 10)} feet a minute when all is done.`);
  said.push(back.at === null ? "It does not come high enough to turn back on one engine: straight on to better ground." : `Turn back from ${height(back.height_m)}, toward either side, 15° of bank: a circle of ${length(2 * back.radius_m)} across.`);
  return said;
}
