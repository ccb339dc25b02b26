// Drag polar of a configuration: CD = CD0 + k·CL² + Σ ΔCD(item).
// Not here: compressibility, ground effect, power effects, the polar beyond the stall.
import { type Outcome, failure, success } from "../outcome";
import { formatNumber } from "../quantities/units";
import { G0, RHO0 } from "../quantities/constants";
import type { Aeroplane } from "./aeroplane";
import type { PropellerState } from "./propeller-state";
import type { Configuration } from "./configuration";

/** A polar ready to glide with: coefficients of one configuration at one mass. */
export interface Polar {
  readonly cd0: number;
  readonly k: number;
  readonly clMax: number;
  /** Weight over wing area, N/m². */
  readonly wingLoading: number;
}

/** One contribution to CD0, for the working. */
export interface DragShare {
  readonly name: string;
  readonly deltaCd: number;
  /** Of the dead engines or their propellers: gone while they run. */
  readonly dead: boolean;
}

/**
 * The polar of a configuration at a mass, with what CD0 is made of.
 *
 * @param mass_kg - between the aircraft's minimum and maximum; refused outside
 * @returns `no_polar` before a fit, `mass_outside`, `no_such_flap`,
 *   `no_such_propeller_state`, `no_such_item`
 */
export function polarOf(
  aircraft: Aeroplane,
  mass_kg: number,
  configuration: Configuration,
): Outcome<{ polar: Polar; shares: DragShare[] }> {
  const { polar, wing } = aircraft;
  if (!polar || !wing)
    return failure(
      "no_polar",
      `${aircraft.name} has no polar yet: fill in its handbook in the Aircraft stage and take over the fit.`,
      "aircraft",
    );
  if (!(mass_kg >= aircraft.mass.minimum_kg && mass_kg <= aircraft.mass.maximum_kg)) {
    return failure(
      "mass_outside",
      `The mass of ${aircraft.name} is ${formatNumber(aircraft.mass.minimum_kg)} to ${formatNumber(aircraft.mass.maximum_kg)} kg; ${formatNumber(mass_kg)} kg is outside.`,
      "mass_kg",
    );
  }
  const flap = polar.flaps[configuration.flap];
  if (!flap)
    return failure("no_such_flap", `${aircraft.name} has no flap setting ${configuration.flap}.`, "configuration.flap");
  const propeller = deadEnginesCd(aircraft, polar.deadPropeller, configuration.propeller);
  if (propeller === null)
    return failure(
      "no_such_propeller_state",
      `The propeller of ${aircraft.name} cannot be ${configuration.propeller}.`,
      "configuration.propeller",
    );
  const shares: DragShare[] = [];
  const share = (name: string, deltaCd: number, dead = false) => shares.push({ name, deltaCd, dead });
  share("clean", polar.cd0);
  if (propeller > 0)
    share(
      aircraft.engines.kind === "jet" ? "dead engines windmilling" : `propeller ${configuration.propeller}`,
      propeller,
      true,
    );
  if (flap.deltaCd > 0) share(`flap ${flap.name}`, flap.deltaCd);
  if (configuration.gearDown && polar.gear.deltaCd > 0) share("gear down", polar.gear.deltaCd);
  if (configuration.slip > 0) share("sideslip", configuration.slip * polar.fullSlipDeltaCd);
  for (const id of configuration.items) {
    const item = polar.items.find((candidate) => candidate.id === id);
    if (!item) return failure("no_such_item", `${aircraft.name} has no drag item “${id}”.`, "configuration.items");
    share(item.name, item.deltaCd);
  }
  const cd0 = shares.reduce((sum, entry) => sum + entry.deltaCd, 0);
  return success({ polar: { cd0, k: polar.k, clMax: flap.clMax, wingLoading: (mass_kg * G0) / wing.area_m2 }, shares });
}

/**
 * ΔCD of all dead engines on the wing area: their propellers, of a jet the engines themselves.
 *
 * @param drag - of the dead propellers; null where there is none to drag
 * @returns null when the propeller cannot be in that state
 */
export function deadEnginesCd(
  { engines, wing }: Pick<Aeroplane, "engines" | "wing">,
  drag: NonNullable<Aeroplane["polar"]>["deadPropeller"],
  state: PropellerState,
): number | null {
  if (engines.kind === "jet") return wing ? (engines.count * engines.deadDragArea_m2) / wing.area_m2 : null;
  if (!drag || state === "none") return drag ? null : 0;
  const coefficient = drag[state];
  if (coefficient === null) return null;
  if (drag.basis === "wing") return coefficient;
  if (engines.kind !== "propeller" || !wing) return null;
  return (engines.count * coefficient * Math.PI * engines.propeller.diameter_m ** 2) / 4 / wing.area_m2;
}

/** Drag coefficient at a lift coefficient. */
export function dragCoefficient(polar: Polar, cl: number): number {
  return polar.cd0 + polar.k * cl * cl;
}

/**
 * Stalling speed at a load factor, equivalent airspeed, m/s.
 *
 * @param loadFactor - 1 in level flight; √n scales the speed
 * @see FAA-H-8083-25, stall speed and load factor
 */
export function stallSpeed_mps(polar: Polar, loadFactor = 1): number {
  return Math.sqrt((2 * polar.wingLoading * loadFactor) / (RHO0 * polar.clMax));
}

/** Load factor of a coordinated level turn, 1/cosφ. */
export function levelTurnLoadFactor(bank_rad: number): number {
  return 1 / Math.cos(bank_rad);
}
