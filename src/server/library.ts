// All that an account may plan with, in one object for the interface.
import type { Aerodrome, LandingSite } from "@/core/landing/places";
import { listAerodromes } from "./aerodromes";
import { type StoredAircraft, listAircraft } from "./aircraft";
import { listLandingSites } from "./landing-sites";
import type { UnreadableRow } from "./readable-rows";
import { type TerrainFrame, listTerrains } from "./terrains";

/** What the account owns or the demo world lends. */
export interface Library {
  readonly aircraft: readonly StoredAircraft[];
  readonly aerodromes: readonly Aerodrome[];
  readonly sites: readonly LandingSite[];
  readonly terrains: readonly TerrainFrame[];
  /** Of the account's own rows, those that could not be read. */
  readonly unreadable: readonly UnreadableRow[];
}

/** Reads the library of an account. */
export async function loadLibrary(accountId: string): Promise<Library> {
  const unreadable: UnreadableRow[] = [];
  const [aircraft, aerodromes, sites, terrains] = await Promise.all([
    listAircraft(accountId, unreadable),
    listAerodromes(accountId, false, unreadable),
    listLandingSites(accountId, false, unreadable),
    listTerrains(accountId),
  ]);
  return { aircraft, aerodromes, sites, terrains, unreadable };
}
