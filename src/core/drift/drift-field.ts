// From how low each alternate is reached on one engine, over the ground that counts on the way. It does not depend on
// the route's points but by the alternates that are nearest to them.
import type { Progress } from "../calculation";
import { type CoverField, inverseField } from "../cover/cover-field";
import { type TerrainGrid } from "../earth/terrain";
import type { PlanePoint } from "../earth/local-plane";
import { type Outcome, failure, success } from "../outcome";
import { flatGround } from "../route/flat-ground";
import type { RouteField } from "../route/route-field";
import type { RoutePlace } from "../route/route-question";
import { type Corridor, corridor, corridorFloor } from "./corridor";
import { driftMetric } from "./drift-metric";
import type { DriftQuestion } from "./drift-question";
import { type OneEnginePath, oneEnginePath } from "./one-engine-path";

/** An alternate with its field. */
export interface Alternate {
  readonly place: RoutePlace;
  readonly spot: PlanePoint;
  readonly field: CoverField;
}

/** The fields, with what they were made from. */
export interface DriftField {
  readonly alternates: readonly Alternate[];
  readonly path: OneEnginePath;
  readonly ground: Corridor;
}

/** So many alternates are looked at. */
const MOST_ALTERNATES = 4;
/** Where no terrain is known, ground so far about route and alternates is taken as flat, m. */
const FLAT_ABOUT_M = 40_000;
/** Altitudes above the route that are looked at, m. */
const ABOVE_M = 4000;

/**
 * Works the fields out.
 *
 * @param cover - of the same question, for plane, wind and the places that count
 * @param terrain - as for the cover
 * @returns failures of the path; `no_alternates`, `cancelled`
 */
export function driftField(
  question: DriftQuestion,
  cover: RouteField,
  terrain: TerrainGrid | null,
  progress?: Progress,
): Outcome<DriftField> {
  const { route } = question;
  const highest_m = Math.max(route.altitude_m, ...route.points.map(({ altitude_m }) => altitude_m ?? 0));
  const path = oneEnginePath(question, highest_m + ABOVE_M);
  if (!path.ok) return path;
  const places = alternatesOf(question, cover);
  if (places.length === 0)
    return failure(
      "no_alternates",
      "No alternate: none of the runways on this ground is long enough for this aircraft by the landing plan in today's wind.",
      "route.oneEngine.alternates",
    );
  const spots = places.map((place) => ({ ...cover.plane.toPlane(place.position), elevation_m: place.elevation_m }));
  const { elevation_m } = places[0];
  // Level on one engine it may come from anywhere on the route.
  const line = route.points.map(({ position }) => cover.plane.toPlane(position));
  const flat = () => flatGround([...spots, ...line], elevation_m, cover.plane.origin, FLAT_ABOUT_M);
  const ground = corridor(terrain ?? flat(), route.oneEngine.beside_m);
  const grid = corridorFloor(ground, terrain ? route.oneEngine.clearance_m : 0, spots);
  const metric = driftMetric(path.value, route.oneEngine.decrement, cover.wind);
  const alternates: Alternate[] = [];
  for (const [i, place] of places.entries()) {
    const { x_m, y_m } = spots[i];
    // Under power it comes in as it always does: no height is wanted overhead.
    const site = { x_m, y_m, altitude_m: place.elevation_m };
    const field = inverseField(grid, [site], metric, progress);
    if (!field.ok) return field;
    alternates.push({ place, spot: spots[i], field: field.value });
  }
  return success({ alternates, path: path.value, ground });
}

/** The runways chosen that count, or those nearest to the ends of the route and then to the way between. */
function alternatesOf({ route }: DriftQuestion, { places, plane }: RouteField): RoutePlace[] {
  const runways = places.filter(({ kind }) => kind === "runway");
  const chosen = runways.filter(({ id }) => route.oneEngine.alternates.includes(id));
  if (chosen.length > 0) return chosen.slice(0, MOST_ALTERNATES);
  const line = route.points.map(({ position }) => plane.toPlane(position));
  if (line.length === 0) return [];
  const away = runways.map((place) => {
    const spot = plane.toPlane(place.position);
    return { place, spot, away_m: Math.min(...line.map((point) => distance_m(point, spot))) };
  });
  const nearest = (point: PlanePoint) =>
    [...away].sort((a, b) => distance_m(a.spot, point) - distance_m(b.spot, point))[0];
  const ends = [line[0], line[line.length - 1]].flatMap((point) => nearest(point) ?? []);
  const others = [...away].sort((a, b) => a.away_m - b.away_m);
  return [...new Set([...ends, ...others])].slice(0, MOST_ALTERNATES).map(({ place }) => place);
}

const distance_m = (a: PlanePoint, b: PlanePoint) => Math.hypot(a.x_m - b.x_m, a.y_m - b.y_m);
