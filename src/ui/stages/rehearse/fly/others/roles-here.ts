import type { FlightEvent } from "@/core/exercise/flight-crew";
import type { CrewRole } from "@/core/procedure/crew-run";

/** Who has joined, each part once. */
export const rolesHere = (log: readonly FlightEvent[]): readonly CrewRole[] => [
  ...new Set(log.filter(({ did }) => did.kind === "joined").map(({ role }) => role)),
];
