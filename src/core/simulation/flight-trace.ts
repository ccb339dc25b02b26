// What a flight is looked at with afterwards, ten times a second: channels of one length, a row of numbers each.
import { G0, RHO0 } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import { type Flight, STEPS_PER_S } from "./flight";
import { heightAbove_m, overGround } from "./pilot";
import { stallSpeed_mps } from "./stall-speed";
import * as S from "./state";

/** A row has these. */
export const TRACE_CHANNELS = [
  "time_s",
  "north_m",
  "east_m",
  "altitude_m",
  "height_m",
  "ias_mps",
  "tas_mps",
  "climb_mps",
  "bank_rad",
  "pitch_rad",
  "heading_rad",
  "beta_rad",
  "ball",
  "loadFactor",
  /**
   * Speed over the stall at this load; of a helicopter rotor speed over its least in flight, of a gyroplane what its
   * rotor carries over the least that keeps it turning.
   */
  "overStall",
  "stickBack",
  "stickRight",
  "rightFoot",
  /** Of a helicopter its collective. */
  "throttle0",
  "throttle1",
  /** Of a helicopter its free turbine: it turns with the rotor while it burns, as 6,000 geared down. */
  "rpm0",
  "rpm1",
  "thrust0_N",
  "thrust1_N",
  "manifold0_Pa",
  "manifold1_Pa",
  "fuelFlow_kgps",
  "flap",
  "gear",
  "touch",
  /** Rotor speed over the nominal one, and power of each engine of a helicopter; nought otherwise. */
  "nr",
  "power0_W",
  "power1_W",
] as const;
/** @see TRACE_CHANNELS */
export type TraceChannel = (typeof TRACE_CHANNELS)[number];

/** Rows one after the other. */
export interface FlightTrace {
  rows: number[][];
}

/** Rows a second. */
export const TRACE_HZ = 10;
const EVERY = STEPS_PER_S / TRACE_HZ;

/** An empty trace. */
export const freshTrace = (): FlightTrace => ({ rows: [] });

/** Takes a row when one is due. @returns whether one was */
export function noteTrace(trace: FlightTrace, flight: Flight, step: number): boolean {
  // Before the first step nothing has been felt yet.
  if (step === 0 || step % EVERY !== 0) return false;
  trace.rows.push(traceRow(flight));
  return true;
}

/** The row of this moment. */
export function traceRow(flight: Flight): number[] {
  const { state: s, controls, seen, air, model } = flight;
  const { bank_rad, pitch_rad, heading_rad } = eulerAngles(s);
  const q = 0.5 * air.density * seen.tas_mps * seen.tas_mps;
  const load = -seen.fz / G0;
  const eas = Math.sqrt((2 * q) / RHO0);
  const engine = (i: number, number: number, scale = 1) =>
    i < model.engines.length ? s[S.ENGINE + i * S.PER_ENGINE + number] * scale : 0;
  const helicopter = model.kind === "rotorcraft" && model.lift.kind === "helicopter";
  return [
    s[S.TIME],
    s[S.NORTH],
    s[S.EAST],
    -s[S.DOWN],
    heightAbove_m(flight),
    s[S.ASI],
    seen.tas_mps,
    overGround(s).climb_mps,
    bank_rad,
    pitch_rad,
    heading_rad,
    seen.beta_rad,
    s[S.BALL],
    load,
    overLeast(flight, eas, load),
    controls[C.STICK_BACK] / C.FULL,
    controls[C.STICK_RIGHT] / C.FULL,
    controls[C.RIGHT_FOOT] / C.FULL,
    controls[helicopter ? C.COLLECTIVE : C.THROTTLE] / C.FULL,
    controls[C.THROTTLE + 1] / C.FULL,
    helicopter ? turbineRpm(s, 0) : engine(0, S.OMEGA, 30 / Math.PI),
    helicopter ? (model.engines.length > 1 ? turbineRpm(s, 1) : 0) : engine(1, S.OMEGA, 30 / Math.PI),
    engine(0, S.THRUST),
    engine(1, S.THRUST),
    engine(0, S.MANIFOLD),
    engine(1, S.MANIFOLD),
    engine(0, S.FUEL_FLOW) + engine(1, S.FUEL_FLOW),
    s[S.FLAP_AT],
    s[S.GEAR_AT],
    seen.touch_N > 0 ? 1 : 0,
    s[S.NR],
    helicopter ? engine(0, S.POWER) : 0,
    helicopter ? engine(1, S.POWER) : 0,
  ];
}

