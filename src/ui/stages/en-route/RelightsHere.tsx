"use client";
import { useMemo } from "react";
import { relightPlans } from "@/core/restart/relight";
import type { RouteHere } from "@/core/route/route-here";
import { useRestartQuestion } from "@/ui/answers/useRestartQuestion";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { relightsInWords } from "./relight-words";

/** All engines out at the cursor: the relight attempts that fit on the way down. */
export function RelightsHere({ point }: { point: RouteHere["point"] }) {
  const { flow: _flow, reaction_s: _reaction, ...asked } = useRestartQuestion("both");
  const { chance, assistedChance } = useSituation((state) => state.current.restart);
  const format = useFormat();
  const ground_m = Math.max(0, point.ground_m ?? 0);
  const commit_m = ground_m + asked.commit_m - asked.ground_m;
  const key = JSON.stringify({ ...asked, chance, assistedChance, altitude_m: point.altitude_m, ground_m, commit_m });
  const outcome = useMemo(() => relightPlans(JSON.parse(key) as Parameters<typeof relightPlans>[0]), [key]);
  const plans = outcome.ok ? [outcome.value.windmill, outcome.value.assisted] : [];
  return (
    <p className="text-[14px] text-ink2">
      {outcome.ok ? relightsInWords(plans, commit_m, format) : `No relight from here: ${outcome.issue.message}`}
    </p>
  );
}
