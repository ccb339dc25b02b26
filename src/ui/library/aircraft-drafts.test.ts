import { afterEach, describe, expect, it, vi } from "vitest";
import { newAircraft } from "@/core/aircraft/new-aircraft";
import { keepDrafts, useDrafts } from "./aircraft-drafts";

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
    useDrafts.getState().put("a", half);
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

  it("undo goes back to before, as one step for what is typed in one go", () => {
    keepDrafts()();
    const first = newAircraft("First");
    useDrafts.getState().put("a", first);
    useDrafts.getState().put("a", { ...first, name: "Firs" });
    useDrafts.temporal.getState().undo();
    expect(useDrafts.getState().drafts).toEqual({});
  });
});
