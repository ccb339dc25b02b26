"use client";
import { clamp } from "@/core/numeric/clamp";
import { useCallback, useEffect } from "react";
import { toast } from "sonner";
import { cleanGlide } from "@/core/aircraft/configuration";
import { polarOf, stallSpeed_mps } from "@/core/aircraft/polar";
import { cleanestConfiguration, dragShelf } from "@/core/glide/drag-shelf";
import { bestGlide } from "@/core/glide/straight-glide";
import { M_PER_FT, M_PER_NMI } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { offerCard } from "@/ui/kit/print/card-store";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import type { NumbersCardContent } from "./NumbersCardPdf";
import { printNumbers } from "./print-numbers";
import { massRows } from "./mass-rows";
import { useEdited } from "./useEdited";

/** Makes the numbers card, and offers it to the print command while the stage is open. */
export function useNumbersCard(): () => void {
  const { document } = useEdited();
  const situationMass = useSituation((state) => state.current.mass_kg);
  const format = useFormat();
  const make = useCallback(() => {
    const mass_kg = clamp(situationMass, document.mass.minimum_kg, document.mass.maximum_kg);
    const configured = polarOf(document, mass_kg, cleanGlide(document));
    if (!configured.ok) {
      toast("The card needs the model: fill in the handbook and take over its fit.");
      return;
    }
    const best = bestGlide(configured.value.polar);
    const shelf = dragShelf(document, mass_kg, best.eas_mps, cleanestConfiguration(document));
    const { handbook, limits } = document;
    const speed = (value: number | null) => (value === null ? null : format("speed", value));
    const speeds: readonly (readonly [string, string | null])[] = [
      [
        "V_S1 / V_S at this mass",
        `${speed(handbook.vs1_mps) ?? "–"} / ${format("speed", stallSpeed_mps(configured.value.polar))}`,
      ],
      ["V_S0, landing flap", speed(handbook.vs0_mps)],
      ["V_X", speed(handbook.vx_mps)],
      ["V_Y", speed(handbook.vy_mps)],
      ["V_A", speed(limits.va_mps)],
      ["V_LO / V_LE", limits.vlo_mps === null ? null : `${speed(limits.vlo_mps)} / ${speed(limits.vle_mps) ?? "–"}`],
      ["V_NE", speed(limits.vne_mps)],
    ];
    const content: NumbersCardContent = {
      title: `${document.name}: numbers`,
      sub: `${format("mass", mass_kg)}, propeller as the dead engine leaves it; equivalent airspeeds`,
      large: [
        { name: "Best glide", value: format("speed", best.eas_mps) },
        {
          name: "Ratio",
          value: `${formatNumber(best.ratio, 1)}:1, ${formatNumber((best.ratio * 1000 * M_PER_FT) / M_PER_NMI, 2)} NM per 1 000 ft`,
        },
      ],
      speeds: speeds.flatMap(([name, value]) => (value === null ? [] : [{ name, value }])),
      byMass: {
        head: ["mass", "V_S1", "V_S0", "least sink", "best glide"],
        rows: massRows(document).map((row) => [
          format("mass", row.mass_kg),
          format("speed", row.vs1_mps),
          speed(row.vs0_mps) ?? "–",
          format("speed", row.leastSink_mps),
          format("speed", row.best_mps),
        ]),
      },
      besides: {
        head: "Each of these alone leaves",
        lines: shelf.ok
          ? shelf.value.items.map((item) => ({
              name: item.name,
              value: `${formatNumber(item.glide.ratio, 1)}:1 at ${format("speed", item.glide.bestEas_mps)}`,
            }))
          : [],
      },
    };
    printNumbers(content, document.name);
  }, [document, situationMass, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
