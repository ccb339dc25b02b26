// Where the height of a glide went: what the way needed at the least, and what speed, bank, flap, gear, slip and the
// propeller took beyond that. Not here: the ground, which way would have been better.
import { type Configuration, cleanGlide } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { type WindVector, windProfile } from "../air/wind";
import { glidingTurn, turnSpeed } from "../glide/gliding-turn";
import { speedToFly } from "../glide/speed-to-fly";
import { bestGlide, liftCoefficientAt } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import type { Pilot } from "../situation/situation-document";
import { airColumn } from "../simulation/air-column";
import { type AeroplaneModel, aeroplaneModel } from "../simulation/aeroplane-model";
import type { FlightSetUp } from "../simulation/flight-set-up";
import { TRACE_HZ } from "../simulation/flight-trace";
import { readAir, stepAir } from "../simulation/step-air";
import { AT, type Row, actedAt, gliding, turned_rad, turningAt } from "./glide-rows";

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
  readonly from_s: number;
  readonly to_s: number;
  /** Altitude at the beginning less that at the end. */
  readonly lost_m: number;
  /** Of that, what has become speed; negative where speed became height. */
  readonly intoSpeed_m: number;
  /** Until anything was done, in turns, and straight. */
  readonly reaction: SpentPart;
  readonly turns: SpentPart;
  readonly straight: SpentPart;
  /** Beyond the least of turns and straight; negative where less was needed. */
  readonly beyond_m: Readonly<Record<Cause, number>>;
}

/** How the way is to be flown: the turns, and the speed in them. */
export type Practice = Pick<Pilot, "bank_rad" | "stallMargin">;

/** Straight flight is measured in pieces of so many rows. */
const PIECE = TRACE_HZ;
/** With more of the loss made good by an engine than this it is no glide. */
const MOST_POWER = 0.2;

