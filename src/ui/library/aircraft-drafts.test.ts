import { afterEach, describe, expect, it, vi } from "vitest";
import { newAircraft } from "@/core/aircraft/new-aircraft";
import { NEW_ID, draftSaved, useDrafts } from "./aircraft-drafts";
import { keepDrafts } from "./kept-drafts";

const store = new Map<string, string>();
vi.stubGlobal("localStorage", {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => store.set(key, value),
  removeItem: (key: string) => store.delete(key),
});

afterEach(() => {
  store.clear();
  useDrafts.setState({ drafts: {} });
});

describe("aircraft drafts", () => {
  it("are kept in the browser and taken up again, half-filled ones too", () => {
    const stop = keepDrafts();
    const half = { ...newAircraft("Half"), name: "" };
    useDrafts.getState().put("a", half, 1);
    stop();
    useDrafts.setState({ drafts: {} });
    keepDrafts()();
    expect(useDrafts.getState().drafts.a).toEqual(half);
  });

  it.each(["not json", "[]", '{"a":{"schema":"else"}}', '{"a":null}'])(
    "a damaged store %j counts as none",
    (stored) => {
      store.set("utrimax:aircraft-drafts", stored);
      keepDrafts()();
      expect(useDrafts.getState().drafts).toEqual({});
    },
  );

  it("of an earlier version are taken up in the present one", () => {
    const { causeFlow: _flow, ...old } = newAircraft("Old");
    store.set("utrimax:aircraft-drafts", JSON.stringify({ a: { ...old, version: 2 } }));
    keepDrafts()();
    expect(useDrafts.getState().drafts.a).toEqual(newAircraft("Old"));
  });

  it.each([
    ["in place", "a", "a"],
    ["as a new aircraft", NEW_ID, "b"],
  ])("saved %s are gone, and so is the way back to before", (_, id, savedAs) => {
    const draft = newAircraft("Saved");
    useDrafts.getState().put(id, draft, 1);
    draftSaved(id, draft, savedAs, 2);
    expect(useDrafts.getState().drafts).toEqual({});
    expect(useDrafts.temporal.getState().pastStates).toEqual([]);
  });

  it.each([
    ["in place", "a", "a"],
    ["as a new aircraft", NEW_ID, "b"],
  ])("what is typed while they are saved %s stays a draft of what was saved", (_, id, savedAs) => {
    const draft = newAircraft("Saved");
    useDrafts.getState().put(id, draft, 1);
    const typed = { ...draft, name: "Typed meanwhile" };
    useDrafts.getState().put(id, typed, 1);
    draftSaved(id, draft, savedAs, 2);
    expect(useDrafts.getState().drafts).toEqual({ [savedAs]: typed });
    // It is saved over what has just been saved.
    expect(useDrafts.getState().bases[savedAs]).toBe(2);
  });

  it("are begun on a version, which stays theirs whatever is stored meanwhile", () => {
    const draft = newAircraft("Draft");
    useDrafts.getState().put("a", draft, 3);
    useDrafts.getState().put("a", { ...draft, name: "Changed" }, 4);
    expect(useDrafts.getState().bases.a).toBe(3);
    useDrafts.getState().drop("a");
    useDrafts.getState().put("a", draft, 5);
    expect(useDrafts.getState().bases.a).toBe(5);
  });

  it("undo goes back to before, as one step for what is typed in one go", () => {
    keepDrafts()();
    const first = newAircraft("First");
    useDrafts.getState().put("a", first, 1);
    useDrafts.getState().put("a", { ...first, name: "Firs" }, 1);
    useDrafts.temporal.getState().undo();
    expect(useDrafts.getState().drafts).toEqual({});
  });
});
