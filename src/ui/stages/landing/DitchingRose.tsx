"use client";
import type { Ditching, DitchingHeading } from "@/core/landing/ditching";
import { useHeadingInWords } from "@/ui/situation/useHeadingInWords";
import { threeFigures } from "@/core/quantities/angle";
import { formatWind } from "@/ui/situation/wind-words";
import { useUnits } from "@/ui/kit/units/units-store";
import { formatWaves } from "./wave-height";

/** Drawing, px. */
const SIZE = 320;
const C = SIZE / 2;
const RADIUS = 104;
/** Lines of a swell are this far apart. */
const GAP = 22;

/** Swell crests, the wind and the headings seen from above: north up. */
export function DitchingRose({
  answer,
  windFrom_rad,
  wind_mps,
}: {
  answer: Ditching;
  windFrom_rad: number;
  wind_mps: number;
}) {
  const units = useUnits((state) => state.units);
  const { best, other, swells, rose } = answer;
  const scores = rose.map((heading) => heading.score);
  const headingInWords = useHeadingInWords();
  const [least, most] = [Math.min(...scores), Math.max(...scores)];
  const at = (angle_rad: number, radius: number) =>
    [C + radius * Math.sin(angle_rad), C - radius * Math.cos(angle_rad)] as const;
  const arrow = (heading: DitchingHeading, colour: string, width: number, dash?: string) => {
    const [x1, y1] = at(heading.heading_rad + Math.PI, 62);
    const [x2, y2] = at(heading.heading_rad, 62);
    return (
      <line
        x1={x1}
        y1={y1}
        x2={x2}
        y2={y2}
        stroke={colour}
        strokeWidth={width}
        strokeDasharray={dash}
        markerEnd={`url(#head-${width})`}
      />
    );
  };
  const [windX, windY] = at(windFrom_rad, RADIUS + 34);
  const [windX2, windY2] = at(windFrom_rad, RADIUS + 8);
  return (
    <figure aria-label="Headings on the water">
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={`Ditch heading ${headingInWords(best.heading_rad)}; wind ${formatWind({ from_rad: windFrom_rad, speed_mps: wind_mps }, units)}; ${swells.map(({ swell }) => `swell ${formatWaves(swell.height_m, units)} from ${threeFigures(swell.from_rad)}`).join(", ") || "no swell"}`}
      >
        <defs>
          <clipPath id="water">
            <circle cx={C} cy={C} r={RADIUS - 10} />
          </clipPath>
          {[6, 2.5].map((width) => (
            <marker
              key={width}
              id={`head-${width}`}
              viewBox="0 0 10 10"
              refX="5"
              refY="5"
              markerWidth={width > 3 ? 3.2 : 5}
              markerHeight={width > 3 ? 3.2 : 5}
              orient="auto"
            >
              <path d="M0 0L10 5L0 10z" fill={width > 3 ? "var(--harbour)" : "var(--ink2)"} />
            </marker>
          ))}
        </defs>
        <circle cx={C} cy={C} r={RADIUS} fill="var(--paper)" stroke="var(--ink2)" />
        <g clipPath="url(#water)">
          {swells.map(({ swell }, i) =>
            [-4, -3, -2, -1, 0, 1, 2, 3, 4].map((k) => {
              const [x, y] = at(swell.from_rad, k * GAP * (i === 0 ? 1 : 1.6));
              return (
                <line
                  key={`${i}${k}`}
                  x1={x - 140 * Math.cos(swell.from_rad)}
                  y1={y - 140 * Math.sin(swell.from_rad)}
                  x2={x + 140 * Math.cos(swell.from_rad)}
                  y2={y + 140 * Math.sin(swell.from_rad)}
                  stroke="var(--steel)"
                  strokeWidth={i === 0 ? 2.4 : 1.2}
                  strokeDasharray={i === 0 ? undefined : "6 5"}
                  opacity="0.7"
                />
              );
            }),
          )}
        </g>
        {rose.map((heading) => {
          const [x1, y1] = at(heading.heading_rad, RADIUS);
          const [x2, y2] = at(
            heading.heading_rad,
            RADIUS - 3 - 15 * (1 - (heading.score - least) / Math.max(most - least, 1e-9)),
          );
          return (
            <line key={heading.heading_rad} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--ink2)" strokeWidth="2" />
          );
        })}
        {other && arrow(other, "var(--ink2)", 2.5, "5 4")}
        {arrow(best, "var(--harbour)", 6)}
        {swells.map(({ swell }, i) => {
          const [x, y] = at(swell.from_rad, RADIUS + 30);
          return (
            <text
              key={i}
              x={x}
              y={y + 4}
              textAnchor="middle"
              fontSize="13"
              fill="var(--ink)"
              className="num"
              stroke="var(--sheet)"
              strokeWidth="4"
              paintOrder="stroke"
            >
              {i === 0 ? "swell" : "2nd"} {formatWaves(swell.height_m, units)}
            </text>
          );
        })}
        {wind_mps > 0.5 && (
          <g>
            <line
              x1={windX}
              y1={windY}
              x2={windX2}
              y2={windY2}
              stroke="var(--ink)"
              strokeWidth="2.5"
              markerEnd="url(#head-2.5)"
            />
            <text
              x={windX}
              y={windY + (windY < C ? -6 : 16)}
              textAnchor="middle"
              fontSize="13"
              fill="var(--ink)"
              className="num"
              stroke="var(--sheet)"
              strokeWidth="4"
              paintOrder="stroke"
            >
              {formatWind({ from_rad: windFrom_rad, speed_mps: wind_mps }, units)}
            </text>
          </g>
        )}
        {[0, 90, 180, 270].map((angle) => {
          const [x, y] = at((angle * Math.PI) / 180, RADIUS + 10);
          return (
            <text key={angle} x={x} y={y + 4} textAnchor="middle" fontSize="12" fill="var(--ink2)">
              {["N", "E", "S", "W"][angle / 90]}
            </text>
          );
        })}
      </svg>
      <figcaption className="sr-only">Ticks inside the ring are longer where our score is better.</figcaption>
    </figure>
  );
}
