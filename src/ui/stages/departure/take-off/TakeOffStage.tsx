"use client";
import { Tabs } from "radix-ui";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { StageTabList, StageView } from "@/ui/kit/page/StageTabs";
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
    <Tabs.Root
      value={shown}
      onValueChange={(value) => void setView(value as (typeof VIEWS)[number])}
      className="grid h-full grid-cols-[minmax(0,1fr)_324px] max-[1150px]:grid-cols-[minmax(0,1fr)_296px]"
    >
      <section className="grid min-h-0 min-w-0 grid-rows-[auto_minmax(0,1fr)] bg-sheet" aria-label="Departure">
        <header className="border-b border-rule px-4 pt-1.5">
          <div className="flex items-center gap-4">
            <h1 className="min-w-0 truncate text-[19px] font-bold max-[1150px]:text-[16px]">
              An engine stops: stop, land, or go?
            </h1>
            <span className="ml-auto shrink-0">
              <TakeOffEditor />
            </span>
          </div>
          {!issue && <StageTabList label="Views of the departure" views={names} />}
        </header>
        {issue ? (
          <div role="alert" className="p-6">
            <h2 className="mb-1 text-[17px] font-bold text-brick">There is no answer for this take-off.</h2>
            <p className="max-w-prose">{issue.message}</p>
          </div>
        ) : !answer ? (
          <p className="p-4 text-ink2">Computing …</p>
        ) : (
          <>
            <StageView value="phases" className="grid-rows-[auto_minmax(180px,1fr)_auto] overflow-auto">
              <RunwayStrip answer={answer} />
              <TakeOffProfile answer={answer} />
              <PhaseTable answer={answer} />
            </StageView>
            <StageView value="segments">
              <SegmentsView input={answer.input} />
            </StageView>
            <StageView value="brief">
              <TakeOffBriefView answer={answer} />
            </StageView>
          </>
        )}
      </section>
      <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Decision and distances">
        {answer && <TakeOffDecision answer={answer} />}
      </aside>
    </Tabs.Root>
  );
}
