// What is called out while an aircraft is followed: only what has changed.
import type { HeightAdvice } from "@/core/landing/height-advice";
import { isUsable } from "@/core/landing/site-verdict";
import type { Site } from "@/core/landing/sites";
import { oClock } from "@/core/quantities/angle";
import type { Format } from "@/ui/kit/units/units-store";

/** A call, and what it is about: the same about is not called again. */
export interface FollowCall {
  readonly about: string;
  readonly text: string;
  /** Told at once, whatever was told last. */
  readonly urgent: boolean;
}

/** Heights in hand are called again when they have changed by so much, m: 500 ft. */
const STEP_M = 152.4;
/** Below this in hand it is called low, m: 200 ft. */
const LITTLE_M = 60.96;

const ADVICE_WORDS: Record<HeightAdvice["kind"], (off: string) => string> = {
  high: (off) => `High: circling needed, ${off} to lose.`,
  overhead: () => "On the height for the overhead key.",
  "overhead-missed": () => "Low for overhead: make for abeam.",
  "both-missed": () => "Too low for a circuit: straight in.",
};

/** The call of the present moment; null without a place. */
export function followCall(
  { site, advice, heading_rad }: { site: Site | null; advice: HeightAdvice | null; heading_rad: number },
  format: Format,
): FollowCall | null {
  if (!site) return { about: "none", text: "No landing place is known in reach.", urgent: true };
  const { reach, verdict, end } = site;
  const where = `${end.name}, ${oClock(reach.bearingTrue_rad, heading_rad)} o’clock, ${format("distance", reach.distance_m)}`;
  const margin_m = reach.path?.margin_m ?? null;
  if (!isUsable(verdict)) {
    const short = margin_m !== null && margin_m < 0 ? `, ${format("height", -margin_m, "up")} short` : "";
    const why = verdict === "blocked" ? ": ground in the way" : verdict === "short" ? short : ": it does not fit";
    return { about: `${end.id} no`, text: `No place fits. Nearest to it: ${where}${why}.`, urgent: true };
  }
  const inHand = margin_m ?? 0;
  const words = [
    `${where}: made, ${format("height", Math.max(inHand, 0), "down")} in hand.`,
    inHand < LITTLE_M && "Now low: cut the corner, nothing to give away.",
    advice && ADVICE_WORDS[advice.kind](format("height", advice.off_m)),
  ].filter(Boolean);
  return {
    about: `${end.id} ${advice?.kind ?? "no circuit"} ${inHand < LITTLE_M ? "low" : ""} ${Math.round(inHand / STEP_M)}`,
    text: words.join(" "),
    urgent: false,
  };
}

/** Seconds between two calls that are not urgent. */
const APART_MS = 5000;

/** What was told last. */
export interface Told {
  readonly about: string;
  readonly at_ms: number;
}

/** Whether a call is told now. */
export function isTold(call: FollowCall, last: Told | null, now_ms: number): boolean {
  if (last === null) return true;
  return call.about !== last.about && (call.urgent || now_ms - last.at_ms >= APART_MS);
}
