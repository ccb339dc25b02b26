"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import { EVACUATION, ditchingItems } from "@/core/landing/ditching-list";
import { secureList } from "@/core/landing/touchdown";
import { degrees, threeFigures } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useHeadingInWords } from "@/ui/situation/useHeadingInWords";
import { useSituation } from "@/ui/situation/situation-store";
import { formatWind } from "@/ui/situation/wind-words";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import type { LandingCardContent } from "./LandingCardPdf";
import { timeline } from "./ditching-timeline";
import { formatMargin } from "@/ui/kit/units/margin";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useAirspeed } from "@/ui/situation/useAirspeed";
import { useCall } from "./useCall";
import { useDitching } from "./useDitching";
import { useKeys } from "./useKeys";
import { useSites } from "./useSites";
import { firstMove } from "./way";
import { formatWaves } from "./wave-height";

/** The card of the landing, or of the ditching, as a PDF; offered to the print command while the stage is open. */
export function useLandingCard(ditch: boolean): () => void {
  const reach = useReach((state) => state.answer?.reach ?? null);
  const end = useReach(shownEnd);
  const situation = useSituation((state) => state.current);
  const units = useUnits((state) => state.units);
  const { document } = useAeroplane();
  const { keys } = useKeys();
  const sites = useSites();
  const ditching = useDitching();
  const call = useCall(ditch);
  const format = useFormat();
  const airspeed = useAirspeed();
  const headingInWords = useHeadingInWords();

  const make = useCallback(() => {
    const { surface } = situation.wind;
    const sub = `${document.name}, ${format("mass", situation.mass_kg)}, from ${format("height", situation.altitude_m)}; wind ${surface ? formatWind(surface, units) : "calm"}; QNH ${format("pressure", situation.air.qnh_Pa)}`;
    const said = call?.answer.ok ? call.answer.value.lines.map((line) => line.text).join(". ") : "";
    const content = ditch ? ditchingContent() : landingContent();
    if (!content) {
      toast(ditch ? "There is no ditching to print: see what the view says." : "There is no path to print a card of.");
      return;
    }
    // The PDF library is large: it comes when a card is asked for.
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./LandingCardPdf")])
      .then(([{ makePdf }, { LandingCardPdf }]) =>
        makePdf(
          createElement(LandingCardPdf, { content }),
          `${ditch ? "ditching" : "landing"}-${fileName(ditch ? document.name : (end?.name ?? ""))}.pdf`,
        ),
      )
      .catch(() => toast("The card could not be made. Try again."));

    function landingContent(): LandingCardContent | null {
      if (!end?.path || !reach) return null;
      const site = sites?.sites.find((candidate) => candidate.end.id === end.endId);
      const circuits = keys?.ok ? keys.value.circuits : [];
      return {
        title: `${end.name}: ${firstMove(end)}`,
        sub,
        large: [
          {
            name: end.path.margin_m >= 0 ? "Margin" : "Short by",
            value: formatMargin(end.path.margin_m, format).replace("+", ""),
          },
        ],
        rows: [
          {
            name: "Glide / turns / stall in the turn",
            value: `${end.glide ? airspeed(end.glideCalibrated_mps ?? end.glide.eas_mps) : "–"} / ${airspeed(reach.turn.eas_mps)} / ${airspeed(reach.turn.stallEas_mps)}`,
          },
          ...end.path.ledger
            .filter((entry) => entry.height_m > 0.5)
            .map((entry) => ({
              name: entry.name,
              value: `${format("height", entry.height_m)}${entry.time_s > 0 ? `, ${Math.round(entry.time_s)} s` : ""}`,
            })),
          ...(site?.length
            ? [
                {
                  name: "Length needed / there is",
                  value: `${format("length", site.length.needed_m)} / ${format("length", site.end.length_m)} ${site.end.surface}`,
                },
                {
                  name: "Approach / touchdown over the ground",
                  value: `${format("speed", site.length.approachTas_mps)} / ${format("speed", site.length.touchdownGroundSpeed_mps)}`,
                },
              ]
            : []),
        ],
        table:
          circuits.length > 0
            ? {
                head: ["keys, over aim", "overhead", "abeam", "base", "final"],
                rows: circuits.map((circuit) => [
                  circuit.side,
                  ...circuit.keys.map((key) => format("height", key.height_m)),
                ]),
              }
            : null,
        listHead: "By height over the ground",
        list: secureList(document).map((item) => ({
          when: item.by_m === null ? "at once" : format("height", item.by_m),
          what: item.what,
        })),
        call: said,
      };
    }

    function ditchingContent(): LandingCardContent | null {
      if (!ditching.answer.ok) return null;
      const answer = ditching.answer.value;
      return {
        title: "Ditching",
        sub: `${sub}; ${answer.swells.map(({ swell }) => `swell ${formatWaves(swell.height_m, units)}, ${swell.period_s} s, from ${threeFigures(swell.from_rad)}`).join("; ") || "no swell"}`,
        large: [{ name: "Heading", value: headingInWords(answer.best.heading_rad) }],
        rows: [
          { name: "Why", value: answer.rule },
          {
            name: `Approach / touchdown, flap ${answer.flapName}`,
            value: `${format("speed", answer.approachEas_mps)} / ${format("speed", answer.touchdownEas_mps)}`,
          },
          {
            name: "Nose above the horizon / over the water",
            value: `${formatNumber(degrees(answer.pitch_rad))}° / ${format("speed", answer.best.groundSpeed_mps)}`,
          },
        ],
        table: null,
        listHead: "By height over the water",
        list: [
          ...timeline(ditchingItems(document), situation.altitude_m, answer.glideSink_mps).map((item) => ({
            when: item.late || item.by_m === null ? "at once" : format("height", item.by_m),
            what: `${item.who}: ${item.what}`,
          })),
          ...EVACUATION.map((what, i) => ({ when: `out ${i + 1}`, what })),
        ],
        call: said,
      };
    }
  }, [ditch, reach, end, situation, units, document, keys, sites, ditching, call, format, airspeed, headingInWords]);

  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return make;
}
