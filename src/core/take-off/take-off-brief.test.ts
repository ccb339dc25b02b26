// Every sentence of the brief by what it is made of: what is left rounds down, what lacks rounds up.
import { describe, expect, it } from "vitest";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { DEFAULT_UNITS } from "../quantities/units";
import { type TakeOffFacts, noGo, takeOffBrief } from "./take-off-brief";

const kt = (speed: number) => speed * MPS_PER_KT;
const ft = (height: number) => height * M_PER_FT;

function facts(change: {
  readonly jet?: boolean;
  readonly climb_mps?: number;
  readonly stopSpare_m?: number;
  readonly goSpare_m?: number | null;
  readonly phases?: Partial<TakeOffFacts["phases"]>;
  readonly at?: null;
  readonly turns?: TakeOffFacts["turns"];
  readonly failed?: TakeOffFacts["failed"];
}): TakeOffFacts {
  return {
    runwayName: "Skerrow 29",
    runway_m: 900,
    jet: change.jet ?? false,
    speeds: {
      rotation_mps: kt(70),
      screen_mps: kt(82),
      flapUp_mps: kt(95),
      oneEngine_mps: kt(88),
    } as TakeOffFacts["speeds"],
    accelerate: {
      action_mps: kt(68),
      stopSpare_m: change.stopSpare_m ?? 129,
      goSpare_m: change.goSpare_m === undefined ? 59 : change.goSpare_m,
    } as TakeOffFacts["accelerate"],
    phases: {
      landUntil_m: ft(79),
      goFrom_m: ft(350),
      goFails: null,
      advisedFrom_m: ft(401),
      slow: null,
      ...change.phases,
    },
    back: {
      height_m: ft(801),
      radius_m: 606,
      at: change.at === null ? null : {},
    } as TakeOffFacts["back"],
    acceleration_m: ft(1000),
    turns: change.turns ?? "either",
    failed: change.failed ?? "left",
    climb_mps: change.climb_mps ?? 1.3,
    calibration: null,
  };
}
const brief = (change: Parameters<typeof facts>[0] = {}) =>
  takeOffBrief(facts(change), DEFAULT_UNITS).map((sentence) => sentence.replace(/\s/g, " "));

