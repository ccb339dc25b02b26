// Speed and sink points as pasted from a table: one point a line, speed and sink, with or without a heading.
import Papa from "papaparse";
import { fromSi, toSi, UNITS, unitOf } from "../quantities/units";

/** Points that could be read, and what was wrong with the other lines. */
export interface ReadPoints {
  readonly points: readonly { readonly eas_mps: number; readonly sink_mps: number }[];
  readonly faults: readonly string[];
}

/** Most points of one fit. */
const MOST = 60;

/**
 * Reads points.
 *
 * @param text - lines of speed and sink, separated by comma, semicolon or tab; a heading may name units, as
 *   `speed_kt,sink_fpm`
 * @param units - of columns whose heading names none
 * @returns good lines are kept, faults are listed by line
 */
export function readGlidePoints(
  text: string,
  units: { readonly speed: string; readonly verticalSpeed: string },
): ReadPoints {
  // Where the comma is the decimal sign, tables are separated by semicolons or tabs.
  const delimiter = text.includes(";") ? ";" : text.includes("\t") ? "\t" : ",";
  const rows = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: false }).data;
  const faults: string[] = [];
  const points: { eas_mps: number; sink_mps: number }[] = [];
  let [speedUnit, sinkUnit] = [units.speed, units.verticalSpeed];
  const number = (cell: string | undefined) => Number((cell ?? "").trim().replace(/^[−–]/, "-").replace(",", "."));
  rows.forEach((row, i) => {
    const cells = row.map((cell) => cell.trim()).filter((cell, index) => cell !== "" || index < 2);
    if (cells.every((cell) => cell === "")) return;
    const [speed, sink] = [number(cells[0]), number(cells[1])];
    if (i === 0 && Number.isNaN(speed) && Number.isNaN(sink)) {
      speedUnit = unitIn("speed", cells[0]) ?? speedUnit;
      sinkUnit = unitIn("verticalSpeed", cells[1]) ?? sinkUnit;
      return;
    }
    const [eas_mps, sink_mps] = [toSi("speed", speedUnit, speed), toSi("verticalSpeed", sinkUnit, Math.abs(sink))];
    if (!(Number.isFinite(speed) && Number.isFinite(sink) && cells[1] !== ""))
      faults.push(`Line ${i + 1}: “${row.join(",").slice(0, 40)}” is not a speed and a sink.`);
    else if (!(eas_mps >= 5 && eas_mps <= 340))
      faults.push(`Line ${i + 1}: ${speed} ${unitOf("speed", speedUnit).label} is no gliding speed.`);
    else if (!(sink_mps > 0 && sink_mps < eas_mps))
      faults.push(
        `Line ${i + 1}: a sink of ${sink} ${unitOf("verticalSpeed", sinkUnit).label} at ${speed} ${unitOf("speed", speedUnit).label} is no glide.`,
      );
    else if (points.length >= MOST) faults.push(`Line ${i + 1}: more than ${MOST} points.`);
    else points.push({ eas_mps, sink_mps });
  });
  return { points, faults };
}

/** The unit that a heading names. */
function unitIn(kind: "speed" | "verticalSpeed", heading: string | undefined): string | null {
  const words = (heading ?? "").toLowerCase().split(/[^a-z/]+/);
  return (
    Object.entries(UNITS[kind]).find(
      ([name, unit]) => words.includes(name.toLowerCase()) || words.includes(unit.label.toLowerCase()),
    )?.[0] ?? null
  );
}

/** Points as text in the user's units, with a heading. */
export function writeGlidePoints(
  points: ReadPoints["points"],
  units: { readonly speed: string; readonly verticalSpeed: string },
): string {
  const heading = `speed_${units.speed},sink_${units.verticalSpeed}`;
  return [
    heading,
    ...points.map(
      (point) =>
        `${fromSi("speed", units.speed, point.eas_mps).toFixed(1)},${fromSi("verticalSpeed", units.verticalSpeed, point.sink_mps).toFixed(units.verticalSpeed === "mps" ? 2 : 0)}`,
    ),
  ].join("\n");
}
