import { bisect } from "../numeric/bisect";
import { failure } from "../outcome";
import { KG_PER_LB, G0 } from "../quantities/constants";
import { stallEas_mps } from "./one-engine-climb";
import type { AsymmetricCase } from "./asymmetric-case";
import { type Equilibrium, equilibriumAt } from "./equilibrium";

/** One engine at full power asks for more than the controls have, however fast: there is no minimum control speed. */
export const NO_CONTROL = failure(
  "no_control",
  "With one engine stopped and the other at full power a control is beyond its stop at every speed.",
  "mass_kg",
);

/** What runs out first as speed falls. */
export type ControlLimit = "rudder" | "aileron" | "fin" | "pedal";

/** Greatest pedal force asked of a pilot, N: 150 lbf. 14 CFR 23.149 as it was before 2017 (memory). */
export const PEDAL_N = 150 * KG_PER_LB * G0;

/** Speeds that are looked through, over the stall, and the step. */
const FROM = 1.9;
const TO = 0.4;
const STEP = 0.005;
/** Halvings of the bracket: below a thousandth of a knot. */
const HALVINGS = 30;

/** Where a control limit is met: at a speed, at every speed that was looked at, or at none of them. */
export type LimitSpeed =
  { readonly kind: "at"; readonly eas_mps: number } | { readonly kind: "everywhere" } | { readonly kind: "never" };

/** Minimum control speed with the limits that make it. */
export interface Vmca {
  /** The highest speed at which a control limit is met; null when none is, or when one is everywhere. */
  readonly eas_mps: number | null;
  readonly binding: ControlLimit | null;
  readonly limits: Readonly<Record<ControlLimit, LimitSpeed>>;
  /** Stall with this bank and flap. */
  readonly stall_mps: number;
  /** The stall comes before control is lost. */
  readonly stallFirst: boolean;
}

/** Every limit. */
export const CONTROLS: readonly ControlLimit[] = ["rudder", "aileron", "fin", "pedal"];

/** Share of a limit that a state uses; 1 at the limit. */
export function usedShare(flight: AsymmetricCase, state: Equilibrium, limit: ControlLimit): number {
  const { asymmetric: a } = flight;
  switch (limit) {
    case "rudder":
      return Math.abs(state.rudder_rad) / a.rudderMax_rad;
    case "aileron":
      return Math.abs(state.aileron_rad) / a.aileronMax_rad;
    case "fin":
      return Math.abs(state.fin_rad) / a.finStall_rad;
    case "pedal":
      return Math.abs(state.pedal_N) / PEDAL_N;
  }
}

/** A control is beyond its limit, or nothing holds it. */
function exceeded(flight: AsymmetricCase, state: Equilibrium | null, limit: ControlLimit): boolean {
  return state === null || usedShare(flight, state, limit) >= 1;
}

/**
 * Minimum control speed in the air for a bank into the live engine.
 *
 * For each limit speed is scanned down from 1.9 to 0.4 times the stall, the first crossing bracketed and halved; the
 * highest binds.
 *
 * @param bank_rad - into the live engine positive; valid −0.17…0.35
 * @returns equivalent airspeeds; a limit that is exceeded everywhere or never is told as such
 * @see 14 CFR 23.149 as it was before 2017 (memory)
 */
export function vmca(flight: AsymmetricCase, bank_rad: number): Vmca {
  const bank = flight.liveSide * bank_rad;
  const stall_mps = stallEas_mps(flight, bank_rad);
  const level = stallEas_mps(flight, 0);
  const limits: Record<ControlLimit, LimitSpeed> = {
    rudder: { kind: "never" },
    aileron: { kind: "never" },
    fin: { kind: "never" },
    pedal: { kind: "never" },
  };
  const over = (eas_mps: number, limit: ControlLimit) => exceeded(flight, equilibriumAt(flight, eas_mps, bank), limit);
  // All limits on one way down: the equilibrium is the same for each.
  let open = CONTROLS;
  let above = FROM * level;
  for (let ratio = FROM; ratio >= TO && open.length > 0; ratio -= STEP) {
    const below = ratio * level;
    const state = equilibriumAt(flight, below, bank);
    const met = open.filter((limit) => exceeded(flight, state, limit));
    for (const limit of met) {
      const { high } = bisect((middle) => over(middle, limit), below, above, HALVINGS);
      limits[limit] = ratio === FROM ? { kind: "everywhere" } : { kind: "at", eas_mps: high };
    }
    if (met.length > 0) open = open.filter((limit) => !met.includes(limit));
    above = below;
  }
  const everywhere = CONTROLS.find((limit) => limits[limit].kind === "everywhere") ?? null;
  const speedOf = (limit: ControlLimit) => {
    const limitSpeed = limits[limit];
    return limitSpeed.kind === "at" ? limitSpeed.eas_mps : -Infinity;
  };
  const highest = CONTROLS.reduce((best, limit) => (speedOf(limit) > speedOf(best) ? limit : best));
  const eas_mps = everywhere === null && Number.isFinite(speedOf(highest)) ? speedOf(highest) : null;
  return {
    eas_mps,
    binding: everywhere ?? (eas_mps === null ? null : highest),
    limits,
    stall_mps,
    stallFirst: everywhere === null && (eas_mps === null || eas_mps <= stall_mps),
  };
}

/** Share used of every control's stop. */
export function usedShares(flight: AsymmetricCase, state: Equilibrium): Record<ControlLimit, number> {
  return Object.fromEntries(CONTROLS.map((control) => [control, usedShare(flight, state, control)])) as Record<
    ControlLimit,
    number
  >;
}

/** Most bank into the live engine that minimum control speed counts on. 14 CFR 23.149 before 2017, 25.149 (memory). */
const MOST_BANK_RAD = (5 * Math.PI) / 180;

/**
 * Minimum control speed with as much bank as may be counted on. A heavy aeroplane with little thrust is pushed over its
 * controls by that bank, not by its engine: then with wings level.
 */
export function vmcaInBank(flight: AsymmetricCase): Vmca {
  const banked = vmca(flight, MOST_BANK_RAD);
  return banked.binding !== null && banked.eas_mps === null ? vmca(flight, 0) : banked;
}
