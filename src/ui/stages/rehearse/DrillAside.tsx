"use client";
import { Download } from "lucide-react";
import type { Issue } from "@/core/outcome";
import type { DrillRate } from "@/core/procedure/drill-rate";
import type { Procedure } from "@/core/procedure/procedure";
import { formatClock } from "@/core/quantities/clock";
import { download, fileName } from "@/ui/kit/download";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import type { DrillRun } from "./drill-store";
import { drillCsv, drillSummary } from "./drill-words";

interface Props {
  procedure: Procedure;
  run: DrillRun | null;
  rate: DrillRate | null;
  issue: Issue | null;
}

/** Height, time, and how it went. */
export function DrillAside({ procedure, run, rate, issue }: Props) {
  const format = useFormat();
  const said = run?.over
    ? drillSummary(run.drill, run.began_m, format)
    : run
      ? { lead: run.paused ? "Paused." : "It runs.", rest: "Stage keys are off; Esc pauses.", clean: true }
      : {
          lead: issue ? "No height is computed." : "Say it aloud, then do it.",
          rest: issue?.message ?? `${procedure.steps.length} steps. ${rateWords(rate, format)}`,
          clean: !issue,
        };
  return (
    <DecisionAside said={said} good={said.clean} cautions={[...procedure.cautions, `Source: ${procedure.source}.`]}>
      {run && (
        <AsideFigures>
          <dt>Since it began</dt>
          <dd className="num">{formatClock(run.drill.flown.time_s)}</dd>
          <dt>Height above the ground</dt>
          <dd className="num">{format("height", run.drill.flown.height_m, "down")}</dd>
          <dt>{run.drill.flown.height_m > run.began_m ? "Gained" : "Gone so far"}</dt>
          <dd className="num">{format("height", Math.abs(run.began_m - run.drill.flown.height_m), "up")}</dd>
        </AsideFigures>
      )}
      {run?.over && (
        <p className="px-4 py-2">
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() =>
              download(`drill-${fileName(procedure.name)}.csv`, "text/csv", drillCsv(procedure, run.drill.log))
            }
          >
            <Download size={15} aria-hidden="true" /> Log as CSV
          </button>
        </p>
      )}
    </DecisionAside>
  );
}

function rateWords(rate: DrillRate | null, format: ReturnType<typeof useFormat>): string {
  if (!rate) return "";
  if (rate.climb_mps === 0) return "The hover is held meanwhile.";
  return rate.climb_mps < 0
    ? `Meanwhile it sinks ${format("verticalSpeed", -rate.climb_mps, "up")}${rate.onOne ? " on one engine" : ""}.`
    : `On one engine it climbs ${format("verticalSpeed", rate.climb_mps, "down")} meanwhile.`;
}
