import { describe, expect, it } from "vitest";
import { departureWork } from "@/workers/departure-work";
import type { DepartureAtHeight } from "@/core/departure/departure-answer";
import { demoDepartureQuestion } from "../../../../demo/demo-departure";
import { DEMO_ORIGIN, demoTerrain } from "../../../../demo/read-demo";
import { flightDrawing } from "./flight-drawing";

const question = demoDepartureQuestion();
const terrain = demoTerrain();
const work = departureWork(() => terrain);
const facts = work.departureFacts(question);
if (!facts.ok) throw new Error(facts.issue.message);
const at = (height_m: number, endId: string | null = null): DepartureAtHeight => {
  const found = work.departureAt(question, { height_m, side: null, flown: null, endId }, DEMO_ORIGIN);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
/** The runway's frame as it is. */
const same = (x_m: number, y_m: number) => ({ x_m, y_m });
const feet = (si: number) => `${Math.round(si / 0.3048)} ft`;
const drawn = (shown: DepartureAtHeight | null, choice: string) =>
  flightDrawing(facts.value, shown, choice, same, feet, null);

describe("what the map draws of a departure", () => {
  it("ticks the climb every 200 ft with its height", () => {
    const { ticks, climb } = drawn(null, "best");
    expect(ticks.slice(0, 3).map((tick) => tick.label)).toEqual(["200 ft", "400 ft", "600 ft"]);
    expect(ticks).toHaveLength(12);
    expect(climb.length).toBe(facts.value.climb.length);
    // A tick lies across the climb: as far on one side as on the other.
    const [tick] = ticks;
    expect(Math.hypot(tick.at[0] - tick.across[0], tick.at[1] - tick.across[1])).toBeCloseTo(90, 6);
  });

  it("a turn back is a chain of parts from the failure to the stop on the runway", () => {
    const shown = at(250);
    const { lines, marks } = drawn(shown, "best");
    expect(marks.map((mark) => mark.kind)).toEqual(["failure", "touchdown", "stop"]);
    for (let i = 1; i < lines.length; i += 1) {
      const [end, begin] = [lines[i - 1].points.at(-1) ?? [], lines[i].points[0]];
      expect(Math.hypot(end[0] - begin[0], end[1] - begin[1])).toBeLessThan(15);
    }
    expect(lines.map((line) => line.account)).toEqual(expect.arrayContaining(["reaction", "turn", "approach", "roll"]));
    // Coming back the stop lies nearer to the beginning of the runway than the touchdown.
    const [touchdown, stop] = marks.slice(1);
    expect(stop.at[0]).toBeLessThan(touchdown.at[0]);
  });

  it("stopping ahead lands beyond the failure; level ground ahead is marked where it is", () => {
    const low = at(30);
    const stop = drawn(low, "stop");
    expect(stop.marks.map((mark) => mark.kind)).toEqual(["failure", "touchdown", "stop"]);
    expect(stop.marks[1].at[0]).toBeGreaterThan(stop.marks[0].at[0]);
    const ahead = at(200);
    const spot = ahead.ahead?.sector.spot;
    expect(drawn(ahead, "ahead").marks.map((mark) => mark.kind)).toEqual(spot ? ["failure", "spot"] : ["failure"]);
  });

  it("the way to a field has the ledger's parts; without an answer only the failure is marked", () => {
    const field = question.ends.find((end) => end.unprepared);
    const shown = at(400, field?.id ?? null);
    if (shown.reached?.path) expect(drawn(shown, field?.id ?? "").lines.length).toBeGreaterThan(1);
    expect(drawn({ ...shown, reached: null }, field?.id ?? "").lines).toEqual([]);
    expect(drawn({ ...shown, reached: null }, field?.id ?? "").marks).toHaveLength(1);
  });
});
