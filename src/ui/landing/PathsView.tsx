"use client";
import dynamic from "next/dynamic";
import { EndTable } from "./EndTable";
import { useReach } from "./reach-store";

const ReachMap = dynamic(() => import("@/ui/map/ReachMap").then((module) => module.ReachMap), { ssr: false, loading: () => <p className="p-4 text-ink2">Drawing the map …</p> });

/** Map and ranking of the ways to every landing end. */
export function PathsView() {
  const reached = useReach((state) => state.answer?.reach?.ends.filter((candidate) => candidate.status === "reached").length);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(120px,27%)]">
      <ReachMap />
      <div className="min-h-0 overflow-auto border-t border-rule bg-sheet" tabIndex={0} role="region" aria-label="Ranking">
        <EndTable />
        {reached !== undefined && <p className="sr-only">{reached === 0 ? "none within reach" : `${reached} within reach`}</p>}
      </div>
    </div>
  );
}
