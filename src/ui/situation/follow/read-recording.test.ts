import { describe, expect, it } from "vitest";
import { readRecording } from "./read-recording";

const gpx = (points: string) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" creator="t"><trk><trkseg>${points}</trkseg></trk></gpx>`;
const point = (lat: number, lon: number, second: number, ele = "<ele>500</ele>") =>
  `<trkpt lat="${lat}" lon="${lon}">${ele}<time>2026-11-24T12:00:${String(second).padStart(2, "0")}Z</time></trkpt>`;

describe("a recording", () => {
  // A minute of latitude is a nautical mile, about 1 852 m: in 50 s that is 72 kt, northward.
  it("of GPX has track and speed from one point to the next", () => {
    const read = readRecording(gpx(point(47, -130, 0) + point(47 + 1 / 60, -130, 50)));
    if (!read.ok) throw new Error(read.issue.message);
    expect(read.value.fixes).toHaveLength(2);
    for (const fix of read.value.fixes) {
      expect(fix.altitude_m).toBe(500);
      expect(fix.track_rad).toBeCloseTo(0, 6);
      expect(fix.groundSpeed_mps).toBeCloseTo(1852 / 50, 0);
    }
    expect(read.value.fixes[1].time_ms - read.value.fixes[0].time_ms).toBe(50_000);
  });

  it("of GPX without heights leaves the height alone", () => {
    const read = readRecording(gpx(point(47, -130, 0, "") + point(47.1, -130, 10, "")));
    expect(read.ok && read.value.fixes.map((fix) => fix.altitude_m)).toEqual([null, null]);
  });

  it.each([
    ["nothing", ""],
    ["a table", "time,lat,lon\n1,2,3"],
    ["a track of one point", gpx(point(47, -130, 0))],
    ["a track without times", gpx('<trkpt lat="47" lon="8"/><trkpt lat="47.1" lon="8"/>')],
    ["places off the globe", gpx(point(147, -130, 0) + point(148, -130, 1))],
  ])("of %s is refused", (_, text) => {
    expect(readRecording(text)).toMatchObject({ ok: false, issue: { code: "no_recording" } });
  });
});
