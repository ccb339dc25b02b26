"use client";
import { success } from "@/core/outcome";
import { formatNumber } from "@/core/quantities/units";
import type { SeriesResult, SeriesRow } from "@/core/series/series-result";
import { seriesWorking } from "@/core/series/series-working";
import type { TestCard } from "@/core/series/test-card";
import { degrees } from "@/core/quantities/angle";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useCardLook } from "./cards-store";
import { amountWithBound, amountWords, shownDifference, shownWords, speedWords } from "./series-words";

/** The runs of a card, one a row; pressing its number looks at one. */
export function SeriesTable({ card, result }: { card: TestCard; result: SeriesResult }) {
  const format = useFormat();
  const looked = useCardLook((state) => state.run);
  const turning = card.kind === "half-turn";
  const source = { ask: async () => success(seriesWorking(card, result)) };
  const columns: Column<SeriesRow>[] = [
    {
      name: "run",
      className: "px-2",
      cell: ({ run }) => (
        <button
          type="button"
          className="num font-bold underline-offset-4 hover:underline focus-visible:underline"
          aria-pressed={looked === run.id}
          onClick={() => useCardLook.setState({ run: looked === run.id ? null : run.id })}
        >
          {run.number}
          <span className="sr-only">: look at this run</span>
        </button>
      ),
    },
    ...(turning
      ? [
          {
            name: "bank",
            className: "px-2",
            cell: ({ run }: SeriesRow) =>
              `${formatNumber(degrees(run.value))}° ±${formatNumber(Math.max(degrees(2 * run.valueSigma), 1))}`,
          },
        ]
      : []),
    { name: "speed", className: "px-2 whitespace-nowrap", cell: ({ run }) => speedWords(run, format) },
    { name: "time", className: "px-2", cell: ({ run }) => `${formatNumber(run.time_s)} s` },
    {
      name: "predicted",
      className: "px-2",
      cell: ({ predicted }) => (predicted === null ? "–" : amountWords(card.kind, format, predicted)),
    },
    {
      name: "flown",
      className: "px-2 whitespace-nowrap",
      cell: ({ run }) => amountWithBound(card.kind, format, run.flown, 2 * run.flownSigma),
    },
    {
      name: "difference",
      className: "px-2",
      cell: ({ run, predicted }) =>
        predicted === null ? (
          "–"
        ) : (
          <Figure title={`Run ${run.number}`} figure={`run ${run.number}`} source={source}>
            {shownDifference(card.kind, format, run.flown, predicted)}
          </Figure>
        ),
      tone: ({ doubts }) => (doubts.includes("outlier") ? "text-brick" : ""),
    },
    {
      name: "what the log shows",
      kind: "words",
      className: "px-2",
      cell: (row) => shownWords(row, format),
      tone: ({ run, doubts }) => (run.leftOut !== null ? "text-brick" : doubts.length > 0 ? "text-ochre" : ""),
    },
  ];
  return (
    <DataTable
      rows={result.rows}
      columns={columns}
      rowKey={({ run }) => run.id}
      label={`Runs of ${card.name}`}
      className="w-full text-[14px]"
      rowProps={({ run }) => ({ className: looked === run.id ? "bg-mark" : "" })}
    />
  );
}
