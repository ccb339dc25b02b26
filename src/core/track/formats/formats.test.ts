import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoLog } from "../../../../demo/read-logs";
import { radians } from "../../quantities/angle";
import { MPS_PER_KT, M_PER_FT, M3_PER_US_GALLON } from "../../quantities/constants";
import type { FlightLog, LogColumn } from "../log";
import { readCsv } from "./csv";
import { CsvLayout, recogniseLayout } from "./csv-layout";
import { formatOf, readLog } from "./read-log";
import { writeCsv, writeGeoJson, writeGpx, writeIgc, writeNmea } from "./write-log";

const FILES = [
  "turnback.igc",
  "circles.gpx",
  "cuts-midnight.nmea",
  "glides.csv",
  "spot-landing.csv",
  "minimum-control.csv",
];

function read(text: string): FlightLog {
  const log = readLog(text);
  if (!log.ok) throw new Error(log.issue.message);
  return log.value;
}

const values = (log: FlightLog, column: LogColumn) => Array.from(log.columns[column] ?? []);

describe("IGC", () => {
  // The fix that introductions to the specification print (memory): 16:02:40, 54°07.121′N 2°49.342′W, 280 m and 421 m.
  const B = "B1602405407121N00249342WA0028000421";
  it("reads the printed fix", () => {
    const log = read(["AXXXABC", "HFDTE160701", B].join("\r\n"));
    expect(log.time_s[0]).toBe(Date.UTC(2001, 6, 16, 16, 2, 40) / 1000);
    expect(log.columns.latitude_deg?.[0]).toBeCloseTo(54 + 7.121 / 60, 10);
    expect(log.columns.longitude_deg?.[0]).toBeCloseTo(-(2 + 49.342 / 60), 10);
    expect(values(log, "altitudePressure_m")).toEqual([280]);
    expect(values(log, "altitudeGps_m")).toEqual([421]);
  });

  it("what follows a fix is read where the I record puts it: airspeed, more digits, tenths of a second", () => {
    const log = read(["AXXXABC", "HFDTEDATE:201126,01", "I043638IAS3939LAD4040LOD4141TDS", `${B}120507`].join("\n"));
    expect(log.columns.ias_mps?.[0]).toBeCloseTo(120 / 3.6, 10);
    expect(log.columns.latitude_deg?.[0]).toBeCloseTo(54 + 7.1215 / 60, 10);
    expect(log.columns.longitude_deg?.[0]).toBeCloseTo(-(2 + 49.342 / 60), 10);
    expect(log.time_s[0] % 60).toBeCloseTo(40.7, 6);
  });

  it("past midnight it is the next day; nought and V are no heights; faults stand by their lines", () => {
    const log = read(
      [
        "AXXXABC",
        "HFDTE311225",
        "B2359595407121N00249342WA0028000421",
        "B2359995407121N00249342WA0028000421",
        "B0000015407121N00249342WV0000000421",
        "Bxx",
        "B0000025407121N00249342WA-001000000",
      ].join("\n"),
    );
    expect(log.time_s[1] - log.time_s[0]).toBe(2);
    expect(log.faults.map(({ line }) => line)).toEqual([4, 6]);
    expect(values(log, "altitudePressure_m")).toEqual([280, NaN, -10]);
    expect(values(log, "altitudeGps_m")).toEqual([421, NaN, NaN]);
  });
});

describe("GPX", () => {
  const file = (points: string) => `<gpx version="1.1"><trk><trkseg>${points}</trkseg></trk></gpx>`;
  const point = (second: number, more = "") =>
    `<trkpt lat="47.5" lon="-8.25"><ele>500.5</ele><time>2026-11-24T12:00:0${second}Z</time>${more}</trkpt>`;

  it("keeps what a broken file holds, with the line of each fault", () => {
    const log = read(
      `${file(`${point(0)}\n<trkpt lat="x" lon="8"><time>2026-11-24T12:00:01Z</time></trkpt>\n${point(2)}`)}`.slice(
        0,
        -20,
      ),
    );
    expect(log.time_s).toHaveLength(2);
    expect(log.faults[0]).toMatchObject({ line: 2 });
    expect(log.faultCount).toBeGreaterThan(1);
  });

  it("reads speed and course of extensions, and a zone", () => {
    const more = "<extensions><a:speed>30</a:speed><a:course>90</a:course></extensions>";
    const log = read(file(point(0, more).replace("12:00:00Z", "14:00:00+02:00")));
    expect(log.time_s[0]).toBe(Date.UTC(2026, 10, 24, 12) / 1000);
    expect(values(log, "groundSpeed_mps")).toEqual([30]);
    expect(values(log, "track_rad")[0]).toBeCloseTo(Math.PI / 2, 12);
  });
});

