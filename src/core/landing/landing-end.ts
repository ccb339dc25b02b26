import { z } from "zod";
import { LatLon, destination, geodesicBetween } from "../earth/geodesic";
import {
  ApproachObstacle,
  Circuit,
  DeclaredDistances,
  GroundSurface,
  Hazard,
  type LandingSite,
  type Place,
  type Strip,
  type StripEnd,
  isAerodrome,
} from "../places/place";

/** One direction of one strip: where to aim, which way to land, what is there. */
export const LandingEnd = z.strictObject({
  id: z.string().min(1).max(140),
  /** "Skerrow 29". */
  name: z.string().min(1).max(80),
  threshold: LatLon,
  aim: LatLon,
  /** True direction of landing. */
  headingTrue_rad: z
    .number()
    .min(0)
    .max(2 * Math.PI),
  elevation_m: z.number().min(-430).max(9000),
  length_m: z
    .number("A landing place needs a length.")
    .min(1, "A landing place without length cannot be landed on: its ends must lie apart.")
    .max(20_000, "A landing place is at most 20 000 m long."),
  width_m: z
    .number()
    .min(1, "A landing place is at least 1 m wide.")
    .max(5000, "A landing place is at most 5 000 m wide."),
  surface: GroundSurface,
  /** Surveyed field or beach, not a runway. */
  unprepared: z.boolean(),
  /** Rise over run in the landing direction: uphill positive. */
  slope: z.number().min(-0.2, "A slope is −20 to 20 %.").max(0.2, "A slope is −20 to 20 %.").default(0),
  obstacle: ApproachObstacle.nullable().default(null),
  hazards: z.array(Hazard).max(7).default([]),
  notes: z.string().max(300).default(""),
  /** From the threshold, for a take-off in this direction; null where the length is all there is to it. */
  takeOff: DeclaredDistances.omit({ lda_m: true }).nullable().default(null),
  circuit: Circuit.nullable().default(null),
  /** When a surveyed site was last looked at. */
  lookedAt: z.iso.date().nullable().default(null),
});

/** @see LandingEnd */
export type LandingEnd = z.infer<typeof LandingEnd>;

/**
 * A glide approach aims into the strip, not at its edge: a quarter of the length, at most this far. Common practice.
 */
const AIM_SHARE = 0.25;
const AIM_LIMIT_M = 200;

/** Where a glide approach aims, from the threshold of a strip of that length. */
export function aimPoint_m(length_m: number): number {
  return Math.min(AIM_SHARE * length_m, AIM_LIMIT_M);
}

function endsOf(name: string, strip: Strip, site: LandingSite | null): LandingEnd[] {
  return [0, 1].flatMap((i): LandingEnd[] => {
    const here = strip.ends[i];
    const there = strip.ends[1 - i];
    if (!here.usable || strip.surface === "water") return [];
    const line = geodesicBetween(here.threshold, there.threshold);
    const length_m = here.declared?.lda_m ?? line.distance_m - here.displaced_m;
    const whole_m = { tora_m: line.distance_m, toda_m: line.distance_m, asda_m: line.distance_m };
    return [
      {
        id: `${strip.id}:${here.designator}`,
        name: `${name} ${here.designator}`,
        threshold: here.threshold,
        aim: destination(here.threshold, line.azimuthStart_rad, here.displaced_m + aimPoint_m(length_m)),
        headingTrue_rad: line.azimuthStart_rad,
        elevation_m: here.elevation_m,
        length_m,
        width_m: strip.width_m,
        surface: strip.surface,
        unprepared: site !== null,
        slope: line.distance_m > 0 ? (there.elevation_m - here.elevation_m) / line.distance_m : 0,
        obstacle: here.obstacle,
        hazards: site?.hazards ?? [],
        notes: site?.notes ?? "",
        takeOff: takeOffOf(here) ?? (here.displaced_m > 0 ? whole_m : null),
        circuit: here.circuit,
        lookedAt: site?.lookedAt ?? null,
      },
    ];
  });
}

function takeOffOf({ declared }: StripEnd): LandingEnd["takeOff"] {
  return declared && { tora_m: declared.tora_m, toda_m: declared.toda_m, asda_m: declared.asda_m };
}

/** Every end that can be landed on, runways first. Water is for ditching: none of its ends is here. */
export function landingEnds(places: readonly Place[]): LandingEnd[] {
  return [
    ...places.filter(isAerodrome).flatMap(({ name, runways }) => runways.flatMap((strip) => endsOf(name, strip, null))),
    ...places.flatMap((place) =>
      isAerodrome(place) || place.kind === "water" ? [] : endsOf(place.name, place.strip, place),
    ),
  ];
}
