// Kept flights of every version that was ever written.
import { z } from "zod";
import { upgradedAircraft } from "../aircraft/aircraft-versions";
import { type OldDocument, versionedDocument } from "../versions";
import { KeptFlight } from "./kept-flight";

/** Version 1 knew no drill. */
const withDrill = (old: OldDocument): OldDocument => ({ ...old, drill: null });

const Old = z.looseObject({
  flown: z.looseObject({ setUp: z.looseObject({ aircraft: z.unknown(), begin: z.looseObject({}) }) }),
});

/** Version 2 flew aeroplanes only: none of them hovers. */
function withHover(old: OldDocument): OldDocument {
  const read = Old.safeParse(old);
  if (!read.success) return old;
  const { flown } = read.data;
  return { ...old, flown: { ...flown, setUp: { ...flown.setUp, begin: { ...flown.setUp.begin, hovers: false } } } };
}

const versions = versionedDocument("utrimax/kept-flight", "flight", KeptFlight, [withDrill, withHover], "format");

/** The aircraft that it holds is a document with versions of its own. */
function upgraded(value: unknown): unknown {
  const flight = versions.upgraded(value);
  const old = Old.safeParse(flight);
  if (!old.success) return flight;
  const { flown } = old.data;
  const aircraft = upgradedAircraft(flown.setUp.aircraft);
  return { ...old.data, flown: { ...flown, setUp: { ...flown.setUp, aircraft } } };
}

/** A kept flight of this or an earlier version, brought up to this one: what storage and files are read with. */
export const KeptFlightOfAnyVersion = z.preprocess(upgraded, KeptFlight);
