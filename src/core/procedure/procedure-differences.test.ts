import { describe, expect, it } from "vitest";
import { singleInCruise } from "./library/single";
import { say } from "./library/steps";
import type { Procedure, Step } from "./procedure";
import { procedureDifferences } from "./procedure-differences";

const with_ = (steps: readonly Step[]): Procedure => ({ ...singleInCruise, steps: [...steps] });
const { steps } = singleInCruise;
const told = (after: Procedure) =>
  procedureDifferences(singleInCruise, after).map(({ kind, id, fields }) => [kind, id, ...fields].join(" "));

describe("what differs between two procedures", () => {
  it("is nothing for the same", () => {
    expect(told(with_(steps))).toEqual([]);
  });

  it("is what was added, what is gone, and what of a step is other", () => {
    const heat = { ...steps[4], challenge: "Carb heat", why: null } as Step;
    const changed = [...steps.slice(0, 4), heat, say("new", "single", "New"), ...steps.slice(6)];
    expect(told(with_(changed))).toEqual([`changed ${heat.id} why challenge`, "added new", `removed ${steps[5].id}`]);
  });

  it("names the one step that was moved, not those that made room", () => {
    const moved = [steps[1], steps[2], steps[3], steps[0], ...steps.slice(4)];
    expect(told(with_(moved))).toEqual([`moved ${steps[0].id}`]);
    expect(told(with_([steps[5], ...steps.slice(0, 5), ...steps.slice(6)]))).toEqual([`moved ${steps[5].id}`]);
  });
});
