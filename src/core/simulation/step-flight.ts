// A flight a step later: controls in, motion, engines, instruments, and how it ends. The same controls give the same
// flight, bit by bit. Runs inside a step: functions of numeric/exact only.
import { addGusts, readAir } from "./step-air";
import type { AeroplaneModel } from "./aeroplane-model";
import { aeroplaneEnding } from "./aeroplane-ending";
import { bodyRates } from "./body-rates";
import * as C from "./controls";
import { type Flight, STEP_S } from "./flight";
import { stepInstruments } from "./instruments";
import { stepPower } from "./power-step";
import { stepRotor } from "./rotor-step";
import { rotorcraftEnding } from "./rotorcraft-ending";
import { rotorcraftRates } from "./rotorcraft-rates";
import * as S from "./state";
import { has, troubleOf } from "./trouble";

const FLAP_S = 1.5;
const GEAR_S = 6;
const LEFT_OF_BRAKES = 0.3;
const MIDDLE = new Float64Array(S.MOTION);
const RATES = new Float64Array(S.MOTION);

/** Moves a flight on by one step; one that has ended stays as it is. */
export function stepFlight(flight: Flight): void {
  if (flight.ended) return;
  const { model, state: s, controls, forces, air, seen } = flight;
  const time_s = s[S.TIME];
  readAir(flight.column, -s[S.DOWN], air);
  const { north_m, east_m } = { north_m: s[S.NORTH], east_m: s[S.EAST] };
  forces.ground_m = flight.ground.height(north_m, east_m);
  const height_m = -s[S.DOWN] - forces.ground_m;
  // The slope matters to what touches only.
  const low = height_m < model.span_m;
  forces.slopeNorth = low ? (flight.ground.height(north_m + 5, east_m) - forces.ground_m) / 5 : 0;
  forces.slopeEast = low ? (flight.ground.height(north_m, east_m + 5) - forces.ground_m) / 5 : 0;
  addGusts(flight.column, s, height_m, s[S.TAS], model.span_m, STEP_S, air);
  for (let i = 0; i < model.engines.length; i += 1) {
    const trouble = troubleOf(flight.failures, i === 0 ? 0 : 1, controls, time_s, flight.trouble[i]);
    if (s[S.FUEL_KG] <= 0) trouble.fuel = 0;
  }
  if (model.kind === "aeroplane") {
    surfaces(flight, model, time_s);
    pulls(flight, model);
  } else {
    forces.brakes = has(flight.failures, "brakes", time_s) ? 0 : Math.max(controls[C.BRAKES], 0) / C.FULL;
    forces.rudder_rad = (controls[C.RIGHT_FOOT] / C.FULL) * model.rudderMax_rad;
    stepRotor(flight, model, STEP_S);
  }
  let burnt = 0;
  for (let i = 0; i < model.engines.length; i += 1) burnt += s[S.ENGINE + i * S.PER_ENGINE + S.FUEL_FLOW];
  s[S.FUEL_KG] = Math.max(0, s[S.FUEL_KG] - burnt * STEP_S);

  // Midpoint rule.
  rates(flight, s);
  for (let i = 0; i < S.MOTION; i += 1) MIDDLE[i] = s[i] + 0.5 * STEP_S * RATES[i];
  rates(flight, MIDDLE);
  for (let i = 0; i < S.MOTION; i += 1) s[i] += STEP_S * RATES[i];
  const length = Math.sqrt(s[S.Q0] * s[S.Q0] + s[S.Q1] * s[S.Q1] + s[S.Q2] * s[S.Q2] + s[S.Q3] * s[S.Q3]);
  for (const i of [S.Q0, S.Q1, S.Q2, S.Q3]) s[i] /= length;
  if (model.kind === "aeroplane")
    for (const i of [S.ATTACHED_LEFT, S.ATTACHED_RIGHT]) s[i] = s[i] < 0 ? 0 : s[i] > 1 ? 1 : s[i];
  s[S.TAS] = seen.tas_mps;
  s[S.TIME] = time_s + STEP_S;
  stepInstruments(flight, RATES[S.R], STEP_S);
  flight.ended = model.kind === "aeroplane" ? aeroplaneEnding(flight, model) : rotorcraftEnding(flight, model);
}

