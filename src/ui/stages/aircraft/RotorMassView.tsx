"use client";
import { FileText } from "lucide-react";
import { useCallback, useEffect, useMemo } from "react";
import { clamp } from "@/core/numeric/clamp";
import type { RotorNumbers } from "@/core/rotor/rotor-numbers";
import type { RotorQuestion, Rotorcraft } from "@/core/rotor/rotor-question";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { offerCard } from "@/ui/kit/print/card-store";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { printNumbers } from "./print-numbers";
import { massCells, massColumns, rotorCard } from "./rotor-card";
import type { EditedOf } from "./useEdited";

const askNumbers: Ask<RotorQuestion, RotorNumbers> = (core, question) => core.rotorNumbers(question);

/** Descents by mass as a table, and the card. */
export function RotorMassView({ edited: { document, faults } }: { edited: EditedOf<Rotorcraft> }) {
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  const valid = faults.length === 0;
  const { minimum_kg, maximum_kg } = document.mass;
  const within_kg = clamp(mass_kg, minimum_kg, maximum_kg);
  const question = useMemo(
    () => (valid ? { aircraft: document, mass_kg: within_kg, altitude_m, air } : null),
    [document, valid, within_kg, altitude_m, air],
  );
  const { value, issue } = useAnswer(question, askNumbers, "pointed");
  const format = useFormat();
  const make = useCallback(() => {
    if (value) printNumbers(rotorCard(document, value, within_kg, format), document.name);
  }, [document, value, within_kg, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  if (!value) return <p className={`p-4 ${issue ? "text-brick" : "text-ink2"}`}>{issue?.message ?? "Computing …"}</p>;
  const hovers = value.hovers.length > 0;
  const nearest = value.rows.reduce((best, row) =>
    Math.abs(row.mass_kg - within_kg) < Math.abs(best.mass_kg - within_kg) ? row : best,
  );
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Descents by mass">
      <div className="mb-2 flex items-baseline justify-between gap-4">
        <p className="text-[14px] text-ink2">
          Engine stopped, in the situation’s air; true airspeeds.
          {hovers &&
            " The last column is the longest rating that holds a hover on one engine, out of ground effect in calm air."}
        </p>
        <button type="button" className="btn whitespace-nowrap" onClick={make}>
          <FileText size={15} aria-hidden="true" /> Numbers card (PDF)
        </button>
      </div>
      <DataTable
        label="Descents by mass"
        className="w-full text-[16px]"
        rows={value.rows}
        rowKey={({ mass_kg: key }) => key}
        rowProps={(row) => ({ className: row === nearest ? "bg-mark" : "" })}
        columns={massColumns(hovers).map((name, i) => ({
          name,
          kind: "figure",
          cell: (row: RotorNumbers["rows"][number]) => massCells(row, hovers, format)[i],
        }))}
      />
      <p className="mt-2 text-[13px] text-ink2">The line nearest to today’s {format("mass", mass_kg)} is marked.</p>
    </div>
  );
}
