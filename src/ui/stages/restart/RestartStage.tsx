"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo, useState } from "react";
import type { LedgerEntry } from "@/core/glide/glide-path";
import { type RestartBudget, type RestartQuestion, restartBudget } from "@/core/restart/restart-budget";
import { COMMIT_ABOVE_M, type Commit } from "@/core/restart/restart-question";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { FlowEditor } from "./FlowEditor";
import { FlowView } from "./FlowView";
import { MinutesView } from "./MinutesView";
import { OrderView } from "./OrderView";
import { RelightView } from "./RelightView";
import { RestartEditor } from "./RestartEditor";
import { budgetSentence } from "./restart-words";
import { useCommit, useRestartQuestion } from "@/ui/answers/useRestartQuestion";

const VIEWS = ["flow", "relight", "order", "minutes"] as const;

/** Is there height for a restart? */
export function RestartStage() {
  const question = useRestartQuestion();
  const bothStopped = useRestartQuestion("both");
  const commit = useCommit();
  const outcome = useMemo(() => restartBudget(question), [question]);
  const jet = question.aircraft.relight !== null;
  const [view, setView] = useQueryState("restart", parseAsStringLiteral(VIEWS));
  const feathers = typeof question.aircraft.polar?.deadPropeller?.feathered === "number";
  const views = {
    ...(jet ? { relight: "Relight" } : {}),
    flow: feathers ? "Fix or feather" : "Fix or land",
    ...(feathers ? { order: "Feather, unfeather" } : {}),
    minutes: "Minutes left",
  };
  const shown = view !== null && view in views ? view : jet ? "relight" : "flow";
  return (
    <StageFrame
      label="Restart"
      question="Is there height for a restart?"
      actions={
        <>
          {question.flow.length > 0 && <FlowEditor />}
          <FlyThis />
          <RestartEditor />
        </>
      }
      view={shown}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={views}
      viewsLabel="Views of the restart"
      className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
      refusal={outcome.ok ? null : { title: "There is no budget for this.", text: outcome.issue.message }}
      aside={
        <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Height ledger">
          {outcome.ok && <Account question={question} budget={outcome.value} commit={commit} />}
        </aside>
      }
    >
      {outcome.ok && (
        <StageView value="flow">
          <FlowView question={question} budget={outcome.value} />
        </StageView>
      )}
      <StageView value="relight">
        <RelightView question={bothStopped} stopped={question.stopped} />
      </StageView>
      <StageView value="order">
        <OrderView />
      </StageView>
      <StageView value="minutes">
        <MinutesView />
      </StageView>
    </StageFrame>
  );
}

/** The account down to the commit height, the decision in a sentence, the cautions. */
function Account({ question, budget, commit }: { question: RestartQuestion; budget: RestartBudget; commit: Commit }) {
  const [ledger, height] = useHeight();
  const [pointed, point] = useState<number | null>(null);
  const format = useFormat();
  const leastHeight_m = useSituation((state) => state.current.oneEngine.leastHeight_m);
  const said = budgetSentence(budget, question, leastHeight_m, format);
  const have_m = question.altitude_m - commit.altitude_m;
  // An engine that holds height spends none.
  const entries: LedgerEntry[] =
    budget.spend_s === null
      ? []
      : [
          { account: "reaction", name: "Reaction", height_m: budget.reaction_m, time_s: question.reaction_s },
          ...budget.items
            .filter(({ fits }) => fits)
            .map(({ item, cost_m }): LedgerEntry => ({
              account: "attempt",
              name: item.name,
              height_m: cost_m,
              time_s: item.time_s,
            })),
        ];
  const margin_m = have_m - entries.reduce((sum, entry) => sum + entry.height_m, 0);
  const from =
    commit.from === "set"
      ? "as set"
      : commit.from === "one-engine"
        ? `${format("height", COMMIT_ABOVE_M)} over the ground: the engine that runs keeps it above that`
        : commit.from === "landing"
          ? `what landing on ${commit.end} needs from here`
          : `${format("height", COMMIT_ABOVE_M)} over the ground: no landing is in reach yet`;
  const cautions = [
    "Fly the aeroplane first: best glide, a place to land, then the check. Estimate; the flight manual’s drill comes first.",
    "Fire, heavy vibration, lost oil: no restart. Secure it.",
    question.aircraft.asymmetric &&
      question.stopped === "both" &&
      "Both engines are counted as stopped. With one running choose which in the plan: time is counted by what it gives.",
    budget.oneEngine &&
      "Best rate on one engine without sideslip, flown without error. The wrong engine shut down costs all of it: identify, verify.",
    commit.from === "ground" &&
      "No landing is planned: pick one in the Landing stage, and the commit height follows from it.",
  ].filter((text): text is string => Boolean(text));
  return (
    <>
      <div ref={ledger} className="min-h-[300px] flex-1 px-4 pt-3">
        <h2 className="mb-1 font-bold">Height ledger</h2>
        <HeightLedger
          name="the commit height"
          have_m={Math.max(have_m, 0)}
          over="the commit height"
          ledger={have_m > 0 ? entries : []}
          margin_m={have_m > 0 ? margin_m : have_m}
          ground={`commit, ${format("height", commit.altitude_m)}`}
          source={{ calculation: { name: "restart-budget", input: question } }}
          pointed={pointed}
          onPoint={point}
          height={Math.max(height - 40, 240)}
        />
      </div>
      <section className="border-t border-rule px-4 py-3" aria-label="Decision">
        <p className={said.tone === "brick" ? "text-brick" : said.tone === "ochre" ? "text-ochre" : ""}>
          <strong className="block text-[24px] leading-7">{said.lead}</strong> {said.rest}
        </p>
        <p className="mt-2 text-[13px] text-ink2">
          {budget.sink_mps >= 0 ? "Sinking" : "Climbing"} {format("verticalSpeed", Math.abs(budget.sink_mps))} at{" "}
          {format("speed", budget.eas_mps)}. The commit height is {format("height", commit.altitude_m)}, {from}.
        </p>
      </section>
      <Cautions texts={cautions} />
    </>
  );
}
