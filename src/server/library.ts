// All that an account may plan with, in one object for the interface.
import type { Aerodrome, LandingSite } from "@/core/landing/places";
import { listAerodromes } from "./aerodromes";
import { type StoredAircraft, listAircraft } from "./aircraft";
import { listLandingSites } from "./landing-sites";
import { type TerrainFrame, listTerrains } from "./terrains";

/** What the account owns or the demo world lends. */
export interface Library {
  readonly aircraft: readonly StoredAircraft[];
  readonly aerodromes: readonly Aerodrome[];
  readonly sites: readonly LandingSite[];
  readonly terrains: readonly TerrainFrame[];
}

/** Reads the library of an account. */
export async function loadLibrary(accountId: string): Promise<Library> {
  const [aircraft, aerodromes, sites, terrains] = await Promise.all([
    listAircraft(accountId),
    listAerodromes(accountId),
    listLandingSites(accountId),
    listTerrains(accountId),
  ]);
  return { aircraft, aerodromes, sites, terrains };
}
