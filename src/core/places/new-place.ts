// Places made from what is drawn on a map or said in a form: everything that is not known yet has its usual value.
import type { LatLon } from "../earth/geodesic";
import {
  type Aerodrome,
  type LandingSite,
  type Place,
  type Strip,
  type StripEnd,
  type WaterSite,
  isAerodrome,
} from "./place";
import { stripLine, withDesignators } from "./strip-line";

/** What every new place is told. */
interface Made {
  /** Makes an id that nobody else has. */
  readonly newId: () => string;
  readonly name: string;
  readonly elevation_m: number;
  /** That magnetic directions are of. */
  readonly day: Date;
}

/** Widths that are usual, m. */
const [RUNWAY_WIDTH_M, SITE_WIDTH_M, WATER_WIDTH_M] = [20, 30, 60];

const end = (threshold: LatLon, elevation_m: number): StripEnd => ({
  designator: "-",
  threshold,
  elevation_m,
  displaced_m: 0,
  obstacle: null,
  usable: true,
  declared: null,
  circuit: null,
});

const ends = (thresholds: readonly [LatLon, LatLon], elevation_m: number): Strip["ends"] => [
  end(thresholds[0], elevation_m),
  end(thresholds[1], elevation_m),
];

/** A grass runway between two thresholds, numbered by its magnetic directions. */
export function newRunway(
  thresholds: readonly [LatLon, LatLon],
  { newId, elevation_m, day }: Omit<Made, "name">,
): Aerodrome["runways"][number] {
  return withDesignators(
    { id: newId(), width_m: RUNWAY_WIDTH_M, surface: "grass", ends: ends(thresholds, elevation_m) },
    true,
    day,
  );
}

const document = {
  schema: "utrimax/place",
  version: 2,
  notes: "",
  lookedAt: null,
  lookedBy: "",
  source: null,
} as const;

/** An aerodrome about a runway, or with none a helipad at a place. */
export function newAerodrome(where: readonly [LatLon, LatLon] | LatLon, made: Made): Aerodrome {
  const strip = "latitude_deg" in where ? null : newRunway(where, made);
  return {
    ...document,
    id: made.newId(),
    name: made.name,
    kind: strip ? "aerodrome" : "helipad",
    position: strip ? stripLine(strip.ends).middle : (where as LatLon),
    elevation_m: made.elevation_m,
    runways: strip ? [strip] : [],
  };
}

/** A field or beach between two ends, or a stretch of water. */
export function newSite(
  kind: "field" | "beach" | "water",
  thresholds: readonly [LatLon, LatLon],
  outline: readonly LatLon[] | null,
  made: Made,
): LandingSite | WaterSite {
  const site = {
    ...document,
    id: made.newId(),
    name: made.name,
    outline: outline && [...outline],
    hazards: [],
    lookedAt: made.day.toISOString().slice(0, 10),
  };
  const strip = { id: made.newId(), ends: ends(thresholds, made.elevation_m) };
  return kind === "water"
    ? {
        ...site,
        kind,
        strip: withDesignators({ ...strip, width_m: WATER_WIDTH_M, surface: "water" as const }, false, made.day),
      }
    : {
        ...site,
        kind,
        strip: withDesignators(
          { ...strip, width_m: SITE_WIDTH_M, surface: kind === "beach" ? ("sand" as const) : ("grass" as const) },
          false,
          made.day,
        ),
      };
}

/** Width that a strip inside an outline is looked for with, m. */
export const siteWidth_m = (kind: "field" | "beach" | "water"): number =>
  kind === "water" ? WATER_WIDTH_M : SITE_WIDTH_M;

/** A copy under ids of its own. */
export function copyOf(place: Place, newId: () => string): Place {
  if (isAerodrome(place))
    return { ...place, id: newId(), runways: place.runways.map((runway) => ({ ...runway, id: newId() })) };
  // What the two kinds of sites have in common is not seen by a spread.
  return { ...place, id: newId(), strip: { ...place.strip, id: newId() } } as Place;
}
