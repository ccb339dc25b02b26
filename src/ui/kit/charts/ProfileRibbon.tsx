import type { Stretch } from "@/core/route/gap";

/** Height of the ribbon, px. */
const HIGH = 15;

/** Which place holds which part of the flight. */
export function ProfileRibbon({
  stretches,
  places,
  none,
  x,
  top,
}: {
  stretches: readonly Stretch[];
  places: readonly { readonly name: string }[];
  none: string;
  x: (distance_m: number) => number;
  top: number;
}) {
  return stretches.map(({ place, from_m, to_m }) => {
    const [left, wide] = [x(from_m), x(to_m) - x(from_m)];
    const name = place < 0 ? none : places[place].name;
    return (
      <g key={from_m}>
        <rect
          x={left}
          y={top}
          width={wide}
          height={HIGH}
          fill={place < 0 ? "url(#hatch-gap)" : "var(--sheet)"}
          stroke={place < 0 ? "var(--brick)" : "var(--pine)"}
        />
        {wide > name.length * 6.4 + 6 && (
          <text
            x={left + wide / 2}
            y={top + 11.5}
            fontSize="12"
            fontWeight={place < 0 ? 700 : 500}
            textAnchor="middle"
            fill={place < 0 ? "var(--brick)" : "var(--ink)"}
            stroke="var(--sheet)"
            strokeWidth={place < 0 ? 5 : 0}
            paintOrder="stroke"
          >
            {name}
          </text>
        )}
      </g>
    );
  });
}
