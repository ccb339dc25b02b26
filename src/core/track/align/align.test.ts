// Two recorders of one flight laid together: the offset of their clocks from the climbs that both show, and what the
// second adds to the first.
import { describe, expect, it } from "vitest";
import { recorded } from "../../../../bench/track/sensors";
import { KINDS, truthFlight } from "../../../../bench/track/truth";
import { demoLog } from "../../../../demo/read-logs";
import { recogniseLayout } from "../formats/csv-layout";
import { type FlightLog, LogBuilder } from "../log";
import { readKeptLog } from "../read-kept-log";
import { alignLogs } from "./align-logs";
import { mergedLog } from "./merge-logs";

/** A log with its clock set by so much, without its first seconds. */
function later(log: FlightLog, by_s: number, from: number): FlightLog {
  const cut = (values: Float64Array) => values.slice(from);
  return {
    ...log,
    time_s: cut(log.time_s).map((t) => t + by_s),
    columns: Object.fromEntries(Object.entries(log.columns).map(([name, values]) => [name, cut(values)])),
  };
}

describe("the offset of two clocks", () => {
  it.each(KINDS.map((kind, i) => [kind, i + 1] as const))(
    "%s: found to half a second, or asked about",
    (kind, seed) => {
      const truth = truthFlight(kind, 900 + seed);
      const first = recorded(truth, "IGC 1 Hz", seed);
      const second = later(recorded(truth, "all 1 Hz", seed + 50), 1234.3, 25);
      const found = alignLogs(first, second);
      if (!found.ok) throw new Error(found.issue.message);
      if (found.value.sure) expect(Math.abs(found.value.offset_s + 1234.3)).toBeLessThan(0.6);
    },
  );

  it("is sure for nearly all of them, also between a receiver's heights and pressure", () => {
    const sure = KINDS.flatMap((kind, i) =>
      [0, 10].map((more) => {
        const truth = truthFlight(kind, 700 + i + more);
        const gps = recorded(truth, "GPX 1 Hz", i + more);
        const pressure = later(recorded(truth, "+IAS 1 Hz", i + more + 50), -77, 10);
        const found = alignLogs(gps, pressure);
        if (found.ok && found.value.sure) expect(Math.abs(found.value.offset_s - 77)).toBeLessThan(1);
        return found.ok && found.value.sure;
      }),
    );
    expect(sure.filter(Boolean).length).toBeGreaterThanOrEqual(10);
  });

  it("is not made up: of two flights, of none with heights, of too little together", () => {
    const [one, other] = [1, 2].map((seed) => recorded(truthFlight("no cut", seed), "IGC 1 Hz", seed));
    const found = alignLogs(one, other);
    expect(found.ok && found.value.sure).toBe(false);
    const flat = {
      ...other,
      columns: { latitude_deg: other.columns.latitude_deg, longitude_deg: other.columns.longitude_deg },
    };
    expect(alignLogs(one, flat)).toMatchObject({ ok: false, issue: { code: "no_heights" } });
    expect(alignLogs(one, later(other, 0, other.time_s.length - 30))).toMatchObject({ ok: false });
  });
});

describe("what a second recorder adds", () => {
  function made(
    rows: readonly (readonly [number, Partial<Record<"rpm1" | "roll_rad" | "ias_mps" | "altitudeGps_m", number>>])[],
  ) {
    const log = new LogBuilder();
    for (const [at_s, values] of rows) {
      log.begin(at_s);
      for (const [name, value] of Object.entries(values)) log.set(name as "rpm1", value, 1);
    }
    return log.log({ format: "csv", clock: "elapsed", aircraft: null });
  }
  const first = made([0, 1, 2, 3, 10, 20].map((t) => [t, { altitudeGps_m: 100 + t }] as const));
  const second = made([
    [100, { rpm1: 2000, roll_rad: 3.1, altitudeGps_m: 5 }],
    [102, { rpm1: 2200, roll_rad: -3.1, altitudeGps_m: 5 }],
    [104, { rpm1: 2400, roll_rad: -3, altitudeGps_m: 5 }],
    [120, { rpm1: 1000, roll_rad: 0, altitudeGps_m: 5 }],
  ]);
  const merged = mergedLog(first, second, -100);

  it("is at the first's times, between its own; what the first has stays", () => {
    expect([...(merged.columns.altitudeGps_m ?? [])]).toEqual([100, 101, 102, 103, 110, 120]);
    expect([...(merged.columns.rpm1 ?? [])].slice(0, 4)).toEqual([2000, 2100, 2200, 2300]);
    expect(merged.time_s).toBe(first.time_s);
  });

  it("is not bridged over a silence, and an angle is none between two", () => {
    expect(merged.columns.rpm1?.[4]).toBeNaN();
    expect(merged.columns.rpm1?.[5]).toBe(1000);
    expect(merged.columns.roll_rad?.[1]).toBe(-3.1);
  });
});

describe("a kept log of two recorders", () => {
  const text = demoLog("spot-landing.csv");
  const rows = text.trim().split("\n").slice(1);
  const engine = rows.map((row) => row.split(",")).map(([at_s], i) => `${Number(at_s) + 500},${i < 600 ? 2300 : 900}`);
  const also = { name: "engine.csv", text: ["time_s,rpm", ...engine].join("\n"), layout: null, offset_s: -500 };

  it("is read as one, the engine's figures at the first's times; without the second as it was", () => {
    const layout = recogniseLayout(text)?.layout ?? null;
    const [one, both] = [[], [also]].map((recorders) => readKeptLog({ text, layout, also: recorders }));
    if (!one.ok || !both.ok) throw new Error("not read");
    expect(one.value.columns.rpm1).toBeUndefined();
    expect(both.value.columns.rpm1?.[100]).toBe(2300);
    expect(both.value.columns.rpm1?.[700]).toBe(900);
    expect(both.value.columns.ias_mps).toEqual(one.value.columns.ias_mps);
    expect(both.value.time_s).toEqual(one.value.time_s);
  });

  it("says why where the second cannot be read", () => {
    const bad = { ...also, text: "nothing of the kind" };
    expect(readKeptLog({ text, layout: recogniseLayout(text)?.layout ?? null, also: [bad] }).ok).toBe(false);
  });

  it("a table without positions is one only for a second recorder", () => {
    expect(recogniseLayout(also.text)).toBeNull();
    expect(recogniseLayout(also.text, false)?.layout.columns.map(({ name }) => name)).toEqual(["elapsed", "rpm1"]);
    expect(recogniseLayout("a,b\n1,2", false)).toBeNull();
  });
});
