import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { addAircraft, listAircraft } from "@/server/aircraft";
import { readBody, requireAccount, route } from "@/server/route";

export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ aircraft: await listAircraft(account.id) });
});

export const POST = route(async (request) => {
  const account = await requireAccount();
  return Response.json(
    { id: await addAircraft(account.id, await readBody(request, AircraftOfAnyVersion)) },
    { status: 201 },
  );
});
