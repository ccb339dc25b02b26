import { z } from "zod";
import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import { FlownResult } from "@/core/exercise/flown-result";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import { KeptFlightOfAnyVersion } from "@/core/simulation/kept-flight-versions";
import { accountStorage } from "@/ui/kit/kept";

/** Flights that are kept, the newest first, and the most that all of them take, characters. */
const [MOST, MOST_SIZE] = [8, 2_000_000];

/** What came of a flight that the server does not have yet, by when it was flown. */
const Waiting = z.strictObject({ id: z.uuid(), at: z.iso.datetime(), result: FlownResult });
/** @see Waiting */
export type WaitingFlight = z.infer<typeof Waiting>;

interface FlightsState {
  readonly flights: readonly KeptFlight[];
  readonly waiting: readonly WaitingFlight[];
  keep(flight: KeptFlight, waiting: WaitingFlight): void;
  forget(at: string): void;
  /** It waits no more. */
  sent(id: string): void;
}

/** As many of the newest as there is room for. */
export function kept(flights: readonly KeptFlight[]): readonly KeptFlight[] {
  let size = 0;
  return flights.slice(0, MOST).filter((flight) => {
    size += JSON.stringify(flight).length;
    return size <= MOST_SIZE;
  });
}

/** The last flights of the account in this browser: set-up and hands, from which each is flown again. */
export const useFlights = create<FlightsState>()(
  persist(
    (set) => ({
      flights: [],
      waiting: [],
      keep: (flight, waiting) =>
        set((now) => ({
          flights: kept([flight, ...now.flights.filter(({ at }) => at !== flight.at)]),
          waiting: [waiting, ...now.waiting.filter(({ at }) => at !== flight.at)].slice(0, MOST),
        })),
      forget: (at) => set(({ flights }) => ({ flights: flights.filter((flight) => flight.at !== at) })),
      sent: (id) => set(({ waiting }) => ({ waiting: waiting.filter((one) => one.id !== id) })),
    }),
    {
      name: "flights",
      version: 1,
      storage: createJSONStorage(() => accountStorage),
      skipHydration: true,
      // What some other program has left there is no flight of this one.
      merge: (stored, now) => {
        const of = (stored ?? {}) as { flights?: unknown; waiting?: unknown };
        const list = <T>(value: unknown, schema: z.ZodType<T>) =>
          Array.isArray(value) ? value.flatMap((one) => schema.safeParse(one).data ?? []) : [];
        return {
          ...now,
          flights: kept(list(of.flights, KeptFlightOfAnyVersion)),
          waiting: list(of.waiting, Waiting).slice(0, MOST),
        };
      },
    },
  ),
);