describe("tables", () => {
  it("units in brackets, after the name, and in a row of their own", () => {
    const rows = "10:00:00,47,-130,1000,60,-5,10\n10:00:01,47,-130,1010,61,-4,11";
    const brackets = read(`Time,Lat,Lon,GPS Alt (ft),IAS (kt),Roll (deg),FF (gal/h)\n${rows}`);
    const suffixes = read(`time,lat,lon,gps_alt_ft,ias_kt,roll_deg,fuel_flow_gph\n${rows}`);
    const row = read(
      `a heading of the maker\ntime,lat,lon,gps alt,ias,roll,fuel flow\nhh:mm:ss,deg,deg,ft,kt,deg,gph\n${rows}`,
    );
    for (const log of [brackets, suffixes, row]) {
      expect(log.time_s[1] - log.time_s[0]).toBe(1);
      expect(values(log, "altitudeGps_m")[1]).toBeCloseTo(1010 * M_PER_FT, 9);
      expect(values(log, "ias_mps")[0]).toBeCloseTo(60 * MPS_PER_KT, 9);
      expect(values(log, "roll_rad")[0]).toBeCloseTo(radians(-5), 9);
      expect(values(log, "fuelFlow1_m3ps")[0]).toBeCloseTo((10 * M3_PER_US_GALLON) / 3600, 12);
    }
  });

  it("semicolons and decimal commas; two engines by number and by side", () => {
    const log = read("Zeit;Breite;Länge;E1 RPM;R RPM;L FF (l/h);R FF (l/h)\n10:00:00;47,5;8,25;2400;2390;40,5;0,2");
    expect(values(log, "latitude_deg")).toEqual([47.5]);
    expect([values(log, "rpm1"), values(log, "rpm2")]).toEqual([[2400], [2390]]);
    expect(values(log, "fuelFlow1_m3ps")[0]).toBeCloseTo(40.5e-3 / 3600, 14);
    expect(values(log, "fuelFlow2_m3ps")[0]).toBeCloseTo(0.2e-3 / 3600, 14);
  });

  it("what is certain by its figures is taken: °F over 1000, hPa over 200, radians under 1.6", () => {
    const layout = recogniseLayout(
      "elapsed,lat,lon,EGT1,CHT1,MAP,roll\n1,47,8,1350,380,950,0.7\n2,47,8,1360,381,951,-0.7",
    );
    const units = Object.fromEntries((layout?.layout.columns ?? []).map(({ name, unit }) => [name, unit]));
    expect(units).toMatchObject({ egt1_K: "degF", cht1_K: "degF", manifold1_Pa: "hPa", roll_rad: "rad", elapsed: "s" });
    expect(layout?.asked).toEqual([]);
  });

  it("heights, airspeeds and fuel flows without a unit are asked and left out until it is told", () => {
    const text = "elapsed,lat,lon,alt,ias,ff\n1,47,8,1350,60,9\n2,47,8,1360,61,9";
    const found = recogniseLayout(text);
    if (!found) throw new Error("expected a layout");
    expect(found.asked).toEqual([3, 4, 5]);
    const without = readCsv(text, found.layout);
    expect(without.ok && Object.keys(without.value.columns)).toEqual(["latitude_deg", "longitude_deg"]);
    const columns = found.layout.columns.map((column) =>
      column.name === "altitudeGps_m" ? { ...column, unit: "ft" } : column,
    );
    const told = readCsv(text, CsvLayout.parse({ ...found.layout, columns }));
    expect(told.ok && told.value.columns.altitudeGps_m?.[0]).toBeCloseTo(1350 * M_PER_FT, 9);
  });

  it("rows without a time, words for figures and values that cannot be are faults of their lines", () => {
    const log = read("elapsed,lat,lon,ias (kt)\n1,47,8,60\nx,47,8,60\n3,47,8,high\n4,147,8,61");
    expect(log.faults.map(({ line }) => line)).toEqual([3, 4, 5]);
    expect(log.time_s).toHaveLength(3);
  });

  it("a maker’s line of date and time above the heading is none", () => {
    const log = read("Date 2026-11-20,Time 10:00\ndate,time\nlat,lon,elapsed,alt (m)\n47,8,1,500\n47,8,2,501");
    expect(values(log, "altitudeGps_m")).toEqual([500, 501]);
  });

  it("a column that is named twice is taken once; a table without a place is none", () => {
    expect(
      recogniseLayout("time,lat,lon,ias (kt),airspeed (kt)\n10:00,1,2,3,4")?.layout.columns.map(({ name }) => name),
    ).toEqual(["clock", "latitude_deg", "longitude_deg", "ias_mps", null]);
    expect(readLog("time,speed\n1,2")).toMatchObject({ ok: false, issue: { code: "no_log" } });
  });
});

