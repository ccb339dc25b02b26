"use client";
import { workingOfTurnback } from "@/ui/answers/workings";
import dynamic from "next/dynamic";
import { Tabs } from "radix-ui";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { StageTabList, StageView } from "@/ui/kit/page/StageTabs";
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
    <Tabs.Root
      value={view}
      onValueChange={(value) => void setView(value as (typeof VIEWS)[number])}
      className="grid h-full grid-cols-[minmax(0,1fr)_324px] max-[1150px]:grid-cols-[minmax(0,1fr)_296px]"
    >
      <section className="grid min-h-0 min-w-0 grid-rows-[auto_minmax(0,1fr)_auto]" aria-label="Departure">
        <header className="border-b border-rule bg-sheet px-4 pt-1.5">
          <div className="flex items-center gap-4">
            <h1 className="min-w-0 truncate text-[19px] font-bold max-[1150px]:text-[16px]">
              From what height does turning back work today?
            </h1>
            <span className="ml-auto shrink-0">
              <DepartureEditor />
            </span>
          </div>
          {!issue && <StageTabList label="Views of the departure" views={VIEW_NAMES} />}
        </header>
        {issue ? (
          <div role="alert" className="p-6">
            <h2 className="mb-1 text-[17px] font-bold text-brick">There is no answer for this departure.</h2>
            <p className="max-w-prose">{issue.message}</p>
          </div>
        ) : (
          <>
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
          </>
        )}
      </section>
      <Account />
    </Tabs.Root>
  );
}

/** The account of the chosen way, the decision, the cautions. */
function Account() {
  const at = useDeparture((state) => state.at);
  const choice = useDeparture((state) => state.choice);
  const pointed = useDeparture((state) => state.pointedEntry);
  const set = useDeparture((state) => state.set);
  const scan = useDeparture((state) => state.scan);
  const issue = useDeparture((state) => state.issue);
  const [ledger, height] = useHeight();
  const format = useFormat();
  const back = turnsBack(choice);
  const account = back ? at?.account : null;
  const path = back ? null : at?.reached?.path;
  const runway = scan?.input.runway.name ?? "the runway";
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
        {path && at?.reached && (
          <HeightLedger
            {...common}
            name={at.reached.name}
            have_m={path.have_m}
            over="the aim point"
            ledger={path.ledger}
            margin_m={path.margin_m}
            ground={`aim point, ${at.reached.name}`}
            source={{ calculation: { name: "path", input: { ...at.reachInput, explainEndId: at.reached.endId } } }}
          />
        )}
        {!account && !path && at && (
          <p className="text-ink2">
            {back
              ? "No account: the reaction ends in a stall."
              : "Landing ahead is accounted for in the sentence below."}
          </p>
        )}
        {!at && !issue && <p className="text-ink2">Computing …</p>}
      </div>
      <DepartureDecision />
      <DepartureCautions />
    </aside>
  );
}
