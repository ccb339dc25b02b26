import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { MPS_PER_KT } from "../quantities/constants";
import { configurationLimit } from "./configuration-limit";

describe("the speed limit of a configuration", () => {
  const cedar = demoAircraft("cedar-j2");
  // Its document: V_NE 320, V_LO 200, V_LE 220 kt, V_FE 220 and 190.
  it.each([
    [0, "up", 320, "V_NE"],
    [0, "down", 220, "V_LE"],
    [0, "moving", 200, "V_LO"],
    [1, "up", 220, "V_FE"],
    [2, "moving", 190, "V_FE"],
  ] as const)("flap %i, gear %s: %f kt, %s", (flap, gear, kt, name) => {
    const found = configurationLimit(cedar, flap, gear);
    expect([Math.round((found?.speed_mps ?? 0) / MPS_PER_KT), found?.name]).toEqual([kt, name]);
  });

  it("a fixed gear has none, and a document may name none at all", () => {
    const alder = demoAircraft("alder-s1");
    expect(configurationLimit(alder, 0, "moving")?.name).toBe("V_NE");
    expect(
      configurationLimit({ ...alder, limits: { ...alder.limits, vne_mps: null, vfe_mps: [] } }, 1, "down"),
    ).toBeNull();
  });
});
