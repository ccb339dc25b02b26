import { jobStream } from "@/server/job-stream";
import { refuse, requireAccount, route } from "@/server/route";

/** Streams that one account may have open at once: its pages, and those that were lost and are not noticed yet. */
const MOST_STREAMS = 8;
const open = new Map<string, number>();

/** How the account's analyses stand, as a stream of server-sent events, until all are done. */
export const GET = route(async (request) => {
  const { id } = await requireAccount();
  const streams = open.get(id) ?? 0;
  if (streams >= MOST_STREAMS) return refuse(429, "too_many_streams", "This is open too often.", "", 10);
  open.set(id, streams + 1);
  const stream = jobStream(id, request.signal, () => {
    const left = (open.get(id) ?? 1) - 1;
    if (left > 0) open.set(id, left);
    else open.delete(id);
  });
  return new Response(stream, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
  });
});
