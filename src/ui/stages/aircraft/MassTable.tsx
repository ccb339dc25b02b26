"use client";
import { FileText } from "lucide-react";
import { formatNumber } from "@/core/quantities/units";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { massRows } from "./mass-rows";
import { useEdited } from "./useEdited";

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
      <table className="w-full text-right text-[17px]">
        <thead className="text-[13px] text-ink2">
          <tr>
            <th className="py-1 text-left font-normal">mass</th>
            <th className="font-normal">stall, flap up</th>
            <th className="font-normal">stall, landing flap</th>
            <th className="font-normal">least sink</th>
            <th className="font-normal">best glide</th>
            <th className="font-normal">ratio</th>
          </tr>
        </thead>
        <tbody className="num">
          {rows.map((row) => (
            <tr key={row.mass_kg} className={`border-t border-rule ${row === nearest ? "bg-mark" : ""}`}>
              <th className="py-1.5 text-left font-normal">{format("mass", row.mass_kg)}</th>
              <td>{format("speed", row.vs1_mps)}</td>
              <td>{row.vs0_mps === null ? "–" : format("speed", row.vs0_mps)}</td>
              <td>{format("speed", row.leastSink_mps)}</td>
              <td className="font-semibold">{format("speed", row.best_mps)}</td>
              <td>{formatNumber(row.ratio, 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[13px] text-ink2">The line nearest to today’s {format("mass", mass_kg)} is marked.</p>
    </div>
  );
}
