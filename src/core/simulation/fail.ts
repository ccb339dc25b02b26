// Making something fail in a flight, from now on. Runs inside a step.
import type { Flight } from "./flight";
import * as S from "./state";
import { type Failure, type FailureKind, leverOf } from "./trouble";

/** Makes something fail from now on; what a blocked line or a stuck lever holds is put aside. */
export function fail(flight: Flight, kind: FailureKind, engine: 0 | 1 | null): void {
  const failure: Failure = { kind, engine, since_s: flight.state[S.TIME], held: capturedBy(kind, engine, flight) };
  flight.failures = [...flight.failures, failure];
}

/** What a failure that begins now holds on to. */
function capturedBy(
  kind: FailureKind,
  engine: 0 | 1 | null,
  { state: s, controls, air, seen, model }: Pick<Flight, "state" | "controls" | "air" | "seen" | "model">,
): number {
  switch (kind) {
    case "stuck":
      // Of a helicopter it is the fuel that sticks: what the engine gives, of its greatest power.
      return model.kind === "rotorcraft" && model.lift.kind === "helicopter"
        ? s[S.ENGINE + (engine ?? 0) * S.PER_ENGINE + S.POWER] / model.lift.aircraft.engines.ratings[0].engine_W
        : leverOf(controls, engine ?? 0);
    case "pitot":
      return air.pressure_Pa + 0.5 * air.density * seen.tas_mps * seen.tas_mps;
    case "static":
      return -s[S.DOWN];
    default:
      return 0;
  }
}
