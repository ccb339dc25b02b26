import { beforeEach, describe, expect, it } from "vitest";
import { demoPlaces } from "../../../demo/read-demo";
import type { Place } from "@/core/places/place";
import { adoptPlaces, placeChanges } from "./place-changes";
import { placesHistory, setSilently, usePlacesStore } from "./places-store";

const [first, second, third] = demoPlaces();
const stored = (document: Place, version = 1) => ({ id: document.id, shared: false, version, document });
const { put, remove, exchange } = usePlacesStore.getState();
const names = () => usePlacesStore.getState().places.map(({ name }) => name);
const changes = () =>
  placeChanges(usePlacesStore.getState()).map((change) => [
    change.kind,
    "place" in change ? change.place.id : change.id,
    ...("version" in change ? [change.version] : []),
  ]);
const undo = () => usePlacesStore.temporal.getState().undo();

beforeEach(() => {
  setSilently({ places: [], known: new Map(), link: "idle", refused: new Map() });
  usePlacesStore.temporal.getState().clear();
  remove();
  usePlacesStore.temporal.getState().clear();
});

describe("what has to be stored", () => {
  it("is what is new, changed, gone and back again", () => {
    adoptPlaces([stored(first, 3), stored(second)]);
    expect(changes()).toEqual([]);
    put(third, { ...first, name: "Elsewhere" });
    remove(second.id);
    expect(changes()).toEqual([
      ["save", first.id, 3],
      ["add", third.id],
      ["delete", second.id],
    ]);
    const { known } = usePlacesStore.getState();
    setSilently({ known: new Map(known).set(second.id, { version: 1, document: second, deleted: true }) });
    put(second);
    expect(changes()).toContainEqual(["restore", second.id]);
  });

  it("a change that is taken back asks for nothing", () => {
    adoptPlaces([stored(first)]);
    put({ ...first, name: "Elsewhere" });
    expect(changes()).toHaveLength(1);
    undo();
    expect([names(), changes()]).toEqual([[first.name], []]);
  });
});

describe("what the server lists", () => {
  it("is taken over where nothing was changed here, and leaves what was", () => {
    adoptPlaces([stored(first), stored(second)]);
    put({ ...first, name: "Mine" });
    adoptPlaces([stored({ ...first, name: "Theirs" }, 2), stored({ ...second, name: "Newer" }, 2), stored(third)]);
    expect(names()).toEqual(["Mine", "Newer", third.name]);
    // Mine is still saved over the version that it was made from: the server says that it has changed.
    expect(changes()).toEqual([["save", first.id, 1]]);
  });

  it("what was deleted elsewhere goes; what was deleted here does not come back", () => {
    adoptPlaces([stored(first), stored(second)]);
    adoptPlaces([stored(second)]);
    expect(names()).toEqual([second.name]);
    remove(second.id);
    adoptPlaces([stored(second)]);
    expect([names(), changes()]).toEqual([[], [["delete", second.id]]]);
  });

  it("is no step to take back, and the same list changes nothing", () => {
    adoptPlaces([stored(first)]);
    const { places } = usePlacesStore.getState();
    adoptPlaces([stored(structuredClone(first))]);
    expect(usePlacesStore.getState().places).toBe(places);
    expect(placesHistory()).toBeNull();
  });
});

describe("steps to take back", () => {
  it("a deletion and an import are one each, however soon they follow", () => {
    put(first);
    remove(first.id);
    exchange([second, third], []);
    expect(names()).toEqual([second.name, third.name]);
    undo();
    expect(names()).toEqual([]);
    undo();
    expect(names()).toEqual([first.name]);
  });
});
