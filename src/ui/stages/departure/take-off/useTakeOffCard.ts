"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useFormat } from "@/ui/kit/units/units-store";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import type { TakeOffCardContent } from "./TakeOffCardPdf";
import { takeOffDecision } from "@/ui/answers/take-off-words";

/** Makes the card of the present answer, and offers it to the print command while its view is open. */
export function useTakeOffCard(answer: TakeOffAnswer, brief: readonly string[]): () => void {
  const format = useFormat();
  const make = useCallback(() => {
    const { question, jet, speeds, accelerate, phases } = answer;
    const height = (value_m: number | null) => (value_m === null ? "none" : format("height", value_m));
    const content: TakeOffCardContent = {
      title: `Departure ${question.runway.name}`,
      sub: `${question.aircraft.name}, ${format("mass", question.mass_kg)}; QNH ${format("pressure", question.air.qnh_Pa)}; recognition ${question.plan.recognition_s} s; equivalent airspeeds`,
      answer: `${takeOffDecision(answer, format).lead} ${format("verticalSpeed", answer.climb_mps, "down")} at ${format("speed", speeds.oneEngine_mps)}`,
      rows: [
        {
          name: "V_MCA (5° bank) / V_R",
          value: `${speeds.vmca_mps === null ? "none" : format("speed", speeds.vmca_mps)} / ${format("speed", speeds.rotation_mps)}`,
        },
        {
          name: jet ? "V_2 / V_FTO" : "V_50 / V_YSE",
          value: `${format("speed", speeds.screen_mps)} / ${format("speed", speeds.oneEngine_mps)}`,
        },
        {
          name: `Stop, from ${format("speed", accelerate.failure_mps)}`,
          value: `${format("length", accelerate.stopX_m)} of ${format("length", question.runway.length_m)}`,
        },
        {
          name: `Go, ${jet ? "35" : "50"} ft`,
          value: accelerate.goX_m === null ? "never" : format("length", accelerate.goX_m),
        },
        ...(jet
          ? []
          : [
              {
                name: "Land on the runway until / go from, advised",
                value: `${height(phases.landUntil_m)} / ${height(phases.advisedFrom_m)}`,
              },
            ]),
      ],
      brief,
    };
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./TakeOffCardPdf")])
      .then(([{ makePdf }, { TakeOffCardPdf }]) =>
        makePdf(createElement(TakeOffCardPdf, { content }), `departure-${fileName(question.runway.name)}.pdf`),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [answer, brief, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
