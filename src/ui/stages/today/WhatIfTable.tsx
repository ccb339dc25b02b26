"use client";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { WhatIfLine } from "./useWhatIf";
import { whatIfHeight, whatIfName, whatIfSecond } from "./what-if-words";

/** Days beside today's: from where it works, and what that costs. */
export function WhatIfTable({ lines, twoEngines }: { lines: readonly WhatIfLine[]; twoEngines: boolean }) {
  const format = useFormat();
  const units = useUnits((state) => state.units);
  const today = lines[0]?.figures ?? null;
  return (
    <DataTable
      className="w-full text-[13px]"
      label="What if"
      rows={lines}
      rowKey={(line) => whatIfName(line, units)}
      columns={[
        { name: "if", cell: (line) => <span className="whitespace-nowrap">{whatIfName(line, units)}</span> },
        {
          name: twoEngines ? "go from" : "turn back works from",
          cell: ({ figures }) =>
            figures?.issue ? (
              <span className="font-sans whitespace-normal">{figures.issue}</span>
            ) : figures ? (
              whatIfHeight(figures, today, format)
            ) : (
              "…"
            ),
          tone: ({ figures }) => (figures?.issue ? "text-ink2" : figures?.from_m === null ? "text-ochre" : ""),
        },
        {
          name: twoEngines ? "climb" : "run",
          cell: ({ figures }) => (figures ? whatIfSecond(figures, today, twoEngines, format) : ""),
        },
      ]}
    />
  );
}
