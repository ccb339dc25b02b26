"use client";
import { FileText, Square, Volume2 } from "lucide-react";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { BRIEF_CAUTION } from "@/core/departure/brief";
import { TAKE_OFF_CAUTION } from "@/core/take-off/take-off-brief";
import { isoDay } from "@/core/situation/not-of-today";
import { useHasTwoEngines } from "@/ui/answers/useTakeOffAnswer";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useSpeech } from "@/ui/kit/speech/useSpeech";
import { MetarField } from "@/ui/situation/MetarField";
import { RunwayFields } from "@/ui/situation/RunwayFields";
import { useSituation } from "@/ui/situation/situation-store";
import { WhatIfTable } from "./WhatIfTable";
import { allLines } from "./today-lines";
import { useNow } from "./useNow";
import { type Today, useToday } from "./useToday";
import { useTodayCard } from "./useTodayCard";
import { useDayKind, useWhatIf } from "./useWhatIf";
import type { DayKind } from "./what-if-words";

const VIEWS = ["brief", "large"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = { brief: "Brief", large: "At arm’s length" };

const WHAT_IF_NOTES: Record<DayKind, string> = {
  single: "Flown as planned, with today’s bank: the gate asks for more.",
  twin: "One engine fails; from there going is advised.",
  jet: "The less of what stopping and going leave after a failure at V_1.",
};

/** What do I brief today? */
export function TodayStage() {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("brief"));
  const today = useToday();
  const two = useHasTwoEngines();
  const kind = useDayKind();
  const speech = useSpeech();
  const whatIf = useWhatIf(today.runway, today.complete);
  const makeCard = useTodayCard(today, whatIf);
  const lines = [...today.old, ...allLines(today.parts)];
  return (
    <StageFrame
      label="Today"
      question="What do I brief today?"
      subject={today.runway?.name}
      view={view}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={VIEW_NAMES}
      viewsLabel="Views of the day"
      refusal={today.refusal === null ? null : { title: "There is no brief for this day.", text: today.refusal }}
      actions={
        <>
          {speech.able && (
            <button
              type="button"
              className="btn btn-quiet"
              disabled={!today.complete}
              onClick={() => (speech.at === null ? speech.read(lines) : speech.stop())}
            >
              {speech.at === null ? <Volume2 size={15} aria-hidden="true" /> : <Square size={15} aria-hidden="true" />}
              {speech.at === null ? "Read aloud" : "Stop reading"}
            </button>
          )}
          <button type="button" className="btn" disabled={!makeCard} onClick={() => makeCard?.()}>
            <FileText size={15} aria-hidden="true" /> Card (PDF)
          </button>
        </>
      }
      aside={
        <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="The day">
          <section className="flex flex-col gap-2 border-b border-rule px-4 py-3" aria-label="What it rests on">
            <MetarField />
            <RunwayFields />
          </section>
          <section className="px-4 py-3" aria-label="What if">
            <h2 className="mb-1 font-bold">What if</h2>
            <WhatIfTable lines={whatIf} kind={kind} />
            <p className="mt-1 text-[13px] text-ink2">{WHAT_IF_NOTES[kind]}</p>
          </section>
          <div className="mt-auto">
            <Cautions texts={[two ? TAKE_OFF_CAUTION : BRIEF_CAUTION]} />
          </div>
        </aside>
      }
    >
      <StageView value="brief" className="bg-sheet">
        <Brief today={today} saying={speech.at === null ? null : (lines[speech.at] ?? null)} large={false} />
      </StageView>
      <StageView value="large" className="bg-sheet">
        <Brief today={today} saying={speech.at === null ? null : (lines[speech.at] ?? null)} large />
      </StageView>
    </StageFrame>
  );
}

/** What is not of today first, then the decision, then the lines in the order in which they are said. */
function Brief({ today, saying, large }: { today: Today; saying: string | null; large: boolean }) {
  const text = large ? "text-[25px] leading-8" : "text-[16px] leading-snug";
  const line = (content: string) => (
    <li
      key={content}
      aria-current={content === saying ? true : undefined}
      className={`border-l-4 pl-3 ${content === saying ? "border-harbour bg-mark" : "border-transparent"}`}
    >
      {content}
    </li>
  );
  return (
    <div className={`min-h-0 overflow-auto px-5 py-3 ${text}`} tabIndex={0} role="region" aria-label="Brief of the day">
      {today.old.length > 0 && <NotOfToday old={today.old} line={line} />}
      <p className="max-w-prose">
        <strong className={large ? "block text-[54px] leading-[1.1]" : "block text-[34px] leading-10"}>
          {today.lead ?? "Computing …"}
        </strong>
        {!large && <span className="text-[14px] text-ink2">{today.rest}</span>}
      </p>
      {today.parts.map((part) => (
        <section key={part.title} aria-label={part.title} className="mt-3 max-w-[70ch]">
          <h2 className="text-[13px] font-bold text-ink2">{part.title}</h2>
          <ol className="flex flex-col gap-1.5">{part.lines.map(line)}</ol>
        </section>
      ))}
    </div>
  );
}

function NotOfToday({ old, line }: { old: readonly string[]; line: (content: string) => React.ReactNode }) {
  const change = useSituation((state) => state.change);
  const day = useSituation((state) => state.current.day);
  const today = isoDay(useNow());
  return (
    <section aria-label="Not of today" className="mb-3 max-w-[70ch] border-l-4 border-ochre pl-3">
      <h2 className="text-[13px] font-bold text-ochre">Not of today</h2>
      <ul className="flex flex-col gap-0.5">{old.map(line)}</ul>
      {day !== today && (
        <button type="button" className="btn btn-quiet mt-1 text-[14px]" onClick={() => change({ day: today })}>
          The day is {today}
        </button>
      )}
    </section>
  );
}
