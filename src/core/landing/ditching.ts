// Landing on water: heading from swells and wind by the rules, with the reason; a score of our own for ties; speeds,
// attitude, descent; what is done by which height. Rules first: AIM 6-3-3 (memory). Not here: chop, currents, breaking
// seas, floats.
import { APPROACH, TOUCHDOWN } from "./approach-factors";
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { airAtAltitude } from "../air/altimetry";
import { windProfile } from "../air/wind";
import { bestGlide } from "../glide/straight-glide";
import { polarOf } from "../aircraft/polar";
import { type Outcome, success } from "../outcome";
import { G0, MPS_PER_KT, RHO0 } from "../quantities/constants";
import { radians, wrapHalfTurn, wrapTurn } from "../quantities/angle";
import { LandingPlan, type Swell } from "../situation/landing-plan";
import { SituationDocument } from "../situation/situation-document";
import { landingFigures } from "./landing-length";

/** What is ditched, into what. */
export const DitchingQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  /** At the surface, true. */
  windFrom_rad: z
    .number()
    .min(0, "A direction is 0 to 360°.")
    .max(2 * Math.PI, "A direction is 0 to 360°."),
  wind_mps: z.number().min(0, "A wind speed is zero or more.").max(60, "Winds above 117 kt are not ditched in."),
  swells: LandingPlan.shape.swells,
  flap: LandingPlan.shape.flap,
});
/** @see DitchingQuestion */
export type DitchingQuestion = z.infer<typeof DitchingQuestion>;

/** Height of the wind over the water, m. */
const WIND_M = 10;

/** The ditching that a situation asks for: wind at the water, swells as set; failures of the wind. */
export function ditchingQuestion(
  {
    mass_kg,
    configuration,
    air,
    wind,
    landing,
  }: Pick<SituationDocument, "mass_kg" | "configuration" | "air" | "wind"> & {
    landing: Pick<LandingPlan, "swells" | "flap">;
  },
  aircraft: Aeroplane,
): Outcome<DitchingQuestion> {
  const profile = windProfile(wind, 0);
  if (!profile.ok) return profile;
  const { east_mps, north_mps } = profile.value(WIND_M);
  return success({
    aircraft,
    mass_kg,
    configuration,
    air,
    windFrom_rad: wrapTurn(Math.atan2(-east_mps, -north_mps)),
    wind_mps: Math.hypot(east_mps, north_mps),
    swells: landing.swells,
    flap: landing.flap,
  });
}

/** A swell with what follows from its period. */
export interface SwellFigures {
  readonly swell: Swell;
  readonly length_m: number;
  readonly speed_mps: number;
  /** Steepest slope of its surface, rad: πH/L. */
  readonly slope_rad: number;
}

/**
 * Length and speed of a swell in deep water: L = gT²/2π, c = gT/2π, slope πH/L.
 *
 * @param swell - period above 0
 * @see linear waves in deep water
 */
export function swellFigures(swell: Swell): SwellFigures {
  const length_m = (G0 * swell.period_s ** 2) / (2 * Math.PI);
  return { swell, length_m, speed_mps: length_m / swell.period_s, slope_rad: (Math.PI * swell.height_m) / length_m };
}

/** How a heading lies to a swell. */
export type SwellSide = "along" | "into the face" | "down the back";

/** One heading to land on. */
export interface DitchingHeading {
  readonly heading_rad: number;
  readonly headwind_mps: number;
  /** From the right positive. */
  readonly crosswind_mps: number;
  readonly groundSpeed_mps: number;
  readonly sides: readonly SwellSide[];
  /** Ours; smaller is better. */
  readonly score: number;
}

/** Which rule decided. */
export type DitchingRule =
  | "no swell: into wind"
  | "along the swell"
  | "along the primary, down the secondary"
  | "along the primary, into the wind"
  | "along the primary, off the secondary’s face"
  | "turned towards the wind"
  | "into wind: it is strong and the aircraft slow";

