// Places of one's own as they are worked on: on the map, in the table, by import; all of it can be undone. Saving
// follows by itself and compares with what the server is known to have.
import { temporal } from "zundo";
import { create } from "zustand";
import type { Place } from "@/core/places/place";
import type { StoredPlace } from "@/server/places";
import { undoGroups } from "@/ui/kit/undo-groups";

/** What the server has of a place, as far as is known here. */
export interface KnownPlace {
  readonly version: number;
  readonly document: Place;
  readonly deleted: boolean;
}

/** How the work stands to what is stored. `away`: kept in this browser, tried again. */
type PlacesLink = "idle" | "saving" | "away";

interface PlacesState {
  readonly places: readonly Place[];
  readonly known: ReadonlyMap<string, KnownPlace>;
  readonly link: PlacesLink;
  /** Why the server refused a place, by its id; gone with the next change of it. */
  readonly refused: ReadonlyMap<string, { readonly place: Place; readonly reason: string }>;
  /** Adds places, or puts them in the place of those of the same id. */
  put(...changed: readonly Place[]): void;
  remove(...ids: readonly string[]): void;
  /** Adds or replaces some and removes others, all in one step. */
  exchange(changed: readonly Place[], removed: readonly string[]): void;
}

const groups = undoGroups();

function exchanged(places: readonly Place[], changed: readonly Place[], removed: readonly string[]): Place[] {
  const byId = new Map(changed.map((place) => [place.id, place]));
  const before = new Set(places.map(({ id }) => id));
  const gone = new Set(removed);
  return [
    ...places.map((place) => byId.get(place.id) ?? place).filter(({ id }) => !gone.has(id)),
    ...changed.filter(({ id }) => !before.has(id)),
  ];
}

/** The store; `usePlacesStore.temporal` undoes and redoes. */
export const usePlacesStore = create<PlacesState>()(
  temporal(
    (set) => ({
      places: [],
      known: new Map(),
      link: "idle",
      refused: new Map(),
      put: (...changed) => set(({ places }) => ({ places: exchanged(places, changed, []) })),
      remove: (...ids) => {
        // However soon it follows on something else, a deletion is taken back by itself.
        groups.end();
        set(({ places }) => ({ places: exchanged(places, [], ids) }));
        groups.end();
      },
      exchange: (changed, removed) => {
        groups.end();
        set(({ places }) => ({ places: exchanged(places, changed, removed) }));
        groups.end();
      },
    }),
    {
      partialize: ({ places }) => ({ places }),
      equality: (a, b) => a.places === b.places,
      limit: 200,
      handleSet: (handleSet) => groups.grouped(handleSet as (...args: unknown[]) => void) as typeof handleSet,
    },
  ),
);

/** While something is dragged everything is one step to undo. */
export const holdPlacesUndo = (): void => groups.hold();
/** @see holdPlacesUndo */
export const releasePlacesUndo = (): void => groups.end();

/** Changes the state without a step to undo. */
export function setSilently(patch: Partial<Pick<PlacesState, "places" | "known" | "link" | "refused">>): void {
  const { pause, resume } = usePlacesStore.temporal.getState();
  pause();
  usePlacesStore.setState(patch);
  resume();
}

const same = (a: Place, b: Place) => a === b || JSON.stringify(a) === JSON.stringify(b);

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

/** The changes of places that can be undone; null when there are none. */
export function placesHistory() {
  const changes = usePlacesStore.temporal.getState();
  return changes.pastStates.length + changes.futureStates.length > 0 ? changes : null;
}
