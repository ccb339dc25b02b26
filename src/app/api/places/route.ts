import { z } from "zod";
import { PlaceOfAnyVersion } from "@/core/places/place-versions";
import { placeFaults } from "@/core/places/place-faults";
import type { Place } from "@/core/places/place";
import { IdTaken, type StoredPlace, addPlace, listPlaces } from "@/server/places";
import { LIBRARY_ACCOUNT } from "@/server/accounts";
import { readBody, refusal, requireAccount, route } from "@/server/route";
import { bytesOf, storing } from "@/server/room";

/** A hundred places, of which some have eight runways, bytes. */
const PLACES_BODY = 1024 * 1024;

const Added = z.strictObject({
  places: z.array(PlaceOfAnyVersion).min(1, "There is no place here.").max(100, "At most 100 places at once."),
});

/** Every place that one may plan with. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ places: [...(await listPlaces(LIBRARY_ACCOUNT)), ...(await listPlaces(account.id))] });
});

/**
 * Adds places under the ids that they bring, all or none of them. The same ones sent twice are there once; `saved`
 * lists those that were saved elsewhere since.
 */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const { places } = await readBody(request, Added, PLACES_BODY);
  const faults = places.flatMap((place: Place, i) =>
    placeFaults(place, new Date())
      .filter(({ severity }) => severity === "fault")
      .map(({ path, message }) => ({ code: "place_fault", path: `places.${i}.${path}`, message })),
  );
  if (faults.length > 0) return refusal(422, faults.slice(0, 50));
  const bytes = places.reduce((sum, place) => sum + bytesOf(place), 0);
  try {
    const stored = await storing(account.id, { places: places.length, bytes }, async (connection) => {
      const rows: StoredPlace[] = [];
      for (const place of places) rows.push(await addPlace(account.id, place, connection));
      return rows;
    });
    // What was saved since under one of these ids, elsewhere: the sender has another.
    return Response.json({ saved: stored.filter(({ version }) => version > 1) }, { status: 201 });
  } catch (error) {
    if (error instanceof IdTaken)
      return refusal(409, [{ code: "id_taken", path: "places", message: "A place of that id is somebody else’s." }]);
    throw error;
  }
});
