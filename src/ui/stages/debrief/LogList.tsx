"use client";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import type { ListedLog } from "@/server/logs";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { openKept, removeLog, useDebrief } from "./debrief-store";
import { dayWords, jobWords, summaryWords } from "./debrief-words";
import { useLogs } from "./logs-store";

/** The logs that the account keeps. */
export function LogList({ onOpen }: { onOpen: () => void }) {
  const logs = useLogs((state) => state.logs);
  const jobs = useLogs((state) => state.jobs);
  const fault = useLogs((state) => state.fault);
  const open = useDebrief((state) => state.open);
  const format = useFormat();
  if (!logs) return <p className="p-5 text-ink2">…</p>;
  if (fault) return <p className="p-5 text-brick">{fault}</p>;
  const columns: Column<ListedLog>[] = [
    {
      name: "Log",
      cell: ({ id, name }) => (
        <button
          type="button"
          className="text-left font-semibold whitespace-nowrap underline-offset-4 hover:underline focus-visible:underline"
          onClick={() => {
            void openKept(id);
            onOpen();
          }}
        >
          {name}
        </button>
      ),
    },
    {
      name: "Day",
      kind: "words",
      className: "px-2 whitespace-nowrap",
      cell: ({ summary }) => dayWords(summary.begins_s),
    },
    { name: "Aircraft", kind: "words", className: "px-2", cell: ({ aircraft }) => aircraft ?? "not said" },
    {
      name: "Found",
      kind: "words",
      className: "px-2 text-ink2",
      cell: ({ id, summary }) => (jobs[id] ? jobWords(jobs[id]) : summaryWords(summary)),
    },
    {
      name: "First stop at",
      className: "px-2",
      cell: ({ summary }) => (summary.height_m === null ? "" : format("height", summary.height_m)),
    },
    {
      name: "Delete",
      head: <span className="sr-only">Delete</span>,
      className: "py-1.5",
      cell: (log) => <DeleteLog log={log} />,
    },
  ];
  return (
    <div className="min-h-0 overflow-auto px-4 py-2" tabIndex={0} role="region" aria-label="Kept logs">
      <DataTable
        rows={logs}
        columns={columns}
        rowKey={({ id }) => id}
        label="Kept logs, what was kept last first"
        className="w-full text-[15px]"
        rowProps={({ id }) => ({ className: open?.id === id ? "bg-mark" : "" })}
        empty={
          <p className="max-w-prose text-ink2">
            No log is kept yet. Add one, or drop a file anywhere on this page: IGC, GPX 1.1, NMEA 0183, or a table (CSV)
            of any columns.
          </p>
        }
      />
    </div>
  );
}

/** Deletes when it is pressed twice. */
function DeleteLog({ log: { id, name } }: { log: ListedLog }) {
  const [sure, setSure] = useState(false);
  return (
    <button
      type="button"
      className="btn btn-quiet"
      aria-label={sure ? `Delete ${name} for good` : `Delete ${name}`}
      onClick={() => (sure ? void removeLog(id) : setSure(true))}
      onBlur={() => setSure(false)}
    >
      {sure ? "For good?" : <Trash2 size={15} aria-hidden="true" />}
    </button>
  );
}
