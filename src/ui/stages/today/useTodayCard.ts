"use client";
import { createElement, useCallback, useEffect } from "react";
import { toast } from "sonner";
import { BRIEF_CAUTION } from "@/core/departure/brief";
import { isoDay } from "@/core/situation/not-of-today";
import { TAKE_OFF_CAUTION } from "@/core/take-off/take-off-brief";
import { useHasTwoEngines } from "@/ui/answers/useTakeOffAnswer";
import { fileName } from "@/ui/kit/download";
import { offerCard } from "@/ui/kit/print/card-store";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import type { TodayCardContent } from "./TodayCardPdf";
import type { Today } from "./useToday";
import { useNow } from "./useNow";
import { useDayKind } from "./useWhatIf";
import { WHAT_IF_COLUMNS, type WhatIfLine, whatIfFigures, whatIfName } from "./what-if-words";

/** The day as a PDF, offered to the print command while the page is open; null until the brief is whole. */
export function useTodayCard(today: Today, whatIf: readonly WhatIfLine[]): (() => void) | null {
  const two = useHasTwoEngines();
  const kind = useDayKind();
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const now_ms = useNow();
  const make = useCallback(() => {
    if (!today.complete || !today.runway) {
      toast("The card needs the brief: wait until it is computed.");
      return;
    }
    const content: TodayCardContent = {
      title: `${today.runway.name}, ${isoDay(now_ms)}`,
      sub: today.parts[0]?.lines[0] ?? "",
      lead: today.lead ?? "",
      old: today.old,
      parts: today.parts.slice(1),
      table: {
        head: ["if", ...WHAT_IF_COLUMNS[kind].map(({ head }) => head)],
        rows: whatIf.flatMap((line) => {
          const { figures } = line;
          if (!figures) return [];
          const [first, second] = whatIfFigures(figures, whatIf[0]?.figures ?? null, kind, format);
          return [[whatIfName(line, units), figures.issue ? "does not work" : first, second]];
        }),
      },
      caution: two ? TAKE_OFF_CAUTION : BRIEF_CAUTION,
    };
    void Promise.all([import("@/ui/kit/print/make-pdf"), import("./TodayCardPdf")])
      .then(([{ makePdf }, { TodayCardPdf }]) =>
        makePdf(createElement(TodayCardPdf, { content }), `today-${fileName(today.runway?.name ?? "")}.pdf`),
      )
      .catch(() => toast("The card could not be made. Try again."));
  }, [today, whatIf, two, kind, units, format, now_ms]);
  useEffect(() => {
    offerCard(make);
    return () => offerCard(null);
  }, [make]);
  return today.complete ? make : null;
}
