// A recording of a position receiver's sentences as a log. Its speed and track are measurements of their own.
import { type Outcome, success } from "../../outcome";
import { type FlightLog, LogBuilder, NO_LOG, type ReadProgress } from "../log";
import type { Fix } from "./fix";
import { eachLine } from "./lines";
import { nmeaReader } from "./nmea";

/** Times before this are of a recording that never told its date, s. */
const DATED_S = 86_400 * 3650;

/** Reads a file. @returns `no_fixes`, `cancelled` */
export function readNmeaLog(text: string, progress: ReadProgress = () => true): Outcome<FlightLog> {
  const log = new LogBuilder();
  const read = nmeaReader();
  let [fixes, last_s] = [0, 0];
  const keep = ({ time_ms, position, altitude_m, groundSpeed_mps, track_rad }: Fix, line: number): boolean => {
    if (!log.begin(time_ms / 1000)) return false;
    fixes += 1;
    last_s = time_ms / 1000;
    log.set("latitude_deg", position.latitude_deg, line);
    log.set("longitude_deg", position.longitude_deg, line);
    log.set("altitudeGps_m", altitude_m ?? NaN, line);
    log.set("groundSpeed_mps", groundSpeed_mps ?? NaN, line);
    log.set("track_rad", track_rad ?? NaN, line);
    return true;
  };
  const whole = eachLine(
    text,
    (line, number) => {
      const found = read(line);
      if (found.kind === "fault") log.fault(number, found.message);
      return found.kind === "fix" ? keep(found.fix, number) : true;
    },
    progress,
  );
  if (!whole) return { ok: false, issue: NO_LOG.cancelled };
  if (fixes === 0) return { ok: false, issue: NO_LOG.empty };
  return success(log.log({ format: "nmea", clock: last_s > DATED_S ? "utc" : "elapsed", aircraft: null }));
}
