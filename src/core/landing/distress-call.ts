// The call, composed from the situation, to be read aloud: what, who, why, where, how high, how many. International
// form: ICAO Annex 10 volume II, chapter 5 (memory); no frequency is presumed beyond the one in use, 121.5 MHz and
// 7700.
import { z } from "zod";
import { formatLatitude, formatLongitude } from "../earth/coordinates";
import { LatLon, geodesicBetween } from "../earth/geodesic";
import { failure, success, type Outcome } from "../outcome";
import { degrees, threeFigures, wrapTurn } from "../quantities/angle";
import { formatNumber } from "../quantities/units";
import { M_PER_FT, M_PER_NMI } from "../quantities/constants";
import { CallPlan } from "../situation/landing-plan";
import { SituationDocument } from "../situation/situation-document";

/** What the call is made of. */
export const CallQuestion = z.strictObject({
  plan: CallPlan,
  /** "Alder S1", said after the call sign. */
  type: z.string().trim().min(1, "The type is needed.").max(60),
  position: LatLon,
  altitude_m: SituationDocument.shape.altitude_m,
  headingTrue_rad: SituationDocument.shape.heading_rad,
  /** Added to magnetic for true; the call gives magnetic bearings. */
  variation_rad: z.number().min(-Math.PI, "A variation is −180 to 180°.").max(Math.PI, "A variation is −180 to 180°."),
  places: z.array(z.strictObject({ name: z.string().min(1).max(60), position: LatLon })).max(200),
  /** What is meant to be done: "landing in the field Long Acre", "ditching heading 230". */
  intention: z.string().trim().min(3, "Say what you mean to do.").max(160),
  /** Name of the station that is called; null calls anybody. */
  station: z.string().trim().max(40).nullable(),
});
/** @see CallQuestion */
export type CallQuestion = z.infer<typeof CallQuestion>;

/** A line of the call. */
export interface CallLine {
  readonly part:
    "signal" | "station" | "aircraft" | "nature" | "intention" | "position" | "level" | "persons" | "squawk";
  readonly text: string;
  /** With figures and letters as they are spoken. */
  readonly spoken: string;
}

/** The call. */
export interface DistressCall {
  readonly lines: readonly CallLine[];
  /** About, at 100 words a minute. */
  readonly time_s: number;
  /** The place that the position is given from; null without one. */
  readonly near: {
    readonly name: string;
    readonly bearingMagnetic_rad: number;
    readonly distance_m: number;
  } | null;
}

const NATURE: Record<CallPlan["nature"], string> = {
  "engine-failure": "engine failure",
  "one-engine": "one engine stopped, flying on the other",
  fire: "engine fire",
  rough: "engine rough, losing power",
  fuel: "fuel nearly gone",
};

/** Letters as they are spoken. ICAO Annex 10 volume II (memory). */
const LETTERS: Record<string, string> = {
  A: "Alfa",
  B: "Bravo",
  C: "Charlie",
  D: "Delta",
  E: "Echo",
  F: "Foxtrot",
  G: "Golf",
  H: "Hotel",
  I: "India",
  J: "Juliett",
  K: "Kilo",
  L: "Lima",
  M: "Mike",
  N: "November",
  O: "Oscar",
  P: "Papa",
  Q: "Quebec",
  R: "Romeo",
  S: "Sierra",
  T: "Tango",
  U: "Uniform",
  V: "Victor",
  W: "Whiskey",
  X: "X-ray",
  Y: "Yankee",
  Z: "Zulu",
};
/** Figures as they are spoken. Same (memory). */
const FIGURES: readonly string[] = ["ZE-RO", "WUN", "TOO", "TREE", "FOW-er", "FIFE", "SIX", "SEV-en", "AIT", "NIN-er"];

/** A string letter by letter and figure by figure, as it is spoken. */
export function spelled(text: string): string {
  return [...text.toUpperCase()]
    .flatMap((sign) => LETTERS[sign] ?? (/\d/.test(sign) ? FIGURES[Number(sign)] : sign === "." ? "DAY-SEE-MAL" : []))
    .join(" ");
}

/**
 * A height as it is spoken: thousands and hundreds by name.
 *
 * @param feet - rounded to hundreds by the caller
 */
export function spokenFeet(feet: number): string {
  const thousands = Math.floor(feet / 1000);
  const hundreds = Math.round((feet % 1000) / 100);
  return (
    [thousands > 0 && `${spelled(String(thousands))} TOU-SAND`, hundreds > 0 && `${spelled(String(hundreds))} HUN-dred`]
      .filter(Boolean)
      .join(" ") || FIGURES[0]
  );
}

/** A call sign as it is spoken: words as they are, registrations letter by letter. */
function spokenCallSign(callSign: string): string {
  return callSign
    .split(/[\s-]+/)
    .map((word) => (/\d/.test(word) || word === word.toUpperCase() ? spelled(word) : word))
    .join(" ");
}

