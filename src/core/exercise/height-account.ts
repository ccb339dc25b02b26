// The account of height that was flown, whatever it is held against: its parts, what took more, and the sums over rows
// that every account is made of.
import type { Aeroplane } from "../aircraft/aeroplane";
import { type Configuration, cleanGlide } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { type WindVector, windProfile } from "../air/wind";
import { type Outcome, success } from "../outcome";
import { G0 } from "../quantities/constants";
import type { Pilot } from "../situation/situation-document";
import { airColumn } from "../simulation/air-column";
import { type AeroplaneModel, aeroplaneModel } from "../simulation/aeroplane-model";
import type { FlightSetUp } from "../simulation/flight-set-up";
import { TRACE_HZ } from "../simulation/flight-trace";
import { readAir, stepAir } from "../simulation/step-air";
import { AT, type Row, actedAt, turned_rad, turningAt } from "./glide-rows";

/** What takes height beyond the least. */
export const CAUSES = ["speed", "bank", "flap", "gear", "slip", "engine", "air"] as const;
/** @see CAUSES */
export type Cause = (typeof CAUSES)[number];

/** A part of the way. */
export interface SpentPart {
  readonly time_s: number;
  /** Over the ground, m. */
  readonly distance_m: number;
  /** Of heading, left and right alike. */
  readonly turned_rad: number;
  /** In height and speed together, m. */
  readonly lost_m: number;
  /** What it needs when it is flown at its best; of the reaction nothing. */
  readonly least_m: number;
}

/** @see heightSpent */
export interface HeightSpent {
  /** With no engine, held against the planner's glide; or on one of two, against its best climb. */
  readonly kind: "glide" | "one-engine";
  readonly from_s: number;
  readonly to_s: number;
  /** Altitude at the beginning less that at the end. */
  readonly lost_m: number;
  /** Of that, what has become speed; negative where speed became height. */
  readonly intoSpeed_m: number;
  /** Until anything was done, in a glide; in turns, and straight. */
  readonly reaction: SpentPart;
  readonly turns: SpentPart;
  readonly straight: SpentPart;
  /** Beyond the least of turns and straight; negative where less was needed. */
  readonly beyond_m: Readonly<Record<Cause, number>>;
}

/** How the way is to be flown: the turns, and the speed in them. */
export type Practice = Pick<Pilot, "bank_rad" | "stallMargin">;

/** Height beyond the least so far. */
export type Beyond = Record<Cause, number>;

/** What of a set-up an account is made with. */
export interface SpentSetUp extends Pick<FlightSetUp, "mass_kg" | "centreOfGravity" | "air" | "wind" | "ground_m"> {
  readonly aircraft: Aeroplane;
}

/** Straight flight is measured in pieces of so many rows. */
const PIECE = TRACE_HZ;

/** What a row costs is reckoned with. */
export interface Yardstick {
  readonly model: AeroplaneModel;
  /** Clean, and the propeller as little drag as it can be made in flight. */
  readonly polar: Polar;
  /** Of it, the dead engines. */
  readonly deadCd: number;
  readonly practice: Practice;
  readonly density: (altitude_m: number) => number;
  readonly wind: (altitude_m: number) => WindVector;
}

/**
 * Goes through a flight piece by piece.
 *
 * @param flown - two rows or more, from the failure until it is landed
 * @param least - height that a piece needs at its best; adds what took more
 */
export function accounted(
  kind: HeightSpent["kind"],
  flown: readonly Row[],
  least: (piece: readonly Row[], turns: boolean, beyond: Beyond) => number,
): HeightSpent {
  // On one engine a hand that only holds it does right: what it left undone shows in its causes.
  const acted = kind === "glide" ? actedAt(flown) : 0;
  const turning = turningAt(flown);
  const [reaction, turns, straight] = [fresh(), fresh(), fresh()];
  const beyond: Beyond = { speed: 0, bank: 0, flap: 0, gear: 0, slip: 0, engine: 0, air: 0 };
  const last = flown.length - 1;
  for (let i = 0; i < last;) {
    const until = i < acted ? acted : pieceEnd(turning, i);
    const piece = flown.slice(i, Math.min(until, last) + 1);
    const part = i < acted ? reaction : turning[i] ? turns : straight;
    note(part, piece);
    if (i >= acted) part.least_m += least(piece, turning[i], beyond);
    i += piece.length - 1;
  }
  const lost_m = flown[0][AT.altitude] - flown[last][AT.altitude];
  const intoSpeed_m = (flown[last][AT.tas] ** 2 - flown[0][AT.tas] ** 2) / (2 * G0);
  // What the pieces do not explain is the air's.
  const known = CAUSES.reduce((sum, cause) => sum + beyond[cause], 0);
  beyond.air = lost_m - intoSpeed_m - reaction.lost_m - turns.least_m - straight.least_m - known;
  const [from_s, to_s] = [flown[0][AT.time], flown[last][AT.time]];
  return { kind, from_s, to_s, lost_m, intoSpeed_m, reaction, turns, straight, beyond_m: beyond };
}

/** The propeller with the least drag that the pilot can give it. */
export function leastDrag({ aircraft }: Pick<SpentSetUp, "aircraft">): Configuration {
  const clean = cleanGlide(aircraft);
  const drag = aircraft.polar?.deadPropeller;
  if (!drag) return clean;
  return {
    ...clean,
    propeller: drag.feathered !== null ? "feathered" : drag.coarse !== null ? "coarse" : "windmilling",
  };
}