/** Rates of the motion at numbers of it, written to RATES. */
function rates({ model, forces, seen }: Flight, y: Float64Array): void {
  if (model.kind === "aeroplane") bodyRates(model, y, forces, RATES, seen);
  else rotorcraftRates(model, y, forces, RATES, seen);
}

/** Engines with their propellers or spools, and what they do to the body. */
function pulls({ state: s, controls, forces, air, trouble }: Flight, model: AeroplaneModel): void {
  for (let i = 0; i < model.engines.length; i += 1) {
    const at = S.ENGINE + i * S.PER_ENGINE;
    stepPower(model, s, i === 0 ? 0 : 1, controls, trouble[i], air, s[S.TAS], STEP_S);
    forces.thrust_N[i] = s[at + S.THRUST];
    forces.torque_Nm[i] = s[at + S.TORQUE];
    forces.wake_mps[i] = s[at + S.INDUCED];
    forces.omega_radps[i] = s[at + S.OMEGA];
  }
}

/** Where the surfaces stand by the controls, and what flap and gear do meanwhile. */
function surfaces({ state: s, controls, forces, failures }: Flight, model: AeroplaneModel, time_s: number): void {
  const back = (controls[C.STICK_BACK] + C.TRIM_TRAVEL * controls[C.TRIM]) / C.FULL;
  forces.elevator_rad =
    back > 0 ? -Math.min(back, 1) * model.elevatorUp_rad : Math.min(-back, 1) * model.elevatorDown_rad;
  forces.aileron_rad = (controls[C.STICK_RIGHT] / C.FULL) * model.aileronMax_rad;
  forces.rudder_rad = (controls[C.RIGHT_FOOT] / C.FULL) * model.rudderMax_rad;
  // Without hydraulics what is left of the brakes is little, and the gear stays where it is; without current, the flap.
  const pressed = has(failures, "hydraulic", time_s) ? LEFT_OF_BRAKES : 1;
  forces.brakes = has(failures, "brakes", time_s) ? 0 : (pressed * Math.max(controls[C.BRAKES], 0)) / C.FULL;

  const wanted = Math.max(0, Math.min(controls[C.FLAP], model.flaps.length - 1));
  if (!has(failures, "electric", time_s))
    s[S.FLAP_AT] += Math.max(-STEP_S / FLAP_S, Math.min(STEP_S / FLAP_S, wanted - s[S.FLAP_AT]));
  const gear = model.retractable ? (controls[C.GEAR] === 1 ? 1 : 0) : 1;
  if (!has(failures, "hydraulic", time_s))
    s[S.GEAR_AT] += Math.max(-STEP_S / GEAR_S, Math.min(STEP_S / GEAR_S, gear - s[S.GEAR_AT]));

  const i = Math.min(Math.floor(s[S.FLAP_AT]), model.flaps.length - 1);
  const low = model.flaps[i];
  const high = model.flaps[Math.min(i + 1, model.flaps.length - 1)];
  const t = s[S.FLAP_AT] - i;
  forces.deltaCl0 = low.deltaCl0 + t * (high.deltaCl0 - low.deltaCl0);
  forces.stall_rad = low.stall_rad + t * (high.stall_rad - low.stall_rad);
  forces.deltaCd =
    low.deltaCd +
    t * (high.deltaCd - low.deltaCd) +
    s[S.GEAR_AT] * model.gearCd +
    (has(failures, "door", time_s) ? 0.004 : 0);
  // The left flap stays up: half of the lift is missing on one side.
  forces.flapLeft = has(failures, "flap-left", time_s) ? forces.deltaCl0 : 0;
  forces.wheelsDown = s[S.GEAR_AT] > 0.99;
}
