// A turn back that was flown beside the planner's for the same moment: from where the engine stopped, with the plan's
// reaction, bank, speed and wind; and which of them explains how much of the difference.
import { windAt } from "../track/wind/fitted-wind";
import type { Flown } from "../track/flown";
import { airColumn } from "../flight/air-column";
import { stallSpeed_mps } from "../aircraft/polar";
import { allowedBanks } from "../departure/best-bank";
import { type DepartureDay, type DepartureQuestion, departureDay } from "../departure/departure-day";
import { motionFrom } from "../departure/failure-start";
import { react } from "../departure/reaction";
import {
  type FlightPart,
  type FlightPoint,
  type Technique,
  type TurnbackCase,
  flyTurnback,
} from "../departure/turnback-flight";
import { bestTurnback } from "../departure/turnback-search";
import { type LatLon, destination } from "../earth/geodesic";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { radians } from "../quantities/angle";
import { plannedReaction_s } from "../situation/pilot-practice";
import { BESIDE_PARTS, type BesidePart, type PartTaken, type TurnBackFlown } from "./turn-back-flown";

/** What explains a difference, in the order in which they are replaced one after the other. */
export const EXPLAINED = ["delay", "straight", "bank", "speed", "wind"] as const;
/** @see EXPLAINED */
export type Explained = (typeof EXPLAINED)[number];

/** @see turnBackBeside */
export interface TurnBackBeside {
  readonly runway: string;
  readonly height_m: number;
  readonly predicted: {
    readonly reaction_s: number;
    readonly technique: Technique;
    /** Equivalent, in the turn and after it. */
    readonly turnEas_mps: number;
    readonly finalEas_mps: number;
    readonly parts: readonly PartTaken[];
    /** Height over the runway's end, or where it is aligned over the runway. */
    readonly left_m: number;
    readonly points: readonly (LatLon & {
      readonly time_s: number;
      readonly height_m: number;
      readonly bank_rad: number;
    })[];
  };
  readonly flown: TurnBackFlown;
  /** Change of the height that is left by each; positive where it left more. What nothing explains is the rest. */
  readonly explained: Readonly<Record<Explained, number>> | null;
  readonly rest_m: number | null;
}

/** Intercept angles that are tried, and how fine the best is settled, rad. */
const ANGLES_RAD = Array.from({ length: 15 }, (_, i) => radians(4 + 6 * i));
const FINEST_RAD = radians(0.6);
const AIR_TOP_M = 900;
/** What never aligns is worth less than whatever does, however deep: for the search, m. */
const UNALIGNED_M = -5000;
const PART_OF: Record<FlightPart, BesidePart> = {
  reaction: "reaction",
  extension: "straight",
  turn: "turn",
  intercept: "line",
  final: "final",
};

/** How it is flown, all of it. */
interface Flying {
  readonly day: TurnbackCase;
  readonly reaction_s: number;
  readonly side: 1 | -1;
  readonly straight_s: number;
  readonly bank_rad: number;
  readonly stallMargin: number;
}

interface BestLine {
  readonly left_m: number;
  readonly technique: Technique;
}

/** Height that is left with the best intercept; null where the reaction stalls, or no intercept meets the line. */
function leftBy(
  flying: Flying,
  start: TurnBackFlown["start"],
  kind: DepartureQuestion["plan"]["reaction"],
): BestLine | null {
  const { day, reaction_s, side, straight_s, bank_rad, stallMargin } = flying;
  const acting = motionFrom(start);
  if (react(acting, day.body, day.air, kind, reaction_s).stalledAfter_s !== null) return null;
  const technique = (intercept_rad: number): Technique => ({
    side,
    bank_rad,
    stallMargin,
    intercept_rad,
    extension_s: straight_s,
  });
  const left = (angle: number) => {
    const result = flyTurnback(day, motionFrom(acting), technique(angle), reaction_s);
    return result.aligned ? (result.endHeight_m ?? result.alignedHeight_m) : UNALIGNED_M + result.margin_m;
  };
  let [best, most] = [ANGLES_RAD[0], -Infinity];
  ANGLES_RAD.forEach((angle) => {
    const value = left(angle);
    if (value > most) [best, most] = [angle, value];
  });
  const i = ANGLES_RAD.indexOf(best);
  goldenMinimum(
    (angle) => {
      const value = left(angle);
      if (value > most) [best, most] = [angle, value];
      return -value;
    },
    ANGLES_RAD[Math.max(i - 1, 0)],
    ANGLES_RAD[Math.min(i + 1, ANGLES_RAD.length - 1)],
    FINEST_RAD,
  );
  return most < UNALIGNED_M / 2 ? null : { left_m: most, technique: technique(best) };
}

/** The plan's way from the moment: the best of the banks that may be flown, to the side that was flown. */
function planned(day: DepartureDay, question: DepartureQuestion, flown: TurnBackFlown): Flying | null {
  const reaction_s = plannedReaction_s(question.pilot);
  const acting = motionFrom(flown.start);
  if (react(acting, day.body, day.air, question.plan.reaction, reaction_s).stalledAfter_s !== null) return null;
  const { stallMargin } = question.plan;
  const best = allowedBanks(question.plan)
    .map((bank_rad) => bestTurnback(day, acting, reaction_s, { side: flown.side, bank_rad, stallMargin }))
    .reduce((most, one) => (one.score_m > most.score_m ? one : most));
  const { technique } = best;
  return {
    day,
    reaction_s,
    side: flown.side,
    straight_s: technique.extension_s,
    bank_rad: technique.bank_rad,
    stallMargin,
  };
}

