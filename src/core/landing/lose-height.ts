// Too high on the way in: what each thing loses in feet and seconds, and an order that loses what is asked and not
// more. Reversible things first; gear and last flap when it is certain. Not here: the float of a speed carried into the
// flare, gusts, what the flight manual forbids (slips with flap in some types).
import { z } from "zod";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { Configuration } from "../aircraft/configuration";
import { levelTurnLoadFactor, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { glidingTurn } from "../glide/gliding-turn";
import { bestGlide, liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import { LandingPlan, type LossAction } from "../situation/landing-plan";
import { Pilot, SituationDocument } from "../situation/situation-document";

/** What is to be lost, and with what. */
export const LoseQuestion = z.strictObject({
  aircraft: AircraftDocument,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  /** Above the sea, of the aim point. */
  elevation_m: SituationDocument.shape.altitude_m,
  /** Over the aim point, straight ahead of it. */
  height_m: z.number().min(10, "There must be some height over the aim point.").max(15_000, "Heights end at 15 000 m."),
  /** To be lost on the way beyond the glide as it is flown. */
  lose_m: z.number().min(0, "Height to lose is 0 or more.").max(15_000, "Heights end at 15 000 m."),
  /** Air motion along the way in, a headwind negative. */
  tailwind_mps: z
    .number()
    .min(-40, "A wind along the way in is −78 to 78 kt.")
    .max(40, "A wind along the way in is −78 to 78 kt."),
  /** Equivalent airspeed flown; null takes best glide as configured, at least 1.2 V_S. */
  eas_mps: z.number().min(10, "A speed flown is 20 to 500 kt.").max(260, "A speed flown is 20 to 500 kt.").nullable(),
  bank_rad: Pilot.shape.bank_rad,
  stallMargin: Pilot.shape.stallMargin,
  allowed: LandingPlan.shape.allowed,
  turnFloor_m: LandingPlan.shape.turnFloor_m,
  certain_m: LandingPlan.shape.certain_m,
});
/** @see LoseQuestion */
export type LoseQuestion = z.infer<typeof LoseQuestion>;

/** One thing that loses height, by itself over all of the way that it may be used on. */
export interface LossOption {
  readonly action: LossAction;
  readonly name: string;
  /** Index of the flap; null for everything else. */
  readonly flap: number | null;
  readonly height_m: number;
  readonly time_s: number;
  /** Fastest equivalent airspeed that it may be used at; null without a limit. */
  readonly limit_mps: number | null;
  /** Why it is not offered; null when it is. */
  readonly refused: string | null;
}

/** One step of the plan. */
export interface LossStep {
  readonly action: LossAction;
  readonly name: string;
  readonly flap: number | null;
  /** Height over the aim point at which it begins and what it is over. */
  readonly from_m: number;
  readonly to_m: number;
  /** Ground covered; 0 for a full turn. */
  readonly ground_m: number;
  readonly time_s: number;
  /** What it loses beyond what the glide would have. */
  readonly loses_m: number;
}

/** The plan. */
export interface LossPlan {
  readonly eas_mps: number;
  /** Ground left at the beginning: what the glide as flown covers with the height that is not to be lost. */
  readonly distance_m: number;
  readonly options: readonly LossOption[];
  readonly steps: readonly LossStep[];
  readonly loses_m: number;
  /** Still too high by, when everything that is allowed is not enough. */
  readonly left_m: number;
  readonly time_s: number;
}

/** Heading to each side of the line in S-turns, at most: common practice, so that the place stays in sight. */
const WEAVE_RAD = Math.PI / 4;
/** A glide fast enough to lose height: this much faster than flown. Common practice. */
const FASTER = 1.25;
/** Share of the way that is flown faster; the rest is for slowing down. */
const FAST_SHARE = 0.7;
/** Slower than this over the stall is not asked about. */
const LEAST_STALL = 1.2;
/** S-turns end at this share of the full turn's floor. */
const WEAVE_FLOOR = 0.5;
const TINY_M = 0.01;
/**
 * Gear and last flap are not used for less than this height, nor for less than this share of what is to be lost, nor
 * below this height. Common practice.
 */
const LATE_ENOUGH_M = 3;
const ENOUGH = 0.02;
const LATE_FLOOR_M = 30;

/**
 * What can be lost, and the order.
 *
 * Each drag item loses x·(tanγ₁ − tanγ₀) over the ground x; S-turns lengthen the way by ψm/sinψm; a full turn loses
 * 2π·dh/dψ.
 *
 * @returns failures of the polar; `too_slow` under 1.2 V_S, `too_fast` beyond a terminal dive, `no_headway` against
 *   the wind
 */
export function loseHeight(question: LoseQuestion): Outcome<LossPlan> {
  const { aircraft, mass_kg, configuration, height_m, lose_m, tailwind_mps } = question;
  const gliding = polarOf(aircraft, mass_kg, configuration);
  if (!gliding.ok) return gliding;
  const { polar } = gliding.value;
  const eas_mps = question.eas_mps ?? Math.max(bestGlide(polar).eas_mps, LEAST_STALL * stallSpeed_mps(polar));
  if (!(eas_mps >= LEAST_STALL * stallSpeed_mps(polar) - 1e-9))
    return failure(
      "too_slow",
      "That is under 1.2 times the stall speed: slower than this nothing is lost that way.",
      "eas_mps",
    );
  if (lose_m >= height_m)
    return failure("lose_too_much", "More is to be lost than there is over the aim point.", "lose_m");
  const { sigma } = airAtAltitude(question.elevation_m + height_m / 2, question.air);
  const root = Math.sqrt(sigma);
  /** Sink over ground speed of a configuration at a speed; null when it cannot be flown there. */
  const slope = (config: Configuration, eas: number): number | null => {
    const configured = polarOf(aircraft, mass_kg, config);
    if (!configured.ok) return null;
    const cl = liftCoefficientAt(configured.value.polar, eas);
    if (cl === null) return null;
    const glide = straightGlide(configured.value.polar, cl);
    const ground = (eas * Math.cos(glide.angle_rad)) / root + tailwind_mps;
    return ground > 1 ? glide.sinkEas_mps / root / ground : null;
  };
  const clean = slope(configuration, eas_mps);
  if (clean === null)
    return failure(
      "no_headway",
      "At this speed and against this wind it makes no headway, or it is faster than it can glide.",
      "eas_mps",
    );
  const ground_mps =
    (eas_mps * Math.cos(straightGlide(polar, liftCoefficientAt(polar, eas_mps) ?? polar.clMax).angle_rad)) / root +
    tailwind_mps;
  const distance_m = (height_m - lose_m) / clean;
  const turn = fullTurn(question, eas_mps, sigma);
  const weave = weaving(question, eas_mps, root, clean);
  const items = itemsOf(question, eas_mps);
  const faster = fasterGlide(question, eas_mps, slope);
  const options = optionsOf({
    question,
    eas_mps,
    root,
    distance_m,
    clean,
    ground_mps,
    turn,
    weave,
    items,
    slope,
    faster,
  });

  const line: Line = { question, clean, ground_mps, height_m, distance_m, excess_m: lose_m, steps: [] };
  loseByTurns(line, turn);
  if (weave) loseByWeaving(line, weave);
  if (faster) loseBySpeed(line, faster, (faster.eas_mps - eas_mps) / root);
  loseByDrag(line, items, slope);
  const { steps, distance_m: left } = line;
  const loses_m = steps.reduce((sum, step) => sum + step.loses_m, 0);
  return success({
    eas_mps,
    distance_m,
    options,
    steps,
    loses_m,
    left_m: Math.max(lose_m - loses_m, 0),
    time_s: left / ground_mps + steps.filter((step) => step.to_m > 0).reduce((sum, step) => sum + step.time_s, 0),
  });
}

/** The way down as it is planned so far: what is still to be lost, and what is left to lose it on. */
interface Line {
  readonly question: LoseQuestion;
  /** Height for each metre of ground, as configured. */
  readonly clean: number;
  readonly ground_mps: number;
  height_m: number;
  distance_m: number;
  excess_m: number;
  readonly steps: LossStep[];
}

const allows = ({ question }: Line, action: LossAction) => question.allowed.includes(action);

/** Full turns first: what is left is on the same line, shifted by the wind. */
function loseByTurns(line: Line, turn: ReturnType<typeof fullTurn>): void {
  const { question, clean, steps } = line;
  while (
    allows(line, "turn") &&
    turn.refused === null &&
    line.height_m - turn.height_m >= question.turnFloor_m &&
    turn.height_m > TINY_M
  ) {
    const after = line.excess_m - turn.height_m + question.tailwind_mps * turn.time_s * clean;
    if (after < 0) return;
    steps.push({
      action: "turn",
      name: "Full turn",
      flap: null,
      from_m: line.height_m,
      to_m: line.height_m - turn.height_m,
      ground_m: 0,
      time_s: turn.time_s,
      loses_m: line.excess_m - after,
    });
    line.height_m -= turn.height_m;
    line.distance_m -= question.tailwind_mps * turn.time_s;
    line.excess_m = after;
  }
}

/** S-turns, down to half the height that a full turn must keep. */
function loseByWeaving(line: Line, weave: NonNullable<ReturnType<typeof weaving>>): void {
  const { question, clean, steps } = line;
  if (!allows(line, "s-turns") || !(line.excess_m > TINY_M)) return;
  const { height_m } = line;
  const room = Math.min(
    Math.max(height_m - WEAVE_FLOOR * question.turnFloor_m, 0) / (clean + weave.perMetre),
    line.distance_m,
  );
  const x = Math.min(line.excess_m / weave.perMetre, room);
  if (!(x > 1)) return;
  const to_m = height_m - x * (clean + weave.perMetre);
  steps.push({
    action: "s-turns",
    name: "S-turns",
    flap: null,
    from_m: height_m,
    to_m,
    ground_m: x,
    time_s: x / weave.ground_mps,
    loses_m: x * weave.perMetre,
  });
  line.excess_m -= x * weave.perMetre;
  line.distance_m -= x;
  line.height_m = to_m;
}

/** @param over_mps - true airspeed over the gliding one */
function loseBySpeed(line: Line, faster: NonNullable<ReturnType<typeof fasterGlide>>, over_mps: number): void {
  const { clean, ground_mps, steps } = line;
  if (!allows(line, "speed") || faster.refused(line.distance_m) !== null || !(line.excess_m > TINY_M)) return;
  const perMetre = faster.slope - clean;
  const x = Math.min(line.excess_m / perMetre, FAST_SHARE * line.distance_m);
  steps.push({
    action: "speed",
    name: "Speed",
    flap: null,
    from_m: line.height_m,
    to_m: line.height_m - x * faster.slope,
    ground_m: x,
    time_s: x / (ground_mps + over_mps),
    loses_m: x * perMetre,
  });
  line.excess_m -= x * perMetre;
  line.distance_m -= x;
}

/**
 * Loses height by drag, one item on top of the other. All but the last are out over all of the way that is left; the
 * last comes out where it loses just the rest.
 */
function loseByDrag(
  line: Line,
  items: readonly DragItem[],
  slope: (config: Configuration, eas_mps: number) => number | null,
): void {
  const { question, clean, ground_mps, steps, distance_m } = line;
  const { configuration, certain_m, lose_m } = question;
  const stacked: { item: DragItem; gain: number; from: number }[] = [];
  let config = configuration;
  let before = clean;
  for (const item of items) {
    // What little is left is within what a pilot can hold; no gear and no last flap for that.
    if (!(line.excess_m > (item.late ? Math.max(LATE_ENOUGH_M, ENOUGH * lose_m) : TINY_M))) break;
    if (!allows(line, item.action) || item.refused !== null) continue;
    const next = item.put(config);
    const now = slope(next, item.eas_mps);
    // Faster flight loses by its speed, everything else by its drag; what loses nothing here is left out.
    const gain = now === null ? 0 : now - before;
    if (!(gain > 0)) continue;
    const room = item.late ? Math.min(certain_m / (before + gain), distance_m) : distance_m;
    const x = Math.min(line.excess_m / gain, room);
    // Gear and last flap that low are a change of trim in the flare.
    if (item.late && x * (before + gain) < LATE_FLOOR_M) continue;
    stacked.push({ item, gain, from: x });
    line.excess_m -= x * gain;
    before += gain;
    config = next;
  }
  const heightAt = (x: number) =>
    clean * x + stacked.reduce((sum, { gain, from }) => sum + gain * Math.min(x, from), 0);
  for (const { item, gain, from } of stacked)
    steps.push({
      action: item.action,
      name: item.name,
      flap: item.flap,
      from_m: heightAt(from),
      to_m: 0,
      ground_m: from,
      time_s: from / ground_mps,
      loses_m: gain * from,
    });
}

interface DragItem {
  readonly action: LossAction;
  readonly name: string;
  readonly flap: number | null;
  readonly limit_mps: number | null;
  readonly refused: string | null;
  readonly eas_mps: number;
  /** Comes out only when it is certain. */
  readonly late: boolean;
  put(config: Configuration): Configuration;
}

/** Drag in the order in which it is used. */
function itemsOf({ aircraft, configuration }: LoseQuestion, eas_mps: number): DragItem[] {
  const { polar, limits } = aircraft;
  const items: DragItem[] = [];
  const over = (limit_mps: number | null, what: string) =>
    limit_mps !== null && eas_mps > limit_mps + 1e-6 ? `Faster than ${what}: slow down first.` : null;
  if (!polar) return items;
  if (configuration.slip < 1 && polar.fullSlipDeltaCd > 0)
    items.push({
      action: "slip",
      name: "Full slip",
      flap: null,
      limit_mps: null,
      refused: null,
      eas_mps,
      late: false,
      put: (config) => ({ ...config, slip: 1 }),
    });
  for (let flap = configuration.flap + 1; flap < polar.landingFlap; flap += 1) {
    const limit_mps = limits.vfe_mps[flap] ?? null;
    items.push({
      action: "flap",
      name: `Flap ${polar.flaps[flap].name}`,
      flap,
      limit_mps,
      refused: over(limit_mps, "V_FE"),
      eas_mps,
      late: false,
      put: (config) => ({ ...config, flap }),
    });
  }
  if (polar.gear.retractable && !configuration.gearDown)
    items.push({
      action: "gear",
      name: "Gear",
      flap: null,
      limit_mps: limits.vlo_mps,
      refused: over(limits.vlo_mps, "V_LO"),
      eas_mps,
      late: true,
      put: (config) => ({ ...config, gearDown: true }),
    });
  if (configuration.flap < polar.landingFlap) {
    const limit_mps = limits.vfe_mps[polar.landingFlap] ?? null;
    items.push({
      action: "last-flap",
      name: `Flap ${polar.flaps[polar.landingFlap].name}`,
      flap: polar.landingFlap,
      limit_mps,
      refused: over(limit_mps, "V_FE"),
      eas_mps,
      late: true,
      put: (config) => ({ ...config, flap: polar.landingFlap }),
    });
  }
  return items;
}

interface FasterGlide {
  readonly eas_mps: number;
  /** Height lost for each metre of ground. */
  readonly slope: number;
  /** Why there is not the way for it; null when there is. */
  refused(distance_m: number): string | null;
}

/**
 * A faster glide within the limits of flap, gear and manoeuvring; what the dive takes comes back as it is slowed down
 * before the aim.
 */
function fasterGlide(
  { aircraft: { limits }, configuration }: LoseQuestion,
  eas_mps: number,
  slope: (config: Configuration, eas: number) => number | null,
): FasterGlide | null {
  const fast = Math.min(
    FASTER * eas_mps,
    limits.vfe_mps[configuration.flap] ?? Infinity,
    limits.va_mps ?? Infinity,
    configuration.gearDown ? (limits.vle_mps ?? Infinity) : Infinity,
  );
  const steeper = fast > eas_mps + 1 ? slope(configuration, fast) : null;
  const slower = slope(configuration, eas_mps);
  if (steeper === null || slower === null || !(steeper > slower)) return null;
  return {
    eas_mps: fast,
    slope: steeper,
    refused: (distance_m) =>
      (fast ** 2 - eas_mps ** 2) / (2 * G0) > (1 - FAST_SHARE) * distance_m * steeper
        ? "There is not the way to slow down again."
        : null,
  };
}

/** A full turn: 2π·dh/dψ at the bank, with its time. */
function fullTurn(
  { aircraft, mass_kg, configuration, bank_rad, stallMargin }: LoseQuestion,
  eas_mps: number,
  sigma: number,
): { height_m: number; time_s: number; refused: string | null } {
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return { height_m: 0, time_s: 0, refused: configured.issue.message };
  const { polar } = configured.value;
  const slowest = stallMargin * stallSpeed_mps(polar, levelTurnLoadFactor(bank_rad));
  const speed = Math.max(eas_mps, slowest);
  const cl = liftCoefficientAt(polar, speed, bank_rad);
  if (cl === null) return { height_m: 0, time_s: 0, refused: "At this bank the wing is at its stall." };
  const turn = glidingTurn(polar, cl, bank_rad, sigma * RHO0);
  return { height_m: 2 * Math.PI * turn.heightPerRadian_m, time_s: (2 * Math.PI) / turn.rate_radps, refused: null };
}

/** S-turns at the greatest weave: extra height for each metre of ground, and the ground speed along the line. */
function weaving(
  { tailwind_mps }: LoseQuestion,
  eas_mps: number,
  root: number,
  clean: number,
): { perMetre: number; ground_mps: number } | null {
  const along = (eas_mps / root) * (Math.sin(WEAVE_RAD) / WEAVE_RAD) + tailwind_mps;
  const straight = eas_mps / root + tailwind_mps;
  if (!(along > 1)) return null;
  return { perMetre: clean * (straight / along - 1), ground_mps: along };
}

interface OptionsOf {
  question: LoseQuestion;
  eas_mps: number;
  root: number;
  distance_m: number;
  clean: number;
  ground_mps: number;
  faster: FasterGlide | null;
  turn: ReturnType<typeof fullTurn>;
  weave: ReturnType<typeof weaving>;
  items: readonly DragItem[];
  slope: (config: Configuration, eas: number) => number | null;
}

function optionsOf({
  question,
  eas_mps,
  root,
  distance_m,
  clean,
  ground_mps,
  turn,
  weave,
  items,
  slope,
  faster,
}: OptionsOf): LossOption[] {
  const { height_m, turnFloor_m, certain_m, configuration } = question;
  const weaveRoom =
    weave === null
      ? 0
      : Math.min(Math.max(height_m - WEAVE_FLOOR * turnFloor_m, 0) / (clean + weave.perMetre), distance_m);
  return [
    {
      action: "turn",
      name: "Full turn",
      flap: null,
      height_m: turn.height_m,
      time_s: turn.time_s,
      limit_mps: null,
      refused:
        turn.refused ??
        (height_m - turn.height_m < turnFloor_m ? "It would end under the floor for full turns." : null),
    },
    {
      action: "s-turns",
      name: "S-turns",
      flap: null,
      height_m: weaveRoom * (weave?.perMetre ?? 0),
      time_s: weave === null ? 0 : weaveRoom / weave.ground_mps,
      limit_mps: null,
      refused:
        weave === null ? "Against this wind they make no headway." : weaveRoom <= 0 ? "Too low for turns." : null,
    },
    {
      action: "speed",
      name: "Speed",
      flap: null,
      limit_mps: faster?.eas_mps ?? null,
      height_m: faster === null ? 0 : FAST_SHARE * distance_m * (faster.slope - clean),
      time_s: faster === null ? 0 : (FAST_SHARE * distance_m) / (ground_mps + (faster.eas_mps - eas_mps) / root),
      refused: faster === null ? "It is at its limit already." : faster.refused(distance_m),
    },
    ...items.map((item): LossOption => {
      const now = slope(item.put(configuration), item.eas_mps);
      const room = item.late ? Math.min(certain_m / (now ?? clean), distance_m) : distance_m;
      return {
        action: item.action,
        name: item.name,
        flap: item.flap,
        limit_mps: item.limit_mps,
        height_m: now === null ? 0 : Math.max(room * (now - clean), 0),
        time_s: room / ground_mps,
        refused: item.refused ?? (now === null ? "It cannot be glided at this speed." : null),
      };
    }),
  ];
}
