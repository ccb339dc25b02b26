// What was found in a log, in words.
import { degrees, threeFigures, wrapTurn } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import type { Failure, FoundFlight, MeasuredTurn } from "@/core/track/analyse";
import type { Figure } from "@/core/track/figure";
import type { Glide } from "@/core/track/measure/glide";
import type { MinimumControl } from "@/core/track/measure/minimum-control";
import type { LogSummary } from "@/core/track/kept-log";
import type { FittedWind } from "@/core/track/wind/fitted-wind";
import type { JobState } from "@/server/log-jobs";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import type { Format } from "@/ui/kit/units/units-store";

/** A row of the aside: what it is, its figure with its bound, and which working opens. */
export interface MeasureRow {
  readonly name: string;
  readonly value: string;
  /** Of the working. */
  readonly figure: string;
  /** Why there is no figure. */
  readonly reason?: string;
}

/** So many standard deviations are shown: 95 of 100 hold. */
export const SHOWN_SIGMAS = 2;

const measure = (name: string, figure: string, found: Figure, inWords: (value: number, bound: number) => string) =>
  found.known
    ? { name, figure, value: inWords(found.value, SHOWN_SIGMAS * found.sigma) }
    : { name, figure, value: "not known", reason: found.reason };

/** `850 ft ±20`: the bound without its unit, never smaller than it is. */
export function withBound(format: Format, kind: Parameters<Format>[0], value: number, bound: number): string {
  const shown = format(kind, bound, "up").replace(/[^\d.\u202f]+$/u, "");
  return `${format(kind, value)} ±${shown}`;
}

const seconds = (value: number, bound: number) => `${formatNumber(value, 1)} s ±${formatNumber(bound, 1)}`;
const angle = (value: number, bound: number) =>
  `${formatNumber(degrees(value))}° ±${formatNumber(Math.max(degrees(bound), 1))}`;

/** How the server's analysis of a large log stands. */
export function jobWords({ state, share, fault }: JobState): string {
  if (state === "failed") return `not analysed: ${fault ?? "it broke down"}`;
  return state === "waiting" ? "waits to be analysed" : `analysed on the server, ${formatNumber(share * 100)} %`;
}

/** What an engine did. */
export function stopWords({ name, ...failure }: Pick<Failure, "kind" | "engine" | "possible" | "name">): string {
  return name ?? engineWords(failure);
}

function engineWords({ kind, engine, possible }: Pick<Failure, "kind" | "engine" | "possible">): string {
  const which = engine === null ? "engine" : engine === 1 ? "left engine" : "right engine";
  const words = {
    idle: `${which} to idle`,
    stopped: `${which} stopped`,
    windmilling: `${which} stopped, windmilling`,
    "reduced or lost": "power reduced or lost",
  };
  return possible ? `possibly ${words[kind]}` : words[kind];
}

/** Clock of a log's moment: minutes and seconds since its beginning, or of the day. */
export function momentWords(at_s: number, begins_s: number | null): string {
  if (begins_s !== null) return new Date(Math.round((begins_s + at_s) * 1000)).toISOString().slice(11, 19);
  const whole = Math.round(at_s);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}

/** The lead and the rest of what an engine stop came to. */
export function failureSaid(failure: Failure, flight: FoundFlight, format: Format): { lead: string; rest: string } {
  const { height_m, toGround, delay_s, turns } = failure;
  const at = height_m.known ? ` at ${format("height", height_m.value)}` : "";
  const lead = `${capital(stopWords(failure))}${at}.`;
  const parts: string[] = [];
  if (delay_s.known && turns.length > 0) parts.push(`first action after ${formatNumber(delay_s.value, 1)} s`);
  const turn = largest(turns);
  if (turn && turn.heading_rad > Math.PI / 3) {
    const { bank_rad } = turn.measures;
    const bank = bank_rad.known ? ` at ${formatNumber(degrees(bank_rad.value))}°` : "";
    parts.push(`turned ${formatNumber(degrees(turn.heading_rad))}°${bank}`);
  }
  if (toGround?.time_s.known)
    parts.push(`down ${formatNumber(toGround.time_s.value)} s later${landedWords(flight, format)}`);
  else if (failure.back_s !== null) parts.push(`power again after ${formatNumber(failure.back_s - failure.time_s)} s`);
  return { lead, rest: parts.length > 0 ? `${capital(parts.join(", "))}.` : "" };
}

function landedWords({ landed }: FoundFlight, format: Format): string {
  if (!landed || !landed.along_m.known) return "";
  const { along_m, runway, length_m } = landed;
  if (along_m.value < 0) return `, ${format("length", -along_m.value)} short of ${runway}`;
  return along_m.value > length_m
    ? `, ${format("length", along_m.value - length_m)} beyond the end of ${runway}`
    : `, ${format("length", along_m.value)} past the threshold of ${runway}`;
}

