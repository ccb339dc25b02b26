// Aircraft documents of every version that was ever written.
import { z } from "zod";
import { type OldDocument, completed, versionedDocument } from "../versions";
import { AircraftDocument } from "./aircraft-document";
import { OldRecord, gyroplaneOfVersion5, helicopterOfVersion5 } from "./rotorcraft-of-version-5";

const JetOfVersion1 = z.looseObject({
  wing: z.looseObject({ area_m2: z.number() }),
  engines: z.looseObject({ kind: z.literal("jet"), count: z.number() }),
  polar: z.looseObject({ deadPropeller: z.looseObject({ windmilling: z.number() }).nullable() }),
});

/**
 * In version 1 the dead engines of a jet dragged twice: in the polar and, by another figure, on one engine. The glide
 * as it was stands.
 */
function deadEnginesOnce(old: OldDocument): OldDocument {
  const jet = JetOfVersion1.safeParse(old);
  if (!jet.success || !jet.data.polar.deadPropeller) return old;
  const { wing, engines, polar } = jet.data;
  return {
    ...old,
    polar: { ...polar, deadPropeller: null },
    engines: {
      ...engines,
      deadDragArea_m2: ((polar.deadPropeller?.windmilling ?? 0) * wing.area_m2) / engines.count,
    },
  };
}

/**
 * Glides beside best glide, what the propeller did in them, and an own cause check were left out when there were none.
 */
function nothingLeftOut(old: OldDocument): OldDocument {
  return {
    causeFlow: null,
    ...old,
    handbook: completed(old.handbook, { glidePoints: [], glidePropeller: "windmilling" }),
  };
}

/** Version 3 did not say how it climbs on one engine. */
const withOneEngineClimb = (old: OldDocument): OldDocument => ({
  ...old,
  handbook: completed(old.handbook, { vxse_mps: null, oneEngineClimb: null }),
});

/** What a book says of take-off, climb and landing, where it is silent. */
const NO_DISTANCES = { takeOffRun_m: null, takeOff15_m: null, climb_mps: null, landingRun_m: null, landing15_m: null };

/**
 * Version 4 knew piston engines only, did not say how fuel came to them, how the aircraft is loaded, nor how it takes
 * off and lands by its book.
 */
function withLoading(old: OldDocument): OldDocument {
  const piston = z.looseObject({ kind: z.literal("piston") }).safeParse(old.engines);
  return {
    airspeedCalibration: null,
    loading: null,
    ...old,
    handbook: completed(old.handbook, NO_DISTANCES),
    engines: piston.success ? { ...piston.data, kind: "propeller", fuelSystem: "carburettor" } : old.engines,
  };
}

/** Fields of an aeroplane that version 5 had for rotorcraft too, and the other way round. */
function ofItsKind(old: OldDocument): OldDocument {
  const { rotor, ...aeroplane } = old;
  if (old.category !== "helicopter" && old.category !== "gyroplane") return aeroplane;
  const { schema, version, name, description, category, speedUnit, airspeedCalibration, loading, causeFlow } = old;
  const common = { schema, version, name, description, category, speedUnit, airspeedCalibration, loading, causeFlow };
  const { calibration_kg: _, ...mass } = OldRecord.parse(old.mass);
  const printed = OldRecord.parse(old.handbook);
  // Without a rotor the book was that of wings.
  const book = rotor ? printed : { mass_kg: printed.mass_kg };
  const limits = { vne_mps: OldRecord.parse(old.limits).vne_mps ?? null };
  const known = Object.fromEntries(
    Object.entries(OldRecord.catch({}).parse(rotor)).filter(([, value]) => value !== null),
  );
  return {
    ...common,
    mass,
    limits,
    ...(category === "helicopter"
      ? helicopterOfVersion5(OldRecord.parse(old.engines), known, book)
      : gyroplaneOfVersion5(OldRecord.parse(old.engines), known, book)),
  };
}

/** Version 6 did not say how an aeroplane moves. */
const withDynamics = (old: OldDocument): OldDocument =>
  old.category === "helicopter" || old.category === "gyroplane" ? old : { ...old, dynamics: null };

const versions = versionedDocument("utrimax/aircraft", "aircraft", AircraftDocument, [
  deadEnginesOnce,
  nothingLeftOut,
  withOneEngineClimb,
  withLoading,
  ofItsKind,
  withDynamics,
]);

/** @see VersionedDocument.upgraded */
export const upgradedAircraft = versions.upgraded;

/** An aircraft document of this or an earlier version, brought up to this one: what storage and files are read with. */
export const AircraftOfAnyVersion = z.preprocess(versions.upgraded, AircraftDocument);

/** Reads an aircraft of any version. */
export const readAircraft = versions.read;
