import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { saveStateOf, useSituation } from "./situation-store";

const DEMO = demoSituation();
const store = useSituation;
const undo = () => store.temporal.getState().undo();
const redo = () => store.temporal.getState().redo();

beforeEach(() => {
  vi.useFakeTimers({ toFake: ["performance"] });
  store.getState().open({ id: "a", version: 1, document: DEMO });
});
afterEach(() => {
  vi.useRealTimers();
});

describe("situation in hand", () => {
  it("is saved when opened, unsaved when changed, saved again when undone", () => {
    expect(saveStateOf(store.getState())).toBe("saved");
    store.getState().change({ altitude_m: 900 });
    expect(saveStateOf(store.getState())).toBe("unsaved");
    undo();
    expect(store.getState().current.altitude_m).toBe(DEMO.altitude_m);
    expect(saveStateOf(store.getState())).toBe("saved");
    redo();
    expect(store.getState().current.altitude_m).toBe(900);
  });

  it("takes a drag as one step, and what comes later as another", () => {
    for (let i = 1; i <= 20; i += 1) {
      vi.advanceTimersByTime(30);
      store.getState().change({ altitude_m: 700 + i });
    }
    vi.advanceTimersByTime(2000);
    store.getState().change({ mass_kg: 900 });
    undo();
    expect(store.getState().current).toMatchObject({ mass_kg: 1000, altitude_m: 720 });
    undo();
    expect(store.getState().current).toEqual(DEMO);
  });

  it("does not undo into another situation", () => {
    store.getState().change({ altitude_m: 900 });
    store.getState().open({ id: "b", version: 1, document: { ...DEMO, name: "Other" } });
    undo();
    expect(store.getState().current.name).toBe("Other");
    // The first change after opening is a step of its own however soon it comes.
    store.getState().change({ altitude_m: 500 });
    undo();
    expect(store.getState().current.altitude_m).toBe(DEMO.altitude_m);
  });

  it("opens with what was left unsaved", () => {
    store
      .getState()
      .open({ id: "a", version: 1, document: DEMO }, { version: 1, document: { ...DEMO, mass_kg: 950 }, asked: false });
    expect(saveStateOf(store.getState())).toBe("unsaved");
    expect(store.getState().current.mass_kg).toBe(950);
  });

  it("is not saved by an answer to an older save", () => {
    store.getState().change({ altitude_m: 900 });
    const sent = store.getState().current;
    store.getState().setLink("saving");
    store.getState().change({ altitude_m: 950 });
    store.getState().markSaved(sent, 2);
    expect(saveStateOf(store.getState())).toBe("unsaved");
  });

  it("stays away until it is saved, whatever is changed meanwhile", () => {
    store.getState().setLink("away");
    store.getState().change((current) => ({ mass_kg: current.mass_kg - 10 }));
    expect(saveStateOf(store.getState())).toBe("away");
    store.getState().markSaved(store.getState().current, 2);
    expect(saveStateOf(store.getState())).toBe("saved");
  });
});
