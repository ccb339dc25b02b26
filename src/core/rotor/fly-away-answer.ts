import type { Rating } from "../aircraft/helicopter";
import type { Progress } from "../calculation";
import { type Outcome, success } from "../outcome";
import { type FlyAway, flyAway } from "./fly-away";
import type { HelicopterQuestion } from "./helicopter-question";
import { helicopterCase } from "./helicopter-case";
import { type SafeHeights, FLY_AWAY_CLEARANCE_M, safeHeightSketch } from "./hover-heights";
import { rejectHeight_m } from "./vertical-reject";

/** A fly-away that is looked at. */
export interface FlyAwayAsked extends HelicopterQuestion {
  readonly wind_mps: number;
  /** Index into the document's ratings. */
  readonly rating: number;
}

/** What a failure in a hover costs, and which heights are safe in this wind. */
export interface FlyAwayAnswer {
  readonly rating: Rating;
  readonly away: Outcome<FlyAway>;
  readonly heights: SafeHeights;
}

const ratingOf = ({ aircraft, rating }: FlyAwayAsked): Rating =>
  aircraft.engines.ratings[Math.min(rating, aircraft.engines.ratings.length - 1)];

/** @see FlyAwayAnswer */
export function flyAwayAnswer(asked: FlyAwayAsked): Outcome<FlyAwayAnswer> {
  const { wind_mps, rating: _rating, ...question } = asked;
  const flight = helicopterCase(question);
  if (!flight.ok) return flight;
  const rating = ratingOf(asked);
  const wind = Math.abs(wind_mps);
  const away = flyAway(flight.value, wind, rating);
  return success({
    rating,
    away,
    heights: {
      wind_mps: wind,
      rejectBelow_m: rejectHeight_m(flight.value, wind, rating),
      flyAwayFrom_m: away.ok ? away.value.loss_m + FLY_AWAY_CLEARANCE_M : null,
    },
  });
}

/** Safe heights over the winds. */
export function hoverHeightsAnswer(asked: FlyAwayAsked, progress?: Progress): Outcome<SafeHeights[]> {
  const { wind_mps: _wind, rating: _rating, ...question } = asked;
  const flight = helicopterCase(question);
  return flight.ok ? success(safeHeightSketch(flight.value, ratingOf(asked), progress)) : flight;
}
