"use client";
import { Download } from "lucide-react";
import type { Procedure } from "@/core/procedure/procedure";
import { formatClock } from "@/core/quantities/clock";
import { download, fileName } from "@/ui/kit/download";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { DrillColumn } from "./DrillColumn";
import { drillCsv, drillSummary, rateWords, soFarWords } from "./drill-words";
import type { DrillByHand } from "./useDrillRun";

/** Height, time, and how it goes. */
export function DrillAside({ procedure, drill }: { procedure: Procedure; drill: DrillByHand }) {
  const format = useFormat();
  const { flying, rate, issue } = drill;
  const gone_m = flying ? flying.run.height_m - flying.state.drill.flown.height_m : 0;
  const said = flying?.over
    ? drillSummary(flying.state.drill, flying.run, format)
    : flying
      ? soFarWords(flying, format)
      : {
          lead: issue ? "No height is computed." : "Say it aloud, then do it.",
          rest: issue?.message ?? `${procedure.steps.length} steps. ${rateWords(rate, format)}`,
          clean: !issue,
        };
  return (
    <DecisionAside said={said} good={said.clean} cautions={[...procedure.cautions, `Source: ${procedure.source}.`]}>
      {flying && (
        <>
          <AsideFigures>
            <dt>Since it began</dt>
            <dd className="num">{formatClock(flying.state.drill.flown.time_s)}</dd>
            <dt>{gone_m < 0 ? "Gained" : "Gone so far"}</dt>
            <dd className="num">{format("height", Math.abs(gone_m), gone_m < 0 ? "down" : "up")}</dd>
          </AsideFigures>
          <DrillColumn flying={flying} />
        </>
      )}
      {flying?.over && (
        <p className="border-t border-rule px-4 py-2">
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() =>
              download(`drill-${fileName(procedure.name)}.csv`, "text/csv", drillCsv(procedure, flying.state.drill.log))
            }
          >
            <Download size={15} aria-hidden="true" /> Log as CSV
          </button>
        </p>
      )}
    </DecisionAside>
  );
}
