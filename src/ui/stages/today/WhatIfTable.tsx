"use client";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { type DayKind, WHAT_IF_COLUMNS, type WhatIfLine, whatIfFigures, whatIfName } from "./what-if-words";

/** Days beside today's: what decides them, and what that costs. */
export function WhatIfTable({ lines, kind }: { lines: readonly WhatIfLine[]; kind: DayKind }) {
  const format = useFormat();
  const units = useUnits((state) => state.units);
  const today = lines[0]?.figures ?? null;
  const [first, second] = WHAT_IF_COLUMNS[kind];
  const issued = lines.some(({ figures }) => figures?.issue);
  return (
    <DataTable
      // A figure with a long difference takes two lines rather than be cut off.
      className="w-full text-[12.5px] [&_td]:whitespace-normal"
      label="What if"
      rows={lines}
      rowKey={(line) => whatIfName(line, units)}
      under={issued ? ({ figures }) => figures?.issue : undefined}
      columns={[
        { name: "if", cell: (line) => <span className="whitespace-nowrap">{whatIfName(line, units)}</span> },
        {
          name: first.head,
          cell: ({ figures }) => (figures ? whatIfFigures(figures, today, kind, format)[0] : "…"),
          tone: ({ figures }) =>
            figures?.issue
              ? "text-ink2"
              : figures && (figures.first === null || (kind === "jet" && figures.first < 0))
                ? "text-brick"
                : "",
        },
        {
          name: second.head,
          cell: ({ figures }) => (figures ? whatIfFigures(figures, today, kind, format)[1] : ""),
        },
      ]}
    />
  );
}