/** The answer. */
export interface Ditching {
  readonly rule: DitchingRule;
  readonly why: string;
  readonly best: DitchingHeading;
  /** The other one along the primary swell, or across; null when there is none to speak of. */
  readonly other: DitchingHeading | null;
  /** Every 10°, for the drawing. */
  readonly rose: readonly DitchingHeading[];
  readonly swells: readonly SwellFigures[];
  readonly stallEas_mps: number;
  readonly approachEas_mps: number;
  readonly touchdownEas_mps: number;
  readonly flapName: string;
  /** Nose above the horizon at touchdown, about. */
  readonly pitch_rad: number;
  /** Rate of descent on the approach without power. */
  readonly sink_mps: number;
  /** In the glide before it, at sea level. */
  readonly glideSink_mps: number;
  readonly glideRatio: number;
}

/** Swells lower than this are landed into the wind. Common practice. */
export const NO_SWELL_M = 0.3;
/**
 * The face of a swell higher than this is not landed into, unless the aircraft is slow and the wind is as strong as the
 * second figure.
 */
const FACE_M = 1;
const STRONG_MPS = 40 * MPS_PER_KT;
const SLOW_MPS = 65 * MPS_PER_KT;
/**
 * From this wind the heading turns from the swell towards the wind, all the way by the other. AIM 6-3-3 (memory): 25 to
 * 35 kt.
 */
const TURN_FROM_MPS = 25 * MPS_PER_KT;
const TURN_TO_MPS = 35 * MPS_PER_KT;
const MOST_TURN_RAD = radians(45);
/** Greatest turn off the face of a second swell. 45° always clears one swell; a degree more allows for rounding. */
const MOST_OFF_RAD = radians(46);
/** A heading within this of where a swell comes from meets its face. */
const FACE_RAD = radians(45);
/** A wing whose zero-lift angle is not known: lift coefficient at no incidence. Common practice. */
const USUAL_CL0 = 0.25;

/**
 * The heading to ditch on.
 *
 * Rules: along the primary swell, of the two ways the one with more headwind; with a secondary, the way that goes down
 * it unless that is downwind and the way into the wind scores better; in strong wind turned towards it, never more than
 * lets a face over 1 m be met; into a wind of 40 kt or more only when the aircraft is slow.
 *
 * @returns failures of the polar
 * @see FAA Aeronautical Information Manual 6-3-3, ditching procedures (memory)
 */
export function ditching(question: DitchingQuestion): Outcome<Ditching> {
  const { aircraft, mass_kg, configuration, air, windFrom_rad, wind_mps, flap } = question;
  const figures = landingFigures(aircraft, mass_kg, { ...configuration, gearDown: false }, flap);
  if (!figures.ok) return figures;
  const wet = polarOf(aircraft, mass_kg, {
    ...configuration,
    flap: flap ?? aircraft.polar?.landingFlap ?? 0,
    gearDown: !(aircraft.polar?.gear.retractable ?? false),
    slip: 0,
  });
  const glide = polarOf(aircraft, mass_kg, configuration);
  if (!wet.ok) return wet;
  if (!glide.ok) return glide;
  const best = bestGlide(glide.value.polar);
  const root = Math.sqrt(airAtAltitude(0, air).density / RHO0);
  const { stallEas_mps, flapName, body } = figures.value;
  const tas = (TOUCHDOWN * stallEas_mps) / root;
  const swells = question.swells
    .filter((swell) => swell.height_m >= NO_SWELL_M)
    .map(swellFigures)
    .sort((a, b) => b.swell.height_m - a.swell.height_m);
  const at = (heading_rad: number) => headingAt(wrapTurn(heading_rad), tas, windFrom_rad, wind_mps, swells);
  const { rule, why, heading_rad, other_rad } = decide(swells, windFrom_rad, wind_mps, tas, at);
  const clApproach = body.clMax / APPROACH ** 2;
  const ratio = clApproach / (wet.value.polar.cd0 + wet.value.polar.k * clApproach ** 2);
  const wing = aircraft.wing;
  const aspect = wing ? wing.span_m ** 2 / wing.area_m2 : 7;
  const clAlpha = aircraft.asymmetric?.clAlpha ?? (2 * Math.PI * aspect) / (aspect + 2);
  const flapCl0 = aircraft.polar?.flaps[flap ?? aircraft.polar.landingFlap]?.deltaCl0 ?? 0;
  return success({
    rule,
    why,
    swells,
    best: at(heading_rad),
    other: other_rad === null ? null : at(other_rad),
    rose: Array.from({ length: 36 }, (_, i) => at(radians(10 * i))),
    stallEas_mps,
    flapName,
    approachEas_mps: APPROACH * stallEas_mps,
    touchdownEas_mps: TOUCHDOWN * stallEas_mps,
    pitch_rad: (body.clMax / TOUCHDOWN ** 2 - (aircraft.asymmetric?.cl0 ?? USUAL_CL0) - flapCl0) / clAlpha,
    sink_mps: (APPROACH * stallEas_mps) / root / Math.hypot(1, ratio),
    glideSink_mps: best.sinkEas_mps / root,
    glideRatio: best.ratio,
  });
}

