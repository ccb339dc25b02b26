// Fields, beaches and other runways after a failure: the glide path of each, as in the landing question, from where the
// engine stopped.
import { type LatLon, geodesicBetween } from "../earth/geodesic";
import type { TerrainGrid } from "../earth/terrain";
import { aimPoint_m, type LandingEnd } from "../landing/landing-end";
import { reachOf } from "../landing/reach";
import type { EndReach } from "../landing/way-to-end";
import type { ReachQuestion } from "../landing/reach-question";
import { type Outcome, success } from "../outcome";
import { wrapTurn } from "../quantities/angle";
import { readAir, airSample } from "../flight/air-column";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import type { FailureStart } from "./failure-start";
import { placeInFrame } from "./runway-frame";
import { brakingOn, landingRoll } from "../landing/landing-roll";
import { type DepartureOption, worth_m } from "./option";

/** Ends farther away than this many heights and so much more are not looked at: no single glides that far. */
const FARTHEST_RATIO = 14;
const FARTHEST_M = 1200;

/**
 * The ways to the other ends within reach of a failure.
 *
 * No reserve is kept: like the turn back, what is left is the margin. The reaction is a straight glide here.
 *
 * @param candidates - of the ends that are asked about
 * @param origin - of the plane that the points of the paths are in
 * @returns ends and their paths, best first; failures as `reachOf`
 */
export function reachAfterFailure(
  question: DepartureQuestion,
  start: FailureStart,
  candidates: readonly LandingEnd[],
  terrain: TerrainGrid | null,
  origin: LatLon = terrain?.origin ?? question.runway.threshold,
): Outcome<readonly EndReach[]> {
  const asked = failureReach(question, start, candidates);
  if (asked.ends.length === 0) return success([]);
  const reach = reachOf(asked, terrain, origin);
  return reach.ok ? success(reach.value.ends) : reach;
}

/** The landing question at the failure: the ends near enough, no reserve and no clearance kept. */
export function failureReach(
  question: DepartureQuestion,
  { failure }: FailureStart,
  candidates: readonly LandingEnd[],
): ReachQuestion {
  const { runway } = question;
  const position = placeInFrame(runway, failure.x_m, failure.y_m);
  return {
    aircraft: question.aircraft,
    mass_kg: question.mass_kg,
    air: question.air,
    wind: question.wind,
    pilot: question.pilot,
    configuration: {
      propeller: question.propeller,
      flap: 0,
      gearDown: !(question.aircraft.polar?.gear.retractable ?? false),
      slip: 0,
      items: [],
    },
    position,
    altitude_m: runway.elevation_m + failure.height_m,
    headingTrue_rad: wrapTurn(runway.headingTrue_rad + failure.psi_rad),
    plan: { ...question.approach, reserve_m: 0, clearance_m: 0 },
    ends: candidates.filter(
      (end) => geodesicBetween(position, end.aim).distance_m < FARTHEST_RATIO * failure.height_m + FARTHEST_M,
    ),
  };
}

/** Those ways as options; an end without a path or far out of reach is left out. */
export function endOptions(
  day: DepartureDay,
  question: DepartureQuestion,
  reached: readonly EndReach[],
): DepartureOption[] {
  const { density } = readAir(day.air, 0, airSample());
  return reached.flatMap((reach): DepartureOption[] => {
    const end = question.ends.find((candidate) => candidate.id === reach.endId);
    if (!end || !reach.path) return [];
    const roll = landingRoll(day.landing, density, reach.tailwind_mps, brakingOn(end.surface));
    const spare_m = end.length_m - aimPoint_m(end.length_m) - roll.flare_m - roll.roll_m;
    const blocked = reach.status === "terrain";
    const margin_m = blocked ? Math.min(reach.path.margin_m, reach.clearance?.least_m ?? -1) : reach.path.margin_m;
    return [
      {
        id: end.id,
        kind: end.unprepared ? "field" : "runway",
        name: end.name,
        score_m: worth_m(margin_m, spare_m),
        margin_m,
        spare_m,
        note: blocked
          ? "ground is in the way"
          : spare_m < 0
            ? "too short to stop"
            : end.unprepared
              ? "surveyed, not prepared"
              : null,
      },
    ];
  });
}
