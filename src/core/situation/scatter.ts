// How far a pilot and a day differ from their plan, and seeded draws of that.
import { randomLcg, randomNormal } from "d3-random";
import { clamp } from "../numeric/clamp";
import { MPS_PER_KT } from "../quantities/constants";
import { practiceFactor } from "./pilot-practice";
import type { Pilot } from "./situation-document";

/** What scatters: the seconds before acting, bank, speed, wind, glide ratio, intercept angle. */
export const SCATTER_KINDS = ["delay", "bank", "speed", "headwind", "crosswind", "glide", "intercept"] as const;

/** One of `SCATTER_KINDS`. */
export type ScatterKind = (typeof SCATTER_KINDS)[number];

/** Standard deviations. */
export interface Scatter {
  readonly delay_s: number;
  readonly bank_rad: number;
  /** Of the speed, as a share. */
  readonly speed: number;
  readonly headwind_mps: number;
  readonly crosswind_mps: number;
  /** Of the glide ratio, as a share. */
  readonly glide: number;
  readonly intercept_rad: number;
}

/** How far pilots and days differ from their plan. Common practice: no survey stands behind these figures. */
export const USUAL_SCATTER: Scatter = {
  delay_s: 1.5,
  bank_rad: (5 * Math.PI) / 180,
  speed: 0.04,
  headwind_mps: 3 * MPS_PER_KT,
  crosswind_mps: 3 * MPS_PER_KT,
  glide: 0.06,
  intercept_rad: (8 * Math.PI) / 180,
};

/** What is usual counts like so many flights of one's own beside those that were measured. Ours. */
const USUAL_COUNT = 3;

/**
 * A standard deviation of one's own from a few flights, with what is usual as some more: few say little of a scatter.
 *
 * s² = (n₀σ₀² + (n − 1)s_own²)/(n₀ + n − 1), as variances are pooled; n₀ is ours.
 */
export function pooledSpread(usual: number, own: { readonly spread: number; readonly count: number } | null): number {
  if (!own || own.count < 2) return usual;
  const more = own.count - 1;
  return Math.sqrt((USUAL_COUNT * usual ** 2 + more * own.spread ** 2) / (USUAL_COUNT + more));
}

/**
 * The scatter of a pilot: usual, or the pilot's own as far as it is known. What the pilot does scatters more after a
 * time without practice, wind and glide do not.
 */
export function pilotScatter({ daysSincePractised, own }: Pick<Pilot, "daysSincePractised" | "own">): Scatter {
  const factor = practiceFactor(daysSincePractised);
  const { speed, intercept_rad } = USUAL_SCATTER;
  const delay_s = pooledSpread(USUAL_SCATTER.delay_s, own?.reaction_s ?? null);
  const bank_rad = pooledSpread(USUAL_SCATTER.bank_rad, own?.bank_rad ?? null);
  return {
    ...USUAL_SCATTER,
    delay_s: factor * delay_s,
    bank_rad: factor * bank_rad,
    speed: factor * speed,
    intercept_rad: factor * intercept_rad,
  };
}

/** The delay lies between these, s: nobody acts at once, and after this long nobody turns back. */
const DELAY_LEAST_S = 1;
const DELAY_MOST_S = 12;

/** One pilot on one day: how far each thing is from its plan, in standard deviations. */
export type Draw = Readonly<Record<ScatterKind, number>>;

/** The draws of a seed: the same for every height, so that the curve is smooth and slices add up. */
export function draws(seed: number, count: number): Draw[] {
  const normal = randomNormal.source(randomLcg(seed))(0, 1);
  return Array.from(
    { length: count },
    () => Object.fromEntries(SCATTER_KINDS.map((kind) => [kind, normal()])) as Record<ScatterKind, number>,
  );
}

/**
 * Lognormal delay with the mean and standard deviation given, within 1…12 s.
 *
 * σ² = ln(1 + sd²/mean²), μ = ln(mean) − σ²/2.
 */
export function delay_s(mean_s: number, deviation_s: number, draw: number): number {
  if (deviation_s === 0) return mean_s;
  const mean = Math.max(mean_s, DELAY_LEAST_S);
  const variance = Math.log(1 + (deviation_s / mean) ** 2);
  return clamp(Math.exp(Math.log(mean) - variance / 2 + Math.sqrt(variance) * draw), DELAY_LEAST_S, DELAY_MOST_S);
}

/** A bank that was planned lies between these: less is no turn any more, and nobody holds more in a glide. */
const BANK_LEAST_RAD = Math.PI / 36;
const BANK_MOST_RAD = (75 * Math.PI) / 180;

/** The bank that is flown for a planned one, within 5° and 75°. */
export function drawnBank_rad(planned_rad: number, deviation_rad: number, draw: number): number {
  if (deviation_rad === 0) return planned_rad;
  return clamp(planned_rad + deviation_rad * draw, BANK_LEAST_RAD, BANK_MOST_RAD);
}

/** The scatter with one of its kinds exact. */
export function without(scatter: Scatter, kind: ScatterKind): Scatter {
  const field: Record<ScatterKind, keyof Scatter> = {
    delay: "delay_s",
    bank: "bank_rad",
    speed: "speed",
    headwind: "headwind_mps",
    crosswind: "crosswind_mps",
    glide: "glide",
    intercept: "intercept_rad",
  };
  return { ...scatter, [field[kind]]: 0 };
}
