// What the numbers card of a rotorcraft says, in the user's units.
import { M_PER_FT, M_PER_NMI } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import type { RotorNumbers } from "@/core/rotor/rotor-numbers";
import type { Rotorcraft } from "@/core/rotor/rotor-question";
import type { Format } from "@/ui/kit/units/units-store";
import type { NumbersCardContent } from "./NumbersCardPdf";

/** Columns of the table by mass; a gyroplane has nothing to hover on. */
export function massColumns(hovers: boolean): string[] {
  return ["mass", "least sink at", "sink", "farthest at", "ratio", ...(hovers ? ["hovers on one"] : [])];
}

/** One row of it. */
export function massCells(row: RotorNumbers["rows"][number], hovers: boolean, format: Format): string[] {
  return [
    format("mass", row.mass_kg),
    format("speed", row.leastSinkTas_mps),
    format("verticalSpeed", row.leastSink_mps),
    format("speed", row.bestTas_mps),
    `${formatNumber(row.ratio, 1)}:1`,
    ...(hovers ? [row.hoversOn ?? "no"] : []),
  ];
}

/** The card: the row nearest to the mass in large, speeds of the manual, by mass, and what is paid besides. */
export function rotorCard(
  aircraft: Rotorcraft,
  { rows, hovers, recoveries, flare_mps }: RotorNumbers,
  mass_kg: number,
  format: Format,
): NumbersCardContent {
  const speed = (value: number | null) => (value === null ? null : format("speed", value));
  const here = rows.reduce((best, row) =>
    Math.abs(row.mass_kg - mass_kg) < Math.abs(best.mass_kg - mass_kg) ? row : best,
  );
  const lines: readonly (readonly [string, string | null])[] =
    aircraft.category === "helicopter"
      ? [
          ["V_TOSS", speed(aircraft.handbook.vToss_mps)],
          ["V_Y", speed(aircraft.handbook.vy_mps)],
          ["V_NE", speed(aircraft.limits.vne_mps)],
          ...aircraft.engines.ratings.map(
            (rating) =>
              [
                `One engine, ${rating.name}`,
                rating.duration_s === null
                  ? "no limit"
                  : `${formatNumber(rating.duration_s)} s${rating.uses === null ? "" : `, ${formatNumber(rating.uses)} uses`}`,
              ] as const,
          ),
        ]
      : [
          ["Flare from", speed(flare_mps)],
          ["Least level speed", speed(aircraft.handbook.leastLevelSpeed_mps)],
          ["V_NE", speed(aircraft.limits.vne_mps)],
        ];
  const two = hovers.length > 0;
  return {
    title: `${aircraft.name}: numbers`,
    sub: `In the situation’s air, rotor ${aircraft.category === "helicopter" ? "driven by the air, engines" : "free, engine"} stopped; true airspeeds`,
    large: [
      { name: `Farthest at ${format("mass", here.mass_kg)}`, value: format("speed", here.bestTas_mps) },
      {
        name: "Ratio",
        value: `${formatNumber(here.ratio, 1)}:1, ${formatNumber((here.ratio * 1000 * M_PER_FT) / M_PER_NMI, 2)} NM per 1 000 ft`,
      },
    ],
    speeds: lines.flatMap(([name, value]) => (value === null ? [] : [{ name, value }])),
    byMass: { head: massColumns(two), rows: rows.map((row) => massCells(row, two, format)) },
    besides: two
      ? {
          head: "Hovers on one engine, out of ground effect, calm, up to",
          lines: hovers.map(({ rating, mass_kg: most_kg }) => ({
            name: rating,
            value: format("mass", most_kg, "down"),
          })),
        }
      : {
          head: "Height to get to the flare’s speed",
          lines: recoveries.map(({ from_mps, height_m }) => ({
            name: `from ${format("speed", from_mps)}`,
            value: format("height", height_m, "up"),
          })),
        },
  };
}
