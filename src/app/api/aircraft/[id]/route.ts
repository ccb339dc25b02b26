import { z } from "zod";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { aircraftOf, markAircraft, saveAircraft } from "@/server/aircraft";
import { DOCUMENT_BODY, answerToSave, readBody, refuse, requireAccount, route, versionOf } from "@/server/route";
import { storing } from "@/server/room";
import { situationsWithAircraft } from "@/server/situations";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () =>
  refuse(
    404,
    "no_such_aircraft",
    "There is no such aircraft of your own. Those of the shared library can be copied, not changed.",
  );

export const GET = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  const aircraft = await aircraftOf(account.id, (await params).id);
  return aircraft ? Response.json(aircraft, { headers: { etag: `"${aircraft.version}"` } }) : missing();
});

/** Replaces the version that `If-Match` names; 412 with what was saved meanwhile. */
export const PUT = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const version = versionOf(request);
  const document = await readBody(request, AircraftOfAnyVersion, DOCUMENT_BODY);
  return answerToSave(await saveAircraft(account.id, (await params).id, document, version), missing);
});

/** Deletes, or undoes it: `{ deleted: true | false }`. An aircraft that situations fly is kept. */
export const PATCH = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const { id } = await params;
  const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
  const using = deleted ? await situationsWithAircraft(account.id, id) : [];
  if (using.length > 0)
    return refuse(
      409,
      "aircraft_in_use",
      `${using.map((name) => `“${name}”`).join(", ")} ${using.length === 1 ? "flies" : "fly"} this aircraft: give ${using.length === 1 ? "it" : "them"} another one first.`,
    );
  // What comes back needs room again.
  const marked = deleted
    ? await markAircraft(account.id, id, true)
    : await storing(account.id, { aircraft: 1 }, (connection) => markAircraft(account.id, id, false, connection));
  return marked ? Response.json({ ok: true }) : missing();
});
