"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useFormat } from "@/ui/kit/units/units-store";
import type { EngineOutCard } from "@/core/asymmetric/engine-out";
import type { SpeedsCardContent } from "./SpeedsCardPdf";
import { flownBank_rad, useEngineOut } from "@/ui/answers/engine-out-store";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";

/** Makes the card of speeds on one engine, and offers it to the print command while its view is open. */
export function useSpeedsCard(card: EngineOutCard | null): () => void {
  const now = useEngineOut((state) => state.now);
  const bank_rad = useEngineOut((state) => flownBank_rad(state.trial, state.now));
  const { aircraft, mass_kg, altitude_m } = useEngineOutQuestion();
  const format = useFormat();
  const make = useCallback(() => {
    if (!card || !now) {
      toast("The card is still being computed.");
      return;
    }
    const jet = aircraft.engines.kind === "jet";
    const { vmca, speeds, zeroSideslip_rad } = now;
    const content: SpeedsCardContent = {
      title: `${aircraft.name}: on one engine`,
      sub: `${format("mass", mass_kg)} at ${format("height", altitude_m)}; equivalent airspeeds, estimates`,
      large: [
        {
          name: jet ? "Best rate" : "V_YSE",
          value: `${format("speed", speeds.rate.eas_mps)}, ${format("verticalSpeed", speeds.rate.climb_mps)}`,
        },
        {
          name: `V_MCA today, ${formatNumber(degrees(bank_rad), 1)}° bank`,
          value: vmca.eas_mps === null ? "none" : vmca.stallFirst ? "stall first" : format("speed", vmca.eas_mps),
        },
      ],
      rows: [
        {
          name: "V_MCA book, 5° bank",
          value: aircraft.asymmetric ? format("speed", aircraft.asymmetric.publishedVmca_mps) : "–",
        },
        { name: "V_S as banked", value: format("speed", vmca.stall_mps) },
        {
          name: "V_SSE, book",
          value: aircraft.handbook.vsse_mps === null ? "–" : format("speed", aircraft.handbook.vsse_mps),
        },
        {
          name: jet ? "Best angle" : "V_XSE",
          value: `${format("speed", speeds.angle.eas_mps)}, ${formatNumber(speeds.angle.gradient * 100, 1)} %`,
        },
        {
          name: "No sideslip",
          value:
            zeroSideslip_rad === null
              ? "–"
              : `bank ${formatNumber(degrees(zeroSideslip_rad), 1)}°, ball ${formatNumber(degrees(zeroSideslip_rad) / 5, 1)} out`,
        },
      ],
      table: {
        head: ["mass", "altitude", "V_MCA", "V_S", jet ? "best rate" : "V_YSE", "climb"],
        rows: card.rows.map((row) => [
          format("mass", row.mass_kg),
          format("height", row.altitude_m),
          row.vmca_mps === null ? "–" : row.vmca_mps <= row.stall_mps ? "stall first" : format("speed", row.vmca_mps),
          format("speed", row.stall_mps),
          format("speed", row.vyse.eas_mps),
          format("verticalSpeed", row.vyse.climb_mps),
        ]),
      },
      caution: `V_MCA with take-off flap at ${formatNumber(degrees(bank_rad), 1)}° of bank. Below it: power back, nose down. The red and blue lines of the indicator stay what they are.`,
    };
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./SpeedsCardPdf")])
      .then(([{ makePdf }, { SpeedsCardPdf }]) =>
        makePdf(createElement(SpeedsCardPdf, { content }), `one-engine-${fileName(aircraft.name)}.pdf`),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [card, now, aircraft, mass_kg, altitude_m, bank_rad, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
