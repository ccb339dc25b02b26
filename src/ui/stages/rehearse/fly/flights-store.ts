import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import { KeptFlight } from "@/core/simulation/kept-flight";
import { accountStorage } from "@/ui/kit/kept";

/** Flights that are kept, the newest first, and the most that all of them take, characters. */
const [MOST, MOST_SIZE] = [8, 2_000_000];

interface FlightsState {
  readonly flights: readonly KeptFlight[];
  keep(flight: KeptFlight): void;
  forget(at: string): void;
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
      keep: (flight) =>
        set(({ flights }) => ({ flights: kept([flight, ...flights.filter(({ at }) => at !== flight.at)]) })),
      forget: (at) => set(({ flights }) => ({ flights: flights.filter((flight) => flight.at !== at) })),
    }),
    {
      name: "flights",
      version: 1,
      storage: createJSONStorage(() => accountStorage),
      skipHydration: true,
      // What some other program has left there is no flight of this one.
      merge: (stored, now) => {
        const flights = (stored as { flights?: unknown } | undefined)?.flights;
        const read = Array.isArray(flights) ? flights.flatMap((one) => KeptFlight.safeParse(one).data ?? []) : [];
        return { ...now, flights: kept(read) };
      },
    },
  ),
);
