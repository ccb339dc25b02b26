import Papa from "papaparse";
import type { TrackAnalysis } from "./analyse";
import { trackWorking } from "./track-working";

/** All that was measured, a row a figure: value in SI, twice its standard deviation after it. */
export function measuresCsv(analysis: TrackAnalysis): string {
  const rows = trackWorking(analysis).map(({ figure, symbol, meaning, value, unit, source }) => ({
    figure,
    symbol,
    meaning,
    value: typeof value === "number" ? Number(value.toPrecision(8)) : value,
    unit,
    source,
  }));
  return `${Papa.unparse(rows, { newline: "\n" })}\n`;
}
