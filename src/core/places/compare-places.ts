// What an import would change: shown before anything is taken.
import { type LatLon, geodesicBetween } from "../earth/geodesic";
import { type Place, positionOf } from "./place";

/** How a place that arrives stands to those that are there. */
export type Arrival =
  | { readonly state: "new"; readonly place: Place }
  /** The same place, otherwise described; `before` is what is there. */
  | { readonly state: "changed"; readonly place: Place; readonly before: Place }
  | { readonly state: "same"; readonly place: Place; readonly before: Place }
  /** Another place that is likely the same. */
  | { readonly state: "double"; readonly place: Place; readonly before: Place };

/** All of an import. */
export interface Comparison {
  readonly arrivals: readonly Arrival[];
  /** Came with the same set before, and is not in it any more. */
  readonly gone: readonly Place[];
}

/** Ends nearer than this are one and the same to a hand that draws, m. */
const NEAR_M = 300;

/** Two places that are likely the same: of one name within 20 km, or of one kind within 300 m. */
export function likelySame(a: { name: string; at: LatLon }, b: { name: string; at: LatLon }): boolean {
  const away_m = geodesicBetween(a.at, b.at).distance_m;
  return away_m < NEAR_M || (away_m < 20_000 && a.name.trim().toLowerCase() === b.name.trim().toLowerCase());
}

/** What a place says, without what names the copy. */
function said({ id: _id, source: _source, ...place }: Place): string {
  const text = JSON.stringify(place, (key, value) => (key === "id" ? undefined : value));
  return text;
}

/**
 * Holds what arrives against what is there.
 *
 * @param setId - of the file; null when it is no set
 * @returns every arriving place under the id that it would be kept by
 */
export function comparePlaces(
  own: readonly Place[],
  arriving: readonly Place[],
  setId: string | null,
  newId: () => string,
): Comparison {
  const bySource = new Map(
    own.flatMap((place) => (place.source && place.source.set === setId ? [[place.source.id, place] as const] : [])),
  );
  const byId = new Map(own.map((place) => [place.id, place]));
  const arrivals = arriving.map((place): Arrival => {
    const source = setId === null ? place.source : { set: setId, id: place.id };
    const before = bySource.get(place.id) ?? byId.get(place.id);
    if (before) {
      const kept = { ...place, id: before.id, source: source ?? before.source };
      return { state: said(before) === said(place) ? "same" : "changed", place: kept, before };
    }
    const arrived = { ...place, id: setId === null ? place.id : newId(), source };
    const double = own.find((candidate) =>
      likelySame({ name: candidate.name, at: positionOf(candidate) }, { name: place.name, at: positionOf(place) }),
    );
    return double ? { state: "double", place: arrived, before: double } : { state: "new", place: arrived };
  });
  const ids = new Set(arriving.map(({ id }) => id));
  const gone = [...bySource].filter(([id]) => !ids.has(id)).map(([, place]) => place);
  return { arrivals, gone };
}
