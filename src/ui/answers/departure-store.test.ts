import { beforeAll, describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { allowedBanks } from "@/core/departure/best-bank";
import { runwayFrame } from "@/core/departure/runway-frame";
import { type TurnbackAtHeight, aheadAt, turnbackAt } from "@/core/departure/scan";
import { turnbackAccount } from "@/core/departure/turnback-account";
import { localPlane } from "@/core/earth/local-plane";
import type { DepartureAtHeight, DepartureFacts } from "@/core/departure/departure-answer";
import { SCATTER_KINDS, USUAL_SCATTER } from "@/core/situation/scatter";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { type DepartureScan, flownNear, scanOf, sideOf, turnsBack } from "./departure-store";
import { flightDrawing } from "@/ui/stages/departure/flight-drawing";
import { nearestAhead, optionsAt } from "@/ui/stages/departure/options";
import { SCATTER_NAMES, scatterSize } from "@/ui/stages/departure/scatter-words";

const HEIGHTS = [60, 120, 180, 240];
const { day, question } = demoDeparture();
const plane = localPlane(question.runway.threshold);
const facts: DepartureFacts = {
  run_m: day.climb.run_m,
  climbEas_mps: day.climbEas_mps,
  bestEas_mps: day.best_mps,
  stallEas_mps: day.stallEas_mps,
  flapName: day.flapName,
  against: null,
  climb: day.climb.points.filter((_, i) => i % 4 === 0),
};
let scan: DepartureScan;

beforeAll(() => {
  const banks = allowedBanks(question.plan);
  const byBank = new Map<number, readonly TurnbackAtHeight[]>(
    banks.map((bank) => [bank, HEIGHTS.map((height_m) => turnbackAt(day, question, height_m, bank))]),
  );
  scan = scanOf(
    {
      question,
      facts,
      byBank,
      ahead: HEIGHTS.flatMap((height_m) => aheadAt(day, question, height_m, null, plane) ?? []),
      complete: true,
      took_ms: 1,
    },
    banks,
  );
});

describe("scan of the stage", () => {
  it("keeps the best of the banks at every height, and its bands", () => {
    expect(scan.best.map((at) => at.height_m)).toEqual(HEIGHTS);
    for (const at of scan.best) {
      const scores = [...scan.byBank.values()].flatMap((heights) =>
        heights
          .filter((candidate) => candidate.height_m === at.height_m)
          .flatMap((candidate) => [candidate.left?.score_m ?? -Infinity, candidate.right?.score_m ?? -Infinity]),
      );
      expect(at.score_m).toBe(Math.max(...scores));
    }
    expect(scan.bands).toHaveLength(1);
    expect(scan.bands[0].from_m).toBeGreaterThan(60);
    expect(scan.bands[0].from_m).toBeLessThan(180);
  });

  it("hands on what was best nearby, for the side that is looked at, and nothing of another question", () => {
    const near = flownNear(scan, question, 175, null);
    const best = scan.best[2].turnback?.technique;
    expect(near).toEqual(best && { side: best.side, bank_rad: best.bank_rad });
    expect(flownNear(scan, question, 175, 1)?.side).toBe(1);
    expect(flownNear(scan, { ...question }, 175, null)).toBeNull();
    expect(flownNear(null, question, 175, null)).toBeNull();
  });

  it.each([
    ["best", null, true],
    ["left", -1, true],
    ["right", 1, true],
    ["stop", null, false],
    ["ahead", null, false],
    ["skerrow:29", null, false],
  ])("choice %s", (choice, side, back) => {
    expect([sideOf(choice), turnsBack(choice)]).toEqual([side, back]);
  });
});

describe("options of the stage", () => {
  it("come in the order in which a pilot thinks: stop, ahead, turn back, elsewhere", () => {
    const options = optionsAt(scan, scan.ahead[2]);
    expect(options.slice(0, 4).map((option) => option.id)).toEqual(["stop", "ahead", "left", "right"]);
    expect(options.slice(4).every((option) => option.kind === "field" || option.kind === "runway")).toBe(true);
    const [left, right] = [options[2], options[3]];
    expect(Math.max(left.score_m ?? NaN, right.score_m ?? NaN)).toBe(scan.best[2].score_m);
  });

  it("say so when the reaction stalls", () => {
    const stalled = new Map(
      [...scan.byBank].map(([bank, heights]) => [
        bank,
        heights.map((at) => ({ ...at, left: null, right: null, stalledAfter_s: 3 })),
      ]),
    );
    const [, , left] = optionsAt({ ...scan, byBank: stalled }, scan.ahead[0]);
    expect(left).toMatchObject({ score_m: null, note: "the reaction ends in a stall" });
  });

  it("are those of the nearest height that was looked at", () => {
    expect(nearestAhead(scan, 130)?.height_m).toBe(120);
    expect(nearestAhead(scan, 5)?.height_m).toBe(60);
    expect(nearestAhead({ ...scan, ahead: [] }, 100)).toBeNull();
  });
});

describe("drawing of the departure", () => {
  const frame = runwayFrame(question.runway, plane);
  const format = (height_m: number) => `${Math.round(height_m)} m`;
  const at = (): DepartureAtHeight => {
    const technique = scan.best[3].turnback?.technique;
    const account = technique ? turnbackAccount(day, question, 240, technique) : null;
    const start = account?.start.failure;
    return {
      height_m: 240,
      stalledAfter_s: null,
      account,
      ahead: scan.ahead[3],
      failure: start ? { x_m: start.x_m, y_m: start.y_m } : null,
      reached: null,
      reachQuestion: null,
    };
  };

  it("ticks the climb every 200 ft, square to it", () => {
    const { ticks, climb } = flightDrawing(facts, null, "best", frame, format, null);
    expect(climb).toHaveLength(facts.climb.length);
    expect(ticks.map((tick) => tick.label).slice(0, 3)).toEqual(["61 m", "122 m", "183 m"]);
    for (const tick of ticks)
      expect(Math.hypot(tick.at[0] - tick.across[0], tick.at[1] - tick.across[1])).toBeCloseTo(90, 6);
  });

  it("draws the way back part by part, each beginning where the last ended, with touchdown and stop", () => {
    const { lines, marks } = flightDrawing(facts, at(), "best", frame, format, 2);
    expect(marks.map((mark) => mark.kind)).toEqual(["failure", "touchdown", "stop"]);
    lines.slice(1).forEach((line, i) => {
      const before = lines[i].points[lines[i].points.length - 1];
      expect(Math.hypot(line.points[0][0] - before[0], line.points[0][1] - before[1])).toBeLessThan(0.01);
    });
    expect(lines.map((line) => line.account)).toContain("turn");
    expect(lines[lines.length - 1].account).toBe("roll");
    // Both ends of the roll lie on the runway's line.
    const [a, b] = lines[lines.length - 1].points;
    const heading = Math.atan2(b[0] - a[0], b[1] - a[1]);
    expect(Math.cos(heading - question.runway.headingTrue_rad)).toBeCloseTo(-1, 5);
  });

  it("draws stopping ahead on the runway's line", () => {
    const low: DepartureAtHeight = { ...at(), height_m: 60, ahead: scan.ahead[0] };
    const { marks } = flightDrawing(facts, low, "stop", frame, format, null);
    expect(marks.map((mark) => mark.kind)).toEqual(["failure", "touchdown", "stop"]);
  });

  it("draws nothing that is not there", () => {
    const { lines, marks } = flightDrawing(
      facts,
      { ...at(), account: null, failure: null, ahead: null },
      "best",
      frame,
      format,
      null,
    );
    expect([lines, marks]).toEqual([[], []]);
  });
});

describe("scatter", () => {
  it("names every scatter", () => {
    expect(Object.keys(SCATTER_NAMES)).toHaveLength(7);
    const format = formatIn({ ...DEFAULT_UNITS, speed: "kmh" });
    expect(SCATTER_KINDS.map((kind) => scatterSize(USUAL_SCATTER, kind, format).replace("\u00a0", " "))).toEqual([
      "± 1.5 s",
      "± 5°",
      "± 4 %",
      "± 6 km/h",
      "± 6 km/h",
      "± 6 %",
      "± 8°",
    ]);
  });
});
