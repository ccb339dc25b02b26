// A flight at its beginning. Made of numeric/exact only.
import { cos, sin } from "../numeric/exact";
import type { AeroplaneModel } from "./aeroplane-model";
import { type AirColumn, readAir, seedGusts, stepAir } from "./step-air";
import { attitude } from "./attitude";
import { felt, stepForces } from "./body-rates";
import * as C from "./controls";
import type { Beginning, Flight, FlightModel, Ground } from "./flight";
import * as S from "./state";
import { noTrouble } from "./trouble";

/** A flight at its beginning, the engines as its controls have them. */
export function beginFlight<M extends FlightModel>(
  model: M,
  column: AirColumn,
  ground: Ground,
  from: Beginning,
  controls: Int8Array,
): Flight<M> {
  const state = new Float64Array(S.LENGTH);
  const air = readAir(column, from.altitude_m, stepAir());
  const ch = cos(from.heading_rad / 2);
  const sh = sin(from.heading_rad / 2);
  const cp = cos(from.pitch_rad / 2);
  const sp = sin(from.pitch_rad / 2);
  const cb = cos(from.bank_rad / 2);
  const sb = sin(from.bank_rad / 2);
  state[S.Q0] = cb * cp * ch + sb * sp * sh;
  state[S.Q1] = sb * cp * ch - cb * sp * sh;
  state[S.Q2] = cb * sp * ch + sb * cp * sh;
  state[S.Q3] = cb * cp * sh - sb * sp * ch;
  state[S.NORTH] = from.north_m;
  state[S.EAST] = from.east_m;
  state[S.DOWN] = -from.altitude_m - (from.tas_mps > 0 || from.hovers ? 0 : model.hullHeight_m);
  // Through the air along the path, in earth axes, with the wind on top.
  const flies = from.tas_mps > 0;
  const wind = flies ? air : { north_mps: 0, east_mps: 0 };
  const flat = from.tas_mps * cos(from.gamma_rad);
  const earth = [
    flat * cos(from.heading_rad) + wind.north_mps,
    flat * sin(from.heading_rad) + wind.east_mps,
    -from.tas_mps * sin(from.gamma_rad),
  ];
  const turned = attitude(state);
  for (const [i, row] of turned.entries()) state[S.U + i] = row[0] * earth[0] + row[1] * earth[1] + row[2] * earth[2];
  state[S.TAS] = from.tas_mps;
  state[S.FLAP_AT] = from.flap;
  state[S.GEAR_AT] = from.gearDown ? 1 : 0;
  state[S.FUEL_KG] = from.fuel_kg;
  state[S.ASI] = from.tas_mps * Math.sqrt(air.density / 1.225);
  state[S.ALTIMETER] = from.altitude_m;
  state[S.VSI_HEIGHT] = from.altitude_m;
  seedGusts(state, from.seed);
  if (model.kind === "aeroplane") wingsAndEngines(model, state, from, flies);
  controls[C.FLAP] = from.flap;
  controls[C.GEAR] = from.gearDown ? 1 : 0;
  return {
    model,
    column,
    ground,
    state,
    controls,
    failures: [],
    ended: null,
    seen: felt(),
    trouble: [noTrouble(), noTrouble()],
    air,
    forces: stepForces(air),
  };
}

function wingsAndEngines(model: AeroplaneModel, state: Float64Array, from: Beginning, flies: boolean): void {
  state[S.ATTACHED_LEFT] = 1;
  state[S.ATTACHED_RIGHT] = 1;
  for (let i = 0; i < model.engines.length; i += 1) {
    const at = S.ENGINE + i * S.PER_ENGINE;
    const { propeller } = model;
    if (propeller) state[at + S.BLADE] = propeller.fine_rad + (propeller.governed && flies ? 0.15 : 0);
    if (!from.running) continue;
    // A jet's spool as a share, a shaft in rad/s.
    state[at + S.OMEGA] = propeller ? propeller.speed_radps * (flies ? 1 : 0.3) : flies ? 0.8 : 0.35;
    state[at + S.BURN] = 1;
    state[at + S.GAS] = flies ? 0.6 : 0;
    state[at + S.OIL] = 410_000;
    state[at + S.HEAD] = 463;
    state[at + S.OIL_HEAT] = 358;
  }
}
