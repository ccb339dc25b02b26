// Choosing where to land: every end in reach with the length it needs, what stands in the way, who is there, wind and
// sun; ranked, with the reasons. The order within a verdict is by a score of Utrimax's own: it settles what no rule
// does.
import type { SiteVerdict } from "./site-verdict";
import { clamp } from "../numeric/clamp";
import { TOUCHDOWN } from "./approach-factors";
import { airAtAltitude } from "../air/altimetry";
import { type SunPosition, sunPosition } from "../earth/sun";
import { type Issue, type Outcome, success } from "../outcome";
import { G0, MPS_PER_KT, RHO0 } from "../quantities/constants";
import { wrapHalfTurn } from "../quantities/angle";
import type { LandingPlan } from "../situation/landing-plan";
import type { LandingEnd } from "./landing-end";
import { type LandingFigures, type LengthNeeded, landingFigures, lengthNeeded, trueOf_mps } from "./landing-length";
import type { Hazard } from "../places/place";
import type { Reach } from "./reach";
import type { EndReach } from "./way-to-end";
import type { ReachQuestion } from "./reach-question";

/** Why a place is better or worse; `value` is a length, height, speed, ratio or days as the code says. */
export interface SiteReason {
  readonly code:
    | "runway"
    | "unprepared"
    | "spare"
    | "tight"
    | "too-short"
    | "does-not-stop"
    | "tailwind"
    | "tailwind-limit"
    | "headwind"
    | "crosswind"
    | "crosswind-limit"
    | "obstacle"
    | "sun"
    | "uphill"
    | "downhill"
    | "low-arrival"
    | "long-ago"
    | "reserve"
    | "short"
    | "blocked"
    | Hazard;
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
  /** Available less needed by the rule chosen. */
  readonly spare_m: number | null;
  /** Available less computed without a factor; negative is a shortfall. */
  readonly computedSpare_m: number | null;
  /** Wind from behind or across over what is planned with, the greater; 1 is at a limit. */
  readonly windShare: number;
  /** Over the ground at the end of a place that is too short; null where it stops in time. */
  readonly overrun_mps: number | null;
  readonly reasons: readonly SiteReason[];
  /** Ours, smaller is better; settles the order among equals. */
  readonly score: number;
}

/** All of them, the best first. */
export interface Sites {
  readonly sites: readonly Site[];
  readonly figures: LandingFigures;
  readonly sun: SunPosition | null;
  /**
   * Crosswind that is planned with: the plan's, otherwise 15 kt or 0.2 V_S0, whichever is more. 14 CFR 23.233 before
   * 2017 (memory); common practice.
   */
  readonly crosswindLimit_mps: number;
  /**
   * Over the ground at touchdown into the surface wind about the first place, wherever it is flat: what no place listed
   * may be better than.
   */
  readonly intoWind_mps: number;
}

/** @see Sites.crosswindLimit_mps */
const CROSSWIND_SHARE = 0.2;
const USUAL_CROSSWIND_MPS = 15 * MPS_PER_KT;
/** The sun blinds when it stands this low and this near to the landing direction. Common practice. */
const SUN_LOW_RAD = 0.35;
const SUN_NEAR_RAD = 0.52;
/** Arriving with less than this after the reserve is named, m. */
const LOW_ARRIVAL_M = 60;
/** Height in hand beyond this after the reserve is worth nothing more, m (500 ft). Common practice. */
const USEFUL_M = 152.4;
/** Of places that are too short, 5 kt more at the end weigh as much as 20 points of the score. Ours. */
const OVERRUN_STEP_MPS = 5 * MPS_PER_KT;
const POINTS_PER_STEP = 20;
/** Stands for the speed at the end of a slope that it does not stop on, m/s. */
const FAR_TOO_FAST_MPS = 100;
/** Slopes below this are flat, tailwinds below this are none. */
const FLAT = 0.005;
const CALM_MPS = 1.5;
/**
 * More wind than planned with, up to this share of the limits, is still better than a place that is tight. Common
 * practice.
 */
