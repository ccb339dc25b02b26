// How a flight stands, for whatever shows it: data only, made anew each time it is told.
import { G0 } from "../quantities/constants";
import type { RatingsClock } from "../rotor/ratings-clock";
import { eulerAngles } from "./attitude";
import type { Cockpit } from "./cockpit";
import type { Ending } from "./flight";
import { heightAbove_m, overGround } from "./pilot";
import { stallSpeed_mps } from "./stall-speed";
import * as S from "./state";
import type { FailureKind } from "./trouble";

/** One engine's gauges, as they read. */
export interface EngineView {
  readonly rpm: number;
  /** Share of full speed; null of what turns a propeller. */
  readonly spool: number | null;
  /** On the shaft of a helicopter's engine; null of others. */
  readonly power_W: number | null;
  readonly manifold_Pa: number;
  readonly fuelFlow_kgps: number;
  readonly exhaust_K: number;
  readonly head_K: number;
  readonly oil_Pa: number;
  readonly oil_K: number;
  readonly thrust_N: number;
  readonly blade_rad: number;
  readonly burns: boolean;
  readonly fire: boolean;
}

/** @see flightView */
export interface FlightView {
  readonly time_s: number;
  readonly north_m: number;
  readonly east_m: number;
  readonly altitude_m: number;
  /** Above the ground, of the wheels. */
  readonly height_m: number;
  readonly bank_rad: number;
  readonly pitch_rad: number;
  readonly heading_rad: number;
  readonly track_rad: number;
  readonly groundSpeed_mps: number;
  readonly climb_mps: number;
  readonly tas_mps: number;
  readonly beta_rad: number;
  /** As the instruments read. */
  readonly ias_mps: number;
  readonly indicatedAltitude_m: number;
  readonly vsi_mps: number;
  readonly ball: number;
  readonly gyroBank_rad: number;
  readonly gyroPitch_rad: number;
  readonly yawRate_radps: number;
  readonly loadFactor: number;
  /** Stalling speed at this load and flap, equivalent. */
  readonly stall_mps: number;
  readonly stallWarning: boolean;
  readonly onGround: boolean;
  readonly flapAt: number;
  readonly gearAt: number;
  readonly fuel_kg: number;
  readonly controls: readonly number[];
  readonly engines: readonly EngineView[];
  readonly failed: readonly { readonly kind: FailureKind; readonly engine: 0 | 1 | null; readonly since_s: number }[];
  readonly ended: Ending | null;
  readonly backs: number;
  /** Null of an aeroplane. */
  readonly rotor: RotorView | null;
}

/** How a rotor stands. */
export interface RotorView {
  /** Of its nominal speed, and in turns a minute. */
  readonly nr: number;
  readonly rpm: number;
  /** Of its weight that it carries. */
  readonly carries: number;
  /** Ratings of one engine by what was drawn from the one that gave most; null of a gyroplane. */
  readonly clock: RatingsClock | null;
}

/** The warning comes so long before the wing stalls, rad. */
const WARNS_RAD = (4.5 * Math.PI) / 180;

/** @see FlightView */
export function flightView({ flight, backs, clock }: Cockpit): FlightView {
  const { state: s, seen, model, forces, controls } = flight;
  const euler = eulerAngles(s);
  const ground = overGround(s);
  const load = -seen.fz / G0;
  const onGround = seen.touch_N > 0;
  const turbine = model.kind === "aeroplane" ? model.jet !== null : model.lift.kind === "helicopter";
  return {
    time_s: s[S.TIME],
    north_m: s[S.NORTH],
    east_m: s[S.EAST],
    altitude_m: -s[S.DOWN],
    height_m: Math.max(heightAbove_m(flight) - model.hullHeight_m, 0),
    ...euler,
    track_rad: Math.atan2(ground.east_mps, ground.north_mps),
    groundSpeed_mps: Math.hypot(ground.north_mps, ground.east_mps),
    climb_mps: ground.climb_mps,
    tas_mps: seen.tas_mps,
    beta_rad: seen.beta_rad,
    ias_mps: s[S.ASI],
    indicatedAltitude_m: s[S.ALTIMETER],
    vsi_mps: s[S.VSI],
    ball: s[S.BALL],
    gyroBank_rad: s[S.GYRO_BANK],
    gyroPitch_rad: s[S.GYRO_PITCH],
    yawRate_radps: s[S.R],
    loadFactor: load,
    stall_mps: stallSpeed_mps(flight, Math.max(load, 0.3)),
    stallWarning:
      model.kind === "aeroplane" && !onGround && seen.tas_mps > 10 && seen.alpha_rad > forces.stall_rad - WARNS_RAD,
    onGround,
    flapAt: s[S.FLAP_AT],
    gearAt: s[S.GEAR_AT],
    fuel_kg: s[S.FUEL_KG],
    controls: [...controls],
    engines: model.engines.map((_, i) => {
      const at = S.ENGINE + i * S.PER_ENGINE;
      return {
        rpm: (s[at + S.OMEGA] * 30) / Math.PI,
        spool: turbine ? s[at + S.OMEGA] : null,
        power_W: model.kind === "rotorcraft" && turbine ? s[at + S.POWER] : null,
        manifold_Pa: s[at + S.MANIFOLD],
        fuelFlow_kgps: s[at + S.FUEL_FLOW],
        exhaust_K: s[at + S.EXHAUST],
        head_K: s[at + S.HEAD],
        oil_Pa: s[at + S.OIL],
        oil_K: s[at + S.OIL_HEAT],
        thrust_N: s[at + S.THRUST],
        blade_rad: s[at + S.BLADE],
        burns: s[at + S.BURN] > 0.5,
        fire: flight.trouble[i].burning,
      };
    }),
    failed: flight.failures.map(({ kind, engine, since_s }) => ({ kind, engine, since_s })),
    ended: flight.ended,
    backs,
    rotor: rotorView(flight, clock),
  };
}

function rotorView({ model, state: s, forces }: Cockpit["flight"], clock: RatingsClock | null): RotorView | null {
  if (model.kind !== "rotorcraft") return null;
  return {
    nr: s[S.NR],
    rpm: (s[S.NR] * model.nominal_radps * 30) / Math.PI,
    carries: forces.rotor.thrust_N / (model.mass_kg * G0),
    clock,
  };
}
