// A crew's drill that is over is kept by each member who has an account; a guest's is gone with the crew.
import type { SeenCrew } from "@/server/crews";
import { send } from "@/ui/kit/request";
import type { Flying } from "../drill/drill-store";

/** A server or a database that is away is tried again after this, ms; the crew's log has it meanwhile. */
const RETRY_MS = 5000;

let kept: string | null = null;

/** Keeps it once, under the crew's own id. */
export function keepCrewRun({ id, role, aircraft }: SeenCrew, { run, state }: Flying): void {
  if (kept === id) return;
  kept = id;
  const until_s = state.drill.flown.time_s;
  const beganAt = new Date(Date.now() - until_s * 1000).toISOString();
  void send("POST", "/api/runs", { id, beganAt, role, aircraft, until_s, run }).then((answer) => {
    if (!answer.ok && answer.away) setTimeout(() => (kept = null), RETRY_MS);
  });
}
