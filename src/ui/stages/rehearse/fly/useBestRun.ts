"use client";
import { useEffect, useState } from "react";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import { KeptFlightOfAnyVersion } from "@/core/simulation/kept-flight-versions";
import { channelOf } from "@/core/simulation/flight-trace";
import type { ListedFlight } from "@/server/flights";
import { send } from "@/ui/kit/request";
import { isHeld } from "../results/flown-result-words";
import { flownAgain } from "./flight-lane";
import { fetchFlight } from "./send-flights";

/** One's best flight of the same set-up. */
export interface BestRun {
  readonly flownAt: string;
  /** Its way: north and east in turn. */
  readonly path: readonly number[];
}

/** Rows of the trace between two points of a way. */
const APART = 5;

/** The way of some rows: north and east in turn. */
export function wayOf(rows: readonly (readonly number[])[]): readonly number[] {
  const [north, east] = [channelOf(rows, "north_m"), channelOf(rows, "east_m")];
  return north.flatMap((n, i) => (i % APART === 0 ? [n, east[i]] : []));
}

/** The best of others that were set up in the same words: held, and with the least height beyond what it needed. */
export function bestOf(flights: readonly ListedFlight[], { words, at }: Pick<KeptFlight, "words" | "at">) {
  const [best] = flights
    .flatMap((flight) => {
      const { glide } = flight.result;
      const same = flight.words === words && flight.flownAt !== at && isHeld(flight.result);
      return same && glide ? [{ flight, beyond_m: glide.beyond_m }] : [];
    })
    .toSorted((a, b) => a.beyond_m - b.beyond_m);
  return best?.flight ?? null;
}

/** One's best flight of the same set-up, from the account; null where there is none, or the server is away. */
export function useBestRun(flight: KeptFlight): BestRun | null {
  const [best, setBest] = useState<(BestRun & { readonly of: string }) | null>(null);
  useEffect(() => {
    let gone = false;
    void (async () => {
      const answer = await send<{ flights: ListedFlight[] }>("GET", "/api/flights");
      const found = answer.ok ? bestOf(answer.value.flights, flight) : null;
      const read = found && KeptFlightOfAnyVersion.safeParse(await fetchFlight(found.id, null));
      const rows = read?.success ? await flownAgain(read.data) : null;
      if (!gone && found && rows?.ok) setBest({ of: flight.at, flownAt: found.flownAt, path: wayOf(rows.value) });
    })();
    return () => {
      gone = true;
    };
  }, [flight]);
  return best?.of === flight.at ? best : null;
}
