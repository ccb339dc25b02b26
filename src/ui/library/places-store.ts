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

/** Places of one's own. */
export interface PlacesState {
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

/** What the server listed when the page came: nothing can have been changed before. */
export function beginPlaces(stored: readonly StoredPlace[]): void {
  setSilently({
    places: stored.map(({ document }) => document),
    known: new Map(stored.map(({ id, version, document }) => [id, { version, document, deleted: false }])),
    refused: new Map(),
  });
  usePlacesStore.temporal.getState().clear();
}

/** The changes of places that can be undone; null when there are none. */
export function placesHistory() {
  const changes = usePlacesStore.temporal.getState();
  return changes.pastStates.length + changes.futureStates.length > 0 ? changes : null;
}
