// A flight with somebody at its controls: led on by steps, what is to fail, what is kept of it to go back to. Time is
// told to it in steps, and the frame rate of whatever shows it never enters.
import { type Assistance, type AtControls, workHands } from "./at-controls";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import { fail } from "./fail";
import type { Flight } from "./flight";
import { type FlightTrace, freshTrace, noteTrace, shortened } from "./flight-trace";
import { type Hands, type Wanted, freshHands } from "./wanted";
import { heightAbove_m } from "./pilot";
import { type Recorder, type Recording, STEPS_PER_LOOK, note, recorderOf, recordingOf } from "./recording";
import type { RatingsClock } from "../rotor/ratings-clock";
import { ratingsAfter, ratingsSoFar } from "./flown-ratings";
import type { HoverSums } from "./rotor-hands";
import * as S from "./state";
import { stepFlight } from "./step-flight";
import type { FailureKind, WhatFails } from "./trouble";

/** What is to fail, and when: since the beginning, s; above the ground on the way up or down, m; at a speed, m/s. */
export interface Planned extends WhatFails {
  readonly when: { readonly what: "time" | "above" | "below" | "faster" | "slower"; readonly value: number };
}

/** A moment to go back to. */
interface Kept {
  readonly step: number;
  readonly state: Float64Array;
  readonly controls: Int8Array;
  readonly failures: Flight["failures"];
  readonly wanted: Wanted;
  readonly hands: Hands;
  readonly over: HoverSums;
  readonly changes: number;
  readonly failed: number;
  readonly planned: readonly Planned[];
}

/** @see beginCockpit */
export interface Cockpit extends AtControls {
  planned: readonly Planned[];
  readonly recorder: Recorder;
  readonly trace: FlightTrace;
  kept: readonly Kept[];
  /** Went back so often: it goes into the result. */
  backs: number;
  /** Of a helicopter's ratings, by the rows of the trace; null of others. */
  clock: RatingsClock | null;
}

/** A moment is kept each second, for so long. */
const [KEEP_STEPS, KEEP_MOST] = [120, 120];
/** So many are to fail at most. */
const MOST_PLANNED = 50;

/** Somebody takes a flight over. */
export function beginCockpit(flight: Flight, assistance: Assistance, planned: readonly Planned[]): Cockpit {
  const { bank_rad, pitch_rad } = eulerAngles(flight.state);
  return {
    flight,
    assistance,
    pressed: new Set(),
    stick: null,
    step: 0,
    hands: freshHands(),
    wanted: { pitch_rad, bank_rad, ball: 0 },
    sum: 0,
    planned,
    recorder: recorderOf(flight),
    trace: freshTrace(),
    kept: [],
    straight: null,
    backs: 0,
    lifting: { held_s: 0, rest: 0 },
    over: { pitch: 0, bank: 0 },
    clock: ratingsSoFar(flight, []),
  };
}

/** Sets a lever or a switch, as it is kept: −127…127 or a small whole number. */
export function setControl({ flight }: Cockpit, control: number, value: number): void {
  if (control >= 0 && control < C.CONTROLS) flight.controls[control] = Math.max(-127, Math.min(127, Math.round(value)));
}

/** Something fails now. */
export function failNow(cockpit: Cockpit, kind: FailureKind, engine: 0 | 1 | null): void {
  fail(cockpit.flight, kind, engine);
  cockpit.recorder.failures.push({ step: cockpit.step, kind, engine });
}

/** Something more is to fail; whoever goes back meets it too. */
export function failLater(cockpit: Cockpit, more: Planned): void {
  const withMore = (planned: readonly Planned[]) => [...planned.slice(-MOST_PLANNED + 1), more];
  cockpit.planned = withMore(cockpit.planned);
  cockpit.kept = cockpit.kept.map((kept) => ({ ...kept, planned: withMore(kept.planned) }));
}

/** Nothing of what is to fail does, nor after going back. */
export function failNoMore(cockpit: Cockpit): void {
  cockpit.planned = [];
  cockpit.kept = cockpit.kept.map((kept) => ({ ...kept, planned: [] }));
}

/** Leads the flight on by steps; one that has ended stays. */
export function advance(cockpit: Cockpit, steps: number): void {
  const { flight } = cockpit;
  for (let i = 0; i < steps && !flight.ended; i += 1) {
    if (cockpit.step % KEEP_STEPS === 0) keep(cockpit);
    for (const planned of cockpit.planned) if (isDue(planned, cockpit)) failPlanned(cockpit, planned);
    if (cockpit.step % STEPS_PER_LOOK === 0) {
      workHands(cockpit);
      note(cockpit.recorder, flight, cockpit.step);
    }
    if (noteTrace(cockpit.trace, flight, cockpit.step))
      cockpit.clock = ratingsAfter(flight, cockpit.clock, cockpit.trace.rows);
    stepFlight(flight);
    cockpit.step += 1;
  }
}

function isDue({ when }: Planned, { flight }: Cockpit): boolean {
  if (when.what === "time") return flight.state[S.TIME] >= when.value;
  // As it is called out: by the instrument.
  if (when.what === "faster") return flight.state[S.ASI] >= when.value;
  if (when.what === "slower") return flight.state[S.ASI] <= when.value;
  const height_m = heightAbove_m(flight);
  return when.what === "above" ? height_m >= when.value : height_m <= when.value;
}

function failPlanned(cockpit: Cockpit, planned: Planned): void {
  failNow(cockpit, planned.kind, planned.engine);
  cockpit.planned = cockpit.planned.filter((other) => other !== planned);
}

function keep(cockpit: Cockpit): void {
  const { flight, step, hands, over, wanted, recorder, planned } = cockpit;
  const kept: Kept = {
    step,
    state: flight.state.slice(),
    controls: flight.controls.slice(),
    failures: flight.failures,
    wanted: { ...wanted },
    hands: { ...hands },
    over: { ...over },
    changes: recorder.changes.length,
    failed: recorder.failures.length,
    planned,
  };
  cockpit.kept = [...cockpit.kept.slice(-KEEP_MOST + 1), kept];
}

/** Goes back so many seconds, as far as there is something to go back to. */
export function goBack(cockpit: Cockpit, seconds: number): void {
  const wanted = cockpit.step - seconds * 120;
  const to = cockpit.kept.findLast(({ step }) => step <= wanted) ?? cockpit.kept.at(0);
  if (!to) return;
  const { flight, recorder } = cockpit;
  flight.state.set(to.state);
  flight.controls.set(to.controls);
  flight.failures = to.failures;
  flight.ended = null;
  Object.assign(cockpit.wanted, to.wanted);
  Object.assign(cockpit.hands, to.hands);
  Object.assign(cockpit.over, to.over);
  cockpit.step = to.step;
  cockpit.planned = to.planned;
  recorder.changes.length = to.changes;
  recorder.failures.length = to.failed;
  recorder.last.set(to.controls);
  shortened(cockpit.trace, to.step);
  cockpit.clock = ratingsSoFar(flight, cockpit.trace.rows);
  cockpit.kept = cockpit.kept.filter(({ step }) => step < to.step);
  cockpit.backs += 1;
}

/** What was flown so far, to be flown again. */
export const recorded = ({ recorder, step }: Cockpit): Recording => recordingOf(recorder, step);
