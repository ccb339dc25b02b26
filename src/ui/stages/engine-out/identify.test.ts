import { describe, expect, it } from "vitest";
import { FAULTS } from "@/core/engine/engine-fault";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { gaugeReading, gaugeZero } from "./gauge-words";
import { drawFault, rightEngine } from "./identify-store";

describe("readings as instruments show them", () => {
  it.each([
    ["manifold", 84_600, "25.0\u00a0inHg"],
    ["rpm", 2393, "2\u202f390\u00a0rpm"],
    ["core", 0.104, "10\u00a0%"],
    ["fuelFlow", 0.01, "36\u00a0kg/h"],
    ["exhaust", 1023.15, "750\u00a0°C"],
    ["oil", 410_000, "4.1\u00a0bar"],
  ] as const)("%s %f: %s", (gauge, si, shown) => {
    expect(gaugeReading(gauge, si, DEFAULT_UNITS)).toBe(shown);
  });

  it("a blind temperature gauge reads nothing, and temperatures begin at 0 °C", () => {
    expect(gaugeReading("exhaust", 0, DEFAULT_UNITS)).toBe("nothing");
    expect(gaugeZero("exhaust")).toBe(273.15);
    expect(gaugeZero("oil")).toBe(0);
  });
});

describe("a fault by lot", () => {
  it("is any of them on either engine; for jets only theirs", () => {
    expect(drawFault(false, [0, 0])).toEqual({ fault: FAULTS[0].kind, engine: "left" });
    expect(drawFault(false, [1, 0.99])).toEqual({ fault: FAULTS[FAULTS.length - 1].kind, engine: "right" });
    for (let i = 0; i < 20; i += 1)
      expect(FAULTS.find((fault) => fault.kind === drawFault(true, [i / 20, 0]).fault)?.jet).toBe(true);
  });

  it("of a gauge alone is on neither engine", () => {
    expect(rightEngine("gauge", "left")).toBe("neither");
    expect(rightEngine("seizure", "right")).toBe("right");
  });
});
