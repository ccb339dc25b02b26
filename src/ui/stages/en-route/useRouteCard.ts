"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import type { RouteAnswer } from "@/core/route/route-answer";
import { useRoute } from "@/ui/answers/route-store";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";
import type { RouteCardContent } from "./RouteCardPdf";
import { withoutPlace } from "./route-headline";
import { flightInWords, gapInWords } from "./route-words";

/** Every so many points of the flight one is drawn on paper. */
const EVERY = 4;

function profileOf({ points, length_m }: RouteAnswer): RouteCardContent["profile"] {
  const drawn = points.filter((_, i) => i % EVERY === 0 || i === points.length - 1);
  const top_m = Math.max(...drawn.map(({ altitude_m, cover_m }) => Math.max(altitude_m, cover_m ?? 0)));
  const spot = (distance_m: number, altitude_m: number): [number, number] => [
    distance_m / length_m,
    Math.max(0, altitude_m) / top_m,
  ];
  return {
    ground: drawn.map(({ distance_m, ground_m }) => spot(distance_m, ground_m ?? 0)),
    planned: drawn.map(({ distance_m, altitude_m }) => spot(distance_m, altitude_m)),
    cover: drawn.flatMap(({ distance_m, cover_m }) => (cover_m === null ? [] : [spot(distance_m, cover_m)])),
  };
}

/** The card of the flight as a PDF; offered to the print command while the stage is open. */
export function useRouteCard(): () => void {
  const answer = useRoute((state) => state.route?.answer ?? null);
  const detours = useRoute((state) => state.detours);
  const { route, mass_kg } = useSituation((state) => state.current);
  const { document } = useAircraft();
  const format = useFormat();
  const make = useCallback(() => {
    if (!answer) return void toast("There is no flight to print: see what the view says.");
    const [first, last] = [route.points[0], route.points[route.points.length - 1]];
    const content: RouteCardContent = {
      title: `${first.name} – ${last.name}`,
      sub: `${document.name}, ${format("mass", mass_kg)}; ${flightInWords(answer, format)}`,
      large: [{ name: "Altitude", value: format("height", route.altitude_m) }],
      rows: [
        {
          name: "Without a place in reach",
          value: answer.gaps.length === 0 ? "never" : withoutPlace(answer),
        },
        { name: "Wanted overhead a place", value: format("height", route.overhead_m) },
      ],
      profile: profileOf(answer),
      gaps: answer.gaps.map((gap, i) => {
        const said = gapInWords(
          answer,
          detours,
          { distance_m: gap.from_m, time_s: gap.fromTime_s },
          route.altitude_m,
          format,
        );
        const span = `${format("distance", gap.from_m)} to ${format("distance", gap.to_m)}`;
        return `${i + 1}. ${span}: ${said?.headline.replace(/^[^:]*: /, "") ?? ""} ${said?.text ?? ""}`;
      }),
      stretches: answer.stretches.map(({ place, from_m, to_m }) => {
        const within = answer.points.filter(({ distance_m }) => distance_m >= from_m && distance_m <= to_m);
        const most_m = Math.max(...within.map(({ cover_m }) => cover_m ?? Infinity));
        return [
          place < 0 ? "no place" : answer.places[place].name,
          format("distance", from_m),
          format("distance", to_m),
          Number.isFinite(most_m) ? format("height", most_m, "up") : "none helps",
        ];
      }),
    };
    // The PDF library is large: it comes when a card is asked for.
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./RouteCardPdf")])
      .then(([{ makePdf }, { RouteCardPdf }]) =>
        makePdf(createElement(RouteCardPdf, { content }), `route-${fileName(first.name)}-${fileName(last.name)}.pdf`),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [answer, detours, route, mass_kg, document, format]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
