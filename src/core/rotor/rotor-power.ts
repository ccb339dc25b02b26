// How a rotorcraft climbs and cruises with all engines.
import { bisect } from "../numeric/bisect";
import { halvingsTo } from "../numeric/halvings";
import { goldenMinimum } from "../numeric/golden-section";
import { availablePower } from "./power-available";
import { climbAt_mps } from "./gyro-departure";
import { type GyroCase, gyroCase } from "./gyro-rotor";
import { type HelicopterCase, helicopterCase } from "./helicopter-case";
import type { RotorQuestion } from "./rotor-question";
import { levelPull_N } from "./rudder-authority";
import { fullPower_W, slipstreamOf } from "./slipstream";
import { bestRangeSpeed_mps, climbOnPower_mps, leastPowerSpeed_mps, levelPower_W } from "./speeds-of-power";

/** Part of the never-exceed speed that is flown level, and of full power that is cruised with. Common practice. */
const [OF_VNE, CRUISE_SETTING] = [0.9, 0.65];
/**
 * No cruise climb is steeper, m/s: 1,500 ft/min. Common practice; what the main gearbox takes of all engines
 * together is not in the document.
 */
const MOST_CLIMB_MPS = 7.62;
/** Speeds of a gyroplane searched, m/s. */
const [SLOW_MPS, FAST_MPS, CLOSE_MPS] = [12, 50, 0.05];

/** Climb and cruise in the air of one altitude. */
export interface RotorPowered {
  readonly climb_mps: number;
  readonly climbTas_mps: number;
  /** Null where no speed holds the height. */
  readonly cruiseTas_mps: number | null;
}

/**
 * Climb at the manual's V_Y, or at least power, on the continuous rating of all engines, at most 1,500 ft/min;
 * cruise at best range, at most 0.9 V_NE, and slower where the power does not reach. Gyroplanes: best climb at full
 * power, cruise with 65 % of it.
 *
 * @returns null where rotor or air are outside of what is computed
 */
export function rotorPowered(question: RotorQuestion): RotorPowered | null {
  const { aircraft } = question;
  if (aircraft.category === "helicopter") {
    const flight = helicopterCase({ ...question, aircraft });
    return flight.ok ? ofHelicopter(flight.value) : null;
  }
  const flight = gyroCase({ ...question, aircraft });
  return flight.ok ? ofGyroplane(flight.value) : null;
}

function ofHelicopter(flight: HelicopterCase): RotorPowered {
  const { engines, handbook, limits } = flight.aircraft;
  const power_W = engines.count * availablePower(flight, engines.ratings[engines.ratings.length - 1]).power_W;
  const climbTas_mps = handbook.vy_mps ?? leastPowerSpeed_mps(flight);
  const fastest_mps = Math.min(bestRangeSpeed_mps(flight), (limits.vne_mps ?? Infinity) * OF_VNE);
  const least_mps = leastPowerSpeed_mps(flight);
  const holds = (tas_mps: number) => levelPower_W(flight, tas_mps) <= power_W;
  return {
    climbTas_mps,
    climb_mps: Math.min(climbOnPower_mps(flight, climbTas_mps, power_W), MOST_CLIMB_MPS),
    cruiseTas_mps: fastestOf(holds, least_mps, fastest_mps),
  };
}

function ofGyroplane(flight: GyroCase): RotorPowered {
  const climbTas_mps = goldenMinimum((tas) => -climbAt_mps(flight, tas), SLOW_MPS, FAST_MPS, CLOSE_MPS);
  const fastest_mps = Math.min(FAST_MPS, (flight.aircraft.limits.vne_mps ?? Infinity) * OF_VNE);
  const with_W = (setting: number) => (tas_mps: number) => {
    const pull_N = levelPull_N(flight, tas_mps);
    return pull_N !== null && slipstreamOf(flight, tas_mps, setting * fullPower_W(flight)).thrust_N >= pull_N;
  };
  return {
    climbTas_mps,
    climb_mps: climbAt_mps(flight, climbTas_mps),
    cruiseTas_mps:
      fastestOf(with_W(CRUISE_SETTING), climbTas_mps, fastest_mps) ?? fastestOf(with_W(1), climbTas_mps, fastest_mps),
  };
}

/** The fastest speed that holds, from one that has to. */
function fastestOf(holds: (tas_mps: number) => boolean, from_mps: number, to_mps: number): number | null {
  if (!holds(Math.min(from_mps, to_mps))) return null;
  if (holds(to_mps)) return to_mps;
  return bisect(holds, from_mps, to_mps, halvingsTo(CLOSE_MPS, from_mps, to_mps)).low;
}
