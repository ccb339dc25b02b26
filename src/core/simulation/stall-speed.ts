import { G0, RHO0 } from "../quantities/constants";
import type { Flight } from "./flight";
import * as S from "./state";

/** Stalling speed at a load, with the flap as it is, equivalent, m/s; 0 of a rotorcraft, which has no wing to stall. */
export function stallSpeed_mps({ model, state: s }: Flight, loadFactor: number): number {
  if (model.kind !== "aeroplane") return 0;
  const flap = model.flaps[Math.max(0, Math.min(Math.round(s[S.FLAP_AT]), model.flaps.length - 1))];
  return Math.sqrt((2 * model.mass_kg * G0 * loadFactor) / (RHO0 * model.area_m2 * flap.clMax));
}
