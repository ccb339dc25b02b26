// What flight on one engine comes to in sentences: the spine's few words and the decision beside the speeds.
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/units/units-store";
import type { EngineOutNow } from "@/workers/engine-out-work";

/** What the words are made of. */
export type EngineOutTold = Pick<EngineOutNow, "ledger" | "eas_mps" | "speeds">;

/** The spine's few words: what it does as set, or at its best speed mended. */
export function engineOutHeadline({ ledger, speeds }: EngineOutTold, format: Format): { text: string; tone?: string } {
  if (ledger.left_mps > 0) return { text: `climbs, ${format("verticalSpeed", ledger.left_mps, "down")}`, tone: "text-pine" };
  return speeds.rate.climb_mps > 0 ? { text: `mended ${format("verticalSpeed", speeds.rate.climb_mps, "down")}`, tone: "text-ochre" } : { text: "will not climb", tone: "text-brick" };
}

/** What to do: as set, mended at this speed, mended at the best speed; a place to land only when none of them climbs. */
export function engineOutDecision({ ledger, eas_mps, speeds }: EngineOutTold, jet: boolean, format: Format): { lead: string; rest: string; climbs: boolean } {
  const { left_mps, mended_mps, gradient } = ledger;
  if (left_mps > 0) return { lead: "It climbs.", rest: `${format("verticalSpeed", left_mps, "down")}, ${formatNumber(gradient * 100, 1)} %, at ${format("speed", eas_mps)} as set.`, climbs: true };
  const now = `It descends ${format("verticalSpeed", -left_mps, "up")} at ${format("speed", eas_mps)} as set.`;
  const best = `${jet ? "best rate" : "V_YSE"} ${format("speed", speeds.rate.eas_mps)}`;
  if (mended_mps > 0) return { lead: "As set it does not climb.", rest: `${now} Mended, it climbs ${format("verticalSpeed", mended_mps, "down")}.`, climbs: false };
  if (speeds.rate.climb_mps > 0) return { lead: "Not at this speed.", rest: `${now} Mended it still descends ${format("verticalSpeed", -mended_mps, "up")} at this speed; at ${best} it climbs ${format("verticalSpeed", speeds.rate.climb_mps, "down")}.`, climbs: false };
  return { lead: "It will not climb.", rest: `${now} Mended, at ${best}, it still descends ${format("verticalSpeed", -speeds.rate.climb_mps, "up")}: choose a place to land.`, climbs: false };
}
