"use client";
import { useEffect, useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { Actor, Procedure, Step } from "@/core/procedure/procedure";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import type { DrillRun, HandEvent } from "./drill-store";
import { OUTCOME_WORDS, cueWords, isWrong, stepWords } from "./drill-words";

interface Props {
  procedure: Procedure;
  run: DrillRun | null;
  onAct: (event: HandEvent) => void;
}

const ACTOR_WORDS: Record<Actor, string> = {
  single: "",
  flying: "pilot flying",
  monitoring: "pilot monitoring",
  instructor: "instructor",
};

/** What was done, and the step that is due, large. */
export function DrillSteps({ procedure, run, onAct }: Props) {
  const end = useRef<HTMLLIElement>(null);
  const lines = run?.drill.log.length ?? 0;
  useEffect(() => {
    // Newer browsers return a promise, which an effect must not.
    void end.current?.scrollIntoView({ block: "nearest" });
  }, [lines]);
  if (!run)
    return (
      <ol className="min-h-0 overflow-auto px-5 py-3 text-[15px]" tabIndex={0} aria-label="Steps of the drill">
        {procedure.steps.map((step) => (
          <li key={step.id} className="flex gap-3 border-b border-rule py-1">
            <span className="w-32 shrink-0 text-ink2">{ACTOR_WORDS[step.actor]}</span>
            <span>
              {step.challenge}
              <span className="text-ink2"> {stepWords(step, procedure, null).wanted}</span>
            </span>
          </li>
        ))}
      </ol>
    );
  const { drill } = run;
  const step = procedure.steps.at(drill.at);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
      <ol className="min-h-0 overflow-auto px-5 py-2 text-[14px]" tabIndex={0} aria-label="What was done">
        {drill.log.map(({ step: id, outcome, time_s, took_s }, i) => {
          const of = procedure.steps.find((candidate) => candidate.id === id);
          const wrong = isWrong(outcome);
          return (
            <li key={i} ref={i === lines - 1 ? end : undefined} className="flex gap-3 border-b border-rule py-0.5">
              <span className="num w-12 shrink-0 text-ink2">{formatClock(time_s)}</span>
              <span className={`min-w-0 flex-1 ${wrong ? "text-brick" : ""}`}>
                {of?.challenge}
                {wrong && of?.why ? ` ${of.why}` : ""}
              </span>
              <span className={wrong ? "text-brick" : outcome === "slow" ? "text-ochre" : "text-ink2"}>
                {OUTCOME_WORDS[outcome]}
                {outcome === "slow" ? `, ${formatNumber(took_s)} s` : ""}
              </span>
            </li>
          );
        })}
      </ol>
      {step && !run.over && <Due step={step} run={run} procedure={procedure} onAct={onAct} />}
    </div>
  );
}

function Due({
  step,
  run,
  procedure,
  onAct,
}: {
  step: Step;
  run: DrillRun;
  procedure: Procedure;
  onAct: (event: HandEvent) => void;
}) {
  const format = useFormat();
  const { drill, paused } = run;
  const gone_s = drill.flown.time_s - drill.due_s;
  const target_s = "target_s" in step ? step.target_s : null;
  useHotkeys("space", () => onAct({ type: "say" }), { enabled: !paused && step.kind === "say", preventDefault: true });
  useHotkeys(
    "1,2,3,4,5,6",
    (event) => {
      const answer = step.kind === "ask" ? step.answers.at(Number(event.key) - 1) : undefined;
      if (answer) onAct({ type: "answer", answer: answer.answer });
    },
    { enabled: !paused && step.kind === "ask", useKey: true },
  );
  const confirms =
    step.kind === "set" && step.confirm !== null && procedure.controls.some(({ perEngine }) => perEngine);
  useHotkeys("l", () => onAct({ type: "name", side: "left" }), { enabled: !paused && confirms });
  useHotkeys("r", () => onAct({ type: "name", side: "right" }), { enabled: !paused && confirms });
  return (
    <section className="border-t-2 border-ink px-5 py-3" aria-label="Due now" aria-live="polite">
      <p className="text-[13px] text-ink2">
        {ACTOR_WORDS[step.actor]}
        {step.memory ? "" : " reads"}
        <span className="ml-3">{cueWords(procedure, drill.warnings, run.dead)}</span>
        {target_s !== null && (
          <span className={`num ml-3 ${gone_s > target_s ? "text-ochre" : ""}`}>
            {formatNumber(gone_s)} s of {formatNumber(target_s)} s
          </span>
        )}
      </p>
      <p className="text-[24px] leading-8 font-bold">{step.challenge}</p>
      {step.kind === "wait" && (
        <progress
          className="mt-1 h-3 w-full"
          max={step.wait_s}
          value={Math.min(gone_s, step.wait_s)}
          aria-label={`Wait ${formatNumber(step.wait_s)} s`}
        />
      )}
      {step.kind === "passing" && (
        <p className="text-[15px]">
          at {format(step.what === "height" ? "height" : "speed", step.value)}
          {step.what === "height" && `, now ${format("height", drill.flown.height_m, "down")}`}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {step.kind === "say" && (
          <button type="button" className="btn" disabled={paused} onClick={() => onAct({ type: "say" })}>
            “{step.response || "Said"}” <kbd className="ml-1 text-[12px] text-ink2">space</kbd>
          </button>
        )}
        {step.kind === "ask" &&
          step.answers.map(({ answer }, i) => (
            <button
              key={answer}
              type="button"
              className="btn"
              disabled={paused}
              onClick={() => onAct({ type: "answer", answer })}
            >
              {answer} <kbd className="ml-1 text-[12px] text-ink2">{i + 1}</kbd>
            </button>
          ))}
        {confirms &&
          (["left", "right"] as const).map((side) => (
            <button
              key={side}
              type="button"
              className="btn"
              disabled={paused}
              aria-pressed={drill.named === side}
              onClick={() => onAct({ type: "name", side })}
            >
              “{side === "left" ? "Left" : "Right"}” <kbd className="ml-1 text-[12px] text-ink2">{side[0]}</kbd>
            </button>
          ))}
        {step.kind === "set" && (
          <p className="text-[14px] text-ink2">
            {confirms
              ? drill.named === null
                ? "Name the engine with the hand on it, then set it below."
                : `${drill.named} confirmed: set it below.`
              : "Set it below."}
          </p>
        )}
      </div>
    </section>
  );
}
