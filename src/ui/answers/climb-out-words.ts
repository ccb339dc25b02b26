// What the En route stage says of climb-outs.
import type { ClimbOutTrack } from "@/core/route/climb-out-tracks";
import { degrees } from "@/core/quantities/angle";
import type { Format } from "@/ui/kit/units/units-store";

const WHERE: Record<ClimbOutTrack["kind"], string> = {
  straight: "Straight on",
  height: "Turn at a height",
  shore: "Turn over the shore",
  "last-place": "Turn while the last place is in reach",
  fewest: "Turn for the fewest seconds",
};

/** How a track turns: "Turn over the shore, right at 2 130 ft". */
export function trackInWords({ kind, turn }: ClimbOutTrack, format: Format): string {
  if (!turn) return WHERE[kind];
  const by = turn.by_rad === null ? "" : ` by ${Math.round(degrees(turn.by_rad))}°`;
  return `${WHERE[kind]}, ${turn.side}${by} at ${format("height", turn.height_m, "up")}`;
}

/** How long it has no place. */
export function withoutInWords({ without_s }: Pick<ClimbOutTrack, "without_s">): string {
  return without_s === 0 ? "never" : `${Math.round(without_s)} s`;
}

/** The best of them beside straight on. */
export function climbOutInWords(
  tracks: readonly ClimbOutTrack[],
  endName: string,
  format: Format,
): { headline: string; text: string; tone: string } | null {
  const [best] = tracks;
  const straight = tracks.find(({ kind }) => kind === "straight");
  if (!best) return null;
  const less_s = straight ? straight.without_s - best.without_s : 0;
  if (best.without_s === 0)
    return {
      headline: `${trackInWords(best, format)}: a place in reach all the way.`,
      text: `From ${endName}${!straight || best === straight ? "" : `; straight on ${withoutInWords(straight)} without one`}.`,
      tone: "text-pine",
    };
  return {
    headline: `${trackInWords(best, format)}: ${withoutInWords(best)} without a place.`,
    text:
      best === straight
        ? `From ${endName}: no turn inside the limits has fewer.`
        : less_s <= 0
          ? `From ${endName}.`
          : `From ${endName}: ${Math.round(less_s)} s less than straight on.`,
    tone: "text-ochre",
  };
}
