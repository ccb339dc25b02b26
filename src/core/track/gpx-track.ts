// The tracks of a GPX 1.1 file as fixes: points with a time. @see the GPX 1.1 schema (memory): trk, trkseg, trkpt
import { XMLParser } from "fast-xml-parser";
import { z } from "zod";
import { geodesicBetween } from "../earth/geodesic";
import type { Fix } from "./fix";

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: "",
  parseTagValue: false,
  processEntities: false,
  isArray: (name) => name === "trk" || name === "trkseg" || name === "trkpt",
});

const figure = (least: number, most: number) =>
  z
    .string()
    .max(40)
    .refine((text) => text.trim() !== "")
    .transform(Number)
    .pipe(z.number().min(least).max(most));
const Point = z.object({
  lat: figure(-90, 90),
  lon: figure(-180, 180),
  ele: figure(-500, 60_000).optional(),
  time: z.iso.datetime({ offset: true }),
});
const Track = z.object({ trkseg: z.array(z.object({ trkpt: z.array(z.unknown()).default([]) })).default([]) });
const File = z.object({ gpx: z.object({ trk: z.array(Track).default([]) }) });

function fixOf(point: unknown): Fix | null {
  const read = Point.safeParse(point);
  if (!read.success) return null;
  const { lat, lon, ele, time } = read.data;
  return {
    time_ms: Date.parse(time),
    position: { latitude_deg: lat, longitude_deg: lon },
    altitude_m: ele ?? null,
    track_rad: null,
    groundSpeed_mps: null,
  };
}

/** Track and speed from one position to the next; the last has those of the one before. */
function withMotion(fixes: readonly Fix[]): Fix[] {
  return fixes.map((fix, i) => {
    const [from, to] = i + 1 < fixes.length ? [fix, fixes[i + 1]] : [fixes[Math.max(i - 1, 0)], fix];
    const time_s = (to.time_ms - from.time_ms) / 1000;
    if (!(time_s > 0)) return fix;
    const { distance_m, azimuthStart_rad } = geodesicBetween(from.position, to.position);
    return { ...fix, track_rad: azimuthStart_rad, groundSpeed_mps: distance_m / time_s };
  });
}

/**
 * Reads a file.
 *
 * @param most - points at most
 * @returns the fixes in order, and how many points have no place or no time; null when it is not GPX
 */
export function readGpxTrack(text: string, most = 200_000): { fixes: Fix[]; faults: number } | null {
  let value: unknown;
  try {
    value = parser.parse(text, true);
  } catch {
    return null;
  }
  const file = File.safeParse(value);
  if (!file.success) return null;
  const points = file.data.gpx.trk.flatMap(({ trkseg }) => trkseg.flatMap(({ trkpt }) => trkpt)).slice(0, most);
  const fixes = points.flatMap((point) => fixOf(point) ?? []);
  return { fixes: withMotion(fixes), faults: points.length - fixes.length };
}
