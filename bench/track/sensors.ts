// What recorders would have written of a flight: positions that drift and jitter, heights that run short in warm air,
// speeds and attitudes with noise.
import { hydrostaticHeight_m } from "../../src/core/track/smooth/true-height";
import { type FlightLog, LogBuilder } from "../../src/core/track/log";
import { type Truth, TRUTH_HZ, chance, normal } from "./truth";

/** Recorders. */
export const SETS = {
  "GPX 1 Hz": { hz: 1, pressure: false, airspeed: false, more: false },
  "IGC 1 Hz": { hz: 1, pressure: true, airspeed: false, more: false },
  "+IAS 1 Hz": { hz: 1, pressure: true, airspeed: true, more: false },
  "+IAS 5 Hz": { hz: 5, pressure: true, airspeed: true, more: false },
  "all 1 Hz": { hz: 1, pressure: true, airspeed: true, more: true },
  "all 10 Hz": { hz: 10, pressure: true, airspeed: true, more: true },
} as const;
/** @see SETS */
export type SensorSet = keyof typeof SETS;

const ORIGIN = { latitude_deg: -47.13, longitude_deg: -130.94 };
/** Metres in a degree of latitude and of longitude there. @see WGS 84, by its radii */
const [NORTH_M, EAST_M] = [111_163, 75_900];
/** Pressure altitude of a height: the inverse, by halves. */
function pressureAltitude(h: number, deviation_K: number): number {
  let [low, high] = [h - 2000, h + 2000];
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (hydrostaticHeight_m(middle, deviation_K) < h) low = middle;
    else high = middle;
  }
  return low;
}

/** The log of a flight by a recorder. */
export function recorded(truth: Truth, set: SensorSet, seed: number): FlightLog {
  const { hz, pressure, airspeed, more } = SETS[set];
  const random = chance(seed);
  const noise = normal(random);
  const log = new LogBuilder();
  const every = TRUTH_HZ / hz;
  let [driftX, driftY, driftH] = [2 * noise(), 2 * noise(), 3 * noise()];
  for (let i = 0; i < truth.moments.length; i += every) {
    const dt = 1 / hz;
    const drift = (value: number, sigma: number) =>
      value * Math.exp(-dt / 300) + sigma * Math.sqrt((2 * dt) / 300) * noise();
    [driftX, driftY, driftH] = [drift(driftX, 2), drift(driftY, 2), drift(driftH, 3)];
    const jitter = Math.round(0.04 * noise() * TRUTH_HZ);
    const at = truth.moments[Math.min(Math.max(i + jitter, 0), truth.moments.length - 1)];
    const m = truth.moments[i];
    log.begin(m.t);
    const put = (name: Parameters<LogBuilder["set"]>[0], value: number) => log.set(name, value, i);
    put("latitude_deg", ORIGIN.latitude_deg + (at.y + driftY + 0.4 * noise()) / NORTH_M);
    put("longitude_deg", ORIGIN.longitude_deg + (at.x + driftX + 0.4 * noise()) / EAST_M);
    put("altitudeGps_m", Math.round((m.h + driftH + 0.7 * noise()) * 10) / 10);
    if (pressure) put("altitudePressure_m", Math.round(pressureAltitude(m.h, truth.deviation_K) + 25 + 0.3 * noise()));
    const density = Math.exp(-m.h / 9500) * (288.15 / (288.15 + truth.deviation_K));
    if (airspeed) put("ias_mps", Math.max(m.tas * Math.sqrt(density) + 0.5 * noise(), 0));
    if (!more) continue;
    put("roll_rad", m.bank + 0.01 * noise());
    put("pitch_rad", m.pitch + 0.01 * noise());
    put("loadFactor", m.load + 0.03 * noise());
    put("fuelFlow1_m3ps", Math.max(1e-5 * (m.flow + 0.01 * noise()), 0));
    put("rpm1", Math.max(m.rpm + 8 * noise(), 0));
  }
  return log.log({ format: "csv", clock: "elapsed", aircraft: null });
}
