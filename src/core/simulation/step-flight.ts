// A flight a step later: controls in, motion, engines, instruments, and how it ends. The same controls give the same
// flight, bit by bit. Runs inside a step: functions of numeric/exact only.
import { G0 } from "../quantities/constants";
import { addGusts, readAir } from "./step-air";
import { attitude } from "./attitude";
import { bodyRates } from "./body-rates";
import * as C from "./controls";
import { type Ending, type Flight, STEP_S } from "./flight";
import { stepInstruments } from "./instruments";
import { stepPower } from "./power-step";
import * as S from "./state";
import { has, troubleOf } from "./trouble";

const FLAP_S = 1.5;
const GEAR_S = 6;
/** Beyond these it ends: of the never-exceed speed, of the limit load, of the weight on one point. */
const [TOO_FAST, OVERLOAD, CRASH] = [1.1, 1.5, 8];
/** So high above its wheels it flies, m. */
const FLIES_M = 2;
/** Departed: separated and turning for half a turn, or faster, or far beyond the stall. */
const [SEPARATED, TURNING_RADPS, GONE_RADPS, ROLLS_RADPS, YAWS_RADPS, BEYOND_RAD] = [
  0.5,
  0.6,
  0.4,
  (150 * Math.PI) / 180,
  (100 * Math.PI) / 180,
  (43 * Math.PI) / 180,
];

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

  surfaces(flight, time_s);
  let burnt = 0;
  for (let i = 0; i < model.engines.length; i += 1) {
    const engine = i === 0 ? 0 : 1;
    const at = S.ENGINE + i * S.PER_ENGINE;
    const trouble = troubleOf(flight.failures, engine, controls, time_s, flight.trouble[i]);
    if (s[S.FUEL_KG] <= 0) trouble.fuel = 0;
    stepPower(model, s, engine, controls, trouble, air, s[S.TAS], STEP_S);
    forces.thrust_N[i] = s[at + S.THRUST];
    forces.torque_Nm[i] = s[at + S.TORQUE];
    forces.wake_mps[i] = s[at + S.INDUCED];
    forces.omega_radps[i] = s[at + S.OMEGA];
    burnt += s[at + S.FUEL_FLOW];
  }
  s[S.FUEL_KG] = Math.max(0, s[S.FUEL_KG] - burnt * STEP_S);

  // Midpoint rule.
  bodyRates(model, s, forces, RATES, seen);
  for (let i = 0; i < S.MOTION; i += 1) MIDDLE[i] = s[i] + 0.5 * STEP_S * RATES[i];
  bodyRates(model, MIDDLE, forces, RATES, seen);
  for (let i = 0; i < S.MOTION; i += 1) s[i] += STEP_S * RATES[i];
  const length = Math.sqrt(s[S.Q0] * s[S.Q0] + s[S.Q1] * s[S.Q1] + s[S.Q2] * s[S.Q2] + s[S.Q3] * s[S.Q3]);
  for (const i of [S.Q0, S.Q1, S.Q2, S.Q3]) s[i] /= length;
  for (const i of [S.ATTACHED_LEFT, S.ATTACHED_RIGHT]) s[i] = s[i] < 0 ? 0 : s[i] > 1 ? 1 : s[i];
  s[S.TAS] = seen.tas_mps;
  s[S.TIME] = time_s + STEP_S;
  stepInstruments(flight, RATES[S.R], STEP_S);
  flight.ended = ending(flight);
}

/** Where the surfaces stand by the controls, and what flap and gear do meanwhile. */
function surfaces({ model, state: s, controls, forces, failures }: Flight, time_s: number): void {
  const back = (controls[C.STICK_BACK] + C.TRIM_TRAVEL * controls[C.TRIM]) / C.FULL;
  forces.elevator_rad =
    back > 0 ? -Math.min(back, 1) * model.elevatorUp_rad : Math.min(-back, 1) * model.elevatorDown_rad;
  forces.aileron_rad = (controls[C.STICK_RIGHT] / C.FULL) * model.aileronMax_rad;
  forces.rudder_rad = (controls[C.RIGHT_FOOT] / C.FULL) * model.rudderMax_rad;
  forces.brakes = has(failures, "brakes", time_s) ? 0 : Math.max(controls[C.BRAKES], 0) / C.FULL;

  const wanted = Math.max(0, Math.min(controls[C.FLAP], model.flaps.length - 1));
  s[S.FLAP_AT] += Math.max(-STEP_S / FLAP_S, Math.min(STEP_S / FLAP_S, wanted - s[S.FLAP_AT]));
  const gear = model.retractable ? (controls[C.GEAR] === 1 ? 1 : 0) : 1;
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

function ending({ model, state: s, seen, ground, failures, controls, forces }: Flight): Ending | null {
  const weight = model.mass_kg * G0;
  const turn = Math.sqrt(s[S.P] * s[S.P] + s[S.R] * s[S.R]);
  const separated = 1 - (s[S.ATTACHED_LEFT] + s[S.ATTACHED_RIGHT]) / 2;
  const airborne = seen.touch_N === 0;
  // Near the ground, blown about on its wheels, it has departed from nothing.
  const flies = airborne && -s[S.DOWN] - forces.ground_m > model.hullHeight_m + FLIES_M;
  s[S.STALLED_TURN] = flies && separated > SEPARATED && turn > TURNING_RADPS ? s[S.STALLED_TURN] + turn * STEP_S : 0;
  const gone = separated > GONE_RADPS && (Math.abs(s[S.P]) > ROLLS_RADPS || Math.abs(s[S.R]) > YAWS_RADPS);
  if (flies && seen.tas_mps > 8 && (s[S.STALLED_TURN] > 3.1416 || gone || Math.abs(seen.alpha_rad) > BEYOND_RAD))
    return { kind: "departed" };
  if (s[S.ASI] > TOO_FAST * model.vne_mps) return { kind: "too-fast" };
  if (flies && Math.abs(seen.fz) > OVERLOAD * model.loadFactor * G0) return { kind: "overload" };
  if (airborne) return null;
  const [row0, row1, row2] = attitude(s);
  const sink_mps = row0[2] * s[S.U] + row1[2] * s[S.V] + row2[2] * s[S.W];
  const touch = { sink_mps, speed_mps: Math.sqrt(s[S.U] * s[S.U] + s[S.V] * s[S.V]) };
  if (ground.water(s[S.NORTH], s[S.EAST])) return { kind: "water", ...touch };
  const unlocked = has(failures, "gear-unlocked", s[S.TIME]) && controls[C.GEAR] === 1;
  // A wheel that did not lock gives way under half the weight: it goes on on its belly.
  if (unlocked && seen.touch_N > 0.5 * weight) s[S.GEAR_AT] = 0;
  if (seen.touch_N > CRASH * weight) return { kind: "crash", ...touch };
  return null;
}
