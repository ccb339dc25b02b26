import type { CleanLog } from "./clean/clean-log";

/** A flight over the ground: what needs no wind. */
export interface FlownOverGround {
  readonly log: CleanLog;
  readonly time_s: Float64Array;
  /** Along the way from the first fix. */
  readonly east_m: Float64Array;
  readonly north_m: Float64Array;
  /** Smoothed less measured: what to move a fix's position by. */
  readonly eastOff_m: Float64Array;
  readonly northOff_m: Float64Array;
  readonly altitude_m: Float64Array;
  readonly climb_mps: Float64Array;
  readonly groundEast_mps: Float64Array;
  readonly groundNorth_mps: Float64Array;
  readonly groundSpeed_mps: Float64Array;
  readonly has: {
    readonly pressure: boolean;
    readonly height: boolean;
    readonly airspeed: boolean;
    readonly attitude: boolean;
    readonly engine: boolean;
    readonly accelerometer: boolean;
    readonly doppler: boolean;
  };
}