/** @returns failures of the model, the polar and the wind */
export function yardstick(setUp: SpentSetUp, practice: Practice): Outcome<Yardstick> {
  const { aircraft, mass_kg, centreOfGravity, air, ground_m } = setUp;
  const model = aeroplaneModel(aircraft, { mass_kg, centreOfGravity });
  if (!model.ok) return model;
  const polar = polarOf(aircraft, mass_kg, leastDrag(setUp));
  if (!polar.ok) return polar;
  const wind = windProfile(setUp.wind, ground_m);
  if (!wind.ok) return wind;
  const calm = airColumn(air, wind.value, ground_m, 0);
  const read = stepAir();
  return success({
    model: model.value,
    polar: polar.value.polar,
    deadCd: polar.value.shares.reduce((sum, { deltaCd, dead }) => sum + (dead ? deltaCd : 0), 0),
    practice,
    density: (altitude_m) => readAir(calm, altitude_m, read).density,
    wind: wind.value,
  });
}

/** Where the piece that begins here ends: after a second, or where turning begins or ends. */
function pieceEnd(turning: readonly boolean[], from: number): number {
  let to = from + 1;
  while (to < from + PIECE && to < turning.length - 1 && turning[to] === turning[from]) to += 1;
  return to;
}

const fresh = () => ({ time_s: 0, distance_m: 0, turned_rad: 0, lost_m: 0, least_m: 0 });

const energy_m = (row: Row) => row[AT.altitude] + row[AT.tas] ** 2 / (2 * G0);

function note(part: ReturnType<typeof fresh>, piece: readonly Row[]): void {
  const [first, last] = [piece[0], piece[piece.length - 1]];
  part.time_s += last[AT.time] - first[AT.time];
  part.distance_m += Math.hypot(last[AT.north] - first[AT.north], last[AT.east] - first[AT.east]);
  part.lost_m += energy_m(first) - energy_m(last);
  part.turned_rad += turned_rad(piece);
}

/** Pull of all engines, N. */
export const thrust_N = (row: Row) => row[AT.thrust0] + row[AT.thrust1];
/** From a row to the next, s. */
export const step_s = (piece: readonly Row[], i: number) => piece[i + 1][AT.time] - piece[i][AT.time];

/** Height lost in a time at a load, clean. */
function sunk_m({ polar }: Yardstick, q: number, tas_mps: number, load: number, time_s: number): number {
  const lift = (load * polar.wingLoading) / q;
  return ((polar.cd0 + polar.k * lift * lift) * q * tas_mps * time_s) / polar.wingLoading;
}

/**
 * Lift over weight: of the load along the body's axis what stands across the path, and with it the share of what pushes
 * along that axis, as in steady flight.
 */
function liftLoad(row: Row): number {
  const climb = Math.max(-1, Math.min(1, row[AT.climb] / Math.max(row[AT.tas], 5)));
  const alpha = row[AT.pitch] - Math.asin(climb);
  return row[AT.load] * Math.cos(alpha) + Math.sin(row[AT.pitch]) * Math.sin(alpha);
}

/** What is no fault: drag of dead engines, pull of live ones, drag of the controls that hold it. */
export interface Allowed {
  readonly deadCd: number;
  readonly pull_N: number;
  readonly trimCd: number;
}

/** What is beside speed and load, row by row. @returns height lost clean at the actual load, and at a load of one */
export function besides(piece: readonly Row[], by: Yardstick, beyond: Beyond, { deadCd, pull_N, trimCd }: Allowed) {
  const { model, polar } = by;
  let [loaded_m, level_m] = [0, 0];
  for (let i = 0; i + 1 < piece.length; i += 1) {
    const row = piece[i];
    const time_s = step_s(piece, i);
    const tas_mps = Math.max(row[AT.tas], 5);
    const q = 0.5 * by.density(row[AT.altitude]) * tas_mps * tas_mps;
    const perCd = (q * tas_mps * time_s) / polar.wingLoading;
    loaded_m += sunk_m(by, q, tas_mps, liftLoad(row), time_s);
    level_m += sunk_m(by, q, tas_mps, 1, time_s);
    beyond.flap += perCd * flapCd(model, row[AT.flap]);
    beyond.gear += model.retractable ? perCd * model.gearCd * row[AT.gear] : 0;
    const rudder = row[AT.foot] * model.rudderMax_rad;
    const aileron = row[AT.stickRight] * model.aileronMax_rad;
    beyond.slip +=
      perCd *
      (model.cdBeta * row[AT.beta] ** 2 +
        model.cdDeltaR * rudder * rudder +
        model.cdDeltaA * aileron * aileron -
        trimCd);
    beyond.engine += perCd * ((pull_N - thrust_N(row)) / (q * model.area_m2) - deadCd);
  }
  return { loaded_m, level_m };
}

function flapCd({ flaps }: AeroplaneModel, at: number): number {
  const low = Math.max(0, Math.min(Math.floor(at), flaps.length - 1));
  const high = Math.min(low + 1, flaps.length - 1);
  return flaps[low].deltaCd + (at - low) * (flaps[high].deltaCd - flaps[low].deltaCd);
}
