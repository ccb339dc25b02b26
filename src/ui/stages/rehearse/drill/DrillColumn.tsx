"use client";
import { runCalls } from "./drill-calls";
import type { Flying } from "./drill-store";
import { markLabel, marksBetween, spread } from "@/ui/kit/ledger/ledger-layout";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { fromSi, toSi } from "@/core/quantities/units";

const COLUMN = { left: 40, width: 44, top: 14, bottom: 26 };

/** Height as it goes: what the drill has taken so far, and the calls that are still to come on the way down. */
export function DrillColumn({ flying }: { flying: Flying }) {
  const [box, height] = useHeight();
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const { run, state } = flying;
  const now_m = state.drill.flown.height_m;
  const top_m = Math.max(run.height_m, now_m, 1);
  const bottom = Math.max(height - COLUMN.bottom, COLUMN.top + 1);
  const y = (height_m: number) => COLUMN.top + ((top_m - height_m) / top_m) * (bottom - COLUMN.top);
  const right = COLUMN.left + COLUMN.width;
  const calls = runCalls(run, state).filter(({ height_m }) => height_m < top_m);
  const labels = [
    { height_m: now_m, text: `now ${format("height", now_m, "down")}`, now: true },
    ...calls.map((call) => ({ height_m: call.height_m, text: call.words, now: false })),
  ].toSorted((a, b) => b.height_m - a.height_m);
  const rows = spread(
    labels.map(({ height_m }) => y(height_m)),
    bottom,
  );
  const marks = marksBetween(0, fromSi("height", unit, top_m));
  return (
    <div ref={box} className="min-h-40 flex-1 border-t border-rule" role="img" aria-label="Height while the drill runs">
      {height > 0 && (
        <svg width="100%" height={height} className="text-[12px]">
          <rect
            x={COLUMN.left}
            y={y(Math.max(run.height_m, now_m))}
            width={COLUMN.width}
            height={Math.max(Math.abs(y(now_m) - y(run.height_m)), 0.5)}
            fill={now_m <= run.height_m ? "var(--wheat)" : "var(--sage)"}
          />
          <rect
            x={COLUMN.left}
            y={y(Math.min(now_m, run.height_m))}
            width={COLUMN.width}
            height={Math.max(bottom - y(Math.min(now_m, run.height_m)), 0)}
            fill="none"
            stroke="var(--pine)"
            strokeWidth={2}
          />
          {marks.map((mark) => (
            <g key={mark} className="num" fill="var(--ink2)">
              <line
                x1={COLUMN.left - 5}
                x2={COLUMN.left}
                y1={y(toSi("height", unit, mark))}
                y2={y(toSi("height", unit, mark))}
                stroke="var(--ink2)"
              />
              <text x={COLUMN.left - 8} y={y(toSi("height", unit, mark)) + 4} textAnchor="end">
                {markLabel(mark)}
              </text>
            </g>
          ))}
          <line x1={COLUMN.left - 6} x2={right + 8} y1={bottom} y2={bottom} stroke="var(--ink)" strokeWidth={2} />
          <text x={right + 8} y={bottom + 15} fill="var(--ink2)" className="num">
            ground
          </text>
          {labels.map(({ height_m, text, now }, i) => (
            <g key={`${text}-${height_m}`}>
              <line
                x1={COLUMN.left - (now ? 6 : 0)}
                x2={right}
                y1={y(height_m)}
                y2={y(height_m)}
                stroke={now ? "var(--harbour)" : "var(--ochre)"}
                strokeWidth={now ? 2.5 : 1.5}
                strokeDasharray={now ? undefined : "4 3"}
              />
              <line x1={right} x2={right + 8} y1={y(height_m)} y2={rows[i] - 4} stroke="var(--ink2)" />
              <text
                x={right + 11}
                y={rows[i]}
                fill={now ? "var(--harbour)" : "var(--ink)"}
                fontWeight={now ? 700 : 400}
                fontSize={now ? 14 : 12}
              >
                {text}
              </text>
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}
