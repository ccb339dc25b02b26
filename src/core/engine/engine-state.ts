// An engine as it stands at a moment, and how it goes on in a step of time. One, two or more engines alike; what it
// shows is gauges.ts, what it pulls engine-force.ts. Time constants are common practice, of the right order only.
import { clamp } from "../numeric/clamp";
import type { FaultKind } from "./engine-fault";

/** What an engine takes from one moment to the next. */
export interface EngineState {
  /** What troubles it; null runs well. */
  readonly fault: FaultKind | null;
  /** Since the fault began, s. */
  readonly since_s: number;
  /** Position of its lever, 0 closed, 1 fully open. */
  readonly lever: number;
  /** For how long it has given less than half of its power, s: cylinder heads cool meanwhile. */
  readonly idle_s: number;
}

/** An engine that runs well, lever fully open. */
export const RUNNING: EngineState = { fault: null, since_s: 0, lever: 1, idle_s: 0 };

/** What an engine does, as shares of what one that runs well does. */
export interface EngineMoment {
  /** Power that its lever position gives. */
  readonly power: number;
  /** Opening of the intake: 1 as the lever asks. */
  readonly intake: number;
  readonly fuel: number;
  /** Of the heat that combustion brings to the exhaust; above 1 hotter. */
  readonly heat: number;
  readonly turning: "driven" | "windmilling" | "stopped" | "runaway";
  readonly oil: number;
  /** Gauge that has failed. */
  readonly blind: "exhaust" | "manifold" | null;
}

const WELL: EngineMoment = { power: 1, intake: 1, fuel: 1, heat: 1, turning: "driven", oil: 1, blind: null };

const EXHAUST_S = 4;
const QUICK_S = 1.5;
/** Fuel in the lines lasts so long, s; ice and lean mixture take so long. */
const LINES_S = 15;
const ICE_S = 45;
const LEAN_S = 20;

const falling = (time_s: number, over_s: number) => Math.exp(-Math.max(time_s, 0) / over_s);
const ramp = (time_s: number, over_s: number) => clamp(time_s / over_s, 0, 1);

/**
 * What the engine does now.
 *
 * @param jet - a jet knows no manifold, and gets hotter with part of its compressor gone
 */
export function engineMoment({ fault, since_s }: EngineState, jet: boolean): EngineMoment {
  return fault === null ? WELL : troubled(fault, since_s, jet);
}

/**
 * The engine a step of time later.
 *
 * @param lever - where its lever is by then, 0…1
 * @param step_s - 0 or more
 */
export function engineStep(state: EngineState, lever: number, step_s: number, jet: boolean): EngineState {
  const next = { ...state, lever, since_s: state.fault === null ? 0 : state.since_s + step_s };
  const idle = engineMoment(next, jet).power * lever < 0.5;
  return { ...next, idle_s: idle ? state.idle_s + step_s : 0 };
}

/** The troubled engine by time since the trouble. */
function troubled(fault: FaultKind, t: number, jet: boolean): EngineMoment {
  const stopping = (since: number): EngineMoment => ({
    ...WELL,
    power: falling(since, QUICK_S),
    fuel: falling(since, QUICK_S),
    heat: falling(since, EXHAUST_S),
    turning: "windmilling",
  });
  switch (fault) {
    case "starvation":
      return stopping(t);
    case "selector": {
      if (t < LINES_S - 5) return WELL;
      // It surges before it stops.
      if (t < LINES_S) {
        const surge = 0.75 + 0.25 * Math.cos((t - LINES_S + 5) * Math.PI);
        return { ...WELL, power: surge, fuel: surge };
      }
      return stopping(t - LINES_S);
    }
    case "ignition":
      return { ...stopping(t), fuel: 1 };
    case "mixture": {
      const lean = ramp(t, LEAN_S);
      if (lean < 1)
        return { ...WELL, power: 1 - 0.25 * lean, fuel: 1 - 0.45 * lean, heat: 1 + 0.12 * Math.sin(lean * Math.PI) };
      const out = stopping(t - LEAN_S);
      return { ...out, power: 0.75 * out.power, fuel: 0.55 * out.fuel };
    }
    case "ice": {
      const closing = ramp(t, ICE_S);
      return {
        ...WELL,
        intake: 1 - 0.7 * closing,
        power: 1 - 0.85 * closing,
        fuel: 1 - 0.75 * closing,
        heat: 1 - 0.25 * closing,
      };
    }
    case "seizure":
      return {
        ...WELL,
        power: falling(t, 0.5),
        fuel: falling(t, 0.5),
        heat: falling(t, EXHAUST_S),
        turning: t < 1 ? "driven" : "stopped",
        oil: falling(t, 1),
      };
    case "partial":
      return {
        ...WELL,
        power: 1 - 0.4 * (1 - falling(t, QUICK_S)),
        fuel: 1 - 0.08 * (1 - falling(t, QUICK_S)),
        heat: 1 - (jet ? -0.12 : 0.1) * (1 - falling(t, EXHAUST_S)),
      };
    case "overspeed":
      return { ...WELL, power: 1 - 0.6 * (1 - falling(t, 2)), turning: "runaway", oil: 1 - 0.3 * ramp(t, 20) };
    case "gauge":
      return { ...WELL, blind: jet ? "exhaust" : "manifold" };
    case "stuck":
      return WELL;
  }
}
