// Results in words, as a file, and what a drill's last runs say.
import Papa from "papaparse";
import type { ListedRun } from "@/server/runs";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";

/** What came of a run, short. */
export function resultWords({ over, ground, wrong, slow, back }: ListedRun["result"]): string {
  if (ground) return "the ground came first";
  const parts = [
    wrong > 0 ? `${formatNumber(wrong)} wrong` : "",
    slow > 0 ? `${formatNumber(slow)} late` : "",
    back > 0 ? `${formatNumber(back)} back` : "",
  ].filter(Boolean);
  const how = parts.length === 0 ? "in order, in time" : parts.join(", ");
  return over ? how : `${how}, not ended`;
}

/** Clean: to its end, with nothing wrong. */
export const isClean = ({ over, ground, wrong }: ListedRun["result"]): boolean => over && !ground && wrong === 0;

/** Runs as a table in a file. */
export const resultsCsv = (runs: readonly ListedRun[]): string =>
  Papa.unparse(
    runs.map(({ beganAt, procedure, aircraft, role, result }) => ({
      began: beganAt,
      procedure,
      aircraft,
      role,
      // As numbers: a text that begins with a minus would be kept from being taken for a formula.
      took_s: Number(result.took_s.toFixed(1)),
      wrong: result.wrong,
      late: result.slow,
      back: result.back,
      lost_m: Math.round(result.lost_m),
      ground: result.ground,
      ended: result.over,
    })),
    { escapeFormulae: true },
  );

/** Whether they are runs of one drill, to be laid beside one another. */
export const isOneDrill = (runs: readonly ListedRun[]): boolean =>
  new Set(runs.map(({ procedureId }) => procedureId)).size === 1;

/** What the runs of a drill say together, the latest first. */
export function trendWords(runs: readonly ListedRun[]): { lead: string; rest: string } {
  const [last, before] = runs;
  if (!last) return { lead: "No run yet.", rest: "A drill that is over is kept here." };
  const clean = runs.filter(({ result }) => isClean(result)).length;
  const lead = `${formatNumber(clean)} of ${formatNumber(runs.length)} clean.`;
  if (!isOneDrill(runs)) return { lead, rest: "Choose a drill to see how it goes from run to run." };
  if (!before) return { lead, rest: `The last took ${formatClock(last.result.took_s)}.` };
  const change_s = last.result.took_s - before.result.took_s;
  const faster =
    Math.abs(change_s) < 1
      ? "as long as"
      : `${formatNumber(Math.abs(change_s))} s ${change_s < 0 ? "less" : "more"} than`;
  return { lead, rest: `The last took ${formatClock(last.result.took_s)}, ${faster} the one before.` };
}
