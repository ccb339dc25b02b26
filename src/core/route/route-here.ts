// A flight's cursor: at one point of it, what each place would cost, the best first.
import { geodesicBetween } from "../earth/geodesic";
import { type WayPoint, wayFrom } from "../cover/cover-way";
import { CoverLeg } from "../cover/cover-metric";
import { legClears } from "../cover/leg-clearance";
import { airAtAltitude } from "../air/altimetry";
import { wrapHalfTurn } from "../quantities/angle";
import { plannedReaction_s } from "../situation/pilot-practice";
import { draws, pilotScatter } from "../situation/scatter";
import type { WorkingStep } from "../working";
import { chanceOfPlace } from "./chance-of-place";
import { type FlightPoint, type RouteAnswer, coverOn } from "./route-answer";
import type { RouteField } from "./route-field";
import type { RoutePlace, RouteQuestion } from "./route-question";

/** What a place costs from a point of the flight. */
export interface PlaceHere {
  readonly place: RoutePlace;
  readonly bearingTrue_rad: number;
  readonly distance_m: number;
  readonly altitude_m: number;
  readonly reaction_m: number;
  readonly turn_m: number;
  readonly straight_m: number;
  readonly overhead_m: number;
  readonly reserve_m: number;
  /** What is left; negative: short. */
  readonly margin_m: number;
  /** The straight way is blocked by ground; the way goes round it. */
  readonly round: boolean;
}

/** The cursor. */
export interface RouteHere {
  readonly point: FlightPoint;
  /** At most three, the best first. */
  readonly places: readonly PlaceHere[];
  /** Share of seeded draws that reach some place; null where none is known. */
  readonly chance: number | null;
  /** The way to the best, in the plane. */
  readonly way: readonly WayPoint[];
}

const MOST_PLACES = 3;
/** A share of so many draws is known to 2 in 100. */
const SAMPLE = draws(1, 2000);

/** The point of a flight nearest to a distance along it. */
export function pointAt<P extends { readonly distance_m: number }>(points: readonly P[], distance_m: number): P {
  let [low, high] = [0, points.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (points[middle].distance_m > distance_m) high = middle;
    else low = middle;
  }
  return distance_m - points[low].distance_m < points[high].distance_m - distance_m ? points[low] : points[high];
}

/** What the cursor tells. */
export function routeHere(
  question: RouteQuestion,
  cover: RouteField,
  answer: Pick<RouteAnswer, "points">,
  distance_m: number,
): RouteHere {
  const point = pointAt(answer.points, distance_m);
  const { field, places, glide, performance } = cover;
  const { overhead_m } = question.route;
  const { reserve_m } = question.plan;
  const reaction_s = plannedReaction_s(question.pilot);
  const { sigma } = airAtAltitude(point.altitude_m, question.air);
  const moved_m = point.groundSpeed_mps * reaction_s;
  const [x, y] = [point.x_m + moved_m * Math.sin(point.track_rad), point.y_m + moved_m * Math.cos(point.track_rad)];
  const reaction_m = (reaction_s * glide.sinkEas_mps) / Math.sqrt(sigma);
  const leg = new CoverLeg(field.metric);
  const { west_m, south_m, cell_m } = field.grid;
  const held = coverOn(question, cover, point, point);
  const costs = places.map((place, i): PlaceHere => {
    const site = field.sites[i];
    const [dx, dy] = [site.x_m - x, site.y_m - y];
    const away_m = Math.hypot(dx, dy);
    const angle_rad =
      away_m < performance.turnRadiusSeaLevel_m / sigma
        ? 0
        : Math.abs(wrapHalfTurn(Math.atan2(dx, dy) - point.track_rad));
    const turn_m = (angle_rad * performance.turnHeightPerRadianSeaLevel_m) / sigma;
    leg.set(site.altitude_m, dx, dy, true);
    const clear = legClears(
      field,
      leg,
      (site.x_m - west_m) / cell_m,
      (site.y_m - south_m) / cell_m,
      -dx / cell_m,
      -dy / cell_m,
    );
    const line = geodesicBetween(point.position, place.position);
    // Round the ground only the place that holds the cover is known the cost of.
    const round = !clear && held.place === i && held.cover_m !== null;
    const needed_m = round ? (held.cover_m ?? Infinity) : leg.altitude_m(1) + reaction_m + turn_m;
    const spentTurn_m = round ? held.turn_m : turn_m;
    return {
      place,
      bearingTrue_rad: line.azimuthStart_rad,
      distance_m: line.distance_m,
      altitude_m: point.altitude_m,
      reaction_m,
      turn_m: spentTurn_m,
      straight_m: needed_m - reaction_m - spentTurn_m - site.altitude_m,
      overhead_m,
      reserve_m,
      margin_m: clear || round ? point.altitude_m - needed_m : -Infinity,
      round,
    };
  });
  const best = costs
    .filter(({ margin_m }) => Number.isFinite(margin_m))
    .sort((a, b) => b.margin_m - a.margin_m)
    .slice(0, MOST_PLACES);
  const first = best[0];
  const accounts = costs
    .filter(({ margin_m }) => Number.isFinite(margin_m))
    .map((cost) => ({ ...cost, bearing_rad: cost.bearingTrue_rad, spare_m: cost.margin_m + cost.reserve_m }));
  const planned = { reaction_s, bank_rad: question.pilot.bank_rad, sink_mps: glide.sinkEas_mps / Math.sqrt(sigma) };
  return {
    chance: chanceOfPlace(accounts, planned, pilotScatter(question.pilot), SAMPLE),
    point,
    places: best,
    way: first && first.margin_m >= 0 ? (wayFrom(field, x, y, point.altitude_m - reaction_m - first.turn_m) ?? []) : [],
  };
}

const CHANCE = "2 000 seeded draws; scatter: common practice, with the pilot's own where measured";
const GLIDE = "equilibrium of the straight glide; wind triangle at every height";

/** The working of the best place at the cursor. */
export function routeWorking({ point, places, chance }: RouteHere): WorkingStep[] {
  const step = (symbol: string, meaning: string, formula: string, value: number, source: string): WorkingStep => ({
    figure: "margin",
    symbol,
    meaning,
    formula,
    value,
    unit: "m",
    source,
  });
  const [best] = places;
  const planned = step("h", "planned altitude at the cursor", "", point.altitude_m, "route");
  if (!best)
    return [
      planned,
      { ...step("", "place in reach", "", 0, GLIDE), value: "none from any altitude that was looked at", unit: "" },
    ];
  return [
    planned,
    step("Δh_r", "reaction, the engine stopped", "t·w/√σ", best.reaction_m, "pilot's own; equilibrium"),
    step("Δh_t", "turn to the way", "Δψ·(dh/dψ)/σ", best.turn_m, "equilibrium of the gliding turn"),
    step(
      "Δh_s",
      best.round ? "way round the ground" : "straight",
      "S⁻¹(S(h) + d) − h, S = ∫(V_G/w) dh",
      best.straight_m,
      GLIDE,
    ),
    step("Δh_a", "height wanted overhead", "", best.overhead_m, "route plan"),
    step("Δh_0", "reserve", "", best.reserve_m, "approach plan"),
    step("z", `elevation of ${best.place.name}`, "", best.place.elevation_m, "places"),
    step("Δh", "in hand", "h − Δh_r − Δh_t − Δh_s − Δh_a − Δh_0 − z", best.margin_m, GLIDE),
    {
      ...step("P", "draws that reach some place, the reserve spent", "", chance ?? 0, CHANCE),
      figure: "chance",
      unit: "",
    },
  ];
}
