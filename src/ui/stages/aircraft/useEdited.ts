"use client";
import { useMemo } from "react";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { type AircraftDocument, AircraftDocument as Schema } from "@/core/aircraft/aircraft-document";
import type { Gyroplane } from "@/core/aircraft/gyroplane";
import type { Helicopter } from "@/core/aircraft/helicopter";
import { type Doubt, doubtsAbout } from "@/core/aircraft/plausibility";
import { type Issue, issuesOf } from "@/core/outcome";
import { gyroplaneDoubts } from "@/core/rotor/gyroplane-fit";
import { helicopterDoubts } from "@/core/rotor/helicopter-fit";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useFormat } from "@/ui/kit/units/units-store";
import { NEW_ID, useDrafts } from "@/ui/library/aircraft-drafts";

/** The aircraft on the stage: the new one, the draft of the current one, or the current one as it is saved. */
export interface EditedOf<T extends AircraftDocument> {
  readonly id: string;
  readonly shared: boolean;
  readonly document: T;
  /** Of the stored aircraft that it was made from. */
  readonly version: number;
  /** Differs from what is saved. */
  readonly changed: boolean;
  /** What keeps it from being saved. */
  readonly faults: readonly Issue[];
  /** What looks wrong without keeping it from being saved. */
  readonly doubts: readonly Doubt[];
  change(next: (document: T) => AircraftDocument): void;
}

/** An aeroplane on the stage. */
export type Edited = EditedOf<Aeroplane>;

/** What looks wrong about an aircraft of any kind. */
function doubtsOf(document: AircraftDocument, speed: (speed_mps: number) => string): Doubt[] {
  if (isAeroplane(document)) return doubtsAbout(document, speed);
  return document.category === "helicopter" ? helicopterDoubts(document) : gyroplaneDoubts(document);
}

/** What is being looked at and changed on the aircraft's stage, of whatever kind. */
export function useEditedAircraft(): EditedOf<AircraftDocument> {
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
      // A rotor that cannot be is not computed with.
      doubts:
        parsed.success || isAeroplane(document) ? doubtsOf(document, (speed_mps) => format("speed", speed_mps)) : [],
      change: (next) => put(id, next(useDrafts.getState().drafts[id] ?? document), current.version),
    };
  }, [id, current, document, drafts, bases, put, format]);
}

/** One kind of it; the stage shows a view only for its kind. */
function useEditedOf<T extends AircraftDocument>(is: (document: AircraftDocument) => document is T): EditedOf<T> {
  const edited = useEditedAircraft();
  const { document, change, ...rest } = edited;
  if (!is(document)) throw new Error(`useEditedOf: expected another kind, got a ${document.category}`);
  return { ...rest, document, change: (next) => change((now) => (is(now) ? next(now) : now)) };
}

const isHelicopter = (document: AircraftDocument): document is Helicopter => document.category === "helicopter";
const isGyroplane = (document: AircraftDocument): document is Gyroplane => document.category === "gyroplane";

/** The aeroplane on the stage. */
export const useEdited = (): Edited => useEditedOf(isAeroplane);

/** The helicopter on the stage. */
export const useEditedHelicopter = (): EditedOf<Helicopter> => useEditedOf(isHelicopter);

/** The gyroplane on the stage. */
export const useEditedGyroplane = (): EditedOf<Gyroplane> => useEditedOf(isGyroplane);
