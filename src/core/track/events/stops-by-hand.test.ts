// Engine stops as a pilot says they were: moved, split, named, taken out, put in; and what an analysis makes of them.
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../../demo/read-demo";
import { demoLog } from "../../../../demo/read-logs";
import { type TrackDay, analyse } from "../analyse";
import { readLog } from "../formats/read-log";
import {
  type StopByHand,
  addedStop,
  asSaid,
  movedStop,
  namedStop,
  splitStop,
  stopsWithin,
  withoutStop,
} from "./stops-by-hand";

const stop = (time_s: number, back_s: number | null): StopByHand => ({
  time_s,
  back_s,
  sigma_s: 0.4,
  engine: null,
  kind: "idle",
  name: null,
});
const two = [stop(100, 150), stop(300, null)];

describe("a stop", () => {
  it("is moved, not past its end, and stands in the order of time", () => {
    expect(movedStop(two, 0, 120)?.[0]).toMatchObject({ time_s: 120, back_s: 150, sigma_s: 1 });
    expect(movedStop(two, 0, 149)).toBeNull();
    expect(movedStop(two, 0, -1)).toBeNull();
    expect(movedStop(two, 1, 50)?.map(({ time_s }) => time_s)).toEqual([50, 100]);
    expect(movedStop(two, 7, 50)).toBeNull();
  });

  it("is split only within", () => {
    expect(splitStop(two, 0, 125)?.map(({ time_s, back_s }) => [time_s, back_s])).toEqual([
      [100, 125],
      [125, 150],
      [300, null],
    ]);
    expect(splitStop(two, 1, 400)).toHaveLength(3);
    for (const at_s of [99, 101, 149, 200]) expect(splitStop(two, 0, at_s)).toBeNull();
  });

  it("has a name, or none again", () => {
    const named = namedStop(two, 1, "  over the harbour ");
    expect(named?.[1].name).toBe("over the harbour");
    expect(namedStop(named ?? [], 1, " ")?.[1].name).toBeNull();
  });

  it("is taken out and put in, not into another", () => {
    expect(withoutStop(two, 0)).toEqual([two[1]]);
    expect(addedStop(two, 200)?.[1]).toMatchObject({ time_s: 200, back_s: 300 });
    expect(addedStop(two, 120)).toBeNull();
    expect(addedStop(two, 500)).toBeNull();
    expect(addedStop([], 10)).toMatchObject([{ time_s: 10, back_s: null }]);
  });

  it("is of the part it begins in, and ends with it at the latest", () => {
    expect(stopsWithin(two, 90, 140)).toMatchObject([{ time_s: 100, back_s: null, by: "hand", possible: false }]);
    expect(stopsWithin(two, 90, 200)).toMatchObject([{ time_s: 100, back_s: 150 }]);
    expect(stopsWithin(two, 310, 500)).toEqual([]);
  });
});

describe("a log whose stop is said", () => {
  const log = readLog(demoLog("turnback.igc"), null);
  if (!log.ok) throw new Error("no log");
  const day: TrackDay = {
    aircraft: demoAircraft("alder-s1"),
    mass_kg: 1000,
    deviation_K: 8,
    wind: null,
    calibration: null,
    runways: [],
    stops: null,
  };
  const failures = (stops: StopByHand[] | null) => {
    const found = analyse(log.value, { ...day, stops });
    if (!found.ok) throw new Error(found.issue.message);
    return found.value.flights.flatMap((flight) => flight.failures);
  };
  const found = failures(null);

  it("as it was found gives the same figures", () => {
    const [same] = failures(asSaid(found));
    expect(same).toMatchObject({ height_m: found[0].height_m, delay_s: found[0].delay_s, toGround: found[0].toGround });
    expect(same.by).toBe("hand");
  });

  it("two seconds later is lower and acted on sooner", () => {
    const moved = movedStop(asSaid(found), 0, found[0].time_s + 2);
    const [later] = failures(moved);
    if (!later.delay_s.known || !found[0].delay_s.known) throw new Error("no delay");
    expect(later.delay_s.value).toBeCloseTo(found[0].delay_s.value - 2, 1);
    expect(later.toGround?.time_s).toMatchObject({ known: true });
  });

  it("to be none has none, and what is put in is measured", () => {
    expect(failures([])).toEqual([]);
    const [added] = failures(addedStop([], 60));
    expect(added).toMatchObject({ time_s: 60, kind: "reduced or lost", back_s: null });
    expect(added.toGround).not.toBeNull();
  });
});
