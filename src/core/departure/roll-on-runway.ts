import { type LandingBody, type LandingRoll, landingRoll } from "../landing/landing-roll";
import { type AirColumn, airSample, readAir } from "../flight/air-column";

/** Wind of the flare and roll is that of this height. */
const ROLL_WIND_M = 3;

/** The landing roll on the departure's runway: +1 in the direction of take-off, −1 coming back. */
export function rollOnRunway(body: LandingBody, air: AirColumn, direction: 1 | -1, braking: number): LandingRoll {
  const { density } = readAir(air, 0, airSample());
  return landingRoll(body, density, direction * readAir(air, ROLL_WIND_M, airSample()).along_mps, braking);
}
