// What the En route stage says: where one could land now, when that ends, and what would change it.
import { oClock, threeFigures } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { LeftOut } from "@/core/route/counted-places";
import type { Detour } from "@/core/route/detour";
import type { Closing, Gap } from "@/core/route/gap";
import type { RouteAnswer } from "@/core/route/route-answer";
import type { PlaceHere, RouteHere } from "@/core/route/route-here";
import type { RoutePlace } from "@/core/route/route-question";
import { shortInWords } from "@/ui/kit/charts/gap-words";
import type { Format } from "@/ui/kit/units/units-store";
import { minutes, minutesUntil } from "@/ui/kit/units/minutes";

/** An altitude of a route: in hundreds of feet, or tens of metres, up. */
export function plannedAltitude(altitude_m: number, format: Format): string {
  return format("height", altitude_m, "up");
}

/** How a place lies from the cursor: "11 o’clock, 6.0 NM". */
export function lies({ bearingTrue_rad, distance_m }: PlaceHere, track_rad: number, format: Format): string {
  return `${oClock(bearingTrue_rad, track_rad)} o’clock, ${format("distance", distance_m)}`;
}

/** Less than this in hand is told as little, m: 300 ft. */
const LITTLE_M = 91.44;

/** Of where one could land at the cursor. */
export function hereInWords(
  { places, point }: RouteHere,
  track_rad: number,
  variation_rad: number | null,
  format: Format,
): { headline: string; text: string; tone: string } {
  const [best] = places;
  if (!best || best.margin_m < 0) {
    const missing = best
      ? `${best.place.name} is the nearest to being reached: ${format("height", -best.margin_m, "up")} short.`
      : "No place can be reached from any altitude that was looked at.";
    return { headline: "Here: no place in reach.", text: missing, tone: "text-brick" };
  }
  const magnetic = variation_rad === null ? "" : `, ${threeFigures(best.bearingTrue_rad - variation_rad)}° magnetic`;
  const round = best.round ? " The way leads round the ground." : "";
  const little = best.margin_m < LITTLE_M;
  const [inHand, reserve] = [format("height", best.margin_m, "down"), format("height", best.reserve_m)];
  const spare = `${little ? "Only " : ""}${inHand} in hand after ${reserve} reserve`;
  // Rounded down it may be none.
  const left = inHand === format("height", 0) ? `Nothing in hand but the ${reserve} reserve` : spare;
  return {
    headline: `Here: ${best.place.name}, ${lies(best, track_rad, format)}${magnetic}.`,
    text: `${left}, at ${format("height", point.altitude_m)}.${round}`,
    tone: little ? "text-ochre" : "text-pine",
  };
}

/** The chance of a place: "in 97 of 100"; never certain, never none. */
export function chanceInWords(chance: number): string {
  const of = Math.round(chance * 100);
  return of >= 99 ? "over 98 in 100" : of <= 1 ? "under 2 in 100" : `${of} in 100`;
}

/** An altitude, a steeper descent, or both. */
export function closing({ altitude_m, descent_mps }: Closing, planned_m: number, format: Format): string {
  const down = descent_mps === null ? null : `down at ${format("verticalSpeed", descent_mps)}`;
  const up = altitude_m > planned_m + 1 ? plannedAltitude(altitude_m, format) : null;
  return [up, down].filter(Boolean).join(" and ");
}

