// Where the height of a flight went since an engine failed: what the way needed at the least, and what speed, bank,
// flap, gear, slip and the engines took beyond that. Not here: the ground, which way would have been better.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { glidingTurn, turnSpeed } from "../glide/gliding-turn";
import { speedToFly } from "../glide/speed-to-fly";
import { bestGlide, liftCoefficientAt } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import { TRACE_HZ } from "../simulation/flight-trace";
import { AT, type Row, gliding, turned_rad } from "./glide-rows";
import {
  type Beyond,
  type HeightSpent,
  type Practice,
  type SpentSetUp,
  type Yardstick,
  accounted,
  besides,
  step_s,
  thrust_N,
  yardstick,
} from "./height-account";
import { oneEngineLeast, oneEngineOf } from "./one-engine-least";

/** With more of the loss made good by an engine than this it is no glide. */
const MOST_POWER = 0.2;

/**
 * Accounts for the height of a glide, or of a flight on one engine of two.
 *
 * Height and speed are one store, h + V²/2g; it falls by (D − T)·V/W. Of the fall the least is what the way needs.
 * In a glide: straight at the speed to fly over the same ground in the same wind, turns through the same angle at the
 * planned bank and turn speed, clean. On one engine: the time at V_YSE, clean, the dead one feathered, without a slip.
 * What is beyond is reckoned one thing after the other: actual speed, actual load, flap, gear, slip and controls, the
 * engines' drag or pull; what is left is the air's (gusts, change of wind). All of it adds up to the height lost.
 *
 * @param rows - a flight's trace
 * @param from - the row at which the engine failed
 * @param practice - planned bank, 3° to 75°, and stall margin of the turns, from 1.05
 * @returns `no_wing` of rotorcraft; failures of the model and of the wind; `too_short` under two seconds; `powered`
 *   where an engine pulls and it is not on one of two
 * @see energy height: E. S. Rutowski, J. Aeronautical Sciences 21 (1954) (memory)
 */
export function heightSpent(
  setUp: Omit<SpentSetUp, "aircraft"> & { readonly aircraft: AircraftDocument },
  rows: readonly Row[],
  from: number,
  practice: Practice,
): Outcome<HeightSpent> {
  const { aircraft } = setUp;
  if (!isAeroplane(aircraft))
    return failure("no_wing", "Where the height of a rotorcraft went is not reckoned.", "aircraft");
  const winged = { ...setUp, aircraft };
  const measured = yardstick(winged, practice);
  if (!measured.ok) return measured;
  const by = measured.value;
  const flown = gliding(rows, from);
  if (flown.length < 2 * TRACE_HZ) return failure("too_short", "Less than two seconds were flown in the air.", "rows");
  const one = oneEngineOf(winged, by, flown);
  if (one) return success(accounted("one-engine", flown, (piece, _, beyond) => oneEngineLeast(piece, by, one, beyond)));
  const spent = accounted("glide", flown, (piece, turns, beyond) =>
    turns ? turnPiece(piece, by, beyond) : straightPiece(piece, by, beyond),
  );
  const pulled_m = pulled(flown, by);
  if (pulled_m > MOST_POWER * Math.max(spent.lost_m - spent.intoSpeed_m + pulled_m, 1))
    return failure("powered", "An engine pulls: height is accounted for in a glide.", "rows");
  return success(spent);
}

/** Height that an engine’s pull has given. */
function pulled(piece: readonly Row[], { model }: Yardstick): number {
  let sum = 0;
  for (let i = 0; i + 1 < piece.length; i += 1)
    sum += (Math.max(thrust_N(piece[i]), 0) * piece[i][AT.tas] * step_s(piece, i)) / (model.mass_kg * G0);
  return sum;
}

/** A straight piece. @returns what it needs over the same ground */
function straightPiece(piece: readonly Row[], by: Yardstick, beyond: Beyond): number {
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
  const { loaded_m, level_m } = besides(piece, by, beyond, { deadCd: by.deadCd, pull_N: 0, trimCd: 0 });
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
function turnPiece(piece: readonly Row[], by: Yardstick, beyond: Beyond): number {
  const { polar, practice } = by;
  const { bank_rad } = practice;
  const angle = turned_rad(piece);
  const middle = piece[Math.floor(piece.length / 2)];
  const density = by.density(middle[AT.altitude]);
  const { loaded_m } = besides(piece, by, beyond, { deadCd: by.deadCd, pull_N: 0, trimCd: 0 });
  const perRadian = (cl: number) => glidingTurn(polar, cl, bank_rad, density).heightPerRadian_m;
  const eas = middle[AT.tas] * Math.sqrt(density / RHO0);
  const least_m = angle * perRadian(turnSpeed(polar, bank_rad, practice.stallMargin).cl);
  const atSpeed_m = angle * perRadian(liftCoefficientAt(polar, eas, bank_rad) ?? polar.clMax);
  beyond.speed += atSpeed_m - least_m;
  beyond.bank += loaded_m - atSpeed_m;
  return least_m;
}
