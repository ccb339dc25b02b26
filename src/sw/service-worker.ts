/// <reference lib="webworker" />
// Without a network: all of the application's files are kept when it is installed, the page of every stage and the
// terrains as they were when they were last loaded. The server comes first whenever it answers.
import { type PrecacheEntry, Serwist } from "serwist";
import { SLUGS } from "@/ui/stages/slugs";

declare const self: ServiceWorkerGlobalScope & { readonly __SW_MANIFEST: (PrecacheEntry | string)[] };

/** What belongs to an account; it goes when another one comes. */
const [PAGES, DATA] = ["utrimax-pages", "utrimax-data"];
/** A server that is silent for so long is away, ms. */
const SILENT_MS = 15_000;
/** Pages are kept anew so long after the last thing that was stored, ms. */
const REST_MS = 500;

const stagePaths = SLUGS.map((slug) => `/${slug}`);

/** A page or a terrain is the same whatever the address says after the question mark. */
const keyOf = (request: Request) => new URL(request.url).origin + new URL(request.url).pathname;

/** Goes up when the account changes: what was asked for before is not kept any more. */
let accounts = 0;

async function keep(cacheName: string, key: string, answer: Response, since: number): Promise<void> {
  // A page that led elsewhere is another page: that of somebody who is not signed in.
  if (since !== accounts || !answer.ok || answer.redirected) return;
  const cache = await caches.open(cacheName);
  if (since === accounts) await cache.put(key, answer);
}

/** The server's answer, kept; what was kept when it does not answer or its database is away. */
async function serverFirst(request: Request, cacheName: string): Promise<Response> {
  const key = keyOf(request);
  const kept = () => caches.open(cacheName).then((cache) => cache.match(key, { ignoreVary: true }));
  const since = accounts;
  const stop = new AbortController();
  const timer = setTimeout(() => stop.abort(), SILENT_MS);
  try {
    const answer = await fetch(request, { signal: stop.signal });
    clearTimeout(timer);
    if (answer.status >= 500) return (await kept()) ?? answer;
    await keep(cacheName, key, answer.clone(), since);
    return answer;
  } catch (error) {
    clearTimeout(timer);
    const found = await kept();
    if (found) return found;
    throw error;
  }
}

/** Keeps the page of every stage as it is now. */
async function keepPages(): Promise<void> {
  const since = accounts;
  for (const path of stagePaths) {
    const answer = await fetch(path, { credentials: "same-origin", headers: { accept: "text/html" } }).catch(
      () => null,
    );
    if (!answer?.ok || answer.redirected) return;
    await keep(PAGES, self.location.origin + path, answer, since);
  }
}

let resting: Promise<void> | null = null;

/** Keeps the pages once for all that was stored within a moment. */
function keepPagesSoon(): Promise<void> {
  resting ??= new Promise<void>((done) => setTimeout(done, REST_MS)).then(() => {
    resting = null;
    return keepPages();
  });
  return resting;
}

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    plugins: [
      {
        // An answer that says its address takes the place of the address that was asked for, and with it what follows
        // the # of a worker's, by which it is told what to run.
        cachedResponseWillBeUsed: async ({ cachedResponse }) =>
          cachedResponse && new Response(cachedResponse.body, cachedResponse),
      },
    ],
  },
  // A page that is open keeps the files that it was made with.
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === "navigate" && stagePaths.includes(url.pathname),
      handler: ({ request }) => serverFirst(request, PAGES),
    },
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && /^\/api\/terrains\/[^/]+$/.test(url.pathname),
      handler: ({ request }) => serverFirst(request, DATA),
    },
    // The account changes: what was kept of the one before goes.
    ...(["POST", "DELETE"] as const).map((method) => ({
      method,
      matcher: ({ url, sameOrigin }: { url: URL; sameOrigin: boolean }) =>
        sameOrigin && /^\/api\/(session|accounts|account|demo)$/.test(url.pathname),
      handler: async ({ request }: { request: Request }) => {
        const answer = await fetch(request);
        if (answer.ok) {
          accounts += 1;
          await Promise.all([caches.delete(PAGES), caches.delete(DATA)]);
        }
        return answer;
      },
    })),
  ],
});

self.addEventListener("message", (event) => {
  if ((event.data as { type?: unknown } | null)?.type === "keep") event.waitUntil(keepPagesSoon());
});

serwist.addEventListeners();
