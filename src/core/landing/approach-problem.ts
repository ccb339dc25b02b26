// The path problem of one landing end: aircraft, air and wind put into the plane that paths are worked out in.
import { glidePerformance } from "../glide/glide-performance";
import { type Polar, polarOf } from "../aircraft/polar";
import { airspeedsFromEas } from "../air/airspeed";
import { airAtAltitude } from "../air/altimetry";
import { type WindColumn, type WindVector, windProfile } from "../air/wind";
import type { LatLon } from "../earth/geodesic";
import { type LocalPlane, localPlane } from "../earth/local-plane";
import { type DescentIntegrals, descentIntegrals } from "../glide/descent-integrals";
import type { PathProblem } from "../glide/glide-path";
import { type StraightGlide, bestGlide } from "../glide/straight-glide";
import { type Outcome, success } from "../outcome";
import { plannedReaction_s } from "../situation/pilot-practice";
import type { LandingEnd } from "./landing-end";
import type { ReachQuestion } from "./reach-question";

/**
 * The sums over height are tabulated down to this far below a landing end, and continued in a straight line below that,
 * m.
 */
const BELOW_M = 1500;
/** Above the start, so that its own altitude lies inside the table, m. */
const ABOVE_M = 20;

/** The part of the question that the problem is made of. */
type Asked = Pick<
  ReachQuestion,
  | "aircraft"
  | "mass_kg"
  | "configuration"
  | "air"
  | "wind"
  | "position"
  | "altitude_m"
  | "headingTrue_rad"
  | "pilot"
  | "plan"
>;

/** What is asked of where and how an approach begins, whatever flies it. */
type Begun = Omit<Asked, "aircraft" | "mass_kg" | "configuration" | "wind">;

/** A wind column in a plane whose north is turned from true north by its convergence. */
export function turnedWind(wind: WindColumn, lean_rad: number): WindColumn {
  return {
    surface: wind.surface ? { ...wind.surface, from_rad: wind.surface.from_rad + lean_rad } : null,
    layers: wind.layers.map((layer) => ({ ...layer, from_rad: layer.from_rad + lean_rad })),
  };
}

/** Where the glide starts, in the plane. */
export function startIn(
  plane: LocalPlane,
  { position, altitude_m, headingTrue_rad }: Pick<Begun, "position" | "altitude_m" | "headingTrue_rad">,
): PathProblem["start"] {
  return { ...plane.toPlane(position), altitude_m, heading_rad: headingTrue_rad + plane.convergence_rad(position) };
}

/** The aim point with the landing direction, in the plane. */
export function targetIn(plane: LocalPlane, end: LandingEnd): PathProblem["target"] {
  return {
    ...plane.toPlane(end.aim),
    heading_rad: end.headingTrue_rad + plane.convergence_rad(end.aim),
    altitude_m: end.elevation_m,
  };
}

/** What the airspeed indicator shows at the start at an equivalent airspeed; null when it is not subsonic. */
export function calibrated_mps(eas_mps: number, { altitude_m, air }: Pick<Begun, "altitude_m" | "air">): number | null {
  const speeds = airspeedsFromEas(eas_mps, airAtAltitude(altitude_m, air));
  return speeds.ok ? speeds.value.cas_mps : null;
}

/** The sums over height of a glide held on the way to an end. */
export function integralsTo(
  end: LandingEnd,
  question: Pick<Begun, "altitude_m" | "air">,
  wind: (altitude_m: number) => WindVector,
  glide: Pick<StraightGlide, "eas_mps">,
): DescentIntegrals {
  return descentIntegrals(
    question.air,
    wind,
    end.elevation_m - BELOW_M,
    Math.max(question.altitude_m, end.elevation_m) + ABOVE_M,
    calibrated_mps(glide.eas_mps, question) ?? glide.eas_mps,
  );
}

/** The pilot's choices for a path. */
export function choicesOf({ pilot, plan }: Pick<Begun, "pilot" | "plan">): PathProblem["choices"] {
  return {
    reaction_s: plannedReaction_s(pilot),
    reserve_m: plan.reserve_m,
    final_m: plan.final_m,
    key: plan.key,
  };
}

/** One end's problem at the book's best glide, with what else an approach asks about. */
export interface ApproachProblem {
  readonly problem: PathProblem;
  readonly plane: LocalPlane;
  readonly polar: Polar;
  /** Air motion by altitude in the plane. */
  readonly wind: (altitude_m: number) => WindVector;
}

/**
 * Sets up the problem of one end.
 *
 * @param origin - of the plane
 * @returns failures of the polar and of the wind
 */
export function approachProblem(question: Asked, end: LandingEnd, origin: LatLon): Outcome<ApproachProblem> {
  const configured = polarOf(question.aircraft, question.mass_kg, question.configuration);
  if (!configured.ok) return configured;
  const { polar } = configured.value;
  const plane = localPlane(origin);
  const wind = windProfile(turnedWind(question.wind, plane.convergence_rad(question.position)), end.elevation_m);
  if (!wind.ok) return wind;
  const glide = bestGlide(polar);
  const performance = glidePerformance(polar, glide, question.pilot);
  if (!performance.ok) return performance;
  return success({
    polar,
    plane,
    wind: wind.value,
    problem: {
      performance: performance.value,
      integrals: integralsTo(end, question, wind.value, glide),
      start: startIn(plane, question),
      target: targetIn(plane, end),
      choices: choicesOf(question),
    },
  });
}
