import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import type { ListedFlight } from "@/server/flights";
import { formatIn } from "@/ui/kit/units/units-store";
import { flownCsv, flownHow, flownTrend, handFigures, isHeld } from "./flown-result-words";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");
const flight = (result: Partial<ListedFlight["result"]>): ListedFlight => ({
  id: "1",
  flownAt: "2026-11-20T10:00:00.000Z",
  aircraft: "Alder S1",
  words: "=Alder S1 takes off",
  exerciseId: null,
  backs: 1,
  helped: true,
  result: {
    took_s: 92.34,
    ended: "down",
    touch: { ias_mps: 28, sink_mps: 1 },
    out_s: { speed: 2, bank: 0, ball: 1, stall: 0 },
    verdict: null,
    glide: { lost_m: 300, beyond_m: 61 },
    hand: { reaction_s: 3.2, bank: { mean_rad: 0.7, spread_rad: 0.1 }, speed: { off_mps: -1, spread_mps: 2 } },
    ...result,
  },
});

describe("flights by hand in words", () => {
  it.each([
    [{}, "down, sinking 200 ft/min; 3 s out", true],
    [{ touch: { ias_mps: 30, sink_mps: 4 } }, "down, hard, sinking 790 ft/min; 3 s out", false],
    [{ ended: "departed" as const, touch: null }, "departed; 3 s out", false],
    [
      { ended: "air" as const, touch: null, out_s: { speed: 0, bank: 0, ball: 0, stall: 0 } },
      "ended in the air; held",
      true,
    ],
    [{ verdict: "failed" as const }, "down, sinking 200 ft/min; 3 s out, exercise not passed", false],
    [{ out_s: { speed: 2, bank: 2, ball: 1, stall: 0.5 } }, "down, sinking 200 ft/min; 6 s out", false],
  ])("%o: %s", (result, words, held) => {
    expect(plain(flownHow(flight(result).result, format))).toBe(words);
    expect(isHeld(flight(result).result)).toBe(held);
  });

  it("the last glide is laid beside the one before; flights that were no glide are passed over", () => {
    const told = (...flights: ListedFlight[]) => plain(flownTrend(flights, format).rest);
    expect(flownTrend([], format).lead).toBe("None flown yet.");
    expect(told(flight({ glide: null }))).toBe("Height is accounted for in glides.");
    expect(told(flight({}))).toBe("The last glide took 210 ft more than its way needed.");
    expect(told(flight({}), flight({ glide: null }), flight({ glide: { lost_m: 300, beyond_m: 91.5 } }))).toBe(
      "The last glide took 210 ft more than its way needed, 100 ft less than the one before.",
    );
    expect(told(flight({ glide: { lost_m: 300, beyond_m: -20 } }))).toBe(
      "The last glide took no more than its way needed.",
    );
    expect(flownTrend([flight({}), flight({ ended: "crash" })], format).lead).toBe("1 of 2 held.");
  });

  it("the hand in figures, each with its spread", () => {
    expect(handFigures([flight({ hand: null })], format)).toEqual([]);
    expect(handFigures([flight({})], format).map(([name, value]) => [name, plain(value)])).toEqual([
      ["Flights", "1"],
      ["Acts after", "3.2 ± 0.0 s"],
      ["Bank in turns", "40 ± 6°"],
      ["Speed under what is held", "2 kt ± 4 kt"],
    ]);
  });

  it("as a file has numbers as numbers, and holds no formula", () => {
    const [head, line] = flownCsv([flight({})]).split("\r\n");
    expect(head.split(",").slice(0, 8).join()).toBe("flown,what,aircraft,took_s,ended,touch_mps,sink_mps,speed_out_s");
    expect(line).toMatch(
      /^2026-11-20T10:00:00\.000Z,"?'=Alder S1 takes off"?,Alder S1,92\.3,down,28,1,2,0,1,0,300,61,/,
    );
  });
});
