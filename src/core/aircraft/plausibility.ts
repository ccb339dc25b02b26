// Figures of an aircraft against each other: what looks wrong, and why. Nothing here refuses; the document's schema
// does that.
import { formatSi } from "../quantities/units";
import { levelStall_mps } from "./fit-handbook";
import type { Aeroplane } from "./aeroplane";

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

/** Tells of a doubt. */
type Tell = (path: string, message: string) => void;
/** What is checked together. */
type Figures = Pick<Aeroplane, "handbook" | "limits" | "mass" | "wing" | "polar" | "climb">;

/**
 * Checks the order and the size of an aircraft's figures.
 *
 * @param speed - puts a speed into the reader's units
 * @returns doubts in the order of the handbook; empty when nothing looks wrong
 * @see 14 CFR 23 as it was before 2017 (memory) for V_A = V_S·√n; the order of speeds is common practice
 */
export function doubtsAbout(figures: Figures, speed: (speed_mps: number) => string = inKnots): Doubt[] {
  const doubts: Doubt[] = [];
  const tell: Tell = (path, message) => doubts.push({ path, message });
  const { handbook, mass } = figures;
  if (!(handbook.mass_kg <= mass.maximum_kg && handbook.mass_kg >= mass.minimum_kg))
    tell("handbook.mass_kg", "The handbook’s speeds are printed for a mass that this aircraft cannot have.");
  wingDoubts(figures, tell);
  speedDoubts(figures, tell);
  limitDoubts(figures, speed, tell);
  flapDoubts(figures, tell);
  propellerDoubts(figures, tell);
  return doubts;
}

/** Tells unless the first speed is below the second; a missing one says nothing. */
function below(tell: Tell, path: string, low: number | null, high: number | null, message: string): void {
  if (low !== null && high !== null && !(low < high)) tell(path, message);
}

function wingDoubts({ handbook, wing }: Figures, tell: Tell): void {
  if (!wing) return;
  const aspect = wing.span_m ** 2 / wing.area_m2;
  if (!(aspect >= ASPECT[0] && aspect <= ASPECT[1]))
    tell(
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
      tell(
        path,
        `The stall ${name} makes a CLmax of ${clMax.toFixed(2)}, which is not met with: check its unit, the mass and the wing area.`,
      );
  }
}

function speedDoubts({ handbook, climb }: Figures, tell: Tell): void {
  const { vs0_mps, vs1_mps, vbg_mps, vx_mps, vy_mps, bestGlideRatio } = handbook;
  below(
    tell,
    "handbook.vs0_mps",
    vs0_mps,
    vs1_mps,
    "The stall with landing flap is not below the clean stall: flap should lower it.",
  );
  below(tell, "handbook.vbg_mps", vs1_mps, vbg_mps, "Best glide is not above the clean stall.");
  below(tell, "handbook.vx_mps", vs1_mps, vx_mps, "V_X is not above the clean stall.");
  below(
    tell,
    "handbook.vy_mps",
    vx_mps,
    vy_mps,
    "V_Y is not above V_X: the best rate is flown faster than the best angle.",
  );
  if (vbg_mps !== null && vs1_mps !== null && vbg_mps > 2.5 * vs1_mps)
    tell("handbook.vbg_mps", "Best glide is more than 2.5 times the stall: check its unit.");
  if (bestGlideRatio !== null && bestGlideRatio > 25 && climb)
    tell("handbook.bestGlideRatio", "A glide ratio above 25 is a glider’s.");
}

function limitDoubts({ handbook, limits }: Figures, speed: (speed_mps: number) => string, tell: Tell): void {
  const { va_mps, vne_mps, vlo_mps, vle_mps, loadFactor, loadFactorFlap } = limits;
  below(tell, "limits.va_mps", handbook.vs1_mps, va_mps, "V_A is not above the clean stall.");
  below(tell, "limits.vne_mps", va_mps, vne_mps, "V_NE is not above V_A.");
  below(tell, "limits.vne_mps", handbook.vbg_mps, vne_mps, "V_NE is not above best glide.");
  if (va_mps !== null && handbook.vs1_mps !== null) {
    const expected = handbook.vs1_mps * Math.sqrt(loadFactor);
    if (Math.abs(va_mps / expected - 1) > VA_SHARE)
      tell(
        "limits.va_mps",
        `V_A is usually V_S·√n, here ${speed(expected)}; ${speed(va_mps)} is off by more than ${VA_SHARE * 100} %.`,
      );
  }
  if (vlo_mps !== null && vle_mps !== null && vle_mps < vlo_mps)
    tell("limits.vle_mps", "With the gear down one may fly at least as fast as it may be moved.");
  if (!(loadFactorFlap <= loadFactor))
    tell("limits.loadFactorFlap", "The load limit with flap is not above the one without.");
}

function flapDoubts({ handbook, limits, polar }: Figures, tell: Tell): void {
  polar?.flaps.forEach((flap, i) => {
    const before = polar.flaps[i - 1];
    if (before && !(flap.clMax >= before.clMax))
      tell(
        `polar.flaps.${i}.clMax`,
        `CLmax with flap ${flap.name} is below that with ${before.name}: more flap should stall slower.`,
      );
    if (before && !(flap.deltaCd >= before.deltaCd))
      tell(`polar.flaps.${i}.deltaCd`, `Flap ${flap.name} has less drag than ${before.name}.`);
    const [limit, limitBefore] = [limits.vfe_mps[i] ?? null, limits.vfe_mps[i - 1] ?? null];
    if (limit !== null && limitBefore !== null && limit > limitBefore)
      tell(`limits.vfe_mps.${i}`, `V_FE of flap ${flap.name} is above that of ${before?.name}.`);
    if (limit !== null && handbook.vs1_mps !== null && limit < handbook.vs1_mps)
      tell(`limits.vfe_mps.${i}`, `V_FE of flap ${flap.name} is below the clean stall: it could never be lowered.`);
  });
}

function propellerDoubts({ polar }: Figures, tell: Tell): void {
  const stopped = polar?.deadPropeller?.stopped ?? null;
  const feathered = polar?.deadPropeller?.feathered ?? null;
  if (stopped !== null && feathered !== null && feathered > stopped)
    tell("polar.deadPropeller.feathered", "A feathered propeller should drag less than a stopped one.");
}
