// An engine stop of a kept log beside what the planner makes of the same moment.
import type { WindColumn } from "../air/wind";
import type { DepartureQuestion } from "../departure/departure-day";
import { type Outcome, failure, success } from "../outcome";
import type { TrackAnalysis } from "../track/analyse";
import { type KeptLog, aeroplaneOf } from "../track/kept-log";
import { flownPart } from "../track/flown-part";
import { windColumn } from "../track/wind/wind-column";
import type { WorkingStep } from "../working";
import { type TurnBackBeside, turnBackBeside } from "./turn-back-beside";
import { turnBackFlown } from "./turn-back-flown";
import { turnBackWorking } from "./turn-back-working";

/** What the plan is made of beside the log. */
export interface BesidePlan extends Pick<DepartureQuestion, "pilot" | "plan" | "approach"> {
  readonly qnh_Pa: number;
}

/** The comparison, and how it comes about. */
export interface BesideFailure {
  readonly turnBack: TurnBackBeside;
  /** The plan’s wind is the log’s own: it explains nothing then. */
  readonly windOfLog: boolean;
  readonly working: readonly WorkingStep[];
}

/**
 * Compares an engine stop with the plan.
 *
 * @param looked - the how manieth of all of the log
 * @returns `no_aircraft`, `no_aeroplane`; why it is no turn back; failures of the departure
 */
export function besideFailure(
  { flown, flights }: TrackAnalysis,
  log: KeptLog,
  looked: number,
  { pilot, plan, approach, qnh_Pa }: BesidePlan,
): Outcome<BesideFailure> {
  const { mass_kg, deviation_K } = log;
  const aircraft = aeroplaneOf(log);
  if (log.aircraft && !aircraft)
    return failure("no_aeroplane", `${log.aircraft.name} is a rotorcraft: no plan stands beside its logs yet.`);
  if (!aircraft)
    return failure("no_aircraft", "Say which aircraft flew: then the plan for the same moment stands beside it.");
  let n = looked;
  const flight = flights.find(({ failures }) => {
    if (n < failures.length) return true;
    n -= failures.length;
    return false;
  });
  if (!flight) return failure("no_such_stop", "This engine stop is no longer in the log.");
  const part = flownPart(flown, flight.from, flight.to + 1);
  const taken = turnBackFlown(part, flight, flight.failures[n], log.ends);
  if (!taken.ok) return taken;
  const { runway } = taken.value;
  const told: WindColumn | null = log.wind && { surface: log.wind, layers: [] };
  const wind = told ?? (flown.wind ? windColumn(flown.wind, runway.elevation_m) : { surface: null, layers: [] });
  const propeller = aircraft.polar?.deadPropeller ? "windmilling" : "none";
  const air = { qnh_Pa, deviation_K: deviation_K ?? 0 };
  const question: DepartureQuestion = {
    aircraft,
    mass_kg,
    propeller,
    air,
    wind,
    pilot,
    plan,
    approach,
    runway,
    ends: [],
  };
  const beside = turnBackBeside(flown, taken.value, question);
  if (!beside.ok) return beside;
  return success({ turnBack: beside.value, windOfLog: told === null, working: turnBackWorking(beside.value) });
}
