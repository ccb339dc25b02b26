// What a brief rests on that is not of its day.
import { metarTime_ms } from "../air/metar-time";
import type { SituationDocument } from "./situation-document";

/** A report is made every half hour or hour: beyond this another one should be there. Common practice. */
const FRESH_MS = 75 * 60_000;

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
  else if (isoDay(made_ms) !== isoDay(now_ms)) said.push(`The report is of another day: ${isoDay(made_ms)}.`);
  else if (now_ms - made_ms > FRESH_MS) {
    const minutes = Math.floor((now_ms - made_ms) / 60_000);
    const age = `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
    said.push(`The report is ${age} old: there should be a newer one.`);
  }
  if (wind.layers.length > 0) {
    if (aloftAt === null) said.push("The wind aloft was typed.");
    else if (isoDay(Date.parse(aloftAt)) !== isoDay(now_ms))
      said.push(`The wind aloft is of another day: ${isoDay(Date.parse(aloftAt))}.`);
  }
  if (day !== isoDay(now_ms)) said.push(`Variation and sun are of ${day}.`);
  return said;
}
