// What the En route stage says of a flight on one engine of two.
import type { DriftAnswer } from "@/core/drift/drift-answer";
import type { DriftHere, WayHere } from "@/core/drift/drift-here";
import type { Format } from "@/ui/kit/units/units-store";
import { minutes, minutesUntil } from "@/ui/kit/units/minutes";
import { NOW_S, closing, comingGap, sentence, worstInWords } from "./route-words";

/** Less than this in hand is told as little, m: 200 ft. */
const LITTLE_M = 60.96;

const BY: Record<WayHere["by"], string> = {
  straight: "",
  round: " The way leads round the ground.",
  route: " The way is the route itself.",
};

/** A way beside its line on the map: "7 min, +740 ft". */
export function wayLabel({ time_s, margin_m }: WayHere, format: Format): string {
  const margin =
    margin_m >= 0 ? `${format("height", margin_m, "down")} in hand` : `${format("height", -margin_m, "up")} short`;
  return `${minutes(time_s)}, ${margin}`;
}

/** Where one engine carries to from the cursor. */
export function driftHereInWords(
  { ways, point, climb_mps, over }: DriftHere,
  clearance_m: number,
  format: Format,
): { headline: string; text: string; tone: string } {
  const [best] = ways;
  const rate = Math.abs(climb_mps);
  const goes = `At ${format("height", point.altitude_m)} one engine ${climb_mps >= 0 ? "climbs" : "sinks"} ${format("verticalSpeed", rate)}.`;
  const below = point.floor_m !== null && point.floor_m > point.altitude_m;
  if (over)
    return {
      headline: `Here: over ${over.name}.`,
      text: `What a failure does this low is the take-off’s and the approach’s: see Departure and Landing. ${goes}`,
      tone: "text-ink",
    };
  if (!best)
    return {
      headline: "Here: no way to an alternate.",
      text: "The ground is not known on any way.",
      tone: "text-brick",
    };
  if (best.margin_m < 0)
    return {
      headline: "Here: no way to an alternate clears the ground.",
      text: below
        ? `The plan itself is less than ${format("height", clearance_m)} over the highest ground near here. ${goes}`
        : `${best.place.name} comes nearest: ${format("height", -best.margin_m, "up")} short. ${goes}`,
      tone: "text-brick",
    };
  const little = best.margin_m < LITTLE_M;
  return {
    headline: `Here: ${best.place.name}, ${minutes(best.time_s)}.`,
    text: `${little ? "Only " : ""}${format("height", best.margin_m, "down")} in hand over the ground on the net path.${BY[best.by]} ${goes}`,
    tone: little ? "text-ochre" : "text-pine",
  };
}

/** The stretch without a way that the cursor is in or that comes next, and what closes it. */
export function noWayInWords(
  answer: DriftAnswer,
  cursor: { readonly distance_m: number; readonly time_s: number },
  altitude_m: number,
  format: Format,
): { headline: string; text: string; index: number } | null {
  const coming = comingGap(answer, cursor);
  if (!coming) return null;
  const { index, gap, wait_s, inside } = coming;
  const when = inside ? "In a stretch" : wait_s < NOW_S ? "From here" : `From ${minutesUntil(wait_s)} on`;
  const closed = gap.closing;
  return {
    index,
    headline: `${when}: ${minutes(gap.time_s)} with no way, ${worstInWords(gap, format)}.`,
    text: closed
      ? `${sentence(closing(closed, altitude_m, format))} closes it.`
      : "No altitude that it climbs to closes it.",
  };
}
