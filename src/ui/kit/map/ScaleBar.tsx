"use client";
import { fromSi, toSi, unitOf } from "@/core/quantities/units";
import { useUnits } from "@/ui/kit/units/units-store";

const NICE = [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50];
/** The bar is at most this long, px. */
const LONGEST = 130;

/** A bar of a round distance in the user's unit. */
export function ScaleBar({ resolution_m }: { resolution_m: number }) {
  const name = useUnits((state) => state.units.distance);
  const most = fromSi("distance", name, LONGEST * resolution_m);
  const distance = NICE.findLast((candidate) => candidate <= most) ?? NICE[0];
  const width = toSi("distance", name, distance) / resolution_m;
  return (
    <svg
      width={width + 40}
      height="26"
      className="pointer-events-none"
      role="img"
      aria-label={`Scale: ${distance} ${unitOf("distance", name).label}`}
    >
      <g stroke="var(--casing)" strokeWidth="5">
        <path d={`M6 5h${width}`} />
      </g>
      <path
        d={`M6 1v8M6 5h${width}M${6 + width / 2} 3v4M${6 + width} 1v8`}
        stroke="var(--ink)"
        strokeWidth="1.6"
        fill="none"
      />
      <g
        className="num"
        fontSize="12"
        fill="var(--ink)"
        stroke="var(--casing)"
        strokeWidth="3"
        paintOrder="stroke"
        textAnchor="middle"
      >
        <text x="7" y="22">
          0
        </text>
        <text x={6 + width} y="22">
          {distance} {unitOf("distance", name).label}
        </text>
      </g>
    </svg>
  );
}
