import { toast } from "sonner";
import { create } from "zustand";
import { KeptFlightOfAnyVersion } from "@/core/simulation/kept-flight-versions";
import type { ListedFlight } from "@/server/flights";
import { send } from "@/ui/kit/request";
import { lookAgain } from "../fly/flight-lane";
import { fetchFlight, sendWaiting } from "../fly/send-flights";

interface FlownState {
  /** One's own, or what a share lets one read, by its id; null until they have come. */
  readonly flights: readonly ListedFlight[] | null;
  readonly share: string | null;
  /** Why they could not be had. */
  readonly fault: string | null;
  load(share: string | null): Promise<void>;
  remove(id: string): Promise<void>;
  /** Flies one again to be looked at. @returns whether it could be */
  look(id: string): Promise<boolean>;
}

/** Flights by hand, where otherwise a drill is chosen: no procedure has such an id. */
export const FLOWN = "(flown)";

/** Flights by hand that the account keeps. */
export const useFlown = create<FlownState>()((set, get) => ({
  flights: null,
  share: null,
  fault: null,
  load: async (share) => {
    set({ share, fault: null, ...(share === get().share ? {} : { flights: null }) });
    await sendWaiting();
    const url = share === null ? "/api/flights" : `/api/flights?share=${share}`;
    const answer = await send<{ flights: ListedFlight[] }>("GET", url);
    if (get().share !== share) return;
    if (answer.ok) set({ flights: answer.value.flights });
    else set({ flights: [], fault: answer.issues.map(({ message }) => message).join(" ") });
  },
  remove: async (id) => {
    const answer = await send("DELETE", `/api/flights/${id}`);
    if (answer.ok) set(({ flights }) => ({ flights: flights?.filter((flight) => flight.id !== id) ?? null }));
    else toast(answer.issues.map(({ message }) => message).join(" "));
  },
  look: async (id) => {
    const read = KeptFlightOfAnyVersion.safeParse(await fetchFlight(id, get().share));
    const issue = read.success ? await lookAgain(read.data) : { message: "This flight cannot be read." };
    if (issue) toast(issue.message);
    return issue === null;
  },
}));
