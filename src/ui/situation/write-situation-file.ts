import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { SituationDocument } from "@/core/situation/situation-document";

/** A situation as a file: the document, and the aircraft when it is the account's own, so that it opens anywhere. */
export function writeSituationFile(document: SituationDocument, aircraft: AircraftDocument | null): string {
  return JSON.stringify(aircraft ? { ...document, aircraft } : document, null, 1);
}
