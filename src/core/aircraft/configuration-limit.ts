import type { Aeroplane } from "./aeroplane";

/** What binds a speed. */
export interface SpeedLimit {
  readonly speed_mps: number;
  readonly name: "V_NE" | "V_FE" | "V_LE" | "V_LO";
}

/**
 * The fastest indicated speed of a configuration: never exceed, flap out, gear down, whichever is least.
 *
 * @param flap - index into the aircraft's flaps
 * @param gear - `moving` while it is put down or up, when its operating speed binds too
 * @returns null where the document names none of them
 */
export function configurationLimit(
  { limits, polar }: Pick<Aeroplane, "limits" | "polar">,
  flap: number,
  gear: "up" | "down" | "moving",
): SpeedLimit | null {
  const retractable = polar?.gear.retractable ?? false;
  const named: readonly (SpeedLimit | false)[] = [
    limits.vne_mps !== null && { speed_mps: limits.vne_mps, name: "V_NE" },
    flap > 0 && typeof limits.vfe_mps[flap] === "number" && { speed_mps: limits.vfe_mps[flap], name: "V_FE" },
    gear !== "up" && retractable && limits.vle_mps !== null && { speed_mps: limits.vle_mps, name: "V_LE" },
    gear === "moving" && retractable && limits.vlo_mps !== null && { speed_mps: limits.vlo_mps, name: "V_LO" },
  ];
  return named
    .filter((limit) => limit !== false)
    .reduce<SpeedLimit | null>(
      (least, limit) => (least === null || limit.speed_mps < least.speed_mps ? limit : least),
      null,
    );
}
