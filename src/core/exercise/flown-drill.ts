// A drill that is done while it is flown: which lever or switch of the simulator a procedure's control is, and what a
// hand that moves one has done of the drill.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import type { KeptFlight } from "../simulation/kept-flight";
import type { DrillRun } from "../procedure/drill-run";
import { type RunResult, runResult } from "../procedure/run-document";
import { AT, type Row } from "./glide-rows";
import type { DrillEvent, Side } from "../procedure/drill";
import type { Control, Procedure, Step } from "../procedure/procedure";
import * as C from "../simulation/controls";

/** A lever or a switch with what its places are called in procedures. */
interface Mover {
  /** Of the first engine, or of all. */
  readonly control: number;
  readonly perEngine: boolean;
  readonly places: Readonly<Record<string, number>>;
}

const lever = (control: number, places: Mover["places"]): Mover => ({ control, perEngine: true, places });
/** A lever counts as at its end so near to it. */
const NEAR = 8;

function moversOf(aircraft: AircraftDocument): Readonly<Record<string, Mover>> {
  const jet = aircraft.engines.kind === "jet";
  const polar = isAeroplane(aircraft) ? aircraft.polar : null;
  const flap = {
    up: 0,
    "take-off": polar?.takeOffFlap ?? 0,
    approach: polar?.takeOffFlap ?? 0,
    landing: polar?.landingFlap ?? 0,
  };
  return {
    fuel: jet
      ? lever(C.MIXTURE, { on: C.FULL, "cut off": 0 })
      : lever(C.FUEL, { on: 1, left: 1, right: 2, other: 2, off: 0 }),
    mixture: lever(C.MIXTURE, { rich: C.FULL, "cut off": 0 }),
    condition: lever(C.MIXTURE, { run: C.FULL, "cut off": 0 }),
    throttle: lever(C.THROTTLE, { closed: 0, idle: 0, open: C.FULL, full: C.FULL }),
    thrust: lever(C.THROTTLE, { closed: 0 }),
    power: lever(C.THROTTLE, { idle: 0, full: C.FULL }),
    propeller: lever(C.PROPELLER, { feather: 0, fine: C.FULL }),
    heat: lever(C.HEAT, { cold: 0, hot: 1 }),
    starter: lever(C.STARTER, { off: 0, turning: 1 }),
    ...(jet ? {} : { ignition: lever(C.MAGNETOS, { off: 0, left: 1, right: 2, both: 3, on: 3 }) }),
    pump: { control: C.PUMP, perEngine: false, places: { off: 0, on: 1 } },
    gear: { control: C.GEAR, perEngine: false, places: { up: 0, down: 1 } },
    flap: { control: C.FLAP, perEngine: false, places: flap },
  };
}

/**
 * The simulator's control and value that a position of a procedure's control is.
 *
 * @returns null for what the simulator does not have, or a position that is no place of its own ("cruise")
 */
export function movedTo(
  aircraft: AircraftDocument,
  { control: id, side, position }: Pick<Extract<DrillEvent, { type: "set" }>, "control" | "side" | "position">,
): { readonly control: number; readonly value: number } | null {
  const mover = moversOf(aircraft)[id];
  const value = mover?.places[position];
  if (value === undefined) return null;
  return { control: mover.control + (mover.perEngine && side === "right" ? 1 : 0), value };
}

/** Where a control of a procedure stands by the simulator's; null where it stands at none of its positions. */
function standsAt({ positions }: Control, { places, control }: Mover, value: number): string | null {
  const near = control < C.FUEL ? NEAR : 0;
  return (
    positions.find((position) => places[position] !== undefined && Math.abs(places[position] - value) <= near) ?? null
  );
}

/**
 * What hands that moved the simulator's controls have done of a drill: what is due, or what cannot be taken back. Any
 * other lever is moved to fly.
 *
 * @param step - that is due; undefined when none is
 * @param dead - the engine that failed, of two
 */
export function doneByHand(
  aircraft: AircraftDocument,
  procedure: Procedure,
  step: Step | undefined,
  dead: Side,
  before: ArrayLike<number>,
  now: ArrayLike<number>,
): readonly Pick<Extract<DrillEvent, { type: "set" }>, "control" | "side" | "position">[] {
  const movers = moversOf(aircraft);
  return procedure.controls.flatMap((control) => {
    const mover = movers[control.id];
    if (!mover) return [];
    return [0, 1].flatMap((engine) => {
      const at = mover.control + engine;
      if (engine === 1 && !(mover.perEngine && control.perEngine)) return [];
      const position = standsAt(control, mover, now[at]);
      if (position === null || standsAt(control, mover, before[at]) === position) return [];
      const due = step?.kind === "set" && step.control === control.id;
      if (!due && !control.final.includes(position)) return [];
      // One switch for both engines is the one of the engine that is meant.
      const side: Side = !control.perEngine ? null : mover.perEngine ? (engine === 0 ? "left" : "right") : dead;
      return [{ control: control.id, side, position }];
    });
  });
}

/** What came of the drill that was done with a flight; null where there was none. */
export function drillResult({ drill }: Pick<KeptFlight, "drill">, rows: readonly Row[]): RunResult | null {
  const last = rows.at(-1);
  if (!drill || !last) return null;
  return runResult(drill.run as DrillRun, Math.max(last[AT.time] - drill.began_s, 0));
}
