"use client";
import dynamic from "next/dynamic";
import { isUsable } from "@/core/landing/sites";
import { EndTable } from "./EndTable";
import { useReach } from "./reach-store";

const ReachMap = dynamic(() => import("@/ui/map/ReachMap").then((module) => module.ReachMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

/** Map and ranking of the ways to every landing end. */
export function PathsView() {
  const reached = useReach((state) => state.answer?.sites?.sites.filter((site) => isUsable(site.verdict)).length);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(120px,27%)]">
      <ReachMap />
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
