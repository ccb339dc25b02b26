// The drill that is done while it is flown: it begins with the failure, goes on by the flight's own clock and height,
// and takes levers that are moved for what they are in it.
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { doneByHand, movedTo } from "@/core/exercise/flown-drill";
import type { Side } from "@/core/procedure/drill";
import {
  type DrillRun,
  type RunEvent,
  type RunState,
  afterRunEvent,
  beginRun,
  isRunOver,
  runAt,
  runUntil,
} from "@/core/procedure/drill-run";
import type { Actor, Procedure } from "@/core/procedure/procedure";
import type { FlightView } from "@/core/simulation/flight-view";
import { confirming } from "../drill/confirming";
import type { HandEvent } from "../drill/drill-store";

/** A drill under way in a flight. */
export interface FlownDrill {
  /** Of the flight's time. */
  readonly began_s: number;
  readonly run: DrillRun;
  readonly state: RunState;
  /** Controls whose places are known to the drill. */
  readonly controls: readonly number[];
  /** Height and rate were given last. */
  readonly given_s: number;
}

/** What a drill is done with. */
export interface DrillOfFlight {
  readonly aircraft: AircraftDocument;
  readonly procedure: Procedure;
  readonly speed_mps: number;
  /** Something is to fail: then it begins with that, otherwise with the flight. */
  readonly waits: boolean;
}

/** Time is told to it so often, height and rate so often, s; events leave room for hands. */
const [TOLD_S, GIVEN_S, MOST_EVENTS] = [0.25, 10, 900];

/** The drill as the flight goes on; null before it begins. */
export function leadDrill(of: DrillOfFlight, drill: FlownDrill | null, view: FlightView): FlownDrill | null {
  const { aircraft, procedure, waits } = of;
  const failed = view.failed.at(0);
  if (!drill) return failed || !waits ? begun(of, view, failed?.since_s ?? 0) : null;
  const time_s = view.time_s - drill.began_s;
  const { flown } = drill.state.drill;
  if (time_s < flown.time_s - TOLD_S) return wentBack(drill, view, time_s);
  const step = procedure.steps.at(drill.state.drill.at);
  const over = isRunOver(drill.run, drill.state);
  const done = over ? [] : doneByHand(aircraft, procedure, step, drill.run.dead, drill.controls, view.controls);
  if (done.length === 0 && time_s < flown.time_s + TOLD_S) return drill;
  const given = time_s > drill.given_s + GIVEN_S || done.length > 0 ? heightNow(view, time_s) : [];
  const hands: RunEvent[] = done.map((set) => ({
    time_s,
    event: { type: "set", actor: step?.actor ?? "single", ...set },
  }));
  return { ...after(drill, [...given, ...hands], time_s), controls: view.controls };
}

const heightNow = ({ height_m, climb_mps }: FlightView, time_s: number): RunEvent[] => [
  { time_s, height_m },
  { time_s, climb_mps: Math.max(-100, Math.min(climb_mps, 100)) },
];

function begun({ procedure, aircraft, speed_mps }: DrillOfFlight, view: FlightView, began_s: number): FlownDrill {
  const engine = view.failed.at(0)?.engine ?? null;
  const ofTwo = aircraft.engines.count === 2 && procedure.controls.some(({ perEngine }) => perEngine);
  const dead: Side = ofTwo ? (engine === 1 ? "right" : "left") : null;
  const { height_m, climb_mps } = view;
  const run: DrillRun = {
    procedure,
    dead,
    propeller: "windmilling",
    height_m,
    speed_mps,
    climb_mps: Math.max(-100, Math.min(climb_mps, 100)),
    lampGoes: false,
    events: [],
  };
  return { began_s, run, state: beginRun(run), controls: view.controls, given_s: 0 };
}

/** The flight stands at an earlier time: what was done after it was not done. */
function wentBack(drill: FlownDrill, view: FlightView, time_s: number): FlownDrill | null {
  if (time_s < 0) return null;
  const run = { ...drill.run, events: drill.run.events.filter((event) => event.time_s <= time_s) };
  return {
    ...drill,
    run,
    state: runAt(run, time_s),
    controls: view.controls,
    given_s: Math.min(drill.given_s, time_s),
  };
}

function after(drill: FlownDrill, events: readonly RunEvent[], time_s: number): FlownDrill {
  const taken = drill.run.events.length < MOST_EVENTS ? events : [];
  const run = { ...drill.run, events: [...drill.run.events, ...taken] };
  const state = taken.reduce((now, event) => afterRunEvent(run, now, event), drill.state);
  const given = taken.some((event) => "height_m" in event);
  return { ...drill, run, state: runUntil(run, state, time_s), given_s: given ? time_s : drill.given_s };
}

/**
 * Something said, named, answered or set at the panel: the drill after it, and what moves in the aeroplane with it.
 *
 * @param by - whose hand it was; null for one who does what is everybody's
 */
export function actedInDrill(
  aircraft: AircraftDocument,
  drill: FlownDrill,
  view: FlightView,
  event: HandEvent,
  by: Actor | null = null,
): { readonly drill: FlownDrill; readonly moved: { readonly control: number; readonly value: number } | null } {
  const step = drill.run.procedure.steps.at(drill.state.drill.at);
  if (!step || isRunOver(drill.run, drill.state)) return { drill, moved: null };
  const time_s = view.time_s - drill.began_s;
  const actor = by ?? (event.type === "name" ? confirming(step) : step.actor);
  const done: RunEvent = { time_s, event: event.type === "back" ? event : { ...event, actor } };
  const moved = event.type === "set" ? movedTo(aircraft, event) : null;
  const controls = drill.controls.map((value, at) => (at === moved?.control ? moved.value : value));
  return { drill: { ...after(drill, [...heightNow(view, time_s), done], time_s), controls }, moved };
}
