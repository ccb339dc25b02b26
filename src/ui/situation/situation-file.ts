// A situation as a file, read: the document, and the aircraft it was made with. It is large: it comes when one is read.
import { z } from "zod";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { type Outcome, failure, issuesOf, success } from "@/core/outcome";
import type { SituationDocument } from "@/core/situation/situation-document";
import { readSituation } from "@/core/situation/situation-versions";

/** Largest file read, bytes; a real one is under 10 kB. */
const LIMIT = 1024 * 1024;

/** What a situation file brings. */
export interface SituationFile {
  readonly document: SituationDocument;
  /** The aircraft it was made with, when that was not one of the shared library. */
  readonly aircraft: AircraftDocument | null;
}

/**
 * Reads a situation file.
 *
 * @returns `not_json`, `too_large`, `future_version`, `situation_invalid` or `aircraft_invalid`, in a pilot's words
 */
export function readSituationFile(text: string): Outcome<SituationFile> {
  if (text.length > LIMIT)
    return failure("too_large", "A situation file is smaller than 1 MB; this is something else. Nothing was imported.");
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return failure("not_json", "This file is not JSON: it is damaged or something else. Nothing was imported.");
  }
  const file = z.looseObject({ aircraft: z.unknown().optional() }).safeParse(value);
  const { aircraft, ...rest } = file.success ? file.data : { aircraft: undefined };
  const document = readSituation(file.success ? rest : value);
  if (!document.ok) return document;
  if (aircraft === undefined) return success({ document: document.value, aircraft: null });
  const parsed = AircraftOfAnyVersion.safeParse(aircraft);
  if (!parsed.success) {
    const [first] = issuesOf(parsed.error);
    return failure(
      "aircraft_invalid",
      `The aircraft in this file is damaged (${first.path}: ${first.message}). Nothing was imported.`,
    );
  }
  return success({ document: document.value, aircraft: parsed.data });
}
