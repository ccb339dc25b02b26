// Saves places as they are changed, one change after the other.
import { toast } from "sonner";
import type { Issue } from "@/core/outcome";
import type { Place } from "@/core/places/place";
import type { StoredPlace } from "@/server/places";
import { keptAs } from "@/ui/kit/kept";
import { send } from "@/ui/kit/request";
import { tellTabs } from "@/ui/kit/tabs";
import { type PlaceChange, changesToKeep, placeChanges, resumeChanges, same } from "./place-changes";
import { type KnownPlace, setSilently, usePlacesStore } from "./places-store";
import { faultOfPlace } from "./place-fault";

/** How long the hand rests before what it changed is saved, ms. */
const REST_MS = 800;
/** How often saving is tried again while the server is away, ms. */
const RETRY_MS = 3000;
/** Most places sent at once. */
const MOST_AT_ONCE = 100;
/** And most characters of them: the server takes a megabyte. */
const MOST_CHARACTERS = 500_000;
const KEY = "places";

const refusedStill = (place: Place) => usePlacesStore.getState().refused.get(place.id)?.place === place;

/** What can be sent: what is at fault waits until it is mended. */
function sendable(): PlaceChange[] {
  const { places } = usePlacesStore.getState();
  return placeChanges(usePlacesStore.getState()).filter((change) => {
    const place = "place" in change ? change.place : places.find(({ id }) => id === change.id);
    return !place || (faultOfPlace(place) === null && !refusedStill(place));
  });
}

function know(id: string, stored: KnownPlace): void {
  setSilently({ known: new Map(usePlacesStore.getState().known).set(id, stored) });
}

/** Notes why places are not stored; one message, however many they are. */
function refuse(places: readonly Place[], issues: readonly Issue[]): void {
  const reason = issues.map(({ message }) => message).join(" ");
  const refused = new Map(usePlacesStore.getState().refused);
  for (const place of places) refused.set(place.id, { place, reason });
  setSilently({ refused });
  toast(`${places.length === 1 ? places[0].name : `${places.length} places`} not stored: ${reason}`);
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

/** As many places as one request may bring. */
function somePlaces(changes: readonly PlaceChange[]): Place[] {
  const some: Place[] = [];
  let characters = 0;
  for (const change of changes) {
    if (change.kind !== "add") continue;
    characters += JSON.stringify(change.place).length;
    if (some.length === MOST_AT_ONCE || (some.length > 0 && characters > MOST_CHARACTERS)) break;
    some.push(change.place);
  }
  return some;
}

/** Which of the places sent the faults are about; all of them when they name none. */
function faulty(sent: readonly Place[], issues: readonly Issue[]): readonly Place[] {
  const named = new Set(issues.flatMap(({ path }) => /^places\.(\d+)\./.exec(path)?.[1] ?? []).map(Number));
  return named.size > 0 ? sent.filter((_, i) => named.has(i)) : sent;
}

/** Adds places; false when the server is away. */
async function add(places: readonly Place[]): Promise<boolean> {
  const answer = await send<{ saved: StoredPlace[] }>("POST", "/api/places", { places });
  if (!answer.ok) {
    if (answer.away) return false;
    refuse(faulty(places, answer.issues), answer.issues);
    return true;
  }
  for (const place of places) know(place.id, { version: 1, document: place, deleted: false });
  for (const theirs of answer.value.saved) {
    const mine = places.find(({ id }) => id === theirs.id);
    if (mine && same(mine, theirs.document)) know(theirs.id, { ...theirs, deleted: false });
    else if (mine) keepBoth(mine, theirs);
  }
  return true;
}

/** It is not there any more: what is done to it begins with adding it. */
function forget(id: string): void {
  const known = new Map(usePlacesStore.getState().known);
  known.delete(id);
  setSilently({ known });
}

const isGone = (issues: readonly Issue[]) => issues.some(({ code }) => code === "no_such_place");

/** Saves a place over its version; false when the server is away. */
async function save(place: Place, version: number): Promise<boolean> {
  const answer = await send<{ version: number }>("PUT", `/api/places/${place.id}`, place, { version });
  if (answer.ok) know(place.id, { version: answer.value.version, document: place, deleted: false });
  else if (answer.stored) keepBoth(place, answer.stored as StoredPlace);
  else if (answer.away) return false;
  else if (isGone(answer.issues)) forget(place.id);
  else refuse([place], answer.issues);
  return true;
}

/** Deletes a place or brings it back; false when the server is away. */
async function mark(id: string, deleted: boolean): Promise<boolean> {
  const { known, places } = usePlacesStore.getState();
  const stored = known.get(id);
  const answer = await send("PATCH", `/api/places/${id}`, { deleted });
  if (answer.ok) {
    if (stored) know(id, { ...stored, deleted });
  } else if (answer.away) return false;
  else if (isGone(answer.issues)) forget(id);
  else if (deleted) {
    // It stands there still, so it stands here again.
    if (stored) setSilently({ places: [...places, stored.document] });
    toast(`${stored?.document.name ?? "A place"} is not deleted: ${answer.issues[0]?.message}`);
  } else
    refuse(
      places.filter((place) => place.id === id),
      answer.issues,
    );
  return true;
}

/** Sends one piece of the changes; false when the server is away. */
async function sendSome(changes: readonly PlaceChange[]): Promise<boolean> {
  const added = somePlaces(changes);
  if (added.length > 0) return add(added);
  const [change] = changes;
  switch (change.kind) {
    case "add":
      return true;
    case "save":
      return save(change.place, change.version);
    default:
      return mark(change.id, change.kind === "delete");
  }
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
  if (kept) resumeChanges(kept);
  else localStorage.removeItem(keptAs(KEY));
}

/** Keeps what is not stored yet, and nothing else: a browser has room for little. */
function keepUnsaved(): void {
  if (takingUp) return;
  const kept = changesToKeep();
  if (!kept) return localStorage.removeItem(keptAs(KEY));
  try {
    localStorage.setItem(keptAs(KEY), JSON.stringify(kept));
  } catch {
    // Too much for this browser: it is still here, and sent to the server all the same.
  }
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
