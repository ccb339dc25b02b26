// What is asked about a planned flight: the aircraft, the air, the pilot, the route and the places beside it.
import { z } from "zod";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { Configuration } from "../aircraft/configuration";
import { WindColumn } from "../air/wind";
import { LatLon, geodesicBetween } from "../earth/geodesic";
import { type Place, isAerodrome, stripsOf } from "../places/place";
import { LandingEnd, landingEnds } from "../landing/landing-end";
import { LandingPlan } from "../situation/landing-plan";
import { RoutePlan } from "../situation/route-plan";
import { ApproachPlan, Pilot, SituationDocument } from "../situation/situation-document";

/** A place that one may come down on. */
export const RoutePlace = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().min(1).max(80),
  kind: z.enum(["runway", "field", "beach"]),
  /** Middle of its longest strip. */
  position: LatLon,
  elevation_m: z.number().min(-430).max(9000),
  length_m: z.number().min(1).max(20_000),
  /** Each way to land on it. */
  ends: z.array(LandingEnd).min(1).max(16),
  /** When a surveyed site was last looked at. */
  lookedAt: z.iso.date().nullable(),
});
/** @see RoutePlace */
export type RoutePlace = z.infer<typeof RoutePlace>;

/** The question, in one object. */
export const RouteQuestion = z.strictObject({
  aircraft: AircraftDocument,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  pilot: Pilot,
  plan: ApproachPlan,
  landing: LandingPlan,
  route: RoutePlan,
  places: z.array(RoutePlace).max(400, "At most 400 places at once."),
});
/** @see RouteQuestion */
export type RouteQuestion = z.infer<typeof RouteQuestion>;

/** The question that a situation asks; `aircraft` is the one that it names. */
export function routeQuestion(
  situation: SituationDocument,
  aircraft: AircraftDocument,
  places: readonly Place[],
): RouteQuestion {
  const { mass_kg, configuration, air, wind, pilot, plan, landing, route } = situation;
  return { aircraft, mass_kg, configuration, air, wind, pilot, plan, landing, route, places: routePlaces(places) };
}

/** Places by the longest of their strips; water and pads are none that a glide ends on. */
export function routePlaces(places: readonly Place[]): RoutePlace[] {
  return places.flatMap((place): RoutePlace[] => {
    if (place.kind === "water") return [];
    const [longest] = stripsOf(place)
      .filter((strip) => strip.surface !== "water" && strip.ends.some(({ usable }) => usable))
      .map(({ ends }) => ({ ends, line: geodesicBetween(ends[0].threshold, ends[1].threshold) }))
      .sort((a, b) => b.line.distance_m - a.line.distance_m);
    if (!longest || longest.line.distance_m < 1) return [];
    const ends = landingEnds([place]).slice(0, 16);
    if (ends.length === 0) return [];
    const [a, b] = longest.ends;
    return [
      {
        id: place.id,
        name: place.name,
        kind: isAerodrome(place) ? "runway" : place.kind,
        position: {
          latitude_deg: (a.threshold.latitude_deg + b.threshold.latitude_deg) / 2,
          longitude_deg: middleLongitude_deg(a.threshold.longitude_deg, b.threshold.longitude_deg),
        },
        elevation_m: Math.max(a.elevation_m, b.elevation_m),
        length_m: Math.min(longest.line.distance_m, 20_000),
        ends,
        lookedAt: isAerodrome(place) ? null : place.lookedAt,
      },
    ];
  });
}

/** A strip may lie across 180°. */
function middleLongitude_deg(a_deg: number, b_deg: number): number {
  if (Math.abs(a_deg - b_deg) < 180) return (a_deg + b_deg) / 2;
  const middle_deg = (a_deg + b_deg + 360) / 2;
  return middle_deg > 180 ? middle_deg - 360 : middle_deg;
}
