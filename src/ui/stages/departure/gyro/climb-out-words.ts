import type { GyroDeparture, GyroFailure } from "@/core/rotor/gyro-departure";
import { formatNumber } from "@/core/quantities/units";
import type { useFormat } from "@/ui/kit/units/units-store";

type Format = ReturnType<typeof useFormat>;

/** How a failure comes out, in a few words. */
export function failureWords({ works, slow, aheadLeft_m }: GyroFailure): string {
  switch (works) {
    case "either":
      return "ahead, or back";
    case "ahead":
      return "ahead";
    case "back":
      return "back only";
    case "neither":
      if (slow) return aheadLeft_m >= 0 ? "ahead, without speed to flare" : "neither";
      return "neither";
  }
}

/** What to do when the engine stops on the climb-out, its lead first. */
export function climbOutDecision(
  { failures, backFrom_m }: GyroDeparture,
  format: Format,
): { safe: boolean; lead: string; rest: string } {
  const neither = failures.filter(({ works, slow, aheadLeft_m }) => works === "neither" && !(slow && aheadLeft_m >= 0));
  const slow = failures.filter((failure) => failure.slow);
  const careful =
    slow.length > 0
      ? ` Up to ${format("height", slow[slow.length - 1].height_m)} there is no height to get the flare’s speed back: climb out faster, keep low until there is speed.`
      : "";
  const back =
    backFrom_m === null
      ? "Turning back works from no height here."
      : `Turning back works from ${format("height", backFrom_m, "up")}.`;
  if (neither.length === 0)
    return { safe: true, lead: "Sketch: Nose down, and land ahead.", rest: `${back}${careful}` };
  const [lowest, highest] = [neither[0].height_m, neither[neither.length - 1].height_m];
  const span =
    lowest === highest
      ? `At ${format("height", lowest)}`
      : `Between ${format("height", lowest)} and ${format("height", highest)}`;
  return {
    safe: false,
    lead: `Sketch: ${span} neither ahead nor back works.`,
    rest: `The ground ahead ends too soon, and it is too low to turn: another direction, or a place beside it that you have looked at. ${back}${careful}`,
  };
}

/** A rise of the rotor's speed in a turn: "+7 %". */
export const riseWords = (rise: number): string =>
  `${rise >= 1 ? "+" : "−"}${formatNumber(Math.abs(rise - 1) * 100)} %`;