const COMPASS = ["north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"] as const;
/** Words spoken a second under stress, slowly. Common practice. */
const WORDS_PER_S = 100 / 60;

/** An angle as it is spoken: degrees and minutes, each figure by itself. */
function spokenAngle(angle_deg: number, positive: string, negative: string): string {
  const minutes = Math.round(Math.abs(angle_deg) * 60);
  return `${spelled(String(Math.floor(minutes / 60)))} degrees ${spelled(String(minutes % 60).padStart(2, "0"))} minutes ${angle_deg < 0 ? negative : positive}`;
}

/** Where it is: from the nearest place that others know, and by coordinates; by these alone where there is none. */
function positionOf(
  position: LatLon,
  places: CallQuestion["places"],
  variation_rad: number,
): { readonly text: string; readonly spoken: string; readonly near: DistressCall["near"] } {
  const coordinates = `${formatLatitude(position.latitude_deg)} ${formatLongitude(position.longitude_deg)}`;
  const nearest = places
    .map((place) => ({ ...place, ...geodesicBetween(place.position, position) }))
    .sort((a, b) => a.distance_m - b.distance_m)
    .at(0);
  if (!nearest)
    return {
      text: coordinates,
      spoken: `${spokenAngle(position.latitude_deg, "north", "south")}, ${spokenAngle(position.longitude_deg, "east", "west")}`,
      near: null,
    };
  const bearingMagnetic_rad = wrapTurn(nearest.azimuthStart_rad - variation_rad);
  const miles = Math.round(nearest.distance_m / M_PER_NMI);
  const side = COMPASS[Math.round(degrees(nearest.azimuthStart_rad) / 45) % 8];
  const bearing = threeFigures(bearingMagnetic_rad);
  const unit = miles === 1 ? "mile" : "miles";
  const near = { name: nearest.name, bearingMagnetic_rad, distance_m: nearest.distance_m };
  if (miles < 1) return { text: `overhead ${nearest.name}; ${coordinates}`, spoken: `overhead ${nearest.name}`, near };
  return {
    text: `${miles} ${unit} ${side} of ${nearest.name}, bearing ${bearing}; ${coordinates}`,
    spoken: `${spelled(String(miles))} ${unit} ${side} of ${nearest.name}, bearing ${spelled(bearing)}`,
    near,
  };
}

/**
 * Composes the call.
 *
 * @returns `unclear` when an intention is only figures
 */
export function distressCall({
  plan,
  type,
  position,
  altitude_m,
  headingTrue_rad,
  variation_rad,
  places,
  intention,
  station,
}: CallQuestion): Outcome<DistressCall> {
  if (!/[a-z]/i.test(intention)) return failure("unclear", "Say what you mean to do in words.", "intention");
  const placed = positionOf(position, places, variation_rad);
  const heading = threeFigures(headingTrue_rad - variation_rad);
  const feet = Math.max(Math.round(altitude_m / M_PER_FT / 100) * 100, 0);
  const signal = plan.degree === "distress" ? "Mayday, Mayday, Mayday" : "Pan-pan, Pan-pan, Pan-pan";
  const called = plan.to === "tower" && station ? `${station} Tower` : "All stations";
  const endurance = plan.endurance_s === null ? null : Math.round(plan.endurance_s / 60);
  const people = `${plan.aboard} ${plan.aboard === 1 ? "person" : "persons"} on board`;
  const lines: CallLine[] = [
    { part: "signal", text: signal, spoken: signal },
    { part: "station", text: called, spoken: called },
    { part: "aircraft", text: `${plan.callSign}, ${type}`, spoken: `${spokenCallSign(plan.callSign)}, ${type}` },
    { part: "nature", text: NATURE[plan.nature], spoken: NATURE[plan.nature] },
    { part: "intention", text: intention, spoken: intention.replace(/\d+/g, (figures) => spelled(figures)) },
    {
      part: "position",
      text: placed.text,
      spoken: placed.spoken,
    },
    {
      part: "level",
      text: `${formatNumber(feet)} ft, heading ${heading}`,
      spoken: `${spokenFeet(feet)} feet, heading ${spelled(heading)}`,
    },
    {
      part: "persons",
      text: endurance === null ? people : `${people}, endurance ${endurance} minutes`,
      spoken: `${spelled(String(plan.aboard))} ${plan.aboard === 1 ? "person" : "persons"} on board${endurance === null ? "" : `, endurance ${spelled(String(endurance))} minutes`}`,
    },
    ...(plan.to === "tower"
      ? []
      : [{ part: "squawk" as const, text: "squawking 7700", spoken: `squawking ${spelled("7700")}` }]),
  ];
  const words = lines.reduce((sum, line) => sum + line.spoken.split(/\s+/).length, 0);
  return success({
    lines,
    time_s: words / WORDS_PER_S,
    near: placed.near,
  });
}
