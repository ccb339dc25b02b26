"use client";
import { workingOfTurnback } from "@/ui/answers/workings";
import dynamic from "next/dynamic";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useFormat } from "@/ui/kit/units/units-store";
import { BriefView } from "./BriefView";
import { ChanceView } from "./ChanceView";
import { DepartureCautions } from "./DepartureCautions";
import { DepartureDecision } from "./DepartureDecision";
import { DepartureEditor } from "./DepartureEditor";
import { HeightScrubber } from "./HeightScrubber";
import { OptionList } from "./OptionList";
import { OptionsChart } from "./OptionsChart";
import { StallChart } from "./StallChart";
import { sideOf, turnsBack, useDeparture } from "@/ui/answers/departure-store";
import { useDepartureCard } from "./useDepartureCard";

const DepartureMap = dynamic(() => import("./DepartureMap").then((module) => module.DepartureMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

const VIEWS = ["height", "options", "chance", "brief"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = {
  height: "At one height",
  options: "Options by height",
  chance: "Chance",
  brief: "Brief",
};

/** From what height does turning back work today? */
export function DepartureStage() {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("height"));
  const issue = useDeparture((state) => state.issue);
  const makeCard = useDepartureCard();
  return (
    <StageFrame
      label="Departure"
      question="From what height does turning back work today?"
      actions={
        <>
          <FlyDeparture />
          <DepartureEditor />
        </>
      }
      view={view}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={VIEW_NAMES}
      viewsLabel="Views of the departure"
      refusal={issue && { title: "There is no answer for this departure.", text: issue.message }}
      aside={<Account />}
      className="grid-rows-[auto_minmax(0,1fr)_auto]"
    >
      <StageView value="height" className="grid-rows-[minmax(0,1fr)_minmax(150px,30%)]">
        <DepartureMap />
        <div className="grid min-h-0 grid-cols-[minmax(0,46%)_minmax(0,1fr)] border-t border-rule bg-sheet">
          <div
            className="min-h-0 overflow-auto border-r border-rule"
            tabIndex={0}
            role="region"
            aria-label="Options at this height"
          >
            <OptionList />
          </div>
          <StallChart />
        </div>
      </StageView>
      <StageView value="options" className="bg-sheet">
        <OptionsChart />
      </StageView>
      <StageView value="chance" className="bg-sheet">
        <ChanceView />
      </StageView>
      <StageView value="brief" className="bg-sheet">
        <BriefView onCard={makeCard} />
      </StageView>
      <HeightScrubber />
    </StageFrame>
  );
}

/** The account of the chosen way, the decision, the cautions. */
function Account() {
  const lookedAt = useDeparture((state) => state.at);
  const choice = useDeparture((state) => state.choice);
  const pointed = useDeparture((state) => state.pointedEntry);
  const set = useDeparture((state) => state.set);
  const scan = useDeparture((state) => state.scan);
  const issue = useDeparture((state) => state.issue);
  const [ledger, height] = useHeight();
  const format = useFormat();
  const back = turnsBack(choice);
  const account = back ? lookedAt?.account : null;
  const path = back ? null : lookedAt?.reached?.path;
  const runway = scan?.question.runway.name ?? "the runway";
  const common = {
    pointed,
    onPoint: (entry: number | null) => set({ pointedEntry: entry }),
    height: Math.max(230, height - 40),
  };
  return (
    <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Height ledger">
      <div ref={ledger} className="min-h-[280px] flex-1 px-4 pt-3">
        <h2 className="mb-1 font-bold">Height ledger</h2>
        {account && (
          <HeightLedger
            {...common}
            name={`the runway, ${format("height", account.height_m)}`}
            have_m={account.height_m}
            over="the runway"
            ledger={account.ledger}
            margin_m={account.result.margin_m}
            ground={runway}
            source={workingOfTurnback(account.height_m, sideOf(choice))}
          />
        )}
        {path && lookedAt?.reached && (
          <HeightLedger
            {...common}
            name={lookedAt.reached.name}
            have_m={path.have_m}
            over="the aim point"
            ledger={path.ledger}
            margin_m={path.margin_m}
            ground={`aim point, ${lookedAt.reached.name}`}
            source={{
              calculation: { name: "path", input: { ...lookedAt.reachQuestion, explainEndId: lookedAt.reached.endId } },
            }}
          />
        )}
        {!account && !path && lookedAt && (
          <p className="text-ink2">
            {back
              ? "No account: the reaction ends in a stall."
              : "Landing ahead is accounted for in the sentence below."}
          </p>
        )}
        {!lookedAt && !issue && <p className="text-ink2">Computing …</p>}
      </div>
      <DepartureDecision />
      <DepartureCautions />
    </aside>
  );
}

/** The failure that is looked at, flown by hand. */
function FlyDeparture() {
  const height_m = useDeparture((state) => state.height_m);
  return <FlyThis height_m={height_m} />;
}