describe("any log", () => {
  it("is told by its first lines", () => {
    expect(FILES.map((file) => formatOf(demoLog(file)))).toEqual(["igc", "gpx", "nmea", "csv", "csv", "csv"]);
    expect(readLog("")).toMatchObject({ ok: false, issue: { code: "no_log" } });
    expect(readLog("AXXX only a name\n")).toMatchObject({ ok: false, issue: { code: "no_fixes" } });
  });

  it("reading can be given up", () => {
    for (const file of ["turnback.igc", "circles.gpx", "glides.csv"]) {
      const long = demoLog(file).repeat(file.endsWith("igc") ? 120 : 1);
      expect(readLog(long, null, () => false)).toMatchObject({ ok: false, issue: { code: "cancelled" } });
    }
  });

  it("written and read again is the same within its format", () => {
    for (const file of FILES) {
      const log = read(demoLog(file));
      const table = read(writeCsv(log));
      expect(table.faults).toEqual([]);
      expect(Object.keys(table.columns).sort()).toEqual(Object.keys(log.columns).sort());
      for (const name of Object.keys(log.columns) as LogColumn[])
        values(log, name).forEach((value, i) =>
          expect(Math.abs((Number.isNaN(value) ? 0 : value) - (values(table, name)[i] || 0))).toBeLessThan(1e-6),
        );
      for (const [write, place_deg, height_m, each] of [
        [writeGpx, 1e-7, 0.06, 1],
        [writeNmea, 1e-6, 0.06, 1],
        [writeIgc, 1e-5, 0.51, log.time_s[1] - log.time_s[0] < 1 ? 5 : 1],
      ] as const) {
        const again = read(write(log));
        expect(again.faults).toEqual([]);
        // A pair of sentences that stays open at the end of a recording is not told.
        expect(Math.abs(again.time_s.length - Math.ceil(log.time_s.length / each))).toBeLessThanOrEqual(1);
        values(again, "latitude_deg").forEach((value, i) =>
          expect(Math.abs(value - values(log, "latitude_deg")[i * each])).toBeLessThan(place_deg),
        );
        values(again, "altitudeGps_m").forEach((value, i) => {
          const height = values(log, "altitudeGps_m")[i * each];
          if (Math.abs(height) > 1) expect(Math.abs(value - height)).toBeLessThan(height_m);
        });
      }
      const line = JSON.parse(writeGeoJson(log)) as { features: [{ geometry: { coordinates: unknown[] } }] };
      expect(line.features[0].geometry.coordinates).toHaveLength(log.time_s.length);
    }
  });

  it("mutated never throws, and its times are numbers", () => {
    const texts = FILES.map((file) => demoLog(file).slice(0, 6000));
    const mutation = fc.record({
      file: fc.nat(FILES.length - 1),
      at: fc.nat(5999),
      cut: fc.nat(300),
      put: fc.oneof(
        fc.string({ maxLength: 12 }),
        fc.constantFrom("NaN", "1e999", "-0", "\0", "<", "99999999999", ",,,,", "\n\n"),
      ),
    });
    fc.assert(
      fc.property(fc.array(mutation, { minLength: 1, maxLength: 6 }), (mutations) => {
        let text = texts[mutations[0].file];
        for (const { at, cut, put } of mutations) text = text.slice(0, at) + put + text.slice(at + cut);
        const log = readLog(text);
        if (!log.ok) return;
        for (const time of log.value.time_s) expect(Number.isFinite(time)).toBe(true);
        for (const column of Object.values(log.value.columns)) expect(column).toHaveLength(log.value.time_s.length);
      }),
      { numRuns: 400 },
    );
  });
});
