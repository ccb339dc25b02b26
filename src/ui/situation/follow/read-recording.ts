// A recorded flight for following: any log that is read.
import { type Outcome, failure, success } from "@/core/outcome";
import type { Fix } from "@/core/track/formats/fix";
import { fixesOf } from "@/core/track/formats/log-fixes";
import { readLog } from "@/core/track/formats/read-log";

/** Largest recording, bytes. */
export const MOST_BYTES = 30 * 1024 * 1024;

/** A recording that can be followed. */
export interface Recording {
  readonly fixes: readonly Fix[];
  /** Lines or points that could not be read. */
  readonly faults: number;
}

/**
 * Reads a recording.
 *
 * @returns `no_recording` when there are not two positions with times in it
 */
export function readRecording(text: string): Outcome<Recording> {
  const log = readLog(text);
  const fixes = log.ok ? fixesOf(log.value) : [];
  if (!log.ok || fixes.length < 2)
    return failure(
      "no_recording",
      "There is no flight in this file: IGC, GPX and NMEA with times, and tables of positions are read.",
    );
  return success({ fixes, faults: log.value.faultCount });
}
