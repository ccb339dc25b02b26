"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { PhaseTable } from "./PhaseTable";
import { RunwayStrip } from "./RunwayStrip";
import { SegmentsView } from "./SegmentsView";
import { TakeOffBriefView } from "./TakeOffBriefView";
import { TakeOffDecision } from "./TakeOffDecision";
import { TakeOffEditor } from "./TakeOffEditor";
import { TakeOffProfile } from "./TakeOffProfile";
import { useTakeOff } from "@/ui/answers/take-off-store";

const VIEWS = ["phases", "segments", "brief"] as const;
const NAMES: Record<(typeof VIEWS)[number], string> = {
  phases: "By phase",
  segments: "Segments and mass",
  brief: "Brief",
};

/** What to do when an engine of two stops during the take-off. */
export function TakeOffStage() {
  const [view, setView] = useQueryState("take-off", parseAsStringLiteral(VIEWS).withDefault("phases"));
  const issue = useTakeOff((state) => state.issue);
  const answer = useTakeOff((state) => state.answer);
  const jet = answer?.jet ?? false;
  const shown = view === "segments" && answer && !jet ? "phases" : view;
  const names = jet ? NAMES : { phases: NAMES.phases, brief: NAMES.brief };
  return (
    <StageFrame
      label="Departure"
      question="An engine stops: stop, land, or go?"
      actions={<TakeOffEditor />}
      view={shown}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={names}
      viewsLabel="Views of the departure"
      refusal={issue && { title: "There is no answer for this take-off.", text: issue.message }}
      aside={
        <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Decision and distances">
          {answer && <TakeOffDecision answer={answer} />}
        </aside>
      }
      className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
    >
      {!answer ? (
        <p className="p-4 text-ink2">Computing …</p>
      ) : (
        <>
          <StageView value="phases" className="grid-rows-[auto_minmax(180px,1fr)_auto] overflow-auto">
            <RunwayStrip answer={answer} />
            <TakeOffProfile answer={answer} />
            <PhaseTable answer={answer} />
          </StageView>
          <StageView value="segments">
            <SegmentsView question={answer.question} />
          </StageView>
          <StageView value="brief">
            <TakeOffBriefView answer={answer} />
          </StageView>
        </>
      )}
    </StageFrame>
  );
}
