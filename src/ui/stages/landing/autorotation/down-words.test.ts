import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../../../demo/read-demo";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { type UnitChoice, DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { autorotationDown } from "@/core/rotor/autorotation-answer";
import { downDecision, keyWords } from "./down-words";

type Rounding = Parameters<typeof formatSi>[3];
const format = (kind: keyof UnitChoice, value: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], value, rounding);
const aircraft = demoHelicopter();
const down = (height_m: number, headwind_mps: number, mass_kg = 2800, altitude_m = 0) => {
  const found = autorotationDown({
    aircraft,
    mass_kg,
    altitude_m,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    tas_mps: 80 * MPS_PER_KT,
    headwind_mps,
    height_m,
    school: "least-sink",
  });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the decision without engines", () => {
  it("collective, speed, seconds and ground; carried back where the wind is faster", () => {
    expect(downDecision(down(600, 5), format)).toEqual({
      lead: expect.stringMatching(/^Collective down, 66.kt, into the wind\.$/),
      rest: expect.stringMatching(/^About 5\d s and 0\.\d.NM of ground until the flare\.$/),
    });
    expect(downDecision(down(600, 40), format).rest).toMatch(/carried back until the flare/);
  });
  it("too low to settle", () => {
    expect(downDecision(down(40, 5), format).lead).toBe("Too low for a steady autorotation.");
  });
  it("says what is done at each key", () => {
    const { landing, way } = down(600, 0);
    const [stop, steady, flare, touchdown] = way.keys.map(({ name }) => keyWords(name, landing, aircraft, format));
    expect(stop).toMatch(/^Collective down at once: after 0\.\d s the rotor is at 92 %, after 1 s at 8\d %\.$/);
    expect(steady).toMatch(/^Sinks 1.9\d0.ft\/min; entry cost 20.ft and [12]\.\d s\.$/);
    expect(flare).toMatch(/^Sketch: /);
    expect(touchdown).toMatch(/390.ft\/min or less, the rotor not below 80 %/);
    const heavy = down(600, 0, 3000, 2000);
    expect(keyWords("flare", heavy.landing, aircraft, format)).toMatch(/hold too little for this mass/);
  });
});
