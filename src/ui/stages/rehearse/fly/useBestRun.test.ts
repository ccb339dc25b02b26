import { describe, expect, it } from "vitest";
import { demoFlownResult } from "../../../../../demo/demo-kept-flight";
import { TRACE_CHANNELS } from "@/core/simulation/flight-trace";
import type { ListedFlight } from "@/server/flights";
import { bestOf, wayOf } from "./useBestRun";

const flight = (id: string, beyond_m: number, changed: Partial<ListedFlight> = {}): ListedFlight => ({
  id,
  flownAt: `2026-11-2${id}T10:00:00.000Z`,
  aircraft: "Alder S1",
  words: "Alder S1; engine stops.",
  exerciseId: null,
  backs: 0,
  helped: true,
  result: { ...demoFlownResult(), glide: { lost_m: 200, beyond_m } },
  ...changed,
});
const this_ = { words: "Alder S1; engine stops.", at: "2026-11-21T10:00:00.000Z" };

describe("one's best flight of the same", () => {
  it("is another of the same words, held, with the least height beyond what it needed", () => {
    const crashed = { ...demoFlownResult(), ended: "crash" as const, glide: { lost_m: 100, beyond_m: 1 } };
    const flights = [
      flight("1", 5),
      flight("2", 60),
      flight("3", 40),
      flight("4", 10, { words: "Larch T2" }),
      flight("5", 1, { result: crashed }),
      flight("6", 0, { result: { ...demoFlownResult(), glide: null } }),
    ];
    expect(bestOf(flights, this_)?.id).toBe("3");
    expect(bestOf(flights.slice(0, 1), this_)).toBeNull();
    expect(bestOf([], this_)).toBeNull();
  });

  it("its way is a point each half second", () => {
    const row = (north_m: number, east_m: number) =>
      TRACE_CHANNELS.map((channel) => (channel === "north_m" ? north_m : channel === "east_m" ? east_m : 0));
    const rows = Array.from({ length: 11 }, (_, i) => row(i, -i));
    expect(wayOf(rows)).toEqual([0, -0, 5, -5, 10, -10]);
  });
});
