// Where the height of a flight went, in words.
import type { Cause, HeightSpent } from "@/core/exercise/height-account";
import type { LedgerEntry } from "@/core/glide/glide-path";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";

/** What took height, as it is listed. */
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  speed: "Speed",
  bank: "Bank and load",
  flap: "Flap out",
  gear: "Gear out",
  slip: "Ball and controls out",
  engine: "Engine, propeller",
  air: "Air and the rest",
};

/** What the pilot has in hand. */
const IN_HAND = ["speed", "bank", "flap", "gear", "slip", "engine"] as const;
type InHand = (typeof IN_HAND)[number] | "reaction";

/** Less than this is not worth a sentence, m. */
const WORTH_M = 6;

/** The one thing that would have saved most, and how much, m; null where nothing was worth it. */
export function mostSaved(
  { reaction, beyond_m }: HeightSpent,
  planned_s: number,
): { readonly what: InHand; readonly saved_m: number } | null {
  const late = reaction.time_s > 0 ? reaction.lost_m * Math.max(1 - planned_s / reaction.time_s, 0) : 0;
  const [most] = [
    { what: "reaction" as const, saved_m: late },
    ...IN_HAND.map((what) => ({ what, saved_m: beyond_m[what] })),
  ].toSorted((a, b) => b.saved_m - a.saved_m);
  return most.saved_m > WORTH_M ? most : null;
}

/** What to do about it on one engine, where it is something else. */
const ON_ONE: Partial<Record<InHand, string>> = {
  speed: "Hold V_YSE",
  bank: "Bank less",
  slip: "Half a ball and 2 to 3° to the live side",
  engine: "Full power, and feather sooner",
};
/** What to do about it. */
const ADVICE: Readonly<Record<InHand, string>> = {
  reaction: "Act sooner",
  speed: "Hold the speed",
  bank: "Bank as planned, hold no load beyond it",
  flap: "Keep the flap in longer",
  gear: "Keep the gear up longer",
  slip: "Keep the ball in the middle",
  engine: "Take the propeller’s drag off",
};

/** The single thing that would have saved most height, as a sentence. */
export function savedWords(spent: HeightSpent, planned_s: number, format: Format): string {
  const most = mostSaved(spent, planned_s);
  if (!most) return "Nothing in hand would have saved much height.";
  const time = most.what === "reaction" ? ` (${formatNumber(spent.reaction.time_s)} s went by)` : "";
  const advice = (spent.kind === "one-engine" ? ON_ONE[most.what] : undefined) ?? ADVICE[most.what];
  return `${advice}: that would have saved most, ${format("height", most.saved_m, "down")}${time}.`;
}

/** Height that the plan gives to a part. */
export function plannedPart(ledger: readonly LedgerEntry[], part: "reaction" | "turns" | "straight"): number {
  const of = { reaction: ["reaction"], turns: ["turn"], straight: ["straight", "approach"] }[part];
  return ledger.reduce((sum, { account, height_m }) => sum + (of.includes(account) ? height_m : 0), 0);
}
