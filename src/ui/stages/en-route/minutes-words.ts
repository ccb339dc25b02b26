// What the En route stage says of an engine with minutes left.
import type { MinutesByGround } from "@/core/restart/minutes-by-ground";
import type { MinutesChoice } from "@/core/restart/minutes-left";
import { threeFigures } from "@/core/quantities/angle";
import type { Format } from "@/ui/kit/units/units-store";
import { minutes } from "@/ui/kit/units/minutes";

/** What is done with the minutes. */
export const CHOICES: Record<MinutesChoice, string> = {
  climb: "Climb with it",
  level: "Fly level, fast",
  "shut-down": "Shut it down now",
};

/** From when on a place is in reach. */
export function reachInWords({ inReach_s, margin_m, choice }: MinutesByGround): string {
  if (inReach_s === 0) return choice === "shut-down" || margin_m >= 0 ? "all the while" : "now";
  return inReach_s === null ? "never" : `after ${minutes(inReach_s)}`;
}

/** The first of the choices as a sentence. */
export function minutesInWords(
  [best]: readonly MinutesByGround[],
  left_s: number,
  north_rad: number | null,
  format: Format,
): { headline: string; text: string; tone: string } | null {
  if (!best) return null;
  const track =
    best.track_rad === null || north_rad === null ? "" : `, ${threeFigures(best.track_rad - north_rad)}° magnetic`;
  const towards = best.place ? `towards ${best.place.name}${track}` : "";
  if (best.inReach_s === null)
    return {
      headline: "No choice brings a place into reach.",
      text: !Number.isFinite(best.margin_m)
        ? "No altitude helps here."
        : best.choice === "shut-down"
          ? `Shut down now it is ${format("height", -best.margin_m, "up")} short; no way with the engine is better that clears the ground.`
          : `${CHOICES[best.choice]} ${towards} comes nearest: ${format("height", -best.margin_m, "up")} short when it stops.`,
      tone: "text-brick",
    };
  const stops = `${format("height", best.margin_m, "down")} in hand when it stops after ${minutes(left_s)}`;
  return {
    headline: `${CHOICES[best.choice]}${best.choice === "shut-down" ? `: ${best.place?.name ?? ""}` : ` ${towards}`}.`,
    text:
      best.choice === "shut-down"
        ? `${format("height", best.margin_m, "down")} in hand now.`
        : best.inReach_s === 0
          ? `A place is in reach all the while; ${stops}.`
          : `A place is in reach after ${minutes(best.inReach_s)}; ${stops}.`,
    tone: "text-pine",
  };
}
