"use client";
import { FileText } from "lucide-react";
import { formatNumber } from "@/core/quantities/units";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { massRows } from "./mass-rows";
import { useEdited } from "./useEdited";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Speeds by mass as a table, and the card. */
export function MassTable({ onCard }: { onCard: () => void }) {
  const { document } = useEdited();
  const mass_kg = useSituation((state) => state.current.mass_kg);
  const format = useFormat();
  const rows = massRows(document);
  if (rows.length === 0) return <p className="p-4">Fill in the handbook and take over its fit.</p>;
  const nearest = rows.reduce((best, row) =>
    Math.abs(row.mass_kg - mass_kg) < Math.abs(best.mass_kg - mass_kg) ? row : best,
  );
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Speeds by mass">
      <div className="mb-2 flex items-baseline justify-between">
        <p className="text-[14px] text-ink2">
          Clean glide, propeller as the dead engine leaves it; equivalent airspeeds. They go with the root of the mass,
          the ratio stays.
        </p>
        <button type="button" className="btn whitespace-nowrap" onClick={onCard}>
          <FileText size={15} aria-hidden="true" /> Numbers card (PDF)
        </button>
      </div>
      <DataTable
        className="w-full text-[17px]"
        rows={rows}
        rowKey={(row) => row.mass_kg}
        rowProps={(row) => ({ className: row === nearest ? "bg-mark" : "" })}
        columns={[
          { name: "mass", tone: () => "num py-1.5", cell: (row) => format("mass", row.mass_kg) },
          { name: "stall, flap up", cell: (row) => format("speed", row.vs1_mps) },
          {
            name: "stall, landing flap",
            cell: ({ vs0_mps }) => (vs0_mps === null ? "–" : format("speed", vs0_mps)),
          },
          { name: "least sink", cell: (row) => format("speed", row.leastSink_mps) },
          { name: "best glide", cell: (row) => format("speed", row.best_mps), tone: () => "font-semibold" },
          { name: "ratio", cell: (row) => formatNumber(row.ratio, 1) },
        ]}
      />
      <p className="mt-2 text-[13px] text-ink2">The line nearest to today’s {format("mass", mass_kg)} is marked.</p>
    </div>
  );
}