const WINDY = 1.5;
const ORDER: Record<SiteVerdict, number> = {
  fits: 0,
  tight: 1,
  reserve: 2,
  wind: 3,
  "too-short": 4,
  blocked: 5,
  short: 6,
};
/** Points of the score. Ours. */
const POINTS: Partial<Record<SiteReason["code"], number>> = {
  unprepared: 30,
  people: 40,
  "power-lines": 25,
  wall: 30,
  rough: 20,
  soft: 15,
  stock: 10,
  trees: 10,
  "crosswind-limit": 20,
  crosswind: 8,
  "tailwind-limit": 20,
  tailwind: 15,
  sun: 10,
  obstacle: 8,
  downhill: 6,
  "too-short": 20,
  reserve: 15,
};
/** Points for arriving with nothing in hand, fewer towards `USEFUL_M`; for wind at twice its limit. Ours. */
const LOW_POINTS = 40;
const WIND_POINTS = 40;

/** Less spare length than this share of the length available counts as little. */
const NARROW = 0.15;

/** Most wind from the side that a landing is planned with. */
export function crosswindLimitOf(
  plan: Pick<LandingPlan, "crosswindLimit_mps">,
  { stallEas_mps }: Pick<LandingFigures, "stallEas_mps">,
): number {
  return plan.crosswindLimit_mps ?? Math.max(CROSSWIND_SHARE * stallEas_mps, USUAL_CROSSWIND_MPS);
}

/**
 * Ranks places that the reach has been computed for: what fits by the rule chosen within the limits of wind, prepared
 * before surveyed, then by the score, in which height in hand counts up to what is useful. Places that do not fit
 * follow: by the speed at their end when they are too short, by height when they cannot be reached.
 *
 * @param question - that the reach answers
 * @param day - ISO date, for the sun
 * @returns failures of the polar with the flap chosen
 */
export function rankSites(reach: Reach, question: ReachQuestion, plan: LandingPlan, day: string): Outcome<Sites> {
  const figures = landingFigures(question.aircraft, question.mass_kg, question.configuration, plan.flap);
  if (!figures.ok) return figures;
  const sun = plan.utc_h === null ? null : sunPosition(question.position, day, plan.utc_h);
  const ends = new Map(question.ends.map((end) => [end.id, end]));
  const crosswindLimit_mps = crosswindLimitOf(plan, figures.value);
  const sites = reach.ends.flatMap((entry): Site[] => {
    const end = ends.get(entry.endId);
    if (!end || entry.status === "none") return [];
    const density = airAtAltitude(end.elevation_m, question.air).sigma * RHO0;
    const asked = {
      figures: figures.value,
      density,
      tailwind_mps: entry.tailwind_mps,
      end,
      wet: plan.wet,
      ownFactor: plan.ownFactor,
    };
    const length = lengthNeeded({ ...asked, rule: plan.rule });
    const plain = lengthNeeded({ ...asked, rule: "computed" });
    const spare_m = length.ok ? end.length_m - length.value.needed_m : null;
    const computedSpare_m = plain.ok ? end.length_m - plain.value.computed_m : null;
    // Of what is planned with: 1 at the limit of wind from behind or across, whichever is nearer.
    const windShare = Math.max(
      shareOf(entry.tailwind_mps, plan.tailwindLimit_mps),
      shareOf(Math.abs(entry.crosswind_mps), crosswindLimit_mps),
    );
    const verdict = verdictOf(entry, spare_m, computedSpare_m, windShare);
    const reasons = reasonsOf({
      entry,
      end,
      spare_m,
      computedSpare_m,
      verdict,
      sun,
      crosswindLimit_mps,
      tailwindLimit_mps: plan.tailwindLimit_mps,
      since_days: end.lookedAt === null ? 0 : (Date.parse(day) - Date.parse(end.lookedAt)) / DAY_MS,
    });
    const points = reasons.reduce((sum, reason) => sum + (POINTS[reason.code] ?? 0), 0);
    // Little room in length counts up to 20 points, as it shrinks from 15 % to none; little height in hand likewise.
    const narrow = spare_m === null ? 0 : 20 * clamp(1 - spare_m / (NARROW * end.length_m), 0, 1);
    const low = LOW_POINTS * (1 - clamp(entry.path?.margin_m ?? 0, 0, USEFUL_M) / USEFUL_M);
    const windy = WIND_POINTS * Math.max(windShare - 1, 0);
    return [
      {
        end,
        reach: entry,
        verdict,
        length: length.ok ? length.value : null,
        issue: length.ok ? null : length.issue,
        spare_m,
        computedSpare_m,
        windShare,
        overrun_mps: plain.ok ? overrunSpeed_mps(plain.value, end.length_m) : null,
        reasons,
        score: points + narrow + low + windy,
      },
    ];
  });
  sites.sort(byRank);
  // The wind of the first place stands for the ground about: it is what a landing there is judged by.
  const [first] = sites;
  const density = airAtAltitude(first?.end.elevation_m ?? 0, question.air).sigma * RHO0;
  const wind_mps = first ? Math.hypot(first.reach.tailwind_mps, first.reach.crosswind_mps) : 0;
  const intoWind_mps = Math.max(TOUCHDOWN * trueOf_mps(figures.value.stallEas_mps, density) - wind_mps, 0);
  return success({ sites, figures: figures.value, sun, crosswindLimit_mps, intoWind_mps });
}

