import { describe, expect, it } from "vitest";
import { USUAL_SCATTER } from "@/core/situation/scatter";
import { SCAN_HEIGHTS_M, betterSide } from "@/core/departure/scan";
import { demoDepartureQuestion } from "../../demo/demo-departure";
import { DEMO_ORIGIN, demoAircraft, demoTerrain } from "../../demo/read-demo";
import { departureWork } from "./departure-work";

const question = demoDepartureQuestion();
const terrain = demoTerrain();
const work = departureWork(() => terrain);
const BANK = Math.PI / 4;
const value = <T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T => {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
};

describe("a departure as the stage asks for it", () => {
  it("one height taken alone is the same as in the scan", () => {
    const heights = [150, 220, 300];
    const together = value(work.departureTurnbacks(question, BANK, heights));
    heights.forEach((height_m, i) => {
      const [alone] = value(work.departureTurnbacks(question, BANK, [height_m]));
      expect(betterSide(alone)?.score_m).toBe(betterSide(together[i])?.score_m);
    });
  });

  it("what the scan found best near a height is flown there without searching the other banks", () => {
    const [scanned] = value(work.departureTurnbacks(question, BANK, [220]));
    const technique = betterSide(scanned)?.technique;
    const shown = value(
      work.departureAt(
        question,
        {
          height_m: 220,
          side: null,
          flown: technique ? { side: technique.side, bank_rad: technique.bank_rad } : null,
          endId: null,
        },
        DEMO_ORIGIN,
      ),
    );
    expect(shown.account?.score_m).toBeCloseTo(betterSide(scanned)?.score_m ?? NaN, 6);
    expect(shown.account?.technique.bank_rad).toBe(BANK);
  });

  it("the chance in slices adds up to the chance at once", () => {
    const planned = value(work.departurePlanned(question, 220));
    if (!planned) throw new Error("no plan");
    const count = (from: number, to: number) =>
      value(work.departureChance(question, planned, USUAL_SCATTER, { seed: 7, samples: 60, from, to }, false));
    const [whole, first, rest] = [count(0, 60), count(0, 25), count(25, 60)];
    expect(whole.flown).toBe(60);
    expect(first.succeeded + rest.succeeded).toBe(whole.succeeded);
    expect(first.flown + rest.flown).toBe(60);
    expect(whole.succeeded).toBeGreaterThan(0);
  });

  it("options ahead for every height of the scan; practice for half a turn and a whole one", () => {
    expect(value(work.departureAhead(question, SCAN_HEIGHTS_M)).map((at) => at.height_m)).toEqual([...SCAN_HEIGHTS_M]);
    const [half, full] = value(work.departurePractice(question, BANK));
    expect(full.loss_m).toBeGreaterThan(1.5 * half.loss_m);
    expect(half.tolerance_m).toBeGreaterThan(0);
  });

  it("the working of a turn back is there where there is one, and a stall is said", () => {
    expect(value(work.departureWorking(question, 250, null)).length).toBeGreaterThan(10);
    const stalling = {
      ...question,
      plan: { ...question.plan, reaction: "attitude" as const },
      pilot: { ...question.pilot, reaction_s: 12 },
    };
    expect(work.departureWorking(stalling, 250, null)).toMatchObject({ ok: false, issue: { code: "stalls" } });
  });

  it("hands on why there is no answer", () => {
    expect(work.departureFacts({ ...question, aircraft: demoAircraft("larch-t2") })).toMatchObject({
      ok: false,
      issue: { code: "not_single" },
    });
  });
});
