"use client";
import type { LocalPlane } from "@/core/earth/local-plane";
import type { EndOnMap } from "@/core/exercise/flight-crew";
import { formatNumber } from "@/core/quantities/units";
import { headingOn } from "./fly-set-up";

interface Props {
  plane: LocalPlane;
  ends: readonly EndOnMap[];
  at: { readonly north_m: number; readonly east_m: number; readonly heading_rad: number };
  /** North and east in turn. */
  path: readonly number[];
  /** As it was planned, likewise. */
  planned?: readonly number[];
  /** One's best of the same, likewise. */
  best?: readonly number[];
  /** Motion of the air at the surface, towards. */
  wind: { readonly east_mps: number; readonly north_mps: number };
  /** Half of the map's height, m. */
  half_m?: number;
}

const [W, H] = [760, 380];

/** Runways, the way so far and the aeroplane on paper, north up. */
export function FlyMap({ plane, ends, at, path, planned = [], best = [], wind, half_m = 2600 }: Props) {
  const scale = H / 2 / half_m;
  const x = (east: number) => W / 2 + (east - at.east_m) * scale;
  const y = (north: number) => H / 2 - (north - at.north_m) * scale;
  const drawn = (way: readonly number[]) => {
    const points: string[] = [];
    for (let i = 0; i + 1 < way.length; i += 2) points.push(`${x(way[i + 1]).toFixed(1)},${y(way[i]).toFixed(1)}`);
    return points;
  };
  const blows = Math.hypot(wind.east_mps, wind.north_mps);
  return (
    <div className="relative size-full overflow-hidden bg-paper">
      <svg
        viewBox={`0 0 ${W} ${H}`}
        preserveAspectRatio="xMidYMid slice"
        className="block size-full bg-paper"
        role="img"
        aria-label="Map of the flight"
      >
        {ends.map((end) => {
          const from = plane.toPlane(end.threshold);
          const heading = headingOn(plane, end);
          const to = {
            x_m: from.x_m + end.length_m * Math.sin(heading),
            y_m: from.y_m + end.length_m * Math.cos(heading),
          };
          const [x1, y1, x2, y2] = [x(from.x_m), y(from.y_m), x(to.x_m), y(to.y_m)];
          if (
            Math.max(x1, x2) < -50 ||
            Math.min(x1, x2) > W + 50 ||
            Math.max(y1, y2) < -50 ||
            Math.min(y1, y2) > H + 50
          )
            return null;
          return (
            <g key={end.id}>
              <line
                x1={x1}
                y1={y1}
                x2={x2}
                y2={y2}
                stroke={end.unprepared ? "var(--sage)" : "var(--ink)"}
                strokeWidth={Math.max(3, end.width_m * scale)}
              />
              <text
                x={x1}
                y={y1}
                dy={-6}
                fontSize={12}
                textAnchor="middle"
                fill="var(--ink)"
                stroke="var(--casing)"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {end.name}
              </text>
            </g>
          );
        })}
        <polyline
          points={drawn(best).join(" ")}
          fill="none"
          stroke="var(--plum)"
          strokeWidth={2.5}
          strokeDasharray="1 6"
          strokeLinecap="round"
        />
        <polyline
          points={drawn(planned).join(" ")}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.75}
          strokeDasharray="7 5"
        />
        <polyline points={drawn(path).join(" ")} fill="none" stroke="var(--harbour)" strokeWidth={2.5} />
        <g
          transform={`translate(${W / 2} ${H / 2}) rotate(${(at.heading_rad * 180) / Math.PI})`}
          stroke="var(--ink)"
          strokeWidth={3}
          fill="none"
        >
          <line x1={0} y1={-14} x2={0} y2={12} />
          <line x1={-14} y1={-3} x2={14} y2={-3} />
          <line x1={-6} y1={10} x2={6} y2={10} />
        </g>
      </svg>
      <Wind blows={blows} towards_deg={(Math.atan2(wind.east_mps, wind.north_mps) * 180) / Math.PI} />
    </div>
  );
}

/** Which way the air goes, and how fast, at the surface. */
function Wind({ blows, towards_deg }: { blows: number; towards_deg: number }) {
  return (
    <svg
      viewBox="-44 -30 88 64"
      className="absolute top-2 right-2 h-16 w-22 border border-rule bg-sheet"
      aria-hidden="true"
    >
      {blows > 0.5 && (
        <g transform={`rotate(${towards_deg})`} stroke="var(--ink)" strokeWidth={2}>
          <line x1={0} y1={14} x2={0} y2={-14} />
          <polyline points="-5,-8 0,-15 5,-8" fill="none" />
        </g>
      )}
      <text y={28} fontSize={12} textAnchor="middle" fill="var(--ink)" className="num">
        {`wind ${formatNumber(blows * 1.94384)} kt`}
      </text>
    </svg>
  );
}
