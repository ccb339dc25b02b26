import type { Procedure } from "@/core/procedure/procedure";
import { branchesOf } from "./edit-steps";

/** Height of a row of the list, px. */
export const ROW_PX = 34;
const [LANE_PX, FIRST_PX] = [7, 8];
/** Arcs side by side before they share a lane. */
const MOST_LANES = 5;

/** Ways that lead elsewhere than on, beside the list: down in ink, back in ochre. */
export function BranchArcs({ procedure }: { procedure: Procedure }) {
  const y = (i: number) => (i + 0.5) * ROW_PX;
  const width = FIRST_PX + MOST_LANES * LANE_PX + 8;
  return (
    <svg width={width} height={procedure.steps.length * ROW_PX} className="shrink-0" aria-hidden="true">
      {branchesOf(procedure).map(({ from, to, back }, i) => {
        const x = width - FIRST_PX - (i % MOST_LANES) * LANE_PX - 6;
        const colour = back ? "var(--ochre)" : "var(--harbour)";
        return (
          <g key={`${from}-${to}`} stroke={colour} fill="none" strokeWidth={1.5}>
            <path d={`M${width - 2} ${y(from) + 4} H${x} V${y(to)} H${width - 3}`} />
            <path d={`M${width - 7} ${y(to) - 3.5} L${width - 2} ${y(to)} L${width - 7} ${y(to) + 3.5}`} />
          </g>
        );
      })}
    </svg>
  );
}
