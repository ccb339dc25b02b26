import { type Outcome, failure, success } from "../outcome";
import { helicopterCase } from "./helicopter-case";
import type { HelicopterQuestion } from "./helicopter-question";
import { liveEngines } from "./hover-on-one";
import { availablePower } from "./power-available";
import type { PracticeCase } from "./rating-practice";
import { HOVER, steadyPower } from "./steady-power";

/** What a practice over the ratings' clock is about: this hover, with what one live engine gives today. */
export function practiceCase(
  question: HelicopterQuestion & { readonly wind_mps: number; readonly skids_m: number | null },
): Outcome<PracticeCase> {
  const { wind_mps, skids_m, ...rest } = question;
  const flight = helicopterCase(rest);
  if (!flight.ok) return flight;
  if (liveEngines(flight.value) < 1)
    return failure("one_engine", `${question.aircraft.name} has one engine: there is none to go on with.`, "aircraft");
  const { ratings } = question.aircraft.engines;
  const { rotor } = question.aircraft;
  return success({
    ratings,
    limits_W: ratings.map((rating) => availablePower(flight.value, rating).power_W),
    hover_W: steadyPower(flight.value, { ...HOVER, tas_mps: Math.abs(wind_mps), skids_m }).shaft_W,
    nrMinFlight: rotor.nrMinFlight,
    nrOver: rotor.nrMinTouchdown,
    inertia_J: rotor.polarInertia_kgm2 * (rotor.tipSpeed_mps / rotor.radius_m) ** 2,
  });
}
