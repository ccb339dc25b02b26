"use client";
import { useEffect, useRef } from "react";
import { type DrillEntry, isWrong } from "@/core/procedure/drill";
import type { Procedure } from "@/core/procedure/procedure";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import type { Flying } from "./drill-store";
import { OUTCOME_WORDS, stepWords, whyWords } from "./drill-words";

/** Two lanes that share one line of time: who said or did what, and when. Alone the drill asks on the right. */
export function DrillSteps({ procedure, flying: { run, state } }: { procedure: Procedure; flying: Flying }) {
  const end = useRef<HTMLLIElement>(null);
  const { log } = state.drill;
  const lines = log.length;
  useEffect(() => {
    // Newer browsers return a promise, which an effect must not.
    void end.current?.scrollIntoView({ block: "nearest" });
  }, [lines]);
  const two = procedure.crew === "two";
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="grid grid-cols-2 border-b border-rule text-[14px] font-bold">
        <span className="px-5 py-0.5">{two ? "Pilot flying" : "You"}</span>
        <span className="border-l border-ink px-5 py-0.5">{two ? "Pilot monitoring" : "The drill asks"}</span>
      </div>
      <ol
        className="min-h-0 overflow-auto bg-[linear-gradient(var(--ink),var(--ink))] bg-[length:1.5px_100%] bg-center bg-no-repeat text-[14px]"
        tabIndex={0}
        aria-label="What was done"
      >
        {log.map((entry, i) => (
          <Line key={i} entry={entry} run={run} last={i === lines - 1 ? end : undefined} />
        ))}
      </ol>
    </div>
  );
}

function Line({
  entry,
  run,
  last,
}: {
  entry: DrillEntry;
  run: Flying["run"];
  last: React.RefObject<HTMLLIElement | null> | undefined;
}) {
  const format = useFormat();
  const { procedure, dead } = run;
  const { outcome, time_s, took_s } = entry;
  const step = procedure.steps.find(({ id }) => id === entry.step);
  if (!step) return null;
  const wrong = isWrong(outcome);
  const { challenge, wanted } = stepWords(step, procedure, dead);
  const two = procedure.crew === "two";
  // In a crew who does it says it; alone the drill asks and one answers.
  const said = wrong || outcome === "back" || outcome === "passed-over" ? "" : wanted;
  const left = two ? (step.actor === "flying" ? `${challenge} ${said}` : answerOf(step)) : said;
  const right = two && !wrong ? (step.actor === "flying" ? answerOf(step) : `${challenge} ${said}`) : challenge;
  return (
    <li ref={last} className="grid grid-cols-2 py-[3px]">
      <span className="flex gap-2 pr-4 pl-5">
        <span className="num w-10 shrink-0 text-ink2">{formatClock(time_s)}</span>
        <span className="min-w-0 flex-1 text-right">
          {wrong ? (
            <span className="text-brick">{whyWords(entry, run, format)}</span>
          ) : (
            left.trim() && `“${left.trim()}”`
          )}
        </span>
      </span>
      <span className="relative flex gap-2 pr-4 pl-4">
        <span
          aria-hidden="true"
          className={`absolute top-1.5 -left-[4px] size-[9px] rounded-full ${wrong ? "border-2 border-brick bg-sheet" : "bg-ink"}`}
        />
        <span className={`min-w-0 flex-1 ${wrong ? "text-ink2" : ""}`}>{right.trim() && `“${right.trim()}”`}</span>
        <span className={`shrink-0 ${outcome === "slow" ? "text-ochre" : "text-ink2"}`}>
          {outcome === "done" || wrong ? "" : OUTCOME_WORDS[outcome]}
          {outcome === "slow" ? `, ${formatNumber(took_s)} s` : ""}
        </span>
      </span>
    </li>
  );
}

/** What the other of a crew says to it. */
const answerOf = (step: Procedure["steps"][number]): string =>
  step.kind === "set" && step.confirm === "other" ? "confirmed" : "";
