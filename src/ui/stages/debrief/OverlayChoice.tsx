"use client";
import { useMemo } from "react";
import type { DebriefedLog } from "@/workers/track.worker";
import { layOver, useDebrief } from "./debrief-store";
import { momentWords } from "./debrief-words";
import { useLogs } from "./logs-store";
import { type OverlaidRun, overlaidRuns } from "./overlay";

/** None; the same at every render. */
const NONE: readonly OverlaidRun[] = [];

/** Runs that are laid over the engine stop that is looked at. */
export function useOverlay(found: DebriefedLog): readonly OverlaidRun[] {
  const looked = useDebrief((state) => state.looked);
  const over = useDebrief((state) => state.over);
  return useMemo(() => {
    if (looked === null || over === null) return NONE;
    const of = over.of === "own" ? found : over.found;
    if (!of) return NONE;
    const { begins_s } = of.summary;
    return overlaidRuns(
      of.drawn,
      of.flights,
      ({ name, time_s }) => [momentWords(time_s, begins_s), name].filter(Boolean).join(" "),
      over.of === "own" ? looked : null,
    );
  }, [found, looked, over]);
}

/** Which runs are laid over it: its own log's, or another log's. */
export function OverlayChoice({ id }: { readonly id: string }) {
  const over = useDebrief((state) => state.over);
  const logs = useLogs((state) => state.logs);
  const others = logs?.filter((log) => log.id !== id && log.summary.failures > 0) ?? [];
  return (
    <label className="flex items-center gap-2 whitespace-nowrap">
      <span className="text-ink2">Over it</span>
      <select
        className="field w-auto max-w-36 py-0.5"
        value={over === null ? "none" : over.of === "own" ? "own" : over.id}
        onChange={(event) => {
          const to = event.currentTarget.value;
          const log = others.find((one) => one.id === to);
          if (log) void layOver(log.id, log.name);
          else useDebrief.setState({ over: to === "own" ? { of: "own" } : null });
        }}
      >
        <option value="none">no other run</option>
        <option value="own">the others of this log</option>
        {others.map((log) => (
          <option key={log.id} value={log.id}>
            {log.name}
          </option>
        ))}
      </select>
    </label>
  );
}
