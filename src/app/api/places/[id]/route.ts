import { z } from "zod";
import { PlaceOfAnyVersion } from "@/core/places/place-versions";
import { placeFaults } from "@/core/places/place-faults";
import { markPlace, savePlace } from "@/server/places";
import {
  DOCUMENT_BODY,
  answerToSave,
  readBody,
  refusal,
  refuse,
  requireAccount,
  route,
  versionOf,
} from "@/server/route";
import { storing } from "@/server/room";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () =>
  refuse(404, "no_such_place", "There is no such place of your own. Those of the shared library cannot be changed.");

/** Replaces the version that `If-Match` names; 412 with what was saved meanwhile. */
export const PUT = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const version = versionOf(request);
  const place = await readBody(request, PlaceOfAnyVersion, DOCUMENT_BODY);
  const { id } = await params;
  if (place.id !== id) return refuse(422, "id_differs", "The place has another id than its address.", "id");
  const faults = placeFaults(place, new Date()).filter(({ severity }) => severity === "fault");
  if (faults.length > 0)
    return refusal(
      422,
      faults.map(({ path, message }) => ({ code: "place_fault", path, message })),
    );
  return answerToSave(await savePlace(account.id, place, version), missing);
});

/** Deletes, or undoes it: `{ deleted: true | false }`. */
export const PATCH = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const { id } = await params;
  const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
  // What comes back needs room again.
  const marked = deleted
    ? await markPlace(account.id, id, true)
    : await storing(account.id, { places: 1 }, (connection) => markPlace(account.id, id, false, connection));
  return marked ? Response.json({ ok: true }) : missing();
});
