// What is due: rules of practice by the calendar, each an example until its pilot makes it his own.
import { TZDate } from "@date-fns/tz";
import { addDays, addMonths, differenceInCalendarDays, format } from "date-fns";
import { z } from "zod";
import { PRACTICES, type Practice } from "./logbook-entry";

/** The present version of the document. */
export const CURRENCY_RULE_VERSION = 1;

/** How a practice was had. */
export const PRACTICE_WAYS = ["flight", "simulator", "drill"] as const;
/** @see PRACTICE_WAYS */
export type PracticeWay = (typeof PRACTICE_WAYS)[number];

/** A rule. */
export const CurrencyRule = z.strictObject({
  schema: z.literal("utrimax/currency-rule"),
  version: z.literal(CURRENCY_RULE_VERSION),
  id: z
    .string()
    .max(40)
    .regex(/^[a-z0-9-]+$/, "An id is small letters, digits and dashes."),
  name: z.string().trim().min(1, "A name is needed.").max(60, "At most 60 characters."),
  practice: z.enum(PRACTICES),
  /** What counts. */
  ways: z.array(z.enum(PRACTICE_WAYS)).min(1, "Something must count.").max(PRACTICE_WAYS.length),
  times: z.int("A whole number.").min(1, "1 to 20 times.").max(20, "1 to 20 times."),
  within: z
    .strictObject({
      count: z.int("A whole number.").min(1, "A rule is of 1 day at least.").max(1000, "At most 1 000."),
      unit: z.enum(["days", "months"]),
    })
    .refine(({ count, unit }) => unit === "days" || count <= 60, { message: "At most 60 months.", path: ["count"] }),
  /** Where it comes from. */
  note: z.string().trim().max(200, "At most 200 characters."),
  on: z.boolean(),
  /** The example that it stands in for; null for one of its own. */
  inPlaceOf: z.string().max(40).nullable(),
});
/** @see CurrencyRule */
export type CurrencyRule = z.infer<typeof CurrencyRule>;

const example = (
  id: string,
  name: string,
  practice: Practice,
  ways: readonly PracticeWay[],
  count: number,
  unit: "days" | "months",
): CurrencyRule => ({
  schema: "utrimax/currency-rule",
  version: CURRENCY_RULE_VERSION,
  id,
  name,
  practice,
  ways: [...ways],
  times: 1,
  within: { count, unit },
  note: "An example. What your authority, club or insurer asks comes first.",
  on: true,
  inPlaceOf: null,
});

/** Rules that ship, as examples. Common practice. */
export const EXAMPLE_RULES: readonly CurrencyRule[] = [
  example("last-turn-back", "Turn back at height", "turn-back", ["flight", "simulator"], 90, "days"),
  example("last-forced-landing", "Practised forced landing", "forced-landing", ["flight"], 90, "days"),
  example("last-one-engine-approach", "Approach on one engine", "one-engine-approach", ["flight"], 6, "months"),
  example("last-engine-failure", "Engine failure, drill or flown", "engine-failure", PRACTICE_WAYS, 30, "days"),
  example("last-recall", "Memory items recalled", "recall", ["drill"], 14, "days"),
];

/** The rules that hold: one's own, and the examples that none of them stands in for. */
export function rulesInForce(own: readonly CurrencyRule[]): CurrencyRule[] {
  const replaced = new Set(own.map(({ inPlaceOf }) => inPlaceOf));
  return [...EXAMPLE_RULES.filter(({ id }) => !replaced.has(id)), ...own];
}

/** A practice that was had. */
export interface Practised {
  readonly practice: Practice;
  readonly way: PracticeWay;
  /** UTC, ms since 1970. */
  readonly at_ms: number;
  readonly words: string;
  /** Ids of the runs, flights and logs that it stands for. */
  readonly of: readonly string[];
}

/** @see currencyOf */
export interface Currency {
  readonly rule: CurrencyRule;
  readonly state: "current" | "soon" | "overdue" | "never";
  /** Last day on which it holds, as YYYY-MM-DD in the pilot's zone; null where it was never had often enough. */
  readonly until: string | null;
  /** Days to that day; negative after it. */
  readonly days: number | null;
  /** The practice that it holds by: of several times the first of the latest. */
  readonly by: Practised | null;
}

/** It is said so many days before it runs out. */
const SOON_DAYS = 14;
/** A practice of the future is a clock that is wrong; so much is let pass, ms. */
const CLOCK_MS = 24 * 3600 * 1000;

/**
 * How a rule stands. Days are the calendar's of the pilot's zone; a practice counts on its day and for so many days or
 * months after it, the last of them included. A month later is the same day of the month, or that month's last.
 *
 * @param now_ms - since 1970, UTC
 * @param zone - IANA name; the caller sees to it that it is one
 */
export function currencyOf(rule: CurrencyRule, had: readonly Practised[], now_ms: number, zone: string): Currency {
  const counted = had
    .filter(
      ({ practice, way, at_ms }) => practice === rule.practice && rule.ways.includes(way) && at_ms <= now_ms + CLOCK_MS,
    )
    .toSorted((a, b) => b.at_ms - a.at_ms);
  const by = counted.at(rule.times - 1);
  if (!by) return { rule, state: "never", until: null, days: null, by: null };
  const { count, unit } = rule.within;
  const day = new TZDate(by.at_ms, zone);
  const until = unit === "days" ? addDays(day, count) : addMonths(day, count);
  const days = differenceInCalendarDays(until, new TZDate(now_ms, zone));
  return {
    rule,
    state: days < 0 ? "overdue" : days <= SOON_DAYS ? "soon" : "current",
    until: format(until, "yyyy-MM-dd"),
    days,
    by,
  };
}

/** Whether a text names a time zone that this machine knows. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
