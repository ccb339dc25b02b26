import type { Aeroplane } from "../aircraft/aeroplane";
import { USUAL_FEATHERING, USUAL_PROPELLER } from "../aircraft/fitted-aircraft";

/** A jet's engine until the book says better: thrust for a climb of a light one. */
const FIRST_JET = { thrust_N: 12_000, throttleRatio: 1.05, maxContinuous: 0.93, deadDragArea_m2: 0.05 } as const;
/** What a propeller beside the fuselage does to control and lift, typical of the kind. Common practice. */
const BESIDE = { pFactor: 0.15, slipstreamRoll: 0.4 } as const;

type DeadPropeller = NonNullable<Aeroplane["polar"]>["deadPropeller"];

/** A twin's propellers feather. */
function deadPropellerOf(known: DeadPropeller, category: "single" | "twin"): DeadPropeller {
  if (category === "twin") return known && known.feathered !== null ? known : USUAL_FEATHERING;
  return known && known.basis === "wing" ? known : USUAL_PROPELLER;
}

/**
 * An aircraft turned into another kind: engines and sections are those of that kind, what both have stays.
 *
 * @param category - with wings
 */
export function ofCategory(aircraft: Aeroplane, category: "single" | "twin" | "jet"): Aeroplane {
  const { engines, wing } = aircraft;
  if (category === "jet")
    return {
      ...aircraft,
      category,
      engines: engines.kind === "jet" ? { ...engines, count: 2 } : { kind: "jet", count: 2, ...FIRST_JET },
      polar: aircraft.polar && { ...aircraft.polar, deadPropeller: null },
      handbook: { ...aircraft.handbook, glidePropeller: "none" },
    };
  const count = category === "twin" ? 2 : 1;
  const piston =
    engines.kind === "propeller"
      ? engines
      : {
          kind: "propeller" as const,
          count,
          fuelSystem: "carburettor" as const,
          power_W: 119_300,
          speed_rpm: 2700,
          criticalHeight_m: null,
          propeller: {
            diameter_m: 1.9,
            efficiency: 0.78,
            rotation: [1 as const],
            pFactor: null,
            slipstreamRoll: null,
            localChord_m: null,
          },
          thrustLine: null,
          liquidCooled: false,
        };
  const chord_m = wing ? wing.area_m2 / wing.span_m : 1.5;
  const propeller =
    category === "twin"
      ? {
          ...piston.propeller,
          rotation: [1 as const, 1 as const],
          pFactor: piston.propeller.pFactor ?? BESIDE.pFactor,
          slipstreamRoll: piston.propeller.slipstreamRoll ?? BESIDE.slipstreamRoll,
          localChord_m: piston.propeller.localChord_m ?? chord_m,
        }
      : { ...piston.propeller, rotation: [1 as const] };
  return {
    ...aircraft,
    category,
    engines: { ...piston, count, propeller, thrustLine: category === "single" ? piston.thrustLine : null },
    polar: aircraft.polar && {
      ...aircraft.polar,
      deadPropeller: deadPropellerOf(aircraft.polar.deadPropeller, category),
    },
    handbook: {
      ...aircraft.handbook,
      glidePropeller: aircraft.handbook.glidePropeller === "none" ? "windmilling" : aircraft.handbook.glidePropeller,
    },
    asymmetric: category === "single" ? null : aircraft.asymmetric,
  };
}
