import { beforeEach, describe, expect, it } from "vitest";
import { radians } from "@/core/quantities/angle";
import { flownBank_rad, useEngineOut } from "./engine-out-store";

const began = useEngineOut.getState();
beforeEach(() => useEngineOut.setState(began, true));

describe("what is tried on one engine", () => {
  it("begins as the engine has just failed: gear down, windmilling, wings level, as the situation is", () => {
    expect(useEngineOut.getState().trial).toMatchObject({
      gearDown: true,
      deadPropeller: null,
      bank: { kind: "bank", bank_rad: 0 },
      mass_kg: null,
      altitude_m: null,
    });
  });

  it("changes one thing and leaves the rest", () => {
    useEngineOut.getState().try({ mass_kg: 1400 });
    useEngineOut.getState().try({ gearDown: false });
    expect(useEngineOut.getState().trial).toMatchObject({ mass_kg: 1400, gearDown: false, failed: "left" });
  });

  it("the bank flown is the one chosen, or the one without sideslip, or level where there is none", () => {
    expect(flownBank_rad({ bank: { kind: "bank", bank_rad: radians(5) } }, null)).toBeCloseTo(radians(5), 9);
    expect(flownBank_rad({ bank: { kind: "zero-sideslip" } }, { zeroSideslip_rad: 0.05 })).toBe(0.05);
    expect(flownBank_rad({ bank: { kind: "zero-sideslip" } }, { zeroSideslip_rad: null })).toBe(0);
    expect(flownBank_rad({ bank: { kind: "zero-sideslip" } }, null)).toBe(0);
  });
});
