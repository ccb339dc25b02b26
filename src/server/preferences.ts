// An account's own settings: units, appearance, home and background, nothing that can grow.
import { z } from "zod";
import { Background } from "@/core/earth/background";
import { UNITS } from "@/core/quantities/units";

const unitsOf = (kind: keyof typeof UNITS) => z.enum(Object.keys(UNITS[kind]) as [string, ...string[]]).optional();

/** What an account may choose for itself. */
export const Preferences = z.strictObject({
  units: z
    .strictObject({
      speed: unitsOf("speed"),
      height: unitsOf("height"),
      distance: unitsOf("distance"),
      length: unitsOf("length"),
      mass: unitsOf("mass"),
      pressure: unitsOf("pressure"),
      temperature: unitsOf("temperature"),
      verticalSpeed: unitsOf("verticalSpeed"),
      force: unitsOf("force"),
      power: unitsOf("power"),
      glide: unitsOf("glide"),
      area: unitsOf("area"),
      dimension: unitsOf("dimension"),
      volume: unitsOf("volume"),
    } satisfies Record<keyof typeof UNITS, unknown>)
    .optional(),
  appearance: z.enum(["system", "day", "night"]).optional(),
  /** The place that one flies from; null when one was asked and looks at the demo world first. */
  home: z.string().min(1).max(64).nullable().optional(),
  /** What lies under the maps beside the relief; nothing is fetched without it. */
  background: Background.nullable().optional(),
});
/** @see Preferences */
export type Preferences = z.infer<typeof Preferences>;
