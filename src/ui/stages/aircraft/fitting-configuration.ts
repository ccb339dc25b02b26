import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { type Configuration, cleanGlide } from "@/core/aircraft/configuration";

/** The configuration as far as the aircraft can have it; what it cannot is as in its clean glide. */
export function fittingConfiguration(aircraft: Aeroplane, configuration: Configuration): Configuration {
  const { polar } = aircraft;
  const clean = cleanGlide(aircraft);
  const drag = polar?.deadPropeller;
  const possible =
    configuration.propeller === "none"
      ? !drag
      : drag !== null && drag !== undefined && drag[configuration.propeller] !== null;
  return {
    propeller: possible ? configuration.propeller : clean.propeller,
    flap: configuration.flap < (polar?.flaps.length ?? 1) ? configuration.flap : 0,
    gearDown: polar?.gear.retractable ? configuration.gearDown : true,
    slip: configuration.slip,
    items: configuration.items.filter((id) => polar?.items.some((item) => item.id === id)),
  };
}
