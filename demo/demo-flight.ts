// Simulated flights of the demo fleet, for tests, benchmarks and scripts.
import { airColumn } from "@/core/simulation/air-column";
import { type AirColumn } from "@/core/simulation/step-air";
import { type AeroplaneModel, aeroplaneModel } from "@/core/simulation/aeroplane-model";
import * as C from "@/core/simulation/controls";
import { beginFlight } from "@/core/simulation/begin-flight";
import type { Beginning, Flight, Ground } from "@/core/simulation/flight";
import type { FlightSetUp } from "@/core/simulation/flight-set-up";
import { stepFlight } from "@/core/simulation/step-flight";
import { holdAttitude } from "@/core/simulation/hands";
import { freshHands } from "@/core/simulation/wanted";
import * as S from "@/core/simulation/state";
import { demoAircraft } from "./read-demo";

const STILL = () => ({ east_mps: 0, north_mps: 0 });

/** Standard air without wind. */
export const stillAir = (turbulence = 0): AirColumn =>
  airColumn({ qnh_Pa: 101_325, deviation_K: 0 }, STILL, 0, turbulence);

/** Land at sea level. */
export const FLAT: Ground = { height: () => 0, water: () => false };
/** Far below: nothing is touched. */
export const FAR_BELOW: Ground = { height: () => -3000, water: () => false };

/** An aeroplane of the fleet ready to be flown. */
export function demoModel(id: string, mass_kg: number, centreOfGravity = 1) {
  const made = aeroplaneModel(demoAircraft(id), { mass_kg, centreOfGravity });
  if (!made.ok) throw new Error(made.issue.message);
  return made.value;
}

interface Asked extends Partial<Beginning> {
  readonly mass_kg: number;
  readonly centreOfGravity?: number;
  readonly throttle?: number;
  readonly column?: AirColumn;
  readonly ground?: Ground;
}

/** A flight that begins in the air at 500 m, levers as asked. */
export function demoFlight(id: string, asked: Asked): Flight<AeroplaneModel> {
  const model = demoModel(id, asked.mass_kg, asked.centreOfGravity);
  const controls = C.controlsAtRest();
  for (const engine of [0, 1]) controls[C.THROTTLE + engine] = C.kept(asked.throttle ?? 0);
  const beginning: Beginning = {
    north_m: 0,
    east_m: 0,
    altitude_m: 500,
    heading_rad: 0,
    pitch_rad: 0,
    bank_rad: 0,
    tas_mps: 40,
    gamma_rad: 0,
    fuel_kg: 100,
    running: true,
    hovers: false,
    flap: 0,
    gearDown: !model.retractable,
    seed: 1,
    ...asked,
  };
  return beginFlight(model, asked.column ?? stillAir(), asked.ground ?? FAR_BELOW, beginning, controls);
}

/** Stops an engine at once: nothing is left in its lines. */
export function cut(flight: Flight, engine: 0 | 1): void {
  const at = S.ENGINE + engine * S.PER_ENGINE;
  flight.controls[C.MIXTURE + engine] = 0;
  flight.state[at + S.BURN] = 0;
  flight.state[at + S.DRY_S] = 1000;
}

/** Flies on by hand: a speed by the nose, a bank, the ball in the middle. */
export function flyBy(
  flight: Flight,
  for_s: number,
  held: { speed_mps: (time_s: number) => number; bank_rad?: (time_s: number) => number; feet?: boolean; ball?: number },
  each: (time_s: number) => boolean = () => true,
): void {
  const hands = freshHands();
  const wanted = { pitch_rad: 0, bank_rad: 0, ball: held.ball ?? 0 };
  let sum = 0;
  const from_s = flight.state[S.TIME];
  for (let step = 0; step < for_s * 120 && !flight.ended; step += 1) {
    const t = flight.state[S.TIME] - from_s;
    if (step % 12 === 0) {
      const off = flight.state[S.ASI] - held.speed_mps(t);
      sum += off * 0.1;
      wanted.pitch_rad = Math.max(-0.35, Math.min(0.5, 0.02 * off + 0.004 * sum));
    }
    wanted.bank_rad = held.bank_rad?.(t) ?? 0;
    if (step % 2 === 0) holdAttitude(flight, hands, wanted, 1 / 60, 1, held.feet ?? true);
    if (!each(t)) return;
    stepFlight(flight);
  }
}

/** A rotorcraft of the fleet set up in calm standard air, at its usual mass; `begin` begins it otherwise. */
export function rotorcraftSetUp(
  aircraft: FlightSetUp["aircraft"],
  begin: Partial<FlightSetUp["begin"]>,
  more: Partial<FlightSetUp> = {},
): FlightSetUp {
  return {
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    centreOfGravity: 0.5,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    wind: { surface: null, layers: [] },
    ground_m: 0,
    turbulence: 0,
    seed: 1,
    ...more,
    begin: {
      north_m: 0,
      east_m: 0,
      altitude_m: 0,
      heading_rad: 0,
      speed_mps: 0,
      hovers: false,
      flap: 0,
      gearDown: true,
      throttle: 0,
      fuel_kg: 100,
      ...begin,
    },
  };
}

/** Hands that know nothing, by a generator of whole numbers: something else is moved four times a second. */
export function wildHands(
  flight: Flight,
  seconds: number,
  seed: number,
  each: (step: number) => void = () => undefined,
): void {
  let r = seed + 1;
  const next = () => (r = (r * 48_271) % 2_147_483_647) / 2_147_483_647;
  for (let step = 0; step < seconds * 120 && !flight.ended; step += 1) {
    if (step % 30 === 0) {
      const control = Math.floor(next() * C.CONTROLS);
      const value = Math.round((next() * 2 - 1) * C.FULL);
      const isSwitch = control >= C.FUEL && control < C.COLLECTIVE;
      flight.controls[control] = isSwitch ? Math.abs(value) % 4 : value;
    }
    each(step);
    stepFlight(flight);
  }
}
