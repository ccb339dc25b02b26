import { describe, expect, it } from "vitest";
import { demoGyroplane } from "../../../../../demo/read-demo";
import { M_PER_FT, MPS_PER_KT } from "@/core/quantities/constants";
import { type UnitChoice, DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { gyroSpot } from "@/core/rotor/gyro-answer";
import { spotDecision, spotLedger, verdictWords, wayName } from "./spot-words";

type Rounding = Parameters<typeof formatSi>[3];
const format = (kind: keyof UnitChoice, value: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], value, rounding);

const at = (height_ft: number, ahead_ft: number, wind_kt: number) => {
  const found = gyroSpot(
    { aircraft: demoGyroplane(), mass_kg: 480, altitude_m: 0, air: { qnh_Pa: 101_325, deviation_K: 0 } },
    { height_m: height_ft * M_PER_FT, ahead_m: ahead_ft * M_PER_FT, headwind_mps: wind_kt * MPS_PER_KT },
  );
  if (!found.ok) throw new Error(found.issue.message);
  return found.value.ways;
};

describe("the decision about a spot", () => {
  it("from 1,300 ft with the spot close ahead goes straight down and pushes in time", () => {
    const [best] = at(1300, 200, 20);
    expect(wayName(best, format)).toBe("straight down, then push");
    const said = spotDecision(at(1300, 200, 20), format);
    expect(said).toMatchObject({ works: true, lead: "Straight down, then push." });
    expect(said.rest).toMatch(/^Push at 7[5-9]\d.ft, no lower/);
    expect(spotLedger(best).map(({ name }) => name)).toEqual(["Slow descent", "Push for speed", "Final", "Flare"]);
    expect(verdictWords(best, format)).toMatch(/^works, 50.ft over$/);
  });

  it("a spot behind is reached by drifting back", () => {
    const said = spotDecision(at(1500, -400, 20), format);
    expect(said).toMatchObject({ works: true, lead: "Straight down, then push." });
  });

  it("too little height: out of reach, and by how much", () => {
    const ways = at(500, 3000, 10);
    expect(spotDecision(ways, format)).toMatchObject({ works: false, lead: "The spot is not in reach." });
    expect(verdictWords(ways[0], format)).toMatch(/^short by [\d\u202f]+.ft$/);
  });

  it("from 600 ft over the spot nothing slow is offered as working", () => {
    for (const way of at(600, 300, 20))
      if (way.verdict === "works") expect(way.pushAt_m ?? 1000).toBeGreaterThan(500 * M_PER_FT);
  });

  it("between straight in and a full S-turn a flatter one does: no height is too much for a spot ahead by a little", () => {
    for (let ahead_ft = 1600; ahead_ft <= 2500; ahead_ft += 100) {
      const ways = at(1300, ahead_ft, 14);
      expect([ahead_ft, ways[0].verdict]).toEqual([ahead_ft, "works"]);
    }
  });

  it("S-turns are counted", () => {
    const turned = at(1300, 2000, 5).find(({ kind }) => kind === "s-turns");
    expect(turned && wayName(turned, format)).toMatch(/^\d S-turns? of \d+°, then straight in$/);
  });
});
