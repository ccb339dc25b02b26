// The chance that some place is reached from a point of a flight, when the pilot and the air are not exactly as
// planned. Seeded draws over the accounts of the places about. Not here: rising and sinking air, a turn to another
// place half-way.
import { clamp } from "../numeric/clamp";
import { type Draw, type Scatter, delay_s, drawnBank_rad } from "../situation/scatter";

/** The account of a place, as far as it scatters. */
export interface ScatteredAccount {
  readonly bearing_rad: number;
  readonly distance_m: number;
  readonly reaction_m: number;
  readonly turn_m: number;
  readonly straight_m: number;
  /** Left when all goes as planned, the reserve spent: errors are what it is for. */
  readonly spare_m: number;
}

/** How the glide is planned. */
export interface PlannedGlide {
  readonly reaction_s: number;
  readonly bank_rad: number;
  /** Sink in the straight glide. */
  readonly sink_mps: number;
}

/** Into more wind than this share of its speed over the ground a leg is not flown on. */
const LEAST_SPEED_SHARE = 0.1;
/** A glide is no better or worse than this many times the planned. */
const GLIDE_RANGE: readonly [number, number] = [0.5, 1.5];

/**
 * Share of the draws that reach some place.
 *
 * Of each draw: the reaction's height goes by its seconds; a turn's by 1/sin 2φ (coordinated, from the equilibrium of
 * the gliding turn, C_L held); the straight part by the time that the wind along it leaves, over the glide's share and
 * 2/(r² + 1/r²) for a speed r times the best (parabolic polar).
 *
 * @returns 0…1; null without a place or a draw
 */
export function chanceOfPlace(
  accounts: readonly ScatteredAccount[],
  { reaction_s, bank_rad, sink_mps }: PlannedGlide,
  scatter: Scatter,
  sample: readonly Draw[],
): number | null {
  if (accounts.length === 0 || sample.length === 0) return null;
  const reached = sample.filter((draw) => {
    const delay = reaction_s > 0 ? delay_s(reaction_s, scatter.delay_s, draw.delay) / reaction_s : 1;
    const bank = drawnBank_rad(bank_rad, scatter.bank_rad, draw.bank);
    const turn = Math.sin(2 * bank_rad) / Math.sin(2 * bank);
    const speed = Math.max(1 + scatter.speed * draw.speed, 0.5);
    const glide = (clamp(1 + scatter.glide * draw.glide, ...GLIDE_RANGE) * 2) / (speed * speed + 1 / (speed * speed));
    const [east_mps, north_mps] = [scatter.crosswind_mps * draw.crosswind, scatter.headwind_mps * draw.headwind];
    return accounts.some((account) => {
      const { bearing_rad, distance_m, reaction_m, turn_m, straight_m, spare_m } = account;
      const planned_mps = straight_m > 0 ? (distance_m * sink_mps) / straight_m : 1;
      const along_mps = east_mps * Math.sin(bearing_rad) + north_mps * Math.cos(bearing_rad);
      const slower = planned_mps / Math.max(planned_mps + along_mps, LEAST_SPEED_SHARE * planned_mps);
      const more_m = reaction_m * (delay - 1) + turn_m * (turn - 1) + straight_m * (slower / glide - 1);
      return spare_m - more_m >= 0;
    });
  });
  return reached.length / sample.length;
}
