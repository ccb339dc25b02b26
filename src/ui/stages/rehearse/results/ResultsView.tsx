"use client";
import { Download, Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { formatClock } from "@/core/quantities/clock";
import { download } from "@/ui/kit/download";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { FlownTable } from "./FlownTable";
import { SharePanel } from "./SharePanel";
import { flownCsv } from "./flown-result-words";
import { FLOWN, useFlown } from "./flown-store";
import { isClean, resultWords, resultsCsv } from "./result-words";
import { useRuns } from "./runs-store";
import { useShares } from "./shares-store";

interface Props {
  /** The drill that is looked at, or flights by hand; null for all drills. */
  procedureId: string | null;
  onProcedure: (id: string | null) => void;
  /** A flight is there to be looked at. */
  onLook: () => void;
}

const ALL = "all";

/** Runs of drills and flights by hand: one's own, or those of somebody who shares them. */
export function ResultsView({ procedureId, onProcedure, onLook }: Props) {
  const format = useFormat();
  const { runs, share, fault } = useRuns();
  const shares = useShares((state) => state.shares);
  const [sharing, setSharing] = useState(false);
  const { flights, fault: flownFault } = useFlown();
  const flown = procedureId === FLOWN;
  const load = (of: string | null) => {
    void useRuns.getState().load(of);
    void useFlown.getState().load(of);
  };
  useEffect(() => {
    void useRuns.getState().load(null);
    void useFlown.getState().load(null);
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
          onChange={(value) => load(value === ALL ? null : value)}
          choices={[{ value: ALL, label: "mine" }, ...readable.map(({ id, name }) => ({ value: id, label: name }))]}
        />
        <ChoiceField
          label="What"
          value={procedureId ?? ALL}
          onChange={(value) => onProcedure(value === ALL ? null : value)}
          choices={[
            { value: ALL, label: "all drills" },
            { value: FLOWN, label: "flights by hand" },
            ...[...drills].map(([value, label]) => ({ value, label })),
            ...(procedureId !== null && !flown && !drills.has(procedureId)
              ? [{ value: procedureId, label: procedureId }]
              : []),
          ]}
        />
        <span className="ml-auto flex gap-2">
          <button
            type="button"
            className="btn btn-quiet"
            disabled={(flown ? (flights?.length ?? 0) : shown.length) === 0}
            onClick={() => download("results.csv", "text/csv", flown ? flownCsv(flights ?? []) : resultsCsv(shown))}
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
        {(flown ? flownFault : fault) !== null && <p className="text-ochre">{flown ? flownFault : fault}</p>}
        {flown ? (
          <FlownTable flights={flights} mine={share === null} onLook={onLook} />
        ) : runs === null ? (
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
