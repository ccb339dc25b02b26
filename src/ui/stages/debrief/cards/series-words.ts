// A series in words.
import type { RunDoubt, SeriesResult, SeriesRow, SeriesVerdict } from "@/core/series/series-result";
import { wholeBound } from "@/core/series/series-result";
import type { CardRun, SeriesKind, TestCard } from "@/core/series/test-card";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";
import { withBound } from "../debrief-words";

/** Height of a half turn, or sink of a glide. */
export const amountWords = (kind: SeriesKind, format: Format, value: number): string =>
  kind === "half-turn" ? format("height", value) : format("verticalSpeed", value);

/** The same with the bound of 95 in 100. */
export const amountWithBound = (kind: SeriesKind, format: Format, value: number, bound: number): string =>
  withBound(format, kind === "half-turn" ? "height" : "verticalSpeed", value, bound);

const digits = (words: string) => Number(words.replace(/[^\d.]/gu, ""));

/** A difference with its sign. */
export function differenceWords(kind: SeriesKind, format: Format, value: number): string {
  const words = amountWords(kind, format, Math.abs(value));
  return digits(words) === 0 ? words : `${value < 0 ? "−" : "+"}${words}`;
}

/** Flown less predicted, of the figures as they are shown: a row adds up. */
export function shownDifference(kind: SeriesKind, format: Format, flown: number, predicted: number): string {
  const [over, under] = [flown, predicted].map((value) => amountWords(kind, format, value));
  const difference = digits(over) - digits(under);
  const whole = Number.isInteger(difference)
    ? formatNumber(Math.abs(difference))
    : formatNumber(Math.abs(difference), 1);
  const unit = over.replace(/^[−\d.\u202f]+/u, "");
  return `${difference < 0 ? "−" : difference > 0 ? "+" : ""}${whole}${unit}`;
}

/** Bank or speed. */
export const valueWords = (kind: SeriesKind, format: Format, value: number): string =>
  kind === "half-turn" ? `${formatNumber(degrees(value))}°` : format("speed", value);

const number = (words: string) => words.replace(/[^\d.−\u202f]+$/u, "");

/** A speed that moves by no more than this, in the user's unit, was held. */
const HELD = 3;

/** Speed of a run: one figure where it was held, from to where it was not. */
export function speedWords({ speed }: CardRun, format: Format): string {
  if (!speed) return "–";
  const [least, most] = [format("speed", speed.least), format("speed", speed.most)];
  const held = digits(most) - digits(least) <= HELD;
  return held ? format("speed", speed.mean) : `${number(least)}–${most}`;
}

/** What is not as it was briefed. */
export function doubtWords(doubt: RunDoubt, { run, briefedEas_mps }: SeriesRow, format: Format): string {
  const { speed, bank, hole_s } = run;
  switch (doubt) {
    case "speed": {
      if (!speed) return "speed not held";
      const held = digits(format("speed", speed.most)) - digits(format("speed", speed.least)) <= HELD;
      return held
        ? `speed ${format("speed", speed.mean)} for ${number(format("speed", briefedEas_mps))}`
        : `speed ${number(format("speed", speed.least))} to ${format("speed", speed.most)}`;
    }
    case "bank":
      return bank
        ? `bank ${formatNumber(degrees(bank.least))} to ${formatNumber(degrees(bank.most))}°`
        : "bank not held";
    case "hole":
      return `hole of ${formatNumber(hole_s)} s`;
    case "outlier":
      return "apart from the others";
  }
}

/** What the log shows of a run, in a few words. */
export const shownWords = (row: SeriesRow, format: Format): string => {
  const { run, doubts, reason } = row;
  if (run.leftOut !== null) return `left out: ${run.leftOut}`;
  return reason ?? (doubts.length === 0 ? "steady" : doubts.map((doubt) => doubtWords(doubt, row, format)).join(", "));
};

const percent = (share: number) => `${formatNumber(share * 100)} %`;

/** What the runs say of the aircraft, its lead first. */
export function verdictWords(verdict: SeriesVerdict, count: number): { lead: string; rest: string; good: boolean } {
  switch (verdict.says) {
    case "too few":
      return {
        lead: count === 0 ? "No run yet." : "Too few runs.",
        rest:
          count === 0
            ? "Fly the card, then add its log."
            : "Three runs that count say something of the book; each is shown beside it.",
        good: true,
      };
    case "agrees":
      return {
        lead: "The book holds.",
        rest: `${count} runs agree with it within ${percent(verdict.bound)}; nothing is to be changed.`,
        good: true,
      };
    case "too good":
      return {
        lead: `The book is ${percent(verdict.by)} too good.`,
        rest: `±${percent(verdict.bound)} by ${count} runs. Plan with what was flown, and fly it once more another day.`,
        good: false,
      };
    case "too poor":
      return {
        lead: `The book is ${percent(verdict.by)} too careful.`,
        rest: `±${percent(verdict.bound)} by ${count} runs. One day’s air may do that: do not plan with less before it is flown again.`,
        good: true,
      };
  }
}

/** What explains most of a run's difference. */
export function lessonOfRun(
  { difference, bySpeed, byGain }: SeriesRow,
  kind: SeriesKind,
  format: Format,
): string | null {
  if (difference === null || kind !== "half-turn") return null;
  const speed = bySpeed ?? 0;
  const gain = byGain ?? 0;
  const rest = difference - speed - gain;
  const parts = [
    { words: "another speed than the briefed one", part: speed },
    { words: gain > 0 ? "speed gained" : "speed given up", part: gain },
    { words: "aircraft, air and what the log cannot tell", part: rest },
  ].filter(({ part }) => Math.abs(part) > 3);
  if (parts.length === 0) return "As predicted.";
  return `${parts.map(({ words, part }) => `${differenceWords(kind, format, part)} by ${words}`).join(", ")}.`;
}

/** Flown at the briefed value with its bound; null before a run counts. */
export function flownAtBriefed(
  card: TestCard,
  { asBriefed, briefed, common }: SeriesResult,
  format: Format,
): string | null {
  if (!asBriefed) return null;
  const flown = asBriefed.mean * briefed.predicted;
  const bound = wholeBound(asBriefed, common);
  return bound === null
    ? amountWords(card.kind, format, flown)
    : amountWithBound(card.kind, format, flown, bound * briefed.predicted);
}
