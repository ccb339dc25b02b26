"use client";
import { useMemo, useState } from "react";
import { procedureCategory, proceduresFor } from "@/core/procedure/library/procedures";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useAircraft } from "@/ui/situation/useAircraft";
import { DrillActions } from "./drill/DrillActions";
import { DrillAside } from "./drill/DrillAside";
import { DrillView } from "./drill/DrillView";
import { useDrill } from "./drill/drill-store";
import { useDrillRun } from "./drill/useDrillRun";

/** Drills: order, words, confirmation and time. */
export function RehearseStage() {
  const { document } = useAircraft();
  const procedures = useMemo(() => proceduresFor(procedureCategory(document)), [document]);
  const chosenId = useDrill((state) => state.chosenId);
  const [view, setView] = useState("drill");
  const procedure = procedures.find(({ id }) => id === chosenId) ?? procedures[0];
  const drill = useDrillRun(procedure, document);
  return (
    <StageFrame
      label="Rehearse"
      question="Do we do it in order?"
      actions={<DrillActions drill={drill} />}
      view={view}
      onView={setView}
      views={{ drill: "Drill" }}
      viewsLabel="Views of the rehearsal"
      aside={<DrillAside procedure={procedure} drill={drill} />}
      narrow="middle"
      className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
    >
      <StageView value="drill">
        <DrillView procedure={procedure} procedures={procedures} drill={drill} />
      </StageView>
    </StageFrame>
  );
}
