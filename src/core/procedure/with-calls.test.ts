import { describe, expect, it } from "vitest";
import { exerciseFlow, twinSecuring } from "./library/called";
import { WRITTEN } from "./library/procedures";
import { singleInCruise } from "./library/single";
import { call, control, end, procedure, say, wait } from "./library/steps";
import { twinLeversFirst } from "./library/twin-more";
import type { Procedure } from "./procedure";
import { procedureFaults } from "./procedure-faults";
import { withCalls } from "./with-calls";

const caller = (called: string, more: Partial<Procedure> = {}): Procedure => ({
  ...procedure({
    id: "caller",
    name: "Caller",
    purpose: "It calls.",
    fits: ["single"],
    crew: "single",
    controls: [],
    steps: [say("first", "single", "First"), call("flow", "single", "Flow", called), end("over", "single", "Over")],
  }),
  ...more,
});
const short = (steps: Procedure["steps"], controls: Procedure["controls"] = []): Procedure => ({
  ...exerciseFlow,
  id: "short",
  steps,
  controls,
});

describe("a procedure that calls others", () => {
  it("has their steps where the call stood, the first by the call’s name, and their controls once", () => {
    const whole = withCalls(twinLeversFirst, WRITTEN);
    if (!whole.ok) throw new Error(whole.issue.message);
    const ids = whole.value.steps.map(({ id }) => id);
    const at = ids.indexOf("secure");
    expect(ids.slice(at, at + 3)).toEqual(["secure", "secure-fuel-off", "secure-pump-off"]);
    expect(ids[at + twinSecuring.steps.length - 1]).toBe("secured");
    expect(whole.value.controls.filter(({ id }) => id === "mixture")).toHaveLength(1);
    expect(whole.value.controls.map(({ id }) => id)).toContain("cowl");
    expect(procedureFaults(whole.value)).toEqual([]);
    // As written it calls: that cannot be flown.
    expect(procedureFaults(twinLeversFirst).map(({ message }) => message)).toContainEqual(
      expect.stringContaining("is not there to be called"),
    );
  });

  it("is itself when it calls none", () => {
    expect(withCalls(singleInCruise, WRITTEN)).toEqual({ ok: true, value: singleInCruise });
  });

  it("steps of one pilot are the caller’s in a crew; a clock inside goes by the new names", () => {
    const known = [short([say("start", "single", "Start"), wait("warm", "single", "Warm", 10, { since: "start" })])];
    const two = caller("short", { crew: "two" });
    two.steps[0] = { ...two.steps[0], actor: "flying" };
    two.steps[1] = { ...two.steps[1], actor: "monitoring" };
    const whole = withCalls(two, known);
    expect(whole.ok && whole.value.steps.slice(1, 3)).toMatchObject([
      { id: "flow", actor: "monitoring" },
      { id: "flow-warm", actor: "monitoring", since: "flow" },
    ]);
  });

  it.each<[string, Procedure, RegExp]>([
    ["one that is not there", caller("nowhere"), /“flow”: “nowhere” is not there/],
    ["one that branches", caller("single-in-cruise"), /“flow”: .* branches or calls in turn/],
    ["one that calls in turn", caller("steep-turns"), /branches or calls in turn/],
    [
      "one whose control has other positions",
      caller("exercise-flow", { controls: [control("pump", "Pump", "low, high")] }),
      /Fuel pump has other positions/,
    ],
    [
      "one that makes it too long",
      caller("exercise-flow", {
        steps: [
          ...Array.from({ length: 76 }, (_, i) => say(`s-${i}`, "single", "More")),
          call("flow", "single", "Flow", "exercise-flow"),
          end("over", "single", "Over"),
        ],
      }),
      /more than 80 steps/,
    ],
  ])("is refused with %s", (_, written, message) => {
    const whole = withCalls(written, WRITTEN);
    expect(whole.ok ? "" : whole.issue.message).toMatch(message);
  });
});
