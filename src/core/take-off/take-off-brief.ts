// The brief of a take-off with two engines: sentences to read aloud, composed from what was computed. Words only;
// nothing is computed here.
import { type AirspeedCalibration, airspeedInWords } from "../aircraft/airspeed-calibration";
import { assertNever } from "../outcome";
import { type Rounding, type UnitChoice, formatNumber, formatSi } from "../quantities/units";
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
  /** What the airspeed indicator shows; null where it shows calibrated airspeed. */
  readonly calibration: AirspeedCalibration | null;
}

/** The caution that goes with it. */
export const TAKE_OFF_CAUTION =
  "For briefing. Figures are estimates for a dry, level runway and prompt handling: the flight manual’s distances and speeds come first. Below minimum control speed: power back, nose down.";

/** How figures are said: what is left rounds down, what lacks and from where something goes round up. */
interface Said {
  readonly height: (si: number, rounding: Rounding) => string;
  readonly speed: (si: number) => string;
  readonly length: (si: number, rounding: Rounding) => string;
}

/**
 * The sentences in the order of the take-off.
 *
 * @param units - that heights, speeds and lengths are said in
 */
export function takeOffBrief(facts: TakeOffFacts, units: UnitChoice): string[] {
  const say: Said = {
    height: (si, rounding) => formatSi("height", units.height, si, rounding),
    speed: (si) => airspeedInWords(facts.calibration, units.speed, si),
    length: (si, rounding) => formatSi("length", units.length, si, rounding),
  };
  const before = climbsAway(facts)
    ? []
    : [`${facts.runwayName}. ${noGo(facts)} Any failure after lift-off: both throttles back, land ahead.`];
  return [...before, ...(facts.jet ? jetBrief(facts, say) : propellerBrief(facts, say))];
}

function climbsAway({ climb_mps, phases }: TakeOffFacts): boolean {
  return climb_mps > 0 && phases.advisedFrom_m !== null;
}

/** What is done until a speed, and where it stops. */
function stopping(facts: TakeOffFacts, until: string, levers: string, { length }: Said): string {
  const { stopSpare_m } = facts.accelerate;
  const stops =
    stopSpare_m >= 0
      ? `with ${length(stopSpare_m, "down")} left`
      : `${length(-stopSpare_m, "up")} beyond the end: this take-off is not safe to abandon so late`;
  return `${climbsAway(facts) ? `${facts.runwayName}. ` : ""}Until ${until}: anything wrong, both ${levers} closed, brakes; it stops ${stops}.`;
}

function jetBrief(facts: TakeOffFacts, say: Said): string[] {
  const { accelerate, speeds } = facts;
  const { height, speed, length } = say;
  const { goSpare_m } = accelerate;
  const neither = accelerate.stopSpare_m < 0 && (goSpare_m === null || goSpare_m < 0);
  const screen =
    goSpare_m === null
      ? ""
      : ` at 35 feet, ${goSpare_m >= 0 ? `${length(goSpare_m, "down")} before the end` : `${length(-goSpare_m, "up")} beyond the end`}`;
  return [
    ...(neither
      ? [
          `${facts.runwayName} is too short at this mass: after a failure it neither stops nor goes on it. Take less, or another runway.`,
        ]
      : []),
    stopping(facts, `V_1, ${speed(accelerate.action_mps)}`, "thrust levers", say),
    `From V_1: go. Rotate ${speed(speeds.rotation_mps)}, V_2 ${speed(speeds.screen_mps)}${screen}. Positive climb: gear up.`,
    ...(climbsAway(facts)
      ? [
          `V_2 to ${height(facts.acceleration_m, "nearest")}, level, flap up at ${speed(speeds.flapUp_mps)}, ${speed(speeds.oneEngine_mps)}, maximum continuous thrust.`,
        ]
      : []),
  ];
}

function propellerBrief(facts: TakeOffFacts, say: Said): string[] {
  const { phases, speeds } = facts;
  const { height, speed } = say;
  const { landUntil_m, advisedFrom_m: goFrom_m, slow } = phases;
  const land_m = landUntil_m ?? 0;
  const said = [
    stopping(facts, `rotation, ${speed(speeds.rotation_mps)}`, "throttles", say),
    landUntil_m === null
      ? "Once airborne the runway left is not enough to land on."
      : `Airborne, gear down, until ${height(landUntil_m, "down")}: close both, land on the runway that is left.`,
  ];
  if (!climbsAway(facts) || goFrom_m === null) return said;
  const between = goFrom_m > land_m;
  if (between)
    said.push(`From ${height(land_m, "down")} until ${height(goFrom_m, "up")}: gear down, close both, land ahead.`);
  said.push(
    `${between ? `From ${height(goFrom_m, "up")}` : "Beyond, no runway left"}: hold the heading, full power, gear up, flap up; identify, verify, feather; ${speed(speeds.oneEngine_mps)}, ${formatNumber(Math.floor((facts.climb_mps * 196.85) / 10) * 10)} feet a minute when all is done.`,
  );
  if (slow)
    said.push(
      `In this climb lower the nose at once: held until it is recognised, ${speed(slow.eas_mps)} under ${slow.limit}${slow.limit === "V_MCA" ? " at 5° bank," : ""} ${speed(slow.limit_mps)}.`,
    );
  said.push(turningBack(facts, say));
  return said;
}

function turningBack({ back, turns, failed }: TakeOffFacts, { height, length }: Said): string {
  if (back.at === null) return "It does not come high enough to turn back on one engine: straight on to better ground.";
  const live = failed === "left" ? "right" : "left";
  return `Turn back from ${height(back.height_m, "up")}, 15° of bank, ${turns === "live" ? `to the ${live} only, toward the live engine` : "to either side"}: a circle of ${length(2 * back.radius_m, "up")} across.`;
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
