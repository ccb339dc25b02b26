// A flight as it was flown: what the hands did and when, and what failed. Flown again it is the same flight, bit by
// bit, in the same build.
import { z } from "zod";
import { CONTROLS } from "./controls";
import { fail } from "./fail";
import { type Flight, STEPS_PER_S } from "./flight";
import { stepFlight } from "./step-flight";
import { WhatFails } from "./trouble";

/** Controls are looked at so many steps apart: sixty times a second. */
export const STEPS_PER_LOOK = 2;
/** An hour, and what moves all the time for an hour. */
const [MOST_STEPS, MOST_CHANGES] = [3600 * STEPS_PER_S, 400_000];
const step = z.int().min(0).max(MOST_STEPS);

/** The present version: another one flies another flight. */
export const RECORDING_VERSION = 1;

/** @see Recording */
export const Recording = z.strictObject({
  format: z.literal("utrimax/flight"),
  version: z.literal(RECORDING_VERSION),
  steps: step,
  /** Step, control, value: from that step on. */
  changes: z
    .array(
      z.tuple([
        step,
        z
          .int()
          .min(0)
          .max(CONTROLS - 1),
        z.int().min(-127).max(127),
      ]),
    )
    .max(MOST_CHANGES),
  failures: z.array(z.strictObject({ step, ...WhatFails.shape })).max(50),
});
/** What the hands did, and what failed. */
export type Recording = z.infer<typeof Recording>;

/** A recording under way. */
export interface Recorder {
  readonly changes: [number, number, number][];
  readonly failures: Recording["failures"];
  readonly last: Int8Array;
}

/** A recorder that knows how the controls stood at the beginning. */
export const recorderOf = (flight: Flight): Recorder => ({
  changes: [],
  failures: [],
  last: Int8Array.from(flight.controls),
});

/** Takes note of what has moved, before the step is taken. */
export function note(recorder: Recorder, flight: Flight, at: number): void {
  for (let i = 0; i < CONTROLS; i += 1)
    if (flight.controls[i] !== recorder.last[i]) {
      recorder.last[i] = flight.controls[i];
      if (recorder.changes.length < MOST_CHANGES) recorder.changes.push([at, i, flight.controls[i]]);
    }
}

/** The recording so far. */
export const recordingOf = ({ changes, failures }: Recorder, steps: number): Recording => ({
  format: "utrimax/flight",
  version: RECORDING_VERSION,
  steps,
  changes: [...changes],
  failures: [...failures],
});

/**
 * Flies a recording again from the beginning of the same set-up.
 *
 * @param flight - as it was set up; flown on
 * @param each - told before every step; returns false to break off
 */
export function replay(flight: Flight, recording: Recording, each: (step: number) => boolean = () => true): void {
  let [change, failed] = [0, 0];
  for (let at = 0; at < recording.steps && !flight.ended; at += 1) {
    for (; change < recording.changes.length && recording.changes[change][0] <= at; change += 1) {
      const [, control, value] = recording.changes[change];
      flight.controls[control] = value;
    }
    for (; failed < recording.failures.length && recording.failures[failed].step <= at; failed += 1) {
      const { kind, engine } = recording.failures[failed];
      fail(flight, kind, engine);
    }
    if (!each(at)) return;
    stepFlight(flight);
  }
}
