import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { FAULTS, type FaultKind } from "../engine/engine-fault";
import { gaugeHistory } from "./gauge-history";
import { cuesAt } from "./gauge-verdict";

const EAS = 48;
const full_N = zeroSideslip(demoTwin(), EAS)?.pedal_N ?? NaN;
const cues = (fault: FaultKind, engine: "left" | "right", at_s: number) => {
  const found = gaugeHistory({ question: demoTwinQuestion(), eas_mps: EAS, fault, engine, closed: null });
  if (!found.ok) throw new Error(found.issue.message);
  return cuesAt(found.value[at_s], fault, engine, full_N);
};
const verdicts = (fault: FaultKind, at_s = 30) =>
  Object.fromEntries(cues(fault, "left", at_s).map((cue) => [cue.cue, cue.verdict]));

describe("what each cue says 30 s after a fault (common practice)", () => {
  it.each<[FaultKind, Record<string, string>]>([
    [
      "starvation",
      {
        foot: "settles",
        manifold: "misleads",
        rpm: "misleads",
        fuelFlow: "settles",
        exhaust: "settles",
        oil: "misleads",
      },
    ],
    ["ignition", { foot: "settles", manifold: "misleads", rpm: "misleads", fuelFlow: "misleads", exhaust: "settles" }],
    ["ice", { foot: "settles", manifold: "settles", rpm: "misleads", fuelFlow: "settles" }],
    ["seizure", { foot: "settles", rpm: "settles", oil: "settles", exhaust: "settles" }],
    ["overspeed", { foot: "settles", manifold: "misleads", fuelFlow: "misleads", rpm: "hints" }],
    ["partial", { foot: "settles", manifold: "misleads", rpm: "misleads" }],
    ["stuck", { foot: "misleads", manifold: "settles", fuelFlow: "settles" }],
    ["gauge", { foot: "silent", manifold: "misleads", rpm: "hints", exhaust: "hints" }],
  ])("%s: %j", (fault, expected) => {
    expect(verdicts(fault)).toMatchObject(expected);
  });

  it("before the selector's fuel runs out nothing is to be seen", () => {
    expect(Object.values(verdicts("selector", 5)).every((verdict) => verdict === "silent")).toBe(true);
  });
});

describe("verdicts", () => {
  it("are the same for either engine, and every one has its reason", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAULTS.map(({ kind }) => kind)),
        fc.integer({ min: 0, max: 60 }),
        (fault, at_s) => {
          const [left, right] = [cues(fault, "left", at_s), cues(fault, "right", at_s)];
          expect(left.map((cue) => cue.cue)).toEqual(right.map((cue) => cue.cue));
          for (const cue of left) expect(cue.why.length).toBeGreaterThan(10);
          // The critical engine pulls a little harder, never the other way.
          expect(left[0].verdict).toBe(right[0].verdict);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("a dead engine is always settled by the foot once it is dead", () => {
    for (const fault of FAULTS.filter((entry) => entry.dead))
      expect(cues(fault.kind, "right", 50).find((cue) => cue.cue === "foot")?.verdict).toBe("settles");
  });
});
