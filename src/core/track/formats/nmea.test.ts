import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MPS_PER_KT } from "../../quantities/constants";
import type { Fix } from "./fix";
import { nmeaReader } from "./nmea";

/** A whole recording, line by line. */
function readNmea(text: string): { fixes: Fix[]; faults: { line: number; message: string }[] } {
  const read = nmeaReader();
  const found = text.split(/\r?\n/).map((line) => read(line));
  return {
    fixes: found.flatMap((line) => (line.kind === "fix" ? [line.fix] : [])),
    faults: found.flatMap((line, i) => (line.kind === "fault" ? [{ line: i + 1, message: line.message }] : [])),
  };
}

/** With its checksum. */
const sentence = (body: string) => {
  const sum = [...body].reduce((xor, letter) => xor ^ letter.charCodeAt(0), 0);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, "0")}`;
};
const gga = (time: string, place = "4807.038,N,01131.000,E", altitude = "545.4") =>
  sentence(`GPGGA,${time},${place},1,08,0.9,${altitude},M,46.9,M,,`);
const rmc = (time: string, date = "230394", place = "4807.038,N,01131.000,E", more = "022.4,084.4") =>
  sentence(`GPRMC,${time},A,${place},${more},${date},003.1,W`);

describe("NMEA 0183", () => {
  // The sentences that introductions to the standard print, with their checksums (memory).
  it("reads the printed examples: 48°07.038′N 11°31.000′E, 545.4 m, 22.4 kt, 084.4°, 23 March 1994 12:35:19", () => {
    const read = nmeaReader();
    expect(read("$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47")).toEqual({ kind: "nothing" });
    const found = read("$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A");
    if (found.kind !== "fix") throw new Error(JSON.stringify(found));
    expect(new Date(found.fix.time_ms).toISOString()).toBe("1994-03-23T12:35:19.000Z");
    expect(found.fix.position.latitude_deg).toBeCloseTo(48 + 7.038 / 60, 10);
    expect(found.fix.position.longitude_deg).toBeCloseTo(11 + 31 / 60, 10);
    expect(found.fix.altitude_m).toBe(545.4);
    expect(found.fix.groundSpeed_mps).toBeCloseTo(22.4 * MPS_PER_KT, 10);
    expect(found.fix.track_rad).toBeCloseTo((84.4 * Math.PI) / 180, 10);
  });

  it("south and west are negative, hundredths of seconds are kept, any receiver's letters count", () => {
    const { fixes } = readNmea(
      [
        sentence("GNRMC,235959.50,A,4707.8000,S,13056.4000,W,10.0,0.0,311226,,"),
        sentence("GNGGA,235959.50,4707.8000,S,13056.4000,W,1,08,0.9,-12.5,M,0,M,,"),
      ].join("\r\n"),
    );
    expect(fixes).toEqual([
      {
        time_ms: Date.UTC(2026, 11, 31, 23, 59, 59, 500),
        position: { latitude_deg: expect.closeTo(-47.13, 10), longitude_deg: expect.closeTo(-130.94, 10) },
        altitude_m: -12.5,
        track_rad: 0,
        groundSpeed_mps: expect.closeTo(5.14444, 4),
      },
    ]);
  });

  it("a sentence that stays alone is told when the next time begins, and midnight is passed without a date", () => {
    const alone = [gga("235958"), gga("235959"), gga("000000"), gga("000001"), gga("000002")].join("\n");
    const { fixes } = readNmea(alone);
    expect(fixes.map(({ time_ms }) => time_ms / 1000)).toEqual([86_398, 86_399, 86_400, 86_401]);
    expect(fixes[0]).toMatchObject({ track_rad: null, groundSpeed_mps: null });
    const { fixes: noHeight } = readNmea([rmc("120000"), rmc("120001")].join("\n"));
    expect(noHeight).toMatchObject([{ altitude_m: null, time_ms: Date.UTC(1994, 2, 23, 12) }]);
  });

  it("a pair is told once, whichever comes first", () => {
    const { fixes } = readNmea([rmc("120000"), gga("120000"), gga("120001"), rmc("120001"), rmc("120002")].join("\n"));
    expect(fixes.map(({ time_ms }) => new Date(time_ms).getUTCSeconds())).toEqual([0, 1]);
  });

  it.each([
    ["a wrong checksum", "$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*48", "checksum"],
    ["no checksum", "$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,", "begins with $"],
    ["61 minutes", gga("123519", "4861.000,N,01131.000,E"), "position"],
    ["a latitude over the pole", gga("123519", "9100.000,N,01131.000,E"), "position"],
    ["no side", gga("123519", "4807.038,X,01131.000,E"), "position"],
    ["an hour of 24", gga("243519"), "time"],
    ["words for a height", gga("123519", undefined, "high"), "height"],
    ["a height over the air", gga("123519", undefined, "99999"), "height"],
    ["a 31st of February", rmc("123519", "310226"), "date"],
    ["a track of 400°", rmc("123519", "230394", undefined, "022.4,400.0"), "track"],
    ["a line without an end", `$${"A".repeat(300)}*00`, "at most"],
  ])("%s is a fault", (_, line, words) => {
    expect(nmeaReader()(line)).toMatchObject({ kind: "fault", message: expect.stringContaining(words) });
  });

  it.each([
    ["another sentence", sentence("GPGSV,3,1,11,03,03,111,00")],
    ["a void position", sentence("GPRMC,123519,V,,,,,,,230394,,")],
    ["no satellites", sentence("GPGGA,123519,,,,,0,00,,,M,,M,,")],
    ["an empty line", "  "],
  ])("%s says nothing", (_, line) => {
    expect(nmeaReader()(line)).toEqual({ kind: "nothing" });
  });

  it("the good part of a damaged recording is kept, faults by line; nothing throws", () => {
    const good = Array.from({ length: 20 }, (_, i) => [
      rmc(`1200${String(i).padStart(2, "0")}`),
      gga(`1200${String(i).padStart(2, "0")}`),
    ]).flat();
    const { fixes, faults } = readNmea([...good.slice(0, 10), "$GPRMC,rubbish", ...good.slice(10)].join("\n"));
    expect(fixes).toHaveLength(20);
    expect(faults).toEqual([{ line: 11, message: expect.any(String) }]);
    const text = good.join("\n");
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.string({ maxLength: 6 }), (at, put) => {
        const { fixes: left } = readNmea(text.slice(0, at) + put + text.slice(at + put.length));
        for (const fix of left) expect(Number.isFinite(fix.time_ms + fix.position.latitude_deg)).toBe(true);
        expect(left.length).toBeGreaterThanOrEqual(15);
      }),
      { numRuns: 300 },
    );
  });
});
