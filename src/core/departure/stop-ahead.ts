import { G0 } from "../quantities/constants";
import type { DepartureDay } from "./departure-day";
import type { FailureStart } from "./failure-start";
import type { LandingRoll } from "../landing/landing-roll";
import { rollOnRunway } from "./roll-on-runway";
import { type DepartureOption, RUNWAY_SHARE } from "./option";

/** Landing on the rest of the runway. */
export interface StopAhead {
  readonly touchdownX_m: number;
  readonly stopX_m: number;
  readonly spare_m: number;
  readonly roll: LandingRoll;
}

/** Off the line by more than this the runway is no longer ahead. */
const LINE_M = 60;

/**
 * Lands straight on from the end of the reaction: steep descent with landing flap and slip, flare, roll.
 *
 * Speed over the approach's is floated off along the steep path, speed under it is bought with height: the distance is
 * that of the energy height h + (V² − Vapp²)/(2g).
 *
 * @returns null once the aeroplane has turned off the runway's line
 */
export function stopAhead(day: DepartureDay, { acting }: FailureStart): StopAhead | null {
  if (Math.abs(acting.y_m) > LINE_M || Math.abs(acting.psi_rad) > Math.PI / 4) return null;
  const roll = rollOnRunway(day.landing, day.air, 1, day.braking);
  const energyHeight_m = Math.max(0, acting.height_m + (acting.tas_mps ** 2 - roll.approachTas_mps ** 2) / (2 * G0));
  const touchdownX_m = acting.x_m + energyHeight_m * roll.steepRatio + roll.flare_m;
  const stopX_m = touchdownX_m + roll.roll_m;
  return { touchdownX_m, stopX_m, spare_m: day.runway.length_m - stopX_m, roll };
}

/** The same as an option. */
export function stopOption(stop: StopAhead | null): DepartureOption | null {
  if (!stop) return null;
  return {
    id: "stop",
    kind: "stop",
    name: "Stop on the runway left",
    score_m: RUNWAY_SHARE * stop.spare_m,
    margin_m: null,
    spare_m: stop.spare_m,
    note: stop.spare_m < 0 ? "runs off the end" : null,
  };
}
