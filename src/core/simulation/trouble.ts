// What troubles an engine or the aeroplane in a flight, and what of it the pilot's hands mend. Runs inside a step.
// Times are common practice, of the right order only.
import { z } from "zod";
import { cos, PI } from "../numeric/exact";
import { FUEL, FULL, HEAT, MAGNETOS, MIXTURE, PUMP, THROTTLE } from "./controls";

/** What may fail: an engine by any of its faults, and more of it and of the aeroplane. */
export const FAILURE_KINDS = [
  "starvation",
  "selector",
  "ignition",
  "magneto",
  "mixture",
  "ice",
  "seizure",
  "partial",
  "overspeed",
  "gauge",
  "stuck",
  "oil-leak",
  "fire",
  "pitot",
  "static",
  "vacuum",
  "brakes",
  "gear-unlocked",
  "flap-left",
  "door",
  "exhaustion",
  "contamination",
  "transfer",
  "intermittent",
  "overheat",
  "prop-stuck",
  "electric",
  "hydraulic",
] as const;

/** @see FAILURE_KINDS */
export type FailureKind = (typeof FAILURE_KINDS)[number];

/** What is to fail. */
export const WhatFails = z.strictObject({
  kind: z.enum(FAILURE_KINDS),
  /** 0 left or the only one, 1 right; null for the aeroplane's. */
  engine: z.union([z.literal(0), z.literal(1)]).nullable(),
});
/** @see WhatFails */
export type WhatFails = z.infer<typeof WhatFails>;

/** A failure of a flight. */
export interface Failure {
  readonly kind: FailureKind;
  /** 0 left or the only one, 1 right; null for the aeroplane's. */
  readonly engine: 0 | 1 | null;
  readonly since_s: number;
  /** What it holds: a stuck lever its place, a blocked line its pressure, Pa, or height, m; 0 otherwise. */
  readonly held: number;
}

/** What an engine has left of what it needs, as shares. */
export interface EngineTrouble {
  fuel: number;
  spark: number;
  /** Of the power that all of it would give. */
  power: number;
  /** The intake closes towards this. */
  iceTo: number;
  oil: number;
  seized: boolean;
  governed: boolean;
  /** Where the throttle is stuck, 0…1; −1 where it moves. */
  stuck: number;
  burning: boolean;
  blind: boolean;
  /** Its blades stay where they are. */
  bladesStuck: boolean;
  /** Hotter than it should be, 0…1. */
  hot: number;
}

/** An engine that nothing troubles. */
export const noTrouble = (): EngineTrouble => ({
  fuel: 1,
  spark: 1,
  power: 1,
  iceTo: 0,
  oil: 1,
  seized: false,
  governed: true,
  stuck: -1,
  burning: false,
  blind: false,
  bladesStuck: false,
  hot: 0,
});

const ramp = (t: number, over_s: number) => (t >= over_s ? 1 : t <= 0 ? 0 : t / over_s);

/** Mixture that no longer burns; a fire eats what it is fed and stops the engine; oil lasts so long. */
const [LEAN_S, FIRE_STOPS_S, OIL_S, SEIZES_S] = [20, 40, 60, 180];
/** Water is through after this; a tank is pumped empty after this; a loose contact is out so long, each so often. */
const [WATER_S, PUMPED_S, LOOSE_S, LOOSE_OUT_S] = [8, 25, 4, 1.2];
/** Without its coolant it is hot after this, and seizes after this at more than half of its power. */
const [HOT_S, HOT_SEIZES_S] = [150, 240];
/** A rough engine: this part of its power, and so much up and down. */
const [PARTIAL, ROUGH] = [0.6, 0.05];

/**
 * What the failures of an engine come to now.
 *
 * @param out - written and returned; owned by the caller
 */
