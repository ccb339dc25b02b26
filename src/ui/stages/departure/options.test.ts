import { describe, expect, it } from "vitest";
import { departureWork } from "@/workers/departure-work";
import { demoDepartureQuestion } from "../../../../demo/demo-departure";
import { demoTerrain } from "../../../../demo/read-demo";
import { allowedBanks } from "@/core/departure/best-bank";
import { scanOf } from "@/ui/answers/departure-store";
import { nearestAhead, optionsAt, standingOf } from "./options";

const question = demoDepartureQuestion();
const terrain = demoTerrain();
const work = departureWork(() => terrain);
const HEIGHTS = [60, 200, 320];
const [facts, ahead] = [work.departureFacts(question), work.departureAhead(question, HEIGHTS)];
if (!facts.ok || !ahead.ok) throw new Error("no departure");
const banks = allowedBanks(question.plan);
const byBank = new Map(
  banks.map((bank) => {
    const found = work.departureTurnbacks(question, bank, HEIGHTS);
    return [bank, found.ok ? found.value : []] as const;
  }),
);
const scan = scanOf({ question, facts: facts.value, ahead: ahead.value, byBank, complete: true, took_ms: 1 }, banks);

describe("options at a height", () => {
  it("are stop and ahead first, then both ways back, then fields and other runways", () => {
    for (const at of ahead.value) {
      const kinds = optionsAt(scan, at).map((option) => option.kind);
      const first = kinds.indexOf("turnback");
      expect(kinds.slice(first, first + 2)).toEqual(["turnback", "turnback"]);
      expect(kinds.slice(0, first).every((kind) => kind === "stop" || kind === "ahead")).toBe(true);
      expect(kinds.slice(first + 2).every((kind) => kind === "field" || kind === "runway")).toBe(true);
    }
  });

  it("turning back is the best of the banks that may be flown, to each side", () => {
    const options = optionsAt(scan, ahead.value[2]);
    const [left, right] = ["left", "right"].map((id) => options.find((option) => option.id === id));
    const best = scan.best.find((at) => at.height_m === HEIGHTS[2])?.score_m ?? NaN;
    expect(Math.max(left?.score_m ?? -Infinity, right?.score_m ?? -Infinity)).toBe(best);
    expect(left?.note).toBeNull();
  });

  it("the nearest scanned height answers for those between", () => {
    expect(nearestAhead(scan, 0)?.height_m).toBe(60);
    expect(nearestAhead(scan, 131)?.height_m).toBe(200);
    expect(nearestAhead({ ...scan, ahead: [] }, 100)).toBeNull();
  });
});

describe("what is said of an option", () => {
  it.each([
    [null, "not known"],
    [-0.1, "no"],
    [0, "just"],
    [15, "just"],
    [16, "works"],
  ] as const)("%s m left: %s", (score_m, standing) => {
    expect(standingOf(score_m)).toBe(standing);
  });
});
