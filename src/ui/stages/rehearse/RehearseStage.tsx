"use client";
import dynamic from "next/dynamic";
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
import { RecallAside } from "./recall/RecallAside";
import { useRecallDay } from "./recall/useRecallDay";
import { ResultsAside } from "./results/ResultsAside";

const RecallView = dynamic(() => import("./recall/RecallView").then((module) => module.RecallView));
const ResultsView = dynamic(() => import("./results/ResultsView").then((module) => module.ResultsView));

const QUESTIONS = {
  drill: "Do we do it in order?",
  recall: "Do I know it without the book?",
  results: "Am I getting better?",
} as const;
type View = keyof typeof QUESTIONS;

/** Drills, recall of what they are made of, and what came of both. */
export function RehearseStage() {
  const { document } = useAircraft();
  const procedures = useMemo(() => proceduresFor(procedureCategory(document)), [document]);
  const chosenId = useDrill((state) => state.chosenId);
  const [view, setView] = useState<View>("drill");
  const [cardId, setCardId] = useState<string | null>(null);
  const [looked, setLooked] = useState<string | null>(null);
  const procedure = procedures.find(({ id }) => id === chosenId) ?? procedures[0];
  const drill = useDrillRun(procedure, document);
  const day = useRecallDay();
  return (
    <StageFrame
      label="Rehearse"
      question={QUESTIONS[view]}
      actions={view === "drill" ? <DrillActions drill={drill} /> : undefined}
      view={view}
      onView={(wanted) => setView(wanted as View)}
      views={{ drill: "Drill", recall: "Recall", results: "Results" }}
      viewsLabel="Views of the rehearsal"
      aside={
        view === "drill" ? (
          <DrillAside procedure={procedure} drill={drill} />
        ) : view === "recall" ? (
          <RecallAside day={day} cardId={cardId} />
        ) : (
          <ResultsAside procedureId={looked} />
        )
      }
      narrow="middle"
      className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
    >
      <StageView value="drill">
        <DrillView procedure={procedure} procedures={procedures} drill={drill} />
      </StageView>
      <StageView value="recall" className="content-start">
        <RecallView day={day} onAsk={setCardId} />
      </StageView>
      <StageView value="results">
        <ResultsView procedureId={looked} onProcedure={setLooked} />
      </StageView>
    </StageFrame>
  );
}