export function troubleOf(
  failures: readonly Failure[],
  engine: 0 | 1,
  controls: Int8Array,
  time_s: number,
  out: EngineTrouble,
): EngineTrouble {
  const tank = controls[FUEL + engine];
  const magnetos = controls[MAGNETOS + engine];
  out.fuel = tank === 0 ? 0 : 1;
  // One magneto of two burns a little less.
  out.spark = magnetos === 3 ? 1 : magnetos === 0 ? 0 : 0.96;
  out.power = 1;
  out.iceTo = 0;
  out.oil = 1;
  out.seized = false;
  out.governed = true;
  out.stuck = -1;
  out.burning = false;
  out.blind = false;
  out.bladesStuck = false;
  out.hot = 0;
  if (controls[MIXTURE + engine] < 0.12 * FULL) out.fuel = 0;
  for (const failure of failures)
    if (failure.engine === engine && time_s >= failure.since_s)
      troubles(failure, engine, controls, time_s - failure.since_s, out);
  return out;
}

/** What a failure of the fuel does; the other tank is another. */
function fuelTroubles(kind: FailureKind, tank: number, pumps: boolean, t: number, out: EngineTrouble): void {
  switch (kind) {
    case "exhaustion":
      out.fuel = 0;
      return;
    case "starvation":
    case "selector":
      if (tank === 1) out.fuel = 0;
      return;
    case "transfer":
      // Pumped across and forgotten: the tank in use is empty after a while, without a sign before.
      if (tank === 1 && t > PUMPED_S) out.fuel = 0;
      return;
    case "contamination":
      // Water in the tank in use: it surges, then stops.
      if (tank !== 1) return;
      if (t > WATER_S) out.fuel = 0;
      else out.power *= 0.55 + 0.35 * cos(2 * PI * 1.3 * t);
      return;
    case "mixture": {
      // The engine's pump is weak: the other one helps.
      if (pumps) return;
      const lean = ramp(t, LEAN_S);
      out.power *= 1 - 0.25 * lean;
      if (lean >= 1) out.fuel = 0;
      return;
    }
    default:
      return;
  }
}

/** What one failure does, so long after it began. */
function troubles({ kind, held }: Failure, engine: 0 | 1, controls: Int8Array, t: number, out: EngineTrouble): void {
  const tank = controls[FUEL + engine];
  const magnetos = controls[MAGNETOS + engine];
  switch (kind) {
    case "ignition":
      out.spark = 0;
      return;
    case "magneto":
      // The left one is gone: on it alone nothing burns.
      out.spark = magnetos === 1 ? 0 : Math.min(out.spark, 0.96);
      return;
    case "ice":
      out.iceTo = controls[HEAT + engine] === 1 ? 0 : 1;
      return;
    case "seizure":
      out.seized = true;
      return;
    case "partial":
      out.power *= PARTIAL + ROUGH * cos(2 * PI * 3 * t);
      return;
    case "overspeed":
      out.governed = false;
      return;
    case "oil-leak":
      out.oil = 1 - ramp(t, OIL_S);
      if (t > SEIZES_S) out.seized = true;
      return;
    case "fire":
      // What is no longer fed burns out.
      out.burning = tank !== 0 && controls[MIXTURE + engine] >= 0.12 * FULL;
      if (t > FIRE_STOPS_S) out.fuel = 0;
      return;
    case "stuck":
      out.stuck = held;
      return;
    case "gauge":
      out.blind = true;
      return;
    case "intermittent":
      // A loose contact of the left magneto: on the right one alone it runs.
      if (magnetos !== 2 && t % LOOSE_S < LOOSE_OUT_S) out.spark = 0;
      return;
    case "overheat": {
      // Throttled well back it gets no hotter than it can bear.
      out.hot = ramp(t, HOT_S);
      out.power *= 1 - 0.3 * out.hot;
      if (t > HOT_SEIZES_S && controls[THROTTLE + engine] > 0.5 * FULL) out.seized = true;
      return;
    }
    case "prop-stuck":
      out.bladesStuck = true;
      return;
    default:
      fuelTroubles(kind, tank, controls[PUMP] === 1, t, out);
  }
}

/** Whether the aeroplane has a failure now. */
export const has = (failures: readonly Failure[], kind: FailureKind, time_s: number): boolean =>
  failures.some((failure) => failure.kind === kind && time_s >= failure.since_s);

/** Where the throttle of an engine stands, 0…1. */
export const leverOf = (controls: Int8Array, engine: 0 | 1): number => Math.max(controls[THROTTLE + engine], 0) / FULL;
