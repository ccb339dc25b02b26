import { describe, expect, it } from "vitest";
import { PISTON_FLOW } from "./cause-flow";
import { demoHelicopter } from "../../../demo/read-demo";
import { causeFlow } from "./cause-flow";
import { ROTOR_LEAVE_M, rotorCheck } from "./rotor-check";

const TURBOSHAFT_FLOW = causeFlow(demoHelicopter());

const asked = { sink_mps: 10, entry_m: 10, reaction_s: 2, flow: TURBOSHAFT_FLOW, symptom: null };

describe("the cause check of a rotorcraft", () => {
  it("has the seconds above the height at which it is left, and no more", () => {
    const { available_s, items, fitting } = rotorCheck({ ...asked, height_m: ROTOR_LEAVE_M + 10 + 100 });
    expect(available_s).toBeCloseTo(10, 9);
    // 2 s of reaction, then 2, 3 and 2: the inlet's 3 do not fit any more.
    expect(items.map(({ done_s }) => done_s)).toEqual([4, 7, 9, 12, 37]);
    expect(items.map(({ fits }) => fits)).toEqual([true, true, true, false, false]);
    expect(fitting).toBe(3);
    expect(items[0].height_m).toBeCloseTo(ROTOR_LEAVE_M + 100 - 40, 9);
  });

  it("below that height nothing is looked for; heights do not go under the ground", () => {
    const low = rotorCheck({ ...asked, height_m: 100 });
    expect([low.available_s, low.fitting]).toEqual([0, 0]);
    expect(low.items.at(-1)?.height_m).toBe(0);
  });

  it("what the symptom points to comes first", () => {
    const { items } = rotorCheck({ ...asked, height_m: 1000, flow: PISTON_FLOW, symptom: "fading" });
    expect(items[0].item.id).toBe("heat");
  });
});
