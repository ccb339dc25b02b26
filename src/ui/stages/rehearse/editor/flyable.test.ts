import { describe, expect, it } from "vitest";
import { singleInCruise } from "@/core/procedure/library/single";
import { steepTurns } from "@/core/procedure/library/flight-test";
import { PROCEDURES, proceduresFor } from "@/core/procedure/library/procedures";
import { flownFaults, flyable } from "./flyable";

const mine = { ...singleInCruise, id: "mine", name: "Mine" };
const stored = (document: typeof mine) => ({ id: document.id, version: 1, document });

describe("what can be flown", () => {
  it("is what ships, then of one's own what is sound and fits", () => {
    const ids = (own: Parameters<typeof flyable>[1], draft: Parameters<typeof flyable>[2] = null) =>
      flyable("single", own, draft).map(({ id }) => id);
    const ship = proceduresFor("single").map(({ id }) => id);
    expect(ids(null)).toEqual(ship);
    expect(ids([stored(mine)])).toEqual([...ship, "mine"]);
    expect(flyable("twin", [stored(mine)], null).map(({ id }) => id)).not.toContain("mine");
    const broken = { ...mine, id: "broken", steps: mine.steps.slice(0, 3) };
    expect(flownFaults({ ...broken, steps: [] })[0].message).toContain("at least one step");
    expect(ids([stored({ ...mine, steps: mine.steps.filter(({ id }) => id !== "call") })])).toEqual(ship);
    // What is edited is flown as it stands, not as it was saved.
    const edited = { ...mine, name: "Edited" };
    expect(flyable("single", [stored(mine)], edited).filter(({ id }) => id === "mine")).toMatchObject([
      { name: "Edited" },
    ]);
    expect(flownFaults(mine)).toEqual([]);
  });

  it("has the steps of those that it calls", () => {
    const called = { ...steepTurns, id: "mine" };
    const flown = flyable("single", [stored(called)], null).find(({ id }) => id === "mine");
    expect(flown?.steps.map(({ id }) => id)).toEqual(
      PROCEDURES.find(({ id }) => id === "steep-turns")?.steps.map(({ id }) => id),
    );
  });
});
