// A flight as it was flown, at every fix: where, how high, how fast over the ground and through the air, how banked,
// with how much energy. What the events and the measures read.
import { airState, ATMOSPHERE_MAX_M, ATMOSPHERE_MIN_M } from "../air/atmosphere";
import { airspeedsFromCas } from "../air/airspeed";
import type { WindVector } from "../air/wind";
import type { AirspeedCalibration } from "../aircraft/airspeed-calibration";
import { calibrated_mps } from "../aircraft/airspeed-calibration";
import { type Outcome, failure, success } from "../outcome";
import { G0 } from "../quantities/constants";
import { type CleanLog, cleanLog } from "./clean/clean-log";
import { groundLine } from "./clean/ground-line";
import { indexAt } from "./clean/index-at";
import { type InTheAir, inTheAir } from "./events/airborne";
import type { Sensor } from "./figure";
import type { FlownOverGround } from "./flown-over-ground";
import type { FlightLog } from "./log";
import { filled } from "./smooth/averaged";
import { smoothAxis } from "./smooth/smooth-axis";
import { trueHeight } from "./smooth/true-height";
import { type FittedWind, givenWind, windAt } from "./wind/fitted-wind";
import { windFromTurns } from "./wind/fit-from-turns";
import { windWithAirspeed } from "./wind/fit-with-airspeed";
import { turnsOverGround } from "./wind/turns-over-ground";

/** What is known of the day beside the log. */
export interface FlownDay {
  /** Outside temperature minus standard, K; null where nobody knows. */
  readonly deviation_K: number | null;
  /** Near the ground of the flight, as it was told; used where the log shows none. */
  readonly wind: WindVector | null;
  readonly calibration: AirspeedCalibration | null;
  /** What flew may stand still in the air; left out for no. */
  readonly hovers?: boolean;
}

/** @see flown */
export interface Flown extends FlownOverGround {
  readonly air: readonly InTheAir[];
  /** Through the air; over the ground where no wind is known. */
  readonly tas_mps: Float64Array;
  readonly eas_mps: Float64Array;
  /** Direction of the motion through the air, true, going on over a full turn. */
  readonly course_rad: Float64Array;
  readonly bank_rad: Float64Array;
  /** h + V²/2g, and its rate. */
  readonly energy_m: Float64Array;
  readonly energy_mps: Float64Array;
  /** Of the air: by pressure altitude, or by height in standard air. */
  readonly sigma: Float64Array;
  readonly wind: FittedWind | null;
  /** Rms of speeds over the ground against the indicator's, m/s; null without one. */
  readonly windRms_mps: number | null;
}

/** White jerk over the ground: straight on, and in a steep turn, m²/s⁵; between these banks it grows. */
const [JERK_STRAIGHT, JERK_STEEP, STRAIGHT_RAD, STEEP_RAD] = [0.5, 10, 0.17, 0.52];
/** Noise of each: jerk, m²/s⁵, variance of a position, m², of a speed, m²/s². */
const NOISE = {
  doppler: 0.03,
  position: 1.5,
  pressure: { jerk: 0.5, position: 0.16 },
  gps: { jerk: 0.5, position: 1 },
  airspeed: { jerk: 0.15, position: 0.3 },
};
/** Slower than this through the air it does not fly, m/s: a wind is not looked for there. */
const FLIES_MPS = 15;
/** So long after lift-off and before the touch the wheels have no part in it. */
const CLEAR_S = 3;

const present = (values: Float64Array | undefined): values is Float64Array =>
  values !== undefined && values.some(Number.isFinite);

/** Jerk by how banked the way over the ground is. */
function jerkOf(vx: Float64Array, vy: Float64Array, ax: Float64Array, ay: Float64Array): Float64Array {
  return vx.map((x, i) => {
    const v = Math.max(Math.hypot(x, vy[i]), 1);
    const bank = Math.atan(Math.abs(ax[i] * vy[i] - x * ay[i]) / v / G0);
    const share = Math.min(Math.max((bank - STRAIGHT_RAD) / (STEEP_RAD - STRAIGHT_RAD), 0), 1);
    return JERK_STRAIGHT + share * (JERK_STEEP - JERK_STRAIGHT);
  });
}

