"use client";
import type { LandingEnd } from "@/core/landing/landing-end";
import { aimPoint_m } from "@/core/landing/landing-end";
import { type LengthNeeded, SCREEN_M } from "@/core/landing/landing-length";
import { useFormat } from "@/ui/kit/units/units-store";

/** Drawing, px. */
const W = 760;
const H = 116;
const GROUND = 84;
/** Words nearer to the edge than this are written away from it, px. */
const EDGE = 70;
/** Heights are drawn this much larger than lengths. */
const STRETCH = 3;

/** The final from the side: glide to the aim point, the obstacle with 50 ft over it, touchdown and where it stands. */
export function FinalProfile({
  end,
  length,
  finalHeight_m,
  final_m,
}: {
  end: LandingEnd;
  length: LengthNeeded;
  finalHeight_m: number;
  final_m: number;
}) {
  const format = useFormat();
  const aim_m = aimPoint_m(end.length_m);
  const touchdown_m = aim_m + length.flare_m;
  const stop_m = touchdown_m + length.roll_m;
  const from = Math.min(aim_m - final_m, -(end.obstacle?.distance_m ?? 0)) - 60;
  const to = Math.max(end.length_m, stop_m) + 40;
  const scale = (W - 20) / (to - from);
  const x = (along_m: number) => 10 + (along_m - from) * scale;
  const y = (height_m: number) => GROUND - height_m * scale * STRETCH;
  // Over the obstacle at the glide of the final.
  const over_m = end.obstacle
    ? (finalHeight_m * (aim_m + end.obstacle.distance_m)) / final_m - end.obstacle.height_m
    : null;
  const clear = over_m === null || over_m >= SCREEN_M;
  const top = Math.max(y(finalHeight_m), 16);
  return (
    <figure className="border-t border-rule bg-sheet px-4 pt-1" aria-label="The final from the side">
      <svg
        viewBox={`0 0 ${W} ${H}`}
        width="100%"
        role="img"
        aria-label={`Final of ${format("length", final_m)} from ${format("height", finalHeight_m)}; aim ${format("length", aim_m)} in, touchdown about ${format("length", touchdown_m)} in, stands at ${format("length", stop_m)} of ${format("length", end.length_m)}${over_m === null ? "" : `; ${format("height", over_m)} over ${end.obstacle?.name}`}`}
      >
        <line x1="0" x2={W} y1={GROUND} y2={GROUND} stroke="var(--ink2)" />
        <rect x={x(0)} width={end.length_m * scale} y={GROUND} height="6" fill="var(--ink)" />
        <line x1={x(aim_m - final_m)} y1={top} x2={x(aim_m)} y2={GROUND} stroke="var(--harbour)" strokeWidth="2.5" />
        <line
          x1={x(touchdown_m)}
          x2={x(stop_m)}
          y1={GROUND - 4}
          y2={GROUND - 4}
          stroke={stop_m <= end.length_m ? "var(--pine)" : "var(--brick)"}
          strokeWidth="3"
          strokeDasharray="3 4"
        />
        {end.obstacle && (
          <>
            <line
              x1={x(-end.obstacle.distance_m)}
              x2={x(-end.obstacle.distance_m)}
              y1={GROUND}
              y2={y(end.obstacle.height_m)}
              stroke="var(--brick)"
              strokeWidth="4"
            />
            <line
              x1={x(-end.obstacle.distance_m) - 16}
              x2={x(-end.obstacle.distance_m) + 16}
              y1={y(end.obstacle.height_m + SCREEN_M)}
              y2={y(end.obstacle.height_m + SCREEN_M)}
              stroke="var(--ochre)"
              strokeDasharray="4 3"
            />
            <text
              x={x(-end.obstacle.distance_m) - 6}
              y={GROUND + 26}
              textAnchor="end"
              fontSize="12"
              fill={clear ? "var(--ink2)" : "var(--brick)"}
            >
              {end.obstacle.name} {format("height", end.obstacle.height_m)}:{" "}
              {over_m === null
                ? ""
                : over_m >= 0
                  ? `${format("height", over_m)} over it`
                  : `${format("height", -over_m)} under its top`}
            </text>
          </>
        )}
        {[
          { at: aim_m, text: "aim", anchor: "end" as const, dx: -3 },
          { at: touchdown_m, text: "touchdown", anchor: "start" as const, dx: -2 },
          { at: stop_m, text: stop_m <= end.length_m ? "stands" : "runs off", anchor: "start" as const, dx: 4 },
        ].map((mark) => (
          <g key={mark.text}>
            <line
              x1={x(mark.at)}
              x2={x(mark.at)}
              y1={GROUND - 9}
              y2={GROUND + 8}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <text
              x={x(mark.at) + mark.dx}
              y={mark.text === "touchdown" ? GROUND + 26 : GROUND - 13}
              textAnchor={x(mark.at) > W - EDGE ? "end" : mark.anchor}
              fontSize="12"
              fill="var(--ink2)"
            >
              {mark.text}
            </text>
          </g>
        ))}
        <text x={x(aim_m - final_m) - 4} y={top - 5} fontSize="12" fill="var(--ink2)" className="num">
          {format("height", finalHeight_m)}
        </text>
      </svg>
      <figcaption className="sr-only">Heights are drawn three times as large as lengths.</figcaption>
    </figure>
  );
}
