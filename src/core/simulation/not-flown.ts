import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import type { Issue } from "../outcome";

const refused = (code: string, message: string): Issue => ({ code, path: "aircraft", message });

/** Why an aircraft cannot be flown by hand here; null when it can. */
export function notFlown(aircraft: AircraftDocument): Issue | null {
  if (!isAeroplane(aircraft)) {
    if (aircraft.engines.count <= 2) return null;
    return refused("three_engines", `${aircraft.name} has three engines: by hand one or two are flown.`);
  }
  const { polar, wing, name } = aircraft;
  if (!polar || !wing)
    return refused(
      "no_polar",
      `${name} has no polar yet: fill in its handbook in the Aircraft stage and take over the fit.`,
    );
  return null;
}
