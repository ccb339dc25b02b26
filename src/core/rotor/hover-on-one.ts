// Hovering on what is left when one engine has failed: power required against each rating.
import type { Rating } from "../aircraft/helicopter";
import { bisect } from "../numeric/bisect";
import { type Outcome, failure, success } from "../outcome";
import { type HelicopterCase, withMass } from "./helicopter-case";
import { type Available, availablePower } from "./power-available";
import { levelSpeeds } from "./speeds-of-power";
import { type SteadyPower, type SteadyState, steadyPower } from "./steady-power";

/** Masses searched, share of the maximum, to a tenth of a kilogram. */
const [LIGHTEST, HEAVIEST, HALVINGS] = [0.2, 1.6, 16];

/** A rating against what is required. */
export interface RatingMargin {
  readonly rating: Rating;
  /** Of all live engines together. */
  readonly available: Available;
  /** What is left over; negative where it is short. */
  readonly margin_W: number;
  /** Greatest mass that it holds in this state, whatever the aircraft may weigh. */
  readonly greatestMass_kg: number;
  /** Between which airspeeds it flies level out of ground effect; null at no speed. */
  readonly level: { readonly slowest_mps: number; readonly fastest_mps: number } | null;
}

/** What a hover on one engine takes, and which ratings give it. */
export interface HoverOnOne {
  readonly required: SteadyPower;
  /** As the document has them: the shortest first. */
  readonly ratings: readonly RatingMargin[];
  /** Index of the rating of longest duration that holds it; null when none does. */
  readonly holdsOn: number | null;
  /** Blade loading is above the greatest: it does not hover at any power. */
  readonly stalled: boolean;
}

/** Engines that still run; 0 for a helicopter with one. */
export const liveEngines = ({ aircraft }: Pick<HelicopterCase, "aircraft">): number => aircraft.engines.count - 1;

/** Power of the live engines at a rating. */
export function livePower(flight: HelicopterCase, rating: Rating, nr = 1): Available {
  const one = availablePower(flight, rating, nr);
  const live = liveEngines(flight);
  return {
    ...one,
    power_W: live * one.power_W,
    engine_W: live * one.engine_W,
    gearbox_W: live * one.gearbox_W,
  };
}

/** Greatest mass of which a power holds a steady state, kg, whatever the aircraft may weigh; blade stall counts. */
export function greatestMass_kg(flight: HelicopterCase, state: SteadyState, power_W: number): number {
  const { maximum_kg } = flight.aircraft.mass;
  const holds = (mass_kg: number) => {
    const at = steadyPower(withMass(flight, mass_kg), state);
    return at.shaft_W <= power_W && at.ctSigma <= flight.aircraft.rotor.ctSigmaMax;
  };
  return bisect(holds, LIGHTEST * maximum_kg, HEAVIEST * maximum_kg, HALVINGS).low;
}

/**
 * Power required in a hover against each rating of the live engines.
 *
 * @param state - airspeed is the wind's, from whichever side
 * @returns `one_engine` for a helicopter that has no second engine
 */
export function hoverOnOne(flight: HelicopterCase, state: SteadyState): Outcome<HoverOnOne> {
  if (liveEngines(flight) < 1)
    return failure("one_engine", `${flight.aircraft.name} has one engine: without it there is no hover.`, "aircraft");
  const required = steadyPower(flight, state);
  const ratings = flight.aircraft.engines.ratings.map((rating): RatingMargin => {
    const available = livePower(flight, rating, state.nr);
    return {
      rating,
      available,
      margin_W: available.power_W - required.shaft_W,
      greatestMass_kg: greatestMass_kg(flight, state, available.power_W),
      level: levelSpeeds(flight, available.power_W),
    };
  });
  const stalled = required.ctSigma > flight.aircraft.rotor.ctSigmaMax;
  const holdsOn = ratings.findLastIndex(({ margin_W }) => margin_W >= 0);
  return success({ required, ratings, holdsOn: stalled || holdsOn < 0 ? null : holdsOn, stalled });
}