function byRank(a: Site, b: Site): number {
  const order = ({ verdict, windShare, spare_m }: Site) =>
    verdict === "wind" && windShare <= WINDY && spare_m !== null && spare_m >= 0 ? ORDER.fits + 0.5 : ORDER[verdict];
  const verdict = order(a) - order(b);
  if (verdict !== 0) return verdict;
  const margin = (site: Site) => site.reach.path?.margin_m ?? -Infinity;
  if (a.verdict === "short" || a.verdict === "blocked") return margin(b) - margin(a);
  // Where it does not stop both ways, nothing separates them but what else speaks against them.
  const overrun = (site: Site) =>
    (site.overrun_mps ?? FAR_TOO_FAST_MPS) / OVERRUN_STEP_MPS + site.score / POINTS_PER_STEP;
  if (a.verdict === "too-short") return overrun(a) - overrun(b);
  return (
    Number(a.end.unprepared) - Number(b.end.unprepared) || a.score - b.score || (b.spare_m ?? 0) - (a.spare_m ?? 0)
  );
}

/** Wind as a share of its limit. Where the limit is zero, any wind that is not calm exceeds it. */
function shareOf(wind_mps: number, limit_mps: number): number {
  return limit_mps > CALM_MPS ? wind_mps / limit_mps : wind_mps > CALM_MPS ? 1 + wind_mps / CALM_MPS : 0;
}

/** Ground speed at the end of a place that is too short, √(Vg² − 2·N·g·room); null when it stops before. */
function overrunSpeed_mps(
  { computed_m, air_m, flare_m, braking, touchdownGroundSpeed_mps }: LengthNeeded,
  length_m: number,
): number | null {
  if (computed_m <= length_m) return null;
  const room_m = Math.max(length_m - air_m - flare_m, 0);
  return Math.sqrt(Math.max(touchdownGroundSpeed_mps ** 2 - 2 * braking * G0 * room_m, 0));
}

function verdictOf(
  { status }: EndReach,
  spare_m: number | null,
  computedSpare_m: number | null,
  windShare: number,
): SiteVerdict {
  if (status === "short" || status === "none") return "short";
  if (status === "terrain") return "blocked";
  if (computedSpare_m === null || computedSpare_m < 0) return "too-short";
  if (windShare > 1) return "wind";
  if (status === "reserve") return "reserve";
  return spare_m !== null && spare_m >= 0 ? "fits" : "tight";
}

