// The brief of a take-off with two engines: sentences to read aloud, composed from what was computed. Words only; nothing is computed here.
import { assertNever } from "../outcome";
import { type UnitChoice, formatNumber, formatSi } from "../quantities/units";
import type { OneEnginePlan } from "../situation/one-engine-plan";
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
  readonly phases: Pick<Phases, "landUntil_m" | "goFrom_m" | "goFails" | "advisedFrom_m" | "slow">;
  readonly back: ReturnHeight;
  readonly acceleration_m: number;
  readonly turns: OneEnginePlan["turns"];
  /** The engine that is taken to stop. */
  readonly failed: "left" | "right";
  /** Climb on one engine, mended, m/s. */
  readonly climb_mps: number;
}

/** The caution that goes with it. */
export const TAKE_OFF_CAUTION =
  "For briefing. Figures are estimates for a dry, level runway and prompt handling: the flight manual’s distances and speeds come first. Below minimum control speed: power back, nose down.";

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
  const goFrom_m = phases.advisedFrom_m;
  const climbs = facts.climb_mps > 0 && goFrom_m !== null;
  const said: string[] = [];
  if (!climbs)
    said.push(`${facts.runwayName}. ${noGo(facts)} Any failure after lift-off: both throttles back, land ahead.`);
  const stops = accelerate.stopSpare_m >= 0;
  const goes = accelerate.goSpare_m !== null && accelerate.goSpare_m >= 0;
  if (jet && !stops && !goes)
    said.push(
      `${facts.runwayName} is too short at this mass: after a failure it neither stops nor goes on it. Take less, or another runway.`,
    );
  const until = jet ? `V_1, ${speed(accelerate.action_mps)}` : `rotation, ${speed(speeds.rotation_mps)}`;
  said.push(
    `${climbs ? `${facts.runwayName}. ` : ""}Until ${until}: anything wrong, both ${jet ? "thrust levers" : "throttles"} closed, brakes; it stops ${stops ? `with ${length(accelerate.stopSpare_m)} left` : `${length(-accelerate.stopSpare_m)} beyond the end: this take-off is not safe to abandon so late`}.`,
  );
  if (jet) {
    said.push(
      `From V_1: go. Rotate ${speed(speeds.rotation_mps)}, V_2 ${speed(speeds.screen_mps)}${accelerate.goSpare_m === null ? "" : ` at 35 feet, ${accelerate.goSpare_m >= 0 ? `${length(accelerate.goSpare_m)} before the end` : `${length(-accelerate.goSpare_m)} beyond the end`}`}. Positive climb: gear up.`,
    );
    if (climbs)
      said.push(
        `V_2 to ${height(facts.acceleration_m)}, level, flap up at ${speed(speeds.flapUp_mps)}, ${speed(speeds.oneEngine_mps)}, maximum continuous thrust.`,
      );
    return said;
  }
  const { landUntil_m } = phases;
  said.push(
    landUntil_m === null
      ? "Once airborne the runway left is not enough to land on."
      : `Airborne, gear down, until ${height(landUntil_m)}: close both, land on the runway that is left.`,
  );
  if (!climbs || goFrom_m === null) return said;
  if (goFrom_m > (landUntil_m ?? 0))
    said.push(`From ${height(landUntil_m ?? 0)} until ${height(goFrom_m)}: gear down, close both, land ahead.`);
  said.push(
    `${goFrom_m > (landUntil_m ?? 0) ? `From ${height(goFrom_m)}` : "Beyond, no runway left"}: hold the heading, full power, gear up, flap up; identify, verify, feather; ${speed(speeds.oneEngine_mps)}, ${formatNumber(facts.climb_mps * 196.85, 0, 10)} feet a minute when all is done.`,
  );
  if (phases.slow)
    said.push(
      `In this climb lower the nose at once: held until it is recognised, ${speed(phases.slow.eas_mps)} under ${phases.slow.limit}${phases.slow.limit === "V_MCA" ? " at 5° bank," : ""} ${speed(phases.slow.limit_mps)}.`,
    );
  const live = facts.failed === "left" ? "right" : "left";
  said.push(
    back.at === null
      ? "It does not come high enough to turn back on one engine: straight on to better ground."
      : `Turn back from ${height(back.height_m)}, 15° of bank, ${facts.turns === "live" ? `to the ${live} only, toward the live engine` : "to either side"}: a circle of ${length(2 * back.radius_m)} across.`,
  );
  return said;
}

/** Why there is no going on, in a sentence. */
export function noGo({ climb_mps, phases }: Pick<TakeOffFacts, "climb_mps" | "phases">): string {
  if (!(climb_mps > 0)) return "On one engine it will not climb today.";
  switch (phases.goFails) {
    case "obstacle":
      return "On one engine it climbs, but not over what stands ahead.";
    case "sinks":
      return "On one engine it sinks back to the ground before it climbs.";
    case "climb":
      return "On one engine it climbs only when everything is mended, and does not get that far.";
    case "control":
    case "stall":
    case null:
      return "On one engine it never climbs as fast as is asked for.";
    default:
      return assertNever(phases.goFails);
  }
}