/** Turns of a free turbine's shaft while it drives, 1/min. */
function turbineRpm(s: Float64Array, i: number): number {
  return s[S.ENGINE + i * S.PER_ENGINE + S.BURN] > 0.5 ? s[S.NR] * 6000 : 0;
}

/** Below this a gyroplane's rotor slows down, of its weight. Common practice. */
const LEAST_CARRIED = 0.5;

function overLeast(flight: Flight, eas_mps: number, load: number): number {
  const { model, state: s, forces } = flight;
  if (model.kind === "aeroplane") return eas_mps / stallSpeed_mps(flight, Math.max(load, 0.1));
  if (model.lift.kind === "helicopter") return s[S.NR] / model.lift.aircraft.rotor.nrMinFlight;
  return forces.rotor.thrust_N / (model.mass_kg * G0) / LEAST_CARRIED;
}

/** Forgets rows from a step on. */
export function shortened(trace: FlightTrace, step: number): void {
  trace.rows.length = Math.min(trace.rows.length, Math.max(Math.ceil(step / EVERY) - 1, 0));
}

/** One channel of rows. */
export const channelOf = (rows: readonly (readonly number[])[], channel: TraceChannel): number[] => {
  const at = TRACE_CHANNELS.indexOf(channel);
  return rows.map((row) => row[at]);
};

const DEG = 180 / Math.PI;
/** Of avgas, kg/l. */
const FUEL_KGPL = 0.72;

/** Columns of a flight's log. */
const COLUMNS = [
  "time_s",
  "lat",
  "lon",
  "alt_m",
  "baro_alt_m",
  "ias_kmh",
  "roll_deg",
  "pitch_deg",
  "heading_deg",
  "fuel_flow_lph",
  "acc_z_g",
  "rpm_1",
  "rpm_2",
  "manifold_1_hPa",
  "manifold_2_hPa",
  "throttle_1",
  "throttle_2",
  "flap",
  "rotor_pct",
  "power_1_kW",
  "power_2_kW",
] as const;

/**
 * The flight as a log like any other, in lines of CSV: only numbers, so that nothing needs quoting.
 *
 * @param place - of a point of the plane, degrees
 */
export function traceCsv(
  rows: readonly (readonly number[])[],
  place: (north_m: number, east_m: number) => { latitude_deg: number; longitude_deg: number },
): string {
  const lines = rows.map((row) => {
    const of = (channel: TraceChannel) => row[TRACE_CHANNELS.indexOf(channel)];
    const { latitude_deg, longitude_deg } = place(of("north_m"), of("east_m"));
    return [
      of("time_s").toFixed(2),
      latitude_deg.toFixed(6),
      longitude_deg.toFixed(6),
      of("altitude_m").toFixed(1),
      of("altitude_m").toFixed(0),
      (of("ias_mps") * 3.6).toFixed(1),
      (of("bank_rad") * DEG).toFixed(1),
      (of("pitch_rad") * DEG).toFixed(1),
      (of("heading_rad") * DEG).toFixed(1),
      ((of("fuelFlow_kgps") * 3600) / FUEL_KGPL).toFixed(1),
      of("loadFactor").toFixed(2),
      of("rpm0").toFixed(0),
      of("rpm1").toFixed(0),
      (of("manifold0_Pa") / 100).toFixed(0),
      (of("manifold1_Pa") / 100).toFixed(0),
      of("throttle0").toFixed(2),
      of("throttle1").toFixed(2),
      of("flap").toFixed(1),
      (of("nr") * 100).toFixed(1),
      (of("power0_W") / 1000).toFixed(1),
      (of("power1_W") / 1000).toFixed(1),
    ].join(",");
  });
  return [COLUMNS.join(","), ...lines, ""].join("\n");
}
