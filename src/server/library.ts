// All that an account may plan with, in one object for the interface.
import type { Aerodrome, LandingSite } from "@/core/landing/places";
import { listAerodromes } from "./aerodromes";
import { LATEST, type StoredAircraft, latestAircraft } from "./aircraft";
import { listLandingSites } from "./landing-sites";
import { type TerrainFrame, listTerrains } from "./terrains";

/** What the account owns or the demo world lends. */
export interface Library {
  readonly aircraft: readonly StoredAircraft[];
  /** There are more aircraft of one's own than these. */
  readonly moreAircraft: boolean;
  readonly aerodromes: readonly Aerodrome[];
  readonly sites: readonly LandingSite[];
  readonly terrains: readonly TerrainFrame[];
}

/** Reads the library of an account; `flown` is an aircraft that must be in it however old it is. */
export async function loadLibrary(accountId: string, flown: string | null = null): Promise<Library> {
  const [aircraft, aerodromes, sites, terrains] = await Promise.all([
    latestAircraft(accountId, flown),
    listAerodromes(accountId),
    listLandingSites(accountId),
    listTerrains(accountId),
  ]);
  return {
    aircraft,
    moreAircraft: aircraft.filter(({ shared }) => !shared).length >= LATEST,
    aerodromes,
    sites,
    terrains,
  };
}
