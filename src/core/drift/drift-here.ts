// A flight's cursor on one engine: each alternate by its own way, and on by the route, with what it costs in height.
import { geodesicBetween } from "../earth/geodesic";
import type { PlanePoint } from "../earth/local-plane";
import type { RouteField } from "../route/route-field";
import { pointAt } from "../route/route-here";
import type { RoutePlace } from "../route/route-question";
import type { WorkingStep } from "../working";
import { type DriftAnswer, type DriftPoint, wayGround } from "./drift-answer";
import { clearanceShare } from "./corridor";
import type { Alternate, DriftField } from "./drift-field";
import { type FlownPoint, closestOf, flyWay, groundOf, turnsTo } from "./drift-way";
import type { OneEngineState } from "./one-engine-path";

/** A way from the cursor, and its account: from the altitude down to the ground where the way is nearest to it. */
export interface WayHere {
  readonly place: RoutePlace;
  readonly by: "straight" | "round" | "route";
  readonly bearingTrue_rad: number;
  readonly distance_m: number;
  readonly time_s: number;
  readonly altitude_m: number;
  readonly feathering_m: number;
  /** Drift-down to the closest point, gross, and what the net path is lower there. */
  readonly drift_m: number;
  readonly net_m: number;
  /** Height wanted over the ground there. */
  readonly clearance_m: number;
  readonly ground_m: number;
  /** What is left; negative: short; −∞ where the ground is not known. */
  readonly margin_m: number;
  /** How far away that is. */
  readonly closest_m: number;
  readonly flown: readonly FlownPoint[];
}

/** The cursor. */
export interface DriftHere {
  readonly point: DriftPoint;
  readonly state: OneEngineState;
  /** Gross rate of climb at the altitude. */
  readonly climb_mps: number;
  /** The nearest in time that clears first; at most three. */
  readonly ways: readonly WayHere[];
  /** The alternate that it is over, low: its take-off and approach have their own figures; null anywhere else. */
  readonly over: RoutePlace | null;
  /** On by the route, from the cursor; null where it leads to none of the alternates. */
  readonly onward: WayHere | null;
}

const MOST_WAYS = 3;
/** A circuit is flown no higher over its aerodrome than this, m: 1,000 ft. */
const CIRCUIT_M = 304.8;
/** A route that ends so near to an alternate leads there, m. */
const LEADS_TO_M = 5000;

/** What the cursor tells. */
export function driftHere(
  cover: RouteField,
  drift: DriftField,
  answer: Pick<DriftAnswer, "points">,
  distance_m: number,
): DriftHere {
  const point = pointAt(answer.points, distance_m);
  const { path, alternates } = drift;
  const ground = wayGround(cover, drift);
  const state = path.at(point.altitude_m);
  const from_m = point.altitude_m - state.feathering_m;
  const account = ({ place }: Alternate, by: WayHere["by"], turns: readonly PlanePoint[]): WayHere => {
    const flown = flyWay(ground, turns, from_m);
    const closest = closestOf(flown);
    const last = flown[flown.length - 1];
    const ground_m = Math.min(groundOf(drift.ground, closest) ?? -Infinity, closest.floor_m);
    const { azimuthStart_rad } = geodesicBetween(point.position, place.position);
    return {
      place,
      by,
      bearingTrue_rad: azimuthStart_rad,
      distance_m: last.distance_m,
      time_s: last.time_s,
      altitude_m: point.altitude_m,
      feathering_m: state.feathering_m,
      drift_m: from_m - closest.gross_m,
      net_m: closest.gross_m - closest.net_m,
      clearance_m: closest.floor_m - ground_m,
      ground_m,
      margin_m: closest.net_m - closest.floor_m,
      closest_m: closest.distance_m,
      flown,
    };
  };
  const direct = alternates.map((alternate) => {
    const turns = turnsTo(alternate, point, from_m) ?? [point, alternate.spot];
    return account(alternate, turns.length > 2 ? "round" : "straight", turns);
  });
  const end = answer.points[answer.points.length - 1];
  const leadsTo = alternates.find(({ spot }) => Math.hypot(spot.x_m - end.x_m, spot.y_m - end.y_m) <= LEADS_TO_M);
  const ahead = answer.points.filter((other) => other.distance_m > point.distance_m);
  const onward = leadsTo && ahead.length > 0 ? account(leadsTo, "route", [point, ...ahead, leadsTo.spot]) : null;
  const known = [...direct, ...(onward ? [onward] : [])].filter(({ margin_m }) => Number.isFinite(margin_m));
  const clears = ({ margin_m }: WayHere) => margin_m >= 0;
  const ways = known.sort((a, b) =>
    clears(a) !== clears(b) ? (clears(a) ? -1 : 1) : clears(a) ? a.time_s - b.time_s : b.margin_m - a.margin_m,
  );
  const over = alternates.find(
    ({ spot, place }) => clearanceShare(point, [spot]) === 0 && point.altitude_m < place.elevation_m + CIRCUIT_M,
  );
  return {
    point,
    state,
    over: over?.place ?? null,
    climb_mps: path.climb_mps(point.altitude_m, 0),
    ways: ways.slice(0, MOST_WAYS),
    onward,
  };
}

const NET = "equilibrium on one engine; sinγ − decrement";

/** The working of one of the ways, by its place in the order. */
export function driftWorking({ point, state, ways }: DriftHere, index: number): WorkingStep[] {
  const step = (symbol: string, meaning: string, formula: string, value: number, unit: string, source: string) => ({
    figure: "margin",
    symbol,
    meaning,
    formula,
    value,
    unit,
    source,
  });
  const planned = step("h", "planned altitude at the cursor", "", point.altitude_m, "m", "route");
  const best = ways.at(index);
  if (!best) return [planned, { ...step("", "way to an alternate", "", 0, "", NET), value: "the ground is not known" }];
  return [
    planned,
    step("V", "speed held on one engine, equivalent", "", state.eas_mps, "m/s", "best rate; jets: best gradient"),
    step("sinγ", "gross gradient at this altitude", "(T − D)/W", state.sine, "", "equilibrium on one engine"),
    step("Δh_f", "until the propeller is feathered", "∫ −w dt", best.feathering_m, "m", "drag comes up over 6 s"),
    step("d", `closest point of the way to ${best.place.name}`, "", best.closest_m, "m", "the least of h_net − floor"),
    step("Δh_g", "drift-down to there, gross", "S⁻¹(S(h) − d), S = ∫(V_G/w) dh", best.drift_m, "m", NET),
    step("Δh_n", "lower on the net path", "", best.net_m, "m", `${NET}; 14 CFR 25.123 (memory)`),
    step("Δh_c", "height wanted over the ground", "", best.clearance_m, "m", "route plan; near aerodromes less"),
    step("z", "highest ground that counts there", "", best.ground_m, "m", "terrain"),
    step("Δh", "in hand", "h − Δh_f − Δh_g − Δh_n − Δh_c − z", best.margin_m, "m", NET),
  ];
}
