"use client";
import { useEffect } from "react";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import { useShownDay } from "@/ui/situation/shown-day";
import { useDebrief } from "./debrief-store";
import { dayWords, windWords } from "./debrief-words";

/**
 * The strip shows the day of the flight that is open, as long as the stage is.
 *
 * @param looked - the view is about that flight
 */
export function useFlownDay(looked: boolean): void {
  const open = useDebrief((state) => state.open);
  const format = useFormat();
  const show = useShownDay((state) => state.show);
  useEffect(() => {
    if (!open?.found || !looked) return;
    const { log, found } = open;
    const { deviation_K } = log;
    const off =
      deviation_K === null ? null : `ISA ${deviation_K < 0 ? "−" : "+"}${formatNumber(Math.abs(deviation_K))} °C`;
    show({
      aircraft: log.aircraft?.name ?? null,
      mass: format("mass", log.mass_kg),
      wind: found.wind && windWords(found.wind, format),
      air: [dayWords(found.summary.begins_s), off].filter(Boolean).join(" · "),
    });
    return () => show(null);
  }, [open, looked, format, show]);
  useEffect(() => () => useShownDay.getState().lookAt(false), []);
}
