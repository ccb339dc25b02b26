// What the En route stage says of relights on the way down.
import type { RelightPlan } from "@/core/restart/relight";
import type { Format } from "@/ui/kit/units/units-store";

const HOW: Record<RelightPlan["kind"], string> = { windmill: "windmilling", assisted: "with auxiliary power" };

/** The attempts of each kind above the commit altitude, with the chance that one of them lights it. */
export function relightsInWords(plans: readonly RelightPlan[], commit_m: number, format: Format): string {
  const parts = plans
    .filter(({ attempts }) => attempts.length > 0)
    .map(({ kind, attempts, chance }) => `${attempts.length} ${HOW[kind]} (${Math.round(chance * 100)} in 100 light)`);
  return parts.length === 0
    ? `All engines out: no relight attempt ends above ${format("height", commit_m, "up")}.`
    : `All engines out: on the way down to ${format("height", commit_m, "up")} there is room for ${parts.join(", or ")}. No attempt that costs the place.`;
}
