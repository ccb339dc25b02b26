"use client";
import { useMemo } from "react";
import { type AircraftDocument, AircraftDocument as Schema } from "@/core/aircraft/aircraft-document";
import { type Doubt, doubtsAbout } from "@/core/aircraft/plausibility";
import { type Issue, issuesOf } from "@/core/outcome";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useFormat } from "@/ui/kit/units/units-store";
import { NEW_ID, useDrafts } from "@/ui/library/aircraft-drafts";

/** The aircraft on the stage: the new one, the draft of the current one, or the current one as it is saved. */
export interface Edited {
  readonly id: string;
  readonly shared: boolean;
  readonly document: AircraftDocument;
  /** Of the stored aircraft that it was made from. */
  readonly version: number;
  /** Differs from what is saved. */
  readonly changed: boolean;
  /** What keeps it from being saved. */
  readonly faults: readonly Issue[];
  /** What looks wrong without keeping it from being saved. */
  readonly doubts: readonly Doubt[];
  change(next: (document: AircraftDocument) => AircraftDocument): void;
}

/** What is being looked at and changed on the aircraft's stage. */
export function useEdited(): Edited {
  const current = useAircraft();
  const drafts = useDrafts((state) => state.drafts);
  const put = useDrafts((state) => state.put);
  const bases = useDrafts((state) => state.bases);
  const format = useFormat();
  const fresh = drafts[NEW_ID];
  const id = fresh ? NEW_ID : current.id;
  const document = fresh ?? drafts[current.id] ?? current.document;
  return useMemo(() => {
    const parsed = Schema.safeParse(document);
    return {
      id,
      shared: id !== NEW_ID && current.shared,
      document,
      version: drafts[id] === undefined ? current.version : (bases[id] ?? current.version),
      changed: document !== current.document,
      faults: parsed.success ? [] : issuesOf(parsed.error),
      doubts: doubtsAbout(document, (speed_mps) => format("speed", speed_mps)),
      change: (next) => put(id, next(useDrafts.getState().drafts[id] ?? document), current.version),
    };
  }, [id, current, document, drafts, bases, put, format]);
}
