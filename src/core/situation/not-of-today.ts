// What a brief rests on that is not of its day.
import { metarTime_ms } from "../air/metar-time";
import type { SituationDocument } from "./situation-document";

/**
 * A report is made every half hour or hour, wind aloft is told for six hours: beyond these another one should be there.
 * Common practice.
 */
const [REPORT_MS, ALOFT_MS] = [75 * 60_000, 6 * 3_600_000];

/** How old something is: `2 h 30 min`, with its day when that is another. */
function ageOf(made_ms: number, now_ms: number): string {
  const minutes = Math.floor((now_ms - made_ms) / 60_000);
  const day = isoDay(made_ms) === isoDay(now_ms) ? "" : `, of ${isoDay(made_ms)}`;
  return `${Math.floor(minutes / 60)} h ${minutes % 60} min old${day}`;
}

/** `2026-11-24` of a time, UTC. */
export function isoDay(time_ms: number): string {
  return new Date(time_ms).toISOString().slice(0, 10);
}

/**
 * What of a situation is older than the day of the brief, as sentences; empty when nothing is.
 *
 * @param now_ms - present time, ms since 1970
 */
export function notOfToday(
  { metar, wind, aloftAt, day }: Pick<SituationDocument, "metar" | "wind" | "aloftAt" | "day">,
  now_ms: number,
): string[] {
  const said: string[] = [];
  const made_ms = metar === null ? null : metarTime_ms(metar, now_ms);
  if (metar === null) said.push("Wind and air were typed, not read from a report.");
  else if (made_ms === null) said.push("The report does not say when it was made.");
  else if (now_ms - made_ms > REPORT_MS)
    said.push(`The report is ${ageOf(made_ms, now_ms)}: there should be a newer one.`);
  if (wind.layers.length > 0) {
    if (aloftAt === null) said.push("The wind aloft was typed.");
    else if (now_ms - Date.parse(aloftAt) > ALOFT_MS)
      said.push(`The wind aloft is ${ageOf(Date.parse(aloftAt), now_ms)}.`);
  }
  if (day !== isoDay(now_ms)) said.push(`Variation and sun are of ${day}.`);
  return said;
}
