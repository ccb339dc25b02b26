// The answer of the landing in sentences: headline for the spine, decision beside the ledger, intention for the call.
// Text in the user's units from what the core has computed; the same for the screen and for whatever reads it aloud or
// prints it.
import { isUsable } from "@/core/landing/site-verdict";
import { LEFT_M } from "@/core/landing/approach-heights";
import { type HeightAdvice } from "@/core/landing/height-advice";
import type { EndReach } from "@/core/landing/way-to-end";
import { type Site } from "@/core/landing/sites";
import { assertNever } from "@/core/outcome";
import { oClock, threeFigures } from "@/core/quantities/angle";
import { type OneEngineApproach } from "@/core/landing/one-engine-approach";
import type { OneEnginePlan } from "@/core/situation/one-engine-plan";
import type { CallPlan } from "@/core/situation/landing-plan";
import type { Format } from "@/ui/kit/units/units-store";
import { formatMargin } from "@/ui/kit/units/margin";
import { HAZARD_WORDS } from "@/ui/library/hazard-words";
import { firstMove } from "./way";

/** Words with the colour that says the same. */
export interface Said {
  readonly headline: string;
  readonly text: string;
  readonly tone: "" | "text-pine" | "text-ochre" | "text-brick";
}

/** Where a place lies: "2 o'clock, 121° magnetic, 3.4 NM". */
export function whereInWords(
  { bearingTrue_rad, distance_m }: Pick<EndReach, "bearingTrue_rad" | "distance_m">,
  heading_rad: number,
  variation_rad: number | null,
  format: Format,
): string {
  const magnetic = variation_rad === null ? "" : `, ${threeFigures(bearingTrue_rad - variation_rad)}° magnetic`;
  return `${oClock(bearingTrue_rad, heading_rad)} o’clock${magnetic}, ${format("distance", distance_m)}`;
}

/** The spine's few words about the place that is looked at. */
export function landingHeadline(site: Site, format: Format): { text: string; tone: Said["tone"] } {
  const {
    reach: { path, name },
    verdict,
    computedSpare_m,
  } = site;
  switch (verdict) {
    case "fits":
      return { text: `${formatMargin(path?.margin_m ?? 0, format)} ${name}`, tone: "text-pine" };
    case "tight":
    case "reserve":
      return { text: `${formatMargin(path?.margin_m ?? 0, format)} ${name}`, tone: "text-ochre" };
    case "wind":
      return { text: `too much wind, ${name}`, tone: "text-brick" };
    case "too-short":
      return {
        text:
          computedSpare_m === null
            ? `does not stop, ${name}`
            : `${format("length", -computedSpare_m, "up")} too short, ${name}`,
        tone: "text-brick",
      };
    case "blocked":
      return { text: `ground in the way, ${name}`, tone: "text-brick" };
    case "short":
      return { text: path ? `${formatMargin(path.margin_m, format)} ${name}` : `no path, ${name}`, tone: "text-brick" };
    default:
      return assertNever(verdict);
  }
}

/** What is known about the place that is decided on. */
export interface LandingTold {
  readonly site: Site;
  /** The first of the ranking. */
  readonly best: Site;
  readonly reserve_m: number;
  readonly tailwindLimit_mps: number;
  readonly crosswindLimit_mps: number;
  readonly intoWind_mps: number;
  readonly elevation_m: number;
  /** From the keys of the place; null while they are computed or when there are none. */
  readonly advice: HeightAdvice | null;
}

