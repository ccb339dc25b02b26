// A drill as it was run: how it began, how height goes meanwhile, and everything that was done, by time. The same run
// gives the same drill again, however often time was looked at.
import {
  type Drill,
  type DrillEvent,
  type Flown,
  type Side,
  afterEvent,
  beginDrill,
  endOfWait_s,
  isOver,
} from "./drill";
import type { Procedure } from "./procedure";

/** Something done, and when; or a height or a rate that an instructor has given. */
export type RunEvent =
  | { readonly time_s: number; readonly event: Exclude<DrillEvent, { readonly type: "passes" }> }
  | { readonly time_s: number; readonly height_m: number }
  | { readonly time_s: number; readonly climb_mps: number };

/** What a run is made of. */
export interface DrillRun {
  readonly procedure: Procedure;
  /** The engine that fails; null where there is one. */
  readonly dead: Side;
  readonly propeller: string;
  /** Above the ground, when it begins. */
  readonly height_m: number;
  readonly speed_mps: number;
  /** Up positive, as it begins. */
  readonly climb_mps: number;
  /** With the other engine gone too; absent or null where there is none, or it is not known. */
  readonly without_mps?: number | null;
  /** What burns goes out when the first wait is over; otherwise it burns on. */
  readonly lampGoes: boolean;
  readonly events: readonly RunEvent[];
}

/** A run at a moment. */
export interface RunState {
  readonly drill: Drill;
  /** Where height or rate were given last: it goes from there. */
  readonly from: { readonly time_s: number; readonly height_m: number; readonly climb_mps: number };
}

/** Moments at which something happens by itself are fewer than steps, but for loops. */
const MOST_MOMENTS = 1000;

/** Whether it is over: by its end, or by the ground. */
export const isRunOver = ({ procedure }: DrillRun, state: RunState): boolean =>
  isOver(procedure, state.drill) || isOnGround(state);

/** The ground has come. */
export const isOnGround = ({ drill, from }: RunState): boolean => from.climb_mps < 0 && drill.flown.height_m <= 0;

const flownAt = ({ speed_mps }: DrillRun, { from }: RunState, time_s: number): Flown => ({
  time_s,
  height_m: Math.max(from.height_m + from.climb_mps * (time_s - from.time_s), 0),
  speed_mps,
});

/** Where height or rate were given last before a time, without flying the drill again. */
export function givenAt({ height_m, climb_mps, events }: DrillRun, time_s: number): RunState["from"] {
  let from = { time_s: 0, height_m, climb_mps };
  for (const event of events) {
    if (event.time_s > time_s || "event" in event) continue;
    const came_m = Math.max(from.height_m + from.climb_mps * (event.time_s - from.time_s), 0);
    from = { ...from, height_m: came_m, ...event };
  }
  return from;
}

/** The beginning. */
export function beginRun(run: DrillRun): RunState {
  const { procedure, dead, propeller, height_m, speed_mps, climb_mps } = run;
  const flown = { time_s: 0, height_m, speed_mps };
  return { drill: beginDrill(procedure, { dead, propeller, flown }), from: { time_s: 0, height_m, climb_mps } };
}

/** The next moment at which something happens by itself: a wait is over, a height is passed, the ground. */
function nextMoment_s(run: DrillRun, { drill, from }: RunState): number {
  const step = run.procedure.steps.at(drill.at);
  const at = (height_m: number) =>
    from.climb_mps < 0 ? from.time_s + (height_m - from.height_m) / from.climb_mps : Infinity;
  const ground_s = at(0);
  if (step?.kind === "wait") return Math.min(endOfWait_s(step, drill), ground_s);
  if (step?.kind === "passing") {
    const value = step.what === "height" ? drill.flown.height_m : drill.flown.speed_mps;
    // It is lower, or slower, already.
    if (value <= step.value) return drill.flown.time_s;
    if (step.what === "height") return Math.min(at(step.value), ground_s);
  }
  return ground_s;
}

/** Time goes on; what is over stays as it is. */
export function runUntil(run: DrillRun, state: RunState, time_s: number): RunState {
  let now = state;
  for (let i = 0; i < MOST_MOMENTS && !isRunOver(run, now); i += 1) {
    const moment_s = Math.max(nextMoment_s(run, now), now.drill.flown.time_s);
    if (moment_s > time_s) return passes(run, now, Math.max(time_s, now.drill.flown.time_s));
    const before = now;
    now = passes(run, now, moment_s);
    // Rounding may leave it just before: time goes on all the same.
    if (now.drill.at === before.drill.at && !isRunOver(run, now)) now = passes(run, now, moment_s + 1e-6);
  }
  return now;
}

function passes(run: DrillRun, state: RunState, time_s: number): RunState {
  const { procedure, dead, lampGoes } = run;
  const before = state.drill;
  let drill = afterEvent(procedure, before, { type: "passes", flown: flownAt(run, state, time_s) }, dead);
  const waited = procedure.steps.at(before.at)?.kind === "wait" && drill.at !== before.at;
  if (waited && lampGoes)
    for (const name of procedure.warnings)
      drill = afterEvent(procedure, drill, { type: "warning", name, on: false }, dead);
  return { ...state, drill };
}

/** What something done leads to, at its time. */
export function afterRunEvent(run: DrillRun, state: RunState, done: RunEvent): RunState {
  const now = runUntil(run, state, done.time_s);
  if (isRunOver(run, now)) return now;
  if ("event" in done) return { ...now, drill: afterEvent(run.procedure, now.drill, done.event, run.dead) };
  const { time_s, height_m } = now.drill.flown;
  const from = { time_s, height_m, climb_mps: now.from.climb_mps };
  const given = "height_m" in done ? { height_m: done.height_m } : { climb_mps: done.climb_mps };
  const moved = { ...now, from: { ...from, ...given } };
  return passes(run, moved, now.drill.flown.time_s);
}

/**
 * The run up to when a step became due first, to be flown anew from there.
 *
 * @returns the run with what was done until then, and its state; null when that step was never due
 */
export function runFrom(run: DrillRun, stepId: string): { run: DrillRun; state: RunState } | null {
  let state = beginRun(run);
  const due = ({ drill }: RunState) => run.procedure.steps.at(drill.at)?.id === stepId;
  for (const [i, event] of run.events.entries()) {
    const before = runUntil(run, state, event.time_s);
    if (due(before)) {
      const events = run.events.slice(0, i);
      const { due_s } = before.drill;
      return { run: { ...run, events }, state: runUntil(run, state, due_s) };
    }
    state = afterRunEvent(run, state, event);
    if (due(state)) return { run: { ...run, events: run.events.slice(0, i + 1) }, state };
  }
  return null;
}

/** The run at a time, from its beginning: all that was done until then. */
export function runAt(run: DrillRun, time_s: number): RunState {
  const done = run.events.filter((event) => event.time_s <= time_s);
  return runUntil(
    run,
    done.reduce((state, event) => afterRunEvent(run, state, event), beginRun(run)),
    time_s,
  );
}
