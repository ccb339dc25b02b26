import { type Outcome, success } from "../outcome";
import { mergedLog } from "./align/merge-logs";
import { readLog, readRecorder } from "./formats/read-log";
import type { KeptLog } from "./kept-log";
import type { FlightLog, ReadProgress } from "./log";

/**
 * The log of a flight, with what its other recorders wrote.
 *
 * @returns failures of reading
 */
export function readKeptLog(
  { text, layout, also }: Pick<KeptLog, "text" | "layout" | "also">,
  progress?: ReadProgress,
): Outcome<FlightLog> {
  return also.reduce<Outcome<FlightLog>>(
    (whole, recorder) => {
      if (!whole.ok) return whole;
      const second = readRecorder(recorder.text, recorder.layout);
      return second.ok ? success(mergedLog(whole.value, second.value, recorder.offset_s)) : second;
    },
    readLog(text, layout, progress),
  );
}
