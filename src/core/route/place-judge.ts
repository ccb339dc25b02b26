// Whether an aircraft can land at a place in today's wind: long enough, and not too much wind, one way or the other.
import type { Aeroplane } from "../aircraft/aeroplane";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { airAtAltitude } from "../air/altimetry";
import { type WindVector, windProfile } from "../air/wind";
import type { LandingEnd } from "../landing/landing-end";
import { landingFigures, lengthNeeded } from "../landing/landing-length";
import { type LastPart, lastPart, rotorRoom } from "../landing/rotor-room";
import { crosswindLimitOf } from "../landing/sites";
import { type Outcome, success } from "../outcome";
import { RHO0 } from "../quantities/constants";
import type { Rotorcraft } from "../rotor/rotor-question";
import type { RoutePlace, RouteQuestion } from "./route-question";

/** Wind along a landing direction: from behind positive, and from the right positive. */
interface WindOnEnd {
  readonly tailwind_mps: number;
  readonly crosswind_mps: number;
}

/** One direction of a place. */
type JudgeEnd = (end: LandingEnd, wind: WindOnEnd) => { readonly long: boolean; readonly calm: boolean };

/** By elevation. */
type JudgeOf = (elevation_m: number) => Outcome<JudgeEnd>;

/** A place: whether it does, and what is against it. */
export type PlaceJudge = (place: RoutePlace) => Outcome<"fits" | "too-short" | "wind">;

type Asked = Pick<RouteQuestion, "aircraft" | "mass_kg" | "configuration" | "air" | "wind" | "landing">;

/** Height of the wind that a landing is judged by, m. */
const STATION_M = 10;
/** Places this much apart in height share a rotor's figures, m. */
const LEVEL_M = 200;

/**
 * The judge of an aircraft's places.
 *
 * @returns failures of the polar with the landing flap; of a rotor's mass and height
 */
export function placeJudge(question: Asked): Outcome<PlaceJudge> {
  const { aircraft } = question;
  const ready = isAeroplane(aircraft) ? lengths(question, aircraft) : success(rooms(question, aircraft));
  if (!ready.ok) return ready;
  return success((place) => {
    const wind = windProfile(question.wind, place.elevation_m);
    if (!wind.ok) return wind;
    const judge = ready.value(place.elevation_m);
    if (!judge.ok) return judge;
    const air = wind.value(place.elevation_m + STATION_M);
    const ends = place.ends.map((end) => judge.value(end, along(air, end.headingTrue_rad)));
    if (ends.some(({ long, calm }) => long && calm)) return success("fits");
    return success(ends.some(({ long }) => long) ? "wind" : "too-short");
  });
}

/** An aeroplane's: length needed by the rule of the plan. */
function lengths({ mass_kg, configuration, air, landing }: Asked, aircraft: Aeroplane): Outcome<JudgeOf> {
  const figures = landingFigures(aircraft, mass_kg, configuration, landing.flap);
  if (!figures.ok) return figures;
  const crosswindLimit_mps = crosswindLimitOf(landing, figures.value);
  return success((elevation_m) => {
    const density = airAtAltitude(elevation_m, air).sigma * RHO0;
    return success((end, { tailwind_mps, crosswind_mps }) => {
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
  });
}

/** A rotorcraft's: room for obstacle, flare and slide, with half as much again; width and slope. */
function rooms({ mass_kg, air, landing }: Asked, aircraft: Rotorcraft): JudgeOf {
  const levels = new Map<number, Outcome<LastPart>>();
  return (elevation_m) => {
    const altitude_m = Math.round(elevation_m / LEVEL_M) * LEVEL_M;
    const last = levels.get(altitude_m) ?? lastPart({ aircraft, mass_kg, air, altitude_m }, landing);
    levels.set(altitude_m, last);
    if (!last.ok) return last;
    return success((end, wind) => {
      const { verdict } = rotorRoom(last.value, end, wind, landing.tailwindLimit_mps);
      return { long: verdict === "fits" || verdict === "wind", calm: verdict === "fits" };
    });
  };
}

function along({ east_mps, north_mps }: WindVector, heading_rad: number): WindOnEnd {
  const [sin, cos] = [Math.sin(heading_rad), Math.cos(heading_rad)];
  return { tailwind_mps: east_mps * sin + north_mps * cos, crosswind_mps: east_mps * cos - north_mps * sin };
}
