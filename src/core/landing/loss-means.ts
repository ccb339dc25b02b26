// What loses height on the way in, each by itself: drag in the order in which it is used, a faster glide, a full turn,
// S-turns. Not here: the float of a speed carried into the flare, gusts, what the flight manual forbids (slips with
// flap in some types).
import type { Configuration } from "../aircraft/configuration";
import { levelTurnLoadFactor, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { glidingTurn } from "../glide/gliding-turn";
import { liftCoefficientAt } from "../glide/straight-glide";
import { G0, RHO0 } from "../quantities/constants";
import type { LossAction } from "../situation/landing-plan";
import type { LoseQuestion } from "./lose-question";

/** Heading to each side of the line in S-turns, at most: common practice, so that the place stays in sight. */
const WEAVE_RAD = Math.PI / 4;
/** A glide fast enough to lose height: this much faster than flown. Common practice. */
const FASTER = 1.25;
/** Share of the way that is flown faster; the rest is for slowing down. */
export const FAST_SHARE = 0.7;
/** S-turns end at this share of the full turn's floor. */
export const WEAVE_FLOOR = 0.5;

/** Height lost for each metre of ground in a configuration at a speed, m/s EAS; null when it cannot be flown there. */
export type SlopeOf = (config: Configuration, eas_mps: number) => number | null;

/** Something that adds drag, and the limit that it must be used within. */
export interface DragItem {
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
export function dragItems({ aircraft, configuration }: LoseQuestion, eas_mps: number): DragItem[] {
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

/** A glide faster than the one flown. */
export interface FasterGlide {
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
export function fasterGlide(
  { aircraft: { limits }, configuration }: LoseQuestion,
  eas_mps: number,
  slope: SlopeOf,
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
export function fullTurn(
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
export function weaving(
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
