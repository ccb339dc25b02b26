import { describe, expect, it } from "vitest";
import { singleInCruise } from "@/core/procedure/library/single";
import { twinInCruise } from "@/core/procedure/library/twin";
import { Step } from "@/core/procedure/procedure";
import { procedureFaults } from "@/core/procedure/procedure-faults";
import { KIND_WORDS, branchesOf, newStep, withControl, withStepAfter, withStepMoved, withoutStep } from "./edit-steps";

const ids = ({ steps }: { steps: readonly { id: string }[] }) => steps.map(({ id }) => id);

describe("a procedure that is edited", () => {
  it.each(Object.keys(KIND_WORDS) as Step["kind"][])("has a new step of the kind %s that the schema takes", (kind) => {
    const step = newStep(twinInCruise, kind);
    expect(Step.parse(step)).toEqual(step);
    const twice = withStepAfter(twinInCruise, 0, step);
    expect(newStep(twice, kind).id).not.toBe(step.id);
  });

  it("keeps its order when one is moved there and back, and what was is as it was", () => {
    const before = ids(singleInCruise);
    const moved = withStepMoved(singleInCruise, 1, 4);
    expect(ids(moved)).toEqual([before[0], before[2], before[3], before[4], before[1], ...before.slice(5)]);
    expect(ids(withStepMoved(moved, 4, 1))).toEqual(before);
    expect(ids(singleInCruise)).toEqual(before);
    expect(ids(withStepAfter(singleInCruise, 2, newStep(singleInCruise, "say")))[3]).toBe("say-1");
    expect(ids(withStepAfter(singleInCruise, -1, newStep(singleInCruise, "say"))).at(-1)).toBe("say-1");
  });

  it("without a step that others lead to is told to be unsound", () => {
    expect(procedureFaults(withoutStep(singleInCruise, "call")).map(({ message }) => message)).toContainEqual(
      expect.stringContaining("“call”, which is not there"),
    );
  });

  it("draws the ways that lead elsewhere than on, forward and back", () => {
    const at = (id: string) => ids(singleInCruise).indexOf(id);
    expect(branchesOf(singleInCruise)).toEqual([
      { from: at("running"), to: at("fly"), back: false },
      { from: at("height"), to: at("call"), back: false },
      { from: at("once-more"), to: at("tank"), back: true },
    ]);
  });

  it("takes a control more, or another in its place", () => {
    const control = { ...singleInCruise.controls[0], id: "new", name: "New" };
    const more = withControl(singleInCruise, singleInCruise.controls.length, control);
    expect(more.controls.at(-1)).toBe(control);
    expect(withControl(more, 0, control).controls[0]).toBe(control);
  });
});
