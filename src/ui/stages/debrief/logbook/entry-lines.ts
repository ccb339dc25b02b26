// An entry as it is read: the same lines on the screen and in a report.
import {
  CAUSE_KINDS,
  type CauseKind,
  type EntryKind,
  type LogbookEntry,
  type Practice,
} from "@/core/logbook/logbook-entry";
import { degrees } from "@/core/quantities/angle";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import type { Format } from "@/ui/kit/units/units-store";

/** Where it was, in words. */
export const KIND_WORDS: Record<EntryKind, string> = {
  flight: "in flight",
  simulator: "by hand, simulated",
  drill: "a drill",
  ground: "on the ground",
};

/** What a cause is of, in words. */
export const CAUSE_WORDS: Record<CauseKind, string> = {
  technical: "technical",
  human: "human",
  weather: "weather",
  procedure: "procedure",
  upkeep: "upkeep",
};

/** What was practised, in words. */
export const PRACTICE_WORDS: Record<Practice, string> = {
  "turn-back": "turn back",
  "forced-landing": "forced landing",
  "engine-failure": "engine failure",
  "one-engine-approach": "approach on one engine",
  shutdown: "engine shut down",
  "minimum-control": "minimum control speed",
  recall: "recall",
};

/** A part of an entry: its head, and lines with what stands before them. */
export interface EntryPart {
  readonly head: string;
  readonly lines: readonly { readonly before: string; readonly words: string }[];
}

const line = (words: string, before = "") => ({ before, words });
const minus = (value: number) => (value < 0 ? `−${formatClock(-value)}` : formatClock(value));

/** The line under an entry's name. */
export const entrySub = ({ at, kind, aircraft }: LogbookEntry): string =>
  [dayInWords(Date.parse(at)), `${at.slice(11, 16)} UTC`, KIND_WORDS[kind], aircraft].filter(Boolean).join(" · ");

/** The parts of an entry that hold something, in the order in which they are told. */
export function entryParts(entry: LogbookEntry, format: Format): EntryPart[] {
  const { causes, actions, cost, learnt, change, people, practised, tab, shutdown, tags } = entry;
  const { height_m, time_s } = cost;
  const spent = [
    ...(height_m === null
      ? []
      : [
          line(
            format("height", Math.abs(height_m), height_m < 0 ? "down" : "up"),
            height_m < 0 ? "height gained" : "height lost",
          ),
        ]),
    ...(time_s === null ? [] : [line(formatClock(time_s), "time")]),
  ];
  const parts: EntryPart[] = [
    { head: "Why", lines: causes.map(({ kind, words }) => line(words, CAUSE_WORDS[kind])) },
    { head: "What was done", lines: actions.map(({ at_s, words }) => line(words, at_s === null ? "" : minus(at_s))) },
    { head: "What it cost", lines: spent },
    { head: "Learnt", lines: learnt === "" ? [] : [line(learnt)] },
    { head: "What will change", lines: change === "" ? [] : [line(change)] },
    {
      head: "Engine shut down",
      lines: shutdown
        ? [
            line(shutdown.engine === "the engine" ? "one" : shutdown.engine, "engine"),
            ...(shutdown.height_m === null ? [] : [line(format("height", shutdown.height_m), "at")]),
            line(formatClock(shutdown.off_s), "off for"),
            line(
              `${shutdown.started ? "started" : "not started"}, ${shutdown.tries} ${shutdown.tries === 1 ? "try" : "tries"}`,
              "restart",
            ),
            ...(shutdown.oil_K === null ? [] : [line(format("temperature", shutdown.oil_K), "oil")]),
          ]
        : [],
    },
    {
      head: "Trim tab",
      lines: tab
        ? [
            line(format("speed", tab.speed_mps), "speed"),
            line(`${signed(degrees(tab.before_rad))}° to ${signed(degrees(tab.after_rad))}°`, "tab, right +"),
            line(`${signed(tab.ball, 1)} widths`, "ball, feet off"),
          ]
        : [],
    },
    { head: "Counts as", lines: practised.map((one) => line(PRACTICE_WORDS[one])) },
    { head: "Who", lines: people.map(({ name, role }) => (name === role ? line(role) : line(name, role))) },
    { head: "Tags", lines: tags.length === 0 ? [] : [line(tags.join(", "))] },
  ];
  return parts.filter(({ lines }) => lines.length > 0);
}

const signed = (value: number, digits = 0) => `${value > 0 ? "+" : ""}${formatNumber(value, digits)}`;

/** All kinds of causes, for a choice. */
export const CAUSE_CHOICES = CAUSE_KINDS.map((value) => ({ value, label: CAUSE_WORDS[value] }));
