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
});