function groundMotion(log: CleanLog) {
  const { latitude_deg, longitude_deg, groundSpeed_mps, track_rad } = log.columns;
  if (!latitude_deg || !longitude_deg) throw new Error("groundMotion: expected positions after cleaning");
  const { x_m, y_m } = groundLine(latitude_deg, longitude_deg);
  // A receiver's own speed is a measurement of its own; a speed that an IGC or GPX program derived is not told apart.
  const doppler = log.format === "nmea" && present(groundSpeed_mps) && present(track_rad);
  const speeds = doppler
    ? {
        x: groundSpeed_mps.map((v, i) => v * Math.sin(track_rad[i])),
        y: groundSpeed_mps.map((v, i) => v * Math.cos(track_rad[i])),
      }
    : null;
  const noise = (jerk: number | Float64Array) => ({ jerk, position: NOISE.position, speed: NOISE.doppler });
  const smooth = (jerk: number | Float64Array) => ({
    x: smoothAxis(log.time_s, x_m, noise(jerk), speeds?.x),
    y: smoothAxis(log.time_s, y_m, noise(jerk), speeds?.y),
  });
  const rough = smooth(JERK_STEEP);
  if (!rough.x || !rough.y) throw new Error("groundMotion: expected positions after cleaning");
  const jerk = jerkOf(rough.x.speed, rough.y.speed, rough.x.acceleration, rough.y.acceleration);
  const { x, y } = smooth(jerk);
  if (!x || !y) throw new Error("groundMotion: expected positions after cleaning");
  return {
    x,
    y,
    eastOff_m: x.position.map((v, i) => v - x_m[i]),
    northOff_m: y.position.map((v, i) => v - y_m[i]),
    doppler,
  };
}

function heightMotion(log: CleanLog, deviation_K: number | null) {
  const { altitudePressure_m, altitudeGps_m } = log.columns;
  const pressure = present(altitudePressure_m);
  if (!pressure && !present(altitudeGps_m)) return null;
  const measured = pressure ? trueHeight(altitudePressure_m, altitudeGps_m, deviation_K) : altitudeGps_m;
  const smooth = measured && smoothAxis(log.time_s, measured, pressure ? NOISE.pressure : NOISE.gps);
  return smooth && { smooth, pressure };
}

/** Density ratio at every fix. */
function densities(log: CleanLog, altitude_m: Float64Array, deviation_K: number | null): Float64Array {
  const { altitudePressure_m } = log.columns;
  const pressure = present(altitudePressure_m) ? filled(altitudePressure_m) : altitude_m;
  return pressure.map(
    (h) => airState(Math.min(Math.max(h, ATMOSPHERE_MIN_M), ATMOSPHERE_MAX_M), deviation_K ?? 0).sigma,
  );
}

/** True airspeed of the indicator's, smoothed, and its rate; null where there is none. */
function airMotion(log: CleanLog, sigma: Float64Array, day: FlownDay, altitude_m: Float64Array) {
  const { ias_mps, tas_mps } = log.columns;
  if (present(ias_mps)) {
    const smooth = smoothAxis(log.time_s, ias_mps, NOISE.airspeed);
    if (!smooth) return null;
    const tas = smooth.position.map((ias, i) => {
      const cas = calibrated_mps(day.calibration, Math.max(ias, 0));
      // Equivalent and calibrated speed part by more than a knot only where light aeroplanes do not fly.
      if (altitude_m[i] < 3000 && cas < 80) return cas / Math.sqrt(sigma[i]);
      const air = airState(Math.min(Math.max(altitude_m[i], ATMOSPHERE_MIN_M), ATMOSPHERE_MAX_M), day.deviation_K ?? 0);
      const speeds = airspeedsFromCas(cas, air);
      return speeds.ok ? speeds.value.tas_mps : cas / Math.sqrt(sigma[i]);
    });
    return { tas, rate: smooth.speed.map((rate, i) => rate / Math.sqrt(sigma[i])) };
  }
  if (!present(tas_mps)) return null;
  const smooth = smoothAxis(log.time_s, tas_mps, NOISE.airspeed);
  return smooth && { tas: smooth.position, rate: smooth.speed };
}

/** One fix a second, in the air. */
function everySecond(time_s: Float64Array, keep: (i: number) => boolean): number[] {
  const picked: number[] = [];
  let next = -Infinity;
  for (let i = 0; i < time_s.length; i += 1) {
    if (time_s[i] < next || !keep(i)) continue;
    picked.push(i);
    next = time_s[i] + 0.999;
  }
  return picked;
}

/**
 * A flight as it was flown.
 *
 * Positions and heights smoothed; the wind by which speeds over the ground and through the air agree, or of turns,
 * or as told; then va = vg − w, ω = (ax·vay − vax·ay)/va², tanφ = ωV/g, e = h + V²/2g.
 *
 * @returns failures of cleaning; `too_short` under ten fixes
 */
