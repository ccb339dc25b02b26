// A flight in real time, in a worker of its own: the page sends what the hands do and is told how it stands. No
// formulas here.
import * as Comlink from "comlink";
import type { TerrainGrid } from "@/core/earth/terrain";
import type { HeightSpent, Practice } from "@/core/exercise/height-account";
import { heightSpent } from "@/core/exercise/height-spent";
import type { Outcome } from "@/core/outcome";
import { success } from "@/core/outcome";
import type { Assistance, HandKey } from "@/core/simulation/at-controls";
import {
  type Cockpit,
  type Planned,
  advance,
  beginCockpit,
  failLater,
  failNoMore,
  failNow,
  goBack,
  recorded,
  setControl,
} from "@/core/simulation/cockpit";
import { STEPS_PER_S } from "@/core/simulation/flight";
import { type FlightSetUp, setUpFlight } from "@/core/simulation/flight-set-up";
import { type FlightView, flightView } from "@/core/simulation/flight-view";
import { type LevelStrip, groundOf } from "@/core/simulation/ground";
import { type FlownInstead, type PlannedGlide, flownInstead } from "@/core/simulation/planned-legs";
import { type Recording, replay } from "@/core/simulation/recording";
import { freshTrace, noteTrace } from "@/core/simulation/flight-trace";
import { coastDistance } from "./coast-distance";
import type { FailureKind } from "@/core/simulation/trouble";

/** The clock is looked at so often, ms; what a page that slept has missed is not flown. */
const [LOOK_MS, MOST_BEHIND_S] = [8, 0.25];
/** The page is told so often, ms. */
const TELL_MS = 33;

/** What a flight is made of. */
export interface Flown {
  readonly setUp: FlightSetUp;
  readonly strips: readonly LevelStrip[];
}

let cockpit: Cockpit | null = null;
let terrain: TerrainGrid | null = null;
let running = false;
let rate = 1;
let owed_s = 0;
let last_ms = 0;
let told_ms = 0;
let tell: ((view: FlightView) => void) | null = null;

const begun = ({ setUp, strips }: Flown) => setUpFlight(setUp, groundOf(terrain, setUp.ground_m, strips));

setInterval(() => {
  const now = performance.now();
  const gone_s = (now - last_ms) / 1000;
  last_ms = now;
  if (!cockpit || !running) return;
  owed_s = Math.min(owed_s + gone_s * rate, MOST_BEHIND_S);
  const steps = Math.floor(owed_s * STEPS_PER_S);
  owed_s -= steps / STEPS_PER_S;
  advance(cockpit, steps);
  if (cockpit.flight.ended) running = false;
  if (now - told_ms >= TELL_MS || !running) {
    told_ms = now;
    tell?.(flightView(cockpit));
  }
}, LOOK_MS);

const api = {
  /** The ground that flights are over, on the plane that they are in. */
  useTerrain(grid: TerrainGrid | null): void {
    terrain = grid;
  },

  /** How far each point of the ground is from the coast. */
  coast(): Float32Array | null {
    return terrain && coastDistance(terrain);
  },

  /** Who is told how it stands, thirty times a second while it runs. */
  listen(listener: (view: FlightView) => void): void {
    tell = listener;
  },

  /** Sets a flight up; it stands until it is let go. */
  begin(flown: Flown, assistance: Assistance, planned: readonly Planned[]): Outcome<FlightView> {
    running = false;
    const flight = begun(flown);
    if (!flight.ok) return flight;
    cockpit = beginCockpit(flight.value, assistance, planned);
    advance(cockpit, 1);
    return success(flightView(cockpit));
  },

  go(on: boolean, times: number): void {
    running = on && cockpit !== null && cockpit.flight.ended === null;
    rate = times;
    owed_s = 0;
    last_ms = performance.now();
  },

  press(key: HandKey, down: boolean): void {
    if (down) cockpit?.pressed.add(key);
    else cockpit?.pressed.delete(key);
  },

  release(): void {
    cockpit?.pressed.clear();
    if (cockpit) cockpit.stick = null;
  },

  stick(stick: Cockpit["stick"]): void {
    if (cockpit) cockpit.stick = stick;
  },

  set(control: number, value: number): FlightView | null {
    if (!cockpit) return null;
    setControl(cockpit, control, value);
    return flightView(cockpit);
  },

  assist(assistance: Assistance): void {
    if (!cockpit) return;
    cockpit.assistance = assistance;
    cockpit.sum = cockpit.wanted.pitch_rad;
  },

  fail(kind: FailureKind, engine: 0 | 1 | null): void {
    if (cockpit) failNow(cockpit, kind, engine);
  },

  /** Something is to fail later; with null, nothing more that is to. */
  failLater(planned: Planned | null): readonly Planned[] {
    if (cockpit && planned) failLater(cockpit, planned);
    else if (cockpit) failNoMore(cockpit);
    return cockpit?.planned ?? [];
  },

  /** What is to fail. */
  planned(): readonly Planned[] {
    return cockpit?.planned ?? [];
  },

  back(seconds: number): FlightView | null {
    if (!cockpit) return null;
    goBack(cockpit, seconds);
    return flightView(cockpit);
  },

  /** What was flown: rows of the trace, the recording and the state that it ends in, how often it went back. */
  result(): { rows: number[][]; recording: Recording; state: number[]; backs: number } | null {
    if (!cockpit) return null;
    const state = [...cockpit.flight.state];
    return { rows: cockpit.trace.rows, recording: recorded(cockpit), state, backs: cockpit.backs };
  },

  /** A recording flown again: the rows of its trace. */
  again(flown: Flown, recording: Recording): Outcome<number[][]> {
    const flight = begun(flown);
    if (!flight.ok) return flight;
    const trace = freshTrace();
    replay(flight.value, recording, (step) => {
      noteTrace(trace, flight.value, step);
      return true;
    });
    return success(trace.rows);
  },

  /** A recording flown up to a step, and from there a plan by the modelled pilot. */
  instead(flown: Flown, recording: Recording, step: number, plan: PlannedGlide, aim_m: number): Outcome<FlownInstead> {
    const flight = begun(flown);
    return flight.ok ? success(flownInstead(flight.value, recording, step, plan, aim_m)) : flight;
  },

  /** Where the height of a flight went since a row of its trace. */
  spent(
    setUp: FlightSetUp,
    rows: readonly (readonly number[])[],
    from: number,
    practice: Practice,
  ): Outcome<HeightSpent> {
    return heightSpent(setUp, rows, from, practice);
  },
};

/** What the worker offers. */
export type FlightWorker = typeof api;

Comlink.expose(api);
