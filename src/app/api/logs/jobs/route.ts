import { jobStream } from "@/server/job-stream";
import { requireAccount, route } from "@/server/route";

/** How the account's analyses stand, as a stream of server-sent events, until all are done. */
export const GET = route(async (request) => {
  const account = await requireAccount();
  return new Response(jobStream(account.id, request.signal), {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store", "x-accel-buffering": "no" },
  });
});
