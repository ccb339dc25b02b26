import Papa from "papaparse";
import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import { accountStorage } from "@/ui/kit/kept";
import type { Tick } from "./restart-words";

/** A run of a cause check against the clock, kept for the log. */
export interface FlowRun {
  readonly at: string;
  readonly aircraft: string;
  readonly ticks: readonly Tick[];
}

interface RunsState {
  readonly runs: readonly FlowRun[];
  keep(run: FlowRun): void;
  clear(): void;
}

/** So many runs are kept, the oldest go. */
const MOST = 50;

/** Runs kept in this browser. */
export const useFlowRuns = create<RunsState>()(
  persist(
    (set) => ({
      runs: [],
      keep: (run) => set((state) => ({ runs: [...state.runs, run].slice(-MOST) })),
      clear: () => set({ runs: [] }),
    }),
    { name: "flow-runs", storage: createJSONStorage(() => accountStorage) },
  ),
);

/** The runs as CSV: a line an item, in the order in which they were done. */
export function runsCsv(runs: readonly FlowRun[]): string {
  return Papa.unparse(
    runs.flatMap((run) =>
      run.ticks.map((tick, i) => ({
        at: run.at,
        aircraft: run.aircraft,
        order: i + 1,
        item: tick.name,
        done_s: tick.at_s.toFixed(1),
        flow_s: tick.planned_s.toFixed(1),
      })),
    ),
    // A name that a spreadsheet would take for a formula stays a name.
    { escapeFormulae: true },
  );
}
