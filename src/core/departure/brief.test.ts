import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { demoTerrain } from "../../../demo/read-demo";
import { localPlane } from "../earth/local-plane";
import { DEFAULT_UNITS } from "../quantities/units";
import type { DeparturePlan } from "../situation/departure-plan";
import { bestBank } from "./best-bank";
import { type BriefFacts, departureBrief } from "./brief";
import { schoolGates } from "./gate";
import { aheadAt } from "./scan";
import { turnbackAccount } from "./turnback-account";

const { day, question } = demoDeparture();
const terrain = demoTerrain();
const ahead = [60, 120, 180, 240].flatMap(
  (height_m) => aheadAt(day, question, height_m, terrain, localPlane(terrain.origin)) ?? [],
);
const best = bestBank(day, question, 305);
const atGate = best && turnbackAccount(day, question, 305, best.technique);

function brief(plan: Partial<DeparturePlan> = {}, computed_m: number | null = 180, change: Partial<BriefFacts> = {}) {
  const whole = { ...question.plan, ...plan };
  const gates = schoolGates(whole, computed_m);
  return departureBrief(
    {
      runwayName: "Skerrow 29",
      plan: whole,
      climbEas_mps: 34,
      bestEas_mps: 33,
      stallEas_mps: day.stallEas_mps,
      gates,
      bands: [{ from_m: 105, to_m: null }],
      stopUntil_m: 55,
      ahead,
      atGate: gates.gate_m === null ? null : atGate,
      chance: gates.gate_m === null ? null : 0.93,
      calibration: null,
      ...change,
    },
    DEFAULT_UNITS,
  );
}
const words = (...given: Parameters<typeof brief>) =>
  brief(...given)
    .map((sentence) => sentence.text.replace(/[\u00a0\u202f]/g, " "))
    .join("\n");

