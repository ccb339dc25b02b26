// An engine with N minutes left at a point of a planned flight, over the ground and with the places that count: climb
// with it, fly level or shut it down now; from when on a place is in reach, and which way.
import { groundSpeed_mps } from "../air/wind-triangle";
import { coverAt } from "../cover/cover-way";
import { floorAt_m } from "../cover/cover-grid";
import type { PlanePoint } from "../earth/local-plane";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { type Outcome, success } from "../outcome";
import { type RouteField, quarterTurn_m } from "../route/route-field";
import type { AeroplaneRouteQuestion, RoutePlace } from "../route/route-question";
import { type MinutesChoice, STEP_S, minutesSpeeds } from "./minutes-left";

/** Where one choice leads. */
export interface MinutesByGround {
  readonly choice: MinutesChoice;
  /** Direction flown, in the plane; null for the shut-down. */
  readonly track_rad: number | null;
  /** The place that is in reach at the end, or is the nearest to that; null where none is known. */
  readonly place: RoutePlace | null;
  /** In hand over what is needed when the engine stops; −∞ where no altitude helps. */
  readonly margin_m: number;
  /** From when on, and until it stops, a place is in reach; null when none is at the end. */
  readonly inReach_s: number | null;
  /** Altitude when the engine stops. */
  readonly top_m: number;
  /** Flown with the engine. */
  readonly flown: readonly PlanePoint[];
}

/** Directions that are tried, beside those to the places. */
const DIRECTIONS = 24;

/**
 * The choices, the one first from which a place is in reach the soonest, then the one with the most in hand.
 *
 * @param left_s - until the engine stops
 * @returns failures of the speeds
 */
export function minutesByGround(
  question: AeroplaneRouteQuestion,
  cover: RouteField,
  from: PlanePoint & { readonly altitude_m: number },
  left_s: number,
): Outcome<MinutesByGround[]> {
  const speeds = minutesSpeeds(question, from.altitude_m);
  if (!speeds.ok) return speeds;
  const { flight, climb_mps, level_mps, rate_mps } = speeds.value;
  const { field, places } = cover;
  const marginAt = ({ x_m, y_m }: PlanePoint, altitude_m: number) => {
    const here = coverAt(field, x_m, y_m);
    return here
      ? {
          margin_m: altitude_m - here.altitude_m - quarterTurn_m(question, cover, altitude_m),
          place: places[here.site],
        }
      : { margin_m: -Infinity, place: null };
  };
  const now = marginAt(from, from.altitude_m);
  const shutDown: MinutesByGround = {
    choice: "shut-down",
    track_rad: null,
    ...now,
    inReach_s: now.margin_m >= 0 ? 0 : null,
    top_m: from.altitude_m,
    flown: [from],
  };
  const low_m = floorOf(cover, from);
  /** Flies one way until the engine stops; null where the ground is in the way. */
  const fly = (choice: MinutesChoice, eas_mps: number, track_rad: number): MinutesByGround | null => {
    const [east, north] = [Math.sin(track_rad), Math.cos(track_rad)];
    const cas = heldCas_mps(eas_mps, from.altitude_m, question.air);
    let { x_m, y_m, altitude_m } = from;
    let inReach_s: number | null = now.margin_m >= 0 ? 0 : null;
    let here: { margin_m: number; place: RoutePlace | null } = now;
    const flown: PlanePoint[] = [from];
    for (let time_s = 0; time_s < left_s - 1e-9;) {
      const step_s = Math.min(STEP_S, left_s - time_s);
      const { tas_mps, sine } = flight.excess(eas_mps, altitude_m);
      const speed_mps = groundSpeed_mps(tas_mps, cover.wind(altitude_m), east, north);
      if (!(speed_mps > 0)) return null;
      const factor = 1 + accelerationFactor(cas, altitude_m, question.air);
      if (choice === "climb") altitude_m += (tas_mps * Math.max(sine, 0) * step_s) / factor;
      x_m += speed_mps * east * step_s;
      y_m += speed_mps * north * step_s;
      time_s += step_s;
      // Where it is too low to begin with it need only not come lower over the ground.
      if (altitude_m < Math.min(floorOf(cover, { x_m, y_m }), Math.max(low_m, from.altitude_m))) return null;
      here = marginAt({ x_m, y_m }, altitude_m);
      inReach_s = here.margin_m >= 0 ? (inReach_s ?? time_s) : null;
      flown.push({ x_m, y_m });
    }
    return { choice, track_rad, ...here, inReach_s, top_m: altitude_m, flown };
  };
  const tracks = [
    ...Array.from({ length: DIRECTIONS }, (_, i) => (i * 2 * Math.PI) / DIRECTIONS),
    ...field.sites.map((site) => Math.atan2(site.x_m - from.x_m, site.y_m - from.y_m)),
  ];
  const best = (choice: MinutesChoice, eas_mps: number) =>
    tracks.flatMap((track_rad) => fly(choice, eas_mps, track_rad) ?? []).sort(inOrder)[0];
  const choices = [
    shutDown,
    ...(rate_mps > 0 ? [best("climb", climb_mps)] : []),
    ...(level_mps === null ? [] : [best("level", level_mps)]),
  ];
  return success(choices.filter((choice) => choice !== undefined).sort(inOrder));
}

/** In reach sooner, then more in hand. */
function inOrder(a: MinutesByGround, b: MinutesByGround): number {
  const soon = (a.inReach_s ?? Infinity) - (b.inReach_s ?? Infinity);
  return Number.isNaN(soon) || soon === 0 ? b.margin_m - a.margin_m : soon;
}

/** Lowest altitude at a point of the field; Infinity where the ground is not known. */
function floorOf({ field: { grid } }: RouteField, { x_m, y_m }: PlanePoint): number {
  return floorAt_m(grid, (x_m - grid.west_m) / grid.cell_m, (y_m - grid.south_m) / grid.cell_m);
}
