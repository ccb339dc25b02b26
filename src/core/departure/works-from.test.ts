import { describe, expect, it } from "vitest";
import { demoDepartureQuestion } from "../../../demo/demo-departure";
import { departureDay } from "./departure-day";
import { SCAN_HEIGHTS_M, turnbackAt } from "./scan";
import { worksFrom } from "./works-from";

const BANK_RAD = Math.PI / 4;

describe("from where turning back works", () => {
  const question = demoDepartureQuestion();
  const day = departureDay(question);
  if (!day.ok) throw new Error(day.issue.message);

  it("lies between the last height at which it does not and the first at which it does", () => {
    const { from_m, run_m } = worksFrom(day.value, question, BANK_RAD);
    const scores = SCAN_HEIGHTS_M.filter((_, i) => i % 2 === 1).map((height_m) => {
      const { left, right } = turnbackAt(day.value, question, height_m, BANK_RAD);
      return { height_m, score_m: Math.max(left?.score_m ?? -Infinity, right?.score_m ?? -Infinity) };
    });
    const first = scores.findIndex(({ score_m }) => score_m >= 0);
    expect(first).toBeGreaterThan(0);
    expect(from_m).toBeGreaterThan(scores[first - 1].height_m);
    expect(from_m).toBeLessThanOrEqual(scores[first].height_m);
    expect(run_m).toBe(day.value.climb.run_m);
  });

  it("is nowhere in a wind that carries it over the runway’s far end on the way back", () => {
    const wind = { surface: { from_rad: question.runway.headingTrue_rad, speed_mps: 20 }, layers: [] };
    const windy = departureDay({ ...question, wind });
    if (!windy.ok) throw new Error(windy.issue.message);
    const { from_m, run_m } = worksFrom(windy.value, { ...question, wind }, 0.35);
    expect(from_m).toBeNull();
    expect(run_m).toBeLessThan(day.value.climb.run_m);
  });
});
