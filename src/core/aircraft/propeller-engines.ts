import { z } from "zod";
import { fraction, power_W, range } from "./document-fields";

const Propeller = z.strictObject({
  diameter_m: range("A propeller diameter, in m,", 0.3, 8),
  efficiency: fraction("A propeller’s efficiency"),
  /** +1 clockwise from behind, one entry an engine, left first. */
  rotation: z
    .array(z.union([z.literal(1), z.literal(-1)]))
    .min(1)
    .max(4),
  pFactor: z.number().min(0).max(1).nullable(),
  slipstreamRoll: z.number().min(0).max(2).nullable(),
  localChord_m: range("A chord, in m,", 0.1, 20).nullable(),
});

/** Engines that turn propellers: power, fuel, propeller. */
export const PropellerEngines = z.strictObject({
  kind: z.literal("propeller"),
  count: z.int().min(1).max(4),
  /** How fuel comes to it; `turbine` for a turboprop. */
  fuelSystem: z.enum(["carburettor", "injection", "turbine"]),
  power_W: power_W("Engine power"),
  speed_rpm: range("Engine speed, in rpm,", 100, 20_000),
  /** Height to which a turbocharger or flat rating holds sea-level power; null where power falls from the ground on. */
  criticalHeight_m: z.number().min(0).max(15_000).nullable(),
  propeller: Propeller,
  /** Measured thrust line T = staticThrust − slope·V, where the handbook's climb gives it. */
  thrustLine: z
    .strictObject({
      static_N: range("Static thrust, in N,", 50, 1e6),
      slope_Nspm: range("The slope of thrust, in N for each m/s,", 0, 2e4),
    })
    .nullable(),
  liquidCooled: z.boolean(),
});
