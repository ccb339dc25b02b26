// Analysis of a long log against reading its arrays once, the whole against the analysis.
import { analyse } from "../src/core/track/analyse";
import { readLog } from "../src/core/track/formats/read-log";
import { writeCsv } from "../src/core/track/formats/write-log";
import { recorded } from "./track/sensors";
import { truthFlight } from "./track/truth";
import { demoAircraft } from "../demo/read-demo";
import type { FlightLog } from "../src/core/track/log";

const FIXES = 360_000;

/** Flights one after another until there are so many fixes. */
function longLog(): FlightLog {
  const parts: FlightLog[] = [];
  let count = 0;
  for (let n = 0; count < FIXES; n += 1) {
    const log = recorded(truthFlight("glides", n + 1), "all 10 Hz", n + 1);
    parts.push(log);
    count += log.time_s.length;
  }
  const time_s = new Float64Array(FIXES);
  const names = Object.keys(parts[0].columns) as (keyof FlightLog["columns"])[];
  const columns = Object.fromEntries(names.map((name) => [name, new Float64Array(FIXES)]));
  let [at, begin] = [0, 0];
  for (const part of parts) {
    for (let i = 0; i < part.time_s.length && at < FIXES; i += 1) {
      time_s[at] = begin + part.time_s[i];
      for (const name of names) columns[name][at] = part.columns[name]?.[i] ?? NaN;
      at += 1;
    }
    begin = time_s[at - 1] + 0.1;
  }
  return { ...parts[0], time_s, columns };
}

function timed<T>(run: () => T): { took_s: number; value: T } {
  const from = performance.now();
  const value = run();
  return { took_s: (performance.now() - from) / 1000, value };
}

const log = longLog();
const text = writeCsv(log);
const arrays = [log.time_s, ...Object.values(log.columns)];
const once = () => {
  let sum = 0;
  for (const array of arrays) for (let i = 0; i < array.length; i += 1) sum += array[i];
  return sum;
};
once();
const reading = Math.min(...Array.from({ length: 9 }, () => timed(once).took_s));
const day = {
  deviation_K: 0,
  wind: null,
  calibration: null,
  aircraft: demoAircraft("alder-s1"),
  mass_kg: 1000,
  runways: [],
  stops: null,
};
const analysis = timed(() => analyse(log, day));
const whole = timed(() => {
  const read = readLog(text);
  return read.ok && analyse(read.value, day);
});
if (!analysis.value.ok || !whole.value || !whole.value.ok)
  throw new Error("track: expected the long log to be analysed");
console.log(
  `flight log of ${FIXES} fixes, ${(text.length / 1e6).toFixed(0)} MB: analysis ${(analysis.took_s / reading).toFixed(0)} × reading its arrays once (limit 1 500), the whole ${(whole.took_s / analysis.took_s).toFixed(2)} × the analysis (limit 2.5); ${analysis.took_s.toFixed(2)} s and ${whole.took_s.toFixed(2)} s here`,
);
