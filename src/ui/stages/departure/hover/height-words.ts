import type { SafeHeights } from "@/core/rotor/hover-heights";
import type { useFormat } from "@/ui/kit/units/units-store";

type Format = ReturnType<typeof useFormat>;

/** Heights that were looked at end at this, m: nearly. */
const LOOKED_AT_M = 149;

/** Up to which height one goes back down, in words. */
export function rejectWords(height_m: number | null, format: Format): string {
  if (height_m === null) return "none";
  return height_m >= LOOKED_AT_M ? "any" : format("height", height_m, "down");
}

/** What to do when an engine fails on the way up, its lead first. */
export function departureDecision(
  { rejectBelow_m, flyAwayFrom_m }: SafeHeights,
  format: Format,
): { safe: boolean; lead: string; rest: string } {
  if (flyAwayFrom_m === null)
    return {
      safe: false,
      lead: "Sketch: There is no flying away: depart only where you can always come back down.",
      rest:
        rejectBelow_m === null
          ? "Nor is a reject gentle from any height: lighter, or not today."
          : `Back down is gentle from ${rejectWords(rejectBelow_m, format)} of skids’ height.`,
    };
  if (rejectBelow_m !== null && rejectBelow_m >= flyAwayFrom_m)
    return {
      safe: true,
      lead: `Sketch: Decide at ${format("height", flyAwayFrom_m, "up")}: below it back down, from there on away.`,
      rest: "Coming in, it is the height below which you are committed to land.",
    };
  const from = rejectBelow_m === null ? "the ground" : format("height", rejectBelow_m, "down");
  return {
    safe: false,
    lead: `Sketch: Between ${from} and ${format("height", flyAwayFrom_m, "up")} neither way is safe.`,
    rest: "Lighter, more wind, or a departure that gathers speed low instead of rising. Coming in, committed from the upper one on.",
  };
}
