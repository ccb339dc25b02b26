// Currency in words.
import type { Currency, CurrencyRule, PracticeWay } from "@/core/logbook/currency";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import { PRACTICE_WORDS } from "./entry-lines";

const WAY_WORDS: Record<PracticeWay, string> = {
  flight: "in flight",
  simulator: "by hand, simulated",
  drill: "as a drill",
};

/** What a way is called. */
export const wayWords = (way: PracticeWay): string => WAY_WORDS[way];

const days = (count: number) => (count === 1 ? "1 day" : `${count} days`);

/** How a rule stands, in a few words. */
export function stateWords({ state, days: left, until }: Currency): string {
  if (state === "never" || left === null || until === null) return "never yet";
  if (left < 0) return `${days(-left)} overdue`;
  if (left === 0) return "due today";
  return state === "soon" ? `due in ${days(left)}` : `until ${dayInWords(Date.parse(until))}`;
}

/** A rule as a sentence. */
export function ruleWords({ practice, ways, times, within }: CurrencyRule): string {
  const often = times === 1 ? "Once" : `${times} times`;
  const unit = within.count === 1 ? within.unit.slice(0, -1) : within.unit;
  return `${often} within ${within.count} ${unit}: ${PRACTICE_WORDS[practice]}, ${ways.map(wayWords).join(" or ")}.`;
}
