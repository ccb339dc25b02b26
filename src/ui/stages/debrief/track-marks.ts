// The marks of a flight in their order: what happened when, as map and profile number them.
import type { FoundFlight } from "@/core/track/analyse";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";
import { stopWords } from "./debrief-words";

/** Something that happened. */
export interface TrackMark {
  readonly at_s: number;
  readonly label: string;
  /** The how manieth engine stop it is; null for something else. */
  readonly stop: number | null;
}

/** Turns under this are not marked, rad. */
const MARKED_RAD = Math.PI / 3;
/** Most marks that are numbered. */
const MOST_MARKS = 40;

/**
 * Marks of a log, or of one engine stop and what followed.
 *
 * @param looked - the how manieth stop; null for all
 */
export function trackMarks(flights: readonly FoundFlight[], looked: number | null, format: Format): TrackMark[] {
  const marks: TrackMark[] = [];
  const say = (at_s: number, label: string, stop: number | null = null) => marks.push({ at_s, label, stop });
  let n = -1;
  for (const { takeOff, landing, failures, turns } of flights) {
    const whole = looked === null;
    if (whole && takeOff) say(takeOff.time_s, "take-off");
    let mine = whole;
    for (const failure of failures) {
      n += 1;
      if (!whole && n !== looked) continue;
      mine = true;
      const { height_m, delay_s, time_s } = failure;
      say(time_s, `${stopWords(failure)}${height_m.known ? `, ${format("height", height_m.value)}` : ""}`, n);
      if (whole) continue;
      if (delay_s.known) say(time_s + delay_s.value, `first action, ${formatNumber(delay_s.value, 1)} s`);
      for (const turn of failure.turns) say(turn.from_s, `turn, ${formatNumber(turn.from_s - time_s, 1)} s`);
    }
    if (whole) for (const turn of turns) if (turn.heading_rad > MARKED_RAD) say(turn.from_s, "turn");
    const down = landing && (whole || failures.some(({ toGround }, i) => toGround && i === failures.length - 1));
    if (mine && down) say(landing.time_s, "touch");
  }
  return marks.sort((a, b) => a.at_s - b.at_s).slice(0, MOST_MARKS);
}

/** The time that is looked at: an engine stop with some seconds before, to the touch or the power's return. */
export function lookedAt(
  flights: readonly FoundFlight[],
  looked: number | null,
  duration_s: number,
): { from_s: number; to_s: number } {
  const all = flights.flatMap((flight) => flight.failures.map((failure) => ({ flight, failure })));
  const one = looked === null ? undefined : all[looked];
  if (!one) return { from_s: 0, to_s: Math.max(duration_s, 1) };
  const { failure, flight } = one;
  const to_s = (failure.toGround ? flight.landing?.time_s : failure.back_s) ?? flight.ends_s;
  return { from_s: Math.max(failure.time_s - 10, 0), to_s: Math.min(to_s + 8, Math.max(duration_s, 1)) };
}
