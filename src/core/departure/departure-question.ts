import type { Aeroplane } from "../aircraft/aeroplane";
import { geodesicBetween } from "../earth/geodesic";
import type { LandingEnd } from "../landing/landing-end";
import { type Outcome, failure, success } from "../outcome";
import type { SituationDocument } from "../situation/situation-document";
import type { DepartureQuestion } from "./departure-day";

/** Runways that begin this near to the nearest one belong to the same aerodrome, m. */
const SAME_AERODROME_M = 3500;

/** The runways that the departure can be made from: those of the nearest aerodrome, most into the wind first. */
export function departureRunways(
  { position, wind }: Pick<SituationDocument, "position" | "wind">,
  ends: readonly LandingEnd[],
): LandingEnd[] {
  const runways = ends
    .filter((end) => !end.unprepared)
    .map((end) => ({ end, away_m: geodesicBetween(position, end.threshold).distance_m }));
  const nearest_m = Math.min(...runways.map(({ away_m }) => away_m));
  const headwind = ({ headingTrue_rad }: LandingEnd) =>
    wind.surface ? wind.surface.speed_mps * Math.cos(wind.surface.from_rad - headingTrue_rad) : 0;
  return runways
    .filter(({ away_m }) => away_m <= nearest_m + SAME_AERODROME_M)
    .map(({ end }) => end)
    .sort((a, b) => headwind(b) - headwind(a));
}

/**
 * What a situation asks about a departure.
 *
 * @param ends - every landing end of the library; the end that is turned back to is left out of the others
 * @returns `no_runway` when the library has none
 */
export function departureQuestion(
  situation: SituationDocument,
  aircraft: Aeroplane,
  ends: readonly LandingEnd[],
): Outcome<DepartureQuestion> {
  const { departure: plan, mass_kg, air, wind, pilot, configuration } = situation;
  const runway = ends.find((end) => end.id === plan.endId && !end.unprepared) ?? departureRunways(situation, ends)[0];
  if (!runway)
    return failure("no_runway", "No runway is known near here to take off from: add one under Places.", "ends");
  const strip = runway.id.slice(0, runway.id.lastIndexOf(":"));
  // The other end of the same strip is what turning back is about.
  const others = ends.filter((end) => end.id === runway.id || !end.id.startsWith(`${strip}:`));
  return success({
    aircraft,
    mass_kg,
    propeller: configuration.propeller,
    air,
    wind,
    pilot,
    plan,
    approach: situation.plan,
    runway,
    ends: others,
  });
}