/** With a capital at its beginning. */
export function sentence(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

/** What a way round costs. A bend that it cuts off may make it the quicker one. */
export function costOfRound({ extra_s }: Pick<Detour, "extra_s">): string {
  return extra_s > 0 ? `+${minutes(extra_s)}` : "no longer";
}

/** So many points that a way round leaves out are named. */
const MOST_NAMED = 2;

/** The planned points that a way round leaves out: ", without Long Saddle"; nothing where it leaves out none. */
function withoutInWords({ without }: Pick<Detour, "without">): string {
  if (without.length === 0) return "";
  const more = without.length - MOST_NAMED;
  return `, without ${[...without.slice(0, MOST_NAMED), ...(more > 0 ? [`${more} more`] : [])].join(" and ")}`;
}

/** What closes a gap. */
export function closingInWords(
  gap: Gap,
  detour: Detour | undefined,
  { altitude_m, inClimb }: { readonly altitude_m: number; readonly inClimb: boolean },
  format: Format,
): string {
  const closed = gap.closing ? `${sentence(closing(gap.closing, altitude_m, format))} closes it` : null;
  if (detour) {
    const round =
      detour.extra_s > 0 ? `${minutes(detour.extra_s)} more by the way round` : "the way round in no more time";
    const without = withoutInWords(detour);
    return closed ? `${closed}; or ${round}${without}.` : `No altitude closes it; ${round} does${without}.`;
  }
  if (closed) return `${closed}. No way round was found.`;
  return inClimb
    ? "It is part of the climb-out: no cruise altitude closes it. Climb over land or overhead first; low down, see Departure."
    : "Neither an altitude nor a way round closes it.";
}

/** The gap that the cursor is in, or the next one. */
export function nextGap({ gaps }: { readonly gaps: readonly Gap[] }, cursor_m: number): number {
  return gaps.findIndex(({ to_m }) => to_m > cursor_m);
}

/** What comes within this time comes now, s. */
export const NOW_S = 30;

/** The gap that the cursor is in or that comes next, and when; null where none does. */
export function comingGap(
  answer: { readonly gaps: readonly Gap[] },
  cursor: { readonly distance_m: number; readonly time_s: number },
): { index: number; gap: Gap; wait_s: number; inside: boolean } | null {
  const index = nextGap(answer, cursor.distance_m);
  if (index < 0) return null;
  const gap = answer.gaps[index];
  return { index, gap, wait_s: gap.fromTime_s - cursor.time_s, inside: gap.from_m <= cursor.distance_m };
}

/** How short a gap is, and that it is so at its worst. */
export function worstInWords(gap: Gap, format: Format): string {
  return `${shortInWords(gap, format)}${gap.short_m === null ? "" : " at worst"}`;
}

/** A gap that lasts beyond the climb is none of the climb-out. */
function endsInClimb({ points }: Pick<RouteAnswer, "points">, { to_m }: Gap): boolean {
  return points.findLast(({ distance_m }) => distance_m < to_m)?.phase === "climb";
}

/** The second sentence: the gap that comes next, and what closes it. */
export function gapInWords(
  answer: RouteAnswer,
  detours: readonly Detour[],
  cursor: { readonly distance_m: number; readonly time_s: number },
  altitude_m: number,
  format: Format,
): { headline: string; text: string; index: number } | null {
  const coming = comingGap(answer, cursor);
  if (!coming) return null;
  const { index, gap, wait_s, inside } = coming;
  const when = inside ? "In a gap" : wait_s < NOW_S ? "Next gap now" : `Next gap in ${minutesUntil(wait_s)}`;
  const why = gap.groundDecides && gap.short_m !== null ? " Ground is in the way." : "";
  return {
    index,
    headline: `${when}: ${minutes(gap.time_s)}, ${worstInWords(gap, format)}.`,
    text: `${closingInWords(
      gap,
      detours.find((detour) => detour.gap === index),
      { altitude_m, inClimb: gap.from_m === 0 && endsInClimb(answer, gap) },
      format,
    )}${why}`,
  };
}

/** A plan that leads into the ground; null for one that does not. */
export function underInWords({ under }: Pick<RouteAnswer, "under">, format: Format): string | null {
  return (
    under &&
    `The plan leads into the ground: ${format("height", under.by_m, "up")} under it at ${format("distance", under.distance_m)}. Fly higher or round it.`
  );
}

/** Why a place does not count. */
export const WHY_LEFT_OUT: Record<LeftOut["why"], string> = {
  hand: "left out by hand",
  kind: "left out by the route plan",
  short: "shorter than the route plan asks for",
  "too-short": "too short for this aircraft by the landing plan",
  wind: "too much wind from behind or the side today",
  beyond: "beyond the terrain in use",
};

/** How it is known that one can land there. */
export function howKnown({ kind, lookedAt }: RoutePlace, today: string): string {
  if (kind === "runway") return "runway";
  if (lookedAt === null) return `${kind}, never looked at`;
  const old = Date.parse(today) - Date.parse(lookedAt) > 365.25 * 86_400_000;
  return `${kind}, looked at ${lookedAt}${old ? ": over a year ago" : ""}`;
}

/** Length and time of a flight. */
export function flightInWords({ length_m, time_s, profile }: RouteAnswer, format: Format): string {
  const fuel = profile.fuel_m3 === null ? "" : ` · ${format("volume", profile.fuel_m3)}`;
  return `${format("distance", length_m)} · ${formatNumber(Math.round(time_s / 60))} min${fuel}`;
}
