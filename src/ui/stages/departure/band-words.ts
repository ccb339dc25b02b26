import { TOP_M } from "@/core/departure/departure-day";
import type { Format } from "@/ui/kit/units/units-store";
import type { DepartureScan } from "@/ui/answers/departure-store";
import { bandsInWords } from "@/ui/answers/departure-words";

/** Climb that goes farther than the glide comes back, within this share, is named as the reason. */
const OUTFLOWN_BELOW = 0.05;

/** At which heights turning back works, and why not elsewhere, in a sentence or two. */
export function bandWords(
  { bands, facts, best }: Pick<DepartureScan, "bands" | "facts" | "best">,
  format: Format,
): string {
  const { against } = facts;
  const outflown = against && (against.gain === null || against.gain < OUTFLOWN_BELOW);
  const reason = against
    ? `the climb goes ${against.out.toFixed(1)} m out for each metre of height, ${against.back > 0 ? `the glide comes ${against.back.toFixed(1)} m back` : "the glide makes no way back against this wind"}`
    : "";
  const stalled = best.filter(({ turnback }) => turnback === null).map(({ height_m }) => height_m);
  if (stalled.length > 0) {
    const where = stalled.length === best.length ? "At every height" : `From ${format("height", stalled[0])}`;
    return `${where} the reaction ends in a stall: push sooner, or train hands off. There is no height for that.`;
  }
  if (bands.length === 0)
    return outflown
      ? `Turning back works at no height: the runway is outflown. ${capital(reason)}, so waiting gains nothing.`
      : `Turning back works at no height up to ${format("height", TOP_M)}: ${reason}.`;
  const upper = bands[bands.length - 1].to_m;
  const last = best[best.length - 1]?.turnback;
  const why =
    upper === null
      ? ""
      : last && last.result.aligned && last.result.margin_m >= 0
        ? " Above that it cannot stop on what is left."
        : ` Above that the runway is outflown: ${reason}.`;
  return `Turning back works ${bandsInWords(bands, format)}, flown as planned.${why}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
