"use client";
import { formatNumber } from "@/core/quantities/units";
import type { BookResidual } from "@/core/rotor/fit-rounds";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { offBy } from "./FitFrame";

/** What a rotorcraft's model makes of each figure of the book. */
export function BookResiduals({ rows }: { rows: readonly BookResidual[] }) {
  const format = useFormat();
  const shown = (kind: BookResidual["kind"], value: number) =>
    kind === "ratio" ? `${formatNumber(value, 2)}:1` : format(kind, value);
  return (
    <DataTable
      label="The book beside the model"
      className="mt-2 w-full max-w-3xl text-[14px]"
      rows={rows}
      rowKey={({ name }) => name}
      empty="The book says nothing yet that the model is compared with: fill it in below."
      columns={[
        { name: "figure", cell: ({ name }) => name },
        { name: "book", cell: ({ kind, book }) => shown(kind, book) },
        { name: "model", cell: ({ kind, model }) => shown(kind, model) },
        { name: "off by", cell: (row) => offBy(row) },
        { name: "use", kind: "words", cell: ({ fitted }) => (fitted ? "fitted" : "compared") },
      ]}
    />
  );
}
