// A recorded flight for following: NMEA sentences, or a GPX track with times.
import { type Outcome, failure, success } from "@/core/outcome";
import type { Fix } from "@/core/track/fix";
import { readGpxTrack } from "@/core/track/gpx-track";
import { readNmea } from "@/core/track/nmea";

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
  const nmea = () => {
    const { fixes, faults } = readNmea(text);
    return { fixes, faults: faults.length };
  };
  const recording = /^\s*</.test(text) ? readGpxTrack(text) : nmea();
  if (!recording || recording.fixes.length < 2)
    return failure(
      "no_recording",
      "There is no flight in this file: NMEA sentences or a GPX track with times are read.",
    );
  return success(recording);
}
