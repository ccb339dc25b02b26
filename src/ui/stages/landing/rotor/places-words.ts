// Places of a rotorcraft in words: how one comes out, and what to do.
import { type RotorEnd, type RotorKey, type RotorVerdict, isRoomy } from "@/core/landing/rotor-reach";
import { formatNumber } from "@/core/quantities/units";
import type { ApproachPlan } from "@/core/situation/situation-document";
import type { Format } from "@/ui/kit/units/units-store";
import { formatMargin } from "@/ui/kit/units/margin";
import { firstMove } from "../way";

/** A decision, its lead first. */
export interface PlacesSaid {
  readonly works: boolean;
  readonly lead: string;
  readonly rest: string;
}

/** The colour of a verdict; its words say the same. */
export const ROTOR_TONE: Record<RotorVerdict, string> = {
  fits: "text-pine",
  reserve: "text-ochre",
  tight: "text-ochre",
  wind: "text-brick",
  slope: "text-brick",
  "too-short": "text-brick",
  "too-narrow": "text-brick",
  blocked: "text-brick",
  short: "text-brick",
};

/** What is against a place, or for it. */
export function roomWords({ verdict, room, end, way, last }: RotorEnd, format: Format): string {
  switch (verdict) {
    case "fits":
      return "room enough";
    case "reserve":
      return "spends the reserve";
    case "tight":
      return `room for ${format("length", room.computed_m, "up")}, not half as much again`;
    case "wind":
      return Math.abs(way.crosswind_mps) > last.crosswindLimit_mps ? "too much wind across" : "too much wind behind";
    case "slope":
      return "steeper than 5°";
    case "too-short":
      return Number.isFinite(room.computed_m)
        ? `too short: ${format("length", room.computed_m, "up")} of ${format("length", end.length_m)}`
        : "does not stop on the slope";
    case "too-narrow":
      return `narrower than ${format("length", room.neededWidth_m, "up")}`;
    case "blocked":
      return "ground in the way";
    case "short":
      return way.issue?.message.replace(/\.$/, "") ?? "out of reach";
  }
}

/** Headwind from which the speed for the wind is worth naming, m/s: 15 kt. Common practice. */
const WINDY_MPS = 7.7;

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Whole turns that lose what is over, and what one costs. */
function turnWords({ way, descent }: RotorEnd, format: Format): string {
  const { turn, glide } = descent;
  const each_m = (2 * Math.PI * turn.radius_m * turn.sink_mps) / glide.tas_mps;
  const over_m = way.path?.margin_m ?? 0;
  const turns = Math.floor(over_m / each_m);
  return turns < 1
    ? `Lose it by S-turns or slower: a full turn costs ${format("height", each_m, "up")}.`
    : `${formatNumber(turns)} full turn${turns === 1 ? "" : "s"} on the way lose${turns === 1 ? "s" : ""} ${format("height", turns * each_m)} of it.`;
}

/** What to do about the place that is looked at. */
export function placesDecision(
  shown: RotorEnd,
  best: RotorEnd,
  { reserve_m, glideSpeed }: Pick<ApproachPlan, "reserve_m" | "glideSpeed">,
  format: Format,
): PlacesSaid {
  const { end, way, verdict, last } = shown;
  const nothing = !isRoomy(best.verdict);
  const faster =
    glideSpeed === "book" && -way.tailwind_mps > WINDY_MPS
      ? " Against this wind a faster speed reaches farther: see the approach plan."
      : "";
  if (!isRoomy(verdict))
    return {
      works: false,
      lead:
        nothing && shown === best
          ? `No place in reach will do. Least bad: ${end.name}.`
          : `${end.name}: ${roomWords(shown, format)}.`,
      rest:
        way.path && verdict === "short"
          ? `Short by ${format("height", -way.path.margin_m, "up")}, reserve of ${format("height", reserve_m)} counted.${nothing ? " Or the flattest ground ahead, into the wind." : ""}${faster}`
          : nothing
            ? `${capital(roomWords(shown, format))}. Into the wind, flare late, and touch as slowly as it goes.${faster}`
            : `${best.end.name} has room.`,
    };
  const margin_m = way.path?.margin_m ?? 0;
  const flare =
    last.flare_m === null
      ? "No height for the flare suffices by energy: the manual decides."
      : `Final at ${format("speed", last.final_mps)}, flare at ${format("height", last.flare_m, "up")}.`;
  return {
    works: true,
    lead: `${end.name}, ${firstMove(way)}.`,
    rest:
      margin_m >= 0
        ? `${format("height", margin_m, "down")} in hand after ${format("height", reserve_m)} reserve. ${turnWords(shown, format)} ${flare}`
        : `It arrives only by spending ${format("height", -margin_m, "up")} of the ${format("height", reserve_m)} reserve. ${flare}`,
  };
}

/** The spine's few words. */
export function placesHeadline({ end, way, verdict }: RotorEnd, format: Format): { text: string; tone: string } {
  return isRoomy(verdict)
    ? { text: `${formatMargin(way.path?.margin_m ?? 0, format)} ${end.name}`, tone: ROTOR_TONE[verdict] }
    : { text: "no place in reach", tone: "text-brick" };
}

/** What happens at a key. */
export const KEY_WORDS: Record<RotorKey["name"], string> = {
  steady: "speed and rotor steady",
  final: "turned into the landing direction, slowed",
  flare: "nose up, into the wind",
  touchdown: "level, as slowly as it goes",
};
