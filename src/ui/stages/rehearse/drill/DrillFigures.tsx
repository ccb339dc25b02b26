"use client";
import { formatClock } from "@/core/quantities/clock";
import { AsideFigures } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { DrillColumn } from "./DrillColumn";
import type { Flying } from "./drill-store";

/** Time and height of a drill that runs. On the ground, or where height is held, there is none to tell. */
export function DrillFigures({ flying }: { flying: Flying }) {
  const format = useFormat();
  const { run, state } = flying;
  const gone_m = run.height_m - state.drill.flown.height_m;
  const moves = state.from.climb_mps !== 0 || gone_m !== 0;
  return (
    <>
      <AsideFigures>
        <dt>Since it began</dt>
        <dd className="num">{formatClock(state.drill.flown.time_s)}</dd>
        {moves && (
          <>
            <dt>{gone_m < 0 ? "Gained" : "Gone so far"}</dt>
            <dd className="num">{format("height", Math.abs(gone_m), gone_m < 0 ? "down" : "up")}</dd>
          </>
        )}
      </AsideFigures>
      {moves && <DrillColumn flying={flying} />}
    </>
  );
}
