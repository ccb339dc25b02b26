import Papa from "papaparse";
import type { SeriesResult } from "@/core/series/series-result";
import type { TestCard } from "@/core/series/test-card";
import type { Format } from "@/ui/kit/units/units-store";
import { shownWords } from "./series-words";

const rounded = (value: number | null, digits = 3) => (value === null ? "" : Number(value.toFixed(digits)));

/** Runs of a card as a table: SI, the unit at the end of each column's name. */
export function seriesCsv(card: TestCard, { rows }: SeriesResult, format: Format): string {
  const turning = card.kind === "half-turn";
  const [value, amount] = turning ? ["bank_rad", "height_m"] : ["eas_mps", "sink_mps"];
  return `${Papa.unparse(
    rows.map((row) => ({
      run: row.run.number,
      log: row.run.logName,
      utc: row.run.at_s === null ? "" : new Date(row.run.at_s * 1000).toISOString(),
      [value]: rounded(row.run.value),
      [`${value}_sigma`]: rounded(row.run.valueSigma, 4),
      time_s: rounded(row.run.time_s, 1),
      [`predicted_${amount}`]: rounded(row.predicted),
      [`flown_${amount}`]: rounded(row.run.flown),
      [`flown_${amount}_sigma`]: rounded(row.run.flownSigma),
      [`difference_${amount}`]: rounded(row.difference),
      counts: row.run.leftOut === null && row.predicted !== null ? "yes" : "no",
      shows: shownWords(row, format),
    })),
    { newline: "\n" },
  )}\n`;
}