/** A field that nobody has looked at for a year may have a fence across by now. Common practice. */
const LONG_AGO_DAYS = 365;
const DAY_MS = 24 * 3600 * 1000;

/** What nobody should be flown into. */
const WORST: readonly Hazard[] = ["people", "power-lines", "wall"];

interface Told {
  entry: EndReach;
  end: LandingEnd;
  spare_m: number | null;
  computedSpare_m: number | null;
  verdict: SiteVerdict;
  sun: SunPosition | null;
  crosswindLimit_mps: number;
  tailwindLimit_mps: number;
  /** Since somebody looked at it; 0 for runways and where nobody knows. */
  since_days: number;
}

function reasonsOf(told: Told): SiteReason[] {
  const { entry, end, verdict } = told;
  const margin_m = entry.path?.margin_m ?? 0;
  return [
    ...(entry.status === "short" || entry.status === "reserve" ? [reason(entry.status, "bad", -margin_m)] : []),
    ...(verdict === "blocked" ? [reason("blocked", "bad", -(entry.clearance?.least_m ?? 0))] : []),
    end.unprepared ? reason("unprepared", "caution") : reason("runway", "good"),
    lengthReason(told),
    ...windReasons(told),
    ...placeReasons(told),
    ...(entry.status === "reached" && margin_m < LOW_ARRIVAL_M ? [reason("low-arrival", "caution", margin_m)] : []),
    ...(told.since_days > LONG_AGO_DAYS ? [reason("long-ago", "caution", told.since_days)] : []),
    ...end.hazards.map((hazard) => reason(hazard, WORST.includes(hazard) ? "bad" : "caution")),
  ];
}

function reason(code: SiteReason["code"], tone: SiteReason["tone"], value = 0): SiteReason {
  return { code, tone, value };
}

function lengthReason({ spare_m, computedSpare_m }: Told): SiteReason {
  if (computedSpare_m === null) return reason("does-not-stop", "bad");
  if (computedSpare_m < 0) return reason("too-short", "bad", -computedSpare_m);
  if (spare_m === null || spare_m < 0) return reason("tight", "caution", computedSpare_m);
  return reason("spare", "good", spare_m);
}

function windReasons({ entry, crosswindLimit_mps, tailwindLimit_mps }: Told): SiteReason[] {
  const { tailwind_mps } = entry;
  const reasons: SiteReason[] = [];
  if (tailwind_mps > Math.max(tailwindLimit_mps, CALM_MPS)) reasons.push(reason("tailwind-limit", "bad", tailwind_mps));
  else if (tailwind_mps > CALM_MPS) reasons.push(reason("tailwind", "caution", tailwind_mps));
  else if (tailwind_mps < -CALM_MPS) reasons.push(reason("headwind", "good", -tailwind_mps));
  const across_mps = Math.abs(entry.crosswind_mps);
  if (across_mps > crosswindLimit_mps) reasons.push(reason("crosswind-limit", "caution", across_mps));
  else if (across_mps > crosswindLimit_mps / 2) reasons.push(reason("crosswind", "caution", across_mps));
  return reasons;
}

/** Obstacle, slope and sun. */
function placeReasons({ end, sun }: Told): SiteReason[] {
  const reasons: SiteReason[] = [];
  if (end.obstacle) reasons.push(reason("obstacle", "caution", end.obstacle.height_m));
  if (end.slope > FLAT) reasons.push(reason("uphill", "good", end.slope));
  if (end.slope < -FLAT) reasons.push(reason("downhill", "caution", end.slope));
  if (
    sun &&
    sun.elevation_rad > 0 &&
    sun.elevation_rad < SUN_LOW_RAD &&
    Math.abs(wrapHalfTurn(sun.azimuth_rad - end.headingTrue_rad)) < SUN_NEAR_RAD
  )
    reasons.push(reason("sun", "caution", sun.elevation_rad));
  return reasons;
}
