// The workings that a stage asks for beside those of the registry.
import { failure } from "@/core/outcome";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { useDeparture } from "./departure-store";
import { useReach } from "./reach-store";
import { useRoute } from "./route-store";

const GONE = failure("no_answer", "The answer that this figure belonged to is no longer there.");

/** How the figures of the way to a landing end come about. */
export function workingOfEnd(endId: string): WorkingSource {
  const asked = useReach.getState().answer?.question;
  return { ask: async (core) => (asked ? core.working(asked, endId) : GONE) };
}

/** How the figures of the departure's turn back from a height come about. */
export function workingOfTurnback(height_m: number, side: 1 | -1 | null): WorkingSource {
  const question = useDeparture.getState().scan?.question;
  return { ask: async (core) => (question ? core.departureWorking(question, height_m, side) : GONE) };
}

/** How the height in hand at the cursor of the planned flight comes about. */
export function workingOfRoute(distance_m: number): WorkingSource {
  const asked = useRoute.getState().route;
  return {
    ask: async (core) => (asked ? core.routeWorking(asked.question, asked.origin, distance_m) : GONE),
  };
}

/** How the height in hand of a way on one engine comes about. */
export function workingOfOneEngine(distance_m: number, index: number): WorkingSource {
  const asked = useRoute.getState().drift;
  return {
    ask: async (core) => (asked ? core.oneEngineWorking(asked.question, asked.origin, distance_m, index) : GONE),
  };
}
