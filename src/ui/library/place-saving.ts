// Saves places as they are changed, one change after the other.
import { toast } from "sonner";
import type { Place } from "@/core/places/place";
import type { StoredPlace } from "@/server/places";
import { keptAs } from "@/ui/kit/kept";
import { type Answer, send } from "@/ui/kit/request";
import { tellTabs } from "@/ui/kit/tabs";
import { type PlaceChange, adoptPlaces, placeChanges } from "./place-changes";
import { type KnownPlace, setSilently, usePlacesStore } from "./places-store";
import { faultOfPlace } from "./place-fault";

/** How long the hand rests before what it changed is saved, ms. */
const REST_MS = 800;
/** How often saving is tried again while the server is away, ms. */
const RETRY_MS = 3000;
/** Most places sent at once. */
const MOST_AT_ONCE = 100;
const KEY = "places";

const refusedStill = (place: Place) => usePlacesStore.getState().refused.get(place.id)?.place === place;

/** What can be sent: what is at fault waits until it is mended. */
function sendable(): PlaceChange[] {
  return placeChanges(usePlacesStore.getState()).filter(
    (change) => !("place" in change) || (faultOfPlace(change.place) === null && !refusedStill(change.place)),
  );
}

function know(id: string, stored: KnownPlace): void {
  setSilently({ known: new Map(usePlacesStore.getState().known).set(id, stored) });
}

function refuse(place: Place, answer: Answer<unknown> & { ok: false }): void {
  const reason = answer.issues.map(({ message }) => message).join(" ");
  setSilently({ refused: new Map(usePlacesStore.getState().refused).set(place.id, { place, reason }) });
  toast(`${place.name} is not stored: ${reason}`);
}

/** Somebody else has saved it meanwhile: his stands, mine stays beside it under a name of its own. */
function keepBoth(mine: Place, theirs: StoredPlace): void {
  const { places, put } = usePlacesStore.getState();
  know(theirs.id, { version: theirs.version, document: theirs.document, deleted: false });
  const name = `${mine.name} (mine)`.slice(0, 60);
  const copy: Place = { ...mine, id: crypto.randomUUID(), name };
  setSilently({ places: places.map((place) => (place.id === theirs.id ? theirs.document : place)) });
  put(copy);
  toast(`${mine.name} was saved elsewhere meanwhile. That one stands; yours is kept as “${name}”.`);
}

/** Sends one piece of the changes; false when the server is away. */
async function sendSome(changes: readonly PlaceChange[]): Promise<boolean> {
  const added = changes.flatMap((change) => (change.kind === "add" ? [change.place] : [])).slice(0, MOST_AT_ONCE);
  if (added.length > 0) {
    const answer = await send<{ refused: { id: string }[] }>("POST", "/api/places", { places: added });
    if (!answer.ok) {
      if (answer.away) return false;
      added.forEach((place) => refuse(place, answer));
      return true;
    }
    for (const place of added) know(place.id, { version: 1, document: place, deleted: false });
    return true;
  }
  const [change] = changes;
  if (change.kind === "add") return true;
  if (change.kind === "save") {
    const { place, version } = change;
    const answer = await send<{ version: number }>("PUT", `/api/places/${place.id}`, place, { version });
    if (answer.ok) know(place.id, { version: answer.value.version, document: place, deleted: false });
    else if (answer.stored) keepBoth(place, answer.stored as StoredPlace);
    else if (answer.away) return false;
    else refuse(place, answer);
    return true;
  }
  const { known } = usePlacesStore.getState();
  const stored = known.get(change.id);
  const answer = await send("PATCH", `/api/places/${change.id}`, { deleted: change.kind === "delete" });
  if (!answer.ok && answer.away) return false;
  if (!answer.ok && change.kind === "restore") {
    // It is gone for good there: it comes back as a new one.
    const again = new Map(known);
    again.delete(change.id);
    setSilently({ known: again });
  } else if (stored) know(change.id, { ...stored, deleted: change.kind === "delete" });
  return true;
}

/** What judges places has come; false while the network is away. */
const judgeLoaded = () =>
  import("./place-judge").then(
    () => true,
    () => false,
  );

let busy = false;

/** Saves everything that is not stored yet. */
export async function savePlaces(): Promise<void> {
  if (busy || takingUp) return;
  busy = true;
  try {
    if (placeChanges(usePlacesStore.getState()).length > 0 && !(await judgeLoaded()))
      return setSilently({ link: "away" });
    let told = false;
    for (let changes = sendable(); changes.length > 0; changes = sendable()) {
      if (usePlacesStore.getState().link !== "away") setSilently({ link: "saving" });
      if (!(await sendSome(changes))) return setSilently({ link: "away" });
      told = true;
    }
    setSilently({ link: "idle" });
    if (told) tellTabs({ kind: "changed" });
  } finally {
    busy = false;
  }
}

/** While what was kept is being taken up nothing else is kept over it. */
let takingUp = false;

/** What was changed and not stored when the page was left. */
async function takeUpKept(): Promise<void> {
  const text = localStorage.getItem(keptAs(KEY));
  if (text === null) return;
  takingUp = true;
  const reader = await import("./kept-places").catch(() => null);
  // It stays as it is kept until a page comes that can read it.
  if (!reader) return;
  takingUp = false;
  const kept = reader.readKeptPlaces(text);
  if (!kept) return localStorage.removeItem(keptAs(KEY));
  // What the server has listed meanwhile is held against it again.
  const { known } = usePlacesStore.getState();
  const listed = [...known].map(([id, { version, document }]) => ({ id, shared: false, version, document }));
  setSilently({ places: kept.places, known: new Map(kept.known) });
  adoptPlaces(listed);
}

function keepUnsaved(): void {
  if (takingUp) return;
  const { places, known } = usePlacesStore.getState();
  if (placeChanges({ places, known }).length === 0) localStorage.removeItem(keptAs(KEY));
  else localStorage.setItem(keptAs(KEY), JSON.stringify({ places, known: [...known] }));
}

/**
 * Saves what is changed of the account's places from now on, and takes up what was left unsaved.
 *
 * @returns what ends it
 */
export function startSavingPlaces(): () => void {
  void takeUpKept();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const rest = () => {
    clearTimeout(timer);
    const { link } = usePlacesStore.getState();
    timer = setTimeout(
      () => {
        keepUnsaved();
        void savePlaces().then(keepUnsaved);
      },
      link === "away" ? RETRY_MS : REST_MS,
    );
  };
  rest();
  const stop = usePlacesStore.subscribe(rest);
  addEventListener("pagehide", keepUnsaved);
  return () => {
    keepUnsaved();
    clearTimeout(timer);
    stop();
    removeEventListener("pagehide", keepUnsaved);
  };
}
