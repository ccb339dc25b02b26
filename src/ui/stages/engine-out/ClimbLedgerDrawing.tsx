"use client";
import { fromSi } from "@/core/quantities/units";
import { marksBetween } from "@/ui/kit/ledger/ledger-layout";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import type { LedgerRow } from "./ledger-rows";
import { ShortHatch } from "@/ui/kit/ledger/Hatch";

/** Height of a row and width of its words, px. */
const ROW = 40;
const NAMES = 214;
const FIGURES = 170;

/** The account in rate of climb, sideways about a zero line: each block is cut off where the one above ends. */
export function ClimbLedgerDrawing({ rows, source }: { rows: readonly LedgerRow[]; source: WorkingSource }) {
  const unit = useUnits((state) => state.units.verticalSpeed);
  const format = useFormat();
  const low = Math.min(0, ...rows.flatMap((row) => [row.from_mps, row.to_mps]));
  const high = Math.max(0.5, ...rows.flatMap((row) => [row.from_mps, row.to_mps]));
  const percent = (value: number) => `${(100 * (value - low)) / (high - low)}%`;
  const [lowShown, highShown] = [fromSi("verticalSpeed", unit, low), fromSi("verticalSpeed", unit, high)];
  const marks = marksBetween(lowShown, highShown);
  const share = (mark: number) => `${(100 * (mark - lowShown)) / (highShown - lowShown)}%`;
  const height = rows.length * ROW;
  return (
    <figure className="relative px-4 pt-7 pb-2" aria-label="Climb ledger">
      <div className="absolute top-7" style={{ left: NAMES + 16, right: FIGURES + 16, height }} aria-hidden="true">
        <svg width="100%" height={height} overflow="visible">
          {marks.map((mark) => (
            <g key={mark}>
              <line
                x1={share(mark)}
                x2={share(mark)}
                y1="0"
                y2={height}
                stroke={mark === 0 ? "var(--ink)" : "var(--rule)"}
                strokeWidth={mark === 0 ? 2 : 1}
              />
              <text x={share(mark)} y="-7" textAnchor="middle" fontSize="12" className="num" fill="var(--ink2)">
                {Math.round(mark * 10) / 10}
              </text>
            </g>
          ))}
          <defs>
            <ShortHatch id="hatch-descent" />
          </defs>
          {rows.map((row, i) => {
            const [from, to] = [Math.min(row.from_mps, row.to_mps), Math.max(row.from_mps, row.to_mps)];
            const descends = row.kind === "left" && row.to_mps < 0;
            return (
              <rect
                key={row.name}
                x={percent(from)}
                width={`${(100 * (to - from)) / (high - low)}%`}
                y={i * ROW + 7}
                height={ROW - 14}
                fill={descends ? "url(#hatch-descent)" : row.kind === "left" ? "var(--sheet)" : `var(--${row.colour})`}
                stroke={row.kind === "left" ? (descends ? "var(--brick)" : "var(--pine)") : "var(--ink)"}
                strokeWidth={row.kind === "left" ? 2.5 : 1}
              />
            );
          })}
        </svg>
      </div>
      <ol>
        {rows.map((row) => (
          <li
            key={row.name}
            className="grid items-center"
            style={{ height: ROW, gridTemplateColumns: `${NAMES}px 1fr ${FIGURES}px` }}
          >
            <span className="min-w-0 leading-tight">
              <span className="font-semibold">{row.name}</span>
              {row.note && <span className="block truncate text-[13px] text-ink2">{row.note}</span>}
            </span>
            <span />
            <Figure
              title={row.name}
              figure={row.figure}
              source={source}
              className={`text-right ${row.kind === "left" ? `text-[22px] font-semibold ${row.to_mps < 0 ? "text-brick" : "text-pine"}` : ""}`}
            >
              {row.kind === "cost"
                ? `−${format("verticalSpeed", Math.abs(row.from_mps - row.to_mps))}`.replace(
                    "−",
                    row.from_mps >= row.to_mps ? "−" : "+",
                  )
                : format("verticalSpeed", row.to_mps)}
            </Figure>
          </li>
        ))}
      </ol>
    </figure>
  );
}
