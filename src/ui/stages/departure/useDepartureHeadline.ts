"use client";
import { currentChance, useDeparture } from "@/ui/answers/departure-store";
import { useTakeOff } from "@/ui/answers/take-off-store";
import { useHasTwoEngines } from "@/ui/answers/useTakeOffAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import type { Headline } from "../stage-face";
import { NOTHING_YET, gateHeadline } from "@/ui/answers/departure-words";
import { takeOffHeadline } from "@/ui/answers/take-off-words";

/** For singles the gate, for twins and jets whether and from where it climbs away. */
export function useDepartureHeadline(): Headline | undefined {
  const single = useSingleHeadline();
  const twin = useTwinHeadline();
  return useHasTwoEngines() ? twin : single;
}

/** Whether and from where it climbs away on one engine. */
function useTwinHeadline(): Headline | undefined {
  const answer = useTakeOff((state) => state.answer);
  const issue = useTakeOff((state) => state.issue);
  const format = useFormat();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!answer) return undefined;
  return takeOffHeadline(answer, format);
}

/** The gate once the chance is known; until then from where turning back works as planned. */
function useSingleHeadline(): Headline | undefined {
  const scan = useDeparture((state) => state.scan);
  const issue = useDeparture((state) => state.issue);
  const chance = useDeparture((state) => state.chance);
  const progress = useDeparture((state) => state.progress);
  const format = useFormat();
  if (issue)
    return {
      text: "no answer",
      tone: "text-brick",
    };
  if (!scan) return NOTHING_YET;
  return gateHeadline(
    {
      plan: scan.question.plan,
      bands: scan.bands,
      gates: currentChance({ scan, chance })?.gates ?? null,
      computing: progress !== null,
    },
    format,
  );
}

/** What the scan took, and what it stands on. */
export function useDepartureStatus(): string | null {
  const scan = useDeparture((state) => state.scan);
  return (
    scan &&
    `${scan.ahead.length} heights, ${scan.byBank.size} banks in ${(scan.took_ms / 1000).toFixed(1)} s · point mass in wind, parabolic polar`
  );
}
