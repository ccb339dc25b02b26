// How the places that are worked on stand to what the server has.
import type { Place } from "@/core/places/place";
import type { StoredPlace } from "@/server/places";
import { type KnownPlace, type PlacesState, setSilently, usePlacesStore } from "./places-store";

/** Whether two places say the same. */
export const same = (a: Place, b: Place): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Places that differ from what the server has, and what has to become of them there. */
export type PlaceChange =
  | { readonly kind: "add"; readonly place: Place }
  | { readonly kind: "save"; readonly place: Place; readonly version: number }
  | { readonly kind: "delete" | "restore"; readonly id: string };

/** What is not stored yet. */
export function placeChanges({ places, known }: Pick<PlacesState, "places" | "known">): PlaceChange[] {
  const changes: PlaceChange[] = [];
  const here = new Set<string>();
  for (const place of places) {
    here.add(place.id);
    const stored = known.get(place.id);
    if (!stored) changes.push({ kind: "add", place });
    else if (stored.deleted) changes.push({ kind: "restore", id: place.id });
    else if (!same(stored.document, place)) changes.push({ kind: "save", place, version: stored.version });
  }
  for (const [id, stored] of known) if (!stored.deleted && !here.has(id)) changes.push({ kind: "delete", id });
  return changes;
}

/**
 * Takes over what the server lists. What was changed here since stays changed; what is as it was follows the server.
 *
 * @param stored - all places of the account
 */
export function adoptPlaces(stored: readonly StoredPlace[]): void {
  const { places, known } = usePlacesStore.getState();
  const listed = new Map(stored.map((place) => [place.id, place]));
  const untouched = (place: Place) => {
    const before = known.get(place.id);
    return before !== undefined && same(before.document, place);
  };
  const kept = places.flatMap((place): Place[] => {
    const now = listed.get(place.id);
    if (!untouched(place)) return [place];
    if (now) return [same(now.document, place) ? place : now.document];
    return [];
  });
  const here = new Set(places.map(({ id }) => id));
  const arriving = stored.filter(({ id }) => !here.has(id) && (known.get(id)?.deleted ?? true));
  const next = new Map<string, KnownPlace>(
    stored.map(({ id, version, document }) => {
      const before = known.get(id);
      // A place that was changed here is compared with what it was made from: the server says whether that still holds.
      const place = places.find((candidate) => candidate.id === id);
      return [id, before && place && !untouched(place) ? before : { version, document, deleted: false }];
    }),
  );
  for (const [id, before] of known) if (!next.has(id) && before.deleted) next.set(id, before);
  const all = [...kept, ...arriving.map(({ document }) => document)];
  const unchanged = all.length === places.length && all.every((place, i) => place === places[i]);
  setSilently({ places: unchanged ? places : all, known: next });
}

/** What is not stored yet, as a browser keeps it: places that are new or changed, and what the server has of those. */
export interface KeptChanges {
  readonly places: readonly Place[];
  /** Of those places, and of deleted ones. */
  readonly known: readonly (readonly [string, KnownPlace])[];
}

/** What is worth keeping; null when everything is stored. */
export function changesToKeep(): KeptChanges | null {
  const { places, known } = usePlacesStore.getState();
  const changed = new Set(
    placeChanges({ places, known }).map((change) => ("place" in change ? change.place.id : change.id)),
  );
  if (changed.size === 0) return null;
  return {
    places: places.filter(({ id }) => changed.has(id)),
    known: [...known].filter(([id]) => changed.has(id)),
  };
}

/** Puts what was kept over what the server lists. */
export function resumeChanges(kept: KeptChanges): void {
  const { places, known } = usePlacesStore.getState();
  const changed = new Map(kept.places.map((place) => [place.id, place]));
  const deleted = new Set(kept.known.filter(([id, { deleted }]) => !deleted && !changed.has(id)).map(([id]) => id));
  const here = new Set(places.map(({ id }) => id));
  setSilently({
    places: [
      ...places.filter(({ id }) => !deleted.has(id)).map((place) => changed.get(place.id) ?? place),
      ...kept.places.filter(({ id }) => !here.has(id)),
    ],
    // What they were made from: the server says whether that still holds.
    known: new Map([...known, ...kept.known]),
  });
}
