// A flight under way as data, that goes on a hundred and twenty times a second.
import type { AeroplaneModel } from "./aeroplane-model";
import type { RotorcraftModel } from "./rotorcraft-model";
import type { AirColumn, StepAir } from "./step-air";
import type { Felt, StepForces } from "./body-rates";
import type { EngineTrouble, Failure } from "./trouble";

/** Steps a second. */
export const STEPS_PER_S = 120;
/** Time of a step. */
export const STEP_S = 1 / STEPS_PER_S;

/** The ground under a flight: reading it takes no more than + − × ÷. */
export interface Ground {
  /** Above the sea, m. */
  height(north_m: number, east_m: number): number;
  water(north_m: number, east_m: number): boolean;
}

/** Ends in the air: a rotor too slow, or one that carried nothing, among them. */
export const BY_ITSELF = ["departed", "too-fast", "overload", "rotor-slow", "unloaded"] as const;

/** Why a flight goes on no more. */
export type Ending =
  | { readonly kind: (typeof BY_ITSELF)[number] }
  | { readonly kind: "crash" | "water"; readonly sink_mps: number; readonly speed_mps: number };

/** What flies. */
export type FlightModel = AeroplaneModel | RotorcraftModel;

/** A flight under way; its state, controls and failures are all there is to it. */
export interface Flight<M extends FlightModel = FlightModel> {
  readonly model: M;
  readonly column: AirColumn;
  readonly ground: Ground;
  readonly state: Float64Array;
  readonly controls: Int8Array;
  failures: readonly Failure[];
  ended: Ending | null;
  readonly seen: Felt;
  readonly trouble: readonly EngineTrouble[];
  readonly air: StepAir;
  readonly forces: StepForces;
}

/** How a flight begins. */
export interface Beginning {
  readonly north_m: number;
  readonly east_m: number;
  /** Above the sea; of the wheels where it stands on them. */
  readonly altitude_m: number;
  readonly heading_rad: number;
  readonly pitch_rad: number;
  readonly bank_rad: number;
  /** Through the air, and its path; 0 stands on its wheels, or hovers. */
  readonly tas_mps: number;
  readonly gamma_rad: number;
  readonly fuel_kg: number;
  /** Engines run at the governed speed; otherwise they stand. */
  readonly running: boolean;
  readonly hovers: boolean;
  readonly flap: number;
  readonly gearDown: boolean;
  readonly seed: number;
}
