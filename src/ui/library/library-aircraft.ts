// The aircraft that can be flown here. The page brings the shared ones and those of one's own that were saved last; the
// others come when they are asked for.
import { useMemo } from "react";
import { create } from "zustand";
import type { StoredAircraft } from "@/server/aircraft";
import { type Answer, send } from "@/ui/kit/request";
import { useWorkspace } from "./workspace";

/** Fetched after the page, by id. */
const useFetched = create<Readonly<Record<string, StoredAircraft>>>(() => ({}));

/** Takes note of aircraft that were fetched or saved. */
export function noteAircraft(aircraft: readonly StoredAircraft[]): void {
  useFetched.setState(Object.fromEntries(aircraft.map((entry) => [entry.id, entry])));
}

/** Takes note that an aircraft is gone. */
export function forgetAircraft(id: string): void {
  useFetched.setState(({ [id]: _, ...rest }) => rest, true);
}

/** Every aircraft known here, the shared ones first, then by name. */
export function useLibraryAircraft(): readonly StoredAircraft[] {
  const { aircraft } = useWorkspace().library;
  const fetched = useFetched();
  return useMemo(() => {
    const all = new Map(aircraft.map((entry) => [entry.id, entry]));
    for (const entry of Object.values(fetched))
      if (entry.version >= (all.get(entry.id)?.version ?? 0)) all.set(entry.id, entry);
    return [...all.values()].sort(
      (a, b) => Number(b.shared) - Number(a.shared) || a.document.name.localeCompare(b.document.name),
    );
  }, [aircraft, fetched]);
}

/** Fetches one aircraft of the account. */
export async function fetchAircraft(id: string): Promise<Answer<StoredAircraft>> {
  const answer = await send<StoredAircraft>("GET", `/api/aircraft/${encodeURIComponent(id)}`);
  if (answer.ok) noteAircraft([answer.value]);
  return answer;
}

/** Fetches all aircraft of the account, a page at a time. */
export async function fetchAllAircraft(): Promise<Answer<null>> {
  let after: string | null = "";
  while (after !== null) {
    const answer: Answer<{ aircraft: StoredAircraft[]; next: string | null }> = await send(
      "GET",
      `/api/aircraft?after=${encodeURIComponent(after)}`,
    );
    if (!answer.ok) return answer;
    noteAircraft(answer.value.aircraft);
    after = answer.value.next;
  }
  return { ok: true, value: null };
}
