"use client";
import { fromSi, toSi } from "@/core/quantities/units";
import { useUnits } from "@/ui/kit/units/units-store";
import { markLabel, marksBetween } from "./ledger-layout";

/** Heights beside an account, in the user's unit. */
export function LedgerMarks({
  left,
  low_m,
  high_m,
  y,
}: {
  /** Where the account begins, px. */
  left: number;
  low_m: number;
  high_m: number;
  y: (height_m: number) => number;
}) {
  const unit = useUnits((state) => state.units.height);
  return marksBetween(fromSi("height", unit, low_m), fromSi("height", unit, high_m)).map((mark) => {
    const level = y(toSi("height", unit, mark));
    return (
      <g key={mark}>
        <line x1={left - 8} x2={left} y1={level} y2={level} stroke="var(--ink2)" />
        <text x={left - 11} y={level + 4} textAnchor="end" fontSize="12" className="num" fill="var(--ink2)">
          {markLabel(mark)}
        </text>
      </g>
    );
  });
}
