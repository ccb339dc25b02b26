// A rotorcraft at the beginning of a flight: in level flight, in the hover, or on its skids or wheels with the rotor
// turning. Every number that the steady core gives is rounded to single precision.
import type { AirMass } from "../air/altimetry";
import { type Outcome, failure, success } from "../outcome";
import { bisect } from "../numeric/bisect";
import { G0, RHO0 } from "../quantities/constants";
import { bladeThrust_N } from "../rotor/blade-thrust";
import { groundEffect } from "../rotor/ground-effect";
import { inducedOf } from "../rotor/gyro-disc";
import { gyroCase } from "../rotor/gyro-rotor";
import { helicopterCase } from "../rotor/helicopter-case";
import { levelPull_N } from "../rotor/rudder-authority";
import { fullPower_W, slipstreamOf } from "../rotor/slipstream";
import { type SteadyPower, steadyPower } from "../rotor/steady-power";
import { beginFlight } from "./begin-flight";
import * as C from "./controls";
import type { Beginning, Flight, Ground } from "./flight";
import { PITCH_HIGH, PITCH_LOW, TAIL_FOOT, TAIL_MIDDLE, collectiveOf } from "./rotor-step";
import type { RotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";
import { type AirColumn, readAir, stepAir } from "./step-air";

/** A gyroplane's rotor is brought to this before a take-off, of its nominal speed. Common practice. */
const PREROTATED = 0.6;
/** A throttle and a tip's speed are searched so finely. */
const HALVINGS = 24;

/** What a flight begins with: its load, its air, how it is set up. */
interface Begins {
  readonly mass_kg: number;
  readonly air: AirMass;
  readonly column: AirColumn;
  readonly ground: Ground;
  readonly from: Beginning;
  readonly controls: Int8Array;
}

/** @returns failures of the steady core; `too_slow` where a gyroplane does not fly level at its speed */
export function beginRotorcraft(model: RotorcraftModel, begins: Begins): Outcome<Flight> {
  const { from, controls } = begins;
  for (const engine of [0, 1]) controls[C.THROTTLE + engine] = model.lift.kind === "helicopter" ? C.FULL : 0;
  if (from.tas_mps === 0 && !from.hovers) return success(standing(model, begins));
  return model.lift.kind === "helicopter" ? helicopterAloft(model, begins) : gyroAloft(model, begins);
}

function standing(model: RotorcraftModel, { column, ground, from, controls }: Begins): Flight {
  const flight = beginFlight(model, column, ground, from, controls);
  controls[C.BRAKES] = C.FULL;
  turning(flight, model.lift.kind === "helicopter" ? 1 : PREROTATED);
  return flight;
}

/** The rotor turns and carries, its disc where the mast has it. */
function inPlace(flight: Flight, model: RotorcraftModel, nr: number, inflow_mps: number): void {
  turning(flight, nr);
  flight.state[S.TILT_FORWARD] = model.neutral_rad;
  flight.forces.rotor.tiltForward_rad = model.neutral_rad;
  flight.state[S.INFLOW] = inflow_mps;
}

/** What a wake is, near the ground less than away from it, m/s. */
function groundedInflow(
  { rotor }: SteadyPower,
  skids_m: number | null,
  { hub_m, hullHeight_m, radius_m }: RotorcraftModel,
) {
  const ground = skids_m === null ? 1 : groundEffect(skids_m + hullHeight_m + hub_m, radius_m);
  return Math.fround(rotor.induced_mps * (1 - (1 - ground) * rotor.share));
}

/** Rotor and engines run. */
function turning({ state, model }: Flight, nr: number): void {
  state[S.NR] = nr;
  for (let i = 0; i < model.engines.length; i += 1) {
    const at = S.ENGINE + i * S.PER_ENGINE;
    state[at + S.BURN] = 1;
    state[at + S.OIL] = 420_000;
    state[at + S.OIL_HEAT] = 358;
    state[at + S.HEAD] = 463;
    state[at + S.EXHAUST] = 800;
    state[at + S.OMEGA] = model.kind === "rotorcraft" && model.lift.kind === "helicopter" ? 0.8 : 120;
  }
}

/** The wind over a place: how fast, and from where to the nose, right positive. */
function windMet(column: AirColumn, { altitude_m, heading_rad }: Beginning): { tas_mps: number; from_rad: number } {
  const { north_mps, east_mps } = readAir(column, altitude_m, stepAir());
  const tas_mps = Math.fround(Math.hypot(north_mps, east_mps));
  return { tas_mps, from_rad: Math.fround(Math.atan2(-east_mps, -north_mps) - heading_rad) };
}

function helicopterAloft(
  model: RotorcraftModel,
  { mass_kg, air, column, ground, from, controls }: Begins,
): Outcome<Flight> {
  if (model.lift.kind !== "helicopter") throw new Error("helicopterAloft: expected a helicopter");
  const made = helicopterCase({ aircraft: model.lift.aircraft, mass_kg, altitude_m: from.altitude_m, air });
  if (!made.ok) return made;
  const over_m = from.altitude_m - ground.height(from.north_m, from.east_m) - model.hullHeight_m;
  const skids_m = over_m < 3 * model.span_m ? Math.max(over_m, 0) : null;
  // Over one place the wind is what it flies in: the disc leans against it.
  const { tas_mps, from_rad } = from.hovers ? windMet(column, from) : { tas_mps: from.tas_mps, from_rad: 0 };
  const steady = steadyPower(made.value, { tas_mps, climb_mps: 0, skids_m, nr: 1 });
  const torque_Nm = steady.shaft_W / model.nominal_radps;
  const flight = beginFlight(
    model,
    column,
    ground,
    {
      ...from,
      pitch_rad: Math.fround(model.neutral_rad - steady.tilt_rad * Math.cos(from_rad)),
      // The tail rotor pushes to the right: the disc leans against it.
      bank_rad: Math.fround(steady.tilt_rad * Math.sin(from_rad) - torque_Nm / model.tailArm_m / (mass_kg * G0)),
    },
    controls,
  );
  const { state } = flight;
  inPlace(flight, model, 1, groundedInflow(steady, skids_m, model));
  for (let i = 0; i < model.engines.length; i += 1)
    state[S.ENGINE + i * S.PER_ENGINE + S.POWER] = Math.fround(steady.shaft_W / model.engines.length);
  const disc = {
    through_mps: tas_mps * Math.sin(steady.tilt_rad),
    inPlane_mps: tas_mps * Math.cos(steady.tilt_rad),
  };
  const { low: pitch_rad } = bisect(
    (pitch) =>
      bladeThrust_N(made.value, pitch, disc, state[S.INFLOW], model.nominal_radps * model.radius_m) < steady.thrust_N,
    PITCH_LOW,
    PITCH_HIGH,
    HALVINGS,
  );
  controls[C.COLLECTIVE] = C.kept(collectiveOf(pitch_rad));
  controls[C.RIGHT_FOOT] = C.kept((TAIL_MIDDLE - torque_Nm / model.tailMost_Nm) / TAIL_FOOT);
  return success(flight);
}

function gyroAloft(model: RotorcraftModel, { mass_kg, air, column, ground, from, controls }: Begins): Outcome<Flight> {
  if (model.lift.kind !== "gyroplane") throw new Error("gyroAloft: expected a gyroplane");
  const { aircraft } = model.lift;
  const made = gyroCase({ aircraft, mass_kg, altitude_m: from.altitude_m, air });
  if (!made.ok) return made;
  const gyro = made.value;
  const { tas_mps } = from;
  const pull_N = from.hovers ? null : levelPull_N(gyro, tas_mps);
  if (pull_N === null) return failure("too_slow", "At this speed the rotor does not carry it: begin faster.", "begin");
  const { body } = aircraft;
  const idle_N = body.idleThrust_N * (1 - (tas_mps / body.idleNone_mps) ** 2);
  const pulls = (lever: number) =>
    slipstreamOf(gyro, tas_mps, lever * fullPower_W(gyro)).thrust_N + (1 - lever) * idle_N;
  const lever = bisect((setting) => pulls(setting) < pull_N, 0, 1, HALVINGS).high;
  // What the rotor holds back is what the body's own drag leaves of the pull.
  const drag_N = 0.5 * gyro.density * tas_mps * tas_mps * body.flatPlateAlong_m2;
  const back_rad = Math.atan2(Math.max(Math.min(pulls(lever), pull_N) - drag_N, 0), gyro.weight_N);
  const disc = { through_mps: -tas_mps * Math.sin(back_rad), inPlane_mps: tas_mps * Math.cos(back_rad) };
  const { induced_mps } = inducedOf(gyro, disc, gyro.weight_N);
  const tip_mps = bisect(
    (tip) => bladeThrust_N(gyro, aircraft.rotor.pitch_rad, disc, induced_mps, tip) < gyro.weight_N,
    30,
    320,
    HALVINGS,
  ).high;
  controls[C.THROTTLE] = C.kept(lever);
  const pitch_rad = Math.fround(back_rad + model.neutral_rad);
  const flight = beginFlight(model, column, ground, { ...from, pitch_rad }, controls);
  inPlace(flight, model, Math.fround(tip_mps / model.radius_m / model.nominal_radps), Math.fround(induced_mps));
  const { state } = flight;
  state[S.ENGINE + S.OMEGA] = Math.fround(
    (aircraft.engines.speed_rpm * Math.PI * (0.35 + 0.65 * Math.sqrt(lever))) / 30,
  );
  state[S.ASI] = Math.fround(tas_mps * Math.sqrt(gyro.density / RHO0));
  return success(flight);
}
