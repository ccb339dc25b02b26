// "Where do I come down without engines?" for rotorcraft: ways to landing ends, and whether there is room on them.
import type { z } from "zod";
import { type WindVector, windProfile } from "../air/wind";
import type { LatLon } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import type { DescentIntegrals } from "../glide/descent-integrals";
import { clamp } from "../numeric/clamp";
import { type Outcome, assertNever, failure, success } from "../outcome";
import { heightInBothUnits } from "../quantities/units";
import { type RotorDescent, type RotorGlide, rotorDescent, rotorGlider } from "../rotor/rotor-descent";
import { Rotorcraft } from "../rotor/rotor-question";
import { LandingPlan } from "../situation/landing-plan";
import type { SituationDocument } from "../situation/situation-document";
import { integralsTo, startIn, turnedWind } from "./approach-problem";
import type { LandingEnd } from "./landing-end";
import { ReachQuestion } from "./reach-question";
import {
  type LastPart,
  type RoomVerdict,
  type RotorRoom,
  flareOver_m,
  halfWay_m,
  lastPart,
  rotorRoom,
} from "./rotor-room";
import { type Descending, type EndReach, byReach, wayToEnd } from "./way-to-end";

/** What a rotorcraft asks of landing ends. */
export const RotorReachQuestion = ReachQuestion.omit({ aircraft: true, configuration: true }).extend({
  aircraft: Rotorcraft,
  landing: LandingPlan.pick({ tailwindLimit_mps: true, crosswindLimit_mps: true }),
});
/** @see RotorReachQuestion */
export type RotorReachQuestion = z.infer<typeof RotorReachQuestion>;

/** The question a situation asks; `aircraft` is the one it names. */
export function rotorReachQuestion(
  situation: SituationDocument,
  aircraft: Rotorcraft,
  ends: readonly LandingEnd[],
): RotorReachQuestion {
  const { mass_kg, air, wind, position, altitude_m, heading_rad, pilot, plan, landing } = situation;
  const { tailwindLimit_mps, crosswindLimit_mps } = landing;
  return {
    aircraft,
    mass_kg,
    air,
    wind,
    position,
    altitude_m,
    headingTrue_rad: heading_rad,
    pilot,
    plan,
    landing: { tailwindLimit_mps, crosswindLimit_mps },
    ends: [...ends],
  };
}

/** How a place comes out: in reach and with room, or what is against it. */
export type RotorVerdict = RoomVerdict | "reserve" | "blocked" | "short";

/** A point of the way at which something begins. */
export interface RotorKey {
  readonly name: "steady" | "final" | "flare" | "touchdown";
  /** Above the place. */
  readonly height_m: number;
  readonly tas_mps: number;
  /** From where the engine stops, s. */
  readonly time_s: number;
  readonly x_m: number;
  readonly y_m: number;
}

/** A landing end of a rotorcraft. */
export interface RotorEnd {
  readonly end: LandingEnd;
  readonly way: EndReach<RotorGlide>;
  readonly verdict: RotorVerdict;
  readonly room: RotorRoom;
  /** In still air, half way down. */
  readonly descent: RotorDescent;
  readonly last: LastPart;
  /** Down the way that is drawn; none where it does not arrive. */
  readonly keys: readonly RotorKey[];
}

const ORDER: Record<RotorVerdict, number> = {
  fits: 0,
  reserve: 1,
  tight: 2,
  wind: 3,
  slope: 4,
  "too-short": 5,
  "too-narrow": 6,
  blocked: 7,
  short: 8,
};

/** Whether a verdict is one to land by. */
export function isRoomy(verdict: RotorVerdict): boolean {
  return verdict === "fits" || verdict === "reserve" || verdict === "tight";
}

/** Places this much apart in height share a table, m. */
const LEVEL_M = 100;
/** Headwinds this much apart share a speed, m/s. */
const WIND_STEP_MPS = 0.5;
/** Most headwind that a speed is chosen for, m/s. */
const MOST_WIND_MPS = 60;

/**
 * Ways to every landing end with the room on it, ranked: room first, then height left.
 *
 * The rotor's figures are those of the air half way down to a place: over 3,000 ft those of either end are
 * within 3 % of them.
 *
 * @param terrain - ground to clear; null when none is known, then paths are not checked
 * @returns `under_ground`; failures of mass, height, bank and wind; an end that cannot be reached is not a failure
 */
