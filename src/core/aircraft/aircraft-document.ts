// The aircraft document: a union by kind, versioned, validated on the way in and out.
import { z } from "zod";
import { Aeroplane } from "./aeroplane";
import { Gyroplane } from "./gyroplane";
import { Helicopter } from "./helicopter";

/** An aircraft of any kind. */
export const AircraftDocument = z.discriminatedUnion("category", [Aeroplane, Helicopter, Gyroplane]);

/** @see AircraftDocument */
export type AircraftDocument = z.infer<typeof AircraftDocument>;
