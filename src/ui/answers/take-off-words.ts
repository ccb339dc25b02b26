// What the take-off with two engines says in sentences: headline for the spine, decision beside the distances, the way
// back.
import type { ReturnHeight } from "@/core/take-off/return-height";
import { noGo } from "@/core/take-off/take-off-brief";
import type { Format } from "@/ui/kit/units/units-store";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";

/** What the words are made of. */
export type TakeOffTold = Pick<
  TakeOffAnswer,
  "question" | "jet" | "phases" | "climb_mps" | "accelerate" | "back" | "speeds"
>;

/** It can be flown away on one engine, from where the pilot asks for. */
export function climbsAway({ climb_mps, phases }: Pick<TakeOffTold, "climb_mps" | "phases">): boolean {
  return climb_mps > 0 && phases.advisedFrom_m !== null;
}

/** A jet that after a failure at V_1 neither stops nor reaches 35 ft on the runway. */
function isTooShort({ jet, accelerate: { stopSpare_m, goSpare_m } }: Pick<TakeOffTold, "jet" | "accelerate">): boolean {
  return jet && stopSpare_m < 0 && (goSpare_m === null || goSpare_m < 0);
}

/** What comes beyond the end of the runway after the failure; empty where nothing does. */
function beyondTheEnd({ jet, accelerate }: TakeOffTold, format: Format): string {
  const { failure_mps, stopSpare_m, goSpare_m } = accelerate;
  const beyond = (spare_m: number) => `${format("length", -spare_m, "up")} beyond the end`;
  const said = [
    stopSpare_m < 0 && `it stops ${beyond(stopSpare_m)}`,
    jet && goSpare_m === null && "it does not fly",
    jet && goSpare_m !== null && goSpare_m < 0 && `it passes 35 ft ${beyond(goSpare_m)}`,
  ].filter(Boolean);
  return said.length === 0 ? "" : `After a failure at ${format("speed", failure_mps)} ${said.join(", ")}.`;
}

/** The spine's few words. */
export function takeOffHeadline(told: TakeOffTold, format: Format): { text: string; tone?: string } {
  const { climb_mps, phases, jet, accelerate } = told;
  if (!(climb_mps > 0)) return { text: "will not climb", tone: "text-brick" };
  if (phases.advisedFrom_m === null)
    return { text: phases.goFails === "obstacle" ? "not over what is ahead" : "not enough climb", tone: "text-brick" };
  if (isTooShort(told)) return { text: "runway too short", tone: "text-brick" };
  if (phases.slow) return { text: `nose down: under ${phases.slow.limit}`, tone: "text-ochre" };
  return {
    text: jet
      ? `V_1 ${format("speed", accelerate.action_mps)}`
      : `go from ${format("height", phases.advisedFrom_m, "up")}`,
  };
}

/** What is decided: the advised height first, then what the sum says, then what would go wrong. */
export function takeOffDecision(
  told: TakeOffTold,
  format: Format,
): { lead: string; rest: string; tone: "" | "text-brick" } {
  const { question, jet, phases, climb_mps, accelerate } = told;
  const { goFrom_m, advisedFrom_m, slow } = phases;
  if (!climbsAway(told)) {
    const sum =
      goFrom_m !== null && climb_mps > 0
        ? ` Flown without error it climbs away from ${format("height", goFrom_m, "up")}.`
        : "";
    const why = !(climb_mps > 0)
      ? `On one engine it descends ${format("verticalSpeed", -climb_mps)}, everything mended.`
      : `${noGo(told)} Mended it is ${format("verticalSpeed", climb_mps, "down")}.${sum}`;
    return {
      lead: !(climb_mps > 0)
        ? "It will not climb."
        : phases.goFails === "obstacle"
          ? "It does not clear what is ahead."
          : "It does not climb enough.",
      rest: `${why} After lift-off: close both, land ahead.`,
      tone: "text-brick",
    };
  }
  const onRunway =
    accelerate.goX_m === null
      ? "From a failure on the runway it does not."
      : `From a failure at ${format("speed", accelerate.failure_mps)} on the runway it goes too.`;
  const steep =
    slow === null
      ? ""
      : ` A failure above ${format("height", slow.from_m)}, held in this steep climb until it is recognised, takes it to ${format("speed", slow.eas_mps)}, under ${slow.limit}${slow.limit === "V_MCA" ? " at 5° bank," : ""} ${format("speed", slow.limit_mps)}: nose down at once, or climb less steeply.`;
  const mended = `${format("verticalSpeed", climb_mps, "down")} with everything mended.`;
  const beyond = beyondTheEnd(told, format);
  if (isTooShort(told))
    return {
      lead: "The runway is too short.",
      rest: `${beyond} Take less, or another runway. In the air it climbs ${mended}`,
      tone: "text-brick",
    };
  const ended = beyond && `${beyond} `;
  if (jet) return { lead: "It climbs away on one engine.", rest: `${ended}${mended} ${onRunway}${steep}`, tone: "" };
  const asked =
    question.oneEngine.least === "height"
      ? "gear down below that is a commitment to land"
      : `below that the minute after the failure climbs less than ${format("verticalSpeed", question.oneEngine.leastClimb_mps)}`;
  return {
    lead: `Go from ${format("height", advisedFrom_m ?? 0, "up")}.`,
    rest: `${ended}Advised: ${asked}. Flown without error it climbs away from ${format("height", goFrom_m ?? 0, "up")}; ${mended} ${onRunway}${steep}`,
    tone: "",
  };
}

/** The turn back with the control that is left, by the school chosen. */
export function returnInWords(back: ReturnHeight, turns: "either" | "live", format: Format): string {
  if (!back.control) return "No bank holds it straight: no turns.";
  const { towardsLive, towardsDead } = back.control;
  const side = ({ rudder, least_mps }: typeof towardsLive) =>
    `${Math.round(rudder * 100)} % of the rudder, held down to ${format("speed", least_mps, "up")}`;
  return turns === "live"
    ? `Only towards the live engine: ${side(towardsLive)}.`
    : `To either side, 15°: towards the dead engine ${side(towardsDead)}; towards the live ${side(towardsLive)}.`;
}
