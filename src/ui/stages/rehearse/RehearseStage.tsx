"use client";
import dynamic from "next/dynamic";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { type ReactNode, useMemo, useState } from "react";
import { procedureCategory } from "@/core/procedure/library/procedures";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useAircraft } from "@/ui/situation/useAircraft";
import { DrillActions } from "./drill/DrillActions";
import { DrillAside } from "./drill/DrillAside";
import { DrillView } from "./drill/DrillView";
import { useDrill } from "./drill/drill-store";
import { useDrillRun } from "./drill/useDrillRun";
import { ProceduresAside } from "./editor/ProceduresAside";
import { flownFaults, flyable } from "./editor/flyable";
import { useFlightTests, useProcedures } from "@/ui/library/own/own-documents";
import { ExercisesAside } from "./exercises/ExercisesAside";
import { exercisesOf } from "./exercises/useExercises";
import { FlyActions } from "./fly/FlyActions";
import { FlyAside } from "./fly/FlyAside";
import { ReplayAside } from "./fly/ReplayAside";
import { RecallAside } from "./recall/RecallAside";
import { useRecallDay } from "./recall/useRecallDay";
import { ResultsAside } from "./results/ResultsAside";

const ExercisesView = dynamic(() => import("./exercises/ExercisesView").then((module) => module.ExercisesView));
const RecallView = dynamic(() => import("./recall/RecallView").then((module) => module.RecallView));
const ResultsView = dynamic(() => import("./results/ResultsView").then((module) => module.ResultsView));

const FlyView = dynamic(() => import("./fly/FlyView").then((module) => module.FlyView));
const ReplayView = dynamic(() => import("./fly/ReplayView").then((module) => module.ReplayView));
const ProceduresView = dynamic(() => import("./editor/ProceduresView").then((module) => module.ProceduresView));

const QUESTIONS = {
  exercises: "What will be asked of me?",
  drill: "Do we do it in order?",
  fly: "Can I fly it?",
  replay: "How did I fly it?",
  recall: "Do I know it without the book?",
  results: "Am I getting better?",
  procedures: "Is it my own drill?",
} as const;
type View = keyof typeof QUESTIONS;
const VIEWS = Object.keys(QUESTIONS) as View[];

/** Drills, recall of what they are made of, and what came of both. */
export function RehearseStage() {
  const { document } = useAircraft();
  const category = procedureCategory(document);
  const { own, draft } = useProcedures();
  const faults = useMemo(() => (draft ? flownFaults(draft) : []), [draft]);
  const procedures = useMemo(() => flyable(category, own, draft), [category, own, draft]);
  const chosenId = useDrill((state) => state.chosenId);
  const [view, setUrl] = useQueryState("rehearse", parseAsStringLiteral(VIEWS).withDefault("drill"));
  const setView = (wanted: View) => void setUrl(wanted);
  const [cardId, setCardId] = useState<string | null>(null);
  const [testId, setTestId] = useState<string | null>(null);
  const [exerciseId, setExerciseId] = useState<string | null>(null);
  const [looked, setLooked] = useState<string | null>(null);
  const procedure = procedures.find(({ id }) => id === chosenId) ?? procedures[0];
  const drill = useDrillRun(procedure, document);
  const day = useRecallDay();
  const ownTests = useFlightTests((state) => state.own);
  const { tests } = exercisesOf(
    document,
    ownTests?.map((test) => test.document),
  );
  const test = tests.find(({ id }) => id === testId) ?? null;
  const asides: Record<View, ReactNode> = {
    exercises: <ExercisesAside aircraft={document} test={test} />,
    drill: <DrillAside procedure={procedure} drill={drill} />,
    fly: <FlyAside aircraft={document} />,
    replay: <ReplayAside />,
    recall: <RecallAside day={day} cardId={cardId} />,
    results: <ResultsAside procedureId={looked} />,
    procedures: <ProceduresAside faults={faults} />,
  };
  return (
    <StageFrame
      label="Rehearse"
      question={QUESTIONS[view]}
      actions={
        view === "drill" ? (
          <DrillActions drill={drill} />
        ) : view === "fly" ? (
          <FlyActions aircraft={document.name} onEnded={() => setView("replay")} />
        ) : undefined
      }
      view={view}
      onView={(wanted) => setView(wanted as View)}
      views={{
        exercises: "Exercises",
        drill: "Drill",
        fly: "Fly it",
        replay: "Replay",
        recall: "Recall",
        results: "Results",
        procedures: "Procedures",
      }}
      viewsLabel="Views of the rehearsal"
      aside={asides[view]}
      narrow="middle"
      className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
    >
      <StageView value="exercises">
        <ExercisesView
          aircraft={document}
          test={test}
          onTest={setTestId}
          chosenId={exerciseId}
          onChoose={setExerciseId}
          onRun={(id) => {
            useDrill.getState().choose(id);
            setView("drill");
          }}
        />
      </StageView>
      <StageView value="drill">
        <DrillView procedure={procedure} procedures={procedures} drill={drill} />
      </StageView>
      <StageView value="fly">
        <FlyView aircraft={document} />
      </StageView>
      <StageView value="replay">
        <ReplayView />
      </StageView>
      <StageView value="recall" className="content-start">
        <RecallView day={day} onAsk={setCardId} />
      </StageView>
      <StageView value="procedures">
        <ProceduresView
          category={category}
          sound={faults.length === 0}
          onRun={(id) => {
            useDrill.getState().choose(id);
            setView("drill");
          }}
        />
      </StageView>
      <StageView value="results">
        <ResultsView procedureId={looked} onProcedure={setLooked} onLook={() => setView("replay")} />
      </StageView>
    </StageFrame>
  );
}
