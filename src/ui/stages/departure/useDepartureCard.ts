"use client";
import { useCallback, useEffect } from "react";
import { createElement } from "react";
import { toast } from "sonner";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { plannedReaction_s } from "@/core/situation/pilot-practice";
import { offerCard } from "@/ui/kit/print/card-store";
import { useSituation } from "@/ui/situation/situation-store";
import { useAirspeed } from "@/ui/situation/useAirspeed";
import { formatWind } from "@/ui/situation/wind-words";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import type { DepartureCardContent } from "./DepartureCardPdf";
import { useDeparture } from "@/ui/answers/departure-store";
import { useDepartureBrief } from "@/ui/answers/useDepartureBrief";

/**
 * The card of the present answers as a PDF, offered to the print command while the stage is open; null until the chance
 * is known.
 */
export function useDepartureCard(): (() => void) | null {
  const scan = useDeparture((state) => state.scan);
  const chance = useDeparture((state) => state.chance);
  const brief = useDepartureBrief();
  const wind = useSituation((state) => state.current.wind);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const airspeed = useAirspeed();
  const ready = brief !== null && scan !== null && chance !== null;

  const make = useCallback(() => {
    if (!brief || !scan || !chance) {
      toast("The card needs the gate: wait until the chance is computed.");
      return;
    }
    const { question, facts } = scan;
    const { atGate, gates } = chance;
    const technique = atGate?.technique;
    const content: DepartureCardContent = {
      title: `Departure ${question.runway.name}`,
      sub: `${question.aircraft.name}, ${format("mass", question.mass_kg)}; wind ${wind.surface ? formatWind(wind.surface, units) : "calm"}; QNH ${format("pressure", question.air.qnh_Pa)}; reaction ${formatNumber(plannedReaction_s(question.pilot), 1)} s, ${question.plan.reaction === "attitude" ? "attitude held" : "hands off"}`,
      gate: gates.gate_m === null ? "none: ahead" : format("height", gates.gate_m, "up"),
      rows: [
        {
          name: "Fixed heights / computed gate",
          value: `${format("height", gates.fixed_m)} / ${gates.computed_m === null ? "none" : format("height", gates.computed_m, "up")}`,
        },
        {
          name: "Works as planned",
          value:
            scan.bands.length === 0
              ? "at no height"
              : scan.bands
                  .map(
                    (band) =>
                      `${format("height", band.from_m)} ${band.to_m === null ? "up" : `to ${format("height", band.to_m)}`}`,
                  )
                  .join(", "),
        },
        { name: "Climb / best glide", value: `${airspeed(facts.climbEas_mps)} / ${airspeed(facts.bestEas_mps)}` },
        ...(technique && atGate
          ? [
              {
                name: "Turn back",
                value: `${technique.side === -1 ? "left" : "right"}, ${Math.round(degrees(technique.bank_rad))}°, ${airspeed((technique.stallMargin * facts.stallEas_mps) / Math.sqrt(Math.cos(technique.bank_rad)))}`,
              },
              {
                name: "Stall level / in the turn",
                value: `${airspeed(facts.stallEas_mps)} / ${airspeed(facts.stallEas_mps / Math.sqrt(Math.cos(technique.bank_rad)))}`,
              },
              {
                name: "Tailwind, touchdown over the ground",
                value: `${format("speed", atGate.result.roll.tailwind_mps)}, ${format("speed", atGate.result.roll.touchdownGroundSpeed_mps)}`,
              },
            ]
          : []),
      ],
      brief,
      track: atGate && {
        runway_m: question.runway.length_m,
        climb: facts.climb
          .filter((point) => point.height_m <= atGate.height_m)
          .map((point) => [point.x_m, point.y_m] as const),
        back: atGate.points.map((point) => [point.x_m, point.y_m] as const),
      },
    };
    // The PDF library is large: it comes when a card is asked for.
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./DepartureCardPdf")])
      .then(([{ makePdf }, { DepartureCardPdf }]) =>
        makePdf(
          createElement(DepartureCardPdf, { content }),
          `departure-${question.runway.name.toLowerCase().replaceAll(" ", "-")}.pdf`,
        ),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [brief, scan, chance, wind, units, format, airspeed]);

  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return ready ? make : null;
}
