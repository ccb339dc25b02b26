"use client";
import { isUsable } from "@/core/landing/site-verdict";
import dynamic from "next/dynamic";
import { EndTable } from "./EndTable";
import { pickEnd, pointAt, useReach } from "@/ui/answers/reach-store";
import { usePathsOnMap } from "./usePathsOnMap";

const SituationMap = dynamic(() => import("@/ui/situation/map/SituationMap").then((module) => module.SituationMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

/** Map and ranking of the ways to every landing end. */
export function PathsView() {
  const reached = useReach((state) => state.answer?.sites?.sites.filter((site) => isUsable(site.verdict)).length);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(120px,27%)]">
      <SituationMap paths={usePathsOnMap()} onPick={pickEnd} onPoint={pointAt} />
      <div
        className="min-h-0 overflow-auto border-t border-rule bg-sheet"
        tabIndex={0}
        role="region"
        aria-label="Ranking"
      >
        <EndTable />
        {reached !== undefined && (
          <p className="sr-only">{reached === 0 ? "no place in reach fits" : `${reached} in reach that fit`}</p>
        )}
      </div>
    </div>
  );
}
