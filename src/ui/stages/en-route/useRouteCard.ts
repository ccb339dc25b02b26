"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import { useRoute } from "@/ui/answers/route-store";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";
import { routeCardContent } from "./route-card";

/** The card of the flight as a PDF; offered to the print command while the stage is open. */
export function useRouteCard(): () => void {
  const answer = useRoute((state) => state.route?.answer ?? null);
  const drift = useRoute((state) => state.drift?.answer ?? null);
  const detours = useRoute((state) => state.detours);
  const { route, mass_kg } = useSituation((state) => state.current);
  const { document } = useAircraft();
  const format = useFormat();
  const make = useCallback(() => {
    if (!answer) return void toast("There is no flight to print: see what the view says.");
    const [first, last] = [route.points[0], route.points[route.points.length - 1]];
    const content = routeCardContent(
      answer,
      drift,
      detours,
      route,
      `${document.name}, ${format("mass", mass_kg)}`,
      format,
    );
    // The PDF library is large: it comes when a card is asked for.
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./RouteCardPdf")])
      .then(([{ makePdf }, { RouteCardPdf }]) =>
        makePdf(createElement(RouteCardPdf, { content }), `route-${fileName(first.name)}-${fileName(last.name)}.pdf`),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [answer, drift, detours, route, mass_kg, document, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
