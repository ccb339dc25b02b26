// A crew's drill that is over is kept by each member who has an account; a guest's is gone with the crew.
import type { SeenCrew } from "@/server/crews";
import { send } from "@/ui/kit/request";
import type { Flying } from "../drill/drill-store";

let kept: string | null = null;

/** Keeps it once, under the crew's own id. */
export function keepCrewRun({ id, role, aircraft }: SeenCrew, { run, state }: Flying): void {
  if (kept === id) return;
  kept = id;
  const until_s = state.drill.flown.time_s;
  const beganAt = new Date(Date.now() - until_s * 1000).toISOString();
  void send("POST", "/api/runs", { id, beganAt, role, aircraft, until_s, run });
}
