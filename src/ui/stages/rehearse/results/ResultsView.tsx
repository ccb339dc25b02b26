"use client";
import { Download, Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { formatClock } from "@/core/quantities/clock";
import { download } from "@/ui/kit/download";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { SharePanel } from "./SharePanel";
import { isClean, resultWords, resultsCsv } from "./result-words";
import { useRuns } from "./runs-store";
import { useShares } from "./shares-store";

interface Props {
  /** The drill that is looked at; null for all. */
  procedureId: string | null;
  onProcedure: (id: string | null) => void;
}

const ALL = "all";

/** Runs of drills: one's own, or those of somebody who shares them. */
export function ResultsView({ procedureId, onProcedure }: Props) {
  const format = useFormat();
  const { runs, share, fault } = useRuns();
  const shares = useShares((state) => state.shares);
  const [sharing, setSharing] = useState(false);
  useEffect(() => {
    void useRuns.getState().load(null);
    void useShares.getState().load();
  }, []);
  const readable = shares.filter(({ mine, claimed }) => !mine && claimed);
  const drills = new Map(runs?.map((run) => [run.procedureId, run.procedure]));
  const shown = runs?.filter((run) => procedureId === null || run.procedureId === procedureId) ?? [];
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex items-end gap-4 border-b border-rule px-4 py-1.5">
        <ChoiceField
          label="Whose"
          value={share ?? ALL}
          onChange={(value) => void useRuns.getState().load(value === ALL ? null : value)}
          choices={[{ value: ALL, label: "mine" }, ...readable.map(({ id, name }) => ({ value: id, label: name }))]}
        />
        <ChoiceField
          label="Drill"
          value={procedureId ?? ALL}
          onChange={(value) => onProcedure(value === ALL ? null : value)}
          choices={[
            { value: ALL, label: "all" },
            ...[...drills].map(([value, label]) => ({ value, label })),
            ...(procedureId !== null && !drills.has(procedureId) ? [{ value: procedureId, label: procedureId }] : []),
          ]}
        />
        <span className="ml-auto flex gap-2">
          <button
            type="button"
            className="btn btn-quiet"
            disabled={shown.length === 0}
            onClick={() => download("results.csv", "text/csv", resultsCsv(shown))}
          >
            <Download size={15} aria-hidden="true" /> CSV
          </button>
          <button type="button" className="btn btn-quiet" aria-expanded={sharing} onClick={() => setSharing(!sharing)}>
            Sharing
          </button>
        </span>
      </div>
      <div className="min-h-0 overflow-auto px-4 py-2" tabIndex={0} role="region" aria-label="Results">
        {sharing && <SharePanel />}
        {fault !== null && <p className="text-ochre">{fault}</p>}
        {runs === null ? (
          <p className="text-ink2">Fetching …</p>
        ) : (
          <DataTable
            rows={shown}
            rowKey={({ id }) => id}
            label="Runs"
            empty="No run yet. A drill that is over is kept here."
            columns={[
              {
                name: "began",
                cell: ({ beganAt }) => <span className="num">{beganAt.slice(0, 16).replace("T", " ")}</span>,
              },
              { name: "drill", kind: "words", cell: ({ procedure }) => procedure },
              { name: "aircraft", kind: "words", cell: ({ aircraft }) => aircraft },
              { name: "took", cell: ({ result }) => formatClock(result.took_s) },
              {
                name: "height",
                cell: ({ result: { lost_m } }) =>
                  Math.abs(lost_m) < 0.5
                    ? "–"
                    : `${lost_m > 0 ? "−" : "+"}${format("height", Math.abs(lost_m), lost_m > 0 ? "up" : "down")}`,
              },
              {
                name: "how",
                kind: "words",
                cell: ({ result }) => resultWords(result),
                tone: ({ result }) => (isClean(result) ? "text-pine" : "text-brick"),
              },
              ...(share === null
                ? [
                    {
                      name: "delete",
                      head: <span className="sr-only">delete</span>,
                      kind: "words" as const,
                      cell: ({ id, procedure, beganAt }: { id: string; procedure: string; beganAt: string }) => (
                        <button
                          type="button"
                          className="rounded p-1 hover:bg-mark"
                          aria-label={`Delete ${procedure}, ${beganAt.slice(0, 10)}`}
                          onClick={() => void useRuns.getState().remove(id)}
                        >
                          <Trash2 size={14} aria-hidden="true" />
                        </button>
                      ),
                    },
                  ]
                : []),
            ]}
          />
        )}
      </div>
    </div>
  );
}
