// Figures of an aircraft against each other: what looks wrong, and why. Nothing here refuses; the document's schema does that.
import { formatSi } from "../quantities/units";
import { levelStall_mps } from "./fit-handbook";
import type { AircraftDocument } from "./aircraft-document";

/** A figure that looks wrong. */
export interface Doubt {
  /** Where in the document. */
  readonly path: string;
  readonly message: string;
}

/** What aeroplanes are met with. Common practice. */
const ASPECT = [4, 25] as const;
const CLMAX = [1, 3.2] as const;
/** A manoeuvring speed is the stall times the root of the load limit, within this share. */
const VA_SHARE = 0.12;

/** A speed where the reader's units are not known. */
const inKnots = (speed_mps: number) => formatSi("speed", "kt", speed_mps);

/**
 * Checks the order and the size of an aircraft's figures.
 *
 * @param speed - puts a speed into the reader's units
 * @returns doubts in the order of the handbook; empty when nothing looks wrong
 * @see 14 CFR 23 as it was before 2017 (memory) for V_A = V_S·√n; the order of speeds is common practice
 */
export function doubtsAbout(
  { handbook, limits, mass, wing, polar, climb }: AircraftDocument,
  speed: (speed_mps: number) => string = inKnots,
): Doubt[] {
  const doubts: Doubt[] = [];
  const doubt = (path: string, message: string) => doubts.push({ path, message });
  /** Says so unless the first is below the second; a missing one says nothing. */
  const below = (path: string, low: number | null, high: number | null, message: string) => {
    if (low !== null && high !== null && !(low < high)) doubt(path, message);
  };
  if (!(handbook.mass_kg <= mass.maximum_kg && handbook.mass_kg >= mass.minimum_kg))
    doubt("handbook.mass_kg", "The handbook’s speeds are printed for a mass that this aircraft cannot have.");
  if (wing) {
    const aspect = wing.span_m ** 2 / wing.area_m2;
    if (!(aspect >= ASPECT[0] && aspect <= ASPECT[1]))
      doubt(
        "wing.span_m",
        `Span and area make an aspect ratio of ${aspect.toFixed(1)}; wings are met with from ${ASPECT[0]} to ${ASPECT[1]}. Check their units.`,
      );
    for (const [path, stall_mps, name] of [
      ["handbook.vs1_mps", handbook.vs1_mps, "flap up"],
      ["handbook.vs0_mps", handbook.vs0_mps, "with landing flap"],
    ] as const) {
      if (stall_mps === null) continue;
      const clMax = (levelStall_mps(handbook.mass_kg, wing.area_m2, 1) / stall_mps) ** 2;
      if (!(clMax >= CLMAX[0] && clMax <= CLMAX[1]))
        doubt(
          path,
          `The stall ${name} makes a CLmax of ${clMax.toFixed(2)}, which is not met with: check its unit, the mass and the wing area.`,
        );
    }
  }
  below(
    "handbook.vs0_mps",
    handbook.vs0_mps,
    handbook.vs1_mps,
    "The stall with landing flap is not below the clean stall: flap should lower it.",
  );
  below("handbook.vbg_mps", handbook.vs1_mps, handbook.vbg_mps, "Best glide is not above the clean stall.");
  below("handbook.vx_mps", handbook.vs1_mps, handbook.vx_mps, "V_X is not above the clean stall.");
  below(
    "handbook.vy_mps",
    handbook.vx_mps,
    handbook.vy_mps,
    "V_Y is not above V_X: the best rate is flown faster than the best angle.",
  );
  if (handbook.vbg_mps !== null && handbook.vs1_mps !== null && handbook.vbg_mps > 2.5 * handbook.vs1_mps)
    doubt("handbook.vbg_mps", "Best glide is more than 2.5 times the stall: check its unit.");
  if (handbook.bestGlideRatio !== null && handbook.bestGlideRatio > 25 && climb)
    doubt("handbook.bestGlideRatio", "A glide ratio above 25 is a glider’s.");
  below("limits.va_mps", handbook.vs1_mps, limits.va_mps, "V_A is not above the clean stall.");
  below("limits.vne_mps", limits.va_mps, limits.vne_mps, "V_NE is not above V_A.");
  below("limits.vne_mps", handbook.vbg_mps, limits.vne_mps, "V_NE is not above best glide.");
  if (limits.va_mps !== null && handbook.vs1_mps !== null) {
    const expected = handbook.vs1_mps * Math.sqrt(limits.loadFactor);
    if (Math.abs(limits.va_mps / expected - 1) > VA_SHARE)
      doubt(
        "limits.va_mps",
        `V_A is usually V_S·√n, here ${speed(expected)}; ${speed(limits.va_mps)} is off by more than ${VA_SHARE * 100} %.`,
      );
  }
  if (limits.vlo_mps !== null && limits.vle_mps !== null && limits.vle_mps < limits.vlo_mps)
    doubt("limits.vle_mps", "With the gear down one may fly at least as fast as it may be moved.");
  if (!(limits.loadFactorFlap <= limits.loadFactor))
    doubt("limits.loadFactorFlap", "The load limit with flap is not above the one without.");
  if (polar) {
    polar.flaps.forEach((flap, i) => {
      const before = polar.flaps[i - 1];
      if (before && !(flap.clMax >= before.clMax))
        doubt(
          `polar.flaps.${i}.clMax`,
          `CLmax with flap ${flap.name} is below that with ${before.name}: more flap should stall slower.`,
        );
      if (before && !(flap.deltaCd >= before.deltaCd))
        doubt(`polar.flaps.${i}.deltaCd`, `Flap ${flap.name} has less drag than ${before.name}.`);
      const [limit, limitBefore] = [limits.vfe_mps[i] ?? null, limits.vfe_mps[i - 1] ?? null];
      if (limit !== null && limitBefore !== null && limit > limitBefore)
        doubt(`limits.vfe_mps.${i}`, `V_FE of flap ${flap.name} is above that of ${before?.name}.`);
      if (limit !== null && handbook.vs1_mps !== null && limit < handbook.vs1_mps)
        doubt(`limits.vfe_mps.${i}`, `V_FE of flap ${flap.name} is below the clean stall: it could never be lowered.`);
    });
    const { deadPropeller } = polar;
    if (
      deadPropeller?.stopped !== undefined &&
      deadPropeller?.stopped !== null &&
      deadPropeller.feathered !== null &&
      deadPropeller.feathered > deadPropeller.stopped
    )
      doubt("polar.deadPropeller.feathered", "A feathered propeller should drag less than a stopped one.");
  }
  return doubts;
}
