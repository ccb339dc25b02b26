"use client";
import { Download } from "lucide-react";
import type { Procedure } from "@/core/procedure/procedure";
import { download, fileName } from "@/ui/kit/download";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { DrillFigures } from "./DrillFigures";
import { drillCsv, drillSummary, rateWords, soFarWords } from "./drill-words";
import type { DrillByHand } from "./useDrillRun";

/** Height, time, and how it goes. */
export function DrillAside({ procedure, drill }: { procedure: Procedure; drill: DrillByHand }) {
  const format = useFormat();
  const { flying, rate, issue } = drill;
  const said = flying?.over
    ? drillSummary(flying.state, flying.run, format)
    : flying
      ? soFarWords(flying, format)
      : {
          lead: issue ? "No height is computed." : "Say it aloud, then do it.",
          rest: issue?.message ?? `${procedure.steps.length} steps. ${rateWords(rate, format)}`,
          clean: !issue,
        };
  return (
    <DecisionAside said={said} good={said.clean} cautions={[...procedure.cautions, `Source: ${procedure.source}.`]}>
      {flying && <DrillFigures flying={flying} />}
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
