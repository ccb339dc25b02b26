// Places of every version that was ever written.
import { z } from "zod";
import { type OldDocument, versionedDocument } from "../versions";
import { Place } from "./place";

const isObject = (value: unknown): value is OldDocument =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Version 1 could be landed on from both ends, and said nothing of declared distances and circuits. */
const endOfVersion2 = (end: unknown) =>
  isObject(end) ? { obstacle: null, ...end, usable: true, declared: null, circuit: null } : end;
const stripOfVersion2 = (strip: unknown) =>
  isObject(strip) && Array.isArray(strip.ends) ? { ...strip, ends: strip.ends.map(endOfVersion2) } : strip;

/** Version 1 did not say who looked at a place, when, and how its ground lies. */
function surveyed(old: OldDocument): OldDocument {
  const place = { notes: "", ...old, lookedAt: null, lookedBy: "", source: null };
  return Array.isArray(old.runways)
    ? { ...place, runways: old.runways.map(stripOfVersion2) }
    : { hazards: [], ...place, outline: null, strip: stripOfVersion2(old.strip) };
}

const versions = versionedDocument("utrimax/place", "place", Place, [surveyed]);

/** A place of this or an earlier version, brought up to this one. */
export const PlaceOfAnyVersion = z.preprocess(versions.upgraded, Place);

/** Reads a place of any version. */
export const readPlace = versions.read;