/** What to do, and what would change it. */
export function landingDecision(told: LandingTold, format: Format): Said {
  const { site, best, reserve_m } = told;
  const { reach } = site;
  // When nothing fits, that comes first, then the least bad of what is listed.
  const nothing = site === best && !isUsable(best.verdict);
  const where = nothing ? `No place in reach fits. Least bad: ${reach.name}` : reach.name;
  const margin_m = reach.path?.margin_m ?? 0;
  const arrival =
    margin_m >= 0
      ? `${format("height", margin_m, "down")} in hand after ${format("height", reserve_m)} reserve.`
      : `It arrives only by spending ${format("height", -margin_m, "up")} of the ${format("height", reserve_m)} reserve.`;
  const { verdict, length, computedSpare_m, end } = site;
  switch (verdict) {
    case "fits":
      return {
        headline: `${where}, ${firstMove(reach)}.`,
        text: joined(arrival, hazards(site), advised(told, format), "Gear and flap last, when it is certain."),
        tone: "",
      };
    case "tight":
      return {
        headline: `${where}, ${firstMove(reach)}.`,
        text: joined(
          arrival,
          `${end.name} has ${format("length", end.length_m)}: ${format("length", computedSpare_m ?? 0, "down")} more than is computed, less than the ${format("length", length?.needed_m ?? 0, "up")} that the rule asks for.`,
          hazards(site),
          advised(told, format),
        ),
        tone: "text-ochre",
      };
    case "reserve":
      return {
        headline: `${where}, ${firstMove(reach)}.`,
        text: joined(arrival, hazards(site), advised(told, format)),
        tone: "text-ochre",
      };
    case "wind":
      return {
        headline: `${where}, ${firstMove(reach)}.`,
        text: joined(windExcess(told, format), hazards(site), arrival, intoWind(told, format)),
        tone: "text-brick",
      };
    case "too-short":
      return {
        headline: `${where}, ${firstMove(reach)}.`,
        text: joined(tooShort(site, format), windExcess(told, format), hazards(site), arrival, intoWind(told, format)),
        tone: "text-brick",
      };
    case "blocked":
      return {
        headline: nothing
          ? `No place is in reach; nearest to it is ${reach.name}, but ground is in the way.`
          : `${where}: ground is in the way.`,
        text: groundInTheWay(reach, format),
        tone: "text-brick",
      };
    case "short":
      return {
        headline: nothing ? `No place is in reach; nearest to it is ${reach.name}.` : `${where} cannot be made.`,
        text: joined(
          reach.path
            ? `It ends ${format("height", -margin_m - reserve_m, "up")} below the aim point; ${format("height", -margin_m, "up")} are missing with the reserve.`
            : (reach.issue?.message ?? ""),
          nothing ? intoWind(told, format) : "",
        ),
        tone: "text-brick",
      };
    default:
      return assertNever(verdict);
  }
}

function tooShort({ computedSpare_m, overrun_mps }: Site, format: Format): string {
  if (computedSpare_m === null) return "Downhill it does not stop there.";
  const overrun = overrun_mps === null ? "" : `: about ${format("speed", overrun_mps)} over the ground at its end`;
  return `It is ${format("length", -computedSpare_m, "up")} too short${overrun}.`;
}

function groundInTheWay({ points, clearance }: EndReach, format: Format): string {
  const time_s = Math.round(points[clearance?.index ?? 0]?.time_s ?? 0);
  return `${time_s} s from now it passes ${format("height", -(clearance?.least_m ?? 0), "up")} below the clearance wanted there.`;
}

function joined(...sentences: readonly string[]): string {
  return sentences.filter(Boolean).join(" ");
}

/** Open ground at this share of a place's own speed is the better choice: half the speed is a quarter of the energy. */
const MUCH_SLOWER = 0.5;
/** About walking pace, m/s. */
const HARDLY_MPS = 2.6;

/** What a landing on open ground or water would be, when nothing listed fits. */
function intoWind({ site, best, intoWind_mps }: LandingTold, format: Format): string {
  // Only where it is no faster than what the place itself would end with; where none is in reach there is nothing else.
  const compared_mps =
    site.verdict === "too-short"
      ? site.overrun_mps
      : site.verdict === "wind"
        ? (site.length?.touchdownGroundSpeed_mps ?? null)
        : null;
  if (site !== best || (compared_mps !== null && intoWind_mps > compared_mps)) return "";
  const slower = compared_mps !== null && intoWind_mps < MUCH_SLOWER * compared_mps ? "Better" : "Or";
  const speed = intoWind_mps < HARDLY_MPS ? "at hardly any speed" : `at about ${format("speed", intoWind_mps)}`;
  return `${compared_mps === null ? "Into" : `${slower} into`} the wind, on the flattest you see or on the water (Ditching): it touches down ${speed} over the ground.`;
}

