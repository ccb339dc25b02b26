// Choosing where to land: every end in reach with the length it needs, what stands in the way, who is there, wind and sun; ranked, with
// the reasons. The order within a verdict is by a score of Utrimax's own: it settles what no rule does.
import { airAtAltitude } from "../air/altimetry";
import { type SunPosition, sunPosition } from "../earth/sun";
import { type Issue, type Outcome, success } from "../outcome";
import { RHO0 } from "../quantities/constants";
import { wrapHalfTurn } from "../quantities/angle";
import type { LandingPlan } from "../situation/landing-plan";
import type { LandingEnd } from "./landing-end";
import { type LandingFigures, type LengthNeeded, landingFigures, lengthNeeded, trueOf_mps } from "./landing-length";
import type { Hazard } from "./places";
import type { EndReach, Reach } from "./reach";
import type { ReachInput } from "./reach-input";

/** `fits` by the rule chosen; `tight` by computation only; `too-short`; `reserve`, `short`, `blocked` by the way there. */
export type SiteVerdict = "fits" | "tight" | "too-short" | "reserve" | "blocked" | "short";

/** Why a place is better or worse; `value` is a length, height, speed or ratio as the code says. */
export interface SiteReason {
  readonly code: "runway" | "unprepared" | "spare" | "tight" | "too-short" | "does-not-stop" | "tailwind" | "headwind" | "crosswind" | "crosswind-limit" | "obstacle" | "sun" | "uphill" | "downhill" | "low-arrival" | "reserve" | "short" | "blocked" | Hazard;
  readonly tone: "good" | "caution" | "bad";
  readonly value: number;
}

/** One place to land. */
export interface Site {
  readonly end: LandingEnd;
  readonly reach: EndReach;
  readonly verdict: SiteVerdict;
  readonly length: LengthNeeded | null;
  readonly issue: Issue | null;
  /** Available less needed. */
  readonly spare_m: number | null;
  readonly reasons: readonly SiteReason[];
  /** Ours, smaller is better; settles the order among equals. */
  readonly score: number;
}

/** All of them, the best first. */
export interface Sites {
  readonly sites: readonly Site[];
  readonly figures: LandingFigures;
  readonly sun: SunPosition | null;
  /** Crosswind that is counted on: 0.2 V_S0. 14 CFR 23.233 before 2017 (memory). */
  readonly crosswindLimit_mps: number;
}

/** @see Sites.crosswindLimit_mps */
const CROSSWIND_SHARE = 0.2;
/** The sun blinds when it stands this low and this near to the landing direction. Common practice. */
const SUN_LOW_RAD = 0.35;
const SUN_NEAR_RAD = 0.52;
/** Arriving with less than this after the reserve is named, m. */
const LOW_ARRIVAL_M = 60;
/** Slopes below this are flat, tailwinds below this are none. */
const FLAT = 0.005;
const CALM_MPS = 1.5;
const ORDER: Record<SiteVerdict, number> = { fits: 0, tight: 1, "too-short": 2, reserve: 3, blocked: 4, short: 5 };
/** Points of the score. Ours. */
const POINTS: Partial<Record<SiteReason["code"], number>> = {
  unprepared: 30, people: 40, "power-lines": 25, wall: 30, rough: 20, soft: 15, stock: 10, trees: 10,
  "crosswind-limit": 20, crosswind: 8, tailwind: 15, sun: 10, obstacle: 8, "low-arrival": 15, downhill: 6, "too-short": 20,
};

/** A place is narrow in spare length below this share of what is available. */
const NARROW = 0.15;

/**
 * Ranks places that the reach has been computed for.
 *
 * @param question - that the reach answers
 * @param day - ISO date, for the sun
 * @returns failures of the polar with the flap chosen
 */