describe("the brief of a propeller twin", () => {
  it("in the order of the take-off, sentence by sentence", () => {
    expect(brief()).toEqual([
      "Skerrow 29. Until rotation, 70 kt: anything wrong, both throttles closed, brakes; it stops with 120 m left.",
      "Airborne, gear down, until 70 ft: close both, land on the runway that is left.",
      "From 70 ft until 410 ft: gear down, close both, land ahead.",
      "From 410 ft: hold the heading, full power, gear up, flap up; identify, verify, feather; 88 kt, 250 feet a minute when all is done.",
      "Turn back from 810 ft, 15° of bank, to either side: a circle of 1 220 m across.",
    ]);
  });

  it("that does not stop is told by how much, rounded up, and what that means", () => {
    expect(brief({ stopSpare_m: -121 })[0]).toMatch(
      /it stops 130 m beyond the end: this take-off is not safe to abandon so late\.$/,
    );
    expect(brief({ stopSpare_m: 0 })[0]).toMatch(/it stops with 0 m left\.$/);
  });

  it("that lands on no runway once it flies is told so, and goes from the ground up", () => {
    const said = brief({ phases: { landUntil_m: null } });
    expect(said[1]).toBe("Once airborne the runway left is not enough to land on.");
    expect(said[2]).toMatch(/^From 0 ft until 410 ft: gear down/);
  });

  it("that goes from where the runway ends has nothing in between", () => {
    const said = brief({ phases: { landUntil_m: ft(450), advisedFrom_m: ft(450) } });
    expect(said).toHaveLength(4);
    expect(said[2]).toMatch(/^Beyond, no runway left: hold the heading/);
  });

  it.each([
    ["V_MCA", "67 kt under V_MCA at 5° bank, 71 kt."],
    ["V_S", "67 kt under V_S 71 kt."],
  ] as const)("that comes under %s while the failure is recognised: nose down at once", (limit, end) => {
    const slow = { from_m: ft(200), eas_mps: kt(67), limit_mps: kt(71), limit };
    const said = brief({ phases: { slow } });
    expect(said[4]).toBe(`In this climb lower the nose at once: held until it is recognised, ${end}`);
    expect(said).toHaveLength(6);
  });

  it.each([
    ["left", "to the right only, toward the live engine"],
    ["right", "to the left only, toward the live engine"],
  ] as const)("with the %s engine out and turns to the live one only", (failed, side) => {
    expect(brief({ turns: "live", failed }).at(-1)).toContain(side);
    expect(brief({ failed }).at(-1)).toContain("to either side");
  });

  it("that never has the height to turn back is told to go on to better ground", () => {
    expect(brief({ at: null }).at(-1)).toBe(
      "It does not come high enough to turn back on one engine: straight on to better ground.",
    );
  });

  it.each([
    ["it descends", { climb_mps: -0.2 }, "it will not climb today"],
    ["it just holds its height", { climb_mps: 0 }, "it will not climb today"],
    ["an obstacle", { phases: { advisedFrom_m: null, goFails: "obstacle" } }, "not over what stands ahead"],
  ] as const)("that does not climb away (%s) is told first, and then nothing of climbing", (_why, change, reason) => {
    const said = brief(change);
    expect(said[0]).toMatch(/^Skerrow 29\. .* Any failure after lift-off: both throttles back, land ahead\.$/);
    expect(said[0]).toContain(reason);
    expect(said[1]).toMatch(/^Until rotation/);
    expect(said).toHaveLength(3);
    expect(said.join(" ")).not.toMatch(/feather|Turn back/);
  });
});

describe("the brief of a jet", () => {
  it("has its decision, its speeds and the acceleration height", () => {
    expect(brief({ jet: true })).toEqual([
      "Skerrow 29. Until V_1, 68 kt: anything wrong, both thrust levers closed, brakes; it stops with 120 m left.",
      "From V_1: go. Rotate 70 kt, V_2 82 kt at 35 feet, 50 m before the end. Positive climb: gear up.",
      "V_2 to 1 000 ft, level, flap up at 95 kt, 88 kt, maximum continuous thrust.",
    ]);
  });

  it.each([
    [-10, -41, true, / at 35 feet, 50 m beyond the end\./],
    [-10, null, true, /V_2 82 kt\. Positive/],
    [-10, 0, false, / at 35 feet, 0 m before the end\./],
    [0, -41, false, / at 35 feet, 50 m beyond the end\./],
    [0, null, false, /V_2 82 kt\. Positive/],
  ] as const)("stopping with %s m and going with %s m to spare", (stopSpare_m, goSpare_m, neither, screen) => {
    const said = brief({ jet: true, stopSpare_m, goSpare_m });
    expect(said[0].includes("is too short at this mass")).toBe(neither);
    expect(said.find((sentence) => sentence.startsWith("From V_1"))).toMatch(screen);
  });

  it("that does not climb has no acceleration height", () => {
    expect(brief({ jet: true, climb_mps: -1 }).join(" ")).not.toContain("maximum continuous");
  });
});

describe("why there is no going on", () => {
  it.each([
    ["obstacle", "On one engine it climbs, but not over what stands ahead."],
    ["sinks", "On one engine it sinks back to the ground before it climbs."],
    ["climb", "On one engine it climbs only when everything is mended, and does not get that far."],
    ["control", "On one engine it never climbs as fast as is asked for."],
    ["stall", "On one engine it never climbs as fast as is asked for."],
    [null, "On one engine it never climbs as fast as is asked for."],
  ] as const)("%s", (goFails, words) => {
    expect(noGo(facts({ phases: { goFails } }))).toBe(words);
    expect(noGo(facts({ climb_mps: 0, phases: { goFails } }))).toBe("On one engine it will not climb today.");
  });
});
