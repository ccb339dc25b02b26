// Which place to land on: the ways to every end and the ranking of the places in one answer. The one function that the
// interface, the registry and the call ask, so that they name the same place.
import type { LatLon } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { type Outcome, failure, success } from "../outcome";
import { heightInBothUnits } from "../quantities/units";
import { type Reach, reachOf } from "./reach";
import type { LandingQuestion } from "./landing-question";
import { type Sites, rankSites } from "./sites";

/** Ways and places, both with the best first; ends without any way come last among the ways and are no places. */
export interface LandingChoice {
  readonly reach: Reach;
  readonly sites: Sites;
}

/**
 * Ways to every end and the places ranked.
 *
 * @param terrain - ground to clear; null when none is known
 * @param origin - of the plane that the points of the paths are in
 * @returns `under_ground` with the height of the ground; failures of `reachOf` and `rankSites`
 */
export function landingChoice(
  { landing, day, ...question }: LandingQuestion,
  terrain: TerrainGrid | null,
  origin: LatLon = terrain?.origin ?? question.position,
): Outcome<LandingChoice> {
  const here = terrain && localPlane(terrain.origin).toPlane(question.position);
  const ground_m = terrain && here ? elevationAt_m(terrain, here.x_m, here.y_m) : null;
  if (ground_m !== null && question.altitude_m < ground_m)
    return failure(
      "under_ground",
      `The ground here is at ${heightInBothUnits(ground_m)}: an altitude of ${heightInBothUnits(question.altitude_m)} is under it.`,
      "altitude_m",
    );
  const reach = reachOf(question, terrain, origin);
  if (!reach.ok) return reach;
  const sites = rankSites(reach.value, question, landing, day);
  if (!sites.ok) return sites;
  const ranked = sites.value.sites.map((site) => site.reach);
  return success({
    reach: { ...reach.value, ends: [...ranked, ...reach.value.ends.filter((end) => end.status === "none")] },
    sites: sites.value,
  });
}
