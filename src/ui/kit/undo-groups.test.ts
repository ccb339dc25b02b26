import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { undoGroups } from "./undo-groups";

beforeEach(() => {
  vi.useFakeTimers({ toFake: ["performance"] });
});
afterEach(() => {
  vi.useRealTimers();
});

describe("groups of changes", () => {
  it("call through at the start of each group only", () => {
    const groups = undoGroups();
    const called: string[] = [];
    const note = groups.grouped((name: string) => called.push(name));
    for (const [name, later_ms] of [
      ["a", 0],
      ["b", 300],
      ["c", 600],
      ["d", 701],
      ["e", 10],
    ] as const) {
      vi.advanceTimersByTime(later_ms);
      note(name);
    }
    // c came 600 ms after b: the same group goes on as long as the changes come close together.
    expect(called).toEqual(["a", "d"]);
  });

  it("end when they are told to, and one store's do not touch another's", () => {
    const [one, other] = [undoGroups(), undoGroups()];
    const called: string[] = [];
    const noteOne = one.grouped((name: string) => called.push(name));
    const noteOther = other.grouped((name: string) => called.push(name));
    noteOne("a");
    noteOther("b");
    noteOne("c");
    one.end();
    noteOne("d");
    noteOther("e");
    expect(called).toEqual(["a", "b", "d"]);
  });

  it("that are held go on however long they pause, and the next is another", () => {
    const groups = undoGroups();
    const called: string[] = [];
    const note = groups.grouped((name: string) => called.push(name));
    note("typed");
    groups.hold();
    for (const name of ["dragged", "paused", "dragged on"]) {
      note(name);
      vi.advanceTimersByTime(2000);
    }
    groups.end();
    note("typed again");
    expect(called).toEqual(["typed", "dragged", "typed again"]);
  });
});
