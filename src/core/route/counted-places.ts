// Which places count for a flight: of a kind and length that the plan lets count, and such that this aircraft can land
// there in today's wind. A glide to a strip that it runs off is no rescue.
import { airAtAltitude } from "../air/altimetry";
import { type WindVector, windProfile } from "../air/wind";
import { landingFigures, lengthNeeded } from "../landing/landing-length";
import { crosswindLimitOf } from "../landing/sites";
import { type Outcome, success } from "../outcome";
import { RHO0 } from "../quantities/constants";
import type { RoutePlan } from "../situation/route-plan";
import type { RoutePlace, RouteQuestion } from "./route-question";

/** A place that does not count, and why. */
export interface LeftOut {
  readonly place: RoutePlace;
  readonly why: "hand" | "kind" | "short" | "too-short" | "wind" | "beyond";
}

/** What is asked about the places. */
type Asked = Omit<RouteQuestion, "route"> & { readonly route: Pick<RoutePlan, "places"> };

/** Height of the wind that a landing is judged by, m. */
const STATION_M = 10;

/**
 * The places that count, and the others.
 *
 * @returns failures of the polar with the landing flap, and of the wind
 */
export function countedPlaces(question: Asked): Outcome<{ counted: RoutePlace[]; left: LeftOut[] }> {
  const { aircraft, mass_kg, configuration, landing, air, route } = question;
  const figures = landingFigures(aircraft, mass_kg, configuration, landing.flap);
  if (!figures.ok) return figures;
  const { runways, fields, beaches, least_m, except } = route.places;
  const kinds = { runway: runways, field: fields, beach: beaches };
  const crosswindLimit_mps = crosswindLimitOf(landing, figures.value);
  const counted: RoutePlace[] = [];
  const left: LeftOut[] = [];
  for (const place of question.places) {
    if (except.includes(place.id)) left.push({ place, why: "hand" });
    else if (!kinds[place.kind]) left.push({ place, why: "kind" });
    else if (place.length_m < least_m) left.push({ place, why: "short" });
    else {
      const wind = windProfile(question.wind, place.elevation_m);
      if (!wind.ok) return wind;
      const density = airAtAltitude(place.elevation_m, air).sigma * RHO0;
      const ends = place.ends.map((end) => {
        const { tailwind_mps, crosswind_mps } = along(wind.value(place.elevation_m + STATION_M), end.headingTrue_rad);
        const length = lengthNeeded({
          figures: figures.value,
          density,
          tailwind_mps,
          end,
          wet: landing.wet,
          rule: landing.rule,
          ownFactor: landing.ownFactor,
        });
        return {
          long: length.ok && length.value.needed_m <= end.length_m,
          calm: tailwind_mps <= landing.tailwindLimit_mps && Math.abs(crosswind_mps) <= crosswindLimit_mps,
        };
      });
      if (ends.some(({ long, calm }) => long && calm)) counted.push(place);
      else left.push({ place, why: ends.some(({ long }) => long) ? "wind" : "too-short" });
    }
  }
  return success({ counted, left });
}

function along(
  { east_mps, north_mps }: WindVector,
  heading_rad: number,
): { tailwind_mps: number; crosswind_mps: number } {
  const [sin, cos] = [Math.sin(heading_rad), Math.cos(heading_rad)];
  return { tailwind_mps: east_mps * sin + north_mps * cos, crosswind_mps: east_mps * cos - north_mps * sin };
}
