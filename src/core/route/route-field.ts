// The cover that a planned flight is held against: the lowest altitude from which one of its places is in reach, over
// the ground about it. It does not depend on the route's points, so that moving one asks for nothing anew.
import { isAeroplane } from "../aircraft/aircraft-kind";
import type { Progress } from "../calculation";
import type { LatLon } from "../earth/geodesic";
import { type LocalPlane, localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { airAtAltitude } from "../air/altimetry";
import { type WindVector, windProfile } from "../air/wind";
import { type CoverField, inverseField } from "../cover/cover-field";
import { type CoverGrid, coverGrid } from "../cover/cover-grid";
import type { LegPerformance } from "../glide/glide-leg";
import { turnedWind } from "../landing/approach-problem";
import { type Outcome, failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { plannedReaction_s } from "../situation/pilot-practice";
import { type LeftOut, countedPlaces } from "./counted-places";
import { flatGround } from "./flat-ground";
import { type RouteDescent, routeDescent } from "./route-descent";
import type { RoutePlace, RouteQuestion } from "./route-question";

/** What the field is made from; the route's points and altitudes are not part of it. */
export type FieldQuestion = Omit<RouteQuestion, "route"> & {
  readonly route: Pick<RouteQuestion["route"], "overhead_m" | "places">;
};

/** How much is counted on. */
export type Outlook = "nominal" | "pessimistic";

/** The cover, with what it was made from. */
export interface RouteField {
  readonly field: CoverField;
  readonly plane: LocalPlane;
  /** What lies under it, cell by cell. */
  readonly ground: TerrainGrid;
  /** By the field's index of a place. */
  readonly places: readonly RoutePlace[];
  readonly glide: RouteDescent["glide"];
  readonly performance: LegPerformance;
  readonly wind: (altitude_m: number) => WindVector;
  /** No terrain is known: the ground is taken as flat, at the lowest place. */
  readonly flat: boolean;
  /** Places that do not count. */
  readonly left: readonly LeftOut[];
}

/** Pessimistic: so much of the glide's ratio, and so much wind against. Common practice. */
const PESSIMISTIC = { ratioShare: 0.94, against_mps: 5 * MPS_PER_KT };
/**
 * Altitudes that the glide's table holds above the highest ground, and up to where its kind of aircraft is flown.
 * Ground that is taken as flat reaches as far as a glide from there in still air.
 */
const ABOVE_M = 3500;
const HIGHEST_M = { jet: 15_000, propeller: 9000, rotor: 5000 };

/**
 * Works the cover out.
 *
 * @param terrain - on the plane about `origin`; null where none is known
 * @param floors - the ground with what is wanted over it: who asks again in another wind keeps it
 * @returns failures of polar, wind and turn; `no_places`, `no_place_on_ground`, `cancelled`
 */
export function routeField(
  question: FieldQuestion,
  terrain: TerrainGrid | null,
  origin: LatLon,
  outlook: Outlook,
  progress?: Progress,
  floors: typeof coverGrid = coverGrid,
): Outcome<RouteField> {
  const judged = countedPlaces(question);
  if (!judged.ok) return judged;
  const { counted, left } = judged.value;
  if (counted.length === 0) return noPlaces(question.aircraft.name, left);
  const plane = localPlane(origin);
  const ground_m = Math.min(...counted.map(({ elevation_m }) => elevation_m));
  const descent = routeDescent(question, ground_m);
  if (!descent.ok) return descent;
  const { glide, performance } = descent.value;
  const wind = windProfile(turnedWind(question.wind, plane.convergence_rad(counted[0].position)), ground_m);
  if (!wind.ok) return wind;
  const all = counted.map((place) => ({ place, ...plane.toPlane(place.position) }));
  const top_m = Math.max(HIGHEST_M[kindOf(question.aircraft)], ground_m + ABOVE_M);
  const ground = terrain ?? flatGround(all, ground_m, origin, glide.ratio * (top_m - ground_m));
  const { west_m, south_m, cell_m, columns, rows } = ground;
  const on = all.filter(
    ({ x_m, y_m }) =>
      x_m >= west_m && y_m >= south_m && x_m <= west_m + cell_m * (columns - 1) && y_m <= south_m + cell_m * (rows - 1),
  );
  if (on.length === 0) return failure("no_place_on_ground", "None of the places lies on the terrain in use.", "places");
  const sites = on.map(({ place, x_m, y_m }) => ({
    x_m,
    y_m,
    altitude_m: place.elevation_m + question.route.overhead_m + question.plan.reserve_m,
  }));
  const grid = floors(ground, terrain ? question.plan.clearance_m : 0, sites);
  const [low_m, high_m] = heightsOf(grid, ground_m, top_m);
  const { ratioShare, against_mps } = outlook === "nominal" ? { ratioShare: 1, against_mps: 0 } : PESSIMISTIC;
  const metric = descent.value.metric({
    wind: wind.value,
    low_m,
    high_m,
    ratioShare,
    against_mps,
  });
  const field = inverseField(grid, sites, metric, progress);
  if (!field.ok) return field;
  return success({
    field: field.value,
    plane,
    ground,
    places: on.map(({ place }) => place),
    glide,
    performance,
    wind: wind.value,
    flat: terrain === null,
    left: [
      ...left,
      ...all.filter((entry) => !on.includes(entry)).map(({ place }): LeftOut => ({ place, why: "beyond" })),
    ],
  });
}

/** Why no place is left. */
function noPlaces(name: string, left: readonly LeftOut[]): Outcome<never> {
  const unfit = left.filter(({ why }) => why === "too-short" || why === "wind").length;
  return failure(
    "no_places",
    unfit > 0
      ? `No place counts: ${unfit} near here are too short for ${name} by the landing plan, or have too much wind.`
      : "No place counts: allow more kinds or shorter ones, or enter places.",
    "route.places",
  );
}

/** Height that the reaction and a quarter of a turn cost: what is counted where the heading is not known. */
export function quarterTurn_m(
  { pilot, air }: Pick<RouteQuestion, "pilot" | "air">,
  { glide, performance }: Pick<RouteField, "glide" | "performance">,
  altitude_m: number,
): number {
  const { sigma } = airAtAltitude(altitude_m, air);
  return (
    (plannedReaction_s(pilot) * glide.sinkEas_mps) / Math.sqrt(sigma) +
    ((Math.PI / 2) * performance.turnHeightPerRadianSeaLevel_m) / sigma
  );
}

function heightsOf({ floor_m }: CoverGrid, ground_m: number, top_m: number): [number, number] {
  let highest_m = ground_m;
  for (let i = 0; i < floor_m.length; i += 1)
    if (floor_m[i] > highest_m && floor_m[i] !== Infinity) highest_m = floor_m[i];
  return [ground_m - 100, Math.max(highest_m + ABOVE_M, top_m)];
}

function kindOf(aircraft: FieldQuestion["aircraft"]): keyof typeof HIGHEST_M {
  if (!isAeroplane(aircraft)) return "rotor";
  return aircraft.engines.kind === "jet" ? "jet" : "propeller";
}
