"use client";
import { M_PER_FT } from "@/core/quantities/constants";
import type { SafeHeights } from "@/core/rotor/hover-heights";
import { useFlyAway, useHoverHeights } from "@/ui/answers/useHoverAnswer";
import { ShortHatch } from "@/ui/kit/ledger/Hatch";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { rejectWords } from "./height-words";

/** The column to scale, px, and its least greatest height, m. */
const COLUMN = { top: 14, bottom: 226, left: 62, width: 60 };
const LEAST_TOP_M = 200 * M_PER_FT;

/** Hover heights as a column: reject below, fly-away above, and the part between hatched. A sketch, and called so. */
export function SafeHeightsColumn() {
  const { value } = useFlyAway();
  const sketch = useHoverHeights();
  const format = useFormat();
  const heights = value?.heights;
  return (
    <section
      className="min-h-0 overflow-auto border-l border-rule px-4 py-2"
      tabIndex={0}
      role="region"
      aria-label="Hover heights, a sketch"
    >
      <h2 className="font-bold">Hover heights: a sketch</h2>
      <p className="text-[13px] text-ink2">An energy balance, not the maker’s height–velocity diagram.</p>
      {heights && <Column heights={heights} />}
      <h3 className="mt-1 text-[14px] font-semibold">By wind</h3>
      {sketch.value ? (
        <DataTable
          label="Safe hover heights by wind"
          className="w-full text-[13px]"
          rows={sketch.value}
          rowKey={(row) => row.wind_mps}
          columns={[
            { name: "wind", kind: "figure", cell: (row) => format("speed", row.wind_mps) },
            {
              name: "reject to",
              cell: (row) => rejectWords(row.rejectBelow_m, format),
            },
            {
              name: "fly away from",
              cell: (row) => (row.flyAwayFrom_m === null ? "none" : format("height", row.flyAwayFrom_m, "up")),
            },
          ]}
        />
      ) : (
        <p className="text-[13px] text-ink2">{sketch.issue?.message ?? "Working through the winds …"}</p>
      )}
    </section>
  );
}

function Column({ heights: { rejectBelow_m, flyAwayFrom_m } }: { heights: SafeHeights }) {
  const format = useFormat();
  const top_m = Math.max(LEAST_TOP_M, (flyAwayFrom_m ?? 0) * 1.4);
  const y = (height_m: number) => COLUMN.bottom - (Math.min(height_m, top_m) / top_m) * (COLUMN.bottom - COLUMN.top);
  const reject_m = Math.min(rejectBelow_m ?? 0, top_m);
  const away_m = flyAwayFrom_m ?? top_m;
  const between = reject_m < away_m;
  const label = between
    ? `Between ${format("height", reject_m)} and ${format("height", away_m)} neither way is safe.`
    : "At every height one way or the other is safe.";
  const text = { x: COLUMN.left + COLUMN.width + 8, fontSize: 13, fill: "var(--ink)" };
  return (
    <svg width="100%" height={COLUMN.bottom + 14} role="img" aria-label={label}>
      <defs>
        <ShortHatch id="hatch-neither" />
      </defs>
      <rect
        x={COLUMN.left}
        y={y(top_m)}
        width={COLUMN.width}
        height={y(away_m) - y(top_m)}
        fill="var(--pine)"
        opacity={0.35}
      />
      <rect
        x={COLUMN.left}
        y={y(reject_m)}
        width={COLUMN.width}
        height={y(0) - y(reject_m)}
        fill="var(--sage)"
        opacity={between ? 0.7 : 0.35}
      />
      {between && (
        <rect
          x={COLUMN.left}
          y={y(away_m)}
          width={COLUMN.width}
          height={y(reject_m) - y(away_m)}
          fill="url(#hatch-neither)"
          stroke="var(--brick)"
        />
      )}
      <line
        x1={COLUMN.left - 10}
        x2={COLUMN.left + COLUMN.width + 10}
        y1={y(0)}
        y2={y(0)}
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {flyAwayFrom_m !== null && (
        <text x={COLUMN.left - 6} y={y(away_m) + 4} textAnchor="end" className="num" fontSize="12" fill="var(--ink2)">
          {format("height", away_m, "up")}
        </text>
      )}
      {between && reject_m > 0 && y(reject_m) - y(away_m) > 16 && (
        <text x={COLUMN.left - 6} y={y(reject_m) + 4} textAnchor="end" className="num" fontSize="12" fill="var(--ink2)">
          {format("height", reject_m, "down")}
        </text>
      )}
      {flyAwayFrom_m !== null && (
        <text {...text} y={(y(top_m) + y(away_m)) / 2 + 4}>
          fly away
        </text>
      )}
      {between && (
        <text {...text} y={(y(away_m) + y(reject_m)) / 2 + 4} fill="var(--brick)" fontWeight={600}>
          neither
        </text>
      )}
      {reject_m > 0 && (
        <text {...text} y={Math.max((y(between ? reject_m : Math.min(away_m, top_m)) + y(0)) / 2 + 4, y(away_m) + 18)}>
          back down
        </text>
      )}
    </svg>
  );
}
