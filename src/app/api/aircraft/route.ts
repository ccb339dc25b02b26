import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { addAircraft, pageOfAircraft } from "@/server/aircraft";
import { DOCUMENT_BODY, readBody, requireAccount, route } from "@/server/route";
import { bytesOf, storing } from "@/server/room";

/** The library's and one's own, a page at a time: `after` in the query is the `next` of the page before. */
export const GET = route(async (request) => {
  const account = await requireAccount();
  const after = new URL(request.url).searchParams.get("after") ?? "";
  const { items, next } = await pageOfAircraft(account.id, after.slice(0, 64));
  return Response.json({ aircraft: items, next });
});

export const POST = route(async (request) => {
  const account = await requireAccount();
  const document = await readBody(request, AircraftOfAnyVersion, DOCUMENT_BODY);
  const id = await storing(account.id, { aircraft: 1, bytes: bytesOf(document) }, (connection) =>
    addAircraft(account.id, document, connection),
  );
  return Response.json({ id, version: 1 }, { status: 201 });
});