/** What a row costs is reckoned with. */
interface Yardstick {
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
 * Accounts for the height of a glide.
 *
 * Height and speed are one store, h + V²/2g; it falls by D·V/W. Of the fall, the least is what the same way needs:
 * straight at the speed to fly over the same ground in the same wind, turns through the same angle at the planned bank
 * and turn speed, clean. What is beyond is reckoned one thing after the other: actual speed, actual load, flap, gear,
 * slip and controls, the engine's drag or pull; what is left is the air's (gusts, change of wind). All of it adds up to
 * the height lost.
 *
 * @param rows - a flight's trace
 * @param from - the row at which the engine failed
 * @param practice - planned bank, 3° to 75°, and stall margin of the turns, from 1.05
 * @returns failures of the model and of the wind; `too_short` under two seconds; `powered` where an engine pulls: that
 *   is no glide
 * @see energy height: E. S. Rutowski, J. Aeronautical Sciences 21 (1954) (memory)
 */
export function heightSpent(
  setUp: Pick<FlightSetUp, "aircraft" | "mass_kg" | "centreOfGravity" | "air" | "wind" | "ground_m">,
  rows: readonly Row[],
  from: number,
  practice: Practice,
): Outcome<HeightSpent> {
  const measured = yardstick(setUp, practice);
  if (!measured.ok) return measured;
  const by = measured.value;
  const flown = gliding(rows, from);
  if (flown.length < 2 * TRACE_HZ) return failure("too_short", "Less than two seconds were flown in the air.", "rows");
  const acted = actedAt(flown);
  const turning = turningAt(flown);
  const reaction = fresh();
  const [turns, straight] = [fresh(), fresh()];
  const beyond: Record<Cause, number> = { speed: 0, bank: 0, flap: 0, gear: 0, slip: 0, engine: 0, air: 0 };
  let pulled_m = 0;
  const last = flown.length - 1;
  for (let i = 0; i < last;) {
    const until = i < acted ? acted : pieceEnd(turning, i);
    const piece = flown.slice(i, Math.min(until, last) + 1);
    const part = i < acted ? reaction : turning[i] ? turns : straight;
    pulled_m += pulled(piece, by);
    note(part, piece);
    if (i >= acted) part.least_m += turning[i] ? turnPiece(piece, by, beyond) : straightPiece(piece, by, beyond);
    i += piece.length - 1;
  }
  const lost_m = flown[0][AT.altitude] - flown[last][AT.altitude];
  const intoSpeed_m = (flown[last][AT.tas] ** 2 - flown[0][AT.tas] ** 2) / (2 * G0);
  const drained_m = lost_m - intoSpeed_m;
  if (pulled_m > MOST_POWER * Math.max(drained_m + pulled_m, 1))
    return failure("powered", "An engine pulls: height is accounted for in a glide.", "rows");
  // What the pieces do not explain is the air's.
  const known = CAUSES.reduce((sum, cause) => sum + beyond[cause], 0);
  beyond.air = drained_m - reaction.lost_m - turns.least_m - straight.least_m - known;
  return success({
    from_s: flown[0][AT.time],
    to_s: flown[last][AT.time],
    lost_m,
    intoSpeed_m,
    reaction,
    turns,
    straight,
    beyond_m: beyond,
  });
}

/** The propeller with the least drag that the pilot can give it. */
function leastDrag({ aircraft }: Pick<FlightSetUp, "aircraft">): Configuration {
  const clean = cleanGlide(aircraft);
  const drag = aircraft.polar?.deadPropeller;
  if (!drag) return clean;
  return {
    ...clean,
    propeller: drag.feathered !== null ? "feathered" : drag.coarse !== null ? "coarse" : "windmilling",
  };
}

function yardstick(
  setUp: Pick<FlightSetUp, "aircraft" | "mass_kg" | "centreOfGravity" | "air" | "wind" | "ground_m">,
  practice: Practice,
): Outcome<Yardstick> {
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

const thrust_N = (row: Row) => row[AT.thrust0] + row[AT.thrust1];
const step_s = (piece: readonly Row[], i: number) => piece[i + 1][AT.time] - piece[i][AT.time];

/** Height that an engine’s pull has given. */
function pulled(piece: readonly Row[], { model }: Yardstick): number {
  let sum = 0;
  for (let i = 0; i + 1 < piece.length; i += 1)
    sum += (Math.max(thrust_N(piece[i]), 0) * piece[i][AT.tas] * step_s(piece, i)) / (model.mass_kg * G0);
  return sum;
}

/** Height lost in a time at a load, clean. */
function sunk_m({ polar }: Yardstick, q: number, tas_mps: number, load: number, time_s: number): number {
  const lift = (load * polar.wingLoading) / q;
  return ((polar.cd0 + polar.k * lift * lift) * q * tas_mps * time_s) / polar.wingLoading;
}

/** What is beside speed and load, row by row. @returns height lost clean at the actual load, and at a load of one */
function besides(piece: readonly Row[], by: Yardstick, beyond: Record<Cause, number>) {
  const { model, polar } = by;
  let [loaded_m, level_m] = [0, 0];
  for (let i = 0; i + 1 < piece.length; i += 1) {
    const row = piece[i];
    const time_s = step_s(piece, i);
    const tas_mps = Math.max(row[AT.tas], 5);
    const q = 0.5 * by.density(row[AT.altitude]) * tas_mps * tas_mps;
    const perCd = (q * tas_mps * time_s) / polar.wingLoading;
    loaded_m += sunk_m(by, q, tas_mps, row[AT.load], time_s);
    level_m += sunk_m(by, q, tas_mps, 1, time_s);
    beyond.flap += perCd * flapCd(model, row[AT.flap]);
    beyond.gear += model.retractable ? perCd * model.gearCd * row[AT.gear] : 0;
    const rudder = row[AT.foot] * model.rudderMax_rad;
    const aileron = row[AT.stickRight] * model.aileronMax_rad;
    beyond.slip +=
      perCd *
      (model.cdBeta * row[AT.beta] ** 2 + model.cdDeltaR * rudder * rudder + model.cdDeltaA * aileron * aileron);
    beyond.engine += perCd * (-thrust_N(row) / (q * model.area_m2) - by.deadCd);
  }
  return { loaded_m, level_m };
}

function flapCd({ flaps }: AeroplaneModel, at: number): number {
  const low = Math.max(0, Math.min(Math.floor(at), flaps.length - 1));
  const high = Math.min(low + 1, flaps.length - 1);
  return flaps[low].deltaCd + (at - low) * (flaps[high].deltaCd - flaps[low].deltaCd);
}

/** A straight piece. @returns what it needs over the same ground */
function straightPiece(piece: readonly Row[], by: Yardstick, beyond: Record<Cause, number>): number {
  const [first, last] = [piece[0], piece[piece.length - 1]];
  const [north, east] = [last[AT.north] - first[AT.north], last[AT.east] - first[AT.east]];
  const distance_m = Math.max(Math.hypot(north, east), 1e-6);
  const wind = by.wind(first[AT.altitude]);
  const best = speedToFly(
    by.polar,
    {
      along_mps: (wind.north_mps * north + wind.east_mps * east) / distance_m,
      across_mps: (wind.east_mps * north - wind.north_mps * east) / distance_m,
      vertical_mps: 0,
    },
    by.density(first[AT.altitude]) / RHO0,
  );
  const { loaded_m, level_m } = besides(piece, by, beyond);
  // Against a wind as fast as any glide no ground is gained at any speed: then the book's glide, by time.
  const usual = bestGlide(by.polar);
  const least_m = best.ok
    ? distance_m / best.value.groundRatio
    : usual.sinkEas_mps * (last[AT.time] - first[AT.time]) * Math.sqrt(RHO0 / by.density(first[AT.altitude]));
  beyond.speed += level_m - least_m;
  beyond.bank += loaded_m - level_m;
  return least_m;
}

/** A piece of a turn. @returns what it needs through the same angle */
function turnPiece(piece: readonly Row[], by: Yardstick, beyond: Record<Cause, number>): number {
  const { polar, practice } = by;
  const { bank_rad } = practice;
  const angle = turned_rad(piece);
  const middle = piece[Math.floor(piece.length / 2)];
  const density = by.density(middle[AT.altitude]);
  const { loaded_m } = besides(piece, by, beyond);
  const perRadian = (cl: number) => glidingTurn(polar, cl, bank_rad, density).heightPerRadian_m;
  const eas = middle[AT.tas] * Math.sqrt(density / RHO0);
  const least_m = angle * perRadian(turnSpeed(polar, bank_rad, practice.stallMargin).cl);
  const atSpeed_m = angle * perRadian(liftCoefficientAt(polar, eas, bank_rad) ?? polar.clMax);
  beyond.speed += atSpeed_m - least_m;
  beyond.bank += loaded_m - atSpeed_m;
  return least_m;
}