function headingAt(
  heading_rad: number,
  tas: number,
  windFrom_rad: number,
  wind_mps: number,
  swells: readonly SwellFigures[],
): DitchingHeading {
  const headwind_mps = wind_mps * Math.cos(windFrom_rad - heading_rad);
  const crosswind_mps = wind_mps * Math.sin(windFrom_rad - heading_rad);
  const groundSpeed_mps = Math.max(tas - headwind_mps, 0);
  const sides = swells.map(({ swell }) => sideOf(heading_rad, swell));
  // Ours: energy of the way over the water, and of what the surface throws up against the aircraft as it runs over the
  // slopes.
  const thrown = swells.reduce(
    (sum, { swell, speed_mps, slope_rad }) =>
      sum + (slope_rad * (groundSpeed_mps * Math.cos(swell.from_rad - heading_rad) + speed_mps)) ** 2,
    0,
  );
  const drift = 4 * crosswind_mps ** 2;
  return {
    heading_rad,
    headwind_mps,
    crosswind_mps,
    groundSpeed_mps,
    sides,
    score: (groundSpeed_mps ** 2 + 25 * thrown + drift) / tas ** 2,
  };
}

function sideOf(heading_rad: number, { from_rad }: Swell): SwellSide {
  const away = Math.abs(wrapHalfTurn(heading_rad - from_rad));
  return away < FACE_RAD ? "into the face" : away > Math.PI - FACE_RAD ? "down the back" : "along";
}

interface Decided {
  rule: DitchingRule;
  why: string;
  heading_rad: number;
  other_rad: number | null;
}

function decide(
  swells: readonly SwellFigures[],
  windFrom_rad: number,
  wind_mps: number,
  tas: number,
  at: (heading_rad: number) => DitchingHeading,
): Decided {
  const [primary, secondary] = swells;
  if (!primary)
    return {
      rule: "no swell: into wind",
      why: "The water is flat: the wind alone decides, the slowest ground speed is into it.",
      heading_rad: windFrom_rad,
      other_rad: null,
    };
  if (wind_mps >= STRONG_MPS && tas <= SLOW_MPS) {
    return {
      rule: "into wind: it is strong and the aircraft slow",
      why: "In so much wind a slow aircraft has little ground speed left: into the wind, on the back of a swell as it passes.",
      heading_rad: windFrom_rad,
      other_rad: primary.swell.from_rad + Math.PI / 2,
    };
  }
  const along = [primary.swell.from_rad + Math.PI / 2, primary.swell.from_rad - Math.PI / 2].map(at);
  const [upwind, downwind] = [...along].sort((a, b) => b.headwind_mps - a.headwind_mps || a.score - b.score);
  const { best, other, rule, why } = secondary
    ? withSecondary(upwind, downwind, secondary, swells, at)
    : {
        best: upwind,
        other: downwind,
        rule: "along the swell" as const,
        why: "Along the swell, on its crest or back; of the two ways the one with more headwind.",
      };
  if (wind_mps > TURN_FROM_MPS && best.headwind_mps > 0) {
    const share = Math.min((wind_mps - TURN_FROM_MPS) / (TURN_TO_MPS - TURN_FROM_MPS), 1);
    const wanted = share * Math.min(Math.abs(wrapHalfTurn(windFrom_rad - best.heading_rad)), MOST_TURN_RAD);
    const towards = Math.sign(wrapHalfTurn(windFrom_rad - best.heading_rad));
    const turn = largestTurn(best.heading_rad, towards, wanted, swells);
    if (turn > radians(1)) {
      return {
        rule: "turned towards the wind",
        why: "The wind is strong: a compromise between the swell and the wind, as far as no face of more than 1 m is met.",
        heading_rad: best.heading_rad + towards * turn,
        other_rad: best.heading_rad,
      };
    }
  }
  return { rule, why, heading_rad: best.heading_rad, other_rad: other.heading_rad };
}

