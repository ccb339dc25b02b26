// What is called out while an aircraft is followed along its planned flight: only what has changed.
import type { Gap } from "@/core/route/gap";
import type { Format } from "@/ui/kit/units/units-store";
import { minutes, minutesUntil } from "@/ui/kit/units/minutes";
import { NOW_S, comingGap, worstInWords } from "./route-words";

/** Where the followed aircraft is beside its flight. */
export interface BesideRoute {
  /** Of the nearest point of the flight. */
  readonly distance_m: number;
  readonly time_s: number;
  readonly planned_m: number;
  /** From there to the aircraft. */
  readonly off_m: number;
  readonly altitude_m: number;
}

/** A call, and what it is about: the same about is not called again. */
export interface RouteCall {
  readonly about: string;
  readonly text: string;
}

/** Farther than this it is off the route, and its cover is not the route's, m: 2 NM. */
const OFF_M = 3704;
/** A gap is called so long before it, s. */
const AHEAD_S = 180;
/** So far under the plan is low, m: 200 ft. */
const LOW_M = 60.96;

/** The nearest point of a flight to a position in its plane. */
export function besideRoute(
  points: readonly {
    readonly x_m: number;
    readonly y_m: number;
    readonly distance_m: number;
    readonly time_s: number;
    readonly altitude_m: number;
  }[],
  spot: { readonly x_m: number; readonly y_m: number; readonly altitude_m: number },
): BesideRoute | null {
  let [nearest, off_m] = [points[0], Infinity];
  for (const point of points) {
    const away_m = Math.hypot(point.x_m - spot.x_m, point.y_m - spot.y_m);
    if (away_m < off_m) [nearest, off_m] = [point, away_m];
  }
  if (points.length === 0) return null;
  const { distance_m, time_s, altitude_m } = nearest;
  return { distance_m, time_s, planned_m: altitude_m, off_m, altitude_m: spot.altitude_m };
}

/** The call of the present moment. @param none - what a gap has not: "no place", "no way" */
export function routeCall(
  { gaps }: { readonly gaps: readonly Gap[] },
  { distance_m, time_s, planned_m, off_m, altitude_m }: BesideRoute,
  none: string,
  format: Format,
): RouteCall {
  if (off_m > OFF_M)
    return { about: "off", text: `Off the route by ${format("distance", off_m)}: what is told holds along it.` };
  const low_m = planned_m - altitude_m;
  const low = low_m > LOW_M ? ` ${format("height", low_m, "up")} below the plan.` : "";
  const coming = comingGap({ gaps }, { distance_m, time_s });
  if (!coming) return { about: `clear${low && " low"}`, text: `No more gaps on this route.${low}` };
  const { index, gap, wait_s, inside } = coming;
  const short = worstInWords(gap, format);
  if (inside)
    return {
      about: `in ${index}${low && " low"}`,
      text: `In a gap, ${none}: ${minutes(Math.max(0, gap.time_s + wait_s))} more, ${short}.${low}`,
    };
  if (wait_s <= AHEAD_S)
    return {
      about: `ahead ${index}${low && " low"}`,
      text: `Gap ${wait_s < NOW_S ? "now" : `in ${minutesUntil(wait_s)}`}: ${minutes(gap.time_s)} with ${none}, ${short}.${low}`,
    };
  return { about: `before ${index}${low && " low"}`, text: `Next gap in ${minutesUntil(wait_s)}.${low}` };
}