const largest = (turns: readonly MeasuredTurn[]) =>
  turns.reduce<MeasuredTurn | null>((most, turn) => (turn.heading_rad > (most?.heading_rad ?? 0) ? turn : most), null);

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The figures of an engine stop. */
export function failureRows(failure: Failure, n: string, format: Format): MeasureRow[] {
  const figure = `failure ${n}`;
  return [
    measure("Height", figure, failure.height_m, (value, bound) => withBound(format, "height", value, bound)),
    measure("First action after", figure, failure.delay_s, seconds),
    ...(failure.toGround
      ? [
          measure("From there to the touch", figure, failure.toGround.height_m, (value, bound) =>
            withBound(format, "height", value, bound),
          ),
          measure("Time of it", figure, failure.toGround.time_s, seconds),
        ]
      : []),
  ];
}

/** The figures of a turn. */
export function turnRows({ side, heading_rad, measures }: MeasuredTurn, n: string, format: Format): MeasureRow[] {
  const figure = `turn ${n}`;
  const height = (value: number, bound: number) => withBound(format, "height", value, bound);
  const half = heading_rad > Math.PI / 2;
  return [
    measure(
      `${side < 0 ? "Left" : "Right"} ${formatNumber(degrees(heading_rad))}°, bank`,
      figure,
      measures.bank_rad,
      angle,
    ),
    ...(half
      ? [
          measure("Height for 180°", figure, measures.height_m, height),
          measure("with its speed", figure, measures.energyHeight_m, height),
          measure("Time for 180°", figure, measures.time_s, seconds),
        ]
      : []),
  ];
}

/** The figures of a glide. */
export function glideRows(glide: Glide, n: string, format: Format): MeasureRow[] {
  const figure = `glide ${n}`;
  return [
    measure(`Glide of ${formatNumber(glide.to_s - glide.from_s)} s, speed`, figure, glide.eas_mps, (value, bound) =>
      withBound(format, "speed", value, bound),
    ),
    measure("Sink", figure, glide.sink_mps, (value, bound) => withBound(format, "verticalSpeed", value, bound)),
    measure(
      "Through the air",
      figure,
      glide.ratio,
      (value, bound) => `${formatNumber(value, 1)}:1 ±${formatNumber(bound, 1)}`,
    ),
  ];
}

/** The figures of a landing. */
export function landingRows({ landed }: FoundFlight, n: string, format: Format): MeasureRow[] {
  if (!landed) return [];
  const figure = `landing ${n}`;
  const length = (value: number, bound: number) => withBound(format, "length", value, bound);
  return [
    measure(`Touch, past ${landed.runway}`, figure, landed.along_m, length),
    measure("Over the ground", figure, landed.groundSpeed_mps, (value, bound) =>
      withBound(format, "speed", value, bound),
    ),
  ];
}

/** The figures of a speed that was let go until control ended. */
export function slowedRows(slowed: MinimumControl, n: string, format: Format): MeasureRow[] {
  const figure = `slowed ${n}`;
  const speed = (value: number, bound: number) => withBound(format, "speed", value, bound);
  return [
    measure("Slowed level, indicated from", figure, slowed.entry_mps, speed),
    measure("to the least", figure, slowed.least_mps, speed),
    measure(
      "losing each second",
      figure,
      slowed.rate_mps2,
      (value, bound) => `${formatNumber(value / MPS_PER_KT, 1)} kt ±${formatNumber(bound / MPS_PER_KT, 1)}`,
    ),
    measure("Heading strayed", figure, slowed.heading_rad, angle),
    measure("Greatest bank", figure, slowed.bank_rad, angle),
  ];
}

/** A wind with its bound: `160/11 ±6 kt`. */
export function windWords(
  wind: (Pick<FittedWind, "east_mps" | "north_mps"> & { sigma_mps: number }) | null,
  format: Format,
): string {
  if (!wind) return "not known";
  const from = wrapTurn(Math.atan2(-wind.east_mps, -wind.north_mps));
  const speed = Math.hypot(wind.east_mps, wind.north_mps);
  return `${threeFigures(from)}° ${withBound(format, "speed", speed, SHOWN_SIGMAS * wind.sigma_mps)}`;
}

/** What a list says of a log. */
export function summaryWords({ flights, landings, failures, duration_s, holes }: LogSummary): string {
  const count = (n: number, one: string, many = `${one}s`) => `${formatNumber(n)} ${n === 1 ? one : many}`;
  const parts = [count(Math.round(duration_s / 60), "minute")];
  parts.push(failures > 0 ? count(failures, "engine stop") : "no engine stop");
  if (flights === 0) parts.push("not in the air");
  else if (landings === 0) parts.push("no landing");
  else if (landings > 1) parts.push(count(landings, "landing"));
  if (holes > 0) parts.push(count(holes, "hole"));
  return parts.join(" · ");
}

/** Day of a log. */
export function dayWords(begins_s: number | null): string {
  return begins_s === null ? "day not told" : dayInWords(begins_s * 1000);
}
