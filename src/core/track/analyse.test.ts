import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SETS, type SensorSet, recorded } from "../../../bench/track/sensors";
import { type Kind, truthFlight } from "../../../bench/track/truth";
import { demoAircraft } from "../../../demo/read-demo";
import { demoLog } from "../../../demo/read-logs";
import { type TrackAnalysis, type TrackDay, analyse } from "./analyse";
import { readLog } from "./formats/read-log";
import { LOG_COLUMNS, type FlightLog, type LogColumn } from "./log";

const DAY: TrackDay = {
  deviation_K: 0,
  wind: null,
  calibration: null,
  aircraft: demoAircraft("alder-s1"),
  mass_kg: 1000,
  runways: [],
  stops: null,
};

function analysed(log: FlightLog, day: Partial<TrackDay> = {}): TrackAnalysis {
  const found = analyse(log, { ...DAY, ...day });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const flight = (kind: Kind, set: SensorSet, seed = 3) => recorded(truthFlight(kind, seed), set, seed);

/** The fixes that a rule keeps. */
function kept(log: FlightLog, keep: (i: number, time_s: number) => boolean): FlightLog {
  const at = Array.from(log.time_s.keys()).filter((i) => keep(i, log.time_s[i]));
  const columns = Object.fromEntries(
    Object.entries(log.columns).map(([name, values]) => [name, Float64Array.from(at, (i) => values[i])]),
  );
  return { ...log, time_s: Float64Array.from(at, (i) => log.time_s[i]), columns };
}

/** The log with a column changed, where it has it. */
function changed(log: FlightLog, name: LogColumn, to: (value: number, i: number) => number): FlightLog {
  const values = log.columns[name];
  return values ? { ...log, columns: { ...log.columns, [name]: values.map(to) } } : log;
}

describe("what a log may be", () => {
  it("one fix, and nine, are no flight", () => {
    const log = flight("no cut", "IGC 1 Hz");
    expect(
      analyse(
        kept(log, (i) => i < 1),
        DAY,
      ),
    ).toMatchObject({ ok: false, issue: { code: "too_short" } });
    expect(
      analyse(
        kept(log, (i) => i < 9),
        DAY,
      ),
    ).toMatchObject({ ok: false, issue: { code: "too_short" } });
  });

  it("what never leaves the ground has no flight in it", () => {
    const log = flight("no cut", "all 1 Hz");
    const first = analysed(log).flights[0].begins_s;
    expect(analysed(kept(log, (_, t) => t < first - 2)).flights).toEqual([]);
  });

  it("what begins and ends in the air has neither take-off nor landing, and no height over the ground", () => {
    const log = flight("glides", "+IAS 1 Hz");
    const [all] = analysed(log).flights;
    const cut = all.failures[0].time_s;
    const [part] = analysed(kept(log, (_, t) => t > cut - 40 && t < cut + 60)).flights;
    expect(part).toMatchObject({ takeOff: null, landing: null });
    expect(part.failures).toHaveLength(1);
    expect(part.failures[0].height_m).toMatchObject({ known: false });
    expect(part.failures[0].toGround).toBeNull();
  });

  it("touched and gone again is two flights", () => {
    const log = flight("no cut", "+IAS 1 Hz");
    const [one] = analysed(log).flights;
    const touch = one.landing?.time_s ?? NaN;
    const begin = one.takeOff?.time_s ?? NaN;
    // The roll between the touch and the next lift-off, faster than a taxi all along.
    const first = kept(log, (_, t) => t < touch + 5);
    const again = kept(log, (_, t) => t > begin - 1);
    const shift = touch + 6 - again.time_s[0];
    const place = (name: "latitude_deg" | "longitude_deg") =>
      (first.columns[name]?.at(-1) ?? NaN) - (again.columns[name]?.[0] ?? NaN);
    const columns = Object.fromEntries(
      Object.entries(first.columns).map(([name, values]) => {
        const off = name === "latitude_deg" || name === "longitude_deg" ? place(name) : 0;
        const second = again.columns[name as LogColumn] ?? new Float64Array();
        return [name, Float64Array.from([...values, ...second.map((value) => value + off)])];
      }),
    );
    const both = {
      ...log,
      columns,
      time_s: Float64Array.from([...first.time_s, ...again.time_s.map((t) => t + shift)]),
    };
    const { flights } = analysed(both);
    expect(flights).toHaveLength(2);
    expect(Math.abs((flights[0].landing?.time_s ?? NaN) - touch)).toBeLessThan(6);
    expect(Math.abs((flights[1].takeOff?.time_s ?? NaN) - (touch + 6))).toBeLessThan(6);
  });

  it("a fix every four seconds still shows the stop", () => {
    const truth = truthFlight("forced landing", 5);
    const log = kept(recorded(truth, "IGC 1 Hz", 5), (i) => i % 4 === 0);
    const times = analysed(log, { deviation_K: truth.deviation_K }).flights.flatMap(({ failures }) => failures);
    expect(times.some(({ time_s }) => Math.abs(time_s - truth.cuts[0].t) < 6)).toBe(true);
  });

  it("heights that are all missing, and airspeeds of nought, are told and take nothing else away", () => {
    const log = flight("circles", "IGC 1 Hz");
    const without = analysed(
      changed(
        changed(log, "altitudePressure_m", () => NaN),
        "altitudeGps_m",
        () => NaN,
      ),
    );
    expect(without.flights).toEqual([]);
    expect(without.notKnowable.join(" ")).toContain("No heights");
    const still = analysed(changed(flight("circles", "+IAS 1 Hz"), "ias_mps", () => 0));
    expect(still.flown.wind).toBeNull();
    expect(still.flights.flatMap(({ failures }) => failures)).toEqual([]);
  });

  it("a strong wind against a slow flight is no landing", () => {
    const log = flight("circles", "+IAS 1 Hz");
    const { flown, flights } = analysed(log);
    const from = flown.time_s.findIndex((t) => t > flights[0].begins_s + 60);
    // Forty seconds at 6 m/s over the ground, level, in the middle of the flight.
    const slow = { ...log, columns: { ...log.columns } };
    const lat = Float64Array.from(log.columns.latitude_deg ?? []);
    const lon = Float64Array.from(log.columns.longitude_deg ?? []);
    const back = [lat[from + 40] - lat[from], lon[from + 40] - lon[from]];
    for (let i = from; i < lat.length; i += 1) {
      const share = Math.min(i - from, 40) / 40;
      const to = share * 0.2;
      if (i <= from + 40) [lat[i], lon[i]] = [lat[from] + to * back[0], lon[from] + to * back[1]];
      else [lat[i], lon[i]] = [lat[i] - 0.8 * back[0], lon[i] - 0.8 * back[1]];
    }
    Object.assign(slow.columns, {
      latitude_deg: lat,
      longitude_deg: lon,
      altitudePressure_m: log.columns.altitudePressure_m?.map((value, i, all) =>
        i >= from && i <= from + 40 ? all[from] : value,
      ),
    });
    expect(analysed(slow).flights).toHaveLength(1);
  });

  it("two engines are told apart by their flows", () => {
    const log = flight("forced landing", "all 1 Hz");
    const [cut] = analysed(log).flights[0].failures;
    const flow = log.columns.fuelFlow1_m3ps ?? new Float64Array();
    const columns = {
      ...log.columns,
      fuelFlow1_m3ps: flow.map((value, i) => (log.time_s[i] > cut.time_s - 20 ? 8e-6 : value)),
      fuelFlow2_m3ps: flow,
    };
    const found = analysed({ ...log, columns }).flights[0].failures;
    expect(found.map(({ engine }) => engine)).toEqual([2]);
    expect(Math.abs(found[0].time_s - cut.time_s)).toBeLessThan(2);
  });

  it("a mass that the aircraft does not have leaves it without a polar, and it is said", () => {
    const found = analysed(flight("forced landing", "+IAS 1 Hz"), { mass_kg: 9000 });
    expect(found.notKnowable.join(" ")).toContain("Alder S1 has no polar at this mass");
    expect(found.flights[0].failures.every(({ possible }) => possible)).toBe(true);
  });

  it("without an aircraft a stop is a possible one; with an engine’s gauge it is certain all the same", () => {
    const path = analysed(flight("forced landing", "+IAS 1 Hz"), { aircraft: null }).flights[0].failures;
    expect(path.every(({ possible }) => possible)).toBe(true);
    const gauge = analysed(flight("forced landing", "all 1 Hz"), { aircraft: null }).flights[0].failures;
    expect(gauge.map(({ possible }) => possible)).toEqual([false]);
  });
});

describe("damaged logs", () => {
  it("of every recorder never throw; every figure is a number or has its reason", () => {
    const logs = (Object.keys(SETS) as SensorSet[]).map((set) => kept(flight("turn back", set), (i) => i % 2 === 0));
    const names = Object.keys(LOG_COLUMNS) as LogColumn[];
    const damage = fc.record({
      log: fc.nat(logs.length - 1),
      name: fc.constantFrom(...names),
      at: fc.nat(2000),
      count: fc.nat(300),
      put: fc.constantFrom("NaN", "least", "most", "zero", "same"),
      time: fc.constantFrom(0, 0, 0, -1000, 1e6, 1e-9),
    });
    fc.assert(
      fc.property(fc.array(damage, { minLength: 1, maxLength: 4 }), (all) => {
        let log = logs[all[0].log];
        for (const { name, at, count, put, time } of all) {
          const [least, most] = LOG_COLUMNS[name];
          const value = { NaN: NaN, least, most, zero: 0, same: NaN }[put];
          const inside = (i: number) => i >= at && i < at + count;
          if (put !== "same") log = changed(log, name, (old, i) => (inside(i) ? value : old));
          log = { ...log, time_s: log.time_s.map((t, i) => (inside(i) ? t + time : t)) };
        }
        const found = analyse(log, DAY);
        if (!found.ok) return;
        expect(JSON.stringify(found.value.flights)).not.toContain("NaN");
        for (const { failures, turns } of found.value.flights)
          for (const figure of [
            ...failures.map(({ height_m }) => height_m),
            ...turns.flatMap(({ measures }) => Object.values(measures)),
          ])
            expect(
              figure.known ? Number.isFinite(figure.value) && Number.isFinite(figure.sigma) : figure.reason !== "",
            ).toBe(true);
      }),
      { numRuns: 400 },
    );
  });

  it("as text, cut and overwritten, never throw", () => {
    const files = ["turnback.igc", "circles.gpx", "cuts-midnight.nmea", "glides.csv"].map(demoLog);
    const mutation = fc.record({ at: fc.nat(60_000), cut: fc.nat(4000), put: fc.string({ maxLength: 9 }) });
    fc.assert(
      fc.property(fc.nat(3), fc.array(mutation, { minLength: 1, maxLength: 4 }), (file, mutations) => {
        let text = files[file];
        for (const { at, cut, put } of mutations) text = text.slice(0, at) + put + text.slice(at + cut);
        const log = readLog(text);
        if (log.ok) analyse(log.value, DAY);
      }),
      { numRuns: 250 },
    );
  });
});
