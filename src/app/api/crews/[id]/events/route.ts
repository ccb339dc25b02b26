import { z } from "zod";
import { FlightDid } from "@/core/exercise/flight-crew";
import { requireMember } from "@/server/crew-cookie";
import { crewStream } from "@/server/crew-stream";
import { doAsMember } from "@/server/crews";
import { readBody, refuse, route } from "@/server/route";

interface Context {
  params: Promise<{ id: string }>;
}

/** Streams that one crew may have open at once: each member's, and those that were lost and are not noticed yet. */
const MOST_STREAMS = 12;
const open = new Map<string, number>();

/** The crew's log from where the browser has it (`Last-Event-ID`, or `after` in the query), and then as it grows. */
export const GET = route<Context>(async (request, { params }) => {
  const member = await requireMember((await params).id);
  const { crewId } = member;
  const streams = open.get(crewId) ?? 0;
  if (streams >= MOST_STREAMS) return refuse(429, "too_many_streams", "This crew is open too often.", "", 10);
  open.set(crewId, streams + 1);
  const last = request.headers.get("last-event-id") ?? new URL(request.url).searchParams.get("after") ?? "0";
  const stream = crewStream(member, /^\d{1,6}$/.test(last) ? Number(last) : 0, request.signal, () => {
    const left = (open.get(crewId) ?? 1) - 1;
    if (left > 0) open.set(crewId, left);
    else open.delete(crewId);
  });
  return new Response(stream, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
  });
});

/** Does something as a member. */
export const POST = route<Context>(async (request, { params }) => {
  const member = await requireMember((await params).id);
  const { did } = await readBody(request, z.strictObject({ did: FlightDid }));
  const added = await doAsMember(member, did);
  return typeof added === "number" ? Response.json({ seq: added }, { status: 201 }) : refuse(409, "not_now", added);
});