/**
 * Lays a turn back beside the plan.
 *
 * Parts are replaced one after another: delay, straight on, bank, speed (in the turn and after it), wind. Each is what
 * the height that is left changes by; the order changes the shares. What is left after all of them is the line that
 * was flown, the polar, and moving air.
 *
 * @param question - of the plan: pilot, plan, and the wind that was told; the runway is the log's
 * @returns failures of the departure; `stalls` where the plan’s reaction does; `plan_not_back` where it never aligns
 */
export function turnBackBeside(
  track: Pick<Flown, "wind">,
  flown: TurnBackFlown,
  question: DepartureQuestion,
): Outcome<TurnBackBeside> {
  const { runway, start } = flown;
  const asked = { ...question, runway };
  const day = departureDay(asked);
  if (!day.ok) return day;
  const { reaction } = question.plan;
  const plan = planned(day.value, asked, flown);
  if (!plan)
    return failure(
      "stalls",
      "With the plan’s reaction the wing stalls: there is nothing to compare with.",
      "plan.reaction",
    );
  const predicted = leftBy(plan, start, reaction);
  if (!predicted)
    return failure(
      "plan_not_back",
      "In the plan’s wind, with its reaction and bank, no way from there meets the runway’s line.",
      "plan",
    );

  const polar = day.value.polar;
  const stall = (bank: number) => stallSpeed_mps(polar, 1 / Math.cos(bank));
  const flownWind = track.wind;
  const wind = flownWind ? (altitude_m: number) => windAt(flownWind, altitude_m) : null;
  const slower = Math.max(flown.turnEas_mps / stall(flown.bank_rad), 1.06);
  const steps: Record<Explained, (before: Flying) => Flying> = {
    delay: (before) => ({ ...before, reaction_s: flown.delay_s ?? before.reaction_s }),
    straight: (before) => ({ ...before, straight_s: Math.max(flown.straight_s, 0) }),
    bank: (before) => ({ ...before, bank_rad: flown.bank_rad }),
    speed: (before) => ({ ...before, stallMargin: slower, day: { ...before.day, best_mps: flown.finalEas_mps } }),
    wind: (before) =>
      wind
        ? {
            ...before,
            day: {
              ...before.day,
              air: airColumn(question.air, wind, runway.elevation_m, runway.headingTrue_rad, AIR_TOP_M),
            },
          }
        : before,
  };
  const explained: Record<Explained, number> = { delay: 0, straight: 0, bank: 0, speed: 0, wind: 0 };
  let [now, left_m, whole] = [plan, predicted.left_m, flown.left_m !== null];
  for (const what of EXPLAINED) {
    now = steps[what](now);
    const next = whole ? leftBy(now, start, reaction) : null;
    if (!next) whole = false;
    else {
      explained[what] = next.left_m - left_m;
      left_m = next.left_m;
    }
  }
  const points = pointsOf(plan, start, reaction, predicted.technique);
  return success({
    runway: runway.name,
    height_m: start.height_m,
    predicted: {
      reaction_s: plan.reaction_s,
      technique: predicted.technique,
      turnEas_mps: plan.stallMargin * stall(plan.bank_rad),
      finalEas_mps: day.value.best_mps,
      parts: partsOf(points, start.height_m, predicted.left_m),
      left_m: predicted.left_m,
      points: points.map(({ x_m, y_m, time_s, height_m, bank_rad }) => ({
        ...placeOn(runway.threshold, runway.headingTrue_rad, x_m, y_m),
        time_s,
        height_m,
        bank_rad,
      })),
    },
    flown,
    explained: whole ? explained : null,
    rest_m: whole && flown.left_m !== null ? flown.left_m - left_m : null,
  });
}

/** The whole flight, moment by moment. */
function pointsOf(
  { day, reaction_s }: Flying,
  start: TurnBackFlown["start"],
  kind: DepartureQuestion["plan"]["reaction"],
  technique: Technique,
): FlightPoint[] {
  const points: FlightPoint[] = [];
  const motion = motionFrom(start);
  const reacting = (time_s: number): FlightPoint => ({
    ...motionFrom(motion),
    time_s,
    bank_rad: 0,
    loadFactor: 1,
    stallMargin: 1,
    part: "reaction",
  });
  points.push(reacting(0));
  react(motion, day.body, day.air, kind, reaction_s, (_, __, time_s) => points.push(reacting(time_s)));
  flyTurnback(day, motion, technique, reaction_s, { record: (point) => points.push(point) });
  return points;
}

/** Height and time of each part; what is left at the end closes the account. */
function partsOf(points: readonly FlightPoint[], height_m: number, left_m: number): PartTaken[] {
  const parts: PartTaken[] = [];
  let from = { height_m, time_s: points[0].time_s };
  for (const part of BESIDE_PARTS) {
    const last = points.findLastIndex((point) => PART_OF[point.part] === part);
    if (last < 0) {
      parts.push({ part, height_m: 0, time_s: 0 });
      continue;
    }
    const next = points.at(last + 1);
    const to = next
      ? { height_m: next.height_m, time_s: next.time_s }
      : { height_m: left_m, time_s: points[last].time_s };
    parts.push({ part, height_m: from.height_m - to.height_m, time_s: to.time_s - from.time_s });
    from = to;
  }
  return parts;
}

/** A point of the runway's frame on the Earth. */
function placeOn(threshold: LatLon, heading_rad: number, x_m: number, y_m: number): LatLon {
  return destination(threshold, heading_rad + Math.atan2(y_m, x_m), Math.hypot(x_m, y_m));
}