/**
 * Of the two ways along the primary the one that runs down the secondary, when the score of the way into the wind is
 * worse or that way is the same; otherwise into the wind, turned off the secondary's face as little as it takes. The
 * wind's own sea is the usual second system: it turns the heading, it does not turn the aeroplane downwind.
 */
function withSecondary(
  upwind: DitchingHeading,
  downwind: DitchingHeading,
  secondary: SwellFigures,
  swells: readonly SwellFigures[],
  at: (heading_rad: number) => DitchingHeading,
): { best: DitchingHeading; other: DitchingHeading; rule: DitchingRule; why: string } {
  const down = (way: DitchingHeading) => -Math.cos(secondary.swell.from_rad - way.heading_rad);
  if (down(upwind) >= down(downwind))
    return {
      best: upwind,
      other: downwind,
      rule: "along the primary, down the secondary",
      why: "Two swells cross: along the higher one, the way that runs down the other, not into its face; it is the way into the wind too.",
    };
  const turn_rad = leastTurnOff(upwind.heading_rad, swells);
  const off = turn_rad === null ? null : at(upwind.heading_rad + turn_rad);
  if (!off)
    return {
      best: downwind,
      other: upwind,
      rule: "along the primary, down the secondary",
      why: "Two swells cross: along the higher one, the way that runs down the other. Into the wind a face of more than 1 m could not be avoided.",
    };
  if (off.score >= downwind.score)
    return {
      best: downwind,
      other: off,
      rule: "along the primary, down the secondary",
      why: "Two swells cross: along the higher one, the way that runs down the other. Into the wind there is less speed over the water, but our score of speed, surface and drift is worse that way.",
    };
  if (turn_rad === 0)
    return {
      best: off,
      other: downwind,
      rule: "along the primary, into the wind",
      why: "Two swells cross, the lower one from the wind’s side: along the higher one into the wind. Down the lower one would be downwind, with more speed over the water.",
    };
  return {
    best: off,
    other: downwind,
    rule: "along the primary, off the secondary’s face",
    why: "Two swells cross, the lower one from the wind’s side: along the higher one into the wind, turned off as far as no face of more than 1 m is met. Down the lower one would be downwind, with more speed over the water.",
  };
}

/** The smallest turn to either side after which no swell over 1 m is met in its face; null when there is none. */
function leastTurnOff(heading_rad: number, swells: readonly SwellFigures[]): number | null {
  for (let turn = 0; turn <= MOST_OFF_RAD; turn += radians(1)) {
    for (const side of [1, -1]) if (!meetsFace(heading_rad + side * turn, swells)) return side * turn;
  }
  return null;
}

/** Whether a heading meets the face of a swell over 1 m. */
function meetsFace(heading_rad: number, swells: readonly SwellFigures[]): boolean {
  return swells.some(
    ({ swell }) => swell.height_m > FACE_M && sideOf(wrapTurn(heading_rad), swell) === "into the face",
  );
}

/** The largest turn, in steps of a degree, after which no swell over 1 m is met in its face. */
function largestTurn(heading_rad: number, towards: number, wanted: number, swells: readonly SwellFigures[]): number {
  let turn = wanted;
  while (turn > 0 && meetsFace(heading_rad + towards * turn, swells)) turn -= radians(1);
  return Math.max(turn, 0);
}