export function rankSites(reach: Reach, question: ReachInput, plan: LandingPlan, day: string): Outcome<Sites> {
  const figures = landingFigures(question.aircraft, question.mass_kg, question.configuration, plan.flap);
  if (!figures.ok) return figures;
  const sun = plan.utc_h === null ? null : sunPosition(question.position, day, plan.utc_h);
  const ends = new Map(question.ends.map((end) => [end.id, end]));
  const crosswindLimit_mps = CROSSWIND_SHARE * figures.value.stallEas_mps;
  const sites = reach.ends.flatMap((entry): Site[] => {
    const end = ends.get(entry.endId);
    if (!end || entry.status === "none") return [];
    const density = airAtAltitude(end.elevation_m, question.air).sigma * RHO0;
    const length = lengthNeeded({ figures: figures.value, density, tailwind_mps: entry.tailwind_mps, end, wet: plan.wet, rule: plan.rule, ownFactor: plan.ownFactor });
    const spare_m = length.ok ? end.length_m - length.value.needed_m : null;
    const verdict = verdictOf(entry, end, length.ok ? length.value : null);
    const reasons = reasonsOf({ entry, end, length, spare_m, verdict, sun, crosswindLimit_mps: trueOf_mps(crosswindLimit_mps, density) });
    const points = reasons.reduce((sum, reason) => sum + (POINTS[reason.code] ?? 0), 0);
    // Little room in length counts up to 20 points, as it shrinks from 15 % to none.
    const narrow = spare_m === null ? 0 : 20 * Math.min(Math.max(1 - spare_m / (NARROW * end.length_m), 0), 1);
    return [{ end, reach: entry, verdict, length: length.ok ? length.value : null, issue: length.ok ? null : length.issue, spare_m, reasons, score: points + narrow }];
  });
  sites.sort((a, b) => ORDER[a.verdict] - ORDER[b.verdict] || a.score - b.score || (b.reach.path?.margin_m ?? -Infinity) - (a.reach.path?.margin_m ?? -Infinity));
  return success({ sites, figures: figures.value, sun, crosswindLimit_mps });
}

function verdictOf(entry: EndReach, end: LandingEnd, length: LengthNeeded | null): SiteVerdict {
  if (entry.status === "short" || entry.status === "none") return "short";
  if (entry.status === "terrain") return "blocked";
  if (entry.status === "reserve") return "reserve";
  if (!length || length.computed_m > end.length_m) return "too-short";
  return length.needed_m <= end.length_m ? "fits" : "tight";
}

interface Told {
  entry: EndReach;
  end: LandingEnd;
  length: Outcome<LengthNeeded>;
  spare_m: number | null;
  verdict: SiteVerdict;
  sun: SunPosition | null;
  crosswindLimit_mps: number;
}

function reasonsOf({ entry, end, length, spare_m, verdict, sun, crosswindLimit_mps }: Told): SiteReason[] {
  const reasons: SiteReason[] = [];
  const say = (code: SiteReason["code"], tone: SiteReason["tone"], value = 0) => reasons.push({ code, tone, value });
  const margin_m = entry.path?.margin_m ?? 0;
  if (verdict === "short" || verdict === "reserve") say(verdict, "bad", -margin_m);
  if (verdict === "blocked") say("blocked", "bad", -(entry.clearance?.least_m ?? 0));
  if (end.unprepared) say("unprepared", "caution");
  else say("runway", "good");
  if (!length.ok) say("does-not-stop", "bad");
  else if (length.value.computed_m > end.length_m) say("too-short", "bad", length.value.computed_m - end.length_m);
  else if ((spare_m ?? 0) < 0) say("tight", "caution", end.length_m - length.value.computed_m);
  else say("spare", "good", spare_m ?? 0);
  if (entry.tailwind_mps > CALM_MPS) say("tailwind", "caution", entry.tailwind_mps);
  else if (entry.tailwind_mps < -CALM_MPS) say("headwind", "good", -entry.tailwind_mps);
  const across = Math.abs(entry.crosswind_mps);
  if (across > crosswindLimit_mps) say("crosswind-limit", "caution", across);
  else if (across > crosswindLimit_mps / 2) say("crosswind", "caution", across);
  if (end.obstacle) say("obstacle", "caution", end.obstacle.height_m);
  if (end.slope > FLAT) say("uphill", "good", end.slope);
  if (end.slope < -FLAT) say("downhill", "caution", end.slope);
  if (sun && sun.elevation_rad > 0 && sun.elevation_rad < SUN_LOW_RAD && Math.abs(wrapHalfTurn(sun.azimuth_rad - end.headingTrue_rad)) < SUN_NEAR_RAD) say("sun", "caution", sun.elevation_rad);
  if (verdict === "fits" || verdict === "tight") if (margin_m < LOW_ARRIVAL_M) say("low-arrival", "caution", margin_m);
  for (const hazard of end.hazards) say(hazard, hazard === "people" || hazard === "power-lines" || hazard === "wall" ? "bad" : "caution");
  return reasons;
}
