// Straight glides with the engine off: speed, sink of the energy height, ratio through the air.
import { radians } from "../../quantities/angle";
import { averaged } from "../smooth/averaged";
import { indexAt } from "../clean/index-at";
import { flownPart } from "../flown-part";
import { type Figure, figure, unknown } from "../figure";
import { type Flown, airSensors, heightSensors } from "../flown";
import { meanOver } from "./turn";

/** @see glides */
export interface Glide {
  readonly from_s: number;
  readonly to_s: number;
  readonly tas_mps: Figure;
  readonly eas_mps: Figure;
  /** Of energy height: what the speed gained or lost is in it. */
  readonly sink_mps: Figure;
  /** Through the air. */
  readonly ratio: Figure;
  /** What a still day would leave open: moving air, to one standard deviation of the ratio. */
  readonly stillAirShare: number;
}

/** Straight: banked less than this, meant over so long; steady: speed changes by less than this; for so long. */
const [STRAIGHT_RAD, AVERAGE_S, STEADY_MPS2, LEAST_S] = [radians(10), 2, 0.3, 30];
/** An engine runs down for so long, s; nearer the ground than this it is the flare, m. */
const [RUN_DOWN_S, FLARE_M] = [6, 20];
/** Rising and sinking air leaves the ratio of still air open by so much. @see the accuracy of flown glides, measured */
const STILL_AIR_SHARE = 0.04;

/** One standard deviation of a sink that was flown for a time. */
function sinkSigma_mps(time_s: number): number {
  return Math.hypot(3.1 / time_s, 0.05 + 1.4 / Math.sqrt(time_s)) / 2;
}

/** Slope of energy height on time. */
function slope({ time_s, energy_m }: Flown, from_s: number, to_s: number): number {
  let [n, st, se, stt, ste] = [0, 0, 0, 0, 0];
  for (let i = indexAt(time_s, from_s); i < time_s.length && time_s[i] <= to_s; i += 1) {
    const t = time_s[i] - from_s;
    n += 1;
    st += t;
    se += energy_m[i];
    stt += t * t;
    ste += t * energy_m[i];
  }
  return (n * ste - st * se) / (n * stt - st * st);
}

/**
 * Glides between an engine's stop and its return.
 *
 * @param ground_m - of where it is landed; null in the air
 */
export function glides(whole: Flown, off_s: number, back_s: number, ground_m: number | null): Glide[] {
  const flown = flownPart(whole, indexAt(whole.time_s, off_s), indexAt(whole.time_s, back_s));
  const { time_s, bank_rad, tas_mps, altitude_m, wind, has } = flown;
  if (!has.height) return [];
  const bank = averaged(time_s, bank_rad, AVERAGE_S);
  const speed = averaged(time_s, tas_mps, AVERAGE_S);
  const found: Glide[] = [];
  let from = -1;
  const close = (to: number) => {
    if (from >= 0 && time_s[to] - time_s[from] >= LEAST_S) found.push(measured(flown, time_s[from], time_s[to]));
    from = -1;
  };
  let last = -1;
  for (let i = 0; i < time_s.length; i += 1) {
    if (time_s[i] < off_s + RUN_DOWN_S) continue;
    const rate = i > 0 ? (speed[i] - speed[i - 1]) / (time_s[i] - time_s[i - 1]) : 0;
    const high = ground_m === null || altitude_m[i] > ground_m + FLARE_M;
    // Without an airspeed its rate is the wind's gusts as much: only the path tells.
    const steady = Math.abs(rate) < STEADY_MPS2 || !(has.airspeed || wind);
    if (Math.abs(bank[i]) < STRAIGHT_RAD && steady && high) {
      if (from < 0) from = i;
    } else if (from >= 0) close(i - 1);
    last = i;
  }
  if (from >= 0 && last >= 0) close(last);
  return found;
}

function measured(flown: Flown, from_s: number, to_s: number): Glide {
  const { tas_mps, eas_mps, has, wind } = flown;
  const sink = -slope(flown, from_s, to_s);
  const sigma = sinkSigma_mps(to_s - from_s);
  const tas = meanOver(flown, tas_mps, from_s, to_s);
  const air = airSensors(flown);
  const speedSigma = has.airspeed ? 0.5 : 1.5;
  const known = has.airspeed || wind !== null;
  const noAir = unknown("Ground values only: wind and airspeed cannot be told apart. Turn 180° or give the wind.");
  return {
    from_s,
    to_s,
    tas_mps: known ? figure(tas, speedSigma, ...air) : noAir,
    eas_mps: known ? figure(meanOver(flown, eas_mps, from_s, to_s), speedSigma, ...air) : noAir,
    sink_mps: figure(sink, sigma, ...heightSensors(flown)),
    ratio:
      known && sink > 0.2
        ? figure(tas / sink, (tas / sink) * Math.hypot(sigma / sink, speedSigma / tas), ...air, ...heightSensors(flown))
        : noAir,
    stillAirShare: STILL_AIR_SHARE,
  };
}