export function flown(log: FlightLog, day: FlownDay): Outcome<Flown> {
  const cleaned = cleanLog(log);
  if (!cleaned.ok) return cleaned;
  const clean = cleaned.value;
  const { time_s } = clean;
  if (time_s.length < 10) return failure("too_short", "A flight has at least ten fixes.");
  const { x, y, eastOff_m, northOff_m, doppler } = groundMotion(clean);
  const height = heightMotion(clean, day.deviation_K);
  const altitude_m = height?.smooth.position ?? new Float64Array(time_s.length);
  const climb_mps = height?.smooth.speed ?? new Float64Array(time_s.length);
  const sigma = densities(clean, altitude_m, day.deviation_K);
  const air = airMotion(clean, sigma, day, altitude_m);
  const { roll_rad, loadFactor, rpm1, fuelFlow1_m3ps } = clean.columns;
  const overGround: FlownOverGround = {
    log: clean,
    time_s,
    east_m: x.position,
    north_m: y.position,
    eastOff_m,
    northOff_m,
    altitude_m,
    climb_mps,
    groundEast_mps: x.speed,
    groundNorth_mps: y.speed,
    groundSpeed_mps: x.speed.map((v, i) => Math.hypot(v, y.speed[i])),
    has: {
      pressure: height?.pressure ?? false,
      height: height !== null,
      airspeed: air !== null,
      attitude: present(roll_rad),
      engine: present(fuelFlow1_m3ps) || present(rpm1),
      accelerometer: present(loadFactor),
      doppler,
    },
  };
  const stretches = inTheAir(overGround, day.hovers);
  const { wind, windRms_mps } = findWind(overGround, stretches, x, y, air?.tas ?? null, day);

  const count = time_s.length;
  const [tas_mps, course_rad, bank_rad] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const [energy_m, energy_mps] = [new Float64Array(count), new Float64Array(count)];
  for (let i = 0; i < count; i += 1) {
    const w = wind ? windAt(wind, altitude_m[i]) : { east_mps: 0, north_mps: 0 };
    const [east, north] = [x.speed[i] - w.east_mps, y.speed[i] - w.north_mps];
    const va = Math.max(Math.hypot(east, north), 0.5);
    const turn = (x.acceleration[i] * north - east * y.acceleration[i]) / (va * va);
    const tas = air ? air.tas[i] * (wind?.airspeedScale ?? 1) : va;
    const rate = air ? air.rate[i] : (x.acceleration[i] * east + y.acceleration[i] * north) / va;
    tas_mps[i] = tas;
    const course = Math.atan2(east, north);
    course_rad[i] = i === 0 ? course : course + 2 * Math.PI * Math.round((course_rad[i - 1] - course) / (2 * Math.PI));
    const rolled = roll_rad ? roll_rad[i] : NaN;
    bank_rad[i] = Number.isFinite(rolled) ? rolled : Math.atan((turn * va) / G0);
    energy_m[i] = altitude_m[i] + (tas * tas) / (2 * G0);
    energy_mps[i] = climb_mps[i] + (tas * rate) / G0;
  }
  return success({
    ...overGround,
    air: stretches,
    tas_mps,
    eas_mps: tas_mps.map((v, i) => v * Math.sqrt(sigma[i])),
    course_rad,
    bank_rad,
    energy_m,
    energy_mps,
    sigma,
    wind,
    windRms_mps,
  });
}

type Axis = NonNullable<ReturnType<typeof smoothAxis>>;

/** The wind that the log shows, or that was told. */
function findWind(
  { time_s, altitude_m }: FlownOverGround,
  stretches: readonly InTheAir[],
  x: Axis,
  y: Axis,
  tas: Float64Array | null,
  day: FlownDay,
): { wind: FittedWind | null; windRms_mps: number | null } {
  const told = day.wind && givenWind(day.wind);
  // Wheels on the ground keep a direction that is not the air's.
  const inAir = new Uint8Array(time_s.length);
  for (const { from, to, takeOff, landing } of stretches)
    inAir.fill(
      1,
      takeOff ? indexAt(time_s, takeOff.time_s + CLEAR_S) : from,
      landing ? indexAt(time_s, landing.time_s - CLEAR_S) : to + 1,
    );
  if (tas) {
    const flying = everySecond(time_s, (i) => tas[i] > FLIES_MPS && inAir[i] === 1);
    const of = (values: Float64Array) => Float64Array.from(flying, (i) => values[i]);
    const fit = windWithAirspeed({
      east_mps: of(x.speed),
      north_mps: of(y.speed),
      altitude_m: of(altitude_m),
      tas_mps: of(tas),
    });
    if (fit) return { wind: fit.wind, windRms_mps: fit.rms_mps };
    return { wind: told, windRms_mps: null };
  }
  const turns = turnsOverGround(time_s, x.speed, y.speed, x.acceleration, y.acceleration).map(({ from, to }) => {
    const picked = everySecond(time_s.subarray(from, to), () => true).map((i) => i + from);
    const of = (values: Float64Array) => Float64Array.from(picked, (i) => values[i]);
    return {
      time_s: of(time_s),
      east_mps: of(x.speed),
      north_mps: of(y.speed),
      altitude_m: altitude_m[(from + to) >> 1],
    };
  });
  return { wind: windFromTurns(turns) ?? told, windRms_mps: null };
}

/** Sensors that a flight's motion through the air rests on. */
export function airSensors({ has, wind }: Flown): Sensor[] {
  return ["position", ...(has.airspeed ? ["airspeed" as const] : []), ...(wind?.sensors ?? [])];
}

/** Sensors that its height rests on. */
export function heightSensors({ has }: Flown): Sensor[] {
  return has.pressure ? ["pressure height"] : ["GPS height"];
}
