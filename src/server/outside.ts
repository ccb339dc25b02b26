// Services outside: a weather service and a position feed, each at the address that its setting names. Without one
// there is none, and what asks for it says so.
import { z } from "zod";
import { type Background, originOf } from "@/core/earth/background";
import { WindLayer } from "@/core/air/wind";
import { Refusal, refuse } from "./route";

/** A service that is silent longer than this is away, ms. */
const SILENT_MS = 5000;
/** Largest answer of a weather service, bytes. */
const MOST_BYTES = 64 * 1024;

/** What a weather service tells of the station nearest to a place. */
export const StationWeather = z.object({
  station: z.string().max(40),
  metar: z.string().min(1).max(2000),
  aloft: z.array(WindLayer).max(20),
});
/** @see StationWeather */
export type StationWeather = z.infer<typeof StationWeather>;

/**
 * Where the backgrounds of maps may come from: what runs the server says so, because a page may load nothing from
 * elsewhere.
 */
export function backgroundOrigins(): string[] {
  return (process.env.BACKGROUND_ORIGINS ?? "").split(/\s+/).filter(Boolean);
}

/** Refuses a background from elsewhere. */
export function requireBackground(background: Background): void {
  const allowed = backgroundOrigins();
  if (allowed.includes(originOf(background))) return;
  throw new Refusal(
    refuse(
      422,
      "background_elsewhere",
      allowed.length > 0
        ? `Here a background may come from ${allowed.join(", ")}, not from ${originOf(background)}.`
        : "No background may come from outside here: BACKGROUND_ORIGINS of the server is not set.",
      "background",
    ),
  );
}

/** Address of a service with a question. */
function addressOf(setting: "WEATHER_URL" | "POSITION_URL", query: Readonly<Record<string, string>>): URL {
  const address = process.env[setting];
  if (!address) throw new Refusal(refuse(404, "not_set_up", "No such service is set up here."));
  const url = new URL(address);
  for (const [name, value] of Object.entries(query)) url.searchParams.set(name, value);
  return url;
}

const away = (what: string) => new Refusal(refuse(502, "outside_away", `${what} does not answer at present.`));

/** The weather near a place; a refusal when there is no service, no station or no sense in the answer. */
export async function weatherNear(query: { readonly lat: string; readonly lon: string }): Promise<StationWeather> {
  const url = addressOf("WEATHER_URL", query);
  const answer = await fetch(url, { signal: AbortSignal.timeout(SILENT_MS), redirect: "error" }).catch(() => null);
  if (!answer) throw away("The weather service");
  if (answer.status === 404)
    throw new Refusal(refuse(404, "no_station", "The weather service knows no station near here."));
  const text = answer.ok ? await answer.text().catch(() => "") : "";
  const parsed = text.length <= MOST_BYTES ? StationWeather.safeParse(jsonOf(text)) : null;
  if (!parsed?.success) throw away("The weather service");
  return parsed.data;
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Opens the position feed; ends when the reader goes. */
export async function positionFeed(
  query: Readonly<Record<string, string>>,
  signal: AbortSignal,
): Promise<ReadableStream<Uint8Array>> {
  const first = new AbortController();
  const timer = setTimeout(() => first.abort(), SILENT_MS);
  const answer = await fetch(addressOf("POSITION_URL", query), {
    signal: AbortSignal.any([signal, first.signal]),
    redirect: "error",
  }).catch(() => null);
  clearTimeout(timer);
  if (!answer?.ok || !answer.body) throw away("The position feed");
  return answer.body;
}

/** Tells the feed something about a flight: the engine stops, the signal goes. */
export async function tellFeed(flight: string, what: "engine" | "signal", value: string): Promise<void> {
  const url = addressOf("POSITION_URL", {});
  url.pathname = `${url.pathname}/${flight}/${what}`;
  url.search = `${what === "engine" ? "running" : "lost"}=${value}`;
  const answer = await fetch(url, { method: "POST", signal: AbortSignal.timeout(SILENT_MS), redirect: "error" }).catch(
    () => null,
  );
  if (!answer?.ok) throw away("The position feed");
}
