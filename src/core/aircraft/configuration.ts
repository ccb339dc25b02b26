import { z } from "zod";
import type { Aeroplane } from "./aeroplane";
import { PropellerState } from "./propeller-state";
import { isAeroplane } from "./aircraft-kind";
import type { AircraftDocument } from "./aircraft-document";

/** What is out, open or turning. */
export const Configuration = z.strictObject({
  propeller: PropellerState,
  /** Index into the aircraft's flaps. */
  flap: z.int().min(0).max(7),
  gearDown: z.boolean(),
  /** Share of full sideslip drag. */
  slip: z.number().min(0, "Slip is 0 to 1.").max(1, "Slip is 0 to 1."),
  /** Ids of open drag items (cowl flaps, doors). */
  items: z.array(z.string().max(40, "At most 40 characters.")).max(12),
});

/** @see Configuration */
export type Configuration = z.infer<typeof Configuration>;

/** The glide a pilot sets up first: flap and gear up, everything shut, propeller as the dead engine leaves it. */
export function cleanGlide(aircraft: Aeroplane): Configuration {
  return {
    propeller: aircraft.polar?.deadPropeller ? "windmilling" : "none",
    flap: 0,
    gearDown: !(aircraft.polar?.gear.retractable ?? false),
    slip: 0,
    items: [],
  };
}

/** What a situation begins with: an aeroplane's clean glide; a rotorcraft has nothing to set. */
export function firstConfiguration(aircraft: AircraftDocument): Configuration {
  return isAeroplane(aircraft)
    ? cleanGlide(aircraft)
    : { propeller: "none", flap: 0, gearDown: true, slip: 0, items: [] };
}