export function rotorReach(
  question: RotorReachQuestion,
  terrain: TerrainGrid | null,
  origin: LatLon = terrain?.origin ?? question.position,
): Outcome<RotorEnd[]> {
  const { altitude_m } = question;
  const here = terrain && localPlane(terrain.origin).toPlane(question.position);
  const ground_m = terrain && here ? elevationAt_m(terrain, here.x_m, here.y_m) : null;
  if (ground_m !== null && altitude_m < ground_m)
    return failure(
      "under_ground",
      `The ground here is at ${heightInBothUnits(ground_m)}: an altitude of ${heightInBothUnits(altitude_m)} is under it.`,
      "altitude_m",
    );
  const plane = localPlane(origin);
  const start = startIn(plane, question);
  const turned = turnedWind(question.wind, plane.convergence_rad(question.position));
  const levels = new Map<number, Outcome<Level>>();
  const winds = new Map<number, Outcome<LevelWind>>();
  const ends: RotorEnd[] = [];
  for (const end of question.ends) {
    const level = kept(levels, Math.round(end.elevation_m / LEVEL_M) * LEVEL_M, (at_m) => levelAt(question, at_m));
    if (!level.ok) return level;
    const { last, usual, descending } = level.value;
    const air = kept(winds, end.elevation_m, (elevation_m) => {
      const wind = windProfile(turned, elevation_m);
      if (!wind.ok) return wind;
      return success({ wind: wind.value, integrals: integralsTo(end, question, wind.value, usual.glide) });
    });
    if (!air.ok) return air;
    const way = wayToEnd({ question, end, start, plane, terrain, descending, ...air.value });
    const room = rotorRoom(last, end, way, question.landing.tailwindLimit_mps);
    ends.push({
      end,
      way,
      room,
      last,
      descent: usual,
      verdict: verdictOf(way, room.verdict),
      keys: keysOf(way, end, last),
    });
  }
  return success(ends.sort((a, b) => ORDER[a.verdict] - ORDER[b.verdict] || byReach(a.way, b.way)));
}

function kept<Value>(values: Map<number, Value>, key: number, make: (key: number) => Value): Value {
  const found = values.get(key) ?? make(key);
  values.set(key, found);
  return found;
}

/** What is shared by places of one elevation. */
interface LevelWind {
  readonly wind: (altitude_m: number) => WindVector;
  readonly integrals: DescentIntegrals;
}

/** What is shared by places of about one elevation. */
interface Level {
  readonly last: LastPart;
  readonly usual: RotorDescent;
  readonly descending: Descending<RotorGlide>;
}

function levelAt(
  { aircraft, mass_kg, air, altitude_m, pilot, landing }: RotorReachQuestion,
  elevation_m: number,
): Outcome<Level> {
  const glider = rotorGlider({ aircraft, mass_kg, air, altitude_m: halfWay_m(altitude_m, elevation_m) });
  if (!glider.ok) return glider;
  const last = lastPart({ aircraft, mass_kg, air, altitude_m: elevation_m }, landing);
  if (!last.ok) return last;
  const usual = rotorDescent(glider.value, 0, pilot.bank_rad);
  if (!usual.ok) return usual;
  const byWind = new Map<number, Outcome<RotorDescent>>();
  return success({
    last: last.value,
    usual: usual.value,
    descending: {
      usual,
      inWind: ({ along_mps }) =>
        kept(byWind, Math.round(clamp(-along_mps, -MOST_WIND_MPS, MOST_WIND_MPS) / WIND_STEP_MPS), (step) =>
          rotorDescent(glider.value, step * WIND_STEP_MPS, pilot.bank_rad),
        ),
    },
  });
}

function verdictOf(way: EndReach<RotorGlide>, room: RoomVerdict): RotorVerdict {
  switch (way.status) {
    case "none":
    case "short":
      return "short";
    case "terrain":
      return "blocked";
    case "reserve":
      return room === "fits" || room === "tight" ? "reserve" : room;
    case "reached":
      return room;
    default:
      return assertNever(way.status);
  }
}

/** Where the steady part, the final, the flare and the touchdown lie on the way. */
function keysOf(
  { path, points, glide, status, tailwind_mps }: EndReach<RotorGlide>,
  end: LandingEnd,
  last: LastPart,
): RotorKey[] {
  if (!path || !glide) return [];
  const finalEntry = path.ledger.findIndex(({ account }) => account === "approach");
  const arrives = status === "reached" || status === "reserve";
  const at = (name: RotorKey["name"], from: number, tas_mps: number): RotorKey[] => {
    const point = points.find(({ entry }) => entry >= from);
    return point
      ? [
          {
            name,
            height_m: point.altitude_m - end.elevation_m,
            tas_mps,
            time_s: point.time_s,
            x_m: point.x_m,
            y_m: point.y_m,
          },
        ]
      : [];
  };
  const aim = points[points.length - 1];
  if (!arrives || !aim) return [];
  const beyond_m = flareOver_m(last, tailwind_mps);
  const before = points[Math.max(points.length - 2, 0)];
  const track_rad = Math.atan2(aim.x_m - before.x_m, aim.y_m - before.y_m);
  return [
    ...at("steady", 1, glide.tas_mps),
    ...at("final", finalEntry, last.final_mps),
    {
      name: "flare",
      height_m: last.flare_m ?? 0,
      tas_mps: last.final_mps,
      time_s: aim.time_s,
      x_m: aim.x_m,
      y_m: aim.y_m,
    },
    {
      name: "touchdown",
      height_m: 0,
      tas_mps: last.touchdown_mps,
      time_s: aim.time_s,
      x_m: aim.x_m + beyond_m * Math.sin(track_rad),
      y_m: aim.y_m + beyond_m * Math.cos(track_rad),
    },
  ];
}
