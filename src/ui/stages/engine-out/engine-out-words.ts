// What flight on one engine comes to in sentences: the spine's few words and the decision beside the speeds.
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";
import type { EngineOutNow } from "@/core/asymmetric/engine-out";

/** What the words are made of. */
export interface EngineOutTold extends Pick<EngineOutNow, "ledger" | "eas_mps" | "speeds" | "limit" | "holdsAt_m"> {
  readonly jet: boolean;
  /** Ground below, above the sea. */
  readonly ground_m: number;
}

/** A drift-down that ends lower than this over the ground ends in it for all that is planned, m (1,000 ft). */
const LEAST_OVER_M = 304.8;

/** Where the drift-down ends with height to fly on; null when it does not. */
function driftsTo_m({ holdsAt_m, ground_m }: EngineOutTold): number | null {
  return holdsAt_m !== null && holdsAt_m >= ground_m + LEAST_OVER_M ? holdsAt_m : null;
}

/** The spine's few words: what it does as set, or at its best speed mended. */
export function engineOutHeadline(told: EngineOutTold, format: Format): { text: string; tone?: string } {
  const { ledger, speeds } = told;
  const holdsAt_m = driftsTo_m(told);
  if (ledger.left_mps > 0) return { text: `climbs, ${format("verticalSpeed", ledger.left_mps)}`, tone: "text-pine" };
  if (holdsAt_m !== null) return { text: `drifts down to ${format("height", holdsAt_m, "down")}`, tone: "text-ochre" };
  return speeds.rate.climb_mps > 0
    ? { text: `mended ${format("verticalSpeed", speeds.rate.climb_mps)}`, tone: "text-ochre" }
    : { text: "will not climb", tone: "text-brick" };
}

/** A limit is broken by more than this, m/s. */
const OVER_MPS = 0.26;

/**
 * What to do: as set, mended at this speed, mended at the best speed; a place to land only when none of them climbs.
 */
export function engineOutDecision(
  told: EngineOutTold,
  format: Format,
): { lead: string; rest: string; climbs: boolean } {
  const { ledger, eas_mps, speeds, limit, jet } = told;
  const holdsAt_m = driftsTo_m(told);
  if (limit && eas_mps > limit.speed_mps + OVER_MPS)
    return {
      lead: `Over ${limit.name}.`,
      rest: `${format("speed", eas_mps)} with flap and gear as set; ${limit.name} is ${format("speed", limit.speed_mps)}: slower, or clean it up first.`,
      climbs: false,
    };
  const { left_mps, mended_mps, gradient } = ledger;
  if (left_mps > 0)
    return {
      lead: "It climbs.",
      rest: `${format("verticalSpeed", left_mps)}, ${formatNumber(gradient * 100, 1)} %, at ${format("speed", eas_mps)} as set.`,
      climbs: true,
    };
  const now = `It descends ${format("verticalSpeed", -left_mps)} at ${format("speed", eas_mps)} as set.`;
  const best = `${jet ? "best rate" : "V_YSE"} ${format("speed", speeds.rate.eas_mps)}`;
  if (mended_mps > 0)
    return {
      lead: "As set it does not climb.",
      rest: `${now} Mended, it climbs ${format("verticalSpeed", mended_mps)}.`,
      climbs: false,
    };
  if (speeds.rate.climb_mps > 0)
    return {
      lead: "Not at this speed.",
      rest: `${now} Mended it still descends ${format("verticalSpeed", -mended_mps)} at this speed; at ${best} it climbs ${format("verticalSpeed", speeds.rate.climb_mps)}.`,
      climbs: false,
    };
  if (holdsAt_m !== null)
    return {
      lead: "It drifts down.",
      rest: `${now} Mended, at ${best}, it goes down ${format("verticalSpeed", -speeds.rate.climb_mps)} at first and holds height from ${format("height", holdsAt_m, "down")} on.`,
      climbs: false,
    };
  return {
    lead: "It will not climb.",
    rest: `${now} Mended, at ${best}, it still descends ${format("verticalSpeed", -speeds.rate.climb_mps)}: choose a place to land.`,
    climbs: false,
  };
}
