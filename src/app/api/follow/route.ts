import { issuesOf } from "@/core/outcome";
import { positionFeed, tellFeed } from "@/server/outside";
import { FollowQuestion, FollowTold } from "@/server/outside-question";
import { readBody, refusal, refuse, requireAccount, route } from "@/server/route";

/** Feeds that one account may have open at once, and how long one stays open, ms. */
const [MOST_FEEDS, LONGEST_MS] = [4, 4 * 3600 * 1000];
const open = new Map<string, number>();

/** Streams the sentences of a position feed as they come. */
export const GET = route(async (request) => {
  const { id } = await requireAccount();
  const asked = FollowQuestion.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return refusal(422, issuesOf(asked.error));
  if ((open.get(id) ?? 0) >= MOST_FEEDS)
    return refuse(429, "too_many_feeds", `Only ${MOST_FEEDS} aircraft can be followed at once.`, "", 10);
  open.set(id, (open.get(id) ?? 0) + 1);
  const ended = new AbortController();
  const stop = () => ended.abort();
  request.signal.addEventListener("abort", stop);
  const timer = setTimeout(stop, LONGEST_MS);
  ended.signal.addEventListener("abort", () => {
    clearTimeout(timer);
    const left = (open.get(id) ?? 1) - 1;
    if (left > 0) open.set(id, left);
    else open.delete(id);
  });
  // A flight of one account is not another's to stop.
  const query = { ...asked.data, flight: `${id}-${asked.data.flight}` };
  const feed = await positionFeed(query, ended.signal).catch((error: unknown) => {
    stop();
    throw error;
  });
  // A feed that ends by itself is one that is open no more.
  return new Response(feed.pipeThrough(new TransformStream({ flush: stop })), {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
  });
});

export const POST = route(
  async (request) => {
    const { id } = await requireAccount();
    const { flight, what, value } = await readBody(request, FollowTold);
    await tellFeed(`${id}-${flight}`, what, value);
    return Response.json({ ok: true });
  },
  { storesNothing: true },
);
