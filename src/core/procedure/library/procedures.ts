import type { AircraftCategory, Procedure } from "../procedure";
import { jetFire } from "./jet";
import { gyroEngineOut, helicopterHover } from "./rotor";
import { singleForcedLanding, singleInCruise } from "./single";
import { twinAfterLiftOff, twinInCruise } from "./twin";

/** All procedures that ship, generic ones of our own. */
export const PROCEDURES: readonly Procedure[] = [
  singleInCruise,
  singleForcedLanding,
  twinInCruise,
  twinAfterLiftOff,
  jetFire,
  helicopterHover,
  gyroEngineOut,
];

/** Those that fit a kind of aircraft. */
export const proceduresFor = (category: AircraftCategory): Procedure[] =>
  PROCEDURES.filter(({ fits }) => fits.includes(category));
