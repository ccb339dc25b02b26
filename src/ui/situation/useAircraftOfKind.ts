"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import type { Gyroplane } from "@/core/aircraft/gyroplane";
import type { Helicopter } from "@/core/aircraft/helicopter";
import type { Rotorcraft } from "@/core/rotor/rotor-question";
import type { StoredAircraft } from "@/server/aircraft";
import { useAircraft } from "./useAircraft";

/** A stored aircraft of one kind. */
export type StoredOf<T extends AircraftDocument> = Omit<StoredAircraft, "document"> & { readonly document: T };

/** The aircraft of the situation where a face for aeroplanes is shown. */
export function useAeroplane(): StoredOf<Aeroplane> {
  const { document, ...stored } = useAircraft();
  if (!isAeroplane(document)) throw new Error(`useAeroplane: expected an aeroplane, got a ${document.category}`);
  return { ...stored, document };
}

/** The aircraft of the situation where a face for helicopters is shown. */
export function useHelicopter(): StoredOf<Helicopter> {
  const { document, ...stored } = useAircraft();
  if (document.category !== "helicopter") throw new Error(`useHelicopter: expected one, got a ${document.category}`);
  return { ...stored, document };
}

/** The aircraft of the situation where a face for gyroplanes is shown. */
export function useGyroplane(): StoredOf<Gyroplane> {
  const { document, ...stored } = useAircraft();
  if (document.category !== "gyroplane") throw new Error(`useGyroplane: expected one, got a ${document.category}`);
  return { ...stored, document };
}

/** The aircraft of the situation where a face for either kind of rotorcraft is shown. */
export function useRotorcraft(): StoredOf<Rotorcraft> {
  const { document, ...stored } = useAircraft();
  if (isAeroplane(document)) throw new Error("useRotorcraft: expected a rotorcraft, got an aeroplane");
  return { ...stored, document };
}
