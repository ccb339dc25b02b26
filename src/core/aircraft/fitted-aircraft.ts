import { type Outcome, failure, success } from "../outcome";
import type { Aeroplane } from "./aeroplane";
import { deadEnginesCd } from "./polar";
import { type HandbookFigures, type HandbookFit, fitHandbook, levelStall_mps } from "./fit-handbook";

/** Weight of a printed or flown point against best glide's two figures. */
const POINT_WEIGHT = 1;
/**
 * Drag of a dead propeller on a light aeroplane's wing area, until the book says better. Typical of the kind, common
 * practice.
 */
export const USUAL_PROPELLER = {
  basis: "wing",
  windmilling: 0.014,
  stopped: 0.007,
  coarse: null,
  feathered: null,
} as const;
/** Of a twin, whose propellers feather, on the disc area of each. Typical of the kind, common practice. */
export const USUAL_FEATHERING = {
  basis: "disc",
  windmilling: 0.18,
  stopped: 0.08,
  coarse: null,
  feathered: 0.008,
} as const;

/** What the fit needs, from the document as it stands. */
export function figuresOf({ handbook, wing, polar }: Aeroplane): Outcome<HandbookFigures> {
  if (!wing) return failure("wing_missing", "The fit needs wing area and span.", "wing");
  if (handbook.vbg_mps === null || handbook.bestGlideRatio === null)
    return failure("glide_missing", "The fit needs best glide speed and ratio.", "handbook.vbg_mps");
  if (handbook.vs1_mps === null) return failure("stall_missing", "The fit needs the clean stall.", "handbook.vs1_mps");
  const flaps = polar?.flaps ?? [];
  // Flaps between up and landing have no printed stall: they keep the CLmax they have.
  const stall_mps =
    flaps.length === 0
      ? [
          { flap: "up", speed_mps: handbook.vs1_mps },
          ...(handbook.vs0_mps === null ? [] : [{ flap: "landing", speed_mps: handbook.vs0_mps }]),
        ]
      : flaps.map((flap, i) => ({
          flap: flap.name,
          speed_mps:
            i === 0
              ? (handbook.vs1_mps ?? 0)
              : i === polar?.landingFlap && handbook.vs0_mps !== null
                ? handbook.vs0_mps
                : levelStall_mps(handbook.mass_kg, wing.area_m2, flap.clMax),
        }));
  return success({
    mass_kg: handbook.mass_kg,
    wingArea_m2: wing.area_m2,
    span_m: wing.span_m,
    vbg_mps: handbook.vbg_mps,
    bestGlideRatio: handbook.bestGlideRatio,
    stall_mps,
    points: handbook.glidePoints.map((point) => ({ ...point, weight: POINT_WEIGHT })),
  });
}

/** Fits the model to the document's own handbook figures. */
export function fitOf(aircraft: Aeroplane): Outcome<HandbookFit> {
  const figures = figuresOf(aircraft);
  return figures.ok ? fitHandbook(figures.value) : figures;
}

/**
 * The aircraft with the fit in its model. The book's glide includes the dead propeller, so CD0 is what is left without
 * it.
 *
 * @returns `fit_impossible` when the propeller's drag alone exceeds what the book's glide allows
 */
export function withFit(aircraft: Aeroplane, fit: HandbookFit): Outcome<Aeroplane> {
  const deadPropeller = aircraft.polar
    ? aircraft.polar.deadPropeller
    : aircraft.engines.kind !== "propeller"
      ? null
      : aircraft.engines.count > 1
        ? USUAL_FEATHERING
        : USUAL_PROPELLER;
  const cd0 = fit.cd0 - (deadEnginesCd(aircraft, deadPropeller, aircraft.handbook.glidePropeller) ?? 0);
  if (!(cd0 > 0))
    return failure(
      "fit_impossible",
      "The dead engines alone drag more than the book’s glide allows: check their drag, or what the propeller did in the book’s glide.",
      "polar.deadPropeller",
    );
  const flaps = fit.clMax.map(({ flap, clMax }, i) => {
    const known = aircraft.polar?.flaps[i];
    return known
      ? { ...known, clMax }
      : { name: flap, clMax, deltaCd: i === 0 ? 0 : 0.055, deltaCl0: i === 0 ? 0 : 0.5 };
  });
  const polar = aircraft.polar
    ? { ...aircraft.polar, cd0, k: fit.k, flaps }
    : {
        cd0,
        k: fit.k,
        flaps,
        takeOffFlap: 0,
        landingFlap: flaps.length - 1,
        gear: { retractable: false, deltaCd: 0 },
        fullSlipDeltaCd: 0.04,
        cdBeta: null,
        items: [],
        deadPropeller,
      };
  return success({ ...aircraft, polar });
}
