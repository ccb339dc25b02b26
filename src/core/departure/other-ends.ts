// Fields, beaches and other runways after a failure: the glide path of each, as in the landing question, from where the engine stopped.
import { type LatLon, destination, geodesicBetween } from "../earth/geodesic";
import type { TerrainGrid } from "../earth/terrain";
import { aimPoint_m, type LandingEnd } from "../landing/landing-end";
import { type EndReach, reachOf } from "../landing/reach";
import type { Outcome } from "../outcome";
import { wrapTurn } from "../quantities/angle";
import { readAir, airSample } from "./air-column";
import { type DepartureDay, type DepartureInput, brakingOn } from "./departure-day";
import type { FailureStart } from "./failure-start";
import { landingRoll } from "./landing-roll";
import { type DepartureOption, worth_m } from "./option";

/** Ends farther away than this many heights and so much more are not looked at: no single glides that far. */
const FARTHEST_RATIO = 14;
const FARTHEST_M = 1200;

/** Where a point of the runway's frame lies on the Earth. */
export function placeOf(runway: LandingEnd, x_m: number, y_m: number): LatLon {
  return destination(runway.threshold, runway.headingTrue_rad + Math.atan2(y_m, x_m), Math.hypot(x_m, y_m));
}

/**
 * The ways to the other ends within reach of a failure.
 *
 * No reserve is kept: like the turn back, what is left is the margin. The reaction is a straight glide here.
 *
 * @returns ends and their paths, best first; failures as `reachOf`
 */
export function reachAfterFailure(input: DepartureInput, { failure }: FailureStart, terrain: TerrainGrid | null): Outcome<readonly EndReach[]> {
  const { runway } = input;
  const position = placeOf(runway, failure.x_m, failure.y_m);
  const ends = input.ends.filter((end) => geodesicBetween(position, end.aim).distance_m < FARTHEST_RATIO * failure.height_m + FARTHEST_M);
  if (ends.length === 0) return { ok: true, value: [] };
  const reach = reachOf(
    {
      aircraft: input.aircraft, mass_kg: input.mass_kg, air: input.air, wind: input.wind, pilot: input.pilot,
      configuration: { propeller: input.propeller, flap: 0, gearDown: !(input.aircraft.polar?.gear.retractable ?? false), slip: 0, items: [] },
      position, altitude_m: runway.elevation_m + failure.height_m, headingTrue_rad: wrapTurn(runway.headingTrue_rad + failure.psi_rad),
      plan: { ...input.approach, reserve_m: 0, clearance_m: 0 }, ends,
    },
    terrain,
  );
  return reach.ok ? { ok: true, value: reach.value.ends } : reach;
}

/** Those ways as options; an end without a path or far out of reach is left out. */
export function endOptions(day: DepartureDay, input: DepartureInput, reached: readonly EndReach[]): DepartureOption[] {
  const { density } = readAir(day.air, 0, airSample());
  return reached.flatMap((reach): DepartureOption[] => {
    const end = input.ends.find((candidate) => candidate.id === reach.endId);
    if (!end || !reach.path) return [];
    const roll = landingRoll(day.landing, density, reach.tailwind_mps, brakingOn(end.surface));
    const spare_m = end.length_m - aimPoint_m(end.length_m) - roll.flare_m - roll.roll_m;
    const blocked = reach.status === "terrain";
    const margin_m = blocked ? Math.min(reach.path.margin_m, reach.clearance?.least_m ?? -1) : reach.path.margin_m;
    return [{ id: end.id, kind: end.unprepared ? "field" : "runway", name: end.name, score_m: worth_m(margin_m, spare_m), margin_m, spare_m, note: blocked ? "ground is in the way" : spare_m < 0 ? "too short to stop" : end.unprepared ? "surveyed, not prepared" : null }];
  });
}
