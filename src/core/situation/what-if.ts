// The day a little otherwise: what a pilot asks before he goes.
import { MPS_PER_KT } from "../quantities/constants";
import type { SituationDocument } from "./situation-document";

/** What is changed, and by how much. */
export type WhatIfKind = "mass" | "wind" | "temperature" | "runway";

/** The situation with one thing changed. */
export interface WhatIf {
  readonly kind: WhatIfKind;
  /** SI; 0 for a runway. */
  readonly by: number;
  readonly endId: string | null;
  readonly change: Pick<SituationDocument, "mass_kg" | "wind" | "air" | "departure">;
  /** Why it cannot be; null when it can. */
  readonly why: string | null;
}

const [MASS_KG, WIND_MPS, WARMER_K] = [100, 10 * MPS_PER_KT, 10];

/** Wind stronger or weaker by the same at every height, its direction as it is; weaker than calm is calm. */
function windBy({ surface, layers }: SituationDocument["wind"], by_mps: number, from_rad: number) {
  const speed_mps = (wind_mps: number) => Math.max(wind_mps + by_mps, 0);
  return {
    surface: surface
      ? { ...surface, speed_mps: speed_mps(surface.speed_mps) }
      : by_mps > 0
        ? { from_rad, speed_mps: by_mps }
        : null,
    layers: layers.map((layer) => ({ ...layer, speed_mps: speed_mps(layer.speed_mps) })),
  };
}

/**
 * 100 kg, 10 kt and 10 °C more and less, and each other runway.
 *
 * @param mass - what the aircraft may weigh
 * @param runwayHeading_rad - where wind comes from that is added to a calm, true
 * @param otherEnds - landing ends whose direction is another take-off's
 */
export function whatIfs(
  { mass_kg, wind, air, departure }: Pick<SituationDocument, "mass_kg" | "wind" | "air" | "departure">,
  mass: { readonly minimum_kg: number; readonly maximum_kg: number },
  runwayHeading_rad: number,
  otherEnds: readonly string[],
): WhatIf[] {
  const now = { mass_kg, wind, air, departure };
  const both = [1, -1];
  const calm = (wind.surface?.speed_mps ?? 0) === 0 && wind.layers.every((layer) => layer.speed_mps === 0);
  return [
    ...both.map((sign): WhatIf => {
      const changed_kg = mass_kg + sign * MASS_KG;
      const why =
        changed_kg > mass.maximum_kg + 0.5
          ? "over its maximum mass"
          : changed_kg < mass.minimum_kg - 0.5
            ? "under its least mass"
            : null;
      return { kind: "mass", by: sign * MASS_KG, endId: null, change: { ...now, mass_kg: changed_kg }, why };
    }),
    ...both.map((sign): WhatIf => ({
      kind: "wind",
      by: sign * WIND_MPS,
      endId: null,
      change: { ...now, wind: windBy(wind, sign * WIND_MPS, runwayHeading_rad) },
      why: sign < 0 && calm ? "it is calm" : null,
    })),
    ...both.map((sign): WhatIf => {
      const deviation_K = air.deviation_K + sign * WARMER_K;
      return {
        kind: "temperature",
        by: sign * WARMER_K,
        endId: null,
        change: { ...now, air: { ...air, deviation_K } },
        why: Math.abs(deviation_K) > 60 ? "beyond 60 °C from the standard temperature" : null,
      };
    }),
    ...otherEnds.map((endId): WhatIf => ({
      kind: "runway",
      by: 0,
      endId,
      change: { ...now, departure: { ...departure, endId, intersection_m: 0 } },
      why: null,
    })),
  ];
}
