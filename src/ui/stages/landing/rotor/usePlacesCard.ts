"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import { shownOf, useRotorLooked, useRotorPlaces } from "@/ui/answers/useRotorReach";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { formatWind } from "@/ui/situation/wind-words";
import { placesCard } from "./places-card";

/** The card of the place that is looked at, as a PDF; offered to the print command while the stage is open. */
export function usePlacesCard(): () => void {
  const { value, asked } = useRotorPlaces();
  const pinnedId = useRotorLooked((state) => state.pinnedId);
  const surface = useSituation((state) => state.current.wind.surface);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const make = useCallback(() => {
    const { aircraft, mass_kg, altitude_m, air } = asked.question;
    const shown = shownOf(value, pinnedId);
    const sub = `${aircraft.name}, ${format("mass", mass_kg)}, from ${format("height", altitude_m)}; wind ${surface ? formatWind(surface, units) : "calm"}; QNH ${format("pressure", air.qnh_Pa)}`;
    const content = shown && placesCard(shown, sub, format);
    if (!content) return void toast("There is no way to print a card of.");
    // The PDF library is large: it comes when a card is asked for.
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("../LandingCardPdf")])
      .then(([{ makePdf }, { LandingCardPdf }]) =>
        makePdf(createElement(LandingCardPdf, { content }), `landing-${fileName(shown.end.name)}.pdf`),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [value, asked, pinnedId, surface, units, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
