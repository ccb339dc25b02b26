// All that an account may plan with, in one object for the interface.
import { LIBRARY_ACCOUNT } from "./accounts";
import { LATEST, type StoredAircraft, latestAircraft, listOwnAircraft } from "./aircraft";
import { type StoredPlace, listPlaces } from "./places";
import { type TerrainFrame, listTerrains } from "./terrains";

/** What the account owns or the demo world lends. */
export interface Library {
  readonly aircraft: readonly StoredAircraft[];
  /** There are more aircraft of one's own than these. */
  readonly moreAircraft: boolean;
  readonly places: readonly StoredPlace[];
  readonly terrains: readonly TerrainFrame[];
}

type Shared = Omit<Library, "moreAircraft">;

/** What everybody is lent changes with an upgrade alone; one reading of it serves so long, ms. */
const FRESH_MS = 10_000;
let shared: { readonly library: Promise<Shared>; readonly time: number } | null = null;

/** What everybody is lent. */
function sharedLibrary(): Promise<Shared> {
  if (shared && Date.now() - shared.time < FRESH_MS) return shared.library;
  const library = readShared();
  shared = { library, time: Date.now() };
  library.catch(forgetShared);
  return library;
}

async function readShared(): Promise<Shared> {
  const [aircraft, places, terrains] = await Promise.all([
    listOwnAircraft(LIBRARY_ACCOUNT),
    listPlaces(LIBRARY_ACCOUNT),
    listTerrains(LIBRARY_ACCOUNT),
  ]);
  return { aircraft, places, terrains };
}

/** The next reading of what everybody is lent is a new one. */
export function forgetShared(): void {
  shared = null;
}

/** Reads the library of an account; `flown` is an aircraft that must be in it however old it is. */
export async function loadLibrary(accountId: string, flown: string | null = null): Promise<Library> {
  const [lent, aircraft, places, terrains] = await Promise.all([
    sharedLibrary(),
    latestAircraft(accountId, flown),
    listPlaces(accountId),
    listTerrains(accountId),
  ]);
  return {
    aircraft: [...lent.aircraft, ...aircraft],
    moreAircraft: aircraft.length >= LATEST,
    places: [...lent.places, ...places],
    terrains: [...lent.terrains, ...terrains],
  };
}
