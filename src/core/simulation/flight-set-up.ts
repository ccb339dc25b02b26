// How a flight is set up: aircraft, load, air, where and how it begins. It begins in balance, hands off, in the air, or
// on its wheels with the brakes set.
import { z } from "zod";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { windProfile, WindColumn } from "../air/wind";
import { type Outcome, failure, success } from "../outcome";
import { RHO0 } from "../quantities/constants";
import { SituationDocument } from "../situation/situation-document";
import { airColumn } from "./air-column";
import { type AirColumn, readAir, stepAir } from "./step-air";
import { type AeroplaneModel, aeroplaneModel } from "./aeroplane-model";
import { stepForces } from "./body-rates";
import * as C from "./controls";
import { beginFlight } from "./begin-flight";
import { type Flight, type Ground, STEP_S, STEPS_PER_S } from "./flight";
import { stepPower } from "./power-step";
import { beginRotorcraft } from "./rotorcraft-set-up";
import { rotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";
import { trimmed } from "./trimmed";
import { noTrouble } from "./trouble";

/** @see FlightSetUp */
export const FlightSetUp = z.strictObject({
  aircraft: AircraftDocument,
  mass_kg: SituationDocument.shape.mass_kg,
  centreOfGravity: SituationDocument.shape.centreOfGravity,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  /** Of the place: what the wind's heights count from. */
  ground_m: z.number().min(-500).max(9000),
  /** 0 none, 1 what the wind makes over open country. */
  turbulence: z.number().min(0, "Turbulence is 0 to 2.").max(2, "Turbulence is 0 to 2."),
  seed: z.int().min(0).max(2_000_000_000),
  begin: z.strictObject({
    north_m: z.number().min(-200_000).max(200_000),
    east_m: z.number().min(-200_000).max(200_000),
    /** Above the sea; of the ground where it stands. */
    altitude_m: z.number().min(-500).max(6000),
    heading_rad: z.number().min(0).max(6.3),
    /** Equivalent; 0 stands on its wheels or skids, or hovers. */
    speed_mps: z.number().min(0).max(250),
    /** A helicopter without a speed: in the air over its place, its altitude that of its middle. */
    hovers: z.boolean(),
    flap: z.int().min(0).max(7),
    gearDown: z.boolean(),
    /** By engine; all engines run. */
    throttle: z.number().min(0).max(1),
    fuel_kg: z.number().min(0).max(20_000),
  }),
});
/** @see aeroplaneModel */
export type FlightSetUp = z.infer<typeof FlightSetUp>;

/** Engines are at their speed after this, s. */
const RUN_UP_S = 12;

/**
 * A flight as it is set up.
 *
 * @returns failures of the model and the wind; `too_slow` where no balance is found at that speed
 */
export function setUpFlight(setUp: FlightSetUp, ground: Ground): Outcome<Flight> {
  const { aircraft, mass_kg, centreOfGravity, begin } = setUp;
  const wind = windProfile(setUp.wind, setUp.ground_m);
  if (!wind.ok) return wind;
  const column = airColumn(setUp.air, wind.value, setUp.ground_m, setUp.turbulence);
  const controls = C.controlsAtRest();
  // Rounded: a root that differs in its last bit would make another flight of it.
  const tas_mps = Math.fround(begin.speed_mps * Math.sqrt(RHO0 / readAir(column, begin.altitude_m, stepAir()).density));
  const level = { pitch_rad: 0, bank_rad: 0, gamma_rad: 0, running: true, seed: setUp.seed, tas_mps };
  if (!isAeroplane(aircraft)) {
    const model = rotorcraftModel(aircraft, mass_kg);
    if (!model.ok) return model;
    const from = { ...begin, ...level, flap: 0, gearDown: true };
    return beginRotorcraft(model.value, { mass_kg, air: setUp.air, column, ground, from, controls });
  }
  const model = aeroplaneModel(aircraft, { mass_kg, centreOfGravity });
  if (!model.ok) return model;
  const [top] = [aircraft.polar?.flaps.length ?? 1];
  const from = {
    ...begin,
    ...level,
    hovers: false,
    flap: Math.min(begin.flap, top - 1),
    gearDown: begin.gearDown || !model.value.retractable || begin.speed_mps === 0,
  };
  for (const engine of [0, 1]) controls[C.THROTTLE + engine] = C.kept(begin.throttle);
  if (begin.speed_mps === 0) {
    controls[C.BRAKES] = C.FULL;
    return success(beginFlight(model.value, column, ground, from, controls));
  }
  return inBalance(model.value, column, ground, from, controls);
}

function inBalance(
  model: AeroplaneModel,
  column: AirColumn,
  ground: Ground,
  from: Parameters<typeof beginFlight>[3],
  controls: Int8Array,
): Outcome<Flight> {
  const flight = beginFlight(model, column, ground, from, controls);
  const { state, air } = flight;
  const trouble = noTrouble();
  for (let step = 0; step < RUN_UP_S * STEPS_PER_S; step += 1)
    model.engines.forEach((_, i) =>
      stepPower(model, state, i === 0 ? 0 : 1, controls, trouble, air, from.tas_mps, STEP_S),
    );
  // Balance is through the air: the wind carries it all along.
  const forces = stepForces({ ...air, north_mps: 0, east_mps: 0 });
  const flap = model.flaps[from.flap];
  forces.wheelsDown = false;
  forces.deltaCl0 = flap.deltaCl0;
  forces.stall_rad = flap.stall_rad;
  forces.deltaCd = flap.deltaCd + (from.gearDown ? model.gearCd : 0);
  const ofEngines = (number: number) => model.engines.map((_, i) => state[S.ENGINE + i * S.PER_ENGINE + number]);
  const found = trimmed(model, forces, {
    tas_mps: from.tas_mps,
    hold: { slip_rad: 0 },
    thrust_N: ofEngines(S.THRUST),
    torque_Nm: ofEngines(S.TORQUE),
    wake_mps: ofEngines(S.INDUCED),
  });
  if (!found)
    return failure("too_slow", "At this speed it cannot be held in the air: begin faster, or with more flap.", "begin");
  const { bank_rad, pitch_rad, gamma_rad, elevator_rad, aileron_rad, rudder_rad } = found;
  // The engines as they have been run up, the rest as it is in balance.
  const engines = state.slice(S.ENGINE);
  const begun = beginFlight(model, column, ground, { ...from, bank_rad, pitch_rad, gamma_rad }, controls);
  begun.state.set(engines, S.ENGINE);
  const travel = elevator_rad < 0 ? model.elevatorUp_rad : model.elevatorDown_rad;
  controls[C.TRIM] = C.kept(-elevator_rad / travel / C.TRIM_TRAVEL);
  controls[C.STICK_RIGHT] = C.kept(aileron_rad / model.aileronMax_rad);
  controls[C.RIGHT_FOOT] = C.kept(rudder_rad / model.rudderMax_rad);
  return success(begun);
}
