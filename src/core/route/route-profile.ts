// The planned flight along its line: altitude, speed, time and fuel.
import { isAeroplane } from "../aircraft/aircraft-kind";
import type { WindVector } from "../air/wind";
import { groundSpeed_mps } from "../air/wind-triangle";
import { type Outcome, failure, success } from "../outcome";
import { M_PER_FT } from "../quantities/constants";
import { BAND_M, CEILING_MPS, climbTable } from "./climb-table";
import type { LinePoint } from "./route-line";
import { routePower } from "./route-power";
import type { RouteQuestion } from "./route-question";

/** A moment of the flight, at a point of the line. */
export interface ProfilePoint {
  readonly altitude_m: number;
  readonly time_s: number;
  readonly groundSpeed_mps: number;
  readonly phase: "climb" | "level" | "descent";
}

/** How the flight is flown. */
export interface RouteProfile {
  readonly points: readonly ProfilePoint[];
  /** True airspeed of the cruise at its altitude. */
  readonly tas_mps: number;
  readonly climbEas_mps: number;
  readonly descent_mps: number;
  readonly fuel_m3: number | null;
  /** Altitude that is planned and not climbed to: the ceiling at full power; null where all are. */
  readonly ceiling_m: number | null;
}

/** Rate of descent where none is given; a jet's is about three degrees. Common practice. */
const DESCENT_MPS = (500 * M_PER_FT) / 60;
const JET_DESCENT_MPS = (1800 * M_PER_FT) / 60;
function usualDescent_mps(aircraft: RouteQuestion["aircraft"]): number {
  return isAeroplane(aircraft) && aircraft.engines.kind === "jet" ? JET_DESCENT_MPS : DESCENT_MPS;
}

/**
 * Flies the plan: from the first altitude at the aircraft's own climb, level where that is reached, down at a steady
 * rate so that the last altitude is met at the end.
 *
 * @param ends - altitudes at which it begins and ends
 * @returns failures of the polar; `no_cruise`, `wind_exceeds_airspeed`
 */
export function routeProfile(
  question: RouteQuestion,
  line: readonly LinePoint[],
  ends: { readonly first_m: number; readonly last_m: number },
  wind: (altitude_m: number) => WindVector,
): Outcome<RouteProfile> {
  const { aircraft, route } = question;
  const ready = routePower(question);
  if (!ready.ok) return ready;
  const power = ready.value;
  const planned = (leg: number) => route.points[leg].altitude_m ?? route.altitude_m;
  const low_m = Math.min(ends.first_m, ends.last_m);
  const high_m = Math.max(route.altitude_m, ...route.points.map(({ altitude_m }) => altitude_m ?? route.altitude_m));
  const climb = climbTable(power, route, low_m, Math.max(high_m, low_m + BAND_M));
  // Higher than it climbs, it cruises where its climb ends.
  const cruise_mps = route.tas_mps ?? power.cruiseTas_mps(Math.min(route.altitude_m, climb.ceiling_m));
  if (cruise_mps === null)
    return failure(
      "no_cruise",
      `${aircraft.name} does not hold its height at the cruise altitude with the usual power: give a speed, or fly lower.`,
      "route.altitude_m",
    );
  const descent_mps = route.descent_mps ?? usualDescent_mps(aircraft);
  const groundSpeed = (tas_mps: number, altitude_m: number, track_rad: number) =>
    groundSpeed_mps(tas_mps, wind(altitude_m), Math.sin(track_rad), Math.cos(track_rad));
  // Down to the end, seen from there: what may be left of the altitude at each point.
  const mostToEnd_m = new Float64Array(line.length);
  mostToEnd_m[line.length - 1] = ends.last_m;
  for (let i = line.length - 2; i >= 0; i -= 1) {
    const speed_mps = groundSpeed(cruise_mps, mostToEnd_m[i + 1], line[i].track_rad);
    const step_m = line[i + 1].distance_m - line[i].distance_m;
    mostToEnd_m[i] = speed_mps > 0 ? mostToEnd_m[i + 1] + (descent_mps * step_m) / speed_mps : Infinity;
  }
  const points: ProfilePoint[] = [];
  let [altitude_m, time_s] = [ends.first_m, 0];
  let ceiling_m: number | null = null;
  for (let i = 0; i < line.length; i += 1) {
    const wanted_m = planned(line[i].leg);
    const { rate_mps, tas_mps } = climb.at(altitude_m);
    const tooHigh = altitude_m > mostToEnd_m[i] + 1e-6 || altitude_m > wanted_m + 1e-6;
    const climbs = !tooHigh && altitude_m < Math.min(wanted_m, mostToEnd_m[i]) - 1e-6 && rate_mps > CEILING_MPS;
    if (!tooHigh && altitude_m < wanted_m - 1 && rate_mps <= CEILING_MPS) ceiling_m = altitude_m;
    const speed_mps = groundSpeed(climbs ? tas_mps : cruise_mps, altitude_m, line[i].track_rad);
    if (!(speed_mps > 0.5))
      return failure(
        "wind_exceeds_airspeed",
        `The wind is as fast as the aircraft: from ${route.points[line[i].leg].name} on it makes no headway.`,
        `route.points.${line[i].leg}`,
      );
    const here = { altitude_m, time_s, groundSpeed_mps: speed_mps };
    if (i === line.length - 1) {
      points.push({ ...here, phase: points[i - 1]?.phase ?? "level" });
      break;
    }
    const step_s = (line[i + 1].distance_m - line[i].distance_m) / speed_mps;
    time_s += step_s;
    const cap_m = Math.min(wanted_m, mostToEnd_m[i + 1]);
    if (climbs) altitude_m = Math.min(altitude_m + rate_mps * step_s, cap_m);
    else if (altitude_m > cap_m) altitude_m = Math.max(altitude_m - descent_mps * step_s, cap_m);
    points.push({ ...here, phase: climbs ? "climb" : altitude_m < here.altitude_m ? "descent" : "level" });
  }
  return success({
    points,
    tas_mps: cruise_mps,
    climbEas_mps: climb.eas_mps,
    descent_mps,
    fuel_m3: route.flow_m3ph === null ? null : (route.flow_m3ph * time_s) / 3600,
    ceiling_m,
  });
}
