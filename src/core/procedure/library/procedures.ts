import type { AircraftDocument } from "../../aircraft/aircraft-document";
import { isAeroplane } from "../../aircraft/aircraft-kind";
import type { AircraftCategory, Procedure } from "../procedure";
import { withCalls } from "../with-calls";
import { exerciseFlow, landingCheck, twinSecuring } from "./called";
import { slowFlight, stalls, steepTurns } from "./flight-test";
import { jetAfterV1, jetDitching, jetFire, jetFireOnGround, jetNoBrakes, jetRelight } from "./jet";
import { gyroEngineOut, gyroVerticalDescent, helicopterHover } from "./rotor";
import { singleForcedLanding, singleInCruise } from "./single";
import { singleAfterLiftOff, singlePartialPower, singleTakeOffRoll, singleTurnBack } from "./single-low";
import { singleFire, singleFireAtStart, singleFuelTransfer, singleIce, singleRoughRunning } from "./single-trouble";
import { turbopropInCruise, turbopropRelight } from "./turboprop";
import { twinAfterLiftOff, twinInCruise } from "./twin";
import {
  twinGoAround,
  twinLeversFirst,
  twinOnApproach,
  twinOneEngineApproach,
  twinRestart,
  twinTakeOffRoll,
  twinVmcaDemo,
} from "./twin-more";
import { singleDitching } from "./water";

/** All procedures that ship, generic ones of our own, as they are written: calls stand as calls. */
export const WRITTEN: readonly Procedure[] = [
  singleInCruise,
  singleAfterLiftOff,
  singleTakeOffRoll,
  singleTurnBack,
  singlePartialPower,
  singleRoughRunning,
  singleIce,
  singleFuelTransfer,
  singleFire,
  singleForcedLanding,
  singleDitching,
  turbopropInCruise,
  turbopropRelight,
  twinInCruise,
  twinLeversFirst,
  twinAfterLiftOff,
  twinTakeOffRoll,
  twinOnApproach,
  twinGoAround,
  twinSecuring,
  twinRestart,
  twinOneEngineApproach,
  twinVmcaDemo,
  jetFire,
  jetAfterV1,
  jetFireOnGround,
  jetRelight,
  jetDitching,
  jetNoBrakes,
  singleFireAtStart,
  helicopterHover,
  gyroEngineOut,
  gyroVerticalDescent,
  slowFlight,
  stalls,
  steepTurns,
  exerciseFlow,
  landingCheck,
];

/** All procedures that ship, as they are flown: every call replaced by its steps. */
export const PROCEDURES: readonly Procedure[] = WRITTEN.map((procedure) => {
  const whole = withCalls(procedure, WRITTEN);
  if (!whole.ok) throw new Error(`PROCEDURES: ${procedure.id}: ${whole.issue.message}`);
  return whole.value;
});

/** What an aircraft is to a procedure. */
export const procedureCategory = (aircraft: AircraftDocument): AircraftCategory =>
  isAeroplane(aircraft) && aircraft.engines.kind === "propeller" && aircraft.engines.fuelSystem === "turbine"
    ? "turboprop"
    : aircraft.category;

/** Those that fit a kind of aircraft. */
export const proceduresFor = (category: AircraftCategory): Procedure[] =>
  PROCEDURES.filter(({ fits }) => fits.includes(category));