/** Who and what can be hurt there. */
function hazards({ end }: Site): string {
  const told = end.hazards.map((hazard) => HAZARD_WORDS[hazard]).join(", ");
  return told && `${told[0].toUpperCase()}${told.slice(1)}.`;
}

function windExcess({ site: { reach }, tailwindLimit_mps, crosswindLimit_mps }: LandingTold, format: Format): string {
  return [
    reach.tailwind_mps > tailwindLimit_mps &&
      `${format("speed", reach.tailwind_mps, "up")} from behind, over the ${format("speed", tailwindLimit_mps, "down")} planned with.`,
    Math.abs(reach.crosswind_mps) > crosswindLimit_mps &&
      `${format("speed", Math.abs(reach.crosswind_mps), "up")} across, over the ${format("speed", crosswindLimit_mps, "down")} planned with.`,
  ]
    .filter(Boolean)
    .join(" ");
}

/** So much in hand is not kept to the end, m (1,000 ft). */
const MUCH_M = 304.8;

/** Too much height and where to be with it, or which key has been missed and what is left to do. */
function advised({ advice, elevation_m, site }: LandingTold, format: Format): string {
  const margin_m = site.reach.path?.margin_m ?? 0;
  // In a strong wind there is no circuit to have keys on.
  if (!advice) return margin_m > MUCH_M ? "Stay near it and to windward: no circuit comes round in this wind." : "";
  const at = (height_m: number) => format("height", elevation_m + height_m);
  switch (advice.kind) {
    case "high":
      return `Stay near: lose ${format("height", advice.off_m)}, be overhead at ${at(advice.overhead_m)}, abeam at ${at(advice.abeam_m)} above sea level (circuit ${advice.side}, reserve kept).`;
    case "overhead":
      return `Overhead at ${at(advice.overhead_m)}, abeam at ${at(advice.abeam_m)} above sea level (circuit ${advice.side}, reserve kept).`;
    case "overhead-missed":
      return `Too low for the overhead key by ${format("height", advice.off_m, "up")}: make for abeam at ${at(advice.abeam_m)} above sea level (circuit ${advice.side}).`;
    case "both-missed":
      return `Both keys are missed, abeam by ${format("height", advice.off_m, "up")}: straight in by the way shown.`;
    default:
      return assertNever(advice.kind);
  }
}

/** What is said on the radio to be meant, by the place that is looked at. */
export function landingIntention(site: Site | null, nature: CallPlan["nature"]): string {
  if (nature === "one-engine") return `one-engine landing, ${site?.end.name ?? "nearest runway"}`;
  return !site || site.verdict === "short" || site.verdict === "blocked"
    ? "forced landing ahead, no landing place in reach"
    : `forced landing, ${site.end.name}`;
}

/** Below which height there is no going around: what is advised first, then the sum without error. */
export function goAroundDecision(
  { floor_m, advisedFloor_m, lost_m, away_mps }: OneEngineApproach,
  plan: OneEnginePlan,
  format: Format,
): { lead: string; rest: string; tone: "" | "text-brick" } {
  if (floor_m === null) return { lead: "No go-around at all: it does not climb away.", rest: "", tone: "text-brick" };
  const sum = `Flown without error it loses ${format("height", lost_m)} before it climbs: ${format("height", floor_m)} over the runway with ${format("height", LEFT_M)} left.`;
  if (advisedFloor_m === null)
    return {
      lead: "No go-around is advised.",
      rest: `It climbs away with ${format("verticalSpeed", away_mps, "down")}, less than the ${format("verticalSpeed", plan.leastClimb_mps)} asked for. ${sum}`,
      tone: "text-brick",
    };
  return {
    lead: `Commit at ${format("height", advisedFloor_m, "up")}.`,
    rest: `${plan.least === "height" ? "Advised: no go-around below that, nor once gear and landing flap are down; take the higher." : "It climbs away as fast as is asked for."} ${sum}`,
    tone: "",
  };
}