describe("departure brief", () => {
  // The indicator shows 10 kt too little: 33 m/s are 64 kt calibrated, 54 indicated. Over the ground it shows nothing.
  it("says the speeds to fly as the indicator shows them", () => {
    const kt = (speed: number) => speed * 0.514444;
    const calibration = [40, 120].map((speed) => ({ indicated_mps: kt(speed - 10), calibrated_mps: kt(speed) }));
    const said = words({}, 180, { calibration });
    expect(said).toContain("nose down to 54 kt IAS");
    expect(said).toContain("54 kt IAS when straight");
    const overGround = /touchdown at (\d+) kt over the ground/;
    expect(overGround.exec(said)?.[1]).toBe(overGround.exec(words())?.[1]);
  });

  it("goes from before rotation through the gate to the landing back", () => {
    const said = words();
    expect(said).toMatch(/^Skerrow 29\. Before rotation, anything wrong: throttle closed/);
    expect(said).toContain("Airborne, until 180 ft: nose down to 64 kt, land on the runway that is left.");
    expect(said).toContain("From 180 ft until 1 000 ft: nose down, 64 kt, ahead within 30° of the nose");
    expect(said).toContain("turn back left, 45°");
    expect(said).toContain("about 93 in 100");
    expect(brief()[2]).toMatchObject({ from_m: 55, to_m: 304.8 });
  });

  it("is lower with the computed gate alone, and stops at the upper end of what works", () => {
    expect(words({ school: "computed" })).toContain("until 600 ft");
    const upper = words({}, 180, { bands: [{ from_m: 105, to_m: 420 }] });
    expect(upper).toContain("From 1 000 ft up to 1 380 ft");
    expect(upper).toContain("Above 1 380 ft the runway is too far behind");
  });

  it("says when there is no turning back, by numbers or by school", () => {
    expect(words({}, null)).toContain(
      "Turning back never works often enough up to 2 500 ft today (90 in 100 is asked for)",
    );
    expect(words({}, null, { bands: [] })).toContain("Turning back works at no height");
    const spot = words({ school: "spot-ahead", crosswind: { height_m: 91.44, side: "left" } });
    expect(spot).toContain("A landable spot is kept ahead all the way: crosswind left at 300 ft");
    expect(spot).not.toContain("turn back left");
  });

  it("tells what is ahead: level ground, water, nothing known", () => {
    expect(words()).toContain("level ground is there by the terrain");
    const sector = (water: number | null) =>
      ahead.map((at) => ({ ...at, options: [], sector: { ...at.sector, spot: null, water } }));
    expect(words({}, 180, { ahead: sector(0.9) })).toContain("water, prepare to ditch");
    expect(words({}, 180, { ahead: sector(0.1) })).toContain("no level ground, the least bad");
    expect(words({}, 180, { ahead: sector(null) })).toContain("has been looked at before");
    expect(words({}, 180, { stopUntil_m: null })).toContain("the runway left is not enough to stop on");
  });

  describe("word for word", () => {
    const when = (...given: Parameters<typeof brief>) =>
      brief(...given).map(({ from_m, to_m, text }) => [from_m, to_m, text.replace(/[\u00a0\u202f]/g, " ")] as const);
    const turned = (change: {
      side?: -1 | 1;
      extension_s?: number;
      tailwind_mps?: number;
      spare_m?: number | null;
    }): Partial<BriefFacts> => {
      if (!atGate) throw new Error("a turn at the gate");
      const { side = 1, extension_s = 0, tailwind_mps = 0, spare_m = 128 } = change;
      const { result } = atGate;
      return {
        stallEas_mps: 25,
        atGate: {
          ...atGate,
          technique: { ...atGate.technique, side, extension_s, bank_rad: Math.PI / 4, stallMargin: 1.1 },
          result: { ...result, spare_m, roll: { ...result.roll, tailwind_mps, touchdownGroundSpeed_mps: 30 } },
        },
      };
    };

    it("every sentence has the heights that it is about", () => {
      expect(when({}, 350, { ...turned({}), bands: [{ from_m: 105, to_m: 420 }], ahead: [] })).toEqual([
        [null, 0, "Skerrow 29. Before rotation, anything wrong: throttle closed, stop on the runway."],
        [0, 55, "Airborne, until 180 ft: nose down to 64 kt, land on the runway that is left."],
        [55, 350, "From 180 ft until 1 150 ft: nose down, 64 kt, ahead within 30° of the nose. No turning back."],
        // 1.1 · 25 m/s · √√2 is 64 kt.
        [350, 420, "From 1 150 ft up to 1 380 ft: turn back right, 45°, 64 kt, 64 kt when straight."],
        [420, null, "Above 1 380 ft the runway is too far behind: another field, or ahead."],
        [
          350,
          420,
          "Landing back: no wind along the runway, touchdown at 58 kt over the ground, 130 m left after stopping at the least.",
        ],
        [350, null, "As practised, about 93 in 100 such turns succeed at that height."],
      ]);
    });

    it("a band that ends under the gate, or goes up to the top, is no upper end", () => {
      const bands = [
        { from_m: 105, to_m: 180 },
        { from_m: 200, to_m: null },
      ];
      const said = when({}, 180, { bands });
      expect(said[3][2]).toMatch(/^From 1 000 ft: straight on for \d+ seconds, then turn back/);
      expect(said.some(([, , text]) => text.startsWith("Above"))).toBe(false);
      expect(when({}, 180, { bands: [{ from_m: 105, to_m: 304.8 }] })[3].slice(0, 2)).toEqual([304.8, null]);
    });

    it.each([
      [{ side: -1 as const, extension_s: 6.4 }, "straight on for 6 seconds, then turn back left"],
      [{ extension_s: 1 }, "straight on for 1 seconds, then turn back right"],
      [{ extension_s: 0.9 }, "ft: turn back right"],
      [{ tailwind_mps: 5 }, "Landing back: 10 kt behind,"],
      [{ tailwind_mps: -5 }, "Landing back: 10 kt on the nose,"],
      [{ tailwind_mps: 0.5 }, "Landing back: 1 kt behind,"],
      [{ tailwind_mps: -0.49 }, "Landing back: no wind along the runway,"],
      [{ spare_m: null }, "over the ground, no runway left at the least."],
      [{ spare_m: -40 }, "over the ground, 0 m left after stopping at the least."],
    ])("a turn with %o says “%s”", (change, text) => {
      expect(words({}, 180, turned(change))).toContain(text);
    });

    it("nearly all is said from 98.5 in 100; without a chance nothing is", () => {
      expect(words({}, 180, { chance: 0.986 })).toContain("As practised, nearly all such turns");
      expect(words({}, 180, { chance: 0.985 })).toContain("As practised, about 99 in 100 such turns");
      expect(words({}, 180, { chance: null })).not.toContain("As practised");
      expect(words({}, 180, { atGate: null })).not.toContain("Landing back");
    });

    it("without a gate the sentence about the ground ahead has no upper end", () => {
      const [, stop, until, none] = when({}, null, { stopUntil_m: null, bands: [], ahead: [] });
      expect(stop).toEqual([0, null, "Once airborne the runway left is not enough to stop on."]);
      expect(until).toEqual([0, null, "From 0 ft: nose down, 64 kt, ahead within 30° of the nose. No turning back."]);
      expect(none).toEqual([
        null,
        null,
        "Turning back works at no height up to 2 500 ft today: ahead, whatever the height.",
      ]);
      const spot = when({ school: "spot-ahead", crosswind: null }, 180, { ahead: [] });
      expect(spot).toHaveLength(4);
      expect(spot[3]).toEqual([
        55,
        null,
        "A landable spot is kept ahead all the way; there is no turning back in this brief.",
      ]);
    });

    it("names the first three fields or runways that work between the two heights, each once", () => {
      const option = (name: string, score_m: number | null, kind: "field" | "runway" | "stop" = "field") => ({
        id: name,
        kind,
        name,
        score_m,
        margin_m: null,
        spare_m: null,
        note: null,
      });
      const at = (height_m: number, ...options: ReturnType<typeof option>[]) => ({ ...ahead[0], height_m, options });
      const said = (...heights: ReturnType<typeof at>[]) => when({}, 180, { ahead: heights })[2][2];
      expect(
        said(
          at(54, option("Too low", 9)),
          at(55, option("Strand", 0), option("Short", -0.1), option("Unknown", null), option("The rest", 5, "stop")),
          at(100, option("Strand", 4), option("Tolvane 22", 3, "runway")),
          at(304.8, option("Moor", 1), option("Fourth", 1)),
          at(306, option("Too high", 9)),
        ),
      ).toContain("of the nose: Strand, Tolvane 22, Moor. No turning back.");
    });

    it("level ground from some heights only is said so; so is water, from half of what is in reach", () => {
      const spot = { x_m: 0, y_m: 0, track_rad: 0, margin_m: 9, spare_m: 9, score_m: 1 };
      const at = (height_m: number, found: typeof spot | null, water: number | null) => ({
        ...ahead[0],
        height_m,
        options: [],
        sector: { reach_m: 900, spot: found, water },
      });
      const said = (...heights: ReturnType<typeof at>[]) => when({}, 180, { ahead: heights })[2][2];
      expect(said(at(60, spot, 0), at(90, null, 0))).toContain("level ground is not there from every height");
      expect(said(at(60, spot, null), at(90, spot, 0))).toContain("level ground is there by the terrain");
      expect(said(at(60, null, 0.5), at(90, null, null))).toContain("no level ground, the least bad");
      expect(said(at(60, null, 0.2), at(90, null, 0.51))).toContain("water, prepare to ditch");
    });
  });
});
