// Exercises in words: tolerances, what fails them, how they went.
import type { Event, Exercise, FlightTestProfile, Tolerance } from "@/core/exercise/exercise";
import type { ExerciseScore, FlightTestResult, HeldTolerance } from "@/core/exercise/exercise-score";
import type { Channel } from "@/core/exercise/trace";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";

/** Channels in words. */
export const CHANNEL_WORDS: Record<Channel, string> = {
  height: "height",
  heading: "heading",
  speed: "speed",
  bank: "bank",
  verticalSpeed: "vertical speed",
};

/** Channels that are level at nothing. */
const LEVEL: readonly Channel[] = ["bank", "verticalSpeed"];

/** A value of a channel in the user's units, unsigned. */
export function amount(channel: Channel, value: number, format: Format): string {
  if (channel === "heading" || channel === "bank") return `${formatNumber(Math.abs(value) * (180 / Math.PI))}°`;
  return format(channel, Math.abs(value));
}

/** What a tolerance asks for: "height as at entry, ±100 ft". */
export function toleranceWords({ channel, target, below, above }: Tolerance, format: Format): string {
  const of =
    target === "entry"
      ? "as at entry"
      : target === "book"
        ? "the book’s"
        : target === 0 && LEVEL.includes(channel)
          ? "level"
          : amount(channel, target, format);
  const limits =
    below === above
      ? `±${amount(channel, above, format)}`
      : `−${amount(channel, below, format)}, +${amount(channel, above, format)}`;
  return `${CHANNEL_WORDS[channel]} ${of}, ${limits}`;
}

/** What fails an exercise at once. */
export const failWords = ({ channel, is, value }: Event, format: Format): string =>
  `${CHANNEL_WORDS[channel]} ${is} ${value < 0 ? "−" : ""}${amount(channel, value, format)}`;

/** How a tolerance was held. */
export function heldWords(
  { held, within, busts, tolerance }: HeldTolerance,
  format: Format,
  clock: (time_s: number) => string = formatClock,
): string {
  if (held === null) return "not measured";
  if (held) return within === 1 || within === null ? "held" : `held, ${formatNumber(within * 100)} % of the time`;
  const worst = busts.reduce((most, bust) => (Math.abs(bust.worst) > Math.abs(most.worst) ? bust : most));
  return `${amount(tolerance.channel, worst.worst, format)} too ${worst.worst > 0 ? "much" : "little"} at ${clock(worst.from_s)}`;
}

/** How an exercise went. */
export const VERDICT_WORDS: Record<ExerciseScore["verdict"], string> = {
  passed: "passed",
  failed: "not passed",
  unmeasured: "drill in order; to be flown",
};

/** How a flight test stands. */
export function testWords(
  { verdict, exercises, repeatsLeft }: FlightTestResult,
  { name }: FlightTestProfile,
): { lead: string; rest: string; good: boolean } {
  const done = exercises.filter((entry) => entry.verdict === "passed" || entry.verdict === "unmeasured").length;
  const failed = exercises.filter((entry) => entry.verdict === "failed").length;
  const rest = `${formatNumber(done)} of ${formatNumber(exercises.length)} with the drill in order${failed > 0 ? `, ${formatNumber(failed)} not` : ""}; ${formatNumber(repeatsLeft)} may still be repeated. Drills alone pass nothing that must be flown.`;
  return {
    lead:
      verdict === "failed" ? `${name}: not passed.` : verdict === "passed" ? `${name}: passed.` : `${name}: going on.`,
    rest,
    good: verdict !== "failed",
  };
}

/** The exercise on a card, in lines. */
export function exerciseLines(exercise: Exercise, format: Format): readonly { name: string; value: string }[] {
  const { setUp, tolerances, lookOuts, calls, fails, drill } = exercise;
  return [
    { name: "Set up", value: setUp.configuration },
    { name: "Height", value: format("height", setUp.height_m) },
    ...(setUp.hardDeck_m === null ? [] : [{ name: "Hard deck", value: format("height", setUp.hardDeck_m) }]),
    ...tolerances.map((tolerance) => ({ name: "Within", value: toleranceWords(tolerance, format) })),
    ...(drill.seconds === null ? [] : [{ name: "Drill in", value: `${formatNumber(drill.seconds)} s` }]),
    ...fails.map((event) => ({ name: "Fails at once", value: failWords(event, format) })),
    ...lookOuts.map((value) => ({ name: "Look-out", value })),
    ...calls.map((value) => ({ name: "Call", value })),
  ];
}
