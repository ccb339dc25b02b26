"use client";
import dynamic from "next/dynamic";
import { HeightLedger } from "@/ui/ledger/HeightLedger";
import { useHeight } from "@/ui/ledger/useHeight";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/units/units-store";
import { Decision } from "./Decision";
import { EndTable } from "./EndTable";
import { ExportMenu } from "./ExportMenu";
import { LandingCard } from "./LandingCard";
import { PlanEditor } from "./PlanEditor";
import { LandingCautions } from "./LandingCautions";
import { shownEnd, useReach } from "./reach-store";

const ReachMap = dynamic(() => import("@/ui/map/ReachMap").then((module) => module.ReachMap), { ssr: false, loading: () => <p className="p-4 text-ink2">Drawing the map …</p> });

/** Which runway can I make from here? Map, ranking, ledger and the decision in a sentence. */
export function LandingStage() {
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const pin = useReach((state) => state.pin);
  const end = shownEnd({ answer, pinnedId });
  const reached = answer?.reach?.ends.filter((candidate) => candidate.status === "reached").length;
  const pointed = useReach((state) => state.pointedEntry);
  const point = useReach((state) => state.point);
  const [ledger, height] = useHeight();
  return (
    <>
      <div className="grid h-full grid-cols-[minmax(0,1fr)_324px] max-[1150px]:grid-cols-[minmax(0,1fr)_296px]">
        <section className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_minmax(120px,27%)]" aria-label="Paths">
          <header className="flex items-center gap-4 border-b border-rule bg-sheet px-4 py-1.5">
            <h1 className="min-w-0 truncate text-[19px] font-bold max-[1150px]:text-[16px]">Which runway can I make from here?</h1>
            <span className={`shrink-0 text-ink2 max-[1150px]:hidden ${pinnedId ? "hidden" : ""}`}>{reached !== undefined && (reached === 0 ? "none within reach" : `${reached} within reach`)}</span>
            <span className="ml-auto flex shrink-0 gap-2">
              {pinnedId && (
                <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => pin(null)}>
                  Follow the best
                </button>
              )}
              <ExportMenu />
              <PlanEditor />
            </span>
          </header>
          <ReachMap />
          <div className="min-h-0 overflow-auto border-t border-rule bg-sheet" tabIndex={0} role="region" aria-label="Ranking">
            <EndTable />
          </div>
        </section>
        <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Height ledger">
          <div ref={ledger} className="min-h-[300px] flex-1 px-4 pt-3">
            <h2 className="mb-1 font-bold">Height ledger</h2>
            {end?.path && (
              <HeightLedger
                name={end.name}
                have_m={end.path.have_m}
                over="the aim point"
                ledger={end.path.ledger}
                margin_m={end.path.margin_m}
                ground={`aim point, ${end.name}`}
                source={{ endId: end.endId }}
                pointed={pointed}
                onPoint={point}
                height={Math.max(250, height - 40)}
              />
            )}
            {end && !end.path && <p className="text-brick">{end.issue?.message}</p>}
            {answer?.issue && <p role="alert" className="text-brick">{answer.issue.message}</p>}
            {!answer && <p className="text-ink2">Computing …</p>}
            <UnderGround />
          </div>
          {end && answer?.reach && <Decision end={end} reach={answer.reach} />}
          <LandingCautions />
        </aside>
      </div>
      <LandingCard />
    </>
  );
}

/** Says when the aircraft has been put into a hill. */
function UnderGround() {
  const ground_m = useReach((state) => state.answer?.ground_m ?? null);
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const format = useFormat();
  if (ground_m === null || altitude_m >= ground_m) return null;
  return (
    <p role="alert" className="mt-2 font-semibold text-brick">
      The ground here is at {format("height", ground_m)}: the aircraft would be {format("height", ground_m - altitude_m)} under it.
    </p>
  );
}
